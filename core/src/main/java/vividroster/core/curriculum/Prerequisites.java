package vividroster.core.curriculum;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jgrapht.Graph;
import org.jgrapht.Graphs;
import org.jgrapht.alg.cycle.CycleDetector;
import org.jgrapht.alg.shortestpath.BFSShortestPath;
import org.jgrapht.graph.DefaultDirectedGraph;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.traverse.BreadthFirstIterator;
import vividroster.core.music.InstrumentCode;

/**
 * What comes before what. Immutable; a graph that goes round in a ring cannot be made.
 *
 * @param <T> what is ordered: a check's key, a milestone's id
 */
public final class Prerequisites<T> {

    /** An edge leads from a thing to what it needs. */
    private final Graph<T, DefaultEdge> needs;

    private Prerequisites(Graph<T, DefaultEdge> needs) {
        this.needs = needs;
    }

    /**
     * @param needs what each needs directly; what is needed and not named itself needs nothing
     * @throws CycleException naming the ring, when there is one
     */
    public static <T> Prerequisites<T> of(Map<T, ? extends Collection<T>> needs) {
        Graph<T, DefaultEdge> graph = new DefaultDirectedGraph<>(DefaultEdge.class);
        needs.forEach((one, others) -> {
            graph.addVertex(one);
            others.forEach(other -> Graphs.addEdgeWithVertices(graph, one, other));
        });
        ring(graph).ifPresent(ring -> {
            throw new CycleException(ring);
        });
        return new Prerequisites<>(graph);
    }

    /**
     * Where a check stands among the others.
     *
     * @param instruments codes of the instruments it is for; empty means any
     * @param after what the director put before it; empty when that is inferred from the topics
     */
    public record Place<T>(T id, CheckTopic topic, Set<InstrumentCode> instruments, Optional<Set<T>> after) {

        private boolean meets(Place<T> other) {
            return instruments.isEmpty()
                    || other.instruments.isEmpty()
                    || instruments.stream().anyMatch(other.instruments::contains);
        }
    }

    /**
     * The order of checks: by hand where the director said so, else from their topics among checks that share an
     * instrument; a topic without a check is passed over.
     *
     * @throws CycleException when what was put by hand goes round with the rest
     */
    public static <T> Prerequisites<T> ofChecks(Collection<Place<T>> checks) {
        Map<T, Set<T>> needs = new LinkedHashMap<>();
        for (Place<T> check : checks) {
            Set<T> before = check.after().<Set<T>>map(LinkedHashSet::new).orElseGet(() -> {
                Set<T> inferred = new LinkedHashSet<>();
                check.topic().needs().stream()
                        .sorted()
                        .forEach(topic -> checks.stream()
                                .filter(other -> other.topic() == topic && other.meets(check))
                                .forEach(other -> inferred.add(other.id())));
                return inferred;
            });
            needs.put(check.id(), before);
        }
        return of(needs);
    }

    /** What must be passed directly before this, in the order given. */
    public Set<T> directlyBefore(T one) {
        return needs.containsVertex(one) ? new LinkedHashSet<>(Graphs.successorListOf(needs, one)) : Set.of();
    }

    /** Everything that must be passed before this, nearest first. */
    public List<T> allBefore(T one) {
        List<T> found = new ArrayList<>();
        if (needs.containsVertex(one)) {
            new BreadthFirstIterator<>(needs, one).forEachRemaining(found::add);
            found.removeFirst();
        }
        return found;
    }

    /** What of those directly before it a student has still to pass. */
    public List<T> missing(T one, Set<T> passed) {
        return directlyBefore(one).stream()
                .filter(before -> !passed.contains(before))
                .toList();
    }

    /** The shortest ring through the first thing that stands in one. */
    private static <T> Optional<List<T>> ring(Graph<T, DefaultEdge> graph) {
        Set<T> inRings = new CycleDetector<>(graph).findCycles();
        return graph.vertexSet().stream().filter(inRings::contains).findFirst().map(start -> {
            List<T> shortest = null;
            for (T next : Graphs.successorListOf(graph, start)) {
                var back = BFSShortestPath.findPathBetween(graph, next, start);
                if (back != null && (shortest == null || back.getLength() + 2 < shortest.size())) {
                    shortest = new ArrayList<>(List.of(start));
                    shortest.addAll(back.getVertexList());
                }
            }
            return shortest;
        });
    }

    /** Prerequisites that go round in a ring. */
    public static final class CycleException extends IllegalArgumentException {

        private static final long serialVersionUID = 1L;
        private final transient List<?> ring;

        CycleException(List<?> ring) {
            super("these wait for one another: "
                    + String.join(" needs ", ring.stream().map(String::valueOf).toList()));
            this.ring = List.copyOf(ring);
        }

        /** Each needs the next; the first and last are the same. */
        public List<?> ring() {
            return ring;
        }
    }
}
