package vividroster.core.progress;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/**
 * One thing to hear that brings each of these players a belt, if it goes well.
 *
 * @param players in the order they were given in
 */
public record OneHearing<P>(UUID milestoneId, List<P> players) {

    public OneHearing {
        players = List.copyOf(players);
    }

    /**
     * As few runs as come of taking the one that serves most players first; each player is in one run.
     *
     * @param oneAway by player, each of the milestones that alone would do; may be empty
     */
    public static <P> List<OneHearing<P>> of(Map<P, Set<UUID>> oneAway) {
        Map<P, Set<UUID>> left = new LinkedHashMap<>(oneAway);
        List<OneHearing<P>> runs = new ArrayList<>();
        while (true) {
            Map<UUID, List<P>> byMilestone = new LinkedHashMap<>();
            left.forEach((player, milestones) -> new LinkedHashSet<>(milestones)
                    .forEach(id -> byMilestone
                            .computeIfAbsent(id, m -> new ArrayList<>())
                            .add(player)));
            var most = byMilestone.entrySet().stream()
                    .min(Comparator.comparingInt(run -> -run.getValue().size()));
            if (most.isEmpty()) {
                return runs;
            }
            runs.add(new OneHearing<>(most.get().getKey(), most.get().getValue()));
            most.get().getValue().forEach(left::remove);
        }
    }
}
