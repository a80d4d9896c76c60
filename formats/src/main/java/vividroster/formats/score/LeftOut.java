package vividroster.formats.score;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * Something a file holds that is not kept.
 *
 * @param what for example "dynamics"
 * @param measures by number, a pick-up being 0, where they are known; empty for what belongs to the whole
 */
public record LeftOut(String what, SortedSet<Integer> measures) {

    /** So many measures are named one by one. */
    private static final int MOST_NAMED = 12;

    public LeftOut {
        measures = java.util.Collections.unmodifiableSortedSet(new TreeSet<>(measures));
    }

    /** For example "dynamics in 3, 7", "fermatas in the pick-up, 4". */
    public String words() {
        if (measures.isEmpty()) {
            return what;
        }
        List<String> named = measures.stream()
                .limit(MOST_NAMED)
                .map(n -> n == 0 ? "the pick-up" : String.valueOf(n))
                .toList();
        int more = measures.size() - named.size();
        return what + " in " + String.join(", ", named) + (more > 0 ? " and " + more + " more" : "");
    }

    /** Gathers them while a file is read. */
    public static final class Gathered {

        private final Map<String, SortedSet<Integer>> found = new LinkedHashMap<>();

        public void add(String what) {
            found.computeIfAbsent(what, w -> new TreeSet<>());
        }

        public void add(String what, int measure) {
            found.computeIfAbsent(what, w -> new TreeSet<>()).add(measure);
        }

        public void addAll(List<LeftOut> others) {
            others.forEach(one ->
                    found.computeIfAbsent(one.what(), w -> new TreeSet<>()).addAll(one.measures()));
        }

        public List<LeftOut> list() {
            List<LeftOut> all = new ArrayList<>();
            found.forEach((what, measures) -> all.add(new LeftOut(what, measures)));
            return List.copyOf(all);
        }
    }
}
