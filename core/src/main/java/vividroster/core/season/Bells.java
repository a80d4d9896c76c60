package vividroster.core.season;

import java.time.LocalTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The periods of a school's day, by campus: when each begins and how long it lasts, and so on short days. */
public record Bells(List<Bell> all) {

    public static final Bells NONE = new Bells(List.of());

    /** Ours: with four campuses of a dozen periods each. */
    public static final int MOST = 60;

    /** @param minutes length of a period or meeting, see {@link Span#SHORTEST} and {@link Span#LONGEST} */
    public record Span(LocalTime startsAt, int minutes) {

        public static final int SHORTEST = 5;
        public static final int LONGEST = 240;

        public boolean lengthIsAllowed() {
            return minutes >= SHORTEST && minutes <= LONGEST;
        }

        /** Whether it goes on into the next day. */
        public boolean runsOverMidnight() {
            return startsAt.toSecondOfDay() + minutes * 60 > 24 * 60 * 60;
        }
    }

    /**
     * @param campus empty for every campus that has none of its own for the period
     * @param onShortDays empty where the period does not meet on short days, once any period of the campus says so
     */
    public record Bell(String campus, int period, Span span, Optional<Span> onShortDays) {

        private boolean isAt(String place) {
            return campus.equalsIgnoreCase(place);
        }
    }

    public static final int FIRST_PERIOD = 0;
    public static final int LAST_PERIOD = 12;

    public Bells {
        all = all.stream()
                .sorted(Comparator.comparing(Bell::campus).thenComparing(Bell::period))
                .toList();
    }

    /** When a period of a campus is on a usual day; empty where nobody has said. */
    public Optional<Span> usual(String campus, int period) {
        return of(campus).stream()
                .filter(bell -> bell.period() == period)
                .map(Bell::span)
                .findFirst();
    }

    /**
     * When a period is on a short day.
     *
     * @param usual what it is on other days; stays where no period of the campus has a short time
     * @return empty where the period falls out
     */
    public Optional<Span> onShortDay(String campus, int period, Span usual) {
        List<Bell> here = of(campus);
        if (here.stream().noneMatch(bell -> bell.onShortDays().isPresent())) {
            return Optional.of(usual);
        }
        return here.stream().filter(bell -> bell.period() == period).findFirst().flatMap(Bell::onShortDays);
    }

    /** Those of the campus, else those of every campus. */
    private List<Bell> of(String campus) {
        List<Bell> own = all.stream().filter(bell -> bell.isAt(campus)).toList();
        return own.isEmpty() ? all.stream().filter(bell -> bell.isAt("")).toList() : own;
    }
}
