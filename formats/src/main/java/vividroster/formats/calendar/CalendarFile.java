package vividroster.formats.calendar;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.transform.recurrence.Frequency;
import vividroster.core.season.CalendarProposals.Event;
import vividroster.core.season.DayRange;
import vividroster.core.text.Lengths;
import vividroster.formats.csv.UnreadableFileException;

/** A school's calendar as an iCalendar file (RFC 5545), read by days at the school. Nothing it names is fetched. */
public final class CalendarFile {

    public static final int MOST_BYTES = 5 * 1024 * 1024;
    public static final int MOST_EVENTS = 10_000;

    /** Of all events with their repetitions. Ours: thirty things on each day of a year. */
    public static final int MOST_DAYS = 12_000;

    private static final Set<Frequency> BY_DAYS =
            EnumSet.of(Frequency.DAILY, Frequency.WEEKLY, Frequency.MONTHLY, Frequency.YEARLY);

    private CalendarFile() {}

    /**
     * @param events within the days asked for, repetitions each for itself
     * @param unread how many events have no day that can be read
     */
    public record Read(List<Event> events, int unread) {}

    /**
     * @param first from this day on, inclusive; repetitions outside are not counted
     * @param last to this day, inclusive
     * @param zone of the school, in which a moment is a day
     * @throws UnreadableFileException with a sentence, when it is no calendar or a far too large one
     */
    public static Read read(byte[] bytes, LocalDate first, LocalDate last, ZoneId zone) throws UnreadableFileException {
        if (bytes.length > MOST_BYTES) {
            throw new UnreadableFileException(
                    "The file is larger than 5 MB, more than any school's calendar. Export the"
                            + " days of this year only; nothing was changed.");
        }
        List<VEvent> events = parse(bytes).getComponents(Component.VEVENT);
        if (events.size() > MOST_EVENTS) {
            throw new UnreadableFileException("The calendar has " + events.size() + " events; at most " + MOST_EVENTS
                    + " are read. Export the days of this year only; nothing was changed.");
        }
        if (events.isEmpty()) {
            throw new UnreadableFileException("The calendar holds no events. Nothing was changed.");
        }
        List<Event> read = new ArrayList<>();
        int unread = 0;
        for (VEvent event : events) {
            List<Event> days = days(event, first, last, zone);
            unread += days.isEmpty() && whole(event, zone).isEmpty() ? 1 : 0;
            read.addAll(days);
            if (read.size() > MOST_DAYS) {
                throw new UnreadableFileException("The events of the calendar repeat on more than " + MOST_DAYS
                        + " days. Export the school's own calendar only; nothing was changed.");
            }
        }
        return new Read(List.copyOf(read), unread);
    }

    private static Calendar parse(byte[] bytes) throws UnreadableFileException {
        String head =
                new String(bytes, 0, Math.min(bytes.length, 2_000), StandardCharsets.UTF_8).toUpperCase(Locale.ROOT);
        if (!head.contains("BEGIN:VCALENDAR")) {
            throw new UnreadableFileException(
                    "This file is no calendar: it does not begin with BEGIN:VCALENDAR. Export the"
                            + " school's calendar as .ics and choose that file; nothing was changed.");
        }
        try {
            return new CalendarBuilder().build(new ByteArrayInputStream(bytes));
        } catch (ParserException e) {
            throw new UnreadableFileException("The calendar cannot be read from line " + e.getLineNo()
                    + " on. Export it again; nothing was changed.");
        } catch (IOException | RuntimeException e) {
            // The library throws what its parts throw for values that make no sense.
            throw new UnreadableFileException(
                    "The calendar is written in a way that cannot be read. Export it again; nothing was changed.");
        }
    }

    /** The days of an event and of its repetitions, those that touch the days asked for. */
    private static List<Event> days(VEvent event, LocalDate first, LocalDate last, ZoneId zone) {
        Optional<Event> whole = whole(event, zone);
        if (whole.isEmpty()) {
            return List.of();
        }
        Event one = whole.get();
        Optional<RRule<Temporal>> rule = event.getProperty(Property.RRULE);
        boolean repeats =
                rule.isPresent() && BY_DAYS.contains(rule.get().getRecur().getFrequency());
        if (!repeats || one.first().isAfter(last)) {
            return List.of(one);
        }
        long length = one.first().until(one.last(), ChronoUnit.DAYS);
        try {
            LocalDate from = one.first().isAfter(first) ? one.first() : first.minusDays(length + 1);
            return event
                    .calculateRecurrenceSet(new Period<>(moment(event, from), moment(event, last.plusDays(1))))
                    .stream()
                    .map(period -> day(period.getStart(), zone))
                    .flatMap(Optional::stream)
                    .distinct()
                    .map(day -> new Event(one.name(), day, day.plusDays(length)))
                    .toList();
        } catch (RuntimeException e) {
            // A rule that cannot be worked out: its first time is still told.
            return List.of(one);
        }
    }

    /** The start of a day in the kind of moment the event has. */
    private static Temporal moment(VEvent event, LocalDate day) {
        Temporal start = event.<Temporal>getStartDate().orElseThrow().getDate();
        return switch (start) {
            case ZonedDateTime zoned -> day.atStartOfDay(zoned.getZone());
            case OffsetDateTime offset -> day.atStartOfDay().atOffset(offset.getOffset());
            case Instant instant -> day.atStartOfDay(ZoneOffset.UTC).toInstant();
            case LocalDateTime local -> day.atStartOfDay();
            default -> day;
        };
    }

    /** Without repetitions; empty where it has no day. */
    private static Optional<Event> whole(VEvent event, ZoneId zone) {
        try {
            Optional<LocalDate> start =
                    event.<Temporal>getStartDate().map(DtStart::getDate).flatMap(at -> day(at, zone));
            if (start.isEmpty() || !DayRange.holds(start.get())) {
                return Optional.empty();
            }
            LocalDate end = event.<Temporal>getEndDate()
                    .map(DtEnd::getDate)
                    .flatMap(at -> lastDay(at, zone))
                    .filter(day -> !day.isBefore(start.get()))
                    .filter(DayRange::holds)
                    .orElse(start.get());
            return Optional.of(new Event(name(event), start.get(), end));
        } catch (RuntimeException e) {
            return Optional.empty();
        }
    }

    private static String name(VEvent event) {
        String name = event.getProperty(Property.SUMMARY)
                .map(Property::getValue)
                .orElse("")
                .replaceAll("[\\p{Cntrl}\uFFFD]+", " ")
                .strip();
        if (name.isEmpty()) {
            return "Without a name";
        }
        return name.length() <= Lengths.NAME
                ? name
                : name.substring(0, name.offsetByCodePoints(0, name.codePointCount(0, Lengths.NAME - 1)));
    }

    private static Optional<LocalDate> day(Temporal at, ZoneId zone) {
        try {
            return Optional.of(local(at, zone).toLocalDate());
        } catch (DateTimeException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** An end is exclusive: a whole day ends on the day before, and so does what ends at midnight. */
    private static Optional<LocalDate> lastDay(Temporal end, ZoneId zone) {
        try {
            LocalDateTime at = local(end, zone);
            return Optional.of(
                    at.toLocalTime().equals(LocalTime.MIDNIGHT)
                            ? at.toLocalDate().minusDays(1)
                            : at.toLocalDate());
        } catch (DateTimeException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static LocalDateTime local(Temporal at, ZoneId zone) {
        return switch (at) {
            case LocalDate day -> day.atStartOfDay();
            case LocalDateTime floating -> floating;
            case ZonedDateTime zoned -> zoned.withZoneSameInstant(zone).toLocalDateTime();
            case OffsetDateTime offset -> offset.atZoneSameInstant(zone).toLocalDateTime();
            case Instant instant -> instant.atZone(zone).toLocalDateTime();
            default -> throw new IllegalArgumentException("no day in a " + at.getClass());
        };
    }
}
