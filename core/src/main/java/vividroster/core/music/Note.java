package vividroster.core.music;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A note or a rest of one voice.
 *
 * @param pitch empty for a rest
 * @param length more than nothing
 * @param tied sounds on into the next note of the same pitch
 * @param slurs how many begin here and how many end
 * @param marks articulation and the like
 * @param graces grace notes before it, kept for display and left out of counting
 * @param lyric the syllable or word under it; empty when there is none
 */
public record Note(
        Optional<Pitch> pitch,
        Beats length,
        boolean tied,
        Slurs slurs,
        Set<Mark> marks,
        List<Pitch> graces,
        String lyric) {

    /** What stands at a note-head. */
    public enum Mark {
        STACCATO,
        TENUTO,
        ACCENT,
        MARCATO,
        FERMATA,
        BREATH,
        DOWN_BOW,
        UP_BOW,
        PIZZICATO,
        /** On a drum a roll. */
        TREMOLO,
        /** Glides to the next note. */
        GLISSANDO
    }

    /** @param begin how many slurs begin here; end how many end here */
    public record Slurs(int begin, int end) {
        public static final Slurs NONE = new Slurs(0, 0);

        public Slurs {
            if (begin < 0 || end < 0) {
                throw new IllegalArgumentException("slurs are counted from 0, were " + begin + " and " + end);
            }
        }
    }

    public Note {
        if (length.ticks() <= 0) {
            throw new IllegalArgumentException("a note's length must be more than nothing, was " + length.value());
        }
        if (tied && pitch.isEmpty()) {
            throw new IllegalArgumentException("a rest cannot be tied");
        }
        marks = Set.copyOf(marks);
        graces = List.copyOf(graces);
    }

    public static Note of(Pitch pitch, Beats length) {
        return new Note(Optional.of(pitch), length, false, Slurs.NONE, Set.of(), List.of(), "");
    }

    public static Note rest(Beats length) {
        return new Note(Optional.empty(), length, false, Slurs.NONE, Set.of(), List.of(), "");
    }

    public boolean isRest() {
        return pitch.isEmpty();
    }

    public Note withPitch(Pitch other) {
        return new Note(Optional.of(other), length, tied, slurs, marks, graces, lyric);
    }

    public Note withLength(Beats other) {
        return new Note(pitch, other, tied, slurs, marks, graces, lyric);
    }

    public Note withTie(boolean other) {
        return new Note(pitch, length, other, slurs, marks, graces, lyric);
    }

    public Note withSlurs(Slurs others) {
        return new Note(pitch, length, tied, others, marks, graces, lyric);
    }

    public Note withMarks(Set<Mark> others) {
        return new Note(pitch, length, tied, slurs, others, graces, lyric);
    }

    /** Whether a note sounds on from the one before it: tied there, and of the same pitch. @param before may be null */
    public boolean isTiedFrom(Note before) {
        return before != null
                && before.tied
                && pitch.isPresent()
                && before.pitch.isPresent()
                && before.pitch.get().midi() == pitch.get().midi();
    }

    /** With its grace notes; a rest stays as it is. */
    public Note moved(UnaryOperator<Pitch> move) {
        return new Note(
                pitch.map(move),
                length,
                tied,
                slurs,
                marks,
                graces.isEmpty() ? graces : graces.stream().map(move).toList(),
                lyric);
    }
}
