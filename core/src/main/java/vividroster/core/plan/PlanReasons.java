package vividroster.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vividroster.core.plan.PlanReason.NotThere;

/**
 * Why each milestone of a plan stands where it stands: it alone is put into another week, and what happens is told, the rule
 * that breaks or the exact difference of the sum.
 */
public final class PlanReasons {

    private static final int NOWHERE = Compiled.NOWHERE;

    private final Compiled c;
    private final Stand stand;

    public PlanReasons(Plan plan) {
        this(new Compiled(plan.problem()), plan);
    }

    PlanReasons(Compiled c, Plan plan) {
        this.c = c;
        stand = new Stand(c);
        int[] at = Planner.places(c, plan.weeks());
        for (int i = 0; i < c.count; i++) {
            stand.put(i, at[i]);
        }
        stand.keep();
    }

    Stand stand() {
        return stand;
    }

    /** For one that stands: what holds it there, then why not the week before and not the week after. */
    public List<PlanReason> of(String milestone) {
        int i = c.place(milestone);
        int w = stand.at[i];
        if (w == NOWHERE) {
            throw new IllegalArgumentException("“" + milestone + "” stands nowhere");
        }
        List<PlanReason> reasons = new ArrayList<>();
        if (!c.isFree(i)) {
            return List.of(new PlanReason.Fixed(c.milestone(i).fixedBecause()));
        }
        if (c.today[i] == w) {
            reasons.add(new PlanReason.Stays());
        } else if (c.today[i] != NOWHERE) {
            reasons.add(new PlanReason.Moved(c.today[i] + 1));
            if (Math.abs(c.today[i] - w) > 1) {
                reasons.add(notIn(i, c.today[i]));
            }
        }
        if (w > 0) {
            reasons.add(notIn(i, w - 1));
        }
        if (w < c.weeks - 1) {
            reasons.add(notIn(i, w + 1));
        }
        if (c.weeks == 1) {
            reasons.add(new PlanReason.OnlyWeek());
        }
        return reasons;
    }

    /** Why a free one does not stand in this week; it stands elsewhere, or nowhere. */
    public NotThere notIn(String milestone, int week) {
        return notIn(c.place(milestone), week - 1);
    }

    /** For one that is left out: what kept it out of its best week, or that it is worth less than it costs there. */
    public PlanReason whyLeftOut(String milestone) {
        int i = c.place(milestone);
        if (!c.isFree(i)) {
            return forbidden(i, c.fixed[i]).orElseThrow();
        }
        List<NotThere> all = new ArrayList<>();
        for (int w = 0; w < c.weeks; w++) {
            all.add(notIn(i, w));
        }
        return all.stream()
                .min(Comparator.comparingInt((NotThere reason) -> depth(reason))
                        .thenComparingLong(reason -> missing(i, reason))
                        .thenComparingInt(NotThere::week))
                .orElseThrow();
    }

    /** How far a week is from being the one: what only costs first, what has no school last. */
    private static int depth(NotThere reason) {
        return switch (reason) {
            case PlanReason.Costs costs -> 0;
            case PlanReason.Full full -> 1;
            case PlanReason.NewNotes notes -> 2;
            case PlanReason.Before before -> 3;
            case PlanReason.After after -> 4;
            case PlanReason.NotBefore earliest -> 5;
            case PlanReason.ClassDoesNotMeet silent -> 6;
            case PlanReason.NoSchool closed -> 7;
        };
    }

    private long missing(int i, NotThere reason) {
        return switch (reason) {
            case PlanReason.Costs costs -> costs.difference().total();
            case PlanReason.Full full -> minutesShort(i, full.week() - 1);
            // What stands nowhere is nearer to the cause than what only stands later.
            case PlanReason.After after -> stand.at[c.place(after.milestone())] == NOWHERE ? 0 : 1;
            default -> 0;
        };
    }

    /** Minutes by which a week is too full for one that does not stand in it; 0 when it holds it. */
    long minutesShort(int i, int w) {
        long most = 0;
        for (int n = 0; n < c.inClasses[i].length; n++) {
            int place = c.inClasses[i][n] * c.weeks + w;
            most = Math.max(most, (long) stand.load[place] + c.takes[i][n] - c.full[place]);
        }
        return most;
    }

    /** The first hard rule that one that stands breaks where it stands; for plans made by hand. */
    public Optional<NotThere> brokenBy(String milestone) {
        int i = c.place(milestone);
        int w = stand.at[i];
        if (w == NOWHERE || c.isHeard(i)) {
            return Optional.empty();
        }
        if (!c.isFree(i)) {
            return forbidden(i, w);
        }
        stand.put(i, NOWHERE);
        NotThere reason = notIn(i, w);
        stand.put(i, w);
        stand.keep();
        return reason instanceof PlanReason.Costs ? Optional.empty() : Optional.of(reason);
    }

    /** Why nothing of it can stand in a week, whatever else stands there. */
    private Optional<NotThere> forbidden(int i, int w) {
        int week = w + 1;
        if (!c.open[w]) {
            return Optional.of(new PlanReason.NoSchool(week));
        }
        int silent = c.classWithoutMinutes(i, w);
        if (silent != NOWHERE) {
            return Optional.of(new PlanReason.ClassDoesNotMeet(week, c.classId(silent)));
        }
        return week < c.milestone(i).earliestWeek() ? Optional.of(new PlanReason.NotBefore(week)) : Optional.empty();
    }

    NotThere notIn(int i, int w) {
        int week = w + 1;
        Optional<NotThere> forbidden = forbidden(i, w);
        if (forbidden.isPresent()) {
            return forbidden.get();
        }
        for (int n = 0; n < c.needs[i].length; n++) {
            int need = stand.at[c.needs[i][n]];
            boolean itself = c.needs[i][n] == i;
            if (itself || need == NOWHERE || c.taught[need] + c.gaps[i][n] > c.taught[w]) {
                return new PlanReason.After(week, c.milestone(c.needs[i][n]).id());
            }
        }
        for (int n = 0; n < c.waiting[i].length; n++) {
            int waiting = stand.at[c.waiting[i][n]];
            if (waiting != NOWHERE && c.taught[w] + c.waitingGaps[i][n] > c.taught[waiting]) {
                return new PlanReason.Before(week, c.milestone(c.waiting[i][n]).id());
            }
        }
        int from = stand.at[i];
        stand.put(i, NOWHERE);
        try {
            for (int n = 0; n < c.toSections[i].length; n++) {
                int place = c.toSections[i][n] * c.weeks + w;
                if (stand.notes[place] + c.brings[i][n] > c.problem.rules().maxNewNotes()) {
                    return new PlanReason.NewNotes(week, c.sectionId(c.toSections[i][n]));
                }
            }
            for (int n = 0; n < c.inClasses[i].length; n++) {
                int place = c.inClasses[i][n] * c.weeks + w;
                if (stand.load[place] + c.takes[i][n] > c.full[place]) {
                    return new PlanReason.Full(week, c.classId(c.inClasses[i][n]));
                }
            }
        } finally {
            stand.put(i, from);
            stand.keep();
        }
        return new PlanReason.Costs(week, difference(i, from, w));
    }

    private PlanPoints difference(int i, int from, int w) {
        return parts(i, w, from, w).minus(parts(i, from, from, w));
    }

    /** Everything this one touches when it stands in a week, with both weeks of the change looked at. */
    private PlanPoints parts(int i, int at, int from, int to) {
        PlanMilestone m = c.milestone(i);
        PlanPoints sum = c.movedTo(i, at)
                .plus(new PlanPoints(0, c.problem.prices().brokenNeed() * c.brokenFor(i, at), 0, 0, 0, 0, 0));
        sum = sum.plus(at == NOWHERE ? new PlanPoints(c.dropped(m), 0, 0, 0, 0, 0, 0) : c.datesAlone(m, at))
                .plus(new PlanPoints(0, 0, 0, 0, stand.bookPoints(i, at), 0, 0));
        for (int n = 0; n < c.inClasses[i].length; n++) {
            int first = c.inClasses[i][n] * c.weeks;
            for (int w : from == NOWHERE ? new int[] {to} : new int[] {from, to}) {
                int others = stand.load[first + w] - (stand.at[i] == w ? c.takes[i][n] : 0);
                sum = sum.plus(weekParts(first + w, others + (w == at ? c.takes[i][n] : 0)));
            }
        }
        return sum;
    }

    private PlanPoints weekParts(int place, int load) {
        PlanPrices prices = c.problem.prices();
        return new PlanPoints(
                0,
                0,
                prices.overPerMinute() * Math.max(0, load - c.minutes[place]),
                prices.unevenPerMinute() * Math.max(0, load - c.share[place]),
                0,
                0,
                0);
    }
}
