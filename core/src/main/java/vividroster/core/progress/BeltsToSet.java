package vividroster.core.progress;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Ladder;
import vividroster.core.music.InstrumentCode;

/** What a class has to be set so that its sections can earn belts. */
public final class BeltsToSet {

    private BeltsToSet() {}

    /**
     * One player of the class.
     *
     * @param set milestones and belts that are set for the player already, in any class
     * @param standings with everything the ladders ask
     */
    public record Player(InstrumentCode instrument, Set<UUID> set, Map<UUID, Standing> standings) {
        public Player {
            set = Set.copyOf(set);
        }
    }

    /**
     * Whom each belt, and what fills its slots, is to be set for: a section whose every player was set something already or has
     * it is not set it once more, and one that has the belt is set nothing of it.
     *
     * @param belts in the order they are to be earned
     * @param sections instruments of the class; one without a player is set everything
     * @param ladders of these belts
     * @return by milestone, slots before their belt; what need not be set for any section is left out
     */
    public static Map<UUID, Set<InstrumentCode>> of(
            List<Belt> belts,
            Collection<InstrumentCode> sections,
            Collection<Ladder> ladders,
            Collection<Player> players) {
        Map<InstrumentCode, Set<UUID>> had = had(ladders, players);
        Map<UUID, Set<InstrumentCode>> toSet = new LinkedHashMap<>();
        for (Belt belt : belts) {
            for (InstrumentCode section : sections) {
                Set<UUID> own = had.getOrDefault(section, Set.of());
                if (belt.asks(section) && !own.contains(belt.id())) {
                    Stream.concat(belt.milestonesFor(section).stream(), Stream.of(belt.id()))
                            .filter(id -> !own.contains(id))
                            .forEach(id -> toSet.computeIfAbsent(id, one -> new HashSet<>())
                                    .add(section));
                }
            }
        }
        return toSet;
    }

    /** What every player of a section was set or has. */
    private static Map<InstrumentCode, Set<UUID>> had(Collection<Ladder> ladders, Collection<Player> players) {
        Map<InstrumentCode, Set<UUID>> had = new HashMap<>();
        players.forEach(player -> {
            Set<UUID> own = Stream.of(
                            player.set().stream(),
                            player.standings().entrySet().stream()
                                    .filter(one -> one.getValue().fillsSlot())
                                    .map(Map.Entry::getKey),
                            ladders.stream()
                                    .flatMap(ladder -> new BeltLadder(ladder)
                                            .earned(player.instrument(), player.standings()).stream())
                                    .map(earned -> earned.belt().id()))
                    .flatMap(ids -> ids)
                    .collect(Collectors.toSet());
            had.merge(player.instrument(), own, (one, other) -> {
                one.retainAll(other);
                return one;
            });
        });
        return had;
    }
}
