package vividroster.core.hands;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;

/**
 * Where a clarinet's left first finger rolls between the throat A key and its hole: from a note with the key to one with
 * the hole covered, or back, without a rest to lift it. Source: what is looked for in a clarinet's left hand.
 */
public final class Rolls {

    /** As {@code keys.csv} names it; no other instrument has a key of that name. */
    private static final String THROAT_A = "A";

    private static final int FIRST_HOLE = 1 << 1;

    private Rolls() {}

    /** @param measure and note of the one rolled to; ontoKey whether to the key, else to the hole */
    public record Roll(int measure, int note, boolean ontoKey) {}

    /** In the order of the page. */
    public static List<Roll> of(TimedView view, Fingers fingers) {
        List<Roll> rolls = new ArrayList<>();
        Fingering before = null;
        for (List<At> row : view.notes()) {
            for (At at : row) {
                Fingering now = fingers.at(at).orElse(null);
                if (before instanceof Keys from && now instanceof Keys to) {
                    if (onKey(from) && onHole(to)) {
                        rolls.add(new Roll(at.measure(), at.index(), false));
                    } else if (onHole(from) && onKey(to)) {
                        rolls.add(new Roll(at.measure(), at.index(), true));
                    }
                }
                before = now;
            }
        }
        return List.copyOf(rolls);
    }

    private static boolean onKey(Keys keys) {
        return keys.keys().contains(THROAT_A);
    }

    private static boolean onHole(Keys keys) {
        return (keys.holes() & FIRST_HOLE) != 0;
    }
}
