package vividroster.core.outfit;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;

/**
 * When a variant or a fit is looked at again.
 *
 * @param on the day by which it is looked at
 */
public record Review(LocalDate on) {

    /** @param weeks from the day it was given, in 1..52 */
    public static Review inWeeks(LocalDate from, int weeks) {
        if (weeks < 1 || weeks > 52) {
            throw new IllegalArgumentException("weeks until a review must be in 1..52, was " + weeks);
        }
        return new Review(from.plusWeeks(weeks));
    }

    /** Whether the day has come. */
    public boolean isDue(LocalDate today) {
        return !today.isBefore(on);
    }

    /** Whether the day has gone by. */
    public boolean isOverdue(LocalDate today) {
        return today.isAfter(on);
    }

    /** How many a podium shows; ours, what fits a glance. */
    public static final int ON_PODIUM = 6;

    /** The longest due first, equals in the order given. */
    public static <T> List<T> inOrder(Collection<T> all, Function<T, LocalDate> on) {
        return all.stream().sorted(Comparator.comparing(on)).toList();
    }

    /** Those whose day has come, the longest due first. */
    public static <T> List<T> due(Collection<T> all, Function<T, Review> review, LocalDate today) {
        return all.stream()
                .filter(one -> review.apply(one).isDue(today))
                .sorted(Comparator.comparing(one -> review.apply(one).on()))
                .toList();
    }
}
