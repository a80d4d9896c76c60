package vividroster.core.rehearsal;

import java.util.List;
import java.util.Optional;
import vividroster.core.hands.Breaths;
import vividroster.core.hands.Breaths.Breath;
import vividroster.core.hands.Demand;
import vividroster.core.hands.Demand.Peak;
import vividroster.core.hands.Fingers;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.HomeOctave;
import vividroster.core.instrument.Range;
import vividroster.core.music.Bpm;
import vividroster.core.music.Part;
import vividroster.core.music.Spelling;
import vividroster.core.music.Transposition;
import vividroster.core.reading.Fitted;
import vividroster.core.reading.Fitted.Compass;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Traps;
import vividroster.core.reading.Traps.Trap;
import vividroster.core.reading.Vocabulary;
import vividroster.core.reading.Vocabulary.First;
import vividroster.core.rehearsal.HotSpots.HotSpot;

/**
 * A line as one section reads it, and all that follows from it.
 *
 * @param view as it reads it
 * @param breaths it is taken in
 * @param news what this section meets here first; empty where its track is not known
 */
public record Reading(
        Fitted fitted,
        TimedView view,
        Fingers fingers,
        List<Trap> traps,
        List<Breath> breaths,
        List<First> news,
        List<Peak> demand,
        List<HotSpot> hotSpots) {

    /**
     * Who reads.
     *
     * @param home the octave it reads in
     * @param compass written range of what it is asked for, and of the instrument
     * @param figures of its stage
     * @param met on its track so far; empty where that is not known
     */
    public record Reader(
            Transposition transposition,
            HomeOctave home,
            Compass compass,
            Figures figures,
            FingeringChart chart,
            FourthFinger fourth,
            Spelling spelling,
            Optional<Vocabulary> met) {}

    /**
     * What a stage is used to.
     *
     * @param fastASecond notes a second from which on it is fast
     * @param breathSeconds of one breath
     */
    public record Figures(double fastASecond, double breathSeconds) {
        /** Of the first weeks. Source: the seconds of a breath from teaching; the notes a second ours, to be tuned. */
        public static final Figures BEGINNER = new Figures(2.5, 6);

        public static final Figures FIRST_YEAR = new Figures(3.5, 8);
        public static final Figures FULL = new Figures(5, 10);
    }

    /** @param sounding the line at concert pitch */
    public static Reading of(TimedView sounding, Reader reader) {
        Fitted fitted = Fitted.of(sounding, reader.transposition(), reader.home(), reader.compass(), reader.spelling());
        Range stage = reader.compass().stage();
        TimedView written = sounding.reading(fitted.part());
        Fingers fingers = Fingers.of(written, reader.chart(), reader.fourth(), reader.met());
        List<Trap> traps = Traps.of(written);
        List<Breath> breaths = Breaths.of(written, reader.figures().breathSeconds());
        Optional<List<First>> news = reader.met().map(met -> met.newIn(written));
        return new Reading(
                fitted,
                written,
                fingers,
                traps,
                breaths,
                news.orElse(List.of()),
                Demand.of(written, stage, fingers, traps, breaths, news),
                HotSpots.of(written, stage, reader.figures().fastASecond(), fingers, traps, news.orElse(List.of())));
    }

    /** At the beginning. */
    public Bpm tempo() {
        return view.tempo();
    }

    public Part written() {
        return fitted.part();
    }
}
