package vividroster.core.season;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import vividroster.core.season.MeetingPattern.Meeting;
import vividroster.core.season.SchoolYear.Week;

/**
 * The days and minutes of one class in a year: its pattern, rung by the bells of its campus, until it ends.
 *
 * @param campus where it meets, unless one of its slots says otherwise; may be empty
 * @param lastDay inclusive; empty while it goes on
 */
public record ClassTimes(MeetingPattern pattern, String campus, Optional<LocalDate> lastDay) {

    /** On any school day whatever, for what is asked of no class. */
    public static final ClassTimes EVERY_DAY = of(MeetingPattern.of(Optional.empty(), 0, LocalTime.of(8, 0), 45));

    /**
     * Part of the meetings that is for the book and the checks; the rest is warm-up, ensemble and what comes up. Source: the
     * domain's season planning, 60 % by default.
     */
    private static final double METHOD_SHARE = 0.6;

    /** Of a class at no campus that does not end. */
    public static ClassTimes of(MeetingPattern pattern) {
        return new ClassTimes(pattern, "", Optional.empty());
    }

    /** Its meeting of a day; empty where it does not meet. */
    public Optional<Meeting> on(SchoolYear year, LocalDate day) {
        return runsOn(day) ? pattern.on(year, day, campus) : Optional.empty();
    }

    /** Whether it has not ended before a day. */
    public boolean runsOn(LocalDate day) {
        return lastDay.map(last -> !day.isAfter(last)).orElse(true);
    }

    /** The days of a week on which it meets. */
    public List<LocalDate> daysIn(SchoolYear year, Week week) {
        return week.schoolDays().stream()
                .filter(day -> on(year, day).isPresent())
                .toList();
    }

    /** The last day it meets in a week. */
    public Optional<LocalDate> lastIn(SchoolYear year, Week week) {
        return daysIn(year, week).reversed().stream().findFirst();
    }

    /** The due day of what is set on a day, unless somebody says another: the last meeting of its week, else the next. */
    public LocalDate dueDay(SchoolYear year, LocalDate on) {
        return lastIn(year, year.weekOf(on))
                .filter(day -> !day.isBefore(on))
                .or(() -> nextFrom(year, on))
                .orElse(year.last());
    }

    /** The first day it meets on or after a day; a day before the year asks from its first. */
    public Optional<LocalDate> nextFrom(SchoolYear year, LocalDate from) {
        LocalDate begin = from.isBefore(year.first()) ? year.first() : from;
        return begin.datesUntil(
                        year.last().isBefore(begin) ? begin : year.last().plusDays(1))
                .filter(day -> on(year, day).isPresent())
                .findFirst();
    }

    /** The weeks in which it meets, from the one a day falls in. */
    public List<Week> weeksFrom(SchoolYear year, LocalDate from) {
        return year.weeks().stream()
                .filter(week ->
                        !week.friday().isBefore(from) && !daysIn(year, week).isEmpty())
                .toList();
    }

    /** Minutes of a week for the book and the checks, teaching and hearing. */
    public int methodMinutes(SchoolYear year, Week week) {
        int meeting = week.schoolDays().stream()
                .flatMap(day -> on(year, day).stream())
                .mapToInt(Meeting::minutes)
                .sum();
        return (int) Math.round(meeting * METHOD_SHARE);
    }
}
