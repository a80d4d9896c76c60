package vividroster.server.roster;

import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import vividroster.core.season.Bells;
import vividroster.core.season.MeetingFault;
import vividroster.core.season.MeetingPattern;
import vividroster.core.season.MeetingPattern.Slot;

/** When a class meets in words, why it cannot, and the field that is about. */
final class MeetingWording {

    private MeetingWording() {}

    /** "A-days, period 2", "Mondays and Thursdays, period 3; Fridays, period 1". */
    static String when(MeetingPattern pattern) {
        return pattern.slots().stream().map(MeetingWording::when).collect(Collectors.joining("; "));
    }

    private static String when(Slot slot) {
        String days = slot.weekdays().isEmpty()
                ? ""
                : slot.weekdays().stream().map(MeetingWording::plural).collect(Collectors.joining(" and "));
        String letters = slot.letters().isEmpty()
                ? ""
                : slot.letters().stream().map(letter -> letter + "-days").collect(Collectors.joining(" and "));
        return List.of(days, letters, "period " + slot.period()).stream()
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
    }

    private static String plural(DayOfWeek day) {
        return day.getDisplayName(TextStyle.FULL, Locale.ENGLISH) + "s";
    }

    static String sentence(MeetingFault fault) {
        return switch (fault) {
            case MeetingFault.MeetsOnNoDay none -> "Say when the class meets; without a time it is on no day.";
            case MeetingFault.TooMany tooMany -> "A class has at most " + tooMany.most() + " times of meeting.";
            case MeetingFault.NoSuchPeriod none ->
                "Periods go from " + Bells.FIRST_PERIOD + " to " + Bells.LAST_PERIOD + ".";
            case MeetingFault.TooLongOrShort length ->
                "A class meets for " + Bells.Span.SHORTEST + " to " + Bells.Span.LONGEST + " minutes.";
            case MeetingFault.OverMidnight over ->
                "A meeting that starts at " + over.startsAt() + " and lasts " + over.minutes()
                        + " minutes runs over midnight; look at the start again.";
            case MeetingFault.OnAWeekend weekend -> "School meets from Monday to Friday.";
            case MeetingFault.NoSuchLetter letter ->
                letter.known().isEmpty()
                        ? "This school year has no letters; \"" + letter.letter()
                                + "\" would be on no day. Give the year" + " its letters first, or leave it blank."
                        : "\"" + letter.letter() + "\" is no day of this school year, which turns "
                                + String.join(", ", letter.known()) + ".";
            case MeetingFault.TwiceOnADay twice ->
                "This time and time " + (twice.other() + 1)
                        + " may fall on one day; a class meets once on a day. Give them different days.";
        };
    }

    /** A slot is named by its place, as in {@code meets[2].minutes}. */
    static String field(MeetingFault fault) {
        return switch (fault) {
            case MeetingFault.MeetsOnNoDay none -> "meets";
            case MeetingFault.TooMany tooMany -> "meets";
            case MeetingFault.NoSuchPeriod none -> slot(none.place(), "period");
            case MeetingFault.TooLongOrShort length -> slot(length.place(), "minutes");
            case MeetingFault.OverMidnight over -> slot(over.place(), "startsAt");
            case MeetingFault.OnAWeekend weekend -> slot(weekend.place(), "weekdays");
            case MeetingFault.NoSuchLetter letter -> slot(letter.place(), "letters");
            case MeetingFault.TwiceOnADay twice -> slot(twice.place(), "weekdays");
        };
    }

    private static String slot(int place, String part) {
        return "meets[" + place + "]." + part;
    }
}
