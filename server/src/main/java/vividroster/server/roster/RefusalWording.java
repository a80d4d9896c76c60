package vividroster.server.roster;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import vividroster.core.roster.RosterColumn;
import vividroster.core.roster.RowOutcome.Refusal;

/** Says why a row of a roster file is refused. */
final class RefusalWording {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private RefusalWording() {}

    static String sentence(RosterColumn column, Refusal refusal) {
        return switch (refusal) {
            case Refusal.Missing missing -> "The " + column.heading() + " is missing.";
            case Refusal.TooLong tooLong ->
                "The " + column.heading() + " has " + tooLong.length() + " letters; at most " + tooLong.most()
                        + " fit.";
            case Refusal.NotPrintable notPrintable ->
                "The " + column.heading() + " holds letters that cannot be read; the file may be damaged here.";
            case Refusal.UnknownClass unknown ->
                "No class is called \"" + unknown.value() + "\"." + meant(unknown.nearest())
                        + (unknown.nearest().isEmpty() ? " Add the class in Office first." : "");
            case Refusal.UnknownInstrument unknown ->
                "\"" + unknown.value() + "\" is not an instrument of the catalog." + meant(unknown.nearest());
            case Refusal.DateNotRead date ->
                "\"" + date.value() + "\" can be read in more than one way or not at all;"
                        + " write the start date as year-month-day, like 2026-10-01.";
            case Refusal.DateOutsideYear outside ->
                day(outside.value()) + " is outside the school year, " + day(outside.first()) + " to "
                        + day(outside.last()) + ".";
            case Refusal.SameAsLine same -> "This is line " + same.line() + " once more.";
            case Refusal.TwoSeatsInOneClass two ->
                "Line " + two.line() + " has this name in this class on "
                        + two.otherInstrument().toLowerCase(Locale.ROOT)
                        + ". If these are two students, give each a student number.";
            case Refusal.SeveralStudentsOfThatName several ->
                several.count() + " students have this name; add a student number column to say which.";
            case Refusal.NumberOfSomebodyElse other ->
                "Student number " + other.number() + " belongs to " + other.holder() + ".";
            case Refusal.MoveBeforeSeatBegan early ->
                "The student has another instrument or division in this class since " + day(early.began())
                        + "; a change can start the day after at the earliest.";
        };
    }

    private static String meant(Optional<String> nearest) {
        return nearest.map(name -> " Did you mean \"" + name + "\"?").orElse("");
    }

    private static String day(LocalDate day) {
        return DAY.format(day);
    }
}
