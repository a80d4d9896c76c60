package vividroster.core.progress;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/** Whom a director looks after today, and why. */
public final class NeedsAttention {

    /** How many a podium shows; ours, what fits a glance. */
    public static final int ON_PODIUM = 5;

    private NeedsAttention() {}

    /**
     * A player who tried a milestone so often without a pass that another remedy is due rather than another try.
     *
     * @param tries at least {@link Standing#TRIES_THAT_ASK_FOR_A_REMEDY}
     */
    public record TriedOften(UUID studentId, InstrumentCode instrument, UUID milestoneId, int tries) {}

    /** Where one player stands with the milestones asked about. */
    public record Player(UUID studentId, InstrumentCode instrument, Map<UUID, Standing> standings) {}

    /** Each player once, with the milestone tried most; who tried most comes first, equals in the order given. */
    public static Capped<TriedOften> afterTries(Collection<Player> players) {
        List<TriedOften> found = players.stream()
                .flatMap(player -> player.standings().entrySet().stream()
                        .filter(entry -> entry.getValue().needsARemedy())
                        .map(entry -> new TriedOften(
                                player.studentId(),
                                player.instrument(),
                                entry.getKey(),
                                entry.getValue().tries()))
                        .max(Comparator.comparingInt(TriedOften::tries).thenComparing(TriedOften::milestoneId))
                        .stream())
                .sorted(Comparator.comparingInt(TriedOften::tries).reversed())
                .toList();
        return Capped.of(found, ON_PODIUM);
    }
}
