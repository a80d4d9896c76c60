package vividroster.core.plan;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * Everything a plan is made from. Valid from its constructor: every name is known, every week is one of the year, no sum
 * runs over. What contradicts itself (a ring of needs, a date in a break) is no error of this kind: it is planned around
 * and told.
 *
 * @param sequences book orders
 * @param today the plan in force, by milestone; empty when nothing stands yet
 */
public record PlanProblem(
        TeachingWeeks weeks,
        List<PlanClass> classes,
        List<Section> sections,
        List<PlanMilestone> milestones,
        List<List<String>> sequences,
        PlanRules rules,
        PlanPrices prices,
        Map<String, Integer> today) {

    public static final int MOST_WEEKS = 160;
    public static final int MOST_CLASSES = 200;
    public static final int MOST_SECTIONS = 2_000;
    public static final int MOST_MILESTONES = 20_000;
    /** Minutes of one thing in one week, and points of one milestone. */
    public static final int MOST_NUMBER = 100_000;
    /** Of all milestones together. */
    public static final int MOST_MINUTES = 500_000_000;
    /** Room for needs, shares, new notes and places in books together. */
    public static final int MOST_ENTRIES = 400_000;

    /** A section of one class. */
    public record Section(String id, String classId) {}

    public PlanProblem {
        classes = List.copyOf(classes);
        sections = List.copyOf(sections);
        milestones = List.copyOf(milestones);
        sequences = sequences.stream().map(List::copyOf).toList();
        today = Map.copyOf(new TreeMap<>(today));
        new ProblemCheck(weeks, classes, sections, milestones, sequences, prices, today).all();
    }

    public PlanProblem with(PlanPrices other) {
        return new PlanProblem(weeks, classes, sections, milestones, sequences, rules, other, today);
    }

    public PlanProblem with(PlanRules other) {
        return new PlanProblem(weeks, classes, sections, milestones, sequences, other, prices, today);
    }

    public PlanProblem withToday(Map<String, Integer> plan) {
        return new PlanProblem(weeks, classes, sections, milestones, sequences, rules, prices, plan);
    }

    /** The same year with each milestone as it is then; what is answered as null is no longer asked for. */
    public PlanProblem withMilestones(List<PlanMilestone> others) {
        return new PlanProblem(weeks, classes, sections, others, sequences, rules, prices, today);
    }

    public PlanProblem withMilestone(String id, UnaryOperator<PlanMilestone> change) {
        return withMilestones(milestones.stream()
                .map(m -> m.id().equals(id) ? change.apply(m) : m)
                .toList());
    }

    /** All that needs a milestone, through others too, in the order of the problem. */
    public List<String> behind(String milestone) {
        Set<String> behind = new LinkedHashSet<>(Set.of(milestone));
        boolean grew = true;
        while (grew) {
            grew = false;
            for (PlanMilestone m : milestones) {
                grew |= m.needs().stream().anyMatch(need -> behind.contains(need.milestone())) && behind.add(m.id());
            }
        }
        return milestones.stream()
                .map(PlanMilestone::id)
                .filter(id -> behind.contains(id) && !id.equals(milestone))
                .toList();
    }

    public PlanProblem withClasses(List<PlanClass> others) {
        return new PlanProblem(weeks, others, sections, milestones, sequences, rules, prices, today);
    }
}
