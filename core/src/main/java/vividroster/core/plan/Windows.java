package vividroster.core.plan;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;

/**
 * Between which weeks each milestone has to stand so that what is essential, fixed or due behind it can be kept; in taught
 * weeks. A window that would become empty stays open.
 */
final class Windows {

    /** By milestone, in taught weeks, both inclusive. */
    final int[] from;

    final int[] to;
    /** Placeable milestones, each behind all it needs. */
    final int[] order;

    private final Compiled c;

    Windows(Compiled c, Placeable placeable) {
        this.c = c;
        order = order(placeable);
        from = new int[c.count];
        to = new int[c.count];
        Arrays.fill(to, c.problem.weeks().teaching());
        backwards();
        forwards();
        for (int i : order) {
            if (from[i] > to[i]) {
                open(i);
            }
        }
    }

    private Windows(Compiled c) {
        this.c = c;
        order = new int[0];
        from = new int[c.count];
        to = new int[c.count];
        Arrays.fill(to, c.problem.weeks().teaching());
    }

    /** Every window open, in no order. */
    static Windows open(Compiled c) {
        return new Windows(c);
    }

    private void open(int i) {
        from[i] = 0;
        to[i] = c.problem.weeks().teaching();
    }

    private int[] order(Placeable placeable) {
        int[] missing = new int[c.count];
        int[] sorted = new int[c.count];
        int found = 0;
        Deque<Integer> ready = new ArrayDeque<>();
        for (int i : placeable.all()) {
            for (int need : c.needs[i]) {
                missing[i] += placeable.isFree(need) ? 1 : 0;
            }
            if (missing[i] == 0) {
                ready.add(i);
            }
        }
        while (!ready.isEmpty()) {
            int i = ready.removeFirst();
            sorted[found++] = i;
            for (int waiting : c.waiting[i]) {
                if (placeable.isFree(waiting) && --missing[waiting] == 0) {
                    ready.add(waiting);
                }
            }
        }
        return Arrays.copyOf(sorted, found);
    }

    private void backwards() {
        boolean[] pulled = new boolean[c.count];
        for (int i = 0; i < c.count; i++) {
            for (int n = 0; n < c.fixedNeeding[i].length; n++) {
                pull(i, c.taught[c.fixed[c.fixedNeeding[i][n]]] - c.fixedNeedingGaps[i][n], pulled);
            }
        }
        for (int o = order.length - 1; o >= 0; o--) {
            int i = order[o];
            PlanMilestone m = c.milestone(i);
            m.deadline().ifPresent(deadline -> pull(i, c.taught[deadline.week() - 1], pulled));
            if (m.essential()) {
                pull(i, c.taught[lastAllowed(i)], pulled);
            }
            for (int n = 0; pulled[i] && n < c.needs[i].length; n++) {
                pull(c.needs[i][n], to[i] - c.gaps[i][n], pulled);
            }
        }
    }

    private void pull(int i, int latest, boolean[] pulled) {
        to[i] = Math.min(to[i], latest);
        pulled[i] = true;
    }

    private int lastAllowed(int i) {
        int w = c.weeks - 1;
        while (!c.isAllowed(i, w)) {
            w--;
        }
        return w;
    }

    private void forwards() {
        for (int i : order) {
            int w = 0;
            while (!c.isAllowed(i, w)) {
                w++;
            }
            from[i] = c.taught[w];
            for (int n = 0; n < c.needs[i].length; n++) {
                int need = c.needs[i][n];
                int least = c.isFree(need) ? from[need] : c.taught[c.fixed[need]];
                from[i] = Math.max(from[i], least + c.gaps[i][n]);
            }
        }
    }

    boolean holds(int i, int w) {
        return c.taught[w] >= from[i] && c.taught[w] <= to[i];
    }
}
