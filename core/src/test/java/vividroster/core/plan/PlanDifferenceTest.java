package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.plan.PlanDifference.Change;
import vividroster.core.plan.PlanDifference.WeekMinutes;

/** A proposal beside the plan in force. */
class PlanDifferenceTest {

    /** The second week is lost: A stays, B moves behind it, C finds no room. */
    private static Plan proposal() {
        return YearBuilder.weeks(20, -1, 20)
                .line("A", 20)
                .line("B", 20, "A")
                .line("C", 20, "B")
                .today("A", 1)
                .today("B", 2)
                .today("C", 3)
                .plan();
    }

    @Test
    void whatMovesComesInAndFallsOut() {
        PlanDifference difference = PlanDifference.of(proposal());
        assertThat(difference.changes())
                .containsExactly(
                        new Change("B", OptionalInt.of(2), OptionalInt.of(3)),
                        new Change("C", OptionalInt.of(3), OptionalInt.empty()));
        assertThat(difference.minutes()).containsExactly(new WeekMinutes("winds", 2, 0, 20, 0));
    }

    @Test
    void takenWholeItIsTheProposal() {
        Plan proposal = proposal();
        PlanDifference.Taken taken = PlanDifference.of(proposal).take(proposal.problem(), Set.of("B", "C"));
        assertThat(taken.plan().weeks()).isEqualTo(proposal.weeks());
        assertThat(taken.plan().points()).isEqualTo(proposal.points());
        assertThat(taken.broken()).isEmpty();
    }

    @Test
    void partedItSaysWhatBreaks() {
        Plan proposal = proposal();
        PlanDifference.Taken taken = PlanDifference.of(proposal).take(proposal.problem(), Set.of("B"));
        assertThat(taken.plan().weeks()).isEqualTo(Map.of("A", 1, "B", 3, "C", 3));
        assertThat(taken.broken())
                .isEqualTo(Map.of("B", new PlanReason.Full(3, "winds"), "C", new PlanReason.Full(3, "winds")));
        PlanDifference.Taken none = PlanDifference.of(proposal).take(proposal.problem(), Set.of());
        assertThat(none.broken()).containsEntry("B", new PlanReason.NoSchool(2));
    }

    @Property(tries = 60)
    void whatIsBrokenIsWhatTheCheckerFinds(@ForAll long seed) {
        PlanProblem problem = MadeUpYear.small(seed);
        Plan proposal = Planner.plan(problem, new PlanBudget(0, 0));
        PlanDifference difference = PlanDifference.of(proposal);
        List<String> some = difference.changes().stream()
                .map(Change::milestone)
                .filter(id -> (id.hashCode() ^ seed) % 3 != 0)
                .toList();
        PlanDifference.Taken taken = difference.take(problem, Set.copyOf(some));
        // a fixed one that does not stand where it must, or not at all, is told as a trouble and no rule of a week
        Set<String> broken = new PlanChecker(problem)
                .broken(taken.plan().weeks()).stream()
                        .filter(one ->
                                !one.rule().equals("fixed") && !one.rule().equals("ring"))
                        .map(PlanChecker.Break::milestone)
                        .collect(Collectors.toSet());
        assertThat(taken.broken().keySet()).containsAll(broken);
    }
}
