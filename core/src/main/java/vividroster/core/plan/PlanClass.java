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

    /** Of a usual week it meets in, the lower one in the middle; 0 where it never meets. */
    public int usualMinutes() {
        List<Integer> met = minutes.stream().filter(m -> m > 0).sorted().toList();
        return met.isEmpty() ? 0 : met.get((met.size() - 1) / 2);
    }

    /** Minutes of the whole year. */
    public long yearMinutes() {
        return minutes.stream().mapToLong(Integer::longValue).sum();
    }
}
