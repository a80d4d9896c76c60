package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import vividroster.core.plan.PlanMilestone.FixedBecause;
import vividroster.core.plan.PlanTrouble.Kind;

/** What contradicts itself is told and planned around; the rest stands. */
class PlanTroublesTest {

    private static PlanTrouble trouble(Kind kind, String... milestones) {
        return new PlanTrouble(kind, List.of(milestones), Optional.empty(), OptionalInt.empty());
    }

    @Test
    void aRingAndWhatIsBehindItAreLeftOut() {
        Plan plan = YearBuilder.weeks(30, 30)
                .line("A", 5, "C")
                .line("B", 5, "A")
                .line("C", 5, "B")
                .line("behind", 5, "B")
                .line("rest", 5)
                .plan();
        assertThat(plan.weeks()).containsOnlyKeys("rest");
        assertThat(plan.troubles()).containsExactly(trouble(Kind.RING, "A", "C", "B"));
        assertThat(new PlanReasons(plan).whyLeftOut("behind")).isInstanceOf(PlanReason.After.class);
    }

    @Test
    void whatNeedsItselfIsARing() {
        Plan plan = YearBuilder.weeks(30).line("A", 5, "A").line("rest", 5).plan();
        assertThat(plan.weeks()).containsOnlyKeys("rest");
        assertThat(plan.troubles()).containsExactly(trouble(Kind.RING, "A"));
    }

    @Test
    void aFixedOneWaitsForNothingSoThatNoRingGoesThroughIt() {
        Plan plan = YearBuilder.weeks(30, 30, 30)
                .line("A", 5, "B")
                .line("B", 5, "A")
                .fixed("A", 2, FixedBecause.PINNED)
                .plan();
        assertThat(plan.weeks()).isEqualTo(Map.of("A", 2, "B", 2));
        assertThat(plan.troubles()).isEmpty();
    }

    @Test
    void aDateThatCannotBeKeptIsPaidAndNothingBehindItFallsOut() {
        Plan plan = YearBuilder.weeks(10, 10, 10)
                .line("first", 10)
                .line("second", 10, "first")
                .line("third", 10, "second")
                .due("second", 1, 0)
                .essential("second")
                .plan();
        assertThat(plan.leftOut()).isEmpty();
        assertThat(plan.points().dates()).isEqualTo(10_000 + 1_000);
        assertThat(plan.troubles())
                .containsExactly(
                        new PlanTrouble(Kind.DATE_MISSED, List.of("second"), Optional.empty(), OptionalInt.of(2)));
    }

    @Test
    void aNeedThatComesAfterAFixedOneIsPaidAndTold() {
        Plan plan = YearBuilder.weeks(10, 10)
                .line("need", 10)
                .notBefore("need", 2)
                .line("concert", 10, "need")
                .fixed("concert", 1, FixedBecause.DATE)
                .plan();
        assertThat(plan.weeks()).isEqualTo(Map.of("need", 2, "concert", 1));
        assertThat(plan.points().dates()).isEqualTo(10_000);
        assertThat(plan.troubles())
                .containsExactly(new PlanTrouble(
                        Kind.NEED_AFTER_FIXED, List.of("concert", "need"), Optional.empty(), OptionalInt.of(1)));
    }

    @Test
    void whatWasHeardStaysWhereItWasHeard() {
        Plan plan = YearBuilder.weeks(10, -1, 10)
                .line("need", 5)
                .notBefore("need", 3)
                .line("heard", 5, "need")
                .fixed("heard", 2, FixedBecause.HEARD)
                .plan();
        assertThat(plan.weeks()).isEqualTo(Map.of("need", 3, "heard", 2));
        assertThat(plan.points().dates()).isZero();
        assertThat(plan.troubles()).isEmpty();
        assertThat(new PlanReasons(plan).of("heard")).containsExactly(new PlanReason.Fixed(FixedBecause.HEARD));
    }

    @Test
    void aDateInABreakIsLeftOutAndADeadlineInOneCountsBeforeIt() {
        Plan plan = YearBuilder.weeks(10, -1, 10)
                .line("pinned", 5)
                .fixed("pinned", 2, FixedBecause.PINNED)
                .line("due", 5)
                .due("due", 2, 0)
                .plan();
        assertThat(plan.leftOut()).containsExactly("pinned");
        assertThat(plan.weeks()).isEqualTo(Map.of("due", 1));
        assertThat(plan.troubles())
                .containsExactlyInAnyOrder(
                        new PlanTrouble(Kind.FIXED_IN_BREAK, List.of("pinned"), Optional.empty(), OptionalInt.of(2)),
                        new PlanTrouble(Kind.DEADLINE_IN_BREAK, List.of("due"), Optional.empty(), OptionalInt.of(2)));
        assertThat(new PlanReasons(plan).whyLeftOut("pinned")).isEqualTo(new PlanReason.NoSchool(2));
    }

    @Test
    void whatFitsNowhereIsNamed() {
        Plan plan = YearBuilder.weeks(10, 10)
                .line("long", 13)
                .line("many", 1)
                .newNotes("many", "flute", "A4", "B4", "C5")
                .line("rest", 1)
                .plan();
        assertThat(plan.weeks()).containsOnlyKeys("rest");
        assertThat(plan.troubles())
                .containsExactly(trouble(Kind.TOO_LONG, "long"), trouble(Kind.TOO_MANY_NEW_NOTES, "many"));
    }

    @Test
    void aClassThatNeverMeetsAndAYearWithoutAnOpenWeek() {
        Plan never = YearBuilder.weeks(0, 0).line("A", 5).plan();
        assertThat(never.leftOut()).containsExactly("A");
        assertThat(never.troubles())
                .containsExactly(new PlanTrouble(
                        Kind.CLASS_NEVER_MEETS, List.of("A"), Optional.of("winds"), OptionalInt.empty()));
        Plan closed = YearBuilder.weeks(-1, -1).line("A", 5).plan();
        assertThat(closed.leftOut()).containsExactly("A");
        assertThat(closed.troubles()).containsExactly(trouble(Kind.NO_TEACHING_WEEK, "A"));
        Plan late = YearBuilder.weeks(10, -1).line("A", 5).notBefore("A", 2).plan();
        assertThat(late.troubles()).containsExactly(trouble(Kind.NO_TEACHING_WEEK, "A"));
    }

    @Test
    void aYearOfOneWeekAndAnEmptyOne() {
        Plan one = YearBuilder.weeks(10).line("A", 5).plan();
        assertThat(one.weeks()).isEqualTo(Map.of("A", 1));
        assertThat(new PlanReasons(one).of("A")).containsExactly(new PlanReason.OnlyWeek());
        assertThat(YearBuilder.weeks(10).plan().points()).isEqualTo(PlanPoints.NONE);
    }

    @Test
    void aBreakIsNoPracticeTime() {
        Plan plan = YearBuilder.weeks(10, -1, -1, 10)
                .line("early", 8)
                .line("late", 8)
                .book("late", "early")
                .fixed("early", 1, FixedBecause.PINNED)
                .fixed("late", 4, FixedBecause.PINNED)
                .plan();
        assertThat(plan.points().order()).isEqualTo(4);
    }

    @Test
    void aRePlanSaysWhatMovedAndWhatStays() {
        Plan plan = YearBuilder.weeks(10, -1, 10)
                .line("A", 5)
                .line("B", 5)
                .today("A", 1)
                .today("B", 2)
                .plan();
        PlanReasons reasons = new PlanReasons(plan);
        assertThat(reasons.of("A")).contains(new PlanReason.Stays());
        assertThat(reasons.of("B")).contains(new PlanReason.Moved(2));
        assertThat(plan.points().moved())
                .isEqualTo(20 + 2 * Math.abs(plan.weeks().get("B") == 3 ? 1 : 0));
    }

    @Test
    void whatCannotBeReadSaysWhereItIsWrong() {
        assertThatThrownBy(() -> YearBuilder.weeks(10).line("A", 5, "nobody").problem())
                .isInstanceOfSatisfying(
                        PlanInputException.class,
                        fault -> assertThat(fault.place()).isEqualTo("milestones[0].needs[0].milestone"))
                .hasMessage("There is no milestone “nobody” in this problem.");
        assertThatThrownBy(
                        () -> YearBuilder.weeks(10).line("A", 5).due("A", 2, 0).problem())
                .hasMessage("A week must be in 1..1, was 2.");
        assertThatThrownBy(() -> YearBuilder.weeks().problem()).hasMessage("A year has at least one week.");
        assertThatThrownBy(() -> YearBuilder.weeks(10).line("A", 100_001).problem())
                .hasMessage("This must be in 0..100000, was 100001.");
        assertThatThrownBy(
                        () -> YearBuilder.weeks(10).line("A", 5).book("A", "A").problem())
                .hasMessage("“A” stands twice in one book order.");
    }

    @Test
    void theLongLookCanBeEndedWithTheBestSoFar() {
        PlanProblem problem = MadeUpYear.whole(3);
        long[] told = {0, 0};
        Plan plan = Planner.plan(problem, PlanBudget.LONG, (done, all, points) -> {
            told[0]++;
            told[1] = points;
            return done < all / 10;
        });
        assertThat(new PlanChecker(problem).broken(plan.weeks())).isEmpty();
        assertThat(told[0]).isPositive();
        assertThat(plan.points().total()).isLessThanOrEqualTo(told[1]);
    }
}
