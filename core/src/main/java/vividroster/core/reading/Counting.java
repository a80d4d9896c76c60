package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.music.Beats;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;

/**
 * How a measure is counted aloud: the number on a pulse, {@code &} half-way, {@code e} and {@code a} on the quarters of
 * it, {@code la} and {@code li} on its thirds; what is held in round brackets, what is silent in square ones.
 */
public final class Counting {

    private Counting() {}

    /** @param pickUp whether the measure is the end of a full one, so that it begins late in the count */
    public static String spoken(Measure measure, Meter meter, boolean pickUp) {
        Beats pulse = meter.pulse();
        Beats at = pickUp ? Beats.of(meter).minus(measure.length()) : Beats.ZERO;
        List<String> words = new ArrayList<>();
        boolean tiedOn = false;
        for (Note note : measure.notes()) {
            Beats end = at.plus(note.length());
            String open = note.isRest() ? "[" : "(";
            String shut = note.isRest() ? "]" : ")";
            String first = syllable(at, pulse);
            words.add(note.isRest() || tiedOn ? open + first + shut : first);
            int next = at.ticks() / pulse.ticks() + 1;
            while (next * pulse.ticks() < end.ticks()) {
                words.add(open + (next + 1) + shut);
                next++;
            }
            tiedOn = note.tied();
            at = end;
        }
        return String.join(" ", words);
    }

    private static String syllable(Beats at, Beats pulse) {
        int within = at.ticks() % pulse.ticks();
        int number = at.ticks() / pulse.ticks() + 1;
        if (within == 0) {
            return String.valueOf(number);
        }
        if (within * 2 == pulse.ticks()) {
            return "&";
        }
        if (within * 3 == pulse.ticks()) {
            return "la";
        }
        if (within * 3 == 2 * pulse.ticks()) {
            return "li";
        }
        return within * 4 == pulse.ticks() ? "e" : within * 4 == 3 * pulse.ticks() ? "a" : "ti";
    }
}
