package vividroster.core.progress;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.curriculum.Belt;
import vividroster.core.music.InstrumentCode;

/** Which belts a student has earned on one instrument. */
public final class BeltLadder {

    private final List<Belt> belts;

    /** @param belts the belts of one ladder */
    public BeltLadder(List<Belt> belts) {
        this.belts = belts.stream().sorted(Comparator.comparingInt(Belt::rank)).toList();
    }

    /**
     * @param worn the highest belt earned without a gap below it; belts that ask nothing of the instrument are no gap
     * @param next the first belt not earned that asks something of it; empty at the top of the ladder
     */
    public record Worn(Optional<Belt> worn, Optional<Belt> next) {}

    /** Earned when every slot that reaches this instrument is passed or waived; a belt with no slot for it is never earned. */
    public static boolean isEarned(Belt belt, InstrumentCode instrument, Map<UUID, Standing> standings) {
        List<UUID> milestones = belt.milestonesFor(instrument);
        return !milestones.isEmpty()
                && milestones.stream()
                        .allMatch(id ->
                                standings.getOrDefault(id, Standing.NOTHING).fillsSlot());
    }

    /**
     * The day a belt was earned: that of the last pass among its slots; empty while it is not, or where every slot is
     * waived.
     */
    public static Optional<LocalDate> earnedOn(Belt belt, InstrumentCode instrument, Map<UUID, Standing> standings) {
        return isEarned(belt, instrument, standings)
                ? belt.milestonesFor(instrument).stream()
                        .flatMap(id -> standings.get(id).passedOn().stream())
                        .max(Comparator.naturalOrder())
                : Optional.empty();
    }

    /** Where a player stands with a belt that is set: passed when it is earned. */
    public static Standing standing(
            Belt belt, InstrumentCode instrument, Map<UUID, Standing> standings, LocalDate dueOn, LocalDate on) {
        boolean earned = isEarned(belt, instrument, standings);
        return new Standing(
                earned ? Standing.State.PASSED : Standing.State.SET,
                0,
                !earned && on.isAfter(dueOn),
                false,
                Optional.empty(),
                Optional.empty(),
                0);
    }

    public Worn worn(InstrumentCode instrument, Map<UUID, Standing> standings) {
        Optional<Belt> worn = Optional.empty();
        for (Belt belt : belts) {
            if (belt.milestonesFor(instrument).isEmpty()) {
                continue;
            }
            if (!isEarned(belt, instrument, standings)) {
                return new Worn(worn, Optional.of(belt));
            }
            worn = Optional.of(belt);
        }
        return new Worn(worn, Optional.empty());
    }
}
