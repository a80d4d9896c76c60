package vividroster.core.curriculum;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
 * @param rule how many of its slots make it
 * @param instruments whom its ladder is for; empty means everybody
 */
public record Belt(
        UUID id,
        String ladder,
        int rank,
        String name,
        List<BeltSlot> slots,
        BeltRule rule,
        Set<InstrumentCode> instruments) {

    public Belt {
        if (rank < 1) {
            throw new IllegalArgumentException("rank must be at least 1, was " + rank);
        }
        slots = slots.stream()
                .sorted(Comparator.comparingInt(BeltSlot::ordinal))
                .toList();
        instruments = Set.copyOf(instruments);
    }

    /** For everybody, and every slot is asked. */
    public Belt(UUID id, String ladder, int rank, String name, List<BeltSlot> slots) {
        this(id, ladder, rank, name, slots, BeltRule.EVERY_SLOT, Set.of());
    }

    /** The milestones that fill this belt for one instrument, in slot order; a slot with none for it is left out. */
    public List<UUID> milestonesFor(InstrumentCode instrument) {
        return slots.stream()
                .map(slot -> filling(slot, instrument))
                .flatMap(Optional::stream)
                .toList();
    }

    /** What a slot of this belt asks of an instrument; empty where it does not reach it. */
    public Optional<UUID> filling(BeltSlot slot, InstrumentCode instrument) {
        return instruments.isEmpty() || instruments.contains(instrument)
                ? slot.milestoneFor(instrument)
                : Optional.empty();
    }

    public boolean asks(InstrumentCode instrument) {
        return slots.stream().anyMatch(slot -> filling(slot, instrument).isPresent());
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
