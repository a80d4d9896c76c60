package vividroster.core.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;

/**
 * Where accidentals are printed and where they only hold on. Source: an accidental holds for the rest of its measure on
 * its line or space, the bar line cancels it, a tie carries it to the tied note alone.
 */
public final class Accidentals {

    private Accidentals() {}

    /** How a reader knows what a note is. */
    public enum Known {
        /** By the key signature alone; also every rest. */
        BY_KEY,
        /** An accidental is printed before it. */
        PRINTED,
        /** Only an accidental earlier in the measure says so. */
        CARRIED,
        /** Tied from the note before. */
        TIED
    }

    /** For every measure of a part as it is read, how each of its notes is known. */
    public static List<List<Known>> of(Part part) {
        List<List<Known>> all = new ArrayList<>();
        Key key = part.key();
        Note before = null;
        for (Measure measure : part.measures()) {
            key = measure.key().orElse(key);
            Map<Integer, Integer> holding = new HashMap<>();
            List<Known> known = new ArrayList<>();
            for (Note note : measure.notes()) {
                known.add(known(note, before, key, holding));
                before = note;
            }
            all.add(List.copyOf(known));
        }
        return all;
    }

    private static Known known(Note note, Note before, Key key, Map<Integer, Integer> holding) {
        if (note.isRest()) {
            return Known.BY_KEY;
        }
        Pitch pitch = note.pitch().orElseThrow();
        if (before != null && before.tied() && before.pitch().equals(note.pitch())) {
            return Known.TIED;
        }
        int signed = key.alterOf(pitch.letter());
        Integer held = holding.get(pitch.step());
        if (pitch.alter() != (held == null ? signed : held)) {
            holding.put(pitch.step(), pitch.alter());
            return Known.PRINTED;
        }
        return held != null && held != signed ? Known.CARRIED : Known.BY_KEY;
    }
}
