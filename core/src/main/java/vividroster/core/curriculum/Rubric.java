package vividroster.core.curriculum;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * What a playing test is scored on. A test keeps the criteria it was built with: an edit of the rubric never changes a
 * test that was heard.
 *
 * @param criteria in order, numbered from 1
 * @param mark points that pass, 1..{@link #most()}
 */
public record Rubric(String name, List<Criterion> criteria, int mark) {

    /** So many are scored while a student plays; more nobody hears at once. Ours, to be tuned. */
    public static final int MOST_CRITERIA = 9;

    /** One digit marks a criterion while a student plays. */
    public static final int MOST_POINTS = 9;

    public Rubric {
        criteria = List.copyOf(criteria);
        if (name.isBlank()) {
            throw new IllegalArgumentException("a rubric needs a name");
        }
        if (criteria.isEmpty() || criteria.size() > MOST_CRITERIA) {
            throw new IllegalArgumentException("criteria must be 1.." + MOST_CRITERIA + ", were " + criteria.size());
        }
        Set<String> names = new HashSet<>();
        int ordinal = 0;
        for (Criterion criterion : criteria) {
            if (criterion.ordinal() != ++ordinal) {
                throw new IllegalArgumentException(
                        "criteria must be numbered from 1 on, " + ordinal + " was " + criterion.ordinal());
            }
            if (criterion.topPoints() > MOST_POINTS) {
                throw new IllegalArgumentException("topPoints of \"" + criterion.name() + "\" must be in 1.."
                        + MOST_POINTS + ", so that one digit marks it, was " + criterion.topPoints());
            }
            if (!names.add(criterion.name().strip().toLowerCase(Locale.ROOT))) {
                throw new IllegalArgumentException("two criteria are called \"" + criterion.name() + "\"");
            }
        }
        int most = most(criteria);
        if (mark < 1 || mark > most) {
            throw new IllegalArgumentException("mark must be in 1.." + most + ", was " + mark);
        }
    }

    /** The most points there are: the sum of the best levels, whatever the weights. */
    public int most() {
        return most(criteria);
    }

    public static int most(List<Criterion> criteria) {
        return criteria.stream().mapToInt(Criterion::topPoints).sum();
    }
}
