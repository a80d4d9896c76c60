package vividroster.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import vividroster.core.plan.PlanReason.NotThere;

/**
 * The least harmful ways to make a left-out milestone fit: each makes one change, puts it in, looks a little for a better
 * plan around it, and tells the total. Whoever takes one plans again with that change and gets no worse.
 */
public final class PlanOptions {

    /** More choices are no help on the podium. Ours. */
    public static final int MOST = 4;

    private static final int NOWHERE = Compiled.NOWHERE;
    /** Different ones that may be left out instead. */
    private static final int MOST_DROPS = 2;
    /** Steps of the look around each; ours, a few thousandths of a second. */
    private static final int STEPS = 3_000;

    private final Plan plan;
    private final Compiled c;
    private final Placeable placeable;
    private final List<int[]> parts;
    private PlanReasons reasons;
    private Stand stand;

    public PlanOptions(Plan plan) {
        this.plan = plan;
        c = new Compiled(plan.problem());
        placeable = new Placeable(c);
        parts = Parts.of(c, new Windows(c, placeable).order);
        standAnew();
    }

    /** A look leaves the same plan, but not in the same order inside: each question begins from the same one. */
    private void standAnew() {
        reasons = new PlanReasons(c, plan);
        stand = reasons.stand();
        stand.tellBy(parts);
    }

    /** For one that is left out, cheapest first; empty when no one change is enough. */
    public List<PlanOption> of(String milestone) {
        int i = c.place(milestone);
        if (stand.at[i] != NOWHERE) {
            throw new IllegalArgumentException("“" + milestone + "” stands");
        }
        standAnew();
        List<PlanOption> found = new ArrayList<>();
        if (!c.isFree(i)) {
            unpin(milestone).ifPresent(found::add);
            return found;
        }
        earlier(i).ifPresent(found::add);
        if (placeable.isFree(i)) {
            found.addAll(drops(i));
        }
        moreMinutes(i).ifPresent(found::add);
        moreNotes(i).ifPresent(found::add);
        split(i).ifPresent(found::add);
        found.sort(Comparator.comparingLong(PlanOption::total));
        return found.subList(0, Math.min(MOST, found.size()));
    }

    /** One put where a director insists, though its week then holds more than it should. */
    public record Pinned(int week, long total) {}

    /**
     * For one that is left out and held up by nothing but too many new notes or too few minutes: the cheapest week to pin it
     * in, as a director may. Empty where something else keeps it out of every week.
     */
    public Optional<Pinned> pinned(String milestone) {
        int i = c.place(milestone);
        Pinned best = null;
        for (int w = 0; w < c.weeks && c.isFree(i); w++) {
            PlanReason.NotThere why = reasons.notIn(i, w);
            if (why instanceof PlanReason.NewNotes || why instanceof PlanReason.Full) {
                long total = stand.points() + stand.gained(i, w);
                if (best == null || total < best.total()) {
                    best = new Pinned(w + 1, total);
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private List<PlanOption> drops(int i) {
        record Dropped(int other, int week, long total) {}
        List<Dropped> all = new ArrayList<>();
        for (int other = 0; other < c.count; other++) {
            if (!c.isFree(other)
                    || stand.at[other] == NOWHERE
                    || c.milestone(other).essential()
                    || stand.somethingWaits(other)
                    || needs(i, other)) {
                continue;
            }
            int mark = stand.mark();
            stand.put(other, NOWHERE);
            int w = stand.cheapest(i);
            if (w != NOWHERE) {
                all.add(new Dropped(other, w, stand.points() + stand.gained(i, w)));
            }
            stand.back(mark);
        }
        all.sort(Comparator.comparingLong(Dropped::total));
        List<PlanOption> found = new ArrayList<>();
        for (Dropped one : all.subList(0, Math.min(MOST_DROPS, all.size()))) {
            int stood = stand.at[one.other()];
            stand.put(one.other(), NOWHERE);
            stand.put(i, one.week());
            long total = around(stand, i, one.other());
            stand.put(i, NOWHERE);
            stand.put(one.other(), stood);
            stand.keep();
            found.add(new PlanOption.Drop(c.milestone(one.other()).id(), total));
        }
        return found;
    }

    private boolean needs(int i, int other) {
        return Arrays.stream(c.needs[i]).anyMatch(need -> need == other);
    }

    /** A short look around; what stands is as before afterwards, and the total counts only while both stay as they are. */
    private long around(Stand there, int in, int out) {
        long before = there.points();
        int[] stood = there.at.clone();
        int number = 0;
        while (Arrays.stream(parts.get(number)).noneMatch(i -> i == in)) {
            number++;
        }
        int[] part = Arrays.stream(parts.get(number)).filter(i -> i != out).toArray();
        new Search(there, number, part, Windows.open(there.c), new Steps(in)).pass(STEPS, 4, 1, step -> true);
        boolean kept = there.at[in] != NOWHERE && (out == NOWHERE || there.at[out] == NOWHERE);
        long after = there.points();
        for (int i = 0; i < stood.length; i++) {
            there.put(i, stood[i]);
        }
        there.keep();
        return kept ? Math.min(before, after) : before;
    }

    /** The week that wants the fewest minutes more, when minutes alone keep it out. */
    private Optional<PlanOption> moreMinutes(int i) {
        PlanOption.MoreMinutes best = null;
        for (int w = 0; w < c.weeks; w++) {
            NotThere reason = reasons.notIn(i, w);
            int k = reason instanceof PlanReason.Full full ? classOf(full.classId()) : NOWHERE;
            if (k == NOWHERE || !onlyShort(i, w, k)) {
                continue;
            }
            int more = minutesMore(i, w, k);
            if (best == null || more < best.minutes()) {
                best = new PlanOption.MoreMinutes(c.classId(k), w + 1, more, 0);
            }
        }
        if (best == null) {
            return Optional.empty();
        }
        PlanOption.MoreMinutes chosen = best;
        List<PlanClass> classes = plan.problem().classes().stream()
                .map(one -> one.id().equals(chosen.classId()) ? more(one, chosen.week(), chosen.minutes()) : one)
                .toList();
        long total = totalOf(plan.problem().withClasses(classes), c.milestone(i).id(), chosen.week());
        return Optional.of(new PlanOption.MoreMinutes(chosen.classId(), chosen.week(), chosen.minutes(), total));
    }

    private static PlanClass more(PlanClass one, int week, int minutes) {
        List<Integer> all = new ArrayList<>(one.minutes());
        all.set(week - 1, all.get(week - 1) + minutes);
        return new PlanClass(one.id(), all);
    }

    private int minutesMore(int i, int w, int k) {
        int place = k * c.weeks + w;
        long load = stand.load[place] + takes(i, k);
        long there = Math.ceilDiv(100 * load, Math.max(1, plan.problem().rules().fullPercent()));
        return (int) Math.max(1, there - c.minutes[place]);
    }

    private int takes(int i, int k) {
        for (int n = 0; n < c.inClasses[i].length; n++) {
            if (c.inClasses[i][n] == k) {
                return c.takes[i][n];
            }
        }
        return 0;
    }

    /** Whether every other class of it would hold it; new notes were asked before. */
    private boolean onlyShort(int i, int w, int k) {
        for (int n = 0; n < c.inClasses[i].length; n++) {
            int place = c.inClasses[i][n] * c.weeks + w;
            if (c.inClasses[i][n] != k && stand.load[place] + c.takes[i][n] > c.full[place]) {
                return false;
            }
        }
        return plan.problem().rules().fullPercent() > 0;
    }

    private int classOf(String id) {
        for (int k = 0; k < c.classes; k++) {
            if (c.classId(k).equals(id)) {
                return k;
            }
        }
        throw new IllegalArgumentException("no class " + id);
    }

    /** The changed problem with everything where it stands and this one in that week, and a short look around. */
    private long totalOf(PlanProblem changed, String milestone, int week) {
        Compiled other = new Compiled(changed);
        Stand there = new Stand(other);
        plan.weeks().forEach((id, w) -> there.put(other.place(id), w - 1));
        int i = other.place(milestone);
        there.put(i, week - 1);
        there.keep();
        there.tellBy(parts);
        return placeable.isFree(i) ? around(there, i, NOWHERE) : there.points();
    }

    /** The week in which one new note more is the cheapest, when new notes of one section alone keep it out. */
    private Optional<PlanOption> moreNotes(int i) {
        PlanOption.MoreNewNotes best = null;
        for (int w = 0; w < c.weeks; w++) {
            if (reasons.notIn(i, w) instanceof PlanReason.NewNotes notes && oneMoreIsEnough(i, w, notes.section())) {
                long total = stand.points() + stand.gained(i, w);
                if (best == null || total < best.total()) {
                    best = new PlanOption.MoreNewNotes(notes.section(), w + 1, total);
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private boolean oneMoreIsEnough(int i, int w, String section) {
        for (int n = 0; n < c.toSections[i].length; n++) {
            int limit = plan.problem().rules().maxNewNotes()
                    + (c.sectionId(c.toSections[i][n]).equals(section) ? 1 : 0);
            if (stand.notes[c.toSections[i][n] * c.weeks + w] + c.brings[i][n] > limit) {
                return false;
            }
        }
        return reasons.minutesShort(i, w) <= 0;
    }

    /** The week that holds it for most of its sections. */
    private Optional<PlanOption> split(int i) {
        PlanMilestone m = c.milestone(i);
        List<String> best = List.of();
        int week = 0;
        for (int w = 0; w < c.weeks && m.sections().size() > 1; w++) {
            NotThere reason = reasons.notIn(i, w);
            if (reason instanceof PlanReason.Full || reason instanceof PlanReason.NewNotes) {
                List<String> fitting = fitting(m, w);
                if (fitting.size() > best.size()) {
                    best = fitting;
                    week = w + 1;
                }
            }
        }
        if (best.isEmpty()) {
            return Optional.empty();
        }
        List<String> sections = best;
        int lost = Math.ceilDiv(
                m.value() * (m.sections().size() - sections.size()),
                m.sections().size());
        List<PlanMilestone> milestones = new ArrayList<>(plan.problem().milestones());
        milestones.set(i, only(m, m.id(), sections::contains, m.value() - lost));
        milestones.add(only(m, m.id() + " (rest)", section -> !sections.contains(section), lost));
        if (milestones.stream().map(PlanMilestone::id).distinct().count() < milestones.size()) {
            return Optional.empty();
        }
        long total = totalOf(plan.problem().withMilestones(milestones), m.id(), week);
        return Optional.of(new PlanOption.Split(sections, week, total));
    }

    private static PlanMilestone only(PlanMilestone m, String id, Predicate<String> which, int value) {
        return m.part(
                id,
                value,
                m.sections().stream().filter(s -> which.test(s.section())).toList(),
                m.needs());
    }

    /** Sections that fit into a week, the shortest first; not all of them. */
    private List<String> fitting(PlanMilestone m, int w) {
        List<PlanMilestone.Share> shortest = m.sections().stream()
                .sorted(Comparator.comparingInt(s -> s.teachMinutes() + s.hearMinutes()))
                .toList();
        List<String> chosen = new ArrayList<>();
        int[] wanted = new int[c.classes];
        for (PlanMilestone.Share share : shortest) {
            int s = sectionOf(share.section());
            int k = classOf(plan.problem().sections().get(s).classId());
            int more = share.teachMinutes() + share.hearMinutes() + (wanted[k] == 0 ? m.teachMinutes() : 0);
            int place = k * c.weeks + w;
            boolean notes = share.newNotes().isEmpty()
                    || stand.notes[s * c.weeks + w] + share.newNotes().size()
                            <= plan.problem().rules().maxNewNotes();
            if (notes && stand.load[place] + wanted[k] + more <= c.full[place]) {
                wanted[k] += more;
                chosen.add(share.section());
            }
        }
        return chosen.size() == m.sections().size() ? List.of() : chosen;
    }

    private int sectionOf(String id) {
        for (int s = 0; s < plan.problem().sections().size(); s++) {
            if (c.sectionId(s).equals(id)) {
                return s;
            }
        }
        throw new IllegalArgumentException("no section " + id);
    }

    /** The cheapest week its earliest week forbids. */
    private Optional<PlanOption> earlier(int i) {
        PlanMilestone m = c.milestone(i);
        return m.earliestWeek() == 1 ? Optional.empty() : anyWeek(m.notBefore(1));
    }

    /** The cheapest week for one whose own cannot hold anything. */
    private Optional<PlanOption> unpin(String milestone) {
        return anyWeek(c.milestone(c.place(milestone)).unfixed());
    }

    private Optional<PlanOption> anyWeek(PlanMilestone changed) {
        PlanProblem other = plan.problem().withMilestone(changed.id(), none -> changed);
        Compiled free = new Compiled(other);
        Stand there = new Stand(free);
        plan.weeks().forEach((id, w) -> there.put(free.place(id), w - 1));
        int w = there.cheapest(free.place(changed.id()));
        return w == NOWHERE
                ? Optional.empty()
                : Optional.of(new PlanOption.MoveDate(w + 1, totalOf(other, changed.id(), w + 1)));
    }
}
