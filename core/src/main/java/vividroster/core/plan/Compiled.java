package vividroster.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntPredicate;

/**
 * A problem in numbers: milestones, classes, sections and weeks by their place in the problem, weeks counted from 0, what a
 * milestone costs in each week as far as it stands alone. Nothing here changes.
 */
final class Compiled {

    /** In {@link Places#week} of a milestone that stands nowhere. */
    static final int NOWHERE = -1;

    final PlanProblem problem;
    final int count;
    final int weeks;
    final int classes;
    /** Open weeks up to and including each. */
    final int[] taught;

    final boolean[] open;
    /** By class times {@link #weeks} plus week. */
    final int[] minutes;

    final int[] share;
    final int[] full;

    /** By milestone: the classes it takes minutes of, and how many. */
    final int[][] inClasses;

    final int[][] takes;
    /** By milestone: every class it concerns, whether it takes minutes or not. */
    final int[][] concerns;
    /** By milestone: the sections it brings new notes to, and how many. */
    final int[][] toSections;

    final int[][] brings;
    final int[][] needs;
    final int[][] gaps;
    /** By milestone: the free ones that need it. What is fixed waits for nothing, it pays. */
    final int[][] waiting;

    final int[][] waitingGaps;
    /** By milestone: the fixed ones that stand, need it and are not heard yet; once for each need. */
    final int[][] fixedNeeding;

    final int[][] fixedNeedingGaps;
    /** By milestone: its neighbours before and behind it in the books. */
    final int[][] bookBefore;

    final int[][] bookAfter;
    /** By milestone: the week it is fixed in, or {@link #NOWHERE}. */
    final int[] fixed;

    final int[] today;
    /** By milestone times {@link #weeks} + 1 plus week, the last place for standing nowhere: what it pays alone. */
    final long[] alone;
    /** By milestone times {@link #weeks} plus week: whether a free one may stand there as far as it stands alone. */
    final boolean[] allowed;

    private final long over;
    private final long uneven;
    private final long order;
    private final Map<String, Integer> places = new HashMap<>();
    private final Map<String, Integer> classPlaces = new HashMap<>();
    private final Map<String, Integer> sectionPlaces = new HashMap<>();

    Compiled(PlanProblem problem) {
        this.problem = problem;
        TeachingWeeks calendar = problem.weeks();
        weeks = calendar.count();
        over = problem.prices().overPerMinute();
        uneven = problem.prices().unevenPerMinute();
        order = problem.prices().orderPerWeek();
        taught = new int[weeks];
        open = new boolean[weeks];
        for (int w = 0; w < weeks; w++) {
            taught[w] = calendar.taughtBy(w + 1);
            open[w] = calendar.isOpen(w + 1);
        }
        List<PlanMilestone> all = problem.milestones();
        count = all.size();
        for (int i = 0; i < count; i++) {
            places.put(all.get(i).id(), i);
        }
        for (int k = 0; k < problem.classes().size(); k++) {
            classPlaces.put(problem.classes().get(k).id(), k);
        }
        int[] classOf = new int[problem.sections().size()];
        for (int s = 0; s < classOf.length; s++) {
            sectionPlaces.put(problem.sections().get(s).id(), s);
            classOf[s] = classPlaces.get(problem.sections().get(s).classId());
        }
        inClasses = new int[count][];
        takes = new int[count][];
        concerns = new int[count][];
        toSections = new int[count][];
        brings = new int[count][];
        needs = new int[count][];
        gaps = new int[count][];
        fixed = new int[count];
        today = new int[count];
        for (int i = 0; i < count; i++) {
            PlanMilestone m = all.get(i);
            minutesOf(i, m, classOf);
            notesOf(i, m);
            needs[i] =
                    m.needs().stream().mapToInt(n -> places.get(n.milestone())).toArray();
            gaps[i] = m.needs().stream().mapToInt(PlanMilestone.Need::gapWeeks).toArray();
            fixed[i] = m.fixedWeek().isPresent() ? m.fixedWeek().getAsInt() - 1 : NOWHERE;
            today[i] = problem.today().getOrDefault(m.id(), 0) - 1;
        }
        waiting = new int[count][];
        waitingGaps = new int[count][];
        turnNeedsRound(this::isFree, waiting, waitingGaps);
        bookBefore = new int[count][];
        bookAfter = new int[count][];
        neighbours();
        classes = classPlaces.size();
        minutes = new int[classes * weeks];
        share = new int[classes * weeks];
        full = new int[classes * weeks];
        minutesThereAre();
        allowed = new boolean[count * weeks];
        alone = new long[count * (weeks + 1)];
        for (int i = 0; i < count; i++) {
            for (int w = 0; w < weeks; w++) {
                allowed[i * weeks + w] = meets(i, w) && w + 1 >= all.get(i).earliestWeek();
            }
        }
        fixedNeeding = new int[count][];
        fixedNeedingGaps = new int[count][];
        turnNeedsRound(i -> !isFree(i) && !isHeard(i) && standsFixed(i) != NOWHERE, fixedNeeding, fixedNeedingGaps);
        for (int i = 0; i < count; i++) {
            priceAlone(i);
        }
    }

    int place(String milestone) {
        return places.get(milestone);
    }

    PlanMilestone milestone(int i) {
        return problem.milestones().get(i);
    }

    String classId(int k) {
        return problem.classes().get(k).id();
    }

    String sectionId(int s) {
        return problem.sections().get(s).id();
    }

    boolean isFree(int i) {
        return fixed[i] == NOWHERE;
    }

    boolean isHeard(int i) {
        return milestone(i).isHeard();
    }

    /** Where a fixed milestone stands: its week, or nowhere when nothing can stand there. */
    int standsFixed(int i) {
        return isHeard(i) || allowed[i * weeks + fixed[i]] ? fixed[i] : NOWHERE;
    }

    /** The first class that has no minutes in a week, or {@link #NOWHERE}. */
    int classWithoutMinutes(int i, int w) {
        for (int k : concerns[i]) {
            if (minutes[k * weeks + w] == 0) {
                return k;
            }
        }
        return NOWHERE;
    }

    private boolean meets(int i, int w) {
        return open[w] && classWithoutMinutes(i, w) == NOWHERE;
    }

    private void minutesOf(int i, PlanMilestone m, int[] classOf) {
        Map<Integer, Integer> minutesIn = new TreeMap<>();
        for (PlanMilestone.Share part : m.sections()) {
            int k = classOf[sectionPlaces.get(part.section())];
            minutesIn.merge(k, part.teachMinutes() + part.hearMinutes(), Integer::sum);
        }
        minutesIn.replaceAll((k, own) -> own + m.teachMinutes());
        concerns[i] = minutesIn.keySet().stream().mapToInt(Integer::intValue).toArray();
        inClasses[i] =
                Arrays.stream(concerns[i]).filter(k -> minutesIn.get(k) > 0).toArray();
        takes[i] = Arrays.stream(inClasses[i]).map(minutesIn::get).toArray();
    }

    private void notesOf(int i, PlanMilestone m) {
        List<PlanMilestone.Share> bringing =
                m.sections().stream().filter(s -> !s.newNotes().isEmpty()).toList();
        toSections[i] =
                bringing.stream().mapToInt(s -> sectionPlaces.get(s.section())).toArray();
        brings[i] = bringing.stream().mapToInt(s -> s.newNotes().size()).toArray();
    }

    /** From each milestone to those that need it: the free ones, or the fixed ones that stand and are not heard yet. */
    private void turnNeedsRound(IntPredicate which, int[][] needing, int[][] needingGaps) {
        List<List<int[]>> turned = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            turned.add(new ArrayList<>());
        }
        for (int i = 0; i < count; i++) {
            for (int n = 0; which.test(i) && n < needs[i].length; n++) {
                turned.get(needs[i][n]).add(new int[] {i, gaps[i][n]});
            }
        }
        for (int i = 0; i < count; i++) {
            needing[i] = turned.get(i).stream().mapToInt(e -> e[0]).toArray();
            needingGaps[i] = turned.get(i).stream().mapToInt(e -> e[1]).toArray();
        }
    }

    /** Two neighbours that follow one another in several books count once. */
    private void neighbours() {
        List<Set<Integer>> before = new ArrayList<>();
        List<Set<Integer>> after = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            before.add(new LinkedHashSet<>());
            after.add(new LinkedHashSet<>());
        }
        for (List<String> sequence : problem.sequences()) {
            for (int p = 1; p < sequence.size(); p++) {
                int first = place(sequence.get(p - 1));
                int second = place(sequence.get(p));
                after.get(first).add(second);
                before.get(second).add(first);
            }
        }
        for (int i = 0; i < count; i++) {
            bookBefore[i] = before.get(i).stream().mapToInt(Integer::intValue).toArray();
            bookAfter[i] = after.get(i).stream().mapToInt(Integer::intValue).toArray();
        }
    }

    private void minutesThereAre() {
        long[] wanted = new long[classes];
        for (int i = 0; i < count; i++) {
            for (int c = 0; c < inClasses[i].length; c++) {
                wanted[inClasses[i][c]] += takes[i][c];
            }
        }
        for (int k = 0; k < classes; k++) {
            PlanClass one = problem.classes().get(k);
            long year = one.yearMinutes();
            long fill = year == 0 ? 100 : Math.min(100, Math.ceilDiv(100 * wanted[k], year));
            for (int w = 0; w < weeks; w++) {
                int there = one.minutes().get(w);
                minutes[k * weeks + w] = there;
                share[k * weeks + w] = (int) (there * fill / 100);
                full[k * weeks + w] = (int) ((long) there * problem.rules().fullPercent() / 100);
            }
        }
    }

    private void priceAlone(int i) {
        PlanMilestone m = milestone(i);
        int first = i * (weeks + 1);
        long broken = problem.prices().brokenNeed();
        if (m.deadline().isPresent() || today[i] != NOWHERE || fixedNeeding[i].length > 0) {
            for (int w = 0; w < weeks; w++) {
                alone[first + w] = datesAlone(m, w).total() + movedTo(i, w).total() + broken * brokenFor(i, w);
            }
        }
        alone[first + weeks] = dropped(m) + movedTo(i, NOWHERE).total() + broken * brokenFor(i, NOWHERE);
    }

    /** Points for leaving a milestone out. */
    long dropped(PlanMilestone m) {
        return problem.prices().dropPerValue() * m.value()
                + (m.essential() ? problem.prices().essential() : 0);
    }

    /** Deadline and margin of a milestone in a week. */
    PlanPoints datesAlone(PlanMilestone m, int w) {
        if (m.deadline().isEmpty()) {
            return PlanPoints.NONE;
        }
        PlanPrices prices = problem.prices();
        int left = taught[m.deadline().get().week() - 1] - taught[w];
        long late = left < 0 ? prices.lateEach() + prices.latePerWeek() * -left : 0;
        long near = prices.marginPerWeek() * Math.max(0, m.deadline().get().marginWeeks() - left);
        return new PlanPoints(0, late, 0, 0, 0, near, 0);
    }

    /** What moving away from today's plan costs; nothing for what was not in it. */
    PlanPoints movedTo(int i, int w) {
        if (today[i] == NOWHERE || today[i] == w) {
            return PlanPoints.NONE;
        }
        long distance = w == NOWHERE ? 0 : Math.abs(taught[w] - taught[today[i]]);
        return new PlanPoints(
                0,
                0,
                0,
                0,
                0,
                0,
                problem.prices().movedEach() + problem.prices().movedPerWeek() * distance);
    }

    /** How many needs of fixed milestones go unmet when this one stands there; {@link #NOWHERE} meets none. */
    int brokenFor(int i, int w) {
        int broken = 0;
        for (int n = 0; n < fixedNeeding[i].length; n++) {
            int by = taught[fixed[fixedNeeding[i][n]]];
            broken += w == NOWHERE || taught[w] + fixedNeedingGaps[i][n] > by ? 1 : 0;
        }
        return broken;
    }

    /** Points of one class in one week, told by its place, that holds so many minutes. */
    long weekPrice(int place, int load) {
        return over * Math.max(0, load - minutes[place]) + uneven * Math.max(0, load - share[place]);
    }

    /** What a milestone pays alone in a week, or nowhere. */
    long alone(int i, int w) {
        return alone[i * (weeks + 1) + (w == NOWHERE ? weeks : w)];
    }

    boolean isAllowed(int i, int w) {
        return allowed[i * weeks + w];
    }

    /** Points for a neighbour that stands before the one it should follow; both stand. */
    long turnedRound(int first, int second) {
        return order * Math.max(0, taught[first] - taught[second]);
    }
}
