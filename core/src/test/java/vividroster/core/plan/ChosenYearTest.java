package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividroster.core.plan.ChosenYear.Want;
import vividroster.core.plan.PlanItem.Hold;
import vividroster.core.plan.PlanItem.Kind;
import vividroster.core.plan.PlanMilestone.FixedBecause;
import vividroster.core.plan.PlanMilestone.Need;
import vividroster.core.plan.PlanMilestone.Share;

/** What was chosen, made into what is planned. Things that are new are words; those in capitals are notes. */
class ChosenYearTest {

    private static final List<ChosenYear.Section> SECTIONS =
            List.of(new ChosenYear.Section("flute", "winds", 4, 100), new ChosenYear.Section("horn", "winds", 3, 150));

    private static PlanItem item(String id, Kind kind, Set<String> sections, OptionalInt stands, Hold hold) {
        return new PlanItem(
                id,
                kind,
                kind.isPassed() ? Optional.of("m " + id) : Optional.empty(),
                sections,
                kind.usualValue,
                false,
                kind.usualMinutes,
                true,
                kind.isPassed() ? 50 : 0,
                OptionalInt.empty(),
                Optional.empty(),
                stands,
                hold);
    }

    private static PlanItem line(String id) {
        return item(id, Kind.LINE, Set.of("flute", "horn"), OptionalInt.empty(), Hold.FREE);
    }

    private static PlanProblem problem(
            List<PlanItem> items, Map<String, Map<String, Set<String>>> uses, Want... wants) {
        return made(items, uses, Map.of(), wants).problem();
    }

    private static ChosenYear.Made made(
            List<PlanItem> items,
            Map<String, Map<String, Set<String>>> uses,
            Map<String, Set<String>> known,
            Want... wants) {
        return new ChosenYear<>(
                        new TeachingWeeks(List.of(false, false, true, false)),
                        List.of(new PlanClass("winds", List.of(50, 50, 0, 50))),
                        SECTIONS,
                        items,
                        List.of(List.of("m 1", "m 2", "m 3")),
                        uses,
                        known,
                        List.of(wants),
                        2)
                .problem(
                        PlanRules.DEFAULT,
                        PlanPrices.balanced(),
                        (milestone, section, thing) ->
                                thing.equals(thing.toUpperCase()) ? Optional.of(thing) : Optional.empty());
    }

    private static PlanMilestone of(PlanProblem problem, String id) {
        return problem.milestones().stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void minutesComeFromWhoIsHeardAndNewNotesFromThePages() {
        PlanProblem problem = problem(
                List.of(line("1"), line("2")),
                Map.of(
                        "m 1", Map.of("flute", Set.of("B", "half"), "horn", Set.of("F")),
                        "m 2", Map.of("flute", Set.of("B", "C", "half"), "horn", Set.of("G", "dotted"))));
        // Four students of 50 seconds are 3:20, said as 4 minutes; three are 2:30, so 3, and half as much again is 4.5.
        assertThat(of(problem, "1").sections())
                .containsExactly(new Share("flute", 1, 4, List.of("B")), new Share("horn", 2, 5, List.of("F")));
        assertThat(of(problem, "2").sections())
                .as("what the first line brought is not new again")
                .containsExactly(new Share("flute", 1, 4, List.of("C")), new Share("horn", 2, 5, List.of("G")));
        assertThat(of(problem, "2").needs()).containsExactly(new Need("1", 0));
        assertThat(problem.sequences()).containsExactly(List.of("1", "2"));
        assertThat(of(problem, "1").minutesIn("winds", problem.sections())).isEqualTo(8 + 1 + 4 + 2 + 5);
        assertThat(of(problem, "1").minutesIn("strings", problem.sections())).isZero();
    }

    @Test
    void aSectionHeardTogetherTakesOneTurnHoweverManyItHas() {
        PlanItem together = new PlanItem(
                "1",
                Kind.LINE,
                Optional.of("m 1"),
                Set.of("flute"),
                60,
                false,
                8,
                false,
                50,
                OptionalInt.empty(),
                Optional.empty(),
                OptionalInt.empty(),
                Hold.FREE);
        assertThat(of(problem(List.of(together), Map.of()), "1").sections())
                .containsExactly(new Share("flute", 0, 1, List.of()));
    }

    @Test
    void whatIsOrderedStaysInItsWeekAndFreeThingsBeginWhereTheYearIsFree() {
        PlanProblem problem = problem(
                List.of(
                        item("1", Kind.LINE, Set.of("flute"), OptionalInt.of(1), Hold.ORDERED),
                        item("2", Kind.LINE, Set.of("flute"), OptionalInt.of(1), Hold.FREE),
                        item("3", Kind.LINE, Set.of("flute"), OptionalInt.of(4), Hold.PINNED)),
                Map.of());
        assertThat(of(problem, "1").fixedWeek()).hasValue(1);
        assertThat(of(problem, "1").fixedBecause()).isEqualTo(FixedBecause.HEARD);
        assertThat(of(problem, "2").isFixed()).isFalse();
        assertThat(of(problem, "2").earliestWeek()).as("the first free week").isEqualTo(2);
        assertThat(of(problem, "3").fixedBecause()).isEqualTo(FixedBecause.PINNED);
        assertThat(problem.today()).isEqualTo(Map.of("1", 1, "2", 1, "3", 4));
        Plan plan = Planner.plan(problem, PlanBudget.DEFAULT);
        assertThat(plan.weeks()).containsEntry("1", 1).containsEntry("3", 4);
        assertThat(plan.weekOf("2").orElseThrow()).as("not in the past").isGreaterThanOrEqualTo(2);
    }

    @Test
    void needsReachWhoeverSharesASection() {
        PlanItem flutes = item("check", Kind.TECHNIQUE_CHECK, Set.of("flute"), OptionalInt.empty(), Hold.FREE);
        PlanProblem problem = problem(
                List.of(
                        flutes,
                        item("1", Kind.LINE, Set.of("flute"), OptionalInt.empty(), Hold.FREE),
                        item("2", Kind.LINE, Set.of("horn"), OptionalInt.empty(), Hold.FREE)),
                Map.of(),
                new Want("m 1", "flute", "m check", 1),
                new Want("m 2", "horn", "m check", 1),
                new Want("m 2", "horn", "m not chosen", 1));
        assertThat(of(problem, "1").needs()).containsExactly(new Need("check", 1));
        assertThat(of(problem, "2").needs()).as("no horn has that check").isEmpty();
    }

    @Test
    void eachSectionOfAMilestoneWalksItsOwnBook() {
        PlanProblem problem = problem(
                List.of(
                        item("1", Kind.LINE, Set.of("flute"), OptionalInt.empty(), Hold.FREE),
                        item("2", Kind.LINE, Set.of("flute"), OptionalInt.empty(), Hold.FREE),
                        item("3", Kind.LINE, Set.of("horn"), OptionalInt.empty(), Hold.FREE)),
                Map.of("m 1", Map.of("flute", Set.of("B")), "m 3", Map.of("flute", Set.of("B"), "horn", Set.of("B"))));
        assertThat(problem.sequences()).containsExactly(List.of("1", "2"));
        assertThat(of(problem, "3").needs()).isEmpty();
        assertThat(of(problem, "3").sections()).containsExactly(new Share("horn", 2, 5, List.of("B")));
    }

    @Test
    void aPieceIsNothingToPassAndAnItemIsForSomebody() {
        assertThat(of(
                                problem(
                                        List.of(item(
                                                "piece", Kind.PIECE, Set.of("flute"), OptionalInt.empty(), Hold.FREE)),
                                        Map.of()),
                                "piece")
                        .minutesIn("winds", List.of(new PlanProblem.Section("flute", "winds"))))
                .isEqualTo(20);
        assertThatThrownBy(() -> item("1", Kind.LINE, Set.of(), OptionalInt.empty(), Hold.FREE))
                .hasMessageContaining("at least one section");
        assertThatThrownBy(() -> item("1", Kind.LINE, Set.of("flute"), OptionalInt.empty(), Hold.PINNED))
                .hasMessageContaining("stands in a week");
        assertThatThrownBy(() -> new ChosenYear.Section("flute", "winds", 4, 49))
                .hasMessageContaining("was 49");
    }

    @Test
    void aLineIsHeardAloneWhereThatLeavesTimeToTeach() {
        assertThat(PlanItem.fitsAlone(60, 20, 54)).as("20 of 54 minutes").isTrue();
        assertThat(PlanItem.fitsAlone(60, 42, 69))
                .as("42 of 69 minutes, six tenths are 41.4")
                .isFalse();
        assertThat(PlanItem.fitsAlone(59, 42, 69)).as("41.3 minutes").isTrue();
        assertThat(PlanItem.fitsAlone(60, 1, 0)).isFalse();
        assertThat(new PlanClass("winds", List.of(46, 0, 69, 46, 69, 0)).usualMinutes())
                .isEqualTo(46);
        assertThat(new PlanClass("winds", List.of(0, 0)).usualMinutes()).isZero();
    }

    @Test
    void aPageThatBringsMoreThanAWeekMayHasItsWeekToItself() {
        Map<String, Map<String, Set<String>>> uses =
                Map.of("m 1", Map.of("flute", Set.of("A", "B", "C", "D")), "m 2", Map.of("flute", Set.of("E")));
        List<PlanItem> items = List.of(
                item("1", Kind.LINE, Set.of("flute"), OptionalInt.empty(), Hold.FREE),
                item("2", Kind.LINE, Set.of("flute"), OptionalInt.empty(), Hold.FREE));
        ChosenYear.Made made = made(items, uses, Map.of());
        assertThat(made.crowded()).containsExactly("1");
        assertThat(made.newNotes().get("1")).isEqualTo(Map.of("flute", List.of("A", "B", "C", "D")));
        assertThat(of(made.problem(), "1").sections())
                .as("four minutes for four notes, and the week's two places")
                .containsExactly(new Share("flute", 4, 4, List.of("A", "B")));
        Plan plan = Planner.plan(made.problem(), PlanBudget.DEFAULT);
        assertThat(plan.leftOut()).isEmpty();
        assertThat(plan.weeks().get("1")).isNotEqualTo(plan.weeks().get("2"));
        ChosenYear.Made known = made(items, uses, Map.of("flute", Set.of("A", "B", "C")));
        assertThat(known.crowded()).as("what is known before is not new").isEmpty();
        assertThat(known.newNotes().get("1")).isEqualTo(Map.of("flute", List.of("D")));
    }
}
