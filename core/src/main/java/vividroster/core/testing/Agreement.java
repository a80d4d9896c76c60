package vividroster.core.testing;

import java.util.Arrays;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * How far two listeners agree who gave points to the same students by the same criteria.
 *
 * <p>Kappa with linear weights (Cohen 1968): one less the distance there is over the distance there would be if each had
 * given the same points by chance, {@code 1 − mean |a − b| ÷ mean over all pairs |a − b'|}. 1 is full agreement, 0 no more
 * than chance. Its interval is where the middle 95 percent of resamples lie; students are resampled, not single marks, since
 * the marks of one student hang together.
 */
public sealed interface Agreement {

    /** Resamples of the students; ours, for a second figure that does not move. */
    int RESAMPLES = 2_000;

    /** Students heard by both below which nothing is told. */
    int FEWEST = 2;

    /** Most points of a criterion, so that one digit marks it. */
    int MOST_POINTS = 9;

    /** What two listeners gave one student by one criterion. @param first and second in 0..9 */
    record Pair(int first, int second) {
        public Pair {
            if (first < 0 || first > MOST_POINTS || second < 0 || second > MOST_POINTS) {
                throw new IllegalArgumentException(
                        "points must be in 0.." + MOST_POINTS + ", were " + first + " and " + second);
            }
        }
    }

    record TooFew(int students) implements Agreement {}

    /**
     * The points differ too little to tell agreement from chance.
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

    /**
     * @param byStudent what both gave, for each student as many pairs as criteria, at least one
     * @param seed of the resamples; the same seed tells the same interval
     */
    static Agreement of(List<List<Pair>> byStudent, long seed) {
        int n = byStudent.size();
        if (n < FEWEST) {
            return new TooFew(n);
        }
        List<Pair> all = byStudent.stream().flatMap(List::stream).toList();
        double difference = all.stream()
                .mapToInt(pair -> pair.first() - pair.second())
                .average()
                .orElseThrow();
        double distance = all.stream()
                .mapToInt(pair -> Math.abs(pair.first() - pair.second()))
                .average()
                .orElseThrow();
        Tally tally = new Tally();
        byStudent.forEach(tally::add);
        double kappa = tally.kappa();
        if (Double.isNaN(kappa)) {
            return new TooLittleSpread(n, difference, distance);
        }
        UniformRandomProvider random = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        double[] kappas = new double[RESAMPLES];
        int told = 0;
        for (int r = 0; r < RESAMPLES; r++) {
            Tally resample = new Tally();
            for (int i = 0; i < n; i++) {
                resample.add(byStudent.get(random.nextInt(n)));
            }
            double one = resample.kappa();
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

    /** How often each gave how many points. */
    final class Tally {

        private final long[] first = new long[MOST_POINTS + 1];
        private final long[] second = new long[MOST_POINTS + 1];
        private long distance;
        private long pairs;

        private Tally() {}

        private void add(List<Pair> ofStudent) {
            for (Pair pair : ofStudent) {
                first[pair.first()]++;
                second[pair.second()]++;
                distance += Math.abs(pair.first() - pair.second());
                pairs++;
            }
        }

        /** Not a number where chance alone would never differ. */
        private double kappa() {
            long byChance = 0;
            for (int i = 0; i <= MOST_POINTS; i++) {
                for (int j = 0; j <= MOST_POINTS; j++) {
                    byChance += first[i] * second[j] * Math.abs(i - j);
                }
            }
            return byChance == 0 ? Double.NaN : 1 - (double) distance * pairs / byChance;
        }
    }
}
