package vividroster.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;
import vividroster.core.plan.PlanMilestone.Deadline;
import vividroster.core.plan.PlanMilestone.FixedBecause;
import vividroster.core.plan.PlanMilestone.Need;
import vividroster.core.plan.PlanMilestone.Share;

/** A year by hand: one class “winds” with the sections “flute” and “horn”, unless more is said. */
final class YearBuilder {

    private final List<Boolean> closed = new ArrayList<>();
    private final Map<String, PlanMilestone> milestones = new LinkedHashMap<>();
    private final List<List<String>> sequences = new ArrayList<>();
    private final Map<String, Integer> today = new HashMap<>();
    private List<Integer> minutes = new ArrayList<>();
    private PlanRules rules = PlanRules.DEFAULT;

    /** @param minutes of each week; below 0 for a closed one */
    static YearBuilder weeks(int... minutes) {
        YearBuilder year = new YearBuilder();
        for (int there : minutes) {
            year.closed.add(there < 0);
            year.minutes.add(Math.max(0, there));
        }
        return year;
    }

    YearBuilder line(String id, int minutes, String... needs) {
        List<Need> all = new ArrayList<>();
        for (String need : needs) {
            all.add(new Need(need, 0));
        }
        milestones.put(
                id,
                new PlanMilestone(
                        id,
                        60,
                        false,
                        minutes,
                        List.of(new Share("flute", 0, 0, List.of()), new Share("horn", 0, 0, List.of())),
                        all,
                        1,
                        Optional.empty(),
                        OptionalInt.empty(),
                        FixedBecause.DATE));
        return this;
    }

    private YearBuilder change(String id, UnaryOperator<PlanMilestone> change) {
        milestones.computeIfPresent(id, (key, m) -> change.apply(m));
        return this;
    }

    YearBuilder fixed(String id, int week, FixedBecause because) {
        return change(id, m -> m.fixedIn(week, because));
    }

    YearBuilder due(String id, int week, int margin) {
        return change(id, m -> m.dueBy(Optional.of(new Deadline(week, margin))));
    }

    YearBuilder notBefore(String id, int week) {
        return change(id, m -> m.notBefore(week));
    }

    YearBuilder essential(String id) {
        return change(
                id,
                m -> new PlanMilestone(
                        id,
                        m.value(),
                        true,
                        m.teachMinutes(),
                        m.sections(),
                        m.needs(),
                        m.earliestWeek(),
                        m.deadline(),
                        m.fixedWeek(),
                        m.fixedBecause()));
    }

    /** For this section alone. */
    YearBuilder newNotes(String id, String section, String... notes) {
        Share only = new Share(section, 0, 0, List.of(notes));
        return change(id, m -> m.part(id, m.value(), List.of(only), m.needs()));
    }

    /** For one of its sections, the others stay. */
    YearBuilder alsoNewNotes(String id, String section, String... notes) {
        return change(
                id,
                m -> m.part(
                        id,
                        m.value(),
                        m.sections().stream()
                                .map(s -> s.section().equals(section)
                                        ? new Share(section, s.teachMinutes(), s.hearMinutes(), List.of(notes))
                                        : s)
                                .toList(),
                        m.needs()));
    }

    YearBuilder book(String... ids) {
        sequences.add(List.of(ids));
        return this;
    }

    YearBuilder today(String id, int week) {
        today.put(id, week);
        return this;
    }

    PlanProblem problem() {
        return new PlanProblem(
                new TeachingWeeks(closed),
                List.of(new PlanClass("winds", minutes)),
                List.of(new PlanProblem.Section("flute", "winds"), new PlanProblem.Section("horn", "winds")),
                List.copyOf(milestones.values()),
                sequences,
                rules,
                PlanPrices.balanced(),
                today);
    }

    Plan plan() {
        return Planner.plan(problem(), PlanBudget.DEFAULT);
    }
}
