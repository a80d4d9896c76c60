package vividroster.core.testing;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import vividroster.core.curriculum.Criterion;
import vividroster.core.progress.CriterionMark;
import vividroster.core.progress.RubricScore;

/**
 * The same test earlier in the year and now, of those who were heard with it on two days at least: their first try beside
 * their last. Others are left out, so that nobody new makes it look better or worse.
 *
 * @param students compared
 * @param criteria in the order of the test
 * @param better how many score more now; worse how many score less
 */
public record TestComparison(int students, List<Compared> criteria, int better, int worse) {

    public TestComparison {
        criteria = List.copyOf(criteria);
    }

    /** One student's first and last try. */
    public record Twice(UUID studentId, List<CriterionMark> before, List<CriterionMark> after) {}

    /** @param before and {@code after} points on average; 0 where nobody is compared */
    public record Compared(int ordinal, double before, double after) {}

    /** @param criteria at least one */
    public static TestComparison of(List<Criterion> criteria, Collection<Twice> twice) {
        List<Compared> compared = criteria.stream()
                .map(criterion -> new Compared(
                        criterion.ordinal(),
                        twice.stream()
                                .mapToInt(one -> points(one.before(), criterion))
                                .average()
                                .orElse(0),
                        twice.stream()
                                .mapToInt(one -> points(one.after(), criterion))
                                .average()
                                .orElse(0)))
                .toList();
        int better = 0;
        int worse = 0;
        for (Twice one : twice) {
            long more = RubricScore.of(criteria, one.after()).gained()
                    - RubricScore.of(criteria, one.before()).gained();
            better += more > 0 ? 1 : 0;
            worse += more < 0 ? 1 : 0;
        }
        return new TestComparison(twice.size(), compared, better, worse);
    }

    private static int points(List<CriterionMark> marks, Criterion criterion) {
        return marks.stream()
                .filter(mark -> mark.ordinal() == criterion.ordinal())
                .mapToInt(CriterionMark::points)
                .findFirst()
                .orElse(0);
    }
}
