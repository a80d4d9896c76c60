package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Trail.Step;

class PassJudgeTest {

    private static Milestone milestone(MilestoneKind kind, PassRule rule, int points, OptionalInt floor, int criteria) {
        List<Criterion> list = IntStream.rangeClosed(1, criteria)
                .mapToObj(i -> new Criterion(i, "Criterion " + i, points, i == 1 ? floor : OptionalInt.empty()))
                .toList();
        return new Milestone(UUID.randomUUID(), kind, "M", "A milestone", false, Set.of(), 1, rule, list);
    }

    private static List<CriterionMark> marks(int... points) {
        List<CriterionMark> marks = new ArrayList<>();
        for (int p : points) {
            marks.add(new CriterionMark(marks.size() + 1, p));
        }
        return marks;
    }

    private static Milestone check(PassRule rule) {
        return milestone(MilestoneKind.TECHNIQUE_CHECK, rule, 1, OptionalInt.empty(), 3);
    }

    @Test
    void aLineIsJudgedByEarAlone() {
        Milestone line = milestone(MilestoneKind.LINE, new PassRule.OneGoodTry(), 1, OptionalInt.empty(), 0);
        assertThat(PassJudge.isGood(line, Outcome.PASS, List.of())).isTrue();
        assertThat(PassJudge.isGood(line, Outcome.NOT_YET, List.of())).isFalse();
    }

    @Test
    void aCountedTryNeedsEveryMarkedCriterionSeen() {
        for (PassRule rule : List.of(new PassRule.OneGoodTry(), new PassRule.KOfLastN(4, 5))) {
            Milestone sound = check(rule);
            assertThat(PassJudge.isGood(sound, Outcome.PASS, List.of()))
                    .as("one press")
                    .isTrue();
            assertThat(PassJudge.isGood(sound, Outcome.PASS, marks(1, 1, 1))).isTrue();
            assertThat(PassJudge.isGood(sound, Outcome.PASS, marks(1, 0, 1))).isFalse();
            assertThat(PassJudge.isGood(sound, Outcome.NOT_YET, marks(1, 1, 1)))
                    .as("what the ear did not accept")
                    .isFalse();
        }
    }

    @Test
    void allCriteriaAreSeenInOneTryWhateverWasPressed() {
        Milestone hold = check(new PassRule.AllCriteria());
        assertThat(PassJudge.isGood(hold, Outcome.NOT_YET, marks(1, 1, 1))).isTrue();
        assertThat(PassJudge.isGood(hold, Outcome.PASS, marks(1, 1)))
                .as("one was not marked")
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        // points for three criteria, mark 9, floor 2 on the first: passes?
        "3, 3, 3, true",
        "2, 3, 4, true",
        "1, 4, 4, false",
        "3, 3, 2, false",
        "5, 5, 5, true",
        "0, 5, 5, false"
    })
    void aTestNeedsItsMarkAndItsFloors(int first, int second, int third, boolean passes) {
        Milestone test = milestone(MilestoneKind.PLAYING_TEST, new PassRule.ScoreAtLeast(9), 5, OptionalInt.of(2), 3);
        assertThat(PassJudge.isGood(test, Outcome.NOT_YET, marks(first, second, third)))
                .isEqualTo(passes);
        assertThat(RubricScore.of(test.criteria(), marks(first, second, third)).underFloor())
                .hasSize(first < 2 ? 1 : 0);
    }

    @Test
    void aBeltIsNeverHeard() {
        Milestone belt = milestone(MilestoneKind.BELT, new PassRule.AllSlots(), 1, OptionalInt.empty(), 0);
        assertThat(PassJudge.isGood(belt, Outcome.PASS, List.of())).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        // four criteria, three must be seen and the first among them: marks, good?
        "1, 1, 1, 0, true",
        "1, 1, 1, 1, true",
        "1, 1, 0, 0, false",
        "0, 1, 1, 1, false"
    })
    void aCheckMayCountItsCriteriaWithOneThatMustBeSeen(int a, int b, int c, int d, boolean good) {
        Milestone counted =
                milestone(MilestoneKind.TECHNIQUE_CHECK, new PassRule.ScoreAtLeast(3), 1, OptionalInt.of(1), 4);
        assertThat(PassJudge.isGood(counted, Outcome.PASS, marks(a, b, c, d))).isEqualTo(good);
    }

    /** A try on the n-th day. */
    private static Step attempt(Milestone milestone, int version, Outcome outcome, int day) {
        return new Step(
                new InstrumentCode("trumpet"),
                LocalDate.of(2026, 9, 21).plusDays(day),
                version,
                Evidence.LIVE_ALONE,
                outcome,
                false);
    }

    private static Milestone edited(PassRule before, PassRule now) {
        return new Milestone(
                UUID.randomUUID(),
                MilestoneKind.TECHNIQUE_CHECK,
                "Sound",
                "First sound",
                false,
                Set.of(),
                2,
                now,
                List.of(),
                Map.of(1, before));
    }

    @Test
    void aPassOfAnEarlierVersionStaysWhenTheRuleIsMadeHarder() {
        Milestone sound = edited(new PassRule.OneGoodTry(), new PassRule.KOfLastN(4, 5));
        Step passed = attempt(sound, 1, Outcome.PASS, 0);
        assertThat(PassJudge.passingTry(sound, List.of(passed, attempt(sound, 2, Outcome.NOT_YET, 1))))
                .contains(passed);
        assertThat(PassJudge.passingTry(sound, List.of(attempt(sound, 2, Outcome.PASS, 0))))
                .as("one good try of the new version is not enough")
                .isEmpty();
    }

    @Test
    void anEasierRuleMakesNoPassOutOfTheTriesBeforeIt() {
        Milestone sound = edited(new PassRule.KOfLastN(3, 4), new PassRule.OneGoodTry());
        List<Step> before = List.of(attempt(sound, 1, Outcome.PASS, 0), attempt(sound, 1, Outcome.PASS, 1));
        assertThat(PassJudge.passingTry(sound, before)).isEmpty();
        List<Step> after = new ArrayList<>(before);
        after.add(attempt(sound, 2, Outcome.PASS, 2));
        assertThat(PassJudge.passingTry(sound, after)).contains(after.getLast());
    }

    @Test
    void triesOfBothVersionsAreCountedTogether() {
        Milestone sound = edited(new PassRule.KOfLastN(4, 5), new PassRule.KOfLastN(3, 4));
        List<Step> tries = List.of(
                attempt(sound, 1, Outcome.PASS, 0),
                attempt(sound, 1, Outcome.PASS, 1),
                attempt(sound, 2, Outcome.PASS, 2));
        assertThat(PassJudge.passingTry(sound, tries)).contains(tries.getLast());
    }
}
