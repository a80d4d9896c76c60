package vividroster.core.plan;

import java.util.ArrayList;
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

    /** Minutes of a class in each week, from week 1: wanted by what stands there, and an even share of the year. */
    public List<Load> loads(String classId) {
        Compiled c = new Compiled(problem);
        int k = 0;
        while (!c.classId(k).equals(classId)) {
            k++;
        }
        int[] wanted = PlanDifference.minutesByWeek(problem, weeks)[k];
        List<Load> loads = new ArrayList<>();
        for (int week = 1; week <= c.weeks; week++) {
            loads.add(new Load(wanted[week], c.share[k * c.weeks + week - 1]));
        }
        return loads;
    }

    /** @param share floor of the minutes there are, as full as the year is on the whole */
    public record Load(int wanted, int share) {}

    public OptionalInt weekOf(String milestone) {
        Integer week = weeks.get(milestone);
        return week == null ? OptionalInt.empty() : OptionalInt.of(week);
    }
}
