package vividroster.core.roster;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Optional;

/** How long the names of those who left are kept; the school's own rule. */
public final class Retention {

    /** Years that can be asked for; ours, longer than any school goes. */
    public static final int MOST_YEARS = 20;

    private Retention() {}

    /**
     * Whether a student left so long ago that the name goes: every seat has ended, and the last of them more than so many
     * years before a day. Who never held a seat has not left.
     *
     * @param seats all of one student, in any class
     * @param keepYears in 1..{@link #MOST_YEARS}
     */
    public static boolean isOver(Collection<Seat> seats, int keepYears, LocalDate today) {
        if (keepYears < 1 || keepYears > MOST_YEARS) {
            throw new IllegalArgumentException("keepYears must be in 1.." + MOST_YEARS + ", was " + keepYears);
        }
        LocalDate kept = today.minusYears(keepYears);
        return !seats.isEmpty()
                && seats.stream()
                        .map(Seat::endsOn)
                        .allMatch((Optional<LocalDate> end) ->
                                end.map(kept::isAfter).orElse(false));
    }
}
