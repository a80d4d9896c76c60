package vividroster.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.Graphs;
import org.jgrapht.alg.TransitiveReduction;
import org.jgrapht.alg.cycle.CycleDetector;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleDirectedGraph;

/**
 * Which line brings what to whom: walking each section's lines in book order, the first that uses a note, a rhythm or a sign
 * introduces it, and every later line that uses it needs that one. Of the needs only the direct ones are kept; what follows
 * through another is left out. A line that is dropped hands what it brought to the next: walk again without it.
 *
 * @param <L> what names a line
 * @param <S> what names a section
 * @param <V> a thing that is new once
 */
public final class Introductions<L, S, V> {

    /**
     * A line of a book.
     *
     * @param uses what its page asks of each section that plays it
     */
    public record Line<L, S, V>(L id, Map<S, Set<V>> uses) {

        public Line {
            uses = new LinkedHashMap<>(uses);
        }
    }

    private final Map<L, Map<S, Set<V>>> brings = new LinkedHashMap<>();
    private final Map<L, Set<L>> needs = new LinkedHashMap<>();

    /**
     * @param books each a list of lines in its order; a section walks them one after another as they are given
     * @param met what a section knows before the first line
     */
    public Introductions(List<List<Line<L, S, V>>> books, Map<S, Set<V>> met) {
        SimpleDirectedGraph<L, DefaultEdge> graph = new SimpleDirectedGraph<>(DefaultEdge.class);
        Map<S, Map<V, L>> introducers = new HashMap<>();
        for (List<Line<L, S, V>> book : books) {
            for (Line<L, S, V> line : book) {
                graph.addVertex(line.id());
                line.uses().forEach((section, things) -> {
                    Set<V> before = met.getOrDefault(section, Set.of());
                    Map<V, L> known = introducers.computeIfAbsent(section, none -> new HashMap<>());
                    for (V thing : things) {
                        L introducer = known.get(thing);
                        if (introducer != null && !introducer.equals(line.id())) {
                            graph.addEdge(line.id(), introducer);
                        } else if (introducer == null && !before.contains(thing)) {
                            known.put(thing, line.id());
                            brings.computeIfAbsent(line.id(), none -> new LinkedHashMap<>())
                                    .computeIfAbsent(section, none -> new LinkedHashSet<>())
                                    .add(thing);
                        }
                    }
                });
            }
        }
        // Sections that walk the same lines in other orders may go round in a ring; the planner names it.
        if (!new CycleDetector<>(graph).detectCycles()) {
            TransitiveReduction.INSTANCE.reduce(graph);
        }
        graph.vertexSet().forEach(line -> needs.put(line, new LinkedHashSet<>(Graphs.successorListOf(graph, line))));
    }

    /** What a line introduces to a section. */
    public Set<V> newIn(L line, S section) {
        return Set.copyOf(brings.getOrDefault(line, Map.of()).getOrDefault(section, Set.of()));
    }

    /** The lines that must be taught before this one, or earlier in the same week. */
    public Set<L> needs(L line) {
        return new LinkedHashSet<>(needs.getOrDefault(line, Set.of()));
    }

    /** Everything a line needs through others, for whoever asks whether something is missing. */
    public Set<L> allNeeds(L line) {
        Set<L> all = new HashSet<>();
        List<L> open = new ArrayList<>(needs(line));
        while (!open.isEmpty()) {
            L next = open.removeLast();
            if (all.add(next)) {
                open.addAll(needs(next));
            }
        }
        return all;
    }
}
