package vividroster.core.testing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vividroster.core.curriculum.Criterion;
import vividroster.core.progress.CriterionMark;

/**
 * Whether two scores of one playing should be talked over: a criterion two points apart or more, or one passes it and the
 * other does not. Source: how two listeners compare notes.
 *
 * @param apart ordinals of the criteria that are so far apart, in order
 * @param passDiffers whether one score passes and the other does not
 * @param proposed the mean of both for each criterion, half a point up
 */
public record Moderation(List<Integer> apart, boolean passDiffers, List<CriterionMark> proposed) {

    private static final int FAR = 2;

    public Moderation {
        apart = List.copyOf(apart);
        proposed = List.copyOf(proposed);
    }

    public boolean isNeeded() {
        return !apart.isEmpty() || passDiffers;
    }

    /** @param firstPasses whether the first score passes; secondPasses whether the second does */
    public static Moderation of(
            List<Criterion> criteria,
            List<CriterionMark> first,
            List<CriterionMark> second,
            boolean firstPasses,
            boolean secondPasses) {
        Map<Integer, Integer> one = points(first);
        Map<Integer, Integer> other = points(second);
        List<Integer> apart = new ArrayList<>();
        List<CriterionMark> proposed = new ArrayList<>();
        for (Criterion criterion : criteria) {
            int a = one.getOrDefault(criterion.ordinal(), 0);
            int b = other.getOrDefault(criterion.ordinal(), 0);
            if (Math.abs(a - b) >= FAR) {
                apart.add(criterion.ordinal());
            }
            proposed.add(new CriterionMark(criterion.ordinal(), Math.min(criterion.topPoints(), (a + b + 1) / 2)));
        }
        return new Moderation(apart, firstPasses != secondPasses, proposed);
    }

    private static Map<Integer, Integer> points(List<CriterionMark> marks) {
        Map<Integer, Integer> points = new HashMap<>();
        marks.forEach(mark -> points.put(mark.ordinal(), mark.points()));
        return points;
    }
}
