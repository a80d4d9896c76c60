package vividroster.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import vividroster.core.plan.Pace.PastWeek;

/**
 * Made-up years of sections, for the width of a forecast: a pace that drifts, breaks, short weeks, absences in waves, weeks
 * in which nobody is heard and that are made up after.
 */
public final class SectionYears {

    /** How often the 80 percent range held, of all asked. */
    public record Coverage(int asked, int held, double meanWidth) {

        public double share() {
            return (double) held / asked;
        }
    }

    private SectionYears() {}

    public static Coverage coverage(int years, long seed) {
        Random random = new Random(seed);
        int asked = 0;
        int held = 0;
        double width = 0;
        for (int y = 0; y < years; y++) {
            int weeks = 36 + random.nextInt(6);
            int students = 2 + random.nextInt(12);
            double planned = students * (0.6 + random.nextDouble());
            double[] exposure = exposures(weeks, random);
            int[] passes = passes(exposure, planned, students, random);
            int now = 1 + random.nextInt(weeks - 10);
            List<PastWeek> behind = new ArrayList<>();
            for (int w = 0; w < now; w++) {
                behind.add(new PastWeek(passes[w], exposure[w]));
            }
            List<Double> ahead = new ArrayList<>();
            for (int w = now; w < weeks; w++) {
                ahead.add(exposure[w]);
            }
            int need = (int) Math.max(1, planned * (1 + random.nextInt(10)));
            Forecast forecast = Forecast.of(Pace.learned(behind, planned), need, ahead);
            int truth = truth(passes, now, need);
            int low = forecast.low().orElse(Integer.MAX_VALUE);
            int high = forecast.high().orElse(Integer.MAX_VALUE);
            asked++;
            held += truth >= low && truth <= high ? 1 : 0;
            width += Math.min(high, ahead.size() + 1) - Math.min(low, ahead.size() + 1);
        }
        return new Coverage(asked, held, width / asked);
    }

    private static int truth(int[] passes, int now, int need) {
        int made = 0;
        for (int w = now; w < passes.length; w++) {
            made += passes[w];
            if (made >= need) {
                return w - now + 1;
            }
        }
        return Integer.MAX_VALUE;
    }

    private static double[] exposures(int weeks, Random random) {
        double[] exposure = new double[weeks];
        for (int w = 0; w < weeks; w++) {
            boolean closed = w % 9 == 8 || w > 4 && random.nextInt(18) == 0;
            boolean shorter = random.nextInt(8) == 0;
            exposure[w] = closed ? 0 : shorter ? 0.5 : 1;
        }
        return exposure;
    }

    private static int[] passes(double[] exposure, double planned, int students, Random random) {
        int[] passes = new int[exposure.length];
        double pace = planned * Math.exp(0.3 * random.nextGaussian() - 0.15);
        double wave = 0;
        double owed = 0;
        for (int w = 0; w < passes.length; w++) {
            pace *= Math.exp(0.09 * random.nextGaussian());
            wave = 0.7 * wave + 0.18 * random.nextGaussian();
            double mean = pace * exposure[w] * Math.exp(wave);
            if (exposure[w] > 0 && random.nextInt(11) == 0) {
                owed += 0.7 * mean;
                continue;
            }
            passes[w] = poisson(mean + (exposure[w] > 0 ? owed : 0), random);
            owed = exposure[w] > 0 ? 0 : owed;
        }
        return passes;
    }

    private static int poisson(double mean, Random random) {
        double limit = Math.exp(-Math.min(mean, 600));
        int count = -1;
        double product = 1;
        do {
            count++;
            product *= random.nextDouble();
        } while (product > limit);
        return count;
    }
}
