package vividroster.core.plan;

import java.util.Arrays;

/**
 * Forces one that does not stand into a week: what it needs goes before it, what waits for it behind, and what is in the way
 * and nobody waits for is put elsewhere. Without this no single step would ever mend a chain.
 */
final class Forcing {

    private static final int NOWHERE = Stand.NOWHERE;
    /** Of needs behind needs; a year's longest chains are walked in several steps. */
    private static final int DEEPEST = 40;

    private final Compiled c;
    private final Stand stand;
    private final int part;
    private final Steps steps;
    private int[] homeless = new int[64];
    private int homelessCount;

    Forcing(Stand stand, int part, Steps steps) {
        this.c = stand.c;
        this.stand = stand;
        this.part = part;
        this.steps = steps;
    }

    /** False when it cannot be done; the caller takes all back then. */
    boolean in(int i) {
        homelessCount = 0;
        int mark = stand.mark();
        int w = aWeek(i, 0, c.weeks - 1);
        if (w == NOWHERE || !force(i, w, DEEPEST)) {
            return false;
        }
        for (int n = 0; n < homelessCount; n++) {
            int one = homeless[n];
            if (stand.at[one] == NOWHERE) {
                stand.put(one, stand.cheapest(one));
            }
        }
        return stand.isSound(mark);
    }

    private boolean force(int i, int w, int deepest) {
        if (deepest == 0) {
            return false;
        }
        for (int n = 0; n < c.needs[i].length; n++) {
            int need = c.needs[i][n];
            int latest = c.taught[w] - c.gaps[i][n];
            int stands = stand.at[need];
            if (stands != NOWHERE && c.taught[stands] <= latest) {
                continue;
            }
            if (!c.isFree(need)) {
                return false;
            }
            int before = aWeekBy(need, latest);
            if (before == NOWHERE || !force(need, before, deepest - 1)) {
                return false;
            }
        }
        stand.put(i, NOWHERE);
        for (int n = 0; n < c.waiting[i].length; n++) {
            int waiting = c.waiting[i][n];
            int stands = stand.at[waiting];
            if (stands != NOWHERE && c.taught[stands] < c.taught[w] + c.waitingGaps[i][n]) {
                takeOut(waiting);
            }
        }
        if (!clear(i, w)) {
            return false;
        }
        stand.put(i, w);
        return true;
    }

    /** Makes room in a week by taking out what nobody waits for. */
    private boolean clear(int i, int w) {
        int tries = 0;
        while (!stand.holds(i, w)) {
            int other = inTheWay(i, w);
            if (other == NOWHERE || tries++ > 24) {
                return false;
            }
            takeOut(other);
        }
        return true;
    }

    /** One picked by chance that takes what is missing, is free, and nobody waits for. */
    private int inTheWay(int i, int w) {
        int found = NOWHERE;
        int seen = 0;
        for (int n = 0; n < stand.sizeOf(part, w); n++) {
            int other = stand.memberOf(part, w, n);
            if (shares(other, i) && !stand.somethingWaits(other)) {
                seen++;
                if (steps.below(seen) == 0) {
                    found = other;
                }
            }
        }
        return found;
    }

    private boolean shares(int other, int i) {
        for (int k : c.inClasses[i]) {
            for (int o : c.inClasses[other]) {
                if (k == o) {
                    return true;
                }
            }
        }
        for (int s : c.toSections[i]) {
            for (int o : c.toSections[other]) {
                if (s == o) {
                    return true;
                }
            }
        }
        return false;
    }

    private void takeOut(int i) {
        int count = stand.takeOut(i);
        if (homelessCount + count > homeless.length) {
            homeless = Arrays.copyOf(homeless, (homelessCount + count) * 2);
        }
        for (int n = 0; n < count; n++) {
            homeless[homelessCount++] = stand.takenOut(n);
        }
    }

    /** An allowed week between two, picked by chance. */
    private int aWeek(int i, int from, int to) {
        int found = NOWHERE;
        int seen = 0;
        for (int w = from; w <= to; w++) {
            if (c.isAllowed(i, w)) {
                seen++;
                if (steps.below(seen) == 0) {
                    found = w;
                }
            }
        }
        return found;
    }

    /** An allowed week not later than so many taught weeks, rather a late one. */
    private int aWeekBy(int i, int latest) {
        int found = NOWHERE;
        for (int w = c.weeks - 1; w >= 0; w--) {
            if (c.taught[w] <= latest && c.isAllowed(i, w)) {
                found = w;
                if (steps.below(3) != 0) {
                    break;
                }
            }
        }
        return found;
    }
}
