package vividroster.core.outfit;

import java.time.LocalDate;

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
}
