package vividroster.core.plan;

import java.util.List;

/**
 * A class as the planner sees it.
 *
 * @param minutes for method work in each calendar week, 0 where it does not meet
 */
public record PlanClass(String id, List<Integer> minutes) {

    public PlanClass {
        minutes = List.copyOf(minutes);
    }

    /** Minutes of the whole year. */
    public long yearMinutes() {
        return minutes.stream().mapToLong(Integer::longValue).sum();
    }
}
