package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.plan.PlanMilestone.FixedBecause;
import vividroster.core.plan.PlanMoves.Broken;
import vividroster.core.plan.PlanMoves.Target;

/** Moving things by hand. */
class PlanMovesTest {

    /** Weeks 1 to 5, the third a break; A, B and C in a row, C pinned in week 4. */
    private static PlanProblem year() {
        return YearBuilder.weeks(20, 20, -1, 20, 20)
                .line("A", 10)
                .line("B", 10, "A")
                .line("C", 15, "B")
                .fixed("C", 4, FixedBecause.PINNED)
                .today("A", 1)
                .today("B", 2)
                .today("C", 4)
                .problem();
    }

    private static List<Target> targets(PlanProblem problem, String... moved) {
        return PlanMoves.targets(problem, problem.today(), List.of(moved));
    }

    @Test
    void everyWeekSaysWhetherItMayStandThere() {
        List<Target> targets = targets(year(), "B");
        assertThat(targets).extracting(Target::week).containsExactly(1, 2, 3, 4, 5);
        assertThat(targets.get(0).broken())
                .as("A and B fit into the first week")
                .isEmpty();
        assertThat(targets.get(1).difference()).as("where it stands now").isEqualTo(PlanPoints.NONE);
        assertThat(targets.get(2).broken()).contains(new Broken("B", new PlanReason.NoSchool(3)));
        assertThat(targets.get(3).broken())
                .as("ten minutes more than a quarter over are too many beside C")
                .isEmpty();
        assertThat(targets.get(4).broken()).as("C is pinned before").isEmpty();
        assertThat(targets.get(4).difference().dates())
                .as("and what it needs would be late, which is priced")
                .isEqualTo(10_000);
    }

    @Test
    void whatWaitsForTheMovedOneIsNamed() {
        PlanProblem free = YearBuilder.weeks(20, 20, 20)
                .line("A", 10)
                .line("B", 10, "A")
                .today("A", 1)
                .today("B", 2)
                .problem();
        assertThat(targets(free, "A").get(2).broken()).contains(new Broken("A", new PlanReason.Before(3, "B")));
        assertThat(targets(free, "B").get(0).broken()).isEmpty();
    }

    @Test
    void severalKeepTheirDistanceInTeachingWeeks() {
        PlanProblem free = YearBuilder.weeks(20, 20, -1, 20, 20)
                .line("A", 10)
                .line("B", 10, "A")
                .today("A", 1)
                .today("B", 2)
                .problem();
        assertThat(PlanMoves.after(free.weeks(), free.today(), List.of("A", "B"), 2))
                .as("the break between is no distance")
                .contains(Map.of("A", 2, "B", 4));
        List<Target> targets = targets(free, "A", "B");
        assertThat(targets.get(1).broken()).isEmpty();
        assertThat(targets.get(4).broken()).as("no week is left for B").isPresent();
    }

    @Test
    void aRuleThatIsBrokenAlreadyStopsNobody() {
        PlanProblem torn = YearBuilder.weeks(20, 20, 20)
                .line("A", 10)
                .line("B", 10, "A")
                .line("D", 5)
                .today("A", 3)
                .today("B", 1)
                .today("D", 1)
                .problem();
        assertThat(PlanMoves.broken(Planner.look(torn, torn.today())).keySet()).containsExactlyInAnyOrder("A", "B");
        assertThat(targets(torn, "D")).allMatch(target -> target.broken().isEmpty());
        assertThat(PlanMoves.firstBroken(torn, torn.today(), Map.of("A", 1, "B", 1, "D", 1), List.of("A")))
                .isEmpty();
        assertThat(PlanMoves.firstBroken(torn, torn.today(), Map.of("A", 2, "B", 1, "D", 1), List.of("A")))
                .contains(new Broken("A", new PlanReason.Before(2, "B")));
    }

    @Test
    void anOverfullWeekNamesTheMoveThatHelpsMost() {
        PlanProblem full = YearBuilder.weeks(20, 20, 20)
                .line("A", 12)
                .line("B", 12, "A")
                .line("C", 4, "B")
                .today("A", 1)
                .today("B", 1)
                .today("C", 2)
                .problem();
        Plan plan = Planner.look(full, full.today());
        Optional<PlanMoves.Remedy> remedy = PlanMoves.remedy(plan, 1);
        assertThat(remedy).isPresent();
        assertThat(remedy.get().milestone()).isEqualTo("B");
        assertThat(remedy.get().week()).isEqualTo(2);
        assertThat(PlanMoves.remedy(plan, 3)).as("an empty week needs none").isEmpty();
    }

    @Test
    void whatFallsOutWithAThingIsKnown() {
        PlanProblem year = YearBuilder.weeks(20)
                .line("A", 1)
                .line("B", 1, "A")
                .line("C", 1, "B")
                .line("D", 1)
                .problem();
        assertThat(year.behind("A")).containsExactly("B", "C");
        assertThat(year.behind("C")).isEmpty();
    }

    /** What a target promises is what the plan then has. */
    @Property(tries = 40)
    void targetsTellTheTruth(@ForAll long seed) {
        PlanProblem problem = MadeUpYear.small(seed);
        Plan plan = Planner.plan(problem, PlanBudget.DEFAULT);
        PlanProblem stands = problem.withToday(plan.weeks());
        stands.milestones().stream()
                .filter(m -> !m.isFixed() && plan.weeks().containsKey(m.id()))
                .limit(4)
                .forEach(m -> targets(stands, m.id()).stream()
                        .filter(target -> target.broken().isEmpty())
                        .forEach(target -> {
                            Map<String, Integer> after = PlanMoves.after(
                                            stands.weeks(), plan.weeks(), List.of(m.id()), target.week())
                                    .orElseThrow();
                            assertThat(new PlanChecker(stands).broken(after)).isEmpty();
                            assertThat(Planner.look(stands, after).points().total()
                                            - Planner.look(stands, plan.weeks())
                                                    .points()
                                                    .total())
                                    .isEqualTo(target.difference().total());
                        }));
    }
}
