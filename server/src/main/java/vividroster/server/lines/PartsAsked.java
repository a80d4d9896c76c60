package vividroster.server.lines;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.hands.Demand;
import vividroster.core.hands.Demand.Peak;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.rehearsal.Reading;
import vividroster.server.lines.Readers.Stage;

/** What lines and pieces have for one instrument: their notes, and how fast they go. */
@Service
public class PartsAsked {

    private static final int REMEMBERED = 4_000;

    private record Page(LineNotations.Source source, InstrumentCode instrument, Stage stage, Conventions conventions) {}

    private final LineNotations notations;
    private final Contexts contexts;
    private final Readers readers;
    private final Cache<Page, Asked> read =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    PartsAsked(LineNotations notations, Contexts contexts, Readers readers) {
        this.notations = notations;
        this.contexts = contexts;
        this.readers = readers;
    }

    /** @param notes names as written by midi number; none for unpitched instruments. fastest in notes a second */
    public record Asked(Map<Integer, String> notes, double fastest) {}

    /** By line; lines of which only facts are kept are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Asked> of(UUID programId, UUID classId, Collection<UUID> lineIds, InstrumentCode instrument) {
        Map<UUID, Asked> asked = new HashMap<>();
        if (lineIds.isEmpty()) {
            return asked;
        }
        Instrument player = readers.withCode(instrument);
        Map<UUID, LineNotations.Source> sources = notations.sources(programId, lineIds);
        Map<UUID, LineReadings.Context> of = contexts.ofEach(programId, classId, sources.keySet());
        sources.forEach((lineId, source) -> notations.readable(source).ifPresent(score -> {
            LineReadings.Context context = of.get(lineId);
            asked.put(
                    lineId,
                    read.get(
                            new Page(source, instrument, context.stage(), context.conventions()),
                            page -> asked(score, player, context)));
        }));
        return asked;
    }

    private Asked asked(Score score, Instrument player, LineReadings.Context context) {
        Reading reading = readers.read(score, player, context.stage(), context.conventions(), Optional.empty());
        return new Asked(
                player.pitched()
                        ? reading.fitted().part().pitches().stream()
                                .collect(Collectors.toMap(Pitch::midi, Pitch::name, (one, other) -> one))
                        : Map.of(),
                reading.demand().stream()
                        .filter(peak -> peak.kind() == Demand.Kind.NOTES_PER_SECOND)
                        .mapToDouble(Peak::value)
                        .max()
                        .orElse(0));
    }
}
