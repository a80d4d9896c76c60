package vividroster.core.testing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.UUID;
import vividroster.core.curriculum.Criterion;
import vividroster.core.progress.CriterionMark;
import vividroster.core.progress.RubricScore;

/**
 * How those stand who were heard with a test, criterion by criterion.
 *
 * @param criteria in the order of the test
 * @param weakest ordinal of the criterion with the smallest share of its points; empty where nobody was heard or all are
 *     equally strong
 * @param students in the order given
 * @param passed how many of them
 */
public record TestResults(List<OfCriterion> criteria, OptionalInt weakest, List<OfStudent> students, int passed) {

    public TestResults {
        criteria = List.copyOf(criteria);
        students = List.copyOf(students);
    }

    /** The try that counts of one student. @param marks of the criteria marked; the others have no points */
    public record Heard(UUID studentId, List<CriterionMark> marks, boolean passed) {}

    /**
     * @param counts students by points, from 0 to the most
     * @param underFloor how many are under its floor
     * @param share of its points, 0..1, on average; 0 where nobody was heard
     */
    public record OfCriterion(int ordinal, List<Integer> counts, int underFloor, double share) {}

    /**
     * @param points as the rubric scores them, to a tenth
     * @param missing points to the mark, to a tenth, 0 where it is reached
     * @param underFloor ordinals of the criteria under their floor, which no total makes up for
     */
    public record OfStudent(UUID studentId, double points, boolean passed, double missing, List<Integer> underFloor) {}

    /** @param mark fewest points that pass; 0 where no sum is asked */
    public static TestResults of(List<Criterion> criteria, int mark, Collection<Heard> heard) {
        List<OfCriterion> ofCriteria = new ArrayList<>();
        for (Criterion criterion : criteria) {
            int[] counts = new int[criterion.topPoints() + 1];
            int underFloor = 0;
            int sum = 0;
            for (Heard one : heard) {
                int points = Math.min(criterion.topPoints(), points(one).getOrDefault(criterion.ordinal(), 0));
                counts[points]++;
                sum += points;
                underFloor += criterion.isUnderFloor(points) ? 1 : 0;
            }
            ofCriteria.add(new OfCriterion(
                    criterion.ordinal(),
                    Arrays.stream(counts).boxed().toList(),
                    underFloor,
                    heard.isEmpty() ? 0 : 1.0 * sum / (heard.size() * criterion.topPoints())));
        }
        List<OfStudent> students =
                heard.stream().map(one -> student(one, criteria, mark)).toList();
        return new TestResults(ofCriteria, weakest(ofCriteria, heard.isEmpty()), students, (int)
                heard.stream().filter(Heard::passed).count());
    }

    private static OptionalInt weakest(List<OfCriterion> criteria, boolean nobody) {
        if (nobody || criteria.stream().map(OfCriterion::share).distinct().count() < 2) {
            return OptionalInt.empty();
        }
        return OptionalInt.of(criteria.stream()
                .min(Comparator.comparingDouble(OfCriterion::share).thenComparingInt(OfCriterion::ordinal))
                .orElseThrow()
                .ordinal());
    }

    private static OfStudent student(Heard one, List<Criterion> criteria, int mark) {
        RubricScore score = RubricScore.of(criteria, one.marks());
        return new OfStudent(
                one.studentId(),
                score.points(),
                one.passed(),
                score.missing(mark),
                score.underFloor().stream().map(Criterion::ordinal).toList());
    }

    private static Map<Integer, Integer> points(Heard one) {
        Map<Integer, Integer> points = new HashMap<>();
        one.marks().forEach(mark -> points.put(mark.ordinal(), mark.points()));
        return points;
    }
}
