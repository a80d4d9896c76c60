package vividroster.server.lines;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.ReferenceTone;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.server.lines.Readers.Stage;

/** The tone every instrument checks its pitch with. */
@Service
public class ReferenceTones {

    private final Readers readers;
    private final Conventions.Chosen chosen;

    ReferenceTones(Readers readers, Conventions.Chosen chosen) {
        this.readers = readers;
        this.chosen = chosen;
    }

    /**
     * @param written its name as the instrument reads it, for example "C 5"
     * @param midi number of the sounding pitch
     */
    public record ReferenceToneView(InstrumentCode instrument, String instrumentName, String written, int midi) {}

    /** Of every instrument that has it within its first year, in score order. */
    @Transactional(readOnly = true)
    public List<ReferenceToneView> of(UUID programId, Pitch sounding) {
        Conventions conventions = chosen.of(programId);
        return readers.pitched().stream()
                .flatMap(instrument -> ReferenceTone.of(
                        sounding,
                        instrument,
                        readers.range(instrument, Stage.FIRST_YEAR),
                        readers.chart(instrument, conventions))
                        .map(written -> new ReferenceToneView(
                                instrument.code(),
                                instrument.name(),
                                written.name(),
                                written.soundingOn(instrument.transposition()).midi()))
                        .stream())
                .toList();
    }
}
