package vividroster.core.progress;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** What still stands once corrections are taken into account. */
public final class AttemptLedger {

    private static final Comparator<Attempt> IN_TIME = Comparator.comparing(Attempt::heardAt)
            .thenComparing(Attempt::recordedAt)
            .thenComparing(Attempt::id);

    private AttemptLedger() {}

    /** The attempts that stand, in the order heard: without those corrected and without what only undoes. */
    public static List<Attempt> standing(Collection<Attempt> attempts) {
        Set<UUID> corrected =
                attempts.stream().flatMap(a -> a.corrects().stream()).collect(Collectors.toSet());
        return attempts.stream()
                .filter(a -> !corrected.contains(a.id()) && a.outcome() != Outcome.UNDONE)
                .sorted(IN_TIME)
                .toList();
    }
}
