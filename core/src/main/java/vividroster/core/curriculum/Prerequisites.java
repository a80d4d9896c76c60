package vividroster.core.curriculum;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What comes before what. Immutable; a graph that goes round in a ring cannot be made.
 *
 * @param <T> what is ordered: a check's key, a milestone's id
 */
public final class Prerequisites<T> {

    private final Map<T, Set<T>> needs;

    private Prerequisites(Map<T, Set<T>> needs) {
        this.needs = needs;
    }

    /**
     * @param needs what each needs directly; what is needed and not named itself needs nothing
     * @throws CycleException naming the ring, when there is one
     */
    public static <T> Prerequisites<T> of(Map<T, ? extends Collection<T>> needs) {
        Map<T, Set<T>> copy = new LinkedHashMap<>();
        needs.forEach((one, others) -> copy.put(one, new LinkedHashSet<>(others)));
        Prerequisites<T> made = new Prerequisites<>(copy);
        made.ring().ifPresent(ring -> {
            throw new CycleException(ring.stream().map(String::valueOf).toList());
        });
        return made;
    }

    /** The starter order of one instrument's checks, from their topics; a topic it has no check for is passed over. */
    public static Prerequisites<String> inferred(Collection<TechniqueCheck> checksOfOneInstrument) {
        Map<CheckTopic, List<String>> byTopic = new HashMap<>();
        checksOfOneInstrument.forEach(check ->
                byTopic.computeIfAbsent(check.topic(), t -> new ArrayList<>()).add(check.key()));
        Map<String, List<String>> needs = new LinkedHashMap<>();
        checksOfOneInstrument.forEach(check -> needs.put(
                check.key(),
                check.topic().needs().stream()
                        .sorted()
                        .flatMap(topic -> byTopic.getOrDefault(topic, List.of()).stream())
                        .toList()));
        return of(needs);
    }

    /** What must be passed directly before this. */
    public Set<T> directlyBefore(T one) {
        return Set.copyOf(needs.getOrDefault(one, Set.of()));
    }

    /** Everything that must be passed before this, nearest first. */
    public List<T> allBefore(T one) {
        Set<T> found = new LinkedHashSet<>();
        Deque<T> open = new ArrayDeque<>(needs.getOrDefault(one, Set.of()));
        while (!open.isEmpty()) {
            T next = open.removeFirst();
            if (found.add(next)) {
                open.addAll(needs.getOrDefault(next, Set.of()));
            }
        }
        return List.copyOf(found);
    }

    /** What of those before it a student has still to pass. */
    public List<T> missing(T one, Set<T> passed) {
        return directlyBefore(one).stream()
                .filter(before -> !passed.contains(before))
                .toList();
    }

    private Optional<List<T>> ring() {
        Set<T> cleared = new LinkedHashSet<>();
        for (T start : needs.keySet()) {
            Optional<List<T>> found = ringFrom(start, new ArrayList<>(), cleared);
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    private Optional<List<T>> ringFrom(T one, List<T> path, Set<T> cleared) {
        int seen = path.indexOf(one);
        if (seen >= 0) {
            List<T> ring = new ArrayList<>(path.subList(seen, path.size()));
            ring.add(one);
            return Optional.of(ring);
        }
        if (cleared.contains(one)) {
            return Optional.empty();
        }
        path.add(one);
        for (T before : needs.getOrDefault(one, Set.of())) {
            Optional<List<T>> found = ringFrom(before, path, cleared);
            if (found.isPresent()) {
                return found;
            }
        }
        path.removeLast();
        cleared.add(one);
        return Optional.empty();
    }

    /** Prerequisites that go round in a ring. */
    public static final class CycleException extends IllegalArgumentException {

        private static final long serialVersionUID = 1L;
        private final transient List<String> ring;

        CycleException(List<String> ring) {
            super("these wait for one another: " + String.join(" needs ", ring));
            this.ring = ring;
        }

        /** Each needs the next; the first and last are the same. */
        public List<String> ring() {
            return ring;
        }
    }
}
