package vividroster.core.ensemble;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Ladder;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BeltLadder;
import vividroster.core.progress.BeltProgress;
import vividroster.core.progress.Standing;

/** What admits to an ensemble. (domain.md, 3.11: the director names it.) */
public sealed interface Gate {

    /** The last belt of the ladder a player climbs. */
    record LastBelt() implements Gate {}

    /** A belt of that rank or, where the ladder has fewer, its last. @param rank from 1 */
    record BeltOfRank(int rank) implements Gate {
        public BeltOfRank {
            if (rank < 1) {
                throw new IllegalArgumentException("rank must be at least 1, was " + rank);
            }
        }
    }

    /** The director's own list; of it a player needs what is for the instrument. */
    record OwnList(List<Milestone> milestones) implements Gate {
        public OwnList {
            milestones = List.copyOf(milestones);
        }
    }

    /** Slots or milestones that may be missing of one who is nearly ready; ours. */
    int NEARLY = 2;

    /** How far a player is. */
    enum Degree {
        READY,
        NEARLY,
        NOT_YET,
        /** Nothing of the gate is for this instrument. */
        NO_GATE
    }

    /**
     * @param needed how many have still to be passed at least
     * @param missing what would bring it nearer, the lowest belt first; more than needed where there is a choice
     */
    record Reached(Degree degree, int needed, List<UUID> missing) {
        public Reached {
            missing = List.copyOf(missing);
        }
    }

    /** @param standings of the player, with everything the gate asks */
    static Reached reached(
            Gate gate, Collection<Ladder> ladders, InstrumentCode instrument, Map<UUID, Standing> standings) {
        return switch (gate) {
            case OwnList own -> ofList(own, instrument, standings);
            case LastBelt last -> ofBelt(ladders, instrument, standings, Integer.MAX_VALUE);
            case BeltOfRank belt -> ofBelt(ladders, instrument, standings, belt.rank());
        };
    }

    private static Reached ofList(OwnList own, InstrumentCode instrument, Map<UUID, Standing> standings) {
        List<Milestone> asked =
                own.milestones().stream().filter(one -> one.isFor(instrument)).toList();
        if (asked.isEmpty()) {
            return new Reached(Degree.NO_GATE, 0, List.of());
        }
        List<UUID> missing = asked.stream()
                .map(Milestone::id)
                .filter(id -> !standings.getOrDefault(id, Standing.NOTHING).fillsSlot())
                .toList();
        return new Reached(degree(missing.size()), missing.size(), missing);
    }

    private static Reached ofBelt(
            Collection<Ladder> ladders, InstrumentCode instrument, Map<UUID, Standing> standings, int rank) {
        Optional<Ladder> ladder =
                BeltLadder.climbed(ladders, instrument, standings).filter(one -> one.asks(instrument));
        if (ladder.isEmpty()) {
            return new Reached(Degree.NO_GATE, 0, List.of());
        }
        Set<UUID> earned = new LinkedHashSet<>();
        new BeltLadder(ladder.get())
                .earned(instrument, standings)
                .forEach(one -> earned.add(one.belt().id()));
        List<Belt> asked = ladder.get().belts().stream()
                .filter(belt -> belt.asks(instrument))
                .toList();
        List<Belt> upTo = asked.stream().filter(belt -> belt.rank() <= rank).toList();
        Belt gate = upTo.isEmpty() ? asked.getFirst() : upTo.getLast();
        if (earned.contains(gate.id())) {
            return new Reached(Degree.READY, 0, List.of());
        }
        int needed = 0;
        Set<UUID> missing = new LinkedHashSet<>();
        int worn = asked.stream()
                .filter(belt -> earned.contains(belt.id()))
                .mapToInt(Belt::rank)
                .max()
                .orElse(0);
        List<UUID> counted = new ArrayList<>();
        for (Belt belt : asked) {
            if (belt.rank() > worn && belt.rank() <= gate.rank() && !earned.contains(belt.id())) {
                BeltProgress progress = BeltProgress.of(belt, instrument, standings);
                needed += progress.needed();
                missing.addAll(progress.missing());
                counted.addAll(progress.missing());
            }
        }
        // One that is missing in two belts has to be passed once.
        needed -= counted.size() - missing.size();
        needed = Math.max(1, needed);
        return new Reached(degree(needed), needed, List.copyOf(missing));
    }

    private static Degree degree(int needed) {
        return needed == 0 ? Degree.READY : needed <= NEARLY ? Degree.NEARLY : Degree.NOT_YET;
    }
}
