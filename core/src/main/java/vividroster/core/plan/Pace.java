package vividroster.core.plan;

import java.util.List;
import org.apache.commons.numbers.gamma.RegularizedBeta;

/**
 * How fast a section passes what it is set: gamma distributed, mean {@code a / b} passes in a usual week, learned from the
 * weeks behind it, recent ones more. Weeks differ by {@code phi} times as much as chance alone would have them. Measured on
 * 20,000 made-up section-years.
 *
 * @param a shape, about how many tries of its size are known
 * @param b usual weeks behind them
 * @param phi clumping, 1 or more
 */
public record Pace(double a, double b, double phi) {

    /** What is known before the first week is worth so many passes, of a section that runs a little behind its plan. */
    private static final double KNOWN_BEFORE = 4;

    private static final double BEHIND_PLAN = 0.85;
    private static final double CLUMPING = 3.5;
    /** So many weeks of usual clumping stand against what the weeks show. */
    private static final double CLUMPING_WEEKS = 6;

    private static final double SHRINK = 0.6;
    private static final double REMEMBERED = 0.9;
    private static final double LEAST_SHAPE = 0.5;

    /**
     * A week behind.
     *
     * @param passes of the section
     * @param exposure meetings held over usual meetings; 0 in a break, which teaches nothing
     */
    public record PastWeek(int passes, double exposure) {

        public PastWeek {
            if (passes < 0) {
                throw new IllegalArgumentException("passes must be 0 or more, was " + passes);
            }
            if (!(exposure >= 0 && exposure <= 20)) {
                throw new IllegalArgumentException("exposure must be in 0..20, was " + exposure);
            }
        }
    }

    /**
     * @param weeks oldest first
     * @param planned passes in a usual week by the plan; above 0
     */
    public static Pace learned(List<PastWeek> weeks, double planned) {
        if (!(planned > 0 && planned <= 1_000_000)) {
            throw new IllegalArgumentException("planned pace must be above 0, was " + planned);
        }
        return learned(weeks, planned, learned(weeks, planned, CLUMPING).phi());
    }

    private static Pace learned(List<PastWeek> weeks, double planned, double phi) {
        double a = KNOWN_BEFORE;
        double b = KNOWN_BEFORE / (BEHIND_PLAN * planned);
        double chi = CLUMPING_WEEKS * CLUMPING;
        double n = CLUMPING_WEEKS;
        for (PastWeek week : weeks) {
            double e = week.exposure();
            if (e == 0) {
                continue;
            }
            double want = e * a / b;
            chi += (week.passes() - want) * (week.passes() - want) / (want * (1 + e / (b * phi)));
            n++;
            a = Math.max(LEAST_SHAPE, REMEMBERED * a + week.passes() / phi);
            b = REMEMBERED * b + e / phi;
        }
        return new Pace(a, b, Math.max(1, SHRINK * chi / n));
    }

    /** Passes in a usual week. */
    public double mean() {
        return a / b;
    }

    /**
     * The chance that so many passes are made in coming weeks.
     *
     * @param passes above 0
     * @param exposure of those weeks together
     */
    public double chance(int passes, double exposure) {
        if (passes <= 0) {
            return 1;
        }
        if (exposure <= 0) {
            return 0;
        }
        double m = mean() * exposure / phi;
        return 1 - RegularizedBeta.value(a / (a + m), a, passes / phi);
    }
}
