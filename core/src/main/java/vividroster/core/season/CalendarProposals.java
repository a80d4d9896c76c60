package vividroster.core.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import vividroster.core.season.SchoolYear.EntryKind;

/**
 * What the events of a school's calendar would be in a year: breaks and flags, told by the words they are called. A person
 * decides; what no word tells is proposed as nothing.
 */
public final class CalendarProposals {

    /** @param last inclusive */
    public record Event(String name, LocalDate first, LocalDate last) {}

    /**
     * @param first within the year
     * @param last within the year, inclusive
     * @param kind empty where no word tells
     * @param within the name of a longer closing that holds it; empty for most
     */
    public record Proposal(
            String name, LocalDate first, LocalDate last, Optional<EntryKind> kind, Optional<String> within) {

        private boolean closes() {
            return kind.map(EntryKind::closesSchool).orElse(false);
        }

        private boolean holds(Proposal other) {
            return !other.first.isBefore(first) && !other.last.isAfter(last);
        }

        /** The school week goes on after a weekend. */
        private boolean leadsTo(Event next) {
            LocalDate after = last.plusDays(1);
            while (after.getDayOfWeek().getValue() > DayOfWeek.FRIDAY.getValue()) {
                after = after.plusDays(1);
            }
            return name.equalsIgnoreCase(next.name())
                    && !next.first().isAfter(after)
                    && next.first().isAfter(first);
        }
    }

    /**
     * @param outside how many events lie outside the year
     * @param proposals by first day
     */
    public record Found(List<Proposal> proposals, int outside) {}

    /** Tried in this order: a closing says more than what the day would have been. */
    private static final Map<EntryKind, Pattern> WORDS = new LinkedHashMap<>();

    static {
        words(EntryKind.LOST_DAY, "snow day|storm day|emergency clos\\w*|closed due to|weather clos\\w*");
        words(
                EntryKind.SHORT_DAY,
                "early (release|dismissal|out)|half[- ]day|short(ened)? day|minimum day|late start|delayed start");
        words(
                EntryKind.BREAK,
                "no (school|classes|students)|schools? closed|break|holidays?|recess|vacation|days? off|in-?service"
                        + "|professional (development|learning)|staff (development|day)|teacher work ?days?");
        words(EntryKind.FESTIVAL, "festival|contest|competition|adjudication|solo (and|&) ensemble");
        words(EntryKind.CONCERT, "concert|recital|performance|showcase");
        words(EntryKind.TESTING, "test(s|ing)?|exams?|examinations?|assessments?|finals");
        words(EntryKind.ASSEMBLY, "assembl(y|ies)|rally|convocation");
        words(EntryKind.MARKING_PERIOD, "(marking|grading) period|quarter|trimester|semester");
    }

    private static void words(EntryKind kind, String any) {
        WORDS.put(kind, Pattern.compile("\\b(" + any + ")\\b", Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE));
    }

    private CalendarProposals() {}

    /** What an event is by its name; empty where no word tells. */
    public static Optional<EntryKind> kindOf(String name) {
        return WORDS.entrySet().stream()
                .filter(words -> words.getValue().matcher(name).find())
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /**
     * Events of one name on days of school that follow one another are one; what reaches over the edge of the year is cut.
     *
     * @param first of the year
     * @param last of the year, inclusive
     */
    public static Found of(List<Event> events, LocalDate first, LocalDate last) {
        List<Event> inYear = events.stream()
                .filter(event -> !event.last().isBefore(first) && !event.first().isAfter(last))
                .distinct()
                .sorted(Comparator.comparing((Event e) -> e.name().toLowerCase(Locale.ROOT))
                        .thenComparing(Event::first))
                .toList();
        int outside = (int) events.stream()
                .filter(event -> event.last().isBefore(first) || event.first().isAfter(last))
                .count();
        List<Proposal> joined = new ArrayList<>();
        for (Event event : inYear) {
            Proposal before = joined.isEmpty() ? null : joined.getLast();
            if (before != null && before.leadsTo(event)) {
                joined.removeLast();
                joined.add(proposal(before.name(), before.first(), later(before.last(), event.last())));
            } else {
                joined.add(proposal(event.name(), event.first(), event.last()));
            }
        }
        List<Proposal> ordered = joined.stream()
                .map(p -> proposal(p.name(), later(p.first(), first), p.last().isAfter(last) ? last : p.last()))
                .sorted(Comparator.comparing(Proposal::first)
                        .thenComparing(Proposal::last, Comparator.reverseOrder())
                        .thenComparing(Proposal::name))
                .toList();
        return new Found(
                IntStream.range(0, ordered.size())
                        .mapToObj(i -> told(ordered.get(i), ordered.subList(0, i)))
                        .toList(),
                outside);
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    private static Proposal proposal(String name, LocalDate first, LocalDate last) {
        return new Proposal(name, first, last, kindOf(name), Optional.empty());
    }

    /** A closing that lies in one before it closes nothing more. */
    private static Proposal told(Proposal one, List<Proposal> before) {
        Optional<String> within = before.stream()
                .filter(other -> one.closes() && other.closes() && other.holds(one))
                .map(Proposal::name)
                .findFirst();
        return new Proposal(one.name(), one.first(), one.last(), one.kind(), within);
    }
}
