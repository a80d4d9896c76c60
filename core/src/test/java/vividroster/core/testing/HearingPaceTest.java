package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HearingPaceTest {

    private static final Instant BEGUN = Instant.parse("2026-10-07T14:00:00Z");
    private static final Duration PLANNED = Duration.ofSeconds(60);

    private static List<Instant> after(int... gaps) {
        List<Instant> marks = new ArrayList<>(List.of(BEGUN));
        for (int gap : gaps) {
            marks.add(marks.getLast().plusSeconds(gap));
        }
        return marks;
    }

    @Test
    void knowsThePlanAloneUntilSomebodyWasHeard() {
        assertThat(HearingPace.of(PLANNED, List.of())).isEqualTo(new HearingPace(PLANNED, 0));
        assertThat(HearingPace.of(PLANNED, after())).isEqualTo(new HearingPace(PLANNED, 0));
    }

    /** (3 × 60 + 80 + 80 + 80) / 6 = 70; by hand. */
    @Test
    void learnsFromTheRun() {
        assertThat(HearingPace.of(PLANNED, after(80, 80, 80))).isEqualTo(new HearingPace(Duration.ofSeconds(70), 3));
    }

    /** The fire drill of ten minutes, and four students marked together in two seconds. */
    @Test
    void leavesOutWhatIsNoHearing() {
        assertThat(HearingPace.of(PLANNED, after(600, 0, 1, 1, 80, 80, 80)))
                .isEqualTo(new HearingPace(Duration.ofSeconds(70), 3));
        assertThat(HearingPace.of(PLANNED, after(240, 15)).learntFrom())
                .as("four times and a quarter of the plan are just in")
                .isEqualTo(2);
        assertThat(HearingPace.of(PLANNED, after(241, 14)).learntFrom()).isZero();
    }

    @ParameterizedTest(name = "{0} left, {1} s to the bell: {2} in time")
    @CsvSource({
        "6, 540, 6, true",
        "6, 360, 6, true",
        "6, 359, 5, false",
        "6, 0, 0, false",
        "6, -90, 0, false",
        "0, 5, 0, true"
    })
    void saysWhoFitsBeforeTheBell(int left, int seconds, int inTime, boolean fits) {
        HearingPace.Fit fit = HearingPace.of(PLANNED, List.of()).fit(left, Optional.of(Duration.ofSeconds(seconds)));
        assertThat(fit.inTime()).isEqualTo(inTime);
        assertThat(fit.fits()).isEqualTo(fits);
        assertThat(fit.needed()).isEqualTo(Duration.ofMinutes(left));
    }

    @Test
    void withoutABellEverybodyFits() {
        assertThat(new HearingPace(PLANNED, 0).fit(40, Optional.empty()).fits()).isTrue();
    }

    @Test
    void refusesAPlanOfNothing() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> HearingPace.of(Duration.ZERO, List.of()))
                .withMessage("planned must be more than zero, was PT0S");
    }

    /** Between the plan and what was measured, and never farther from the measured than the plan was. */
    @Property
    void isDrawnTowardsWhatWasMeasured(
            @ForAll @Size(min = 1, max = 20) List<@IntRange(min = 15, max = 240) Integer> gaps) {
        HearingPace pace =
                HearingPace.of(PLANNED, after(gaps.stream().mapToInt(gap -> gap).toArray()));
        double mean = gaps.stream().mapToInt(gap -> gap).average().orElseThrow();
        double seconds = pace.perStudent().toMillis() / 1000.0;
        assertThat(seconds).isBetween(Math.min(60, mean) - 0.01, Math.max(60, mean) + 0.01);
        assertThat(Math.abs(seconds - mean)).isLessThanOrEqualTo(Math.abs(60 - mean) + 0.01);
    }
}
