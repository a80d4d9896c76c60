package vividroster.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import vividroster.core.season.SchoolYear.Entry;
import vividroster.core.season.SchoolYear.EntryKind;

/**
 * A school year as a director types it.
 *
 * @param rotation letters in turn; empty where every class meets on its weekdays whatever the turn
 */
public record YearDraft(
        String name,
        LocalDate first,
        LocalDate last,
        List<String> rotation,
        List<EntryDraft> entries,
        List<Bells.Bell> bells) {

    /** Ours: a year has some forty weeks, and hardly five things in one. */
    public static final int MOST_ENTRIES = 200;

    /** Ours: rotations of six and of eight days are known. */
    public static final int MOST_LETTERS = 10;

    private static final int LONGEST_LETTER = 4;

    /**
     * @param last inclusive
     * @param periods whose place it takes
     */
    public record EntryDraft(EntryKind kind, String name, LocalDate first, LocalDate last, Set<Integer> periods) {

        public EntryDraft {
            periods = Set.copyOf(periods);
        }

        public EntryDraft(EntryKind kind, String name, LocalDate first, LocalDate last) {
            this(kind, name, first, last, Set.of());
        }

        private boolean runsBackwards() {
            return last.isBefore(first);
        }

        private boolean shares(EntryDraft other) {
            return !first.isAfter(other.last) && !other.first.isAfter(last);
        }
    }

    /** Another year of the programme. */
    public record Other(String name, SchoolYears.Span span) {}

    public YearDraft {
        rotation = List.copyOf(rotation);
        entries = List.copyOf(entries);
        bells = List.copyOf(bells);
    }

    /** A year whose periods nobody has laid. */
    public YearDraft(String name, LocalDate first, LocalDate last, List<String> rotation, List<EntryDraft> entries) {
        this(name, first, last, rotation, entries, List.of());
    }

    /** A year that is one, as it would be typed. */
    public static YearDraft of(String name, SchoolYear year, List<String> rotation) {
        return new YearDraft(
                name,
                year.first(),
                year.last(),
                rotation,
                year.entries().stream()
                        .map(entry -> new EntryDraft(
                                entry.kind(), entry.name(), entry.first(), entry.last(), entry.periods()))
                        .toList(),
                year.bells().all());
    }

    /** The same year with other breaks and flags. */
    public YearDraft with(List<EntryDraft> others) {
        return new YearDraft(name, first, last, rotation, others, bells);
    }

    /** Everything that stands in the way of its being a year, in the order it was typed; empty where nothing does. */
    public List<YearFault> faults(Collection<Other> others) {
        List<YearFault> faults = new ArrayList<>();
        if (name.isBlank()) {
            faults.add(new YearFault.NoName());
        }
        if (!last.isAfter(first)) {
            faults.add(new YearFault.EndsBeforeItBegins(first));
            return faults;
        }
        if (last.isAfter(first.plusDays(SchoolYear.MOST_DAYS))) {
            faults.add(new YearFault.TooLong(SchoolYear.MOST_DAYS));
            return faults;
        }
        others.stream()
                .filter(other -> !first.isAfter(other.span().last())
                        && !other.span().first().isAfter(last))
                .map(other -> new YearFault.RunsInto(
                        other.name(), other.span().first(), other.span().last()))
                .forEach(faults::add);
        addLetters(faults);
        addEntries(faults);
        addBells(faults);
        if (faults.isEmpty()
                && toYear().weeks().stream().allMatch(week -> week.schoolDays().isEmpty())) {
            faults.add(new YearFault.NoSchoolDay());
        }
        return faults;
    }

    private void addLetters(List<YearFault> faults) {
        if (rotation.size() == 1) {
            faults.add(new YearFault.OneLetter());
        }
        if (rotation.size() > MOST_LETTERS) {
            faults.add(new YearFault.TooManyLetters(MOST_LETTERS));
        }
        Set<String> seen = new HashSet<>();
        rotation.stream()
                .filter(letter -> letter.isBlank() || letter.length() > LONGEST_LETTER || !seen.add(letter))
                .map(YearFault.Letter::new)
                .forEach(faults::add);
    }

    private void addBells(List<YearFault> faults) {
        if (bells.size() > Bells.MOST) {
            faults.add(new YearFault.TooManyBells(Bells.MOST));
            return;
        }
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < bells.size(); i++) {
            Bells.Bell bell = bells.get(i);
            if (bell.period() < Bells.FIRST_PERIOD || bell.period() > Bells.LAST_PERIOD) {
                faults.add(new YearFault.BellOfNoPeriod(i));
            }
            if (!seen.add(bell.campus().toLowerCase(Locale.ROOT) + "\n" + bell.period())) {
                faults.add(new YearFault.BellTwice(i, bell.period(), bell.campus()));
            }
            int place = i;
            Stream.concat(Stream.of(bell.span()), bell.onShortDays().stream()).forEach(span -> {
                if (!span.lengthIsAllowed()) {
                    faults.add(new YearFault.BellTooLongOrShort(place));
                } else if (span.runsOverMidnight()) {
                    faults.add(new YearFault.BellOverMidnight(place, bell.period()));
                }
            });
        }
    }

    private void addEntries(List<YearFault> faults) {
        if (entries.size() > MOST_ENTRIES) {
            faults.add(new YearFault.TooManyEntries(MOST_ENTRIES));
            return;
        }
        for (int i = 0; i < entries.size(); i++) {
            EntryDraft entry = entries.get(i);
            if (entry.name().isBlank()) {
                faults.add(new YearFault.EntryWithoutName(i));
            }
            if (entry.runsBackwards()) {
                faults.add(new YearFault.EntryEndsBeforeItBegins(i, entry.name()));
            } else if (entry.last().isBefore(first) || entry.first().isAfter(last)) {
                faults.add(new YearFault.EntryOutside(i, entry.name()));
            }
            if (!entry.periods().isEmpty() && !entry.kind().mayTakePeriods()) {
                faults.add(new YearFault.TakesNoPeriods(i, entry.name()));
            }
            if (entry.periods().stream().anyMatch(p -> p < Bells.FIRST_PERIOD || p > Bells.LAST_PERIOD)) {
                faults.add(new YearFault.EntryOfNoPeriod(i));
            }
            for (EntryDraft before : entries.subList(0, i)) {
                addClash(faults, i, entry, before);
            }
        }
    }

    private static void addClash(List<YearFault> faults, int place, EntryDraft entry, EntryDraft before) {
        if (entry.equals(before)) {
            faults.add(new YearFault.EntryTwice(place, entry.name()));
        } else if (excludes(entry.kind(), before.kind())
                && !entry.runsBackwards()
                && !before.runsBackwards()
                && entry.shares(before)) {
            LocalDate day = entry.first().isAfter(before.first()) ? entry.first() : before.first();
            faults.add(
                    entry.kind().closesSchool()
                            ? new YearFault.ClosedTwice(place, entry.name(), before.name(), day)
                            : new YearFault.MarkedTwice(place, entry.name(), before.name(), day));
        }
    }

    /** Nothing closes school twice on a day, and marks are given for one period at a time. */
    private static boolean excludes(EntryKind one, EntryKind other) {
        return one.closesSchool() && other.closesSchool()
                || one == EntryKind.MARKING_PERIOD && other == EntryKind.MARKING_PERIOD;
    }

    /** @throws IllegalArgumentException where {@link #faults} finds one that leaves no calendar */
    public SchoolYear toYear() {
        return new SchoolYear(
                first,
                last,
                entries.stream()
                        .map(entry ->
                                new Entry(entry.kind(), entry.name(), entry.first(), entry.last(), entry.periods()))
                        .toList(),
                rotation,
                new Bells(bells));
    }
}
