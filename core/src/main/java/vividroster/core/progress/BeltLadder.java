package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Ladder;
import vividroster.core.music.InstrumentCode;

/**
 * Which belts a student has earned on one instrument: by the passes alone, with the ladder as it is and as it was while it
 * was asked. A belt put in below one that is earned already is no gap.
 */
public final class BeltLadder {

    private final Ladder ladder;

    /** @param belts the belts of one ladder that was never edited */
    public BeltLadder(List<Belt> belts) {
        this(new Ladder(belts.isEmpty() ? "" : belts.getFirst().ladder(), belts, List.of()));
    }

    public BeltLadder(Ladder ladder) {
        this.ladder = ladder;
    }

    /**
     * @param worn the highest belt earned; one the ladder no longer has only where none of today's is earned
     * @param next the first belt above it that asks something of the instrument and is not earned; empty at the top
     */
    public record Worn(Optional<Belt> worn, Optional<Belt> next) {}

    /** Earned by its rule alone, whatever stands below it; a belt with no slot for the instrument is never earned. */
    public static boolean isEarned(Belt belt, InstrumentCode instrument, Map<UUID, Standing> standings) {
        return BeltProgress.of(belt, instrument, standings).isEarned();
    }

    /** Where a player stands with a belt that is set: passed when it is earned. */
    public static Standing standing(
            Belt belt, InstrumentCode instrument, Map<UUID, Standing> standings, LocalDate dueOn, LocalDate on) {
        return standing(isEarned(belt, instrument, standings), dueOn, on);
    }

    /** As above, of a belt of this ladder, which may have been earned before it was edited. */
    public Standing standingOf(
            Belt belt, InstrumentCode instrument, Map<UUID, Standing> standings, LocalDate dueOn, LocalDate on) {
        boolean earned = isEarned(belt, instrument, standings)
                || !ladder.earlier().isEmpty()
                        && earned(instrument, standings).stream()
                                .anyMatch(one -> one.belt().id().equals(belt.id()));
        return standing(earned, dueOn, on);
    }

    private static Standing standing(boolean earned, LocalDate dueOn, LocalDate on) {
        return new Standing(
                earned ? Standing.State.PASSED : Standing.State.SET,
                0,
                !earned && on.isAfter(dueOn),
                false,
                Optional.empty(),
                Optional.empty(),
                0);
    }

    /**
     * @param belt as it is today where the ladder still has it
     * @param on the day its rule was met, and those of every belt below; empty where no day is known
     */
    public record Earned(Belt belt, Optional<LocalDate> on) {}

    /** The belts earned, from the lowest up; those the ladder no longer has come first. */
    public List<Earned> earned(InstrumentCode instrument, Map<UUID, Standing> standings) {
        Map<UUID, Optional<LocalDate>> days = new LinkedHashMap<>();
        ladder.earlier()
                .forEach(before -> walk(before.belts(), Optional.of(before.until()), instrument, standings, days));
        walk(ladder.belts(), Optional.empty(), instrument, standings, days);
        List<Earned> gone = new ArrayList<>();
        List<Earned> there = new ArrayList<>();
        for (Belt belt : ladder.everBelts()) {
            if (days.containsKey(belt.id())) {
                (ladder.belts().contains(belt) ? there : gone).add(new Earned(belt, days.get(belt.id())));
            }
        }
        gone.sort(Comparator.comparingInt(earned -> earned.belt().rank()));
        return Stream.concat(gone.stream(), there.stream()).toList();
    }

    private static void walk(
            List<Belt> belts,
            Optional<LocalDate> until,
            InstrumentCode instrument,
            Map<UUID, Standing> standings,
            Map<UUID, Optional<LocalDate>> days) {
        int sure = -1;
        for (int i = 0; i < belts.size(); i++) {
            if (days.containsKey(belts.get(i).id())) {
                sure = i;
            }
        }
        Optional<LocalDate> on = Optional.empty();
        for (int i = 0; i < belts.size(); i++) {
            Belt belt = belts.get(i);
            if (days.containsKey(belt.id())) {
                on = later(on, days.get(belt.id()));
            } else if (belt.asks(instrument)) {
                Optional<Optional<LocalDate>> met = BeltProgress.metOn(belt, instrument, standings, until);
                if (met.isPresent()) {
                    on = later(on, met.get());
                    days.put(belt.id(), on);
                } else if (i > sure) {
                    return;
                }
            }
        }
    }

    private static Optional<LocalDate> later(Optional<LocalDate> one, Optional<LocalDate> other) {
        return Stream.concat(one.stream(), other.stream()).max(Comparator.naturalOrder());
    }

    public Worn worn(InstrumentCode instrument, Map<UUID, Standing> standings) {
        List<Belt> earned =
                earned(instrument, standings).stream().map(Earned::belt).toList();
        Optional<Belt> today =
                earned.stream().filter(ladder.belts()::contains).max(Comparator.comparingInt(Belt::rank));
        int above = today.map(Belt::rank).orElse(0);
        Optional<Belt> next = ladder.belts().stream()
                .filter(belt -> belt.rank() > above && belt.asks(instrument) && !earned.contains(belt))
                .findFirst();
        return new Worn(today.or(() -> earned.stream().max(Comparator.comparingInt(Belt::rank))), next);
    }

    /**
     * The ladder a player climbs: of those that ask something of the instrument the one on which the player stands highest,
     * else one on which something was earned once.
     */
    public static Optional<Ladder> climbed(
            Collection<Ladder> ladders, InstrumentCode instrument, Map<UUID, Standing> standings) {
        return ladders.stream()
                .filter(ladder -> ladder.asks(instrument)
                        || !new BeltLadder(ladder).earned(instrument, standings).isEmpty())
                .max(Comparator.comparing((Ladder ladder) -> ladder.asks(instrument))
                        .thenComparingInt(ladder -> new BeltLadder(ladder)
                                .worn(instrument, standings)
                                .worn()
                                .map(Belt::rank)
                                .orElse(0)));
    }
}
