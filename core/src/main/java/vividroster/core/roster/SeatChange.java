package vividroster.core.roster;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Optional;

/** What becomes of a student's seats when they are to sit somewhere from a day on. */
public sealed interface SeatChange {

    /** They sit there already. */
    record Unchanged() implements SeatChange {}

    /** A seat in one more class. */
    record Joins(Seat seat) implements SeatChange {}

    /** Another instrument or division in the same class; the seat held ends the day before. */
    record Moves(Seat held, Seat seat) implements SeatChange {}

    /** The seat held began on that day or later, so that there is no day before it to end on. */
    record TooEarly(Seat held) implements SeatChange {}

    /** The day is outside the school year. */
    record OutsideYear(LocalDate first, LocalDate last) implements SeatChange {}

    /**
     * @param seats of the student, in any class and at any time
     * @param wanted without an end
     * @param first of the school year
     * @param last of the school year, inclusive
     */
    static SeatChange of(Collection<Seat> seats, Seat wanted, LocalDate first, LocalDate last) {
        if (wanted.startsOn().isBefore(first) || wanted.startsOn().isAfter(last)) {
            return new OutsideYear(first, last);
        }
        Optional<Seat> held = seats.stream()
                .filter(seat ->
                        seat.classId().equals(wanted.classId()) && seat.endsOn().isEmpty())
                .findFirst();
        if (held.isEmpty()) {
            return seats.stream()
                    .filter(seat -> seat.classId().equals(wanted.classId()) && seat.isHeldOn(wanted.startsOn()))
                    .findFirst()
                    .<SeatChange>map(TooEarly::new)
                    .orElseGet(() -> new Joins(wanted));
        }
        Seat seat = held.get();
        if (seat.instrument().equals(wanted.instrument()) && seat.division().equals(wanted.division())) {
            return new Unchanged();
        }
        return wanted.startsOn().isAfter(seat.startsOn()) ? new Moves(seat, wanted) : new TooEarly(seat);
    }
}
