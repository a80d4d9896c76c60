package vividroster.core.music;

/**
 * A length or a place in time, exact. A beat is a quarter note, whatever the meter.
 *
 * @param ticks in parts of a beat; {@link #PER_BEAT} of them make one, so that halves down to a 128th, triplets,
 *     quintuplets and septuplets come out whole
 */
public record Beats(int ticks) implements Comparable<Beats> {

    public static final int PER_BEAT = 10_080;
    public static final Beats ZERO = new Beats(0);

    /** The fraction nearest to a whole number of ticks. */
    public static Beats of(long numerator, long denominator) {
        if (denominator <= 0) {
            throw new IllegalArgumentException("a length's denominator must be positive, was " + denominator);
        }
        return new Beats(Math.toIntExact(Math.round((double) numerator * PER_BEAT / denominator)));
    }

    /** @throws IllegalArgumentException when the fraction does not come out whole, as in a group of eleven */
    public static Beats exact(long numerator, long denominator) {
        long ticks = Math.multiplyExact(numerator, (long) PER_BEAT);
        if (denominator <= 0 || ticks % denominator != 0 || Math.abs(ticks / denominator) > Integer.MAX_VALUE) {
            throw new IllegalArgumentException(
                    "a length of " + numerator + "/" + denominator + " beats cannot be written");
        }
        return new Beats((int) (ticks / denominator));
    }

    public static Beats of(long beats) {
        return of(beats, 1);
    }

    public static Beats of(Meter meter) {
        return of(meter.count() * 4L, meter.unit());
    }

    public Beats plus(Beats other) {
        return new Beats(Math.addExact(ticks, other.ticks));
    }

    public Beats minus(Beats other) {
        return new Beats(Math.subtractExact(ticks, other.ticks));
    }

    public Beats times(long numerator, long denominator) {
        return of((long) ticks * numerator, denominator * PER_BEAT);
    }

    public double value() {
        return (double) ticks / PER_BEAT;
    }

    public boolean isZero() {
        return ticks == 0;
    }

    @Override
    public int compareTo(Beats other) {
        return Integer.compare(ticks, other.ticks);
    }
}
