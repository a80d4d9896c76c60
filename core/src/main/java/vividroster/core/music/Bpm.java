package vividroster.core.music;

/** Quarter-note beats a minute, in 20..400; fractions are kept. */
public record Bpm(double value) {

    public Bpm {
        if (!(value >= 20 && value <= 400)) {
            throw new IllegalArgumentException("tempoBpm must be in 20..400, was " + said(value));
        }
    }

    public double secondsFor(double beats) {
        return beats * 60.0 / value;
    }

    public double secondsFor(Beats beats) {
        return secondsFor(beats.value());
    }

    /** As one says it, for example "72" or "66.5". */
    @Override
    public String toString() {
        return said(value);
    }

    static String said(double number) {
        return number == Math.rint(number) && Math.abs(number) < 1e9
                ? String.valueOf((long) number)
                : String.valueOf(Math.round(number * 100) / 100.0);
    }
}
