package vividroster.server.lines;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Numbering;
import vividroster.core.rehearsal.Reading;
import vividroster.core.written.WrittenCheck;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.LineReadings.Context;

/** Lines as a section reads them, for questions on paper. */
@Service
public class WrittenSources {

    private final LineNotations notations;
    private final Readers readers;
    private final Contexts contexts;

    WrittenSources(LineNotations notations, Readers readers, Contexts contexts) {
        this.notations = notations;
        this.readers = readers;
        this.contexts = contexts;
    }

    /** @param sources in the order of the lines; those of which only facts are kept are left out */
    public record ForWriting(List<WrittenCheck.Source> sources, Numbering numbering) {}

    @Transactional(readOnly = true)
    public ForWriting of(UUID programId, Collection<UUID> lineIds, InstrumentCode code) {
        Instrument instrument = readers.withCode(code);
        Map<UUID, Source> kept = notations.sources(programId, lineIds);
        List<WrittenCheck.Source> sources = new ArrayList<>();
        Numbering numbering = Numbering.USUAL;
        for (UUID lineId : lineIds) {
            Context context = contexts.of(programId, null, lineId, null);
            numbering = context.conventions().numbering();
            Optional.ofNullable(kept.get(lineId)).flatMap(notations::readable).ifPresent(score -> {
                Reading reading = readers.read(
                        score,
                        instrument,
                        context.stage(),
                        context.conventions(),
                        context.track().of(code));
                sources.add(new WrittenCheck.Source(
                        lineId,
                        reading.view(),
                        instrument.pitched()
                                ? Optional.of(readers.chart(instrument, context.conventions()))
                                : Optional.empty(),
                        instrument.pitched()));
            });
        }
        return new ForWriting(sources, numbering);
    }

    /** A pitch as it is said without its octave, for example "F-sharp" or "F". */
    public static String said(Pitch pitch) {
        return TrapWording.plain(pitch);
    }
}
