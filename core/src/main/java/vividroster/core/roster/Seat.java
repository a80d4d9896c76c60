package vividroster.core.roster;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/**
 * A student's place in a class: one instrument, one division, for a time.
 *
 * @param division the division's name, empty where the music divides nothing
 * @param startsOn first day, inclusive
 * @param endsOn last day, inclusive; empty while the seat is held
 * @param chair place in the section, from 1 at the front; first and second share a stand
 */
public record Seat(
        UUID studentId,
        UUID classId,
        InstrumentCode instrument,
        String division,
        LocalDate startsOn,
        Optional<LocalDate> endsOn,
        OptionalInt chair) {

    /** Nobody has said which chair. */
    public Seat(
            UUID studentId,
            UUID classId,
            InstrumentCode instrument,
            String division,
            LocalDate startsOn,
            Optional<LocalDate> endsOn) {
        this(studentId, classId, instrument, division, startsOn, endsOn, OptionalInt.empty());
    }

    public Seat {
        if (endsOn.isPresent() && endsOn.get().isBefore(startsOn)) {
            throw new IllegalArgumentException("a seat ends on or after " + startsOn + ", was " + endsOn.get());
        }
    }

    public boolean isHeldOn(LocalDate day) {
        return !day.isBefore(startsOn) && endsOn.map(end -> !day.isAfter(end)).orElse(true);
    }

    /** Whether any day of the closed span from {@code first} to {@code last} falls within this seat's time. */
    public boolean overlaps(LocalDate first, LocalDate last) {
        return !last.isBefore(startsOn)
                && endsOn.map(end -> !first.isAfter(end)).orElse(true);
    }
}
