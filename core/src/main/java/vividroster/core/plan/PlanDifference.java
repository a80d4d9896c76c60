package vividroster.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import vividroster.core.plan.PlanReason.NotThere;

/**
 * A proposal as what it changes of the plan in force, to be taken whole or one by one.
 *
 * @param changes by the earlier of their two weeks, then in the order of the problem
 * @param minutes of the weeks that hold more or less than before
 */
public record PlanDifference(List<Change> changes, List<WeekMinutes> minutes) {

    /**
     * One milestone that changes its week.
     *
     * @param from absent for one that comes in
     * @param to absent for one that is left out
     */
    public record Change(String milestone, OptionalInt from, OptionalInt to) {

        private int week() {
            return Math.min(from.orElse(Integer.MAX_VALUE), to.orElse(Integer.MAX_VALUE));
        }
    }

    /** @param there minutes for method work */
    public record WeekMinutes(String classId, int week, int there, int before, int after) {}

    /**
     * What stands after some of the changes.
     *
     * @param broken by milestone: the first hard rule it breaks now, where changes that belong together were parted
     */
    public record Taken(Plan plan, Map<String, NotThere> broken) {}

    public PlanDifference {
        changes = List.copyOf(changes);
        minutes = List.copyOf(minutes);
    }

    /** @param proposal for a problem whose plan of today is the one in force */
    public static PlanDifference of(Plan proposal) {
        PlanProblem problem = proposal.problem();
        Map<String, Integer> today = problem.today();
        List<Change> changes = new ArrayList<>();
        for (PlanMilestone m : problem.milestones()) {
            Optional<Integer> from = Optional.ofNullable(today.get(m.id()));
            Optional<Integer> to = Optional.ofNullable(proposal.weeks().get(m.id()));
            if (!from.equals(to)) {
                changes.add(new Change(m.id(), week(from), week(to)));
            }
        }
        changes.sort(Comparator.comparingInt(Change::week));
        return new PlanDifference(changes, minutes(problem, today, proposal.weeks()));
    }

    private static OptionalInt week(Optional<Integer> week) {
        return week.isPresent() ? OptionalInt.of(week.get()) : OptionalInt.empty();
    }

    private static List<WeekMinutes> minutes(
            PlanProblem problem, Map<String, Integer> before, Map<String, Integer> after) {
        int[][] then = minutesByWeek(problem, before);
        int[][] now = minutesByWeek(problem, after);
        List<WeekMinutes> changed = new ArrayList<>();
        for (int k = 0; k < then.length; k++) {
            PlanClass one = problem.classes().get(k);
            for (int week = 1; week <= problem.weeks().count(); week++) {
                if (then[k][week] != now[k][week]) {
                    changed.add(
                            new WeekMinutes(one.id(), week, one.minutes().get(week - 1), then[k][week], now[k][week]));
                }
            }
        }
        return changed;
    }

    /** Minutes wanted by a plan, by the place of the class in the problem and week from 1. */
    static int[][] minutesByWeek(PlanProblem problem, Map<String, Integer> weeks) {
        Compiled c = new Compiled(problem);
        int[][] minutes = new int[c.classes][c.weeks + 1];
        weeks.forEach((id, week) -> {
            int i = c.place(id);
            for (int n = 0; n < c.inClasses[i].length; n++) {
                minutes[c.inClasses[i][n]][week] += c.takes[i][n];
            }
        });
        return minutes;
    }

    /** Today's plan with some of the changes; the others stay as they are. */
    public Taken take(PlanProblem problem, Set<String> milestones) {
        Map<String, Integer> weeks = new LinkedHashMap<>(problem.today());
        for (Change change : changes) {
            if (milestones.contains(change.milestone())) {
                change.to()
                        .ifPresentOrElse(
                                week -> weeks.put(change.milestone(), week), () -> weeks.remove(change.milestone()));
            }
        }
        Plan plan = Planner.look(problem, weeks);
        return new Taken(plan, PlanMoves.broken(plan));
    }
}
