package vividroster.core.music;

/** Quarter-note beats a minute, in 20..400. */
public record Bpm(int value) {

    public Bpm {
        if (value < 20 || value > 400) {
            throw new IllegalArgumentException("tempoBpm must be in 20..400, was " + value);
        }
    }

    public double secondsFor(double beats) {
        return beats * 60.0 / value;
    }
}
