package vividroster.formats.score;

import vividroster.core.music.Beats;
import vividroster.core.music.Notated;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;

/**
 * How much a line may hold, asked while it is read. The numbers are ours: far more than any line of a method book, little
 * enough that a file made to harm costs nothing.
 */
public final class Limits {

    /** Of a line's XML, unpacked. */
    public static final int BYTES = 4 * 1024 * 1024;
    /** Of a line typed in ABC. */
    public static final int LETTERS = 60_000;

    public static final int MEASURES = Part.MOST_MEASURES;
    /** Of one part, rests counted. */
    public static final int NOTES = 10_000;

    public static final int PARTS = 100;

    private static final int LOWEST_MIDI = Pitch.named("A0").midi();
    private static final int HIGHEST_MIDI = Pitch.named("C8").midi();

    private Limits() {}

    /** @throws IllegalArgumentException when a length cannot be written as notes */
    public static Beats written(Beats length) {
        if (!Notated.canWrite(length)) {
            throw new IllegalArgumentException(
                    "a note of " + Math.round(length.value() * 1000) / 1000.0 + " beats cannot be written");
        }
        return length;
    }

    /** @throws IllegalArgumentException beyond the keys of a piano */
    public static Pitch sounding(Pitch pitch) {
        if (pitch.midi() < LOWEST_MIDI || pitch.midi() > HIGHEST_MIDI) {
            throw new IllegalArgumentException("a note sounds from A 0 to C 8, was " + pitch.name());
        }
        return pitch;
    }

    /** Whether whoever waits for the reading has given up. */
    public static void goOn() {
        if (Thread.currentThread().isInterrupted()) {
            throw new LineFileException("Reading this took too long; nothing was kept.");
        }
    }
}
