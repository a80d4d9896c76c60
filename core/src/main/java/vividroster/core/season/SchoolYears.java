package vividroster.core.season;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.Function;

/** Which of a programme's school years a day belongs to. */
public final class SchoolYears {

    private SchoolYears() {}

    /** @param last inclusive */
    public record Span(LocalDate first, LocalDate last) {

        public Span {
            if (!last.isAfter(first)) {
                throw new IllegalArgumentException("a school year ends after " + first + ", was " + last);
            }
        }
    }

    /**
     * The year a day lies in; of a day between two years the one to come, since a summer prepares it; after the last
     * year that one. Empty where there is no year.
     */
    public static <Y> Optional<Y> at(Collection<Y> years, Function<Y, Span> span, LocalDate day) {
        Comparator<Y> byFirst = Comparator.comparing(year -> span.apply(year).first());
        return years.stream()
                .filter(year -> !day.isAfter(span.apply(year).last()))
                .min(byFirst)
                .or(() -> years.stream().max(byFirst));
    }

    /** The year that ended last before a day. */
    public static <Y> Optional<Y> before(Collection<Y> years, Function<Y, Span> span, LocalDate day) {
        return years.stream()
                .filter(year -> span.apply(year).last().isBefore(day))
                .max(Comparator.comparing(year -> span.apply(year).last()));
    }
}
