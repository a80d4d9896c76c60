package vividroster.core.plan;

import java.util.Arrays;
import java.util.Comparator;
import java.util.PriorityQueue;

/**
 * A first plan: what is fixed, what can stay where it stands today, then everything else by its latest start, each in the
 * cheapest week that breaks no rule.
 */
final class ListSchedule {

    private final Compiled c;
    private final Placeable placeable;
    private final Windows windows;
    private final Stand stand;
    /** By milestone: how early it comes among those that start equally late. */
    private final int[] place;

    ListSchedule(Compiled c, Placeable placeable, Windows windows, Stand stand) {
        this.c = c;
        this.placeable = placeable;
        this.windows = windows;
        this.stand = stand;
        this.place = places();
    }

    /** Puts everything it can. */
    void lay() {
        for (int i = 0; i < c.count; i++) {
            if (!c.isFree(i)) {
                stand.put(i, c.standsFixed(i));
            }
        }
        for (int i : windows.order) {
            if (c.today[i] != Stand.NOWHERE) {
                stay(i);
            }
        }
        int[] missing = new int[c.count];
        PriorityQueue<Integer> ready = new PriorityQueue<>(
                Comparator.<Integer>comparingInt(i -> windows.to[i]).thenComparingInt(i -> place[i]));
        for (int i : windows.order) {
            for (int need : c.needs[i]) {
                missing[i] += placeable.isFree(need) ? 1 : 0;
            }
            if (missing[i] == 0) {
                ready.add(i);
            }
        }
        while (!ready.isEmpty()) {
            int i = ready.remove();
            if (stand.at[i] == Stand.NOWHERE) {
                int w = cheapest(i, true, stand.notAfter(i));
                stand.put(i, w == Stand.NOWHERE ? stand.cheapest(i) : w);
            }
            for (int waiting : c.waiting[i]) {
                if (placeable.isFree(waiting) && --missing[waiting] == 0) {
                    ready.add(waiting);
                }
            }
        }
        stand.keep();
    }

    /** In its week of today, else as near as what waits for it today allows. */
    private void stay(int i) {
        int least = stand.notBefore(i);
        int w = c.today[i];
        if (c.isAllowed(i, w) && c.taught[w] >= least && stand.holds(i, w)) {
            stand.put(i, w);
            return;
        }
        int most = Stand.NEVER;
        for (int n = 0; n < c.waiting[i].length; n++) {
            int then = c.today[c.waiting[i][n]];
            if (then != Stand.NOWHERE) {
                most = Math.min(most, c.taught[then] - c.waitingGaps[i][n]);
            }
        }
        stand.put(i, cheapest(i, false, most));
    }

    private int cheapest(int i, boolean inWindow, int most) {
        int least = stand.notBefore(i);
        int best = Stand.NOWHERE;
        long bestPoints = 0;
        for (int w = 0; w < c.weeks; w++) {
            if (!c.isAllowed(i, w)
                    || c.taught[w] < least
                    || c.taught[w] > most
                    || inWindow && !windows.holds(i, w)
                    || !stand.holds(i, w)) {
                continue;
            }
            long points = stand.gained(i, w);
            if (best == Stand.NOWHERE || points < bestPoints) {
                best = w;
                bestPoints = points;
            }
        }
        return best;
    }

    /** By the share of its book that lies before it, so that books of different length keep step. */
    private int[] places() {
        int[] found = new int[c.count];
        Arrays.fill(found, Integer.MAX_VALUE);
        for (var sequence : c.problem.sequences()) {
            for (int p = 0; p < sequence.size(); p++) {
                int i = c.place(sequence.get(p));
                found[i] = Math.min(found[i], 10_000 * p / sequence.size());
            }
        }
        return found;
    }
}
