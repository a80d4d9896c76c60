package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The planner against a checker that shares no code with it. */
class PlannerTest {

    private static final PlanBudget BUDGET = PlanBudget.DEFAULT;

    @Property(tries = 150)
    void aSmallPlanIsTheBestThereIs(@ForAll long seed) {
        PlanProblem problem = MadeUpYear.small(seed);
        Plan plan = Planner.plan(problem, BUDGET);
        assertThat(ExactPlan.least(problem, plan.points().total()))
                .isEqualTo(plan.points().total());
    }

    @Property(tries = 200)
    void noPlanBreaksARuleAndItsSumIsTheSumOfItsParts(@ForAll long seed) {
        PlanProblem problem = MadeUpYear.odd(seed);
        checked(problem, Planner.plan(problem, new PlanBudget(500, 100_000)));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void aWholeYearKeepsEveryRule(long seed) {
        PlanProblem problem = MadeUpYear.whole(seed);
        Plan plan = Planner.plan(problem, BUDGET);
        checked(problem, plan);
        assertThat(plan.leftOut()).noneMatch(id -> essential(problem, id));
    }

    private static boolean essential(PlanProblem problem, String id) {
        return problem.milestones().stream().anyMatch(m -> m.id().equals(id) && m.essential());
    }

    private static void checked(PlanProblem problem, Plan plan) {
        PlanChecker checker = new PlanChecker(problem);
        assertThat(checker.broken(plan.weeks())).isEmpty();
        assertThat(plan.points().parts()).containsExactlyInAnyOrderEntriesOf(checker.points(plan.weeks()));
        Set<String> everywhere = new HashSet<>(plan.weeks().keySet());
        assertThat(plan.leftOut()).noneMatch(everywhere::contains);
        everywhere.addAll(plan.leftOut());
        assertThat(everywhere).hasSize(problem.milestones().size());
        PlanReasons reasons = new PlanReasons(plan);
        for (PlanMilestone m : problem.milestones()) {
            List<PlanReason> all = new ArrayList<>();
            if (plan.weeks().containsKey(m.id())) {
                all.addAll(reasons.of(m.id()));
            } else {
                all.add(reasons.whyLeftOut(m.id()));
            }
            assertThat(all)
                    .isNotEmpty()
                    .allSatisfy(reason -> assertThat(checker.isTrue(reason, m.id(), plan.weeks()))
                            .as("%s of %s", reason, m)
                            .isTrue());
        }
    }

    @Test
    void aRePlanOfAWholeYearKeepsEveryRuleAndNeverMovesWhatWasHeard() {
        Plan today = Planner.plan(MadeUpYear.whole(4), BUDGET);
        int week = MadeUpYear.midYear(today.problem());
        for (PlanProblem changed : List.of(MadeUpYear.lost(today, week), MadeUpYear.slow(today, week))) {
            Plan balanced = Planner.plan(changed, BUDGET);
            PlanProblem least = changed.with(changed.prices().leastChange());
            Plan leastChange = Planner.plan(least, BUDGET);
            checked(changed, balanced);
            checked(least, leastChange);
            // by its own prices the other one is no better
            assertThat(leastChange.points().total())
                    .isLessThanOrEqualTo(
                            Planner.look(least, balanced.weeks()).points().total());
            changed.milestones().stream()
                    .filter(PlanMilestone::isHeard)
                    .forEach(m -> assertThat(leastChange.weeks().get(m.id()))
                            .isEqualTo(today.weeks().get(m.id())));
        }
    }

    @Test
    void theSameProblemHasTheSamePlan() {
        PlanProblem problem = MadeUpYear.whole(7, 120);
        Map<String, Integer> first = Planner.plan(problem, BUDGET).weeks();
        assertThat(Planner.plan(MadeUpYear.whole(7, 120), BUDGET).weeks()).isEqualTo(first);
    }
}
