package vividroster.core.reading;

import java.util.Arrays;
import java.util.List;
import vividroster.core.instrument.Range;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
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

    private static final int FARTHEST = 8;
    /** What has an octave to be written in, with a step of room for another spelling. */
    private static final int LOWEST_MIDI = 14;

    private static final int HIGHEST_MIDI = 129;
    private static final int MIDDLE = 60;

    /** The octave with the least beyond the range; of two alike, the nearest. */
    public static Fitted of(Part sounding, Transposition transposition, Range range) {
        return of(sounding, transposition, range, Spelling.FLATS_AT_SIX);
    }

    /**
     * The same, a key of six signs spelled as one likes.
     *
     * @throws IllegalArgumentException when the part reaches too far to be written for the instrument in any octave
     */
    public static Fitted of(Part sounding, Transposition transposition, Range range, Spelling spelling) {
        int[] midis = midis(sounding, -transposition.semitones());
        int lowest = midis.length == 0 ? MIDDLE : Integer.MAX_VALUE;
        int highest = midis.length == 0 ? MIDDLE : Integer.MIN_VALUE;
        for (int midi : midis) {
            lowest = Math.min(lowest, midi);
            highest = Math.max(highest, midi);
        }
        int best = 0;
        int least = Integer.MAX_VALUE;
        for (int distance = 0; distance <= FARTHEST; distance++) {
            for (int octaves : distance == 0 ? new int[] {0} : new int[] {distance, -distance}) {
                if (lowest + 12 * octaves < LOWEST_MIDI || highest + 12 * octaves > HIGHEST_MIDI) {
                    continue;
                }
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
        if (least == Integer.MAX_VALUE) {
            throw new IllegalArgumentException("the line reaches farther than can be written for one instrument");
        }
        Part fitted = sounding.writtenFor(transposition, best, spelling);
        List<Pitch> outside = least == 0
                ? List.of()
                : fitted.pitches().stream()
                        .filter(p -> !range.holds(p))
                        .distinct()
                        .toList();
        return new Fitted(fitted, best, outside);
    }

    /** Of every note, grace notes too. */
    private static int[] midis(Part part, int moved) {
        int[] midis = new int[64];
        int count = 0;
        for (Measure measure : part.measures()) {
            for (Note note : measure.notes()) {
                if (count + note.graces().size() + 1 > midis.length) {
                    midis = Arrays.copyOf(
                            midis, 2 * midis.length + note.graces().size());
                }
                if (!note.isRest()) {
                    midis[count++] = note.pitch().orElseThrow().midi() + moved;
                }
                for (Pitch grace : note.graces()) {
                    midis[count++] = grace.midi() + moved;
                }
            }
        }
        return Arrays.copyOf(midis, count);
    }

    private static int beyond(int midi, Range range) {
        return Math.max(
                0, Math.max(range.low().midi() - midi, midi - range.high().midi()));
    }
}
