package vividroster.core.plan;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import org.jgrapht.alg.connectivity.KosarajuStrongConnectivityInspector;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleDirectedGraph;
import vividroster.core.plan.PlanTrouble.Kind;

/** Which milestones can stand at all, and what keeps the others out, before anything is placed. */
final class Placeable {

    private final Compiled c;
    /** By milestone: a free one that can stand in some week if what it needs stands. */
    private final boolean[] free;

    private final List<PlanTrouble> troubles = new ArrayList<>();

    Placeable(Compiled c) {
        this.c = c;
        free = new boolean[c.count];
        for (int i = 0; i < c.count; i++) {
            free[i] = c.isFree(i);
        }
        if (c.problem.weeks().teaching() == 0) {
            noWeek();
        } else {
            classes();
        }
        weeks();
        rings();
        behind();
    }

    boolean isFree(int i) {
        return free[i];
    }

    /** Free ones that can stand, in the order of the problem. */
    int[] all() {
        return IntStream.range(0, c.count).filter(i -> free[i]).toArray();
    }

    List<PlanTrouble> troubles() {
        return troubles;
    }

    private void noWeek() {
        List<String> left = new ArrayList<>();
        for (int i = 0; i < c.count; i++) {
            if (!c.isHeard(i)) {
                left.add(c.milestone(i).id());
            }
        }
        troubles.add(new PlanTrouble(Kind.NO_TEACHING_WEEK, left, Optional.empty(), OptionalInt.empty()));
    }

    private void classes() {
        for (int k = 0; k < c.classes; k++) {
            if (everMeets(k)) {
                continue;
            }
            List<String> concerned = new ArrayList<>();
            for (int i = 0; i < c.count; i++) {
                int one = k;
                if (Arrays.stream(c.concerns[i]).anyMatch(o -> o == one)) {
                    concerned.add(c.milestone(i).id());
                }
            }
            troubles.add(
                    new PlanTrouble(Kind.CLASS_NEVER_MEETS, concerned, Optional.of(c.classId(k)), OptionalInt.empty()));
        }
    }

    private boolean everMeets(int k) {
        for (int w = 0; w < c.weeks; w++) {
            if (c.open[w] && c.minutes[k * c.weeks + w] > 0) {
                return true;
            }
        }
        return false;
    }

    private void weeks() {
        for (int i = 0; i < c.count; i++) {
            PlanMilestone m = c.milestone(i);
            m.deadline().ifPresent(deadline -> {
                if (!c.open[deadline.week() - 1]) {
                    troubles.add(PlanTrouble.of(Kind.DEADLINE_IN_BREAK, m.id(), deadline.week()));
                }
            });
            if (!c.isFree(i)) {
                if (c.standsFixed(i) == Compiled.NOWHERE) {
                    troubles.add(PlanTrouble.of(Kind.FIXED_IN_BREAK, m.id(), c.fixed[i] + 1));
                }
                continue;
            }
            Optional<Kind> kind = whyNever(i);
            boolean told = kind.equals(Optional.of(Kind.NO_TEACHING_WEEK))
                    && (c.problem.weeks().teaching() == 0
                            || Arrays.stream(c.concerns[i]).anyMatch(k -> !everMeets(k)));
            kind.filter(k -> !told).ifPresent(k -> troubles.add(PlanTrouble.of(k, m.id())));
            free[i] = kind.isEmpty();
        }
    }

    private Optional<Kind> whyNever(int i) {
        for (int brings : c.brings[i]) {
            if (brings > c.problem.rules().maxNewNotes()) {
                return Optional.of(Kind.TOO_MANY_NEW_NOTES);
            }
        }
        boolean meets = false;
        for (int w = 0; w < c.weeks; w++) {
            if (!c.isAllowed(i, w)) {
                continue;
            }
            meets = true;
            boolean holds = true;
            for (int n = 0; n < c.inClasses[i].length; n++) {
                holds &= c.takes[i][n] <= c.full[c.inClasses[i][n] * c.weeks + w];
            }
            if (holds) {
                return Optional.empty();
            }
        }
        return Optional.of(meets ? Kind.TOO_LONG : Kind.NO_TEACHING_WEEK);
    }

    /** A fixed milestone waits for nothing, so that no ring goes through it. */
    private void rings() {
        SimpleDirectedGraph<Integer, DefaultEdge> needed = new SimpleDirectedGraph<>(DefaultEdge.class);
        List<Integer> alone = new ArrayList<>();
        for (int i = 0; i < c.count; i++) {
            needed.addVertex(i);
        }
        for (int i = 0; i < c.count; i++) {
            for (int need : c.needs[i]) {
                if (need == i && c.isFree(i)) {
                    alone.add(i);
                } else if (c.isFree(i) && c.isFree(need)) {
                    needed.addEdge(i, need);
                }
            }
        }
        alone.forEach(i -> ring(List.of(i)));
        new KosarajuStrongConnectivityInspector<>(needed)
                .stronglyConnectedSets().stream()
                        .filter(set -> set.size() > 1)
                        .map(set -> set.stream().sorted().toList())
                        .sorted((a, b) -> Integer.compare(a.getFirst(), b.getFirst()))
                        .forEach(set -> {
                            set.forEach(i -> free[i] = false);
                            ring(around(set));
                        });
    }

    private void ring(List<Integer> members) {
        members.forEach(i -> free[i] = false);
        troubles.add(new PlanTrouble(
                Kind.RING,
                members.stream().map(i -> c.milestone(i).id()).toList(),
                Optional.empty(),
                OptionalInt.empty()));
    }

    /** A shortest way round from the first, then whatever else hangs in the same knot. */
    private List<Integer> around(List<Integer> members) {
        int first = members.getFirst();
        Set<Integer> knot = new HashSet<>(members);
        int[] from = new int[c.count];
        Arrays.fill(from, -1);
        Deque<Integer> open = new ArrayDeque<>(List.of(first));
        int last = -1;
        while (last < 0) {
            int i = open.removeFirst();
            for (int need : c.needs[i]) {
                if (need == first && i != first) {
                    last = i;
                    break;
                }
                if (need != first && from[need] < 0 && knot.contains(need)) {
                    from[need] = i;
                    open.addLast(need);
                }
            }
        }
        List<Integer> way = new ArrayList<>();
        for (int i = last; i >= 0; i = i == first ? -1 : from[i]) {
            way.addFirst(i);
        }
        Set<Integer> onTheWay = new HashSet<>(way);
        members.stream().filter(i -> !onTheWay.contains(i)).forEach(way::add);
        return way;
    }

    /** What needs something that can never stand cannot stand either. */
    private void behind() {
        Deque<Integer> out = new ArrayDeque<>();
        for (int i = 0; i < c.count; i++) {
            if (c.isFree(i) ? !free[i] : c.standsFixed(i) == Compiled.NOWHERE) {
                out.add(i);
            }
        }
        while (!out.isEmpty()) {
            for (int waiting : c.waiting[out.removeFirst()]) {
                if (free[waiting]) {
                    free[waiting] = false;
                    out.add(waiting);
                }
            }
        }
    }
}
