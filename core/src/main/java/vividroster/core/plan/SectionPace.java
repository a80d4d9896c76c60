package vividroster.core.plan;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.plan.Pace.PastWeek;

/**
 * What is known of how fast a section goes: its meetings and its passes by week, and what the plan asks of it. Weeks of the
 * year are counted from 1.
 *
 * @param students of the section
 * @param meetings of each week of the year, 0 in a break
 * @param firstWeek in which it was set a line; the weeks before tell nothing of its pace
 * @param firstAhead the first week that is not behind
 * @param passWeeks the week of each pass it made with lines
 * @param plannedLines the plan has for it in the whole year
 */
public record SectionPace(
        int students,
        List<Integer> meetings,
        int firstWeek,
        int firstAhead,
        List<Integer> passWeeks,
        int plannedLines) {

    /** A section has a line when so many of its students have it, as it goes on with the next. (domain.md, 6.9.) */
    private static final double ENOUGH = 0.8;

    public SectionPace {
        meetings = List.copyOf(meetings);
        passWeeks = List.copyOf(passWeeks);
    }

    /** Students of the section that are enough for a line; at least one. */
    public int enough() {
        return Math.max(1, (int) Math.ceil(students * ENOUGH - 1e-9));
    }

    /** Passes still missing until enough students have each of these lines. @param passed how many have each */
    public int need(List<Integer> passed) {
        return passed.stream().mapToInt(had -> Math.max(0, enough() - had)).sum();
    }

    /** Passes in a usual week by the plan; a plan without lines counts as one line a week. */
    public double planned() {
        long weeks = meetings.stream().filter(m -> m > 0).count();
        return plannedLines == 0 || weeks == 0 ? enough() : (double) plannedLines * enough() / weeks;
    }

    /** Passes in a usual week as lines in a week. */
    public double lines(double passes) {
        return passes / enough();
    }

    /** Between these the section keeps the plan's pace; weeks differ by more. */
    private static final double KEEPS = 0.19;

    /**
     * Minutes it should be planned with, in percent of the usual ones: more where it is slow, fewer where it runs ahead, in
     * 50..200; 100 where it keeps the pace, and while few weeks are known. In steps of 5.
     */
    public int minutesPercent(Pace own) {
        double ratio = planned() / own.mean();
        if (weeksHeard() < Forecast.FIRST_MONTH || Math.abs(ratio - 1) < KEEPS) {
            return 100;
        }
        return (int) Math.clamp(5 * Math.round(20 * ratio), 50L, 200L);
    }

    private double usual() {
        List<Integer> met = meetings.stream().filter(m -> m > 0).sorted().toList();
        return met.isEmpty() ? 1 : met.get((met.size() - 1) / 2);
    }

    private double exposure(int week) {
        return meetings.get(week - 1) / usual();
    }

    /** The weeks behind, oldest first. */
    public List<PastWeek> behind() {
        List<PastWeek> behind = new ArrayList<>();
        for (int week = firstWeek; week < Math.min(firstAhead, meetings.size() + 1); week++) {
            int here = week;
            behind.add(new PastWeek(
                    (int) passWeeks.stream().filter(pass -> pass == here).count(), exposure(week)));
        }
        return behind;
    }

    /** Weeks behind in which it met; a forecast from few of them rests mostly on the plan. */
    public long weeksHeard() {
        return behind().stream().filter(week -> week.exposure() > 0).count();
    }

    /** Exposure of each week to come. */
    public List<Double> ahead() {
        List<Double> ahead = new ArrayList<>();
        for (int week = firstAhead; week <= meetings.size(); week++) {
            ahead.add(exposure(week));
        }
        return ahead;
    }

    /** How many of so many weeks to come have a lesson. */
    public int lessonWeeks(int weeks) {
        List<Double> ahead = ahead();
        return (int) ahead.subList(0, Math.min(weeks, ahead.size())).stream()
                .filter(exposure -> exposure > 0)
                .count();
    }

    /** @param passed how many students have each of the lines that are to be done */
    public Forecast forecast(List<Integer> passed) {
        return Forecast.of(Pace.learned(behind(), planned()), need(passed), ahead());
    }
}
