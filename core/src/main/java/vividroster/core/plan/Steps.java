package vividroster.core.plan;

/**
 * The source of choices of a search: the same numbers for the same seed on any machine, also for how much worse a step may
 * be. (SplitMix64, Steele, Lea and Flood 2014.)
 */
final class Steps {

    /** How many times the temperature a loss may be: exponential, by 4,096 even shares; the last is cut at 9 times. */
    private static final double[] PATIENCE = new double[4096];

    static {
        for (int i = 0; i < PATIENCE.length; i++) {
            PATIENCE[i] = -StrictMath.log((i + 0.5) / PATIENCE.length);
        }
    }

    private long state;

    Steps(long seed) {
        state = seed;
    }

    private long next() {
        long z = state += 0x9E3779B97F4A7C15L;
        z = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
        z = (z ^ (z >>> 27)) * 0x94D049BB133111EBL;
        return z ^ (z >>> 31);
    }

    /** From 0 to below the bound. */
    int below(int bound) {
        return (int) (((next() >>> 32) * bound) >>> 32);
    }

    /** The most a step may lose at this temperature; drawn anew each time. */
    double mayLose(double temperature) {
        return temperature * PATIENCE[(int) (next() >>> 52)];
    }
}
