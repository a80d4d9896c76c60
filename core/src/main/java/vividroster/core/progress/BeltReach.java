package vividroster.core.progress;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.curriculum.Belt;
import vividroster.core.music.InstrumentCode;

/**
 * A belt that is within reach: so few slots are missing that they can be heard within a week, and all of them are set.
 *
 * @param missing the milestones still to pass, in the order of the slots
 */
public record BeltReach(Belt belt, List<UUID> missing) {

    /** Slots that can be heard within a week; ours, to be tuned. */
    public static final int MOST_MISSING = 2;

    public BeltReach {
        missing = List.copyOf(missing);
    }

    /**
     * The next belt of a player, if hearing one milestone can bring it.
     *
     * @param belts of all ladders
     * @param standings of the player
     * @param set milestones that are set for the player now
     */
    public static Optional<BeltReach> of(
            Collection<Belt> belts,
            InstrumentCode instrument,
            Map<UUID, Standing> standings,
            Set<UUID> set,
            UUID milestoneId) {
        return belts.stream().collect(Collectors.groupingBy(Belt::ladder)).values().stream()
                .flatMap(ladder -> new BeltLadder(ladder).worn(instrument, standings).next().stream())
                .map(next -> new BeltReach(
                        next,
                        next.milestonesFor(instrument).stream()
                                .filter(id -> !standings
                                        .getOrDefault(id, Standing.NOTHING)
                                        .fillsSlot())
                                .toList()))
                .filter(reach -> !reach.missing().isEmpty()
                        && reach.missing().size() <= MOST_MISSING
                        && reach.missing().contains(milestoneId)
                        && set.containsAll(reach.missing()))
                .findFirst();
    }
}
