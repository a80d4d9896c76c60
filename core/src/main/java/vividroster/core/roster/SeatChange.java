package vividroster.core.roster;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import vividroster.core.music.InstrumentCode;

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

    /**
     * The seat from which somebody changes to another instrument in a class: that of the day before; of a change that was made
     * already the last one before it, though a weekend lies between; of one that is taken back the one held on that day.
     *
     * @param seats of the student, in any class and at any time
     * @return empty where none is held then, or where it is on that instrument already
     */
    static Optional<Seat> from(Collection<Seat> seats, UUID classId, InstrumentCode to, LocalDate day) {
        List<Seat> own = ofClass(seats, classId);
        boolean made = own.stream()
                .anyMatch(
                        seat -> seat.startsOn().equals(day) && seat.instrument().equals(to));
        return Stream.of(
                        own.stream().filter(seat -> seat.isHeldOn(day.minusDays(1))),
                        own.reversed().stream()
                                .filter(seat -> made && seat.startsOn().isBefore(day)),
                        own.stream().filter(seat -> seat.isHeldOn(day)))
                .flatMap(some -> some)
                .filter(seat -> !seat.instrument().equals(to))
                .findFirst();
    }

    /** A lasting change of instrument in one class. */
    record Switch(Seat before, Seat after) {}

    /**
     * The last change of instrument in each class that has lasted, the latest first; who came back to an instrument only
     * borrowed the other one.
     *
     * @param seats of one student
     */
    static List<Switch> lasting(Collection<Seat> seats) {
        return seats.stream()
                .map(Seat::classId)
                .distinct()
                .flatMap(classId -> {
                    List<Seat> own = ofClass(seats, classId);
                    Seat last = own.getLast();
                    int before = own.size() - 1;
                    while (before >= 0 && own.get(before).instrument().equals(last.instrument())) {
                        before--;
                    }
                    boolean cameBack = own.subList(0, before + 1).stream()
                            .anyMatch(seat -> seat.instrument().equals(last.instrument()));
                    return before < 0 || cameBack
                            ? Stream.of()
                            : Stream.of(new Switch(own.get(before), own.get(before + 1)));
                })
                .sorted(Comparator.comparing((Switch one) -> one.after().startsOn())
                        .reversed())
                .toList();
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
