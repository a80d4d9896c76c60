package vividroster.core.music;

/**
 * A time signature.
 *
 * @param count beats in a measure as printed, in 1..32
 * @param unit note value of one of them: 1, 2, 4, 8 or 16
 */
public record Meter(int count, int unit) {

    public Meter {
        if (count < 1 || count > 32) {
            throw new IllegalArgumentException("count must be in 1..32, was " + count);
        }
        if (unit != 1 && unit != 2 && unit != 4 && unit != 8 && unit != 16) {
            throw new IllegalArgumentException("unit must be 1, 2, 4, 8 or 16, was " + unit);
        }
    }

    /** Length of one full measure in beats, a beat being a quarter note. */
    public double beatsPerMeasure() {
        return count * 4.0 / unit;
    }

    /** What the foot taps: a dotted quarter in 6/8, 9/8 and 12/8 (a dotted eighth in sixteenths), else the unit. */
    public Beats pulse() {
        boolean compound = unit >= 8 && count > 3 && count % 3 == 0;
        return Beats.of(compound ? 12 : 4, unit);
    }

    @Override
    public String toString() {
        return count + "/" + unit;
    }

    public static Meter parse(String text) {
        String[] parts = text.strip().split("/");
        if (parts.length != 2) {
            throw new IllegalArgumentException("a meter is written like \"3/4\", was \"" + text + "\"");
        }
        return new Meter(Integer.parseInt(parts[0].strip()), Integer.parseInt(parts[1].strip()));
    }
}
