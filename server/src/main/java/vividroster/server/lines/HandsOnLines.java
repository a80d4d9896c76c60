package vividroster.server.lines;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.LineReadings.Context;

/** What a hand does on an instrument: the notes of lines as its section reads them, and how each is taken. */
@Service
public class HandsOnLines {

    private final LineNotations notations;
    private final Contexts contexts;
    private final Readers readers;
    private final Conventions.Chosen chosen;

    HandsOnLines(LineNotations notations, Contexts contexts, Readers readers, Conventions.Chosen chosen) {
        this.notations = notations;
        this.contexts = contexts;
        this.readers = readers;
        this.chosen = chosen;
    }

    /** Written pitches by line; lines of which only facts are kept are left out, and unpitched instruments have none. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Pitch>> notes(
            UUID programId, UUID classId, Collection<UUID> lineIds, InstrumentCode instrument) {
        Instrument player = readers.withCode(instrument);
        if (lineIds.isEmpty() || !player.pitched()) {
            return Map.of();
        }
        Map<UUID, Source> sources = notations.sources(programId, lineIds);
        Map<UUID, Context> of = contexts.ofEach(programId, classId, sources.keySet());
        Map<UUID, List<Pitch>> notes = new HashMap<>();
        sources.forEach((lineId, source) -> notations
                .readable(source)
                .ifPresent(score -> notes.put(
                        lineId,
                        List.copyOf(readers.fitted(
                                        score,
                                        player,
                                        of.get(lineId).stage(),
                                        of.get(lineId).conventions(),
                                        of.get(lineId).track().of(instrument))
                                .part()
                                .pitches()))));
        return notes;
    }

    /** As the programme's instruments are built. */
    @Transactional(readOnly = true)
    public FingeringChart chart(UUID programId, InstrumentCode instrument) {
        return readers.chart(readers.withCode(instrument), chosen.of(programId));
    }

    /** A fingering as it is said on every page. */
    public String words(Fingering fingering) {
        return DemandWording.fingering(fingering);
    }
}
