package vividroster.server.office;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import vividroster.core.season.Bells;
import vividroster.core.season.YearFault;

/** Why a year is none yet, in words, and the field they are about. */
final class YearWording {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private static final String NO_PERIOD = "Periods go from " + Bells.FIRST_PERIOD + " to " + Bells.LAST_PERIOD + ".";

    private YearWording() {}

    static String sentence(YearFault fault) {
        return switch (fault) {
            case YearFault.NoName none -> "Give the year a name, for example 2026–2027.";
            case YearFault.EndsBeforeItBegins ends -> "The last day comes after the first, " + day(ends.first()) + ".";
            case YearFault.TooLong tooLong ->
                "A school year has at most " + tooLong.most() + " days from first to last; begin another one.";
            case YearFault.RunsInto into ->
                "It runs into " + into.other() + ", which is from " + day(into.otherFirst()) + " to "
                        + day(into.otherLast()) + ".";
            case YearFault.Letter letter ->
                letter.letter().isBlank()
                        ? "A letter of the rotation is empty."
                        : "\"" + letter.letter() + "\" cannot be a letter of the rotation: each has one to four letters"
                                + " and is there once.";
            case YearFault.OneLetter one -> "One letter alone turns nothing: give two or more, or none.";
            case YearFault.TooManyLetters tooMany -> "A rotation has at most " + tooMany.most() + " letters.";
            case YearFault.TooManyEntries tooMany -> "A year holds at most " + tooMany.most() + " breaks and flags.";
            case YearFault.EntryWithoutName without -> "Give it a name, for example Winter break.";
            case YearFault.EntryEndsBeforeItBegins ends -> "\"" + ends.name() + "\" ends before it begins.";
            case YearFault.EntryOutside outside -> "\"" + outside.name() + "\" lies outside the year.";
            case YearFault.ClosedTwice twice ->
                "\"" + twice.name() + "\" and \"" + twice.other() + "\" both close school on " + day(twice.day()) + ".";
            case YearFault.MarkedTwice twice ->
                "\"" + twice.name() + "\" and \"" + twice.other() + "\" are both the marking period on "
                        + day(twice.day()) + ".";
            case YearFault.TakesNoPeriods takes ->
                "\"" + takes.name() + "\" takes no periods; only an assembly or testing does.";
            case YearFault.EntryOfNoPeriod none -> NO_PERIOD;
            case YearFault.TooManyBells tooMany -> "A year holds at most " + tooMany.most() + " periods.";
            case YearFault.BellOfNoPeriod none -> NO_PERIOD;
            case YearFault.BellTwice twice ->
                "Period " + twice.period() + (twice.campus().isEmpty() ? "" : " of " + twice.campus())
                        + " is there twice.";
            case YearFault.BellTooLongOrShort length ->
                "A period lasts " + Bells.Span.SHORTEST + " to " + Bells.Span.LONGEST + " minutes.";
            case YearFault.BellOverMidnight over ->
                "Period " + over.period() + " runs over midnight; look at its start and minutes.";
            case YearFault.EntryTwice twice -> "\"" + twice.name() + "\" is there twice.";
            case YearFault.NoSchoolDay none -> "No day is left on which school meets.";
        };
    }

    /** An entry is named by its place, as in {@code entries[2]}. */
    static String field(YearFault fault) {
        return switch (fault) {
            case YearFault.NoName none -> "name";
            case YearFault.EndsBeforeItBegins ends -> "lastDay";
            case YearFault.TooLong tooLong -> "lastDay";
            case YearFault.RunsInto into -> "firstDay";
            case YearFault.Letter letter -> "rotation";
            case YearFault.OneLetter one -> "rotation";
            case YearFault.TooManyLetters tooMany -> "rotation";
            case YearFault.TooManyEntries tooMany -> "entries";
            case YearFault.EntryWithoutName without -> entry(without.place());
            case YearFault.EntryEndsBeforeItBegins ends -> entry(ends.place());
            case YearFault.EntryOutside outside -> entry(outside.place());
            case YearFault.ClosedTwice twice -> entry(twice.place());
            case YearFault.EntryTwice twice -> entry(twice.place());
            case YearFault.MarkedTwice twice -> entry(twice.place());
            case YearFault.TakesNoPeriods takes -> entry(takes.place());
            case YearFault.EntryOfNoPeriod none -> entry(none.place());
            case YearFault.TooManyBells tooMany -> "bells";
            case YearFault.BellOfNoPeriod none -> bell(none.place());
            case YearFault.BellTwice twice -> bell(twice.place());
            case YearFault.BellTooLongOrShort length -> bell(length.place());
            case YearFault.BellOverMidnight over -> bell(over.place());
            case YearFault.NoSchoolDay none -> "entries";
        };
    }

    private static String entry(int place) {
        return "entries[" + place + "]";
    }

    private static String bell(int place) {
        return "bells[" + place + "]";
    }

    private static String day(LocalDate day) {
        return DAY.format(day);
    }
}
