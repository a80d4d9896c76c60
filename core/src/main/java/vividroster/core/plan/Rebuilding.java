package vividroster.core.plan;

/** Takes a handful out of nearby weeks and puts each back into the cheapest week, skipping one now and then. */
final class Rebuilding {

    private static final int NOWHERE = Stand.NOWHERE;
    private static final int FEWEST = 3;
    private static final int MOST = 14;
    private static final int FAR = 8;

    private final Compiled c;
    private final Stand stand;
    private final int part;
    /** By milestone: its place in an order in which each stands behind all it needs. */
    private final int[] rank;

    private final Steps steps;
    private final int[] taken = new int[MOST];

    /** @param part its number among those the stand tells by */
    Rebuilding(Stand stand, int part, int[] rank, Steps steps) {
        this.c = stand.c;
        this.stand = stand;
        this.part = part;
        this.rank = rank;
        this.steps = steps;
    }

    /** False when what waits for one of them no longer could; the caller takes all back then. */
    boolean around(int w) {
        int wanted = FEWEST + steps.below(MOST - FEWEST + 1);
        int spread = 1 + steps.below(3);
        int count = 0;
        for (int tries = 0; tries < wanted && count < wanted; tries++) {
            int by = steps.below(2 * spread + 1) - spread;
            int near = Math.clamp(w + by, 0, c.weeks - 1);
            int size = stand.sizeOf(part, near);
            if (size > 0) {
                int i = stand.memberOf(part, near, steps.below(size));
                stand.put(i, NOWHERE);
                taken[count++] = i;
            }
        }
        sort(count);
        for (int n = 0; n < count; n++) {
            int i = taken[n];
            int cheapest = cheapest(i, c.taught[w]);
            if (cheapest == NOWHERE && stand.somethingWaits(i)) {
                return false;
            }
            stand.put(i, cheapest);
        }
        return true;
    }

    /** What is needed first. */
    private void sort(int count) {
        for (int n = 1; n < count; n++) {
            int i = taken[n];
            int p = n;
            while (p > 0 && rank[taken[p - 1]] > rank[i]) {
                taken[p] = taken[--p];
            }
            taken[p] = i;
        }
    }

    private int cheapest(int i, int around) {
        int least = Math.max(around - FAR, stand.notBefore(i));
        int most = Math.min(around + FAR, stand.notAfter(i));
        int best = NOWHERE;
        long bestPoints = 0;
        for (int w = 0; w < c.weeks; w++) {
            if (!c.isAllowed(i, w) || c.taught[w] < least || c.taught[w] > most || steps.below(8) == 0) {
                continue;
            }
            if (stand.holds(i, w)) {
                long points = stand.gained(i, w);
                if (best == NOWHERE || points < bestPoints) {
                    best = w;
                    bestPoints = points;
                }
            }
        }
        return best;
    }
}
