package vividroster.core.reading;

import java.util.List;
import vividroster.core.instrument.Range;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Spelling;
import vividroster.core.music.Transposition;

/**
 * A part as an instrument reads it, in the octave that fits.
 *
 * @param octaves moved up from concert pitch, negative for down
 * @param outside pitches beyond the range all the same, each once
 */
public record Fitted(Part part, int octaves, List<Pitch> outside) {

    private static final int FARTHEST = 4;

    /** The octave with the least beyond the range; of two alike, the nearest. */
    public static Fitted of(Part sounding, Transposition transposition, Range range) {
        return of(sounding, transposition, range, Spelling.FLATS_AT_SIX);
    }

    /** The same, a key of six signs spelled as one likes. */
    public static Fitted of(Part sounding, Transposition transposition, Range range, Spelling spelling) {
        int[] midis = sounding.pitches().stream()
                .mapToInt(p -> p.midi() - transposition.semitones())
                .toArray();
        int best = 0;
        int least = Integer.MAX_VALUE;
        for (int distance = 0; distance <= FARTHEST; distance++) {
            for (int octaves : distance == 0 ? new int[] {0} : new int[] {distance, -distance}) {
                int beyond = 0;
                for (int midi : midis) {
                    beyond += beyond(midi + 12 * octaves, range);
                }
                if (beyond < least) {
                    least = beyond;
                    best = octaves;
                }
            }
        }
        Part fitted = sounding.writtenFor(transposition, best, spelling);
        return new Fitted(
                fitted,
                best,
                fitted.pitches().stream()
                        .filter(p -> !range.holds(p))
                        .distinct()
                        .toList());
    }

    private static int beyond(int midi, Range range) {
        return Math.max(
                0, Math.max(range.low().midi() - midi, midi - range.high().midi()));
    }
}
