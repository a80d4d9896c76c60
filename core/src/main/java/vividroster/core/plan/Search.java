package vividroster.core.plan;

/**
 * Looks for a better plan of one part of the year by annealing: steps that lose a little are taken while it is hot, fewer as
 * it cools, and the best plan seen is kept. A part is what is tied together by class, need or book; parts do not touch one
 * another. (Kirkpatrick, Gelatt and Vecchi 1983; which steps, and how often, was measured on made-up years.)
 */
final class Search {

    private static final int NOWHERE = Stand.NOWHERE;
    /** How far apart two may stand that are exchanged, in taught weeks. */
    private static final int NEAR = 5;

    private static final int BETWEEN_LOOKS = 128;
    /** Changes a step makes and takes back without counting as more than one. */
    private static final int USUAL_SHIFTS = 64;

    private static final int SHIFTS_A_STEP = 8;
    /** How often in a hundred steps one of those left out or moved away is picked, besides its turn. */
    private static final int MISSING_PERCENT = 8;

    /** Asked while a pass goes on. */
    interface GoOn {

        boolean goOn(long stepsOfThisPass);
    }

    private final Compiled c;
    private final Stand stand;
    private final int number;
    private final int[] part;
    private final Steps steps;
    private final Forcing forcing;
    private final Rebuilding rebuilding;
    private final int[] placeInPart;
    private final int[] best;
    private long bestPoints;
    private long pointsBefore;
    /** The best plan is the one that stands, and was not written down yet. */
    private boolean bestStands;

    /** Those of the part that stood nowhere, or not where they stand in the plan in force, when the temperature was set. */
    private final int[] out;

    private int outCount;
    private Windows windows;
    private double temperature;

    /**
     * @param number of the part among those the stand tells by
     * @param part placeable milestones, each behind all it needs
     */
    Search(Stand stand, int number, int[] part, Windows windows, Steps steps) {
        this.c = stand.c;
        this.stand = stand;
        this.number = number;
        this.part = part;
        this.steps = steps;
        this.windows = windows;
        forcing = new Forcing(stand, number, steps);
        placeInPart = new int[c.count];
        for (int p = 0; p < part.length; p++) {
            placeInPart[part[p]] = p;
        }
        rebuilding = new Rebuilding(stand, number, placeInPart, steps);
        best = new int[part.length];
        out = new int[part.length];
        bestPoints = stand.points();
        write();
    }

    void within(Windows others) {
        windows = others;
    }

    long bestPoints() {
        return bestPoints;
    }

    /**
     * So many steps from the best plan so far, cooling from one temperature to the other; then the best stands again.
     *
     * A step that takes long chains along counts as several, so that the time of a pass is bounded too.
     *
     * @param goOn asked every so many steps; its answer no ends the pass early
     */
    void pass(long count, double hot, double cold, GoOn goOn) {
        restore();
        double cooling = cold / hot;
        long next = 0;
        for (long s = 0; s < count; s++) {
            if (s >= next) {
                next = s + BETWEEN_LOOKS;
                if (!goOn.goOn(s)) {
                    break;
                }
                whoIsOut();
                temperature = hot * StrictMath.pow(cooling, (double) s / count);
            }
            long before = stand.shifts();
            step();
            s += Math.max(0, stand.shifts() - before - USUAL_SHIFTS) / SHIFTS_A_STEP;
        }
        restore();
    }

    private void whoIsOut() {
        outCount = 0;
        for (int i : part) {
            if (stand.at[i] == NOWHERE || away(i)) {
                out[outCount++] = i;
            }
        }
    }

    /** Whether it stands in another week than in the plan in force. */
    private boolean away(int i) {
        return c.today[i] != NOWHERE && c.today[i] != stand.at[i];
    }

    private void step() {
        int i = part[steps.below(part.length)];
        int kind = steps.below(32);
        if (outCount > 0 && steps.below(100) < MISSING_PERCENT) {
            i = out[steps.below(outCount)];
        }
        if (stand.at[i] == NOWHERE) {
            bringIn(i);
        } else if (kind < 12) {
            moveOne(i, kind);
        } else if (kind < 30) {
            exchange(i);
        } else if (kind == 30) {
            leaveOut(i);
        } else {
            int mark = stand.mark();
            if (rebuilding.around(stand.at[i])) {
                judge(mark);
            } else {
                stand.back(mark);
            }
        }
    }

    private void moveOne(int i, int kind) {
        int w;
        if (kind < 3) {
            w = away(i) ? c.today[i] : steps.below(c.weeks);
        } else if (kind < 8) {
            w = weekOfNeighbour(i);
        } else {
            int far = 1 + steps.below(3);
            w = openWeek(stand.at[i], steps.below(2) == 0 ? far : -far);
        }
        if (w == NOWHERE || w == stand.at[i] || !c.isAllowed(i, w) || !windows.holds(i, w)) {
            return;
        }
        int taught = c.taught[w];
        if (!stand.holds(i, w) || (w < stand.at[i] ? taught < stand.notBefore(i) : taught > stand.notAfter(i))) {
            return;
        }
        long more = stand.difference(i, w);
        if (more > 0 && more > steps.mayLose(temperature)) {
            return;
        }
        int mark = stand.mark();
        stand.put(i, w);
        settle(mark, more);
    }

    private int weekOfNeighbour(int i) {
        int before = c.bookBefore[i].length;
        int all = before + c.bookAfter[i].length;
        if (all == 0) {
            return steps.below(c.weeks);
        }
        int pick = steps.below(all);
        return stand.at[pick < before ? c.bookBefore[i][pick] : c.bookAfter[i][pick - before]];
    }

    /** The open week so many teaching weeks away, if there is one. */
    private int openWeek(int from, int by) {
        int step = by > 0 ? 1 : -1;
        int left = Math.abs(by);
        int w = from;
        while (left > 0) {
            w += step;
            if (w < 0 || w >= c.weeks) {
                return NOWHERE;
            }
            left -= c.open[w] ? 1 : 0;
        }
        return w;
    }

    private void exchange(int i) {
        int a = stand.at[i];
        int j = steps.below(10) > 0 ? nearby(a) : away(i) ? someoneIn(c.today[i]) : besideNeighbour(i);
        if (j == NOWHERE) {
            return;
        }
        int b = stand.at[j];
        if (!c.isAllowed(i, b) || !c.isAllowed(j, a) || !windows.holds(i, b) || !windows.holds(j, a)) {
            return;
        }
        int early = a < b ? i : j;
        int late = early == i ? j : i;
        int earlyWeek = Math.min(a, b);
        int lateWeek = Math.max(a, b);
        // the early one goes late: what waits for it must be later still; the other may wait for it as well
        if (c.taught[lateWeek] > stand.notAfter(early) || c.taught[earlyWeek] < stand.notBefore(late)) {
            return;
        }
        long more = stand.exchanged(i, j);
        if (more > 0 && more > steps.mayLose(temperature)) {
            return;
        }
        int mark = stand.mark();
        stand.put(early, lateWeek);
        stand.put(late, earlyWeek);
        if (c.taught[earlyWeek] < stand.notBefore(late) || !stand.held(i) || !stand.held(j)) {
            stand.back(mark);
        } else {
            settle(mark, more);
        }
    }

    /** One in the week of a neighbour in the book. */
    private int besideNeighbour(int i) {
        int w = weekOfNeighbour(i);
        return w == NOWHERE || w == stand.at[i] ? NOWHERE : someoneIn(w);
    }

    private int someoneIn(int w) {
        int size = stand.sizeOf(number, w);
        return size == 0 ? NOWHERE : stand.memberOf(number, w, steps.below(size));
    }

    /** One that stands a few weeks away. */
    private int nearby(int w) {
        int far = 1 + steps.below(NEAR);
        int other = openWeek(w, steps.below(2) == 0 ? far : -far);
        return other == NOWHERE ? NOWHERE : someoneIn(other);
    }

    /** With all that waits for it. */
    private void leaveOut(int i) {
        int mark = stand.mark();
        stand.takeOut(i);
        judge(mark);
    }

    private void bringIn(int i) {
        int w = steps.below(2) == 0 ? steps.below(c.weeks) : near(weekOfNeighbour(i));
        int mark = stand.mark();
        if (w != NOWHERE
                && c.isAllowed(i, w)
                && c.taught[w] >= stand.notBefore(i)
                && c.taught[w] <= stand.notAfter(i)
                && (stand.holds(i, w) ? comesIn(i, w, mark) : comesInPlaceOfAnother(i, w, mark))) {
            return;
        }
        if (steps.below(32) < (c.milestone(i).essential() ? 7 : 1)) {
            if (forcing.in(i)) {
                judge(mark);
            } else {
                stand.back(mark);
            }
        }
    }

    private int near(int w) {
        return w == NOWHERE ? NOWHERE : Math.clamp(w + steps.below(5) - 2, 0, c.weeks - 1);
    }

    private boolean comesIn(int i, int w, int mark) {
        stand.put(i, w);
        return judge(mark);
    }

    /** The other goes elsewhere, or out. */
    private boolean comesInPlaceOfAnother(int i, int w, int mark) {
        int j = someoneIn(w);
        if (j == NOWHERE || stand.somethingWaits(j)) {
            return false;
        }
        stand.put(j, NOWHERE);
        if (c.taught[w] < stand.notBefore(i) || !stand.holds(i, w)) {
            stand.back(mark);
            return false;
        }
        stand.put(i, w);
        if (steps.below(2) == 0) {
            stand.put(j, stand.cheapest(j));
        }
        return judge(mark);
    }

    /** Keeps what was done since a mark, or takes it back. */
    private boolean judge(int mark) {
        long more = stand.points() - pointsBefore;
        if (more > 0 && more > steps.mayLose(temperature)) {
            stand.back(mark);
            return false;
        }
        settle(mark, more);
        return true;
    }

    /** A step is taken: the best plan is written down when it is about to be lost. */
    private void settle(int mark, long more) {
        if (more > 0 && bestStands) {
            write();
            for (int n = stand.changes(mark) - 1; n >= 0; n--) {
                int changed = stand.changed(mark, n);
                best[placeInPart[changed]] = stand.cameFrom(mark, n);
            }
            bestStands = false;
        }
        stand.keep();
        pointsBefore = stand.points();
        if (pointsBefore < bestPoints) {
            bestPoints = pointsBefore;
            bestStands = true;
        }
    }

    private void write() {
        for (int p = 0; p < part.length; p++) {
            best[p] = stand.at[part[p]];
        }
    }

    private void restore() {
        if (bestStands) {
            write();
            bestStands = false;
        }
        for (int p = 0; p < part.length; p++) {
            stand.put(part[p], best[p]);
        }
        stand.keep();
        pointsBefore = stand.points();
        bestStands = false;
    }
}
