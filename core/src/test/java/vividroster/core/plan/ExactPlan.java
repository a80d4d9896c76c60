package vividroster.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vividroster.core.plan.PlanMilestone.FixedBecause;
import vividroster.core.plan.PlanMilestone.Need;
import vividroster.core.plan.PlanMilestone.Share;

/**
 * Branch and bound over every week of every milestone: the fewest points any plan of a small problem pays. Milestones come
 * in the order of the problem, in which each stands behind all it needs; what is decided only adds to the sum.
 */
final class ExactPlan {

    private final PlanProblem p;
    private final PlanMilestone[] all;
    private final Map<String, Integer> index = new HashMap<>();
    private final int weeks;
    private final int[] t;
    private final int[][] takes;
    private final int[][] minutes;
    private final int[][] share;
    private final int[][] load;
    private final int[][] notes;
    private final int[][] brings;
    private final List<List<int[]>> needs = new ArrayList<>();
    private final List<List<Integer>> bookBefore = new ArrayList<>();
    private final List<List<Integer>> bookAfter = new ArrayList<>();
    private final int[] at;
    private long best;

    private ExactPlan(PlanProblem p, long best) {
        this.p = p;
        this.best = best;
        all = p.milestones().toArray(PlanMilestone[]::new);
        weeks = p.weeks().count();
        t = new int[weeks + 1];
        for (int w = 1; w <= weeks; w++) {
            t[w] = t[w - 1] + (p.weeks().isOpen(w) ? 1 : 0);
        }
        at = new int[all.length];
        takes = new int[all.length][p.classes().size()];
        brings = new int[all.length][p.sections().size()];
        notes = new int[p.sections().size()][weeks + 1];
        load = new int[p.classes().size()][weeks + 1];
        minutes = new int[p.classes().size()][weeks + 1];
        share = new int[p.classes().size()][weeks + 1];
        for (int i = 0; i < all.length; i++) {
            index.put(all[i].id(), i);
            bookBefore.add(new ArrayList<>());
            bookAfter.add(new ArrayList<>());
        }
        for (int i = 0; i < all.length; i++) {
            milestone(i);
        }
        for (List<String> book : p.sequences()) {
            for (int n = 1; n < book.size(); n++) {
                bookAfter.get(index.get(book.get(n - 1))).add(index.get(book.get(n)));
                bookBefore.get(index.get(book.get(n))).add(index.get(book.get(n - 1)));
            }
        }
        for (int k = 0; k < minutes.length; k++) {
            minutesThereAre(k);
        }
    }

    private void milestone(int i) {
        List<int[]> own = new ArrayList<>();
        for (Need need : all[i].needs()) {
            own.add(new int[] {index.get(need.milestone()), need.gapWeeks()});
        }
        needs.add(own);
        boolean[] in = new boolean[p.classes().size()];
        for (int s = 0; s < p.sections().size(); s++) {
            for (Share one : all[i].sections()) {
                if (one.section().equals(p.sections().get(s).id())) {
                    int k = classOf(p.sections().get(s).classId());
                    in[k] = true;
                    takes[i][k] += one.teachMinutes() + one.hearMinutes();
                    brings[i][s] = one.newNotes().size();
                }
            }
        }
        for (int k = 0; k < in.length; k++) {
            takes[i][k] = in[k] ? takes[i][k] + all[i].teachMinutes() : -1;
        }
    }

    private int classOf(String id) {
        int k = 0;
        while (!p.classes().get(k).id().equals(id)) {
            k++;
        }
        return k;
    }

    private void minutesThereAre(int k) {
        long wanted = 0;
        long year = 0;
        for (int[] own : takes) {
            wanted += Math.max(0, own[k]);
        }
        for (int there : p.classes().get(k).minutes()) {
            year += there;
        }
        long fill = year == 0 ? 100 : Math.min(100, (100 * wanted + year - 1) / year);
        for (int w = 1; w <= weeks; w++) {
            minutes[k][w] = p.classes().get(k).minutes().get(w - 1);
            share[k][w] = (int) (minutes[k][w] * fill / 100);
        }
    }

    /** The least total, or this bound when nothing is below it. */
    static long least(PlanProblem p, long bound) {
        ExactPlan exact = new ExactPlan(p, bound);
        exact.from(0, 0);
        return exact.best;
    }

    private void from(int i, long soFar) {
        if (soFar >= best) {
            return;
        }
        if (i == all.length) {
            best = soFar;
            return;
        }
        for (int w = 1; w <= weeks; w++) {
            if (may(i, w)) {
                long more = put(i, w);
                from(i + 1, soFar + more);
                take(i, w);
            }
        }
        if (all[i].fixedWeek().isEmpty() || !may(i, all[i].fixedWeek().getAsInt())) {
            from(i + 1, soFar + put(i, 0));
        }
    }

    private boolean heard(int i) {
        return all[i].fixedWeek().isPresent() && all[i].fixedBecause() == FixedBecause.HEARD;
    }

    private boolean may(int i, int w) {
        PlanMilestone m = all[i];
        if (m.fixedWeek().isPresent() && m.fixedWeek().getAsInt() != w) {
            return false;
        }
        if (heard(i)) {
            return true;
        }
        boolean may = p.weeks().isOpen(w) && w >= m.earliestWeek();
        boolean free = m.fixedWeek().isEmpty();
        for (int k = 0; k < minutes.length && may; k++) {
            may = takes[i][k] < 0 || minutes[k][w] > 0;
        }
        for (int[] need : needs.get(i)) {
            may &= !free || at[need[0]] > 0 && t[at[need[0]]] + need[1] <= t[w];
        }
        return may;
    }

    /** Fixed ones may come after free ones: their limits are looked at when everything else is decided. */
    private boolean held(int i, int w) {
        for (int k = 0; k < minutes.length; k++) {
            if (takes[i][k] > 0 && load[k][w] > minutes[k][w] * p.rules().fullPercent() / 100) {
                return false;
            }
        }
        for (int s = 0; s < notes.length; s++) {
            if (brings[i][s] > 0 && notes[s][w] > p.rules().maxNewNotes()) {
                return false;
            }
        }
        return true;
    }

    private static final long NEVER = Long.MAX_VALUE / 4;

    /** Points that come with it; so many that nothing is worth them where a limit of a free one breaks. */
    private long put(int i, int w) {
        PlanPrices prices = p.prices();
        PlanMilestone m = all[i];
        at[i] = w;
        long sum = 0;
        Integer before = p.today().get(m.id());
        if (before != null && before != w) {
            sum += prices.movedEach() + (w == 0 ? 0 : prices.movedPerWeek() * Math.abs(t[w] - t[before]));
        }
        if (w == 0) {
            return sum + prices.dropPerValue() * m.value() + (m.essential() ? prices.essential() : 0);
        }
        if (m.deadline().isPresent()) {
            int left = t[m.deadline().get().week()] - t[w];
            sum += left < 0 ? prices.lateEach() - left * prices.latePerWeek() : 0;
            sum += prices.marginPerWeek() * Math.max(0, m.deadline().get().marginWeeks() - left);
        }
        for (int[] need : needs.get(i)) {
            boolean late = at[need[0]] == 0 || t[at[need[0]]] + need[1] > t[w];
            sum += late && m.fixedWeek().isPresent() && !heard(i) ? prices.brokenNeed() : 0;
        }
        for (int o : bookBefore.get(i)) {
            sum += o < i && at[o] > 0 ? prices.orderPerWeek() * Math.max(0, t[at[o]] - t[w]) : 0;
        }
        for (int o : bookAfter.get(i)) {
            sum += o < i && at[o] > 0 ? prices.orderPerWeek() * Math.max(0, t[w] - t[at[o]]) : 0;
        }
        for (int k = 0; k < minutes.length; k++) {
            sum -= weekPoints(k, w);
            load[k][w] += Math.max(0, takes[i][k]);
            sum += weekPoints(k, w);
        }
        for (int s = 0; s < notes.length; s++) {
            notes[s][w] += brings[i][s];
        }
        for (int o = 0; o <= i; o++) {
            if (at[o] == w && all[o].fixedWeek().isEmpty() && !held(o, w)) {
                return NEVER;
            }
        }
        return sum;
    }

    private long weekPoints(int k, int w) {
        return p.prices().overPerMinute() * Math.max(0, load[k][w] - minutes[k][w])
                + p.prices().unevenPerMinute() * Math.max(0, load[k][w] - share[k][w]);
    }

    private void take(int i, int w) {
        at[i] = 0;
        for (int k = 0; k < minutes.length; k++) {
            load[k][w] -= Math.max(0, takes[i][k]);
        }
        for (int s = 0; s < notes.length; s++) {
            notes[s][w] -= brings[i][s];
        }
    }
}
