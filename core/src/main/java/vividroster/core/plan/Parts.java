package vividroster.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.alg.util.UnionFind;

/** Splits what can be placed into parts that do not touch one another: by class, need and book. */
final class Parts {

    private Parts() {}

    /** Each part in the order its milestones are given; parts in the order of their first. */
    static List<int[]> of(Compiled c, int[] placeable) {
        Set<Integer> all = new LinkedHashSet<>();
        for (int i = 0; i < c.count + c.classes; i++) {
            all.add(i);
        }
        UnionFind<Integer> tied = new UnionFind<>(all);
        for (int i = 0; i < c.count; i++) {
            for (int k : c.concerns[i]) {
                tied.union(i, c.count + k);
            }
            for (int need : c.needs[i]) {
                tied.union(i, need);
            }
            for (int after : c.bookAfter[i]) {
                tied.union(i, after);
            }
        }
        Map<Integer, List<Integer>> parts = new LinkedHashMap<>();
        for (int i : placeable) {
            parts.computeIfAbsent(tied.find(i), none -> new ArrayList<>()).add(i);
        }
        return parts.values().stream()
                .map(part -> part.stream().mapToInt(Integer::intValue).toArray())
                .toList();
    }
}
