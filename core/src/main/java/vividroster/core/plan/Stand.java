package vividroster.core.plan;

import java.util.Arrays;
import java.util.List;

/**
 * Where everything stands while a plan is looked for: each step changes the sum by its difference and can be taken back.
 * Weeks and milestones by their places. The rules are asked here, they are not enforced: who moves something asks first.
 */
final class Stand {

    static final int NOWHERE = Compiled.NOWHERE;
    /** Later than any week. */
    static final int NEVER = Integer.MAX_VALUE / 2;

    final Compiled c;
    /** By milestone: its week, or {@link #NOWHERE}. */
    final int[] at;
    /** By class times weeks plus week. */
    final int[] load;
    /** By section times weeks plus week. */
    final int[] notes;

    /** By part times weeks plus week: who stands there, in no order. */
    private int[][] members = new int[0][];

    private int[] sizes = new int[0];
    private int[] slots = new int[0];
    private int[] partOf;
    private final int mostNotes;
    private long points;
    /** Pairs of milestone and the week it was in, newest last. */
    private int[] journal = new int[256];

    private int written;
    private final int[] takenOut;
    private long shifts;

    Stand(Compiled c) {
        this.c = c;
        at = new int[c.count];
        takenOut = new int[c.count];
        Arrays.fill(at, NOWHERE);
        load = new int[c.classes * c.weeks];
        notes = new int[c.problem.sections().size() * c.weeks];
        mostNotes = c.problem.rules().maxNewNotes();
        for (int i = 0; i < c.count; i++) {
            points += c.alone(i, NOWHERE);
        }
    }

    /** From now on tells who of a part stands in a week. */
    void tellBy(List<int[]> parts) {
        partOf = new int[c.count];
        Arrays.fill(partOf, NOWHERE);
        members = new int[parts.size() * c.weeks][];
        sizes = new int[members.length];
        slots = new int[c.count];
        for (int p = 0; p < parts.size(); p++) {
            for (int i : parts.get(p)) {
                partOf[i] = p;
                if (at[i] != NOWHERE) {
                    enter(i, at[i]);
                }
            }
        }
    }

    /** How many of a part stand in a week. */
    int sizeOf(int part, int w) {
        return sizes[part * c.weeks + w];
    }

    int memberOf(int part, int w, int n) {
        return members[part * c.weeks + w][n];
    }

    private void enter(int i, int w) {
        int place = partOf[i] * c.weeks + w;
        int size = sizes[place]++;
        if (members[place] == null) {
            members[place] = new int[4];
        } else if (size == members[place].length) {
            members[place] = Arrays.copyOf(members[place], size * 2);
        }
        members[place][size] = i;
        slots[i] = size;
    }

    private void leave(int i, int w) {
        int place = partOf[i] * c.weeks + w;
        int last = members[place][--sizes[place]];
        members[place][slots[i]] = last;
        slots[last] = slots[i];
    }

    long points() {
        return points;
    }

    /** Changes made and taken back so far: what the time goes into. */
    long shifts() {
        return shifts;
    }

    /** Puts a milestone into a week, or nowhere. */
    void put(int i, int w) {
        int from = at[i];
        if (from == w) {
            return;
        }
        if (written + 2 > journal.length) {
            journal = Arrays.copyOf(journal, journal.length * 2);
        }
        journal[written++] = i;
        journal[written++] = from;
        shift(i, from, w);
    }

    private void shift(int i, int from, int w) {
        shifts++;
        points += c.alone(i, w) - c.alone(i, from);
        points += bookPoints(i, w) - bookPoints(i, from);
        int[] classes = c.inClasses[i];
        for (int n = 0; n < classes.length; n++) {
            int first = classes[n] * c.weeks;
            int minutes = c.takes[i][n];
            if (from != NOWHERE) {
                int held = load[first + from];
                points += c.weekPrice(first + from, held - minutes) - c.weekPrice(first + from, held);
                load[first + from] = held - minutes;
            }
            if (w != NOWHERE) {
                int held = load[first + w];
                points += c.weekPrice(first + w, held + minutes) - c.weekPrice(first + w, held);
                load[first + w] = held + minutes;
            }
        }
        int[] sections = c.toSections[i];
        for (int n = 0; n < sections.length; n++) {
            if (from != NOWHERE) {
                notes[sections[n] * c.weeks + from] -= c.brings[i][n];
            }
            if (w != NOWHERE) {
                notes[sections[n] * c.weeks + w] += c.brings[i][n];
            }
        }
        at[i] = w;
        if (partOf != null && partOf[i] != NOWHERE) {
            if (from != NOWHERE) {
                leave(i, from);
            }
            if (w != NOWHERE) {
                enter(i, w);
            }
        }
    }

    /** Points with the neighbours in the books when it stands in this week. */
    long bookPoints(int i, int w) {
        if (w == NOWHERE) {
            return 0;
        }
        long sum = 0;
        for (int before : c.bookBefore[i]) {
            if (at[before] > w) {
                sum += c.turnedRound(at[before], w);
            }
        }
        for (int after : c.bookAfter[i]) {
            if (at[after] != NOWHERE && at[after] < w) {
                sum += c.turnedRound(w, at[after]);
            }
        }
        return sum;
    }

    /** What changes when one that stands is put into another week. */
    long difference(int i, int w) {
        int from = at[i];
        long sum = c.alone(i, w) - c.alone(i, from) + bookPoints(i, w) - bookPoints(i, from);
        int[] classes = c.inClasses[i];
        for (int n = 0; n < classes.length; n++) {
            int first = classes[n] * c.weeks;
            int minutes = c.takes[i][n];
            int here = load[first + from];
            int there = load[first + w];
            sum += c.weekPrice(first + from, here - minutes)
                    - c.weekPrice(first + from, here)
                    + c.weekPrice(first + w, there + minutes)
                    - c.weekPrice(first + w, there);
        }
        return sum;
    }

    /** What changes when two that stand in different weeks change places. */
    long exchanged(int i, int j) {
        int a = at[i];
        int b = at[j];
        int[] classes = c.inClasses[i];
        if (classes.length != 1 || c.inClasses[j].length != 1 || classes[0] != c.inClasses[j][0] || neighbours(i, j)) {
            int mark = written;
            long before = points;
            put(i, b);
            put(j, a);
            long sum = points - before;
            back(mark);
            return sum;
        }
        int first = classes[0] * c.weeks;
        int more = c.takes[j][0] - c.takes[i][0];
        int here = load[first + a];
        int there = load[first + b];
        return c.alone(i, b)
                - c.alone(i, a)
                + c.alone(j, a)
                - c.alone(j, b)
                + bookPoints(i, b)
                - bookPoints(i, a)
                + bookPoints(j, a)
                - bookPoints(j, b)
                + c.weekPrice(first + a, here + more)
                - c.weekPrice(first + a, here)
                + c.weekPrice(first + b, there - more)
                - c.weekPrice(first + b, there);
    }

    private boolean neighbours(int i, int j) {
        for (int before : c.bookBefore[i]) {
            if (before == j) {
                return true;
            }
        }
        for (int after : c.bookAfter[i]) {
            if (after == j) {
                return true;
            }
        }
        return false;
    }

    /** What changes when one that stands nowhere is put into a week. */
    long gained(int i, int w) {
        long sum = c.alone(i, w) - c.alone(i, NOWHERE) + bookPoints(i, w);
        int[] classes = c.inClasses[i];
        for (int n = 0; n < classes.length; n++) {
            int place = classes[n] * c.weeks + w;
            sum += c.weekPrice(place, load[place] + c.takes[i][n]) - c.weekPrice(place, load[place]);
        }
        return sum;
    }

    /** Takes one out with all that waits for it. Who was taken out is told by {@link #takenOut} until the next time. */
    int takeOut(int i) {
        int tail = 0;
        takenOut[tail++] = i;
        put(i, NOWHERE);
        for (int head = 0; head < tail; head++) {
            for (int waiting : c.waiting[takenOut[head]]) {
                if (at[waiting] != NOWHERE) {
                    put(waiting, NOWHERE);
                    takenOut[tail++] = waiting;
                }
            }
        }
        return tail;
    }

    /** One of those just taken out, whoever is needed before those who wait. */
    int takenOut(int n) {
        return takenOut[n];
    }

    /** Changes so far can no longer be taken back. */
    void keep() {
        written = 0;
    }

    int mark() {
        return written;
    }

    /** Takes back everything since a mark. */
    void back(int mark) {
        while (written > mark) {
            written -= 2;
            int i = journal[written];
            shift(i, at[i], journal[written + 1]);
        }
    }

    /** How many changes stand since a mark; each is told by {@link #changed}. */
    int changes(int mark) {
        return (written - mark) / 2;
    }

    int changed(int mark, int n) {
        return journal[mark + 2 * n];
    }

    int cameFrom(int mark, int n) {
        return journal[mark + 2 * n + 1];
    }

    /** The least number of taught weeks by which its needs let it stand; {@link #NEVER} when one stands nowhere. */
    int notBefore(int i) {
        int least = 0;
        int[] needs = c.needs[i];
        for (int n = 0; n < needs.length; n++) {
            int week = at[needs[n]];
            if (week == NOWHERE) {
                return NEVER;
            }
            least = Math.max(least, c.taught[week] + c.gaps[i][n]);
        }
        return least;
    }

    /** The greatest number of taught weeks at which all free ones that wait for it can stay. */
    int notAfter(int i) {
        int most = NEVER;
        int[] waiting = c.waiting[i];
        for (int n = 0; n < waiting.length; n++) {
            int week = at[waiting[n]];
            if (week != NOWHERE) {
                most = Math.min(most, c.taught[week] - c.waitingGaps[i][n]);
            }
        }
        return most;
    }

    boolean somethingWaits(int i) {
        for (int waiting : c.waiting[i]) {
            if (at[waiting] != NOWHERE) {
                return true;
            }
        }
        return false;
    }

    /** Whether one that does not stand in this week can be added to it: minutes and new notes. */
    boolean holds(int i, int w) {
        int[] classes = c.inClasses[i];
        for (int n = 0; n < classes.length; n++) {
            int place = classes[n] * c.weeks + w;
            if (load[place] + c.takes[i][n] > c.full[place]) {
                return false;
            }
        }
        int[] sections = c.toSections[i];
        for (int n = 0; n < sections.length; n++) {
            if (notes[sections[n] * c.weeks + w] + c.brings[i][n] > mostNotes) {
                return false;
            }
        }
        return true;
    }

    /** Whether a week still keeps the limits one that stands in it is bound to. */
    boolean held(int i) {
        int w = at[i];
        int[] classes = c.inClasses[i];
        for (int n = 0; n < classes.length; n++) {
            int place = classes[n] * c.weeks + w;
            if (load[place] > c.full[place]) {
                return false;
            }
        }
        for (int section : c.toSections[i]) {
            if (notes[section * c.weeks + w] > mostNotes) {
                return false;
            }
        }
        return true;
    }

    /** The cheapest week that breaks no rule for one that stands nowhere; the earliest of equals, or nowhere. */
    int cheapest(int i) {
        int least = notBefore(i);
        int most = notAfter(i);
        int best = NOWHERE;
        long bestPoints = 0;
        for (int w = 0; w < c.weeks; w++) {
            if (c.isAllowed(i, w) && c.taught[w] >= least && c.taught[w] <= most && holds(i, w)) {
                long gained = gained(i, w);
                if (best == NOWHERE || gained < bestPoints) {
                    best = w;
                    bestPoints = gained;
                }
            }
        }
        return best;
    }

    /** Whether everything changed since a mark keeps the rules, with what it needs and what waits for it. */
    boolean isSound(int mark) {
        for (int n = mark; n < written; n += 2) {
            int i = journal[n];
            boolean sound = at[i] == NOWHERE
                    ? !somethingWaits(i)
                    : c.taught[at[i]] >= notBefore(i) && c.taught[at[i]] <= notAfter(i) && held(i);
            if (!sound) {
                return false;
            }
        }
        return true;
    }
}
