package vividroster.server.roster;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.season.ClassTimes;
import vividroster.core.season.MeetingPattern;
import vividroster.core.season.MeetingPattern.Meeting;
import vividroster.core.season.SchoolYear;

/**
 * A class as it stands in the timetable.
 *
 * @param campus where it meets, unless one of its times says otherwise; may be empty
 * @param lastDay inclusive; empty while it goes on
 */
public record SchoolClass(
        UUID id, String name, String campus, ClassShape shape, MeetingPattern meets, Optional<LocalDate> lastDay) {

    static final Comparator<SchoolClass> BY_ORDER_OF_DAY = Comparator.comparing(
                    SchoolClass::meets, MeetingPattern.byOrderOfDay())
            .thenComparing(SchoolClass::name);

    /** One time, on every school day or on every one of this letter. */
    public SchoolClass(
            UUID id,
            String name,
            String campus,
            ClassShape shape,
            Optional<String> letter,
            int period,
            LocalTime startsAt,
            int minutes) {
        this(id, name, campus, shape, MeetingPattern.of(letter, period, startsAt, minutes), Optional.empty());
    }

    /** Its days and minutes in a year. */
    public ClassTimes times() {
        return new ClassTimes(meets, campus, lastDay);
    }

    /** Its meeting of a day, with the campus; empty where it does not meet. */
    public Optional<Meeting> on(SchoolYear year, LocalDate day) {
        return times().on(year, day);
    }

    /** When its first time of meeting starts. */
    public LocalTime usualStart() {
        return meets.slots().getFirst().startsAt();
    }

    /** Whether it has not ended before a day. */
    public boolean runsOn(LocalDate day) {
        return times().runsOn(day);
    }

    /** The day it meets on or after a day. */
    public Optional<LocalDate> next(SchoolYear year, LocalDate from) {
        return times().nextFrom(year, from);
    }
}
