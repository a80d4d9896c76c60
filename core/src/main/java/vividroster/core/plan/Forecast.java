package vividroster.core.plan;

import java.util.List;
import java.util.OptionalInt;

/**
 * When a section will have made the passes still missing: three coming weeks by which it has with a chance of 10, 50 and 90
 * in a hundred. Weeks ahead are counted from 1; empty means not this year, 0 that nothing is missing.
 *
 * @param low with 10 in a hundred
 * @param middle most likely
 * @param high with 90 in a hundred; {@code low} to {@code high} holds eight times in ten
 */
public record Forecast(Pace pace, int need, OptionalInt low, OptionalInt middle, OptionalInt high) {

    /** So many weeks behind a forecast rest mostly on the plan. */
    public static final int FIRST_MONTH = 4;

    /**
     * @param need passes still missing
     * @param ahead exposure of each coming week, 0 in a break: no mark falls in one
     */
    public static Forecast of(Pace pace, int need, List<Double> ahead) {
        if (need < 0) {
            throw new IllegalArgumentException("need must be 0 or more, was " + need);
        }
        return new Forecast(
                pace,
                need,
                first(pace, need, ahead, 0.1),
                first(pace, need, ahead, 0.5),
                first(pace, need, ahead, 0.9));
    }

    private static OptionalInt first(Pace pace, int need, List<Double> ahead, double chance) {
        if (need == 0) {
            return OptionalInt.of(0);
        }
        double exposure = 0;
        for (int week = 1; week <= ahead.size(); week++) {
            double here = ahead.get(week - 1);
            exposure += here;
            if (here > 0 && pace.chance(need, exposure) >= chance) {
                return OptionalInt.of(week);
            }
        }
        return OptionalInt.empty();
    }

    /** The chance to be there at the end of a coming week, counted from 1; 0 asks about now. */
    public double chanceBy(int week, List<Double> ahead) {
        return pace.chance(need, exposure(week, ahead));
    }

    /** Passes a usual week that are needed to be there then; infinite when no lesson is left. */
    public double neededPace(int week, List<Double> ahead) {
        double exposure = exposure(week, ahead);
        return need == 0 ? 0 : exposure == 0 ? Double.POSITIVE_INFINITY : need / exposure;
    }

    private static double exposure(int week, List<Double> ahead) {
        return ahead.subList(0, Math.min(week, ahead.size())).stream()
                .mapToDouble(Double::doubleValue)
                .sum();
    }
}
