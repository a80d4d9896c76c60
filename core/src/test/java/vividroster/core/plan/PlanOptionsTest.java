package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.plan.PlanMilestone.FixedBecause;

/** What would make a left-out milestone fit, and what it would cost. */
class PlanOptionsTest {

    private static List<PlanOption> options(Plan plan, String milestone) {
        return new PlanOptions(plan).of(milestone);
    }

    @Test
    void leaveAnotherOutOrGiveMoreMinutes() {
        Plan plan = YearBuilder.weeks(10).line("A", 10).line("B", 10).plan();
        assertThat(plan.leftOut()).containsExactly("B");
        assertThat(plan.points().total()).isEqualTo(60);
        // 20 minutes want 16 a full week of 125 percent holds: then 4 above the minutes, 5 points each and 1 uneven
        assertThat(options(plan, "B"))
                .containsExactly(new PlanOption.MoreMinutes("winds", 1, 6, 4 * 5 + 4), new PlanOption.Drop("A", 60));
    }

    @Test
    void oneMoreNewNoteOrOnlyTheSectionThatCan() {
        Plan plan = YearBuilder.weeks(30)
                .line("A", 2)
                .newNotes("A", "flute", "A4", "B4")
                .line("B", 2)
                .alsoNewNotes("B", "flute", "C5")
                .plan();
        assertThat(plan.leftOut()).containsExactly("B");
        assertThat(options(plan, "B"))
                .containsExactly(
                        new PlanOption.MoreNewNotes("flute", 1, 0),
                        new PlanOption.Split(List.of("horn"), 1, 30),
                        new PlanOption.Drop("A", 60));
    }

    @Test
    void anotherDateForOneThatIsPinnedIntoABreak() {
        Plan plan = YearBuilder.weeks(10, -1, 10)
                .line("pinned", 5)
                .fixed("pinned", 2, FixedBecause.PINNED)
                .plan();
        // 5 of 20 minutes: the even share of 10 is 2
        assertThat(options(plan, "pinned")).containsExactly(new PlanOption.MoveDate(1, 3));
    }

    @Property(tries = 60)
    void noOptionPromisesLessThanTheBestPlanWithIt(@ForAll long seed) {
        PlanProblem problem = MadeUpYear.small(seed);
        Plan plan = Planner.plan(problem, PlanBudget.DEFAULT);
        PlanOptions options = new PlanOptions(plan);
        for (String left : plan.leftOut()) {
            long before = plan.points().total();
            assertThat(options.of(left)).isSortedAccordingTo((a, b) -> Long.compare(a.total(), b.total()));
            for (PlanOption option : options.of(left)) {
                if (option instanceof PlanOption.Drop drop) {
                    assertThat(drop.total()).isGreaterThanOrEqualTo(before);
                } else if (option instanceof PlanOption.MoreMinutes more) {
                    PlanProblem changed = problem.withClasses(problem.classes().stream()
                            .map(k -> k.id().equals(more.classId()) ? longer(k, more) : k)
                            .toList());
                    assertThat(ExactPlan.least(changed, Long.MAX_VALUE / 8)).isLessThanOrEqualTo(more.total());
                } else if (option instanceof PlanOption.MoveDate moved) {
                    PlanProblem changed =
                            problem.withMilestone(left, m -> m.notBefore(1).unfixed());
                    assertThat(ExactPlan.least(changed, Long.MAX_VALUE / 8)).isLessThanOrEqualTo(moved.total());
                }
            }
        }
        // asking leaves the plan as it was
        for (String left : plan.leftOut()) {
            assertThat(options.of(left)).isEqualTo(new PlanOptions(plan).of(left));
        }
    }

    /** Asked a second time, one of this year's options was another one. */
    @Test
    void askedTwiceItAnswersTheSame() {
        Plan plan = Planner.plan(MadeUpYear.small(2_788_656_272L), PlanBudget.DEFAULT);
        PlanOptions options = new PlanOptions(plan);
        assertThat(plan.leftOut()).isNotEmpty();
        for (int again = 0; again < 3; again++) {
            for (String left : plan.leftOut()) {
                assertThat(options.of(left)).isEqualTo(new PlanOptions(plan).of(left));
            }
        }
    }

    private static PlanClass longer(PlanClass k, PlanOption.MoreMinutes more) {
        List<Integer> minutes = new ArrayList<>(k.minutes());
        minutes.set(more.week() - 1, minutes.get(more.week() - 1) + more.minutes());
        return new PlanClass(k.id(), minutes);
    }

    @Test
    void aDirectorMayPinWhatOnlyNotesOrMinutesKeepOut() {
        Plan full =
                YearBuilder.weeks(20, -1, 20).line("A", 30).line("B", 5, "A").plan();
        assertThat(full.leftOut()).contains("A", "B");
        PlanOptions options = new PlanOptions(full);
        PlanOptions.Pinned pinned = options.pinned("A").orElseThrow();
        PlanProblem there =
                full.problem().withMilestone("A", m -> m.fixedIn(pinned.week(), PlanMilestone.FixedBecause.PINNED));
        assertThat(Planner.look(there, Map.of("A", pinned.week())).points().total())
                .as("it costs what it says")
                .isEqualTo(pinned.total());
        assertThat(options.pinned("B")).as("it waits for A").isEmpty();
        assertThat(new PlanReasons(full).whyLeftOut("B")).isInstanceOf(PlanReason.After.class);
    }
}
