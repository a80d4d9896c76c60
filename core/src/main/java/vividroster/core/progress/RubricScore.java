package vividroster.core.progress;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Rubric;

/**
 * What the points of a try come to when each criterion counts by its weight. Told on the scale of the plain sum, so that
 * a mark keeps its meaning when weights are given: with equal weights it is the sum; with others it is the weighted
 * share of the points, times the most points there are. Weights scale out. Kept as whole numbers, so that whether a mark
 * is reached is exact.
 *
 * @param gained weight times points, summed, times the most points
 * @param whole weight times best points, summed; at least 1
 * @param most points there are
 * @param underFloor criteria under their floor, in order; no total makes up for them
 */
public record RubricScore(long gained, long whole, int most, List<Criterion> underFloor) {

    public RubricScore {
        underFloor = List.copyOf(underFloor);
    }

    /** A criterion without a mark has no points; points over its best are its best. @param criteria at least one */
    public static RubricScore of(List<Criterion> criteria, List<CriterionMark> marks) {
        if (criteria.isEmpty()) {
            throw new IllegalArgumentException("a score needs a criterion");
        }
        Map<Integer, Integer> points = new HashMap<>();
        marks.forEach(mark -> points.put(mark.ordinal(), mark.points()));
        int most = Rubric.most(criteria);
        long gained = 0;
        for (Criterion criterion : criteria) {
            gained += (long) worth(criteria, criterion)
                    * Math.min(criterion.topPoints(), points.getOrDefault(criterion.ordinal(), 0));
        }
        return new RubricScore(
                gained,
                whole(criteria),
                most,
                criteria.stream()
                        .filter(criterion -> criterion.isUnderFloor(points.getOrDefault(criterion.ordinal(), 0)))
                        .toList());
    }

    /** What one point in a criterion adds to {@link #gained()}. */
    public static int worth(List<Criterion> criteria, Criterion criterion) {
        return criterion.weight() * Rubric.most(criteria);
    }

    /** What {@link #gained()} is divided by to come to points. */
    public static long whole(List<Criterion> criteria) {
        return criteria.stream()
                .mapToLong(criterion -> (long) criterion.weight() * criterion.topPoints())
                .sum();
    }

    /** Of all there is, 0..1. */
    public double share() {
        return 1.0 * gained / (whole * most);
    }

    /** Points in tenths, rounded down, so that what is short of a mark never reads like it. */
    public double points() {
        return Math.floorDiv(gained * 10, whole) / 10.0;
    }

    public boolean reaches(int mark) {
        return gained >= mark * whole;
    }

    /** Points in tenths that are short of a mark, rounded up; 0 where it is reached. */
    public double missing(int mark) {
        return reaches(mark) ? 0 : Math.ceilDiv((mark * whole - gained) * 10, whole) / 10.0;
    }

    /** Whether it passes: the mark reached and every floor kept. */
    public boolean passes(int mark) {
        return reaches(mark) && underFloor.isEmpty();
    }
}
