package vividroster.core.outfit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FitTest {

    private static final LocalDate DAY = LocalDate.of(2026, 10, 2);

    @Test
    void endpinIsThreeHandWidthsCorrectedForTheSeat() {
        // 3 x 7 cm = 21 cm on a seat as high as the knee; a seat 3 cm higher lifts the player, so the cello too.
        assertThat(Fit.celloEndpin(7, 40, 40, DAY).centimetres()).isEqualTo(21);
        assertThat(Fit.celloEndpin(7, 43, 40, DAY).centimetres()).isEqualTo(24);
        assertThat(Fit.celloEndpin(7, 43, 40, DAY).confirmBy())
                .contains(Fit.BodyTest.STANDS_UP_AT_ONCE, Fit.BodyTest.LOW_PEG_NEAR_EAR);
        assertThat(Fit.bassEndpin(8, true, DAY).centimetres()).isEqualTo(16);
        assertThat(Fit.bassEndpin(8, false, DAY).centimetres()).isEqualTo(12);
    }

    @ParameterizedTest
    @CsvSource({
        "36, 1/16",
        "38, 1/10",
        "46.9, 1/8",
        "47, 1/4",
        "54.9, 1/2",
        "55, 3/4",
        "58.4, 3/4",
        "58.5, 4/4",
        "70, 4/4"
    })
    void violinByArmLength(double arm, String size) {
        assertThat(Fit.violin(arm, DAY).size()).isEqualTo(size);
    }

    @ParameterizedTest
    @CsvSource({"50, 30 cm", "57, 35.5 cm", "63.9, 38 cm", "66, 40.5 cm"})
    void violaByArmLength(double arm, String size) {
        assertThat(Fit.viola(arm, DAY).size()).isEqualTo(size);
    }

    @Test
    void whoIsAboutToOutgrowItIsLookedAtSooner() {
        assertThat(Fit.violin(56, DAY).reviewOn()).isEqualTo(DAY.plusWeeks(12));
        assertThat(Fit.violin(57.5, DAY).reviewOn()).isEqualTo(DAY.plusWeeks(6));
        assertThat(Fit.violin(70, DAY).reviewOn()).isEqualTo(DAY.plusWeeks(12));
    }

    @ParameterizedTest
    @CsvSource({"0, WELL_FORWARD", "7, WELL_FORWARD", "8, FORWARD_THIRD", "20, MIDDLE"})
    void strapMovesBackOverTheMonths(int weeks, Fit.StrapPlace place) {
        assertThat(Fit.bassoonStrap(weeks, DAY).place()).isEqualTo(place);
    }

    /** The horn stands 46 cm from rim to mouthpiece. */
    @ParameterizedTest
    @CsvSource({"60, 13, ON_LEG, 0", "66, 13, ON_LEG_RAISED, 7", "48, 12, ON_CHAIR, 0", "53, 12, ON_CHAIR_RAISED, 7"})
    void theHornsBellRestsWhereTheLipsAreMet(double mouth, double thigh, Fit.BellRest rest, double raised) {
        Fit.Bell bell = Fit.hornBell(mouth, thigh, DAY);
        assertThat(bell.rest()).isEqualTo(rest);
        assertThat(bell.raisedCm()).isEqualTo(raised);
        assertThat(bell.reviewOn())
                .as("who needs the chair grows out of it")
                .isEqualTo(DAY.plusWeeks(rest.name().startsWith("ON_LEG") ? 12 : 6));
    }

    @Test
    void aHornTooLargeIsSaid() {
        assertThatThrownBy(() -> Fit.hornBell(40, 10, DAY)).hasMessageContaining("6 cm above these lips");
        assertThatThrownBy(() -> Fit.hornBell(600, 10, DAY)).hasMessageContaining("millimetres");
    }

    @ParameterizedTest
    @CsvSource({"15, RING, 12", "13, RING, 12", "12.9, MIDDLE, 6", "11, MIDDLE, 6", "10, GRIP_BELOW, 6"})
    void theHandDecidesWhichFingerTakesTheRing(double reach, Fit.RingFinger finger, int weeks) {
        assertThat(Fit.trumpetRing(reach, DAY).finger()).isEqualTo(finger);
        assertThat(Fit.trumpetRing(reach, DAY).reviewOn()).isEqualTo(DAY.plusWeeks(weeks));
    }

    @Test
    void lengthsInAnotherUnitAreRefusedWithAHint() {
        assertThatThrownBy(() -> Fit.celloEndpin(90, 40, 40, DAY))
                .hasMessage("hand width must be in 4..13 cm, was 90 cm; was it measured in millimetres?");
        assertThatThrownBy(() -> Fit.celloEndpin(3, 40, 40, DAY))
                .hasMessage("hand width must be in 4..13 cm, was 3 cm; was it measured in inches?");
        assertThatThrownBy(() -> Fit.chair(2, DAY)).hasMessage("knee height must be in 22..60 cm, was 2 cm");
        assertThatThrownBy(() -> Fit.violin(Double.NaN, DAY)).hasMessageStartingWith("arm length must be in 30..85 cm");
        assertThatThrownBy(() -> Fit.bassoonStrap(-1, DAY)).hasMessage("weeksPlayed must be in 0..1000, was -1");
    }

    @Test
    void aSeatAsHighAsTheHollowOfTheKnee() {
        assertThat(Fit.chair(38.3, DAY).centimetres()).isEqualTo(38.5);
    }

    @Test
    void measuresThatTogetherGiveNoEndpinAreRefused() {
        LocalDate on = LocalDate.of(2026, 9, 1);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Fit.celloEndpin(5, 22, 60, on))
                .withMessage(
                        "these measures together give an endpin of -23.0 cm, which must be in 8..45 cm; measure hand,"
                                + " seat and knee once more");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Fit.celloEndpin(13, 65, 30, on))
                .withMessageContaining("an endpin of 74.0 cm");
    }
}
