package vividroster.core.instrument;

import java.util.Optional;
import vividroster.core.music.Pitch;
import vividroster.core.music.Transposition;

/**
 * The octave in which an instrument reads a whole book, as if a teacher had written it there.
 *
 * @param concert the note everybody's first five notes begin on, as the book writes it at concert pitch; empty for a
 *     voice that was written for the instrument and stands where it belongs
 * @param octaves from the line at concert pitch to the octave this instrument reads it in, negative for down
 */
public record HomeOctave(Optional<Pitch> concert, int octaves) {

    /** Of a voice that was written for the instrument. */
    public static final HomeOctave AS_WRITTEN = new HomeOctave(Optional.empty(), 0);

    /** A line that lies no lower than so many semitones under the first five notes is in the book's usual octave. */
    private static final int UNDER = 7;

    private static final int OCTAVE = 12;

    /**
     * @param written where the instrument reads the first of the five notes
     * @throws IllegalArgumentException when that is no octave of the concert note
     */
    public static HomeOctave of(Pitch concert, Pitch written, Transposition transposition) {
        int apart = written.midi() + transposition.semitones() - concert.midi();
        if (apart % OCTAVE != 0) {
            throw new IllegalArgumentException("a home octave is so many octaves from " + concert + ", but " + written
                    + " is written for another note");
        }
        return new HomeOctave(Optional.of(concert), apart / OCTAVE);
    }

    /** The same, moved. */
    public HomeOctave up(int more) {
        return new HomeOctave(concert, octaves + more);
    }

    /**
     * Octaves a line is written above where the book usually lies; 0 for all that begins within an octave over, or a
     * fifth under, the first five notes.
     *
     * @param lowestMidi of the line at concert pitch
     */
    public int register(int lowestMidi) {
        if (concert.isEmpty()) {
            return 0;
        }
        int above = lowestMidi - concert.get().midi();
        return above < 0 ? Math.min(0, Math.floorDiv(above + UNDER, OCTAVE)) : Math.floorDiv(above, OCTAVE);
    }
}
