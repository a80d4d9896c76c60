package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividroster.core.music.Beats;
import vividroster.core.music.Pitch;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.TimedView.Bar;

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
    public static Optional<Entry> of(TimedView view, int measures) {
        Beats countIn = countIn(view, measures);
        Bar opening = firstFull(view);
        List<String> counted = new ArrayList<>();
        int pulse = opening.meter().pulse().ticks();
        int perMeasure = Math.max(1, opening.full().ticks() / pulse);
        for (int tick = 0; tick < countIn.ticks(); tick += pulse) {
            counted.add(String.valueOf(tick / pulse % perMeasure + 1));
        }
        for (Bar bar : view.bars()) {
            for (At at : view.notes().get(bar.index())) {
                if (!at.isRest()) {
                    return Optional.of(new Entry(
                            at.note().pitch().orElseThrow(),
                            at.measure(),
                            at.index(),
                            counted,
                            countIn,
                            Counting.syllable(at.beat(), bar.meter())));
                }
                rested(at, bar.meter().pulse().ticks(), counted);
            }
        }
        return Optional.empty();
    }

    /** The pulses that pass in a rest, by their numbers in the measure. */
    private static void rested(At at, int pulse, List<String> counted) {
        int end = at.beat().plus(at.note().length()).ticks();
        for (int tick = (at.beat().ticks() + pulse - 1) / pulse * pulse; tick < end; tick += pulse) {
            counted.add(String.valueOf(tick / pulse + 1));
        }
    }

    /** Of the whole line. @param measures 1 or 2 */
    public static Beats countIn(TimedView view, int measures) {
        return countIn(view, 0, measures);
    }

    /**
     * To begin at a measure: full measures of its meter, less what is missing of it.
     *
     * @param index of the measure; measures 1 or 2
     */
    static Beats countIn(TimedView view, int index, int measures) {
        if (measures < 1 || measures > 2) {
            throw new IllegalArgumentException("a count-in has 1 or 2 measures, was " + measures);
        }
        Bar bar = view.bars().get(index);
        Bar meant = index == 0 ? firstFull(view) : bar;
        Beats full = meant.full().times(measures, 1);
        if (bar.begins().isZero()) {
            return full;
        }
        Beats missing = bar.full().minus(bar.begins());
        return missing.compareTo(full) < 0 ? full.minus(missing) : full;
    }

    /** Seconds of the count-in, at the tempo of the beginning. */
    public static double countInSeconds(TimedView view, int measures) {
        return view.tempo().secondsFor(countIn(view, measures));
    }

    private static Bar firstFull(TimedView view) {
        return view.bars().stream()
                .filter(bar -> view.part().measures().get(bar.index()).number() > 0)
                .findFirst()
                .orElse(view.bars().getFirst());
    }
}
