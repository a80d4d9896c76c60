package vividroster.core.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vividroster.core.music.Key;
import vividroster.core.music.Pitch;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.TimedView.Bar;

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
    public static List<List<Known>> of(TimedView view) {
        return view.told(Accidentals.class, Accidentals::tell);
    }

    private static List<List<Known>> tell(TimedView view) {
        List<List<Known>> all = new ArrayList<>();
        for (Bar bar : view.bars()) {
            Map<Integer, Integer> holding = new HashMap<>();
            List<Known> known = new ArrayList<>();
            At before = view.lastBefore(bar.index());
            for (At at : view.notes().get(bar.index())) {
                known.add(known(at, before, bar.key(), holding));
                before = at;
            }
            all.add(List.copyOf(known));
        }
        return all;
    }

    private static Known known(At at, At before, Key key, Map<Integer, Integer> holding) {
        if (at.isRest()) {
            return Known.BY_KEY;
        }
        Pitch pitch = at.note().pitch().orElseThrow();
        if (at.tiedIn() && before.note().pitch().equals(at.note().pitch())) {
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
