package vividroster.core.instrument;

import vividroster.core.music.Pitch;

/** Written pitches an instrument may be asked for, both ends included. */
public record Range(Pitch low, Pitch high) {

    public Range {
        if (low.midi() > high.midi()) {
            throw new IllegalArgumentException("a range goes from low to high, was " + low + " to " + high);
        }
    }

    /** @param text for example {@code C4-G5} */
    public static Range parse(String text) {
        String[] ends = text.strip().split("-(?=[A-G])");
        if (ends.length != 2) {
            throw new IllegalArgumentException("a range is written like C4-G5, was \"" + text + "\"");
        }
        return new Range(Pitch.named(ends[0]), Pitch.named(ends[1]));
    }

    public boolean holds(Pitch pitch) {
        return pitch.midi() >= low.midi() && pitch.midi() <= high.midi();
    }

    /** Semitones a pitch lies outside; 0 within. */
    public int beyond(Pitch pitch) {
        return Math.max(0, Math.max(low.midi() - pitch.midi(), pitch.midi() - high.midi()));
    }
}
