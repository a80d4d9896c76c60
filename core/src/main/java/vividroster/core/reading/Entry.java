package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividroster.core.music.Beats;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;

/**
 * How a section comes in. Source: the count-in is one measure of the first full measure's meter less the pick-up, or two
 * by choice; the breath is taken on the last pulse before the entry.
 *
 * @param first note it plays
 * @param measure index in the part; note index in the measure
 * @param counted pulses before the entry by number, count-in and rests; one breathes on the last
 * @param countInBeats beats of the count-in alone
 * @param entersOn where in its measure the first note stands, as it is said
 */
public record Entry(Pitch first, int measure, int note, List<String> counted, Beats countInBeats, String entersOn) {

    public Entry {
        counted = List.copyOf(counted);
    }

    /** Empty for a part that never plays. @param measures of count-in, 1 or 2 */
    public static Optional<Entry> of(Part part, int measures) {
        Meter meter = part.meterAt(0);
        Beats pulse = meter.pulse();
        Beats countIn = countIn(part, measures);
        Beats waited = Beats.ZERO;
        for (int m = 0; m < part.measures().size(); m++) {
            Measure measure = part.measures().get(m);
            for (int n = 0; n < measure.notes().size(); n++) {
                Note note = measure.notes().get(n);
                if (!note.isRest()) {
                    Beats before = countIn.plus(waited);
                    int perMeasure = Math.max(1, Beats.of(meter).ticks() / pulse.ticks());
                    List<String> counted = new ArrayList<>();
                    for (int tick = 0; tick < before.ticks(); tick += pulse.ticks()) {
                        counted.add(String.valueOf(tick / pulse.ticks() % perMeasure + 1));
                    }
                    String spoken = Counting.spoken(measure, part.meterAt(m), m == 0 && part.hasPickUp());
                    return Optional.of(
                            new Entry(note.pitch().orElseThrow(), m, n, counted, countIn, firstSaid(spoken)));
                }
                waited = waited.plus(note.length());
            }
        }
        return Optional.empty();
    }

    /** @param measures of count-in, 1 or 2 */
    public static Beats countIn(Part part, int measures) {
        if (measures < 1 || measures > 2) {
            throw new IllegalArgumentException("a count-in has 1 or 2 measures, was " + measures);
        }
        Beats full = Beats.of(part.meterAt(0)).times(measures, 1);
        return part.hasPickUp() ? full.minus(part.measures().getFirst().length()) : full;
    }

    private static String firstSaid(String spoken) {
        for (String word : spoken.split(" ")) {
            if (!word.startsWith("[")) {
                return word;
            }
        }
        return "1";
    }
}
