package vividroster.core.grading;

import java.time.LocalDate;
import java.util.List;

/**
 * A stretch of the school year that is graded together.
 *
 * @param first and {@code last} day, both included
 */
public record MarkingPeriod(String name, LocalDate first, LocalDate last) {

    /** Of one year; ours: a grade every month. */
    public static final int MOST = 12;

    public MarkingPeriod {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a marking period needs a name");
        }
        if (last.isBefore(first)) {
            throw new IllegalArgumentException("last must not be before first, was " + last + " after " + first);
        }
    }

    public boolean holds(LocalDate day) {
        return !day.isBefore(first) && !day.isAfter(last);
    }

    /** @throws IllegalArgumentException where two share a day or a name, or there are too many */
    public static void checked(List<MarkingPeriod> periods) {
        if (periods.size() > MOST) {
            throw new IllegalArgumentException("periods must be at most " + MOST + ", were " + periods.size());
        }
        for (int i = 0; i < periods.size(); i++) {
            for (int j = 0; j < i; j++) {
                MarkingPeriod a = periods.get(j);
                MarkingPeriod b = periods.get(i);
                if (a.name().equalsIgnoreCase(b.name())) {
                    throw new IllegalArgumentException("two of the periods are called \"" + a.name() + "\"");
                }
                if (!a.last().isBefore(b.first()) && !b.last().isBefore(a.first())) {
                    throw new IllegalArgumentException(
                            "periods must not share a day, \"" + a.name() + "\" and \"" + b.name() + "\" do");
                }
            }
        }
    }
}
