package vividroster.core.roster;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * Two classes becoming one: whoever sits in the first takes the same seat in the second, unless they sit there already.
 *
 * @param added seats in the second class
 * @param tooEarly a seat of the first class that begins on the day of merging or later; there is no day before it to end on
 */
public record ClassMerge(List<Seat> added, Optional<Seat> tooEarly) {

    /**
     * @param seats open seats of the class that ends
     * @param there open seats of the class that goes on
     * @param from first day in the class that goes on
     */
    public static ClassMerge of(List<Seat> seats, List<Seat> there, UUID into, LocalDate from) {
        Set<UUID> seated = there.stream().map(Seat::studentId).collect(Collectors.toSet());
        return new ClassMerge(
                seats.stream()
                        .filter(seat -> !seated.contains(seat.studentId()))
                        .map(seat -> new Seat(
                                seat.studentId(), into, seat.instrument(), seat.division(), from, Optional.empty()))
                        .toList(),
                seats.stream().filter(seat -> !seat.startsOn().isBefore(from)).findFirst());
    }
}
