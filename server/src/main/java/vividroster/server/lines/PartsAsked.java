package vividroster.server.lines;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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

    /** @param notes written names with octave; none for unpitched instruments. fastest in notes a second */
    public record Asked(Set<String> notes, double fastest) {}

    /** By line; lines of which only facts are kept are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Asked> of(UUID programId, UUID classId, Collection<UUID> lineIds, InstrumentCode instrument) {
        return of(programId, classId, lineIds, List.of(instrument)).get(instrument);
    }

    /** The same for each of some instruments. */
    @Transactional(readOnly = true)
    public Map<InstrumentCode, Map<UUID, Asked>> of(
            UUID programId, UUID classId, Collection<UUID> lineIds, Collection<InstrumentCode> instruments) {
        Map<UUID, LineNotations.Source> sources = lineIds.isEmpty() ? Map.of() : notations.sources(programId, lineIds);
        Map<UUID, LineReadings.Context> contexts =
                sources.isEmpty() ? Map.of() : this.contexts.ofEach(programId, classId, sources.keySet());
        Map<InstrumentCode, Map<UUID, Asked>> asked = new HashMap<>();
        instruments.forEach(instrument -> asked.put(instrument, new HashMap<>()));
        sources.forEach((lineId, source) -> notations.readable(source).ifPresent(score -> {
            LineReadings.Context context = contexts.get(lineId);
            asked.forEach((instrument, lines) -> lines.put(
                    lineId,
                    read.get(
                            new Page(source, instrument, context.stage(), context.conventions()),
                            page -> asked(score, readers.withCode(instrument), context))));
        }));
        return asked;
    }

    private Asked asked(Score score, Instrument player, LineReadings.Context context) {
        Reading reading = readers.read(score, player, context.stage(), context.conventions(), Optional.empty());
        return new Asked(
                player.pitched()
                        ? reading.fitted().part().pitches().stream()
                                .map(Pitch::name)
                                .collect(Collectors.toSet())
                        : Set.of(),
                reading.demand().stream()
                        .filter(peak -> peak.kind() == Demand.Kind.NOTES_PER_SECOND)
                        .mapToDouble(Peak::value)
                        .max()
                        .orElse(0));
    }
}
