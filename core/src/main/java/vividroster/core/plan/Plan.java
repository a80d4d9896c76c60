package vividroster.core.plan;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/**
 * Where everything of a problem stands, what it pays, and what could not be kept.
 *
 * @param weeks by milestone: the week it stands in, in the order of the problem
 * @param leftOut milestones that stand nowhere, in the order of the problem
 * @param points part by part; nothing of what is shown is not a part of this sum
 */
public record Plan(
        PlanProblem problem,
        Map<String, Integer> weeks,
        List<String> leftOut,
        PlanPoints points,
        List<PlanTrouble> troubles) {

    public OptionalInt weekOf(String milestone) {
        Integer week = weeks.get(milestone);
        return week == null ? OptionalInt.empty() : OptionalInt.of(week);
    }
}
