package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.testing.CountedScore.Fate;
import vividroster.core.testing.CountedScore.Try;
import vividroster.core.testing.CountedScore.TryTold;
import vividroster.core.testing.RetakePolicy.Counting;
import vividroster.core.testing.RetakePolicy.Credit;

class CountedScoreTest {

    private static final LocalDate DUE = LocalDate.of(2026, 10, 9);

    private static RetakePolicy policy(Counting counting, Integer cap, Integer most, Integer window) {
        return new RetakePolicy(counting, maybe(cap), maybe(most), maybe(window), Credit.FULL, Credit.FULL);
    }

    private static OptionalInt maybe(Integer number) {
        return number == null ? OptionalInt.empty() : OptionalInt.of(number);
    }

    /** A try on the due day and one more each day after it. */
    private static List<Try> tries(double... shares) {
        List<Try> tries = new ArrayList<>();
        for (int i = 0; i < shares.length; i++) {
            tries.add(new Try(new UUID(0, i), DUE.plusDays(i), shares[i], false));
        }
        return tries;
    }

    private static CountedScore score(RetakePolicy policy, List<Try> tries) {
        return CountedScore.of(policy, Optional.of(DUE), tries, false, DUE.plusDays(20));
    }

    /** Tries of 0.6, 0.9 and 0.7, in words of the policy: the latest; the best; (0.6 + 0.9 + 0.7) / 3; the cap. */
    @ParameterizedTest(name = "{0}, cap {1}: {2}")
    @CsvSource({
        "REPLACE, , 0.7, REPLACED REPLACED COUNTS",
        "BEST, , 0.9, NOT_THE_BEST COUNTS NOT_THE_BEST",
        "AVERAGE, , 0.7333333333, COUNTS COUNTS COUNTS",
        "CAPPED, 80, 0.8, NOT_THE_BEST COUNTS NOT_THE_BEST",
        "CAPPED, 50, 0.6, COUNTS NOT_THE_BEST NOT_THE_BEST"
    })
    void whichTryStandsIsThePolicys(Counting counting, Integer cap, double share, String fates) {
        CountedScore score = score(policy(counting, cap, null, null), tries(0.6, 0.9, 0.7));
        assertThat(score.share().getAsDouble()).isCloseTo(share, within(1e-9));
        assertThat(score.tries().stream().map(one -> one.fate().name()).toList())
                .containsExactly(fates.split(" "));
    }

    @Test
    void aRetakeTooManyOrAfterTheWindowDoesNotCount() {
        CountedScore one = score(policy(Counting.BEST, null, 1, null), tries(0.4, 0.5, 0.9));
        assertThat(one.share()).hasValue(0.5);
        assertThat(one.tries())
                .extracting(TryTold::fate)
                .containsExactly(Fate.NOT_THE_BEST, Fate.COUNTS, Fate.TOO_MANY);
        CountedScore none = score(policy(Counting.REPLACE, null, 0, null), tries(0.4, 0.9));
        assertThat(none.share()).hasValue(0.4);
        // The first was on the due day; a window of one day ends the day after it.
        CountedScore window = score(policy(Counting.REPLACE, null, null, 1), tries(0.4, 0.5, 0.9));
        assertThat(window.share()).hasValue(0.5);
        assertThat(window.tries().getLast().fate()).isEqualTo(Fate.AFTER_WINDOW);
    }

    @Test
    void whatAppliesFromNowOnIsTold() {
        RetakePolicy two = policy(Counting.BEST, null, 2, 10);
        CountedScore open = CountedScore.of(two, Optional.of(DUE), tries(0.4), false, DUE.plusDays(10));
        assertThat(open.retake())
                .isEqualTo(new CountedScore.Retake(true, OptionalInt.of(2), Optional.of(DUE.plusDays(10))));
        assertThat(CountedScore.of(two, Optional.of(DUE), tries(0.4), false, DUE.plusDays(11))
                        .retake()
                        .allowed())
                .as("the window is over")
                .isFalse();
        assertThat(CountedScore.of(two, Optional.of(DUE), tries(0.4, 0.5, 0.6), false, DUE)
                        .retake())
                .isEqualTo(new CountedScore.Retake(false, OptionalInt.of(0), Optional.of(DUE.plusDays(10))));
        assertThat(CountedScore.of(two, Optional.of(DUE), List.of(), false, DUE).retake())
                .isEqualTo(new CountedScore.Retake(true, OptionalInt.of(2), Optional.empty()));
    }

    @Test
    void whoIsFirstHeardAfterTheDueDayIsLateUnlessExcused() {
        RetakePolicy half = new RetakePolicy(
                Counting.BEST,
                OptionalInt.empty(),
                OptionalInt.empty(),
                OptionalInt.empty(),
                new Credit(50),
                Credit.FULL);
        List<Try> tries = List.of(new Try(new UUID(0, 1), DUE.plusDays(1), 0.8, false));
        assertThat(score(half, tries).late()).isTrue();
        assertThat(score(half, tries).share()).hasValue(0.4);
        CountedScore excused = CountedScore.of(half, Optional.of(DUE), tries, true, DUE.plusDays(2));
        assertThat(excused.late()).isFalse();
        assertThat(excused.share()).hasValue(0.8);
        assertThat(excused.excused()).as("the try stands").isFalse();
        assertThat(CountedScore.of(half, Optional.empty(), tries, false, DUE).late())
                .as("nobody set a day")
                .isFalse();
        assertThat(score(half, List.of(new Try(new UUID(0, 1), DUE, 0.8, false)))
                        .late())
                .as("on the day")
                .isFalse();
        RetakePolicy nothing = new RetakePolicy(
                Counting.BEST, OptionalInt.empty(), OptionalInt.empty(), OptionalInt.empty(), Credit.NONE, Credit.FULL);
        assertThat(score(nothing, tries).share())
                .as("heard, and late counts nothing")
                .hasValue(0);
        // The first was in time: a retake after the due day is not late.
        assertThat(score(half, tries(0.2, 0.8)).share()).hasValue(0.8);
    }

    @Test
    void excusedWithoutATryIsNoScore() {
        CountedScore score = CountedScore.of(RetakePolicy.usual(), Optional.of(DUE), List.of(), true, DUE);
        assertThat(score.share()).isEmpty();
        assertThat(score.excused()).isTrue();
    }

    @Test
    void aSubstitutePieceCountsWhatThePolicySays() {
        RetakePolicy none = new RetakePolicy(
                Counting.REPLACE,
                OptionalInt.empty(),
                OptionalInt.empty(),
                OptionalInt.empty(),
                Credit.FULL,
                Credit.NONE);
        List<Try> tries = List.of(new Try(new UUID(0, 1), DUE, 0.5, false), new Try(new UUID(0, 2), DUE, 1, true));
        assertThat(score(none, tries).share()).hasValue(0.5);
        assertThat(score(none, tries).tries().getLast().fate()).isEqualTo(Fate.NO_CREDIT);
        assertThat(score(none, tries.subList(1, 2)).share()).isEmpty();
    }

    @Test
    void aPolicyOutOfItsBoundsIsRefused() {
        assertThatThrownBy(() -> policy(Counting.CAPPED, null, null, null)).hasMessageContaining("capPercent");
        assertThatThrownBy(() -> policy(Counting.BEST, 80, null, null)).hasMessageContaining("capPercent");
        assertThatThrownBy(() -> policy(Counting.CAPPED, 0, null, null)).hasMessageContaining("1..100, was 0");
        assertThatThrownBy(() -> policy(Counting.BEST, null, 10, null))
                .hasMessage("mostRetakes must be in 0..9, was 10");
        assertThatThrownBy(() -> policy(Counting.BEST, null, null, 0)).hasMessageContaining("windowDays");
        assertThatThrownBy(() -> new Credit(101)).hasMessageContaining("0..100");
        assertThatThrownBy(() -> new Try(new UUID(0, 1), DUE, 1.1, false)).hasMessageContaining("0..1");
    }

    private static List<Try> any(Random random) {
        List<Try> tries = new ArrayList<>();
        int days = random.nextInt(5);
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            tries.add(new Try(
                    new UUID(0, i),
                    DUE.plusDays(days += random.nextInt(6)),
                    random.nextInt(26) / 25.0,
                    random.nextInt(5) == 0));
        }
        return tries;
    }

    @Property(tries = 300)
    void theBestIsNeverLessThanTheAverageTheLatestOrTheCapped(@ForAll long seed) {
        Random random = new Random(seed);
        List<Try> tries = any(random);
        Integer most = random.nextBoolean() ? random.nextInt(4) : null;
        Integer window = random.nextBoolean() ? 1 + random.nextInt(20) : null;
        double best =
                score(policy(Counting.BEST, null, most, window), tries).share().orElseThrow();
        for (Counting counting : List.of(Counting.AVERAGE, Counting.REPLACE)) {
            assertThat(best)
                    .isGreaterThanOrEqualTo(score(policy(counting, null, most, window), tries)
                                    .share()
                                    .orElseThrow()
                            - 1e-12);
        }
        double capped = score(policy(Counting.CAPPED, 1 + random.nextInt(100), most, window), tries)
                .share()
                .orElseThrow();
        assertThat(best).isGreaterThanOrEqualTo(capped);
        assertThat(capped)
                .as("a retake never costs the first try")
                .isGreaterThanOrEqualTo(tries.getFirst().share());
    }

    @Property(tries = 300)
    void oneTryMoreNeverMakesTheBestWorse(@ForAll long seed) {
        Random random = new Random(seed);
        List<Try> tries = any(random);
        RetakePolicy policy = new RetakePolicy(
                Counting.BEST,
                OptionalInt.empty(),
                maybe(random.nextBoolean() ? random.nextInt(4) : null),
                maybe(random.nextBoolean() ? 1 + random.nextInt(20) : null),
                new Credit(random.nextInt(101)),
                new Credit(random.nextInt(101)));
        double before = score(policy, tries).share().orElse(0);
        List<Try> more = new ArrayList<>(tries);
        more.add(new Try(
                new UUID(1, 1),
                tries.getLast().heardOn().plusDays(random.nextInt(9)),
                random.nextInt(26) / 25.0,
                false));
        assertThat(score(policy, more).share().orElse(0)).isGreaterThanOrEqualTo(before);
    }
}
