package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividroster.core.rehearsal.Ladder.Kind;
import vividroster.core.rehearsal.Ladder.Step;

/** What of a ladder fits the seconds there are: the least valuable goes first. */
final class LadderFit {

    private LadderFit() {}

    /** @param recalls the measure isolated before, by the measure that only recalls it */
    static Ladder within(List<Step> wanted, Map<Integer, Integer> recalls, double seconds) {
        List<Step> kept = new ArrayList<>(wanted);
        List<Step> dropped = new ArrayList<>();
        while (sum(kept) > seconds) {
            Step least = leastOf(kept);
            kept.remove(least);
            dropped.add(least);
            if (least.kind() == Kind.ISOLATE && isolations(kept, least.from()) == 0) {
                List<Step> idle = kept.stream()
                        .filter(s -> s.kind() == Kind.RECALL
                                && Integer.valueOf(least.from()).equals(recalls.get(s.from())))
                        .toList();
                kept.removeAll(idle);
                dropped.addAll(idle);
            }
        }
        return new Ladder(List.copyOf(kept), List.copyOf(dropped), sum(kept));
    }

    private static long isolations(List<Step> steps, int measure) {
        return steps.stream()
                .filter(s -> s.kind() == Kind.ISOLATE && s.from() == measure)
                .count();
    }

    /** The least valuable; but the last join stays while a fragment is left that it could join. */
    private static Step leastOf(List<Step> kept) {
        List<Step> joins = kept.stream().filter(Step::joins).toList();
        Optional<Step> least = kept.stream()
                .filter(s -> joins.size() != 1 || s != joins.getFirst())
                .filter(s -> joins.size() != 1 || !s.isWhole())
                .min(Comparator.comparingInt(Step::value));
        return least.orElseGet(
                () -> kept.stream().min(Comparator.comparingInt(Step::value)).orElseThrow());
    }

    static double sum(List<Step> steps) {
        return steps.stream().mapToDouble(Step::seconds).sum();
    }
}
