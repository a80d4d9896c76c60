package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
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

    /** @param on the day its last slot was passed, and those of every belt below; empty where all of that was waived */
    public record Earned(Belt belt, Optional<LocalDate> on) {}

    /** The belts earned without a gap below them, from the lowest up. */
    public List<Earned> earned(InstrumentCode instrument, Map<UUID, Standing> standings) {
        List<Earned> earned = new ArrayList<>();
        Optional<LocalDate> on = Optional.empty();
        for (Belt belt : belts) {
            List<UUID> milestones = belt.milestonesFor(instrument);
            if (milestones.isEmpty()) {
                continue;
            }
            if (!isEarned(belt, instrument, standings)) {
                break;
            }
            on = Stream.concat(on.stream(), milestones.stream().flatMap(id -> standings.get(id).passedOn().stream()))
                    .max(Comparator.naturalOrder());
            earned.add(new Earned(belt, on));
        }
        return earned;
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
