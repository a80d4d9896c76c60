package vividroster.core.reading;

import java.util.List;
import java.util.Optional;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Range;
import vividroster.core.music.Bpm;
import vividroster.core.music.Part;
import vividroster.core.music.Spelling;
import vividroster.core.music.Transposition;
import vividroster.core.reading.Demand.Peak;
import vividroster.core.reading.Fingers.FourthFinger;
import vividroster.core.reading.HotSpots.HotSpot;
import vividroster.core.reading.Traps.Trap;
import vividroster.core.reading.Vocabulary.First;

/**
 * A line as one section reads it, and all that follows from it.
 *
 * @param news what this section meets here first; empty where its track is not known
 */
public record Reading(
        Fitted fitted,
        Bpm tempo,
        Fingers fingers,
        List<Trap> traps,
        List<First> news,
        List<Peak> demand,
        List<HotSpot> hotSpots) {

    /**
     * Who reads.
     *
     * @param stage written range of what it is asked for
     * @param met on its track so far; empty where that is not known
     */
    public record Reader(
            Transposition transposition,
            Range stage,
            FingeringChart chart,
            FourthFinger fourth,
            Spelling spelling,
            Optional<Vocabulary> met) {}

    /** @param tempoWithoutMark where the line prints none */
    public static Reading of(Part sounding, Reader reader, Bpm tempoWithoutMark) {
        Fitted fitted = Fitted.of(sounding, reader.transposition(), reader.stage(), reader.spelling());
        Part written = fitted.part();
        Bpm tempo = written.tempo().orElse(tempoWithoutMark);
        Fingers fingers = Fingers.of(written, reader.chart(), tempo, reader.fourth());
        List<Trap> traps = Traps.of(written);
        Optional<List<First>> news = reader.met().map(met -> met.newIn(written));
        return new Reading(
                fitted,
                tempo,
                fingers,
                traps,
                news.orElse(List.of()),
                Demand.of(written, reader.stage(), tempo, fingers, traps, news),
                HotSpots.of(written, reader.stage(), tempo, fingers, traps, news.orElse(List.of())));
    }

    public Part written() {
        return fitted.part();
    }
}
