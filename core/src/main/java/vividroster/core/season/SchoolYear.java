package vividroster.core.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The school year by weeks: breaks, days off, flags and the turn of rotation days.
 *
 * <p>Weeks begin on Monday. Teaching weeks are counted from 1; a week with no school day has no number. Rotation letters
 * go round over school days only, so that a lost day does not swallow a campus's turn.
 */
public final class SchoolYear {

    /** From the first day to the last. Ours: a year and what a late spring adds to it. */
    public static final int MOST_DAYS = 400;

    /** What an entry of the calendar is. Breaks and lost days have no school; the others are flags on school days. */
    public enum EntryKind {
        BREAK,
        LOST_DAY,
        TESTING,
        CONCERT,
        FESTIVAL,
        /** Takes the place of some periods, or is only a flag. */
        ASSEMBLY,
        /** Periods are as the bells say for short days. */
        SHORT_DAY,
        /** A quarter, trimester or semester of marks. */
        MARKING_PERIOD;

        public boolean closesSchool() {
            return this == BREAK || this == LOST_DAY;
        }

        /** Whether it may take the place of some periods of its days. */
        public boolean mayTakePeriods() {
            return this == ASSEMBLY || this == TESTING;
        }
    }

    /**
     * @param last inclusive
     * @param periods that do not meet on its days; empty for most
     */
    public record Entry(EntryKind kind, String name, LocalDate first, LocalDate last, Set<Integer> periods) {
        public Entry {
            if (last.isBefore(first)) {
                throw new IllegalArgumentException(name + " must end on or after " + first + ", was " + last);
            }
            periods = Set.copyOf(periods);
        }

        public Entry(EntryKind kind, String name, LocalDate first, LocalDate last) {
            this(kind, name, first, last, Set.of());
        }

        boolean covers(LocalDate day) {
            return !day.isBefore(first) && !day.isAfter(last);
        }
    }

    /**
     * @param number teaching week from 1; empty in a break
     * @param monday first day of the week, whether or not school meets
     */
    public record Week(Optional<Integer> number, LocalDate monday, List<LocalDate> schoolDays) {
        public LocalDate friday() {
            return monday.plusDays(4);
        }

        public boolean covers(LocalDate day) {
            return !day.isBefore(monday) && day.isBefore(monday.plusDays(7));
        }
    }

    private final LocalDate first;
    private final LocalDate last;
    private final List<Entry> entries;
    private final List<String> rotation;
    private final Bells bells;
    private final List<Week> weeks;
    private final Map<LocalDate, String> letters;

    /**
     * @param last inclusive, at most {@link #MOST_DAYS} after {@code first}
     * @param rotation letters in turn, for example A, B; empty where every class meets every day
     */
    public SchoolYear(LocalDate first, LocalDate last, List<Entry> entries, List<String> rotation, Bells bells) {
        if (!last.isAfter(first) || last.isAfter(first.plusDays(MOST_DAYS))) {
            throw new IllegalArgumentException(
                    "a school year ends 1 to " + MOST_DAYS + " days after " + first + ", was " + last);
        }
        this.first = first;
        this.last = last;
        this.entries = entries.stream()
                .sorted(Comparator.comparing(Entry::first).thenComparing(Entry::last))
                .toList();
        this.rotation = List.copyOf(rotation);
        this.bells = bells;
        this.weeks = countWeeks();
        this.letters = dealLetters();
    }

    /** A year whose periods nobody has laid. */
    public SchoolYear(LocalDate first, LocalDate last, List<Entry> entries, List<String> rotation) {
        this(first, last, entries, rotation, Bells.NONE);
    }

    private Map<LocalDate, String> dealLetters() {
        Map<LocalDate, String> dealt = new HashMap<>();
        if (!rotation.isEmpty()) {
            List<LocalDate> days =
                    first.datesUntil(last.plusDays(1)).filter(this::isSchoolDay).toList();
            for (int i = 0; i < days.size(); i++) {
                dealt.put(days.get(i), rotation.get(i % rotation.size()));
            }
        }
        return dealt;
    }

    private List<Week> countWeeks() {
        List<Week> counted = new ArrayList<>();
        int number = 0;
        for (LocalDate monday = first.with(DayOfWeek.MONDAY); !monday.isAfter(last); monday = monday.plusWeeks(1)) {
            List<LocalDate> days = monday.datesUntil(monday.plusDays(7))
                    .filter(this::isSchoolDay)
                    .toList();
            counted.add(new Week(days.isEmpty() ? Optional.empty() : Optional.of(++number), monday, days));
        }
        return List.copyOf(counted);
    }

    public LocalDate first() {
        return first;
    }

    public LocalDate last() {
        return last;
    }

    public List<Entry> entries() {
        return entries;
    }

    /**
     * The week of the next school day after a day, counted from 1; all weeks before it are past. The last where there is
     * none.
     */
    public int weekOfNextSchoolDay(LocalDate after) {
        List<Week> weeks = weeks();
        for (int i = 0; i < weeks.size(); i++) {
            if (weeks.get(i).schoolDays().stream().anyMatch(day -> day.isAfter(after))) {
                return i + 1;
            }
        }
        return weeks.size();
    }

    public List<Week> weeks() {
        return weeks;
    }

    public boolean isSchoolDay(LocalDate day) {
        return !day.isBefore(first)
                && !day.isAfter(last)
                && day.getDayOfWeek().getValue() <= DayOfWeek.FRIDAY.getValue()
                && entries.stream().noneMatch(e -> e.kind().closesSchool() && e.covers(day));
    }

    /** The name of what closes school on a day; empty where nothing of the calendar does. */
    public Optional<String> closedFor(LocalDate day) {
        return entries.stream()
                .filter(entry -> entry.kind().closesSchool() && entry.covers(day))
                .map(Entry::name)
                .findFirst();
    }

    /** The rotation letter of a school day; empty on other days and where there is no rotation. */
    public Optional<String> rotationOn(LocalDate day) {
        return Optional.ofNullable(letters.get(day));
    }

    public boolean isShort(LocalDate day) {
        return isSchoolDay(day) && entries.stream().anyMatch(e -> e.kind() == EntryKind.SHORT_DAY && e.covers(day));
    }

    /** Whether something at school takes the place of this period on a day. */
    public boolean isTaken(int period, LocalDate day) {
        return entries.stream()
                .anyMatch(e -> e.kind().mayTakePeriods() && e.periods().contains(period) && e.covers(day));
    }

    public Bells bells() {
        return bells;
    }

    public List<String> rotation() {
        return rotation;
    }

    /** The Monday after a day; the first day of a year that has not begun. */
    public LocalDate nextMonday(LocalDate day) {
        return day.isBefore(first) ? first : weekOf(day).monday().plusWeeks(1);
    }

    /** The week a day falls in; the first or last week for days outside the year. */
    public Week weekOf(LocalDate day) {
        if (day.isBefore(weeks.getFirst().monday())) {
            return weeks.getFirst();
        }
        return weeks.stream().filter(week -> week.covers(day)).findFirst().orElse(weeks.getLast());
    }
}
