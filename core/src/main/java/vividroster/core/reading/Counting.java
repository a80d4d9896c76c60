package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.music.Beats;
import vividroster.core.music.Meter;
import vividroster.core.reading.TimedView.At;

/**
 * How a measure is counted aloud: the number on a pulse, {@code &} half-way, {@code e} and {@code a} on the quarters of
 * it, {@code la} and {@code li} on its thirds; what is held in round brackets, what is silent in square ones. A pick-up
 * and the second half of a split measure are counted where they stand in the full one, and what is tied over the bar
 * line is held on.
 */
public final class Counting {

    private Counting() {}

    /** @param measure by index */
    public static String spoken(TimedView view, int measure) {
        Meter meter = view.bars().get(measure).meter();
        int pulse = meter.pulse().ticks();
        List<String> words = new ArrayList<>();
        for (At at : view.notes().get(measure)) {
            String open = at.isRest() ? "[" : "(";
            String shut = at.isRest() ? "]" : ")";
            String first = syllable(at.beat(), meter);
            words.add(at.isRest() || at.tiedIn() ? open + first + shut : first);
            int end = at.beat().plus(at.note().length()).ticks();
            for (int next = at.beat().ticks() / pulse + 1; next * pulse < end; next++) {
                words.add(open + (next + 1) + shut);
            }
        }
        return String.join(" ", words);
    }

    /** What is said on a beat of the full measure. */
    static String syllable(Beats at, Meter meter) {
        int pulse = meter.pulse().ticks();
        int within = at.ticks() % pulse;
        if (within == 0) {
            return String.valueOf(at.ticks() / pulse + 1);
        }
        if (within * 2 == pulse) {
            return "&";
        }
        if (within * 3 == pulse) {
            return "la";
        }
        if (within * 3 == 2 * pulse) {
            return "li";
        }
        return within * 4 == pulse ? "e" : within * 4 == 3 * pulse ? "a" : "ti";
    }
}
