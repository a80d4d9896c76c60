package vividroster.bench;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import vividroster.core.testing.TestDays;

/** How long 60 students take to be laid out over 5 periods, a third of them tied to some, and how often that is proven. */
final class TestDayBench {

    private static final int DAYS = 300;
    private static final int STUDENTS = 60;
    private static final int PERIODS = 5;
    private static final double GOAL_MILLIS = 100;

    private TestDayBench() {}

    static void run() {
        // Once to warm up, once to measure.
        measure();
        double[] millis = new double[DAYS];
        int proven = 0;
        for (int day = 0; day < DAYS; day++) {
            List<TestDays.Period> periods = periods(day);
            List<TestDays.Unit> units = units(day);
            long begin = System.nanoTime();
            TestDays plan = TestDays.of(periods, units);
            millis[day] = (System.nanoTime() - begin) / 1e6;
            proven += plan.proven() ? 1 : 0;
        }
        double worst = 0;
        double sum = 0;
        for (double one : millis) {
            worst = Math.max(worst, one);
            sum += one;
        }
        System.out.printf(
                Locale.ROOT,
                "test days of %d students over %d periods: mean %.2f ms, worst %.1f ms (goal %.0f, %s); %d of %d proven%n",
                STUDENTS,
                PERIODS,
                sum / DAYS,
                worst,
                GOAL_MILLIS,
                worst < GOAL_MILLIS ? "met" : "MISSED",
                proven,
                DAYS);
    }

    private static void measure() {
        for (int day = 0; day < DAYS; day++) {
            TestDays.of(periods(day), units(day));
        }
    }

    private static List<TestDays.Period> periods(int day) {
        Random dice = new Random(day);
        List<TestDays.Period> periods = new ArrayList<>();
        for (int i = 0; i < PERIODS; i++) {
            periods.add(new TestDays.Period("p" + i, 60 * (18 + dice.nextInt(15))));
        }
        return periods;
    }

    private static List<TestDays.Unit> units(int day) {
        Random dice = new Random(1_000L + day);
        List<TestDays.Unit> units = new ArrayList<>();
        for (int i = 0; i < STUDENTS; i++) {
            Set<String> tied = dice.nextInt(10) < 3
                    ? new HashSet<>(List.of("p" + dice.nextInt(PERIODS), "p" + (PERIODS - 1)))
                    : Set.of();
            units.add(new TestDays.Unit("u" + i, List.of("s" + i), 80 + dice.nextInt(60), tied));
        }
        return units;
    }
}
