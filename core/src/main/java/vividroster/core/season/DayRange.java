package vividroster.core.season;

import java.time.LocalDate;

/** Days that anything may be asked about or written for; beyond them lies a typing error. */
public final class DayRange {

    /** Ours: before any roster a school would bring, so that every day since fits 16 bits. */
    public static final LocalDate FIRST = LocalDate.of(2000, 1, 1);

    /** Ours. */
    public static final LocalDate LAST = LocalDate.of(2079, 12, 31);

    private DayRange() {}

    public static boolean holds(LocalDate day) {
        return !day.isBefore(FIRST) && !day.isAfter(LAST);
    }
}
