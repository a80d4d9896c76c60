package vividroster.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividroster.core.plan.PlanReason.NotThere;

/** Moving things of a plan by hand: for every week whether they may stand there, why not, and what it would cost. */
public final class PlanMoves {

    /**
     * One week they could be moved to; the first of them stands there, the others as many teaching weeks from it as now.
     *
     * @param broken the first hard rule that breaks, and of whom; a rule that is broken already counts for nothing
     * @param difference of the sum when they stand there; {@link PlanPoints#NONE} where a rule breaks
     */
    public record Target(int week, Optional<Broken> broken, PlanPoints difference) {}

    /** @param milestone that breaks the rule, one of those moved or one that waits for them */
    public record Broken(String milestone, NotThere rule) {}

    private PlanMoves() {}

    /**
     * @param stands by milestone the week it stands in now
     * @param moved free ones; the first leads
     * @return one target for every week of the year
     */
    public static List<Target> targets(PlanProblem problem, Map<String, Integer> stands, List<String> moved) {
        Plan now = Planner.look(problem, stands);
        Map<String, NotThere> before = broken(now, problem.milestones());
        List<Target> targets = new ArrayList<>();
        for (int week = 1; week <= problem.weeks().count(); week++) {
            targets.add(target(problem, stands, moved, week, now, before));
        }
        return targets;
    }

    private static Target target(
            PlanProblem problem,
            Map<String, Integer> stands,
            List<String> moved,
            int week,
            Plan now,
            Map<String, NotThere> before) {
        Optional<Map<String, Integer>> after = after(problem.weeks(), stands, moved, week);
        if (after.isEmpty()) {
            return new Target(
                    week, Optional.of(new Broken(moved.getFirst(), new PlanReason.NoSchool(week))), PlanPoints.NONE);
        }
        Plan then = Planner.look(problem, after.get());
        Optional<Broken> broken = firstNew(before, broken(then, touched(problem, moved)), moved);
        return new Target(
                week,
                broken,
                broken.isPresent() ? PlanPoints.NONE : then.points().minus(now.points()));
    }

    /** The first hard rule that a change of some milestones breaks and that was kept before. */
    public static Optional<Broken> firstBroken(
            PlanProblem problem, Map<String, Integer> before, Map<String, Integer> after, List<String> moved) {
        return firstNew(
                broken(Planner.look(problem, before)),
                broken(Planner.look(problem, after), touched(problem, moved)),
                moved);
    }

    /** One that stands in a week that is too full, and where it would do better. */
    public record Remedy(String milestone, int week, PlanPoints difference) {}

    /**
     * The one move that makes an overfull week better by most, nothing else touched; empty where none does.
     *
     * @param week whose minutes do not hold what stands in it
     */
    public static Optional<Remedy> remedy(Plan plan, int week) {
        PlanReasons reasons = new PlanReasons(plan);
        List<Remedy> found = new ArrayList<>();
        for (PlanMilestone m : plan.problem().milestones()) {
            if (m.isFixed() || !Integer.valueOf(week).equals(plan.weeks().get(m.id()))) {
                continue;
            }
            for (int to = 1; to <= plan.problem().weeks().count(); to++) {
                if (to != week
                        && reasons.notIn(m.id(), to) instanceof PlanReason.Costs costs
                        && costs.difference().total() < 0) {
                    found.add(new Remedy(m.id(), to, costs.difference()));
                }
            }
        }
        return found.stream()
                .min(Comparator.comparingLong((Remedy r) -> r.difference().total())
                        .thenComparingInt(Remedy::week)
                        .thenComparing(Remedy::milestone));
    }

    private static Optional<Broken> firstNew(
            Map<String, NotThere> before, Map<String, NotThere> after, List<String> moved) {
        Set<String> order = new LinkedHashSet<>(moved);
        order.addAll(after.keySet());
        return order.stream()
                .filter(id -> after.containsKey(id) && (moved.contains(id) || !before.containsKey(id)))
                .findFirst()
                .map(id -> new Broken(id, after.get(id)));
    }

    /** Where everything stands once the first of them is in a week; empty where the year has no week for one of them. */
    public static Optional<Map<String, Integer>> after(
            TeachingWeeks weeks, Map<String, Integer> stands, List<String> moved, int week) {
        Map<String, Integer> after = new LinkedHashMap<>(stands);
        Integer lead = stands.get(moved.getFirst());
        after.put(moved.getFirst(), week);
        for (String other : moved.subList(1, moved.size())) {
            int from = stands.getOrDefault(other, week);
            int distance = lead == null ? 0 : weeks.between(lead, from);
            Optional<Integer> to = shifted(weeks, week, distance);
            if (to.isEmpty()) {
                return Optional.empty();
            }
            after.put(other, to.get());
        }
        return Optional.of(after);
    }

    /** The open week so many teaching weeks from another; the week itself for none. */
    private static Optional<Integer> shifted(TeachingWeeks weeks, int week, int distance) {
        if (distance == 0) {
            return Optional.of(week);
        }
        int wanted = weeks.taughtBy(week) + distance;
        for (int to = 1; to <= weeks.count(); to++) {
            if (weeks.isOpen(to) && weeks.taughtBy(to) == wanted) {
                return Optional.of(to);
            }
        }
        return Optional.empty();
    }

    private static List<PlanMilestone> touched(PlanProblem problem, List<String> moved) {
        return problem.milestones().stream()
                .filter(m ->
                        moved.contains(m.id()) || m.needs().stream().anyMatch(need -> moved.contains(need.milestone())))
                .toList();
    }

    private static Map<String, NotThere> broken(Plan plan, List<PlanMilestone> looked) {
        PlanReasons reasons = new PlanReasons(plan);
        Map<String, NotThere> broken = new LinkedHashMap<>();
        looked.forEach(m -> reasons.brokenBy(m.id()).ifPresent(rule -> broken.put(m.id(), rule)));
        return broken;
    }

    /** Everything of a plan that stands where a hard rule forbids it, as left by a changed calendar or torn proposals. */
    public static Map<String, NotThere> broken(Plan plan) {
        return broken(plan, plan.problem().milestones());
    }
}
