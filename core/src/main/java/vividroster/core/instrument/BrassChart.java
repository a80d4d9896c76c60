package vividroster.core.instrument;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
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

    /** Written on a horn, from here up the thumb's side is the usual one. Source: the settings for a horn to begin with. */
    private static final int THUMB_FROM = Pitch.named("A4").midi();
    /** Partials a horn in F avoids where another way is short enough, and one in B-flat. Source: the same. */
    private static final Set<Integer> AVOIDED_IN_F = Set.of(9);

    private static final Set<Integer> AVOIDED_IN_B_FLAT = Set.of(5, 10);
    /** Semitones of tubing an avoided partial is worth: four are rather taken, five are not. */
    private static final double AVOIDING = 3.5;

    private static final int LONG_TUBING = 5;
    private static final double LONG_TUBING_COSTS = 2;
    /** Raised, the seventh partial is in tune in these positions alone. */
    private static final Set<Integer> RAISED = Set.of(2, 3);
    /** Semitones the attachment lowers a slide, and the positions it has. */
    private static final int ATTACHMENT = 5;

    private static final int ATTACHMENT_POSITIONS = 6;
    /** Positions that the attachment saves. */
    private static final int FAR_OUT = 6;

    private final List<List<Fingering>> byMidi;
    private final int fundamental;
    /** Of the other side, where there is one; else the same. */
    private final int beside;

    private final boolean slide;
    private final boolean thumb;

    private BrassChart(List<List<Fingering>> byMidi, int fundamental, boolean slide, boolean thumb) {
        this(byMidi, fundamental, fundamental, slide, thumb);
    }

    private BrassChart(List<List<Fingering>> byMidi, int fundamental, int beside, boolean slide, boolean thumb) {
        this.beside = beside;
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
        return series(lowered, fundamental, thumb);
    }

    /**
     * The same on the side of a double horn where a note usually is; of everything else its one side.
     *
     * @param midi written
     */
    public Series seriesOf(int midi, int lowered) {
        boolean other = thumb && midi < THUMB_FROM;
        return other ? series(lowered, beside, false) : series(lowered);
    }

    private Series series(int lowered, int lowest, boolean withThumb) {
        if (lowered < 0 || lowered >= THREE_VALVES.size()) {
            throw new IllegalArgumentException("a tube is lowered by 0 to 6 semitones, was " + lowered);
        }
        List<Integer> midis = new ArrayList<>();
        for (int partial = 2; partial <= Partial.highest(); partial++) {
            if (Partial.isPlayed(partial)) {
                midis.add(lowest + Partial.semitones(partial) - lowered);
            }
        }
        return new Series(
                lowered,
                slide ? new Slide(lowered + 1, 2) : new Valves(THREE_VALVES.get(lowered), withThumb, 2),
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
                chart(midi -> valves(fundamental.midi(), ways, false, midi, Set.of())),
                fundamental.midi(),
                false,
                false);
    }

    /**
     * A horn in F whose thumb turns to B-flat: below written A4 the thumb's side is the alternate, from there on the
     * other is.
     *
     * @param thumbFundamental written too
     */
    public static BrassChart doubleHorn(Pitch fundamental, Pitch thumbFundamental) {
        List<Way> ways = usual();
        ways.addAll(OTHERS);
        return new BrassChart(
                chart(midi -> {
                    List<Fingering> open = valves(fundamental.midi(), ways, false, midi, AVOIDED_IN_F);
                    List<Fingering> thumb = valves(thumbFundamental.midi(), usual(), true, midi, AVOIDED_IN_B_FLAT);
                    List<Fingering> all = new ArrayList<>(midi < THUMB_FROM ? open : thumb);
                    all.addAll(midi < THUMB_FROM ? thumb : open);
                    return all;
                }),
                thumbFundamental.midi(),
                fundamental.midi(),
                false,
                true);
    }

    /** A horn with one side. @param flat whether that is B-flat, else F; fundamental written */
    public static BrassChart singleHorn(Pitch fundamental, boolean flat) {
        List<Way> ways = usual();
        ways.addAll(OTHERS);
        Set<Integer> avoided = flat ? AVOIDED_IN_B_FLAT : AVOIDED_IN_F;
        return new BrassChart(
                chart(midi -> valves(fundamental.midi(), ways, false, midi, avoided)),
                fundamental.midi(),
                false,
                false);
    }

    /** The seventh partial is an alternate where it can be raised into tune. */
    public static BrassChart slide(Pitch fundamental) {
        return new BrassChart(chart(midi -> slides(fundamental.midi(), midi)), fundamental.midi(), true, false);
    }

    /** The same with an attachment that lowers it by a fourth; it spares the two farthest positions. */
    public static BrassChart slideWithAttachment(Pitch fundamental) {
        int attached = fundamental.midi() - ATTACHMENT;
        return new BrassChart(
                chart(midi -> {
                    List<Slide> ways = new ArrayList<>(slides(fundamental.midi(), midi));
                    boolean far = ways.isEmpty() || ways.getFirst().position() >= FAR_OUT;
                    for (int partial = 3; partial >= 2; partial--) {
                        int lowers = attached + Partial.semitones(partial) - midi;
                        if (lowers >= 0 && lowers < ATTACHMENT_POSITIONS) {
                            ways.add(far ? 0 : ways.size(), new Slide(lowers + 1, partial, true));
                        }
                    }
                    return List.copyOf(ways);
                }),
                fundamental.midi(),
                true,
                false);
    }

    private static List<Slide> slides(int fundamental, int midi) {
        List<Slide> slides = new ArrayList<>();
        for (int partial = 2; partial <= Partial.highest(); partial++) {
            int position = fundamental + Partial.semitones(partial) - midi + 1;
            boolean raised = partial == Partial.SEVENTH && RAISED.contains(position);
            if (position >= 1 && position <= 7 && (Partial.isPlayed(partial) || raised)) {
                slides.add(new Slide(position, partial));
            }
        }
        slides.sort(Comparator.comparing(Slide::isRaised).thenComparing(Slide::position));
        return List.copyOf(slides);
    }

    private static List<Way> usual() {
        List<Way> ways = new ArrayList<>();
        for (int lowers = 0; lowers < THREE_VALVES.size(); lowers++) {
            ways.add(new Way(THREE_VALVES.get(lowers), lowers));
        }
        return ways;
    }

    private static List<Fingering> valves(
            int fundamental, List<Way> ways, boolean thumb, int midi, Set<Integer> avoided) {
        record Found(Way way, int partial, double trouble) {}
        List<Found> found = new ArrayList<>();
        for (int partial = 2; partial <= Partial.highest(); partial++) {
            for (Way way : ways) {
                if (Partial.isPlayed(partial) && fundamental + Partial.semitones(partial) - way.lowers() == midi) {
                    boolean far = !avoided.isEmpty() && way.lowers() >= LONG_TUBING;
                    found.add(new Found(
                            way,
                            partial,
                            way.lowers() + (avoided.contains(partial) ? AVOIDING : 0) + (far ? LONG_TUBING_COSTS : 0)));
                }
            }
        }
        return found.stream()
                .sorted(Comparator.comparingDouble(Found::trouble))
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
