package vividroster.core.instrument;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Fingering.Valves;
import vividroster.core.music.Pitch;

/**
 * Valves and slides by rule: a note is a partial of the open tube, lowered by what tubing is added. The least tubing is
 * the default, since it is the quickest and truest; every other way is an alternate.
 */
public final class BrassChart implements FingeringChart {

    private static final List<List<Integer>> THREE_VALVES =
            List.of(List.of(), List.of(2), List.of(1), List.of(1, 2), List.of(2, 3), List.of(1, 3), List.of(1, 2, 3));

    /** What the same tubing is on other valves, after the usual way. */
    private record Way(List<Integer> valves, int lowers) {}

    private static final List<Way> OTHERS = List.of(new Way(List.of(3), 3));
    private static final List<Way> FOURTH_VALVE = List.of(new Way(List.of(4), 5), new Way(List.of(2, 4), 6));

    private final List<List<Fingering>> byMidi;
    private final int fundamental;
    private final boolean slide;
    private final boolean thumb;

    private BrassChart(List<List<Fingering>> byMidi, int fundamental, boolean slide, boolean thumb) {
        this.byMidi = byMidi;
        this.fundamental = fundamental;
        this.slide = slide;
        this.thumb = thumb;
    }

    /**
     * The natural notes of one length of tube, slurred without a change of valve or slide.
     *
     * @param lowered semitones below the open tube, 0 to 6; of a double horn the side that sounds with the others
     * @param takenBy how the length is held
     * @param midis of the partials that are played, upward
     */
    public record Series(int lowered, Fingering takenBy, List<Integer> midis) {}

    /** @param lowered 0 to 6 */
    public Series series(int lowered) {
        if (lowered < 0 || lowered >= THREE_VALVES.size()) {
            throw new IllegalArgumentException("a tube is lowered by 0 to 6 semitones, was " + lowered);
        }
        List<Integer> midis = new ArrayList<>();
        for (int partial = 2; partial <= Partial.highest(); partial++) {
            if (Partial.isPlayed(partial)) {
                midis.add(fundamental + Partial.semitones(partial) - lowered);
            }
        }
        return new Series(
                lowered,
                slide ? new Slide(lowered + 1, 2) : new Valves(THREE_VALVES.get(lowered), thumb, 2),
                List.copyOf(midis));
    }

    /** @param fundamental written, of the open tube; fourthValve as an alternate for 1-3 and 1-2-3 */
    public static BrassChart valves(Pitch fundamental, boolean fourthValve) {
        List<Way> ways = usual();
        ways.addAll(OTHERS);
        if (fourthValve) {
            ways.addAll(FOURTH_VALVE);
        }
        return new BrassChart(
                chart(midi -> valves(fundamental.midi(), ways, false, midi)), fundamental.midi(), false, false);
    }

    /** A horn in F, with its second side by the thumb as alternates. @param thumbFundamental written too */
    public static BrassChart doubleHorn(Pitch fundamental, Pitch thumbFundamental) {
        List<Way> ways = usual();
        ways.addAll(OTHERS);
        return new BrassChart(
                chart(midi -> {
                    List<Fingering> all = new ArrayList<>(valves(fundamental.midi(), ways, false, midi));
                    all.addAll(valves(thumbFundamental.midi(), usual(), true, midi));
                    return all;
                }),
                thumbFundamental.midi(),
                false,
                true);
    }

    public static BrassChart slide(Pitch fundamental) {
        return new BrassChart(
                chart(midi -> {
                    List<Slide> slides = new ArrayList<>();
                    for (int partial = 2; partial <= Partial.highest(); partial++) {
                        int lowers = fundamental.midi() + Partial.semitones(partial) - midi;
                        if (Partial.isPlayed(partial) && lowers >= 0 && lowers < 7) {
                            slides.add(new Slide(lowers + 1, partial));
                        }
                    }
                    slides.sort(Comparator.comparingInt(Slide::position));
                    return List.copyOf(slides);
                }),
                fundamental.midi(),
                true,
                false);
    }

    private static List<Way> usual() {
        List<Way> ways = new ArrayList<>();
        for (int lowers = 0; lowers < THREE_VALVES.size(); lowers++) {
            ways.add(new Way(THREE_VALVES.get(lowers), lowers));
        }
        return ways;
    }

    private static List<Fingering> valves(int fundamental, List<Way> ways, boolean thumb, int midi) {
        record Found(Way way, int partial) {}
        List<Found> found = new ArrayList<>();
        for (int partial = 2; partial <= Partial.highest(); partial++) {
            for (Way way : ways) {
                if (Partial.isPlayed(partial) && fundamental + Partial.semitones(partial) - way.lowers() == midi) {
                    found.add(new Found(way, partial));
                }
            }
        }
        return found.stream()
                .sorted(Comparator.comparingInt((Found f) -> f.way().lowers()))
                .map(f -> (Fingering) new Valves(f.way().valves(), thumb, f.partial()))
                .toList();
    }

    private static List<List<Fingering>> chart(java.util.function.IntFunction<List<? extends Fingering>> of) {
        List<List<Fingering>> chart = new ArrayList<>();
        for (int midi = 0; midi < 128; midi++) {
            chart.add(List.copyOf(of.apply(midi)));
        }
        return List.copyOf(chart);
    }

    @Override
    public List<Fingering> of(Pitch written) {
        return written.midi() < byMidi.size() ? byMidi.get(written.midi()) : List.of();
    }
}
