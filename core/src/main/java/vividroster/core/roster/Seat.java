package vividroster.core.roster;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

    /** The same place, and chair, for another time. */
    public Seat during(LocalDate first, Optional<LocalDate> last) {
        return new Seat(studentId, classId, instrument, division, first, last, chair);
    }

    public Seat onChair(OptionalInt other) {
        return new Seat(studentId, classId, instrument, division, startsOn, endsOn, other);
    }

    /** Whether it is the same place, whenever it is held. */
    public boolean isSameAs(Seat other) {
        return studentId.equals(other.studentId)
                && classId.equals(other.classId)
                && instrument.equals(other.instrument)
                && division.equals(other.division);
    }

    /**
     * One seat for each student in each class: the one held on a day, else the one that begins next after it.
     *
     * @param seats of any students, in any classes
     */
    public static List<Seat> heldOrNext(Collection<Seat> seats, LocalDate day) {
        return oneEach(
                seats.stream()
                        .filter(seat -> seat.endsOn().filter(day::isAfter).isEmpty())
                        .toList(),
                Comparator.comparing(Seat::startsOn));
    }

    /** One seat for each student in each class: the one that stays, else the last; a borrowed one gives way. */
    public static List<Seat> lasting(Collection<Seat> seats) {
        return oneEach(seats, Comparator.comparing(Seat::startsOn).reversed());
    }

    private static List<Seat> oneEach(Collection<Seat> seats, Comparator<Seat> order) {
        Map<List<UUID>, Seat> found = new LinkedHashMap<>();
        seats.stream()
                .sorted(order)
                .forEach(seat -> found.putIfAbsent(List.of(seat.studentId(), seat.classId()), seat));
        return List.copyOf(found.values());
    }

    /** Whether any day of the closed span from {@code first} to {@code last} falls within this seat's time. */
    public boolean overlaps(LocalDate first, LocalDate last) {
        return !last.isBefore(startsOn)
                && endsOn.map(end -> !first.isAfter(end)).orElse(true);
    }
}
