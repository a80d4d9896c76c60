package vividroster.core.placing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;
import vividroster.core.placing.PlacingOption.Remark;
import vividroster.core.placing.PlacingOption.Seen;
import vividroster.core.placing.Trial.Aspect;
import vividroster.core.placing.Trial.Mouthpiece;
import vividroster.core.placing.TwoWays.Better;

class PlacingTest {

    private static final InstrumentCode TRUMPET = new InstrumentCode("trumpet");
    private static final InstrumentCode EUPHONIUM = new InstrumentCode("euphonium");
    private static final LocalDate FIRST = LocalDate.of(2026, 8, 24);
    private static final UUID STUDENT = new UUID(3, 3);

    private static Trial trial(int day, InstrumentCode instrument, Mouthpiece on, int sound, int... more) {
        Map<Aspect, Integer> seen = new HashMap<>(Map.of(Aspect.SOUND, sound));
        for (int i = 0; i < more.length; i++) {
            seen.put(Aspect.values()[i + 1], more[i]);
        }
        return new Trial(new UUID(1, day), STUDENT, instrument, on, seen, Optional.empty(), FIRST.plusDays(day), "");
    }

    private static List<Remark> remarks(Trial... trials) {
        return PlacingOption.of(List.of(trials), Map.of(), Map.of()).getFirst().remarks();
    }

    @Test
    void twoTrialsOrThreeOnOneDayAreNoFairTrial() {
        assertThat(remarks(trial(0, TRUMPET, Mouthpiece.OWN, 1), trial(9, TRUMPET, Mouthpiece.OWN, 1)))
                .containsExactly(Remark.NOT_A_FAIR_TRIAL);
        assertThat(remarks(
                        trial(0, TRUMPET, Mouthpiece.ALONE, 1),
                        trial(1, TRUMPET, Mouthpiece.OWN, 1),
                        trial(2, TRUMPET, Mouthpiece.OWN, 1)))
                .containsExactly(Remark.NOT_A_FAIR_TRIAL);
    }

    @Test
    void whatStaysStrainedAfterAFairTrialIsSaidAndWhatGrewIsNot() {
        assertThat(remarks(
                        trial(0, TRUMPET, Mouthpiece.OWN, 1),
                        trial(4, TRUMPET, Mouthpiece.OWN, 3),
                        trial(9, TRUMPET, Mouthpiece.OWN, 2)))
                .containsExactly(Remark.STAYS_STRAINED);
        assertThat(remarks(
                        trial(0, TRUMPET, Mouthpiece.OWN, 1),
                        trial(4, TRUMPET, Mouthpiece.OWN, 2),
                        trial(9, TRUMPET, Mouthpiece.OWN, 3)))
                .isEmpty();
    }

    @Test
    void aLargerMouthpieceServesForAMomentAndThenTheOwnOneIsTriedAgain() {
        Trial own = trial(0, TRUMPET, Mouthpiece.OWN, 1);
        Trial larger = trial(4, TRUMPET, Mouthpiece.LARGER, 4);
        assertThat(remarks(own, larger)).contains(Remark.BACK_TO_THE_OWN_MOUTHPIECE);
        assertThat(PlacingOption.of(List.of(own, larger), Map.of(), Map.of())
                        .getFirst()
                        .seen())
                .as("the larger one says nothing of how it will be played")
                .isEqualTo(Map.of(Aspect.SOUND, new Seen(1, 1)));
        assertThat(remarks(own, larger, trial(8, TRUMPET, Mouthpiece.OWN, 2)))
                .containsExactly(Remark.LARGER_DID_NOT_HELP);
        assertThat(remarks(own, larger, trial(8, TRUMPET, Mouthpiece.OWN, 3))).isEmpty();
    }

    @Test
    void reachArmsComfortAndWish() {
        assertThat(remarks(trial(0, TRUMPET, Mouthpiece.OWN, 3, 3, 1, 2, 4)))
                .containsExactly(Remark.NOT_A_FAIR_TRIAL, Remark.SHORT_ARMS, Remark.UNCOMFORTABLE, Remark.WISHED);
        Trial measured = new Trial(
                new UUID(1, 9), STUDENT, EUPHONIUM, Mouthpiece.OWN, Map.of(), Optional.of(49.0), FIRST.plusDays(9), "");
        List<PlacingOption> options =
                PlacingOption.of(List.of(trial(0, TRUMPET, Mouthpiece.OWN, 3), measured), Map.of(), Map.of());
        assertThat(options).extracting(PlacingOption::instrument).containsExactly(TRUMPET, EUPHONIUM);
        assertThat(options.getFirst().remarks()).as("49 cm for a trumpet").contains(Remark.SHORT_ARMS);
        assertThat(options.get(1).remarks()).doesNotContain(Remark.SHORT_ARMS);
    }

    @Test
    void theNumbersWantedStandBesideWithoutMakingAnOrder() {
        List<PlacingOption> options = PlacingOption.of(
                List.of(trial(0, TRUMPET, Mouthpiece.OWN, 4), trial(1, EUPHONIUM, Mouthpiece.OWN, 1)),
                Map.of(TRUMPET, 8, EUPHONIUM, 4),
                Map.of(TRUMPET, 8, EUPHONIUM, 2));
        assertThat(options.getFirst().remarks()).contains(Remark.SECTION_FULL);
        assertThat(options.get(1).remarks()).contains(Remark.SECTION_SHORT);
        assertThat(options.get(1).wanted()).contains(4);
        assertThatThrownBy(() -> trial(0, TRUMPET, Mouthpiece.OWN, 5)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aHeavyInstrumentIsCarriedFromTheFirstDay() {
        assertThat(remarks(trial(0, EUPHONIUM, Mouthpiece.OWN, 4)))
                .containsExactly(Remark.NOT_A_FAIR_TRIAL, Remark.NEEDS_SUPPORT);
        assertThat(remarks(trial(0, TRUMPET, Mouthpiece.OWN, 4))).doesNotContain(Remark.NEEDS_SUPPORT);
        assertThat(PlacingOption.carriedKg(EUPHONIUM)).contains(4.5);
        assertThat(PlacingOption.carriedKg(TRUMPET)).isEmpty();
    }

    private static TwoWays ways(int day, String one, String other, Better better) {
        return new TwoWays(
                new UUID(7, day), STUDENT, TRUMPET, "Syllable", one, other, true, better, FIRST.plusDays(day));
    }

    @Test
    void theSameTwoWaysAreCountedTogetherWhicheverWasNamedFirst() {
        List<TwoWays.Tally> tallies = TwoWays.tallies(List.of(
                ways(0, "tu", "du", Better.ONE),
                ways(1, "Du ", "tu", Better.OTHER),
                ways(2, "tu", "du", Better.NO_DIFFERENCE),
                ways(3, "tu", "ta", Better.OTHER)));
        assertThat(tallies)
                .containsExactly(
                        new TwoWays.Tally(
                                TRUMPET, "Syllable", List.of("tu", "ta"), List.of(0, 1), 0, FIRST.plusDays(3)),
                        new TwoWays.Tally(
                                TRUMPET, "Syllable", List.of("tu", "du"), List.of(2, 0), 1, FIRST.plusDays(2)));
    }

    @Test
    void blindEachOfTheTwoComesFirstAboutAsOftenAndWhatWasHeardIsToldBack() {
        Random random = new Random(11);
        List<UUID> ids = new ArrayList<>();
        IntStream.range(0, 2000).forEach(i -> ids.add(new UUID(random.nextLong(), random.nextLong())));
        assertThat(ids.stream().filter(TwoWays::oneComesFirst).count()).isBetween(900L, 1100L);
        for (UUID id : ids.subList(0, 50)) {
            assertThat(TwoWays.heard(id, true)).isNotEqualTo(TwoWays.heard(id, false));
            assertThat(TwoWays.heard(id, true)).isEqualTo(TwoWays.oneComesFirst(id) ? Better.ONE : Better.OTHER);
        }
    }
}
