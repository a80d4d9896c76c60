package vividroster.core.roster;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What becomes of a student's seats in one class when they are to sit somewhere from a day on, or for some days only. What
 * was sat in before today is history and is not written anew; what was only planned may be.
 */
public sealed interface SeatChange {

    /** They sit there already. */
    record Unchanged() implements SeatChange {}

    /** @param before of that class, the earliest first; @param after the same as they are to be held */
    record Reseated(List<Seat> before, List<Seat> after) implements SeatChange {}

    /** A seat that began on that day or later and before today, so that there is no day before it to change from. */
    record TooEarly(Seat held) implements SeatChange {}

    /** The day, or the last day of a seat for a time, is outside the school year. */
    record OutsideYear(LocalDate first, LocalDate last) implements SeatChange {}

    /**
     * @param seats of the student, in any class and at any time
     * @param wanted without an end to stay; with one to come back afterwards to what would have been held
     * @param first of the school year
     * @param last of the school year, inclusive
     */
    static SeatChange of(Collection<Seat> seats, Seat wanted, LocalDate today, LocalDate first, LocalDate last) {
        LocalDate from = wanted.startsOn();
        if (from.isBefore(first)
                || from.isAfter(last)
                || wanted.endsOn().filter(last::isBefore).isPresent()) {
            return new OutsideYear(first, last);
        }
        List<Seat> before = ofClass(seats, wanted.classId());
        Optional<Seat> begun = before.stream()
                .filter(seat ->
                        !seat.startsOn().isBefore(from) && seat.startsOn().isBefore(today))
                .findFirst();
        List<Seat> after = new ArrayList<>();
        before.forEach(seat -> {
            before(seat, from).ifPresent(after::add);
            wanted.endsOn().flatMap(until -> after(seat, until)).ifPresent(after::add);
        });
        after.add(wanted);
        List<Seat> joined = joined(after);
        if (joined.equals(before)) {
            return new Unchanged();
        }
        return begun.<SeatChange>map(TooEarly::new).orElseGet(() -> new Reseated(before, joined));
    }

    /**
     * Their seats in a class when a day is the last one there, the earliest first. Empty where none is held by then.
     *
     * @param lastDay inclusive
     */
    static Optional<Reseated> leaving(Collection<Seat> seats, UUID classId, LocalDate lastDay) {
        List<Seat> before = ofClass(seats, classId);
        List<Seat> after = before.stream()
                .flatMap(seat -> before(seat, lastDay.plusDays(1)).stream())
                .toList();
        return after.isEmpty() || after.equals(before) ? Optional.empty() : Optional.of(new Reseated(before, after));
    }

    private static List<Seat> ofClass(Collection<Seat> seats, UUID classId) {
        return seats.stream()
                .filter(seat -> seat.classId().equals(classId))
                .sorted(Comparator.comparing(Seat::startsOn))
                .toList();
    }

    private static Optional<Seat> before(Seat seat, LocalDate day) {
        if (!seat.startsOn().isBefore(day)) {
            return Optional.empty();
        }
        LocalDate end = day.minusDays(1);
        return Optional.of(seat.isHeldOn(day) ? seat.during(seat.startsOn(), Optional.of(end)) : seat);
    }

    private static Optional<Seat> after(Seat seat, LocalDate day) {
        if (seat.startsOn().isAfter(day)) {
            return Optional.of(seat);
        }
        return seat.isHeldOn(day.plusDays(1))
                ? Optional.of(seat.during(day.plusDays(1), seat.endsOn()))
                : Optional.empty();
    }

    /** Seats that follow each other without a day between on the same instrument and division are one. */
    private static List<Seat> joined(List<Seat> seats) {
        List<Seat> joined = new ArrayList<>();
        seats.stream().sorted(Comparator.comparing(Seat::startsOn)).forEach(seat -> {
            Optional<Seat> last = joined.isEmpty() ? Optional.empty() : Optional.of(joined.getLast());
            if (last.filter(held -> held.isSameAs(seat)
                            && held.endsOn()
                                    .filter(seat.startsOn().minusDays(1)::equals)
                                    .isPresent())
                    .isPresent()) {
                joined.set(joined.size() - 1, last.get().during(last.get().startsOn(), seat.endsOn()));
            } else {
                joined.add(seat);
            }
        });
        return List.copyOf(joined);
    }
}
