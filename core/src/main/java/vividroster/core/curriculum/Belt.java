package vividroster.core.curriculum;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BinaryOperator;
import java.util.stream.Collectors;
import vividroster.core.music.InstrumentCode;

/**
 * A named level: an ordered set of slots, each filled per instrument.
 *
 * @param id the id of the belt's own milestone
 * @param rank place on its ladder, from 1
 */
public record Belt(UUID id, String ladder, int rank, String name, List<BeltSlot> slots) {

    public Belt {
        if (rank < 1) {
            throw new IllegalArgumentException("rank must be at least 1, was " + rank);
        }
        slots = slots.stream()
                .sorted(Comparator.comparingInt(BeltSlot::ordinal))
                .toList();
    }

    /** The milestones that fill this belt for one instrument, in slot order; a slot with none for it is left out. */
    public List<UUID> milestonesFor(InstrumentCode instrument) {
        return slots.stream()
                .map(slot -> slot.milestoneFor(instrument))
                .flatMap(Optional::stream)
                .toList();
    }

    /** The belts that mean ready for the ensemble. */
    public static List<Belt> lastOfEachLadder(Collection<Belt> belts) {
        return List.copyOf(belts.stream()
                .collect(Collectors.toMap(
                        Belt::ladder,
                        belt -> belt,
                        BinaryOperator.maxBy(Comparator.comparingInt(Belt::rank)),
                        TreeMap::new))
                .values());
    }
}
