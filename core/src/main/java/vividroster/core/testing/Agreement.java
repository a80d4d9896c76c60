package vividroster.core.testing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * How far two listeners agree who gave points to the same students by the same criterion.
 *
 * <p>Kappa with linear weights (Cohen 1968): one less the distance there is over the distance there would be if each had
 * given the same points to students by chance, {@code 1 − mean |a − b| ÷ mean over all pairs of students |a − b'|}. 1 is
 * full agreement, 0 no more than chance. Its interval is where the middle 95 percent of resamples of the students lie.
 */
public sealed interface Agreement {

    /** Resamples of the students; ours, for a second figure that does not move. */
    int RESAMPLES = 2_000;

    /** Students heard by both below which nothing is told. */
    int FEWEST = 2;

    /** What two listeners gave one student. */
    record Pair(int first, int second) {}

    record TooFew(int students) implements Agreement {}

    /**
     * The points differ too little from student to student to tell agreement from chance.
     *
     * @param difference by how much the first gave more, on average
     * @param distance by how much they differ, on average, at least 0
     */
    record TooLittleSpread(int students, double difference, double distance) implements Agreement {}

    /**
     * @param kappa at most 1
     * @param low and high of the interval
     * @param difference by how much the first gave more, on average
     * @param distance by how much they differ, on average, at least 0
     */
    record Measured(int students, double kappa, double low, double high, double difference, double distance)
            implements Agreement {}

    /** @param seed of the resamples; the same seed tells the same interval */
    static Agreement of(List<Pair> pairs, long seed) {
        int n = pairs.size();
        if (n < FEWEST) {
            return new TooFew(n);
        }
        double difference = pairs.stream()
                .mapToInt(pair -> pair.first() - pair.second())
                .average()
                .orElseThrow();
        double distance = pairs.stream()
                .mapToInt(pair -> Math.abs(pair.first() - pair.second()))
                .average()
                .orElseThrow();
        double kappa = kappa(pairs);
        if (Double.isNaN(kappa)) {
            return new TooLittleSpread(n, difference, distance);
        }
        UniformRandomProvider random = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        double[] kappas = new double[RESAMPLES];
        int told = 0;
        List<Pair> resample = new ArrayList<>(pairs);
        for (int r = 0; r < RESAMPLES; r++) {
            for (int i = 0; i < n; i++) {
                resample.set(i, pairs.get(random.nextInt(n)));
            }
            double one = kappa(resample);
            if (!Double.isNaN(one)) {
                kappas[told++] = one;
            }
        }
        // Where most resamples are all alike, the spread hangs on one student or two.
        if (told * 2 < RESAMPLES) {
            return new TooLittleSpread(n, difference, distance);
        }
        double[] sorted = Arrays.copyOf(kappas, told);
        Arrays.sort(sorted);
        return new Measured(n, kappa, at(sorted, 0.025), at(sorted, 0.975), difference, distance);
    }

    private static double at(double[] sorted, double share) {
        return sorted[(int) Math.round(share * (sorted.length - 1))];
    }

    /** Not a number where chance alone would never differ. */
    private static double kappa(List<Pair> pairs) {
        long there = 0;
        long byChance = 0;
        for (Pair pair : pairs) {
            there += Math.abs(pair.first() - pair.second());
            for (Pair other : pairs) {
                byChance += Math.abs(pair.first() - other.second());
            }
        }
        return byChance == 0 ? Double.NaN : 1 - (double) there * pairs.size() / byChance;
    }
}
