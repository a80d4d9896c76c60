package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
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
        assertThat(PassJudge.underFloor(test, marks(first, second, third))).hasSize(first < 2 ? 1 : 0);
    }

    @Test
    void aBeltIsNeverHeard() {
        Milestone belt = milestone(MilestoneKind.BELT, new PassRule.AllSlots(), 1, OptionalInt.empty(), 0);
        assertThat(PassJudge.isGood(belt, Outcome.PASS, List.of())).isFalse();
    }
}
