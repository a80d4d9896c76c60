package vividroster.core.plan;

import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;

/** Lays a first plan and looks for a better one, part by part. */
final class Arrangement {

    /** Points; what a step may lose when a pass begins and when it ends. Measured on made-up years. */
    private static final double HOT = 20;

    private static final double COLD = 1;
    /** Any would do; this one did well on the made-up years. */
    private static final long SEED = 3_039;
    /** Parts up to this size are looked at so often that the best plan is found. */
    private static final int SMALL = 40;

    private static final long LEAST_FOR_SMALL = 120_000;
    /** Each begins hot again. */
    private static final int ROUNDS = 3;

    /** With more parts than this even small ones keep to the budget. */
    private static final int FEW = 6;

    private final Compiled c;
    private final PlanBudget budget;
    private final PlanWatch watch;
    private final Stand stand;
    private final Windows windows;
    private long done;
    private long all;
    private boolean ended;

    Arrangement(Compiled c, Placeable placeable, PlanBudget budget, PlanWatch watch) {
        this.c = c;
        this.budget = budget;
        this.watch = watch;
        stand = new Stand(c);
        windows = new Windows(c, placeable);
        new ListSchedule(c, placeable, windows, stand).lay();
    }

    /** Where everything stands when the budget is spent. */
    Stand look() {
        if (budget.mostSteps() == 0) {
            return stand;
        }
        List<int[]> parts = Parts.of(c, windows.order);
        long[] shares = parts.stream().mapToLong(this::pressure).toArray();
        long wanted = Math.max(1, Arrays.stream(shares).sum());
        long[] steps = new long[shares.length];
        for (int p = 0; p < shares.length; p++) {
            long fair = budget.stepsFor(windows.order.length) * shares[p] / wanted;
            boolean cheap = parts.get(p).length <= SMALL && parts.size() <= FEW;
            steps[p] = cheap ? Math.max(LEAST_FOR_SMALL, fair) : fair;
            all += steps[p];
        }
        stand.tellBy(parts);
        for (int p = 0; p < shares.length && !ended; p++) {
            look(p, parts.get(p), steps[p]);
        }
        return stand;
    }

    /** Its milestones, more where the minutes are short: there a look finds more. */
    private long pressure(int[] part) {
        long wanted = 0;
        boolean[] in = new boolean[c.classes];
        for (int i : part) {
            for (int n = 0; n < c.inClasses[i].length; n++) {
                in[c.inClasses[i][n]] = true;
                wanted += c.takes[i][n];
            }
        }
        long there = 0;
        for (int k = 0; k < c.classes; k++) {
            for (int w = 0; in[k] && w < c.weeks; w++) {
                there += c.open[w] ? c.minutes[k * c.weeks + w] : 0;
            }
        }
        long percent = 100 * wanted / Math.max(1, there);
        return part.length * Math.clamp(percent - 80, 8L, 30L);
    }

    private void look(int number, int[] part, long steps) {
        Search search = new Search(stand, number, part, windows, new Steps(SEED + part.length * 1_000_003L + part[0]));
        if (part.length <= SMALL) {
            search.within(Windows.open(c));
            for (int round = 0; round < ROUNDS; round++) {
                passes(search, steps / ROUNDS, smallHeats());
            }
        } else if (moves(part)) {
            search.within(Windows.open(c));
            double moved = c.problem.prices().movedEach();
            // first near the plan in force, where few moves are found; then as hot as what is left out asks for, and
            // near again:
            // the best of all is kept. Measured on 24 re-plans of made-up years, fewer moves and fewer left out than
            // hot first
            passes(search, steps * 5 / 2, moved / 2, 100 * moved, moved / 2, moved / 2);
        } else {
            pass(search, steps, HOT);
            if (missesSomething(part)) {
                search.within(Windows.open(c));
                passes(search, steps / 4, HOT, 10 * HOT);
            }
        }
    }

    /** As hot as each price in turn, so that whatever is paid once may be paid elsewhere. */
    private double[] smallHeats() {
        PlanPrices prices = c.problem.prices();
        return DoubleStream.of(
                        HOT,
                        3 * HOT,
                        20 * HOT,
                        prices.movedEach() / 2.0,
                        prices.movedEach() * 5.0,
                        prices.dropPerValue() * 100.0,
                        prices.lateEach(),
                        prices.essential() / 3.0,
                        HOT)
                .toArray();
    }

    private void passes(Search search, long steps, double... heats) {
        for (double hot : heats) {
            pass(search, steps / heats.length, Math.max(HOT, hot));
        }
    }

    private void pass(Search search, long steps, double hot) {
        if (ended) {
            return;
        }
        long before = done;
        search.pass(steps, hot, COLD, step -> {
            done = before + step;
            ended = ended || !watch.goOn(done, all, search.bestPoints());
            return !ended;
        });
        done = before + steps;
    }

    /** Whether some of it stands in a plan in force. */
    private boolean moves(int[] part) {
        for (int i : part) {
            if (c.today[i] != Stand.NOWHERE && c.problem.prices().movedEach() > 0) {
                return true;
            }
        }
        return false;
    }

    /** Whether an essential one is left out or a date is missed. */
    private boolean missesSomething(int[] part) {
        for (int i : part) {
            int w = stand.at[i];
            PlanMilestone m = c.milestone(i);
            if (w == Stand.NOWHERE ? m.essential() : c.datesAlone(m, w).dates() > 0 || c.brokenFor(i, w) > 0) {
                return true;
            }
        }
        return false;
    }
}
