package vividroster.core.plan;

import java.util.List;
import java.util.Optional;

/**
 * The calendar weeks of a year, numbered from 1, each open or closed (break, lost). Distances between weeks are counted in
 * open weeks, so that a break is never practice time.
 */
public final class TeachingWeeks {

    private final boolean[] open;
    private final int[] taught;

    /** @param closed one for each calendar week, in their order */
    public TeachingWeeks(List<Boolean> closed) {
        if (closed.isEmpty()) {
            throw new PlanInputException("weeks", "A year has at least one week.");
        }
        open = new boolean[closed.size() + 1];
        taught = new int[closed.size() + 1];
        for (int week = 1; week <= closed.size(); week++) {
            open[week] = !closed.get(week - 1);
            taught[week] = taught[week - 1] + (open[week] ? 1 : 0);
        }
    }

    /** Calendar weeks, closed ones too. */
    public int count() {
        return open.length - 1;
    }

    public boolean isOpen(int week) {
        return open[week];
    }

    public boolean has(int week) {
        return week >= 1 && week <= count();
    }

    /** Open weeks up to and including this one; 0 for week 0. */
    public int taughtBy(int week) {
        return taught[week];
    }

    /** The nth open week, counted from 1; empty where the year has fewer. */
    public Optional<Integer> taught(int nth) {
        for (int week = 1; week <= count(); week++) {
            if (open[week] && taught[week] == nth) {
                return Optional.of(week);
            }
        }
        return Optional.empty();
    }

    /** Open weeks of the year. */
    public int teaching() {
        return taught[count()];
    }

    /** Open weeks from one to the other, negative when the second comes first. */
    public int between(int from, int to) {
        return taught[to] - taught[from];
    }
}
