package vividroster.core.progress;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Ladder;
import vividroster.core.music.InstrumentCode;

/**
 * A belt that is within reach: so few slots are missing that they can be heard within a week, and as many are set.
 *
 * @param missing what is set and would bring it, in the order of the slots
 * @param needed how many of these it takes
 */
public record BeltReach(Belt belt, List<UUID> missing, int needed) {

    /** Slots that can be heard within a week; ours, to be tuned. */
    public static final int MOST_MISSING = 2;

    public BeltReach {
        missing = List.copyOf(missing);
    }

    /**
     * The next belts of a player that can be had within a week.
     *
     * @param standings of the player
     * @param set milestones that are set for the player now
     */
    public static List<BeltReach> all(
            Collection<Ladder> ladders, InstrumentCode instrument, Map<UUID, Standing> standings, Set<UUID> set) {
        return ladders.stream()
                .flatMap(ladder -> new BeltLadder(ladder).worn(instrument, standings).next().stream())
                .flatMap(next -> {
                    BeltProgress progress = BeltProgress.of(next, instrument, standings);
                    BeltReach reach = new BeltReach(
                            next,
                            progress.missing().stream().filter(set::contains).toList(),
                            progress.needed());
                    return reach.isThisWeek(progress)
                            ? Optional.of(reach).stream()
                            : Optional.<BeltReach>empty().stream();
                })
                .toList();
    }

    /** Few enough, and what is set makes it: every must among it. */
    private boolean isThisWeek(BeltProgress progress) {
        return needed > 0
                && needed <= MOST_MISSING
                && progress.slots().stream()
                        .filter(slot -> slot.must() && !slot.filled())
                        .allMatch(slot -> missing.contains(slot.milestoneId()))
                && missing.size() >= needed;
    }

    /** The next belt of a player that hearing one milestone can bring. */
    public static Optional<BeltReach> of(
            Collection<Ladder> ladders,
            InstrumentCode instrument,
            Map<UUID, Standing> standings,
            Set<UUID> set,
            UUID milestoneId) {
        return all(ladders, instrument, standings, set).stream()
                .filter(reach -> reach.missing().contains(milestoneId))
                .findFirst();
    }
}
