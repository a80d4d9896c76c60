package vividroster.core.reading;

import java.util.List;
import vividroster.core.instrument.Range;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
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
        Part written = sounding.writtenFor(transposition);
        int best = 0;
        int least = Integer.MAX_VALUE;
        for (int distance = 0; distance <= FARTHEST; distance++) {
            for (int octaves : distance == 0 ? new int[] {0} : new int[] {distance, -distance}) {
                int beyond = written.pitches().stream()
                        .mapToInt(p -> beyond(p, octaves, range))
                        .sum();
                if (beyond < least) {
                    least = beyond;
                    best = octaves;
                }
            }
        }
        Part fitted = best == 0 ? written : written.octaves(best);
        return new Fitted(
                fitted,
                best,
                fitted.pitches().stream()
                        .filter(p -> !range.holds(p))
                        .distinct()
                        .toList());
    }

    private static int beyond(Pitch pitch, int octaves, Range range) {
        int midi = pitch.midi() + 12 * octaves;
        return Math.max(
                0, Math.max(range.low().midi() - midi, midi - range.high().midi()));
    }
}
