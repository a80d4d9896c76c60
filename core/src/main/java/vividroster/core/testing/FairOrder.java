package vividroster.core.testing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** The order of a hearing run: longest unheard first, nobody first twice running. */
public final class FairOrder {

    private FairOrder() {}

    /**
     * @param lastHeardOn last day this student played for anyone; empty when never heard, which is longest of all
     * @param wasFirst whether the student opened the run before this one
     */
    public record Candidate(UUID studentId, Optional<LocalDate> lastHeardOn, boolean wasFirst) {}

    /** @param inSeating candidates as they sit, which settles ties */
    public static List<UUID> of(List<Candidate> inSeating) {
        return readyFirst(inSeating, Set.of());
    }

    /**
     * @param inSeating candidates as they sit, which settles ties
     * @param ready who comes before all others, however long those were not heard
     */
    public static List<UUID> readyFirst(List<Candidate> inSeating, Set<UUID> ready) {
        List<Candidate> queue = new ArrayList<>(inSeating);
        queue.sort(Comparator.<Candidate, Boolean>comparing(c -> !ready.contains(c.studentId()))
                .thenComparing(c -> c.lastHeardOn().orElse(LocalDate.MIN)));
        if (queue.size() > 1 && queue.getFirst().wasFirst()) {
            Collections.swap(queue, 0, 1);
        }
        return queue.stream().map(Candidate::studentId).toList();
    }
}
