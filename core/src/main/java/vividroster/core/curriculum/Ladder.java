package vividroster.core.curriculum;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import vividroster.core.music.InstrumentCode;

/**
 * Belts in a row, as they are and as they were: an edit never takes away what was earned before it.
 *
 * @param belts as they are asked now, from the lowest; none where the ladder was retired
 * @param earlier as they were asked before, the oldest first
 */
public record Ladder(String name, List<Belt> belts, List<Earlier> earlier) {

    /** @param until the last day on which it was asked so; what was passed by then counts for it */
    public record Earlier(LocalDate until, List<Belt> belts) {
        public Earlier {
            belts = inOrder(belts);
        }
    }

    public Ladder {
        belts = inOrder(belts);
        earlier = earlier.stream().sorted(Comparator.comparing(Earlier::until)).toList();
    }

    private static List<Belt> inOrder(List<Belt> belts) {
        return belts.stream().sorted(Comparator.comparingInt(Belt::rank)).toList();
    }

    /** Every belt it has or had; one that is still there as it is now. The present ones come first. */
    public List<Belt> everBelts() {
        Map<UUID, Belt> ever = new LinkedHashMap<>();
        belts.forEach(belt -> ever.put(belt.id(), belt));
        for (Earlier before : earlier.reversed()) {
            before.belts().forEach(belt -> ever.putIfAbsent(belt.id(), belt));
        }
        return List.copyOf(ever.values());
    }

    /** All that ever counted for one instrument. */
    public Set<UUID> milestonesFor(InstrumentCode instrument) {
        Set<UUID> milestones = new LinkedHashSet<>();
        Stream.concat(belts.stream(), earlier.stream().flatMap(before -> before.belts().stream()))
                .forEach(belt -> milestones.addAll(belt.milestonesFor(instrument)));
        return milestones;
    }

    public boolean asks(InstrumentCode instrument) {
        return belts.stream().anyMatch(belt -> belt.asks(instrument));
    }
}
