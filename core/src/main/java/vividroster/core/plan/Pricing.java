package vividroster.core.plan;

/** What a whole plan pays, part by part, added up anew from where everything stands. */
final class Pricing {

    private Pricing() {}

    /** @param at by milestone: its week from 0, or {@link Compiled#NOWHERE} */
    static PlanPoints of(Compiled c, int[] at) {
        PlanPrices prices = c.problem.prices();
        PlanPoints sum = PlanPoints.NONE;
        int[][] load = new int[c.classes][c.weeks];
        for (int i = 0; i < c.count; i++) {
            PlanMilestone m = c.milestone(i);
            int w = at[i];
            sum = sum.plus(c.movedTo(i, w))
                    .plus(new PlanPoints(0, prices.brokenNeed() * c.brokenFor(i, w), 0, 0, 0, 0, 0));
            if (w == Compiled.NOWHERE) {
                sum = sum.plus(new PlanPoints(c.dropped(m), 0, 0, 0, 0, 0, 0));
                continue;
            }
            sum = sum.plus(c.datesAlone(m, w));
            for (int n = 0; n < c.inClasses[i].length; n++) {
                load[c.inClasses[i][n]][w] += c.takes[i][n];
            }
            for (int after : c.bookAfter[i]) {
                if (at[after] != Compiled.NOWHERE && at[after] < w) {
                    sum = sum.plus(new PlanPoints(0, 0, 0, 0, c.turnedRound(w, at[after]), 0, 0));
                }
            }
        }
        for (int k = 0; k < load.length; k++) {
            for (int w = 0; w < c.weeks; w++) {
                long over = prices.overPerMinute() * Math.max(0, load[k][w] - c.minutes[k * c.weeks + w]);
                long uneven = prices.unevenPerMinute() * Math.max(0, load[k][w] - c.share[k * c.weeks + w]);
                sum = sum.plus(new PlanPoints(0, 0, over, uneven, 0, 0, 0));
            }
        }
        return sum;
    }
}
