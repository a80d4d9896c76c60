package vividroster.server.demo;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import vividroster.core.music.InstrumentCode;
import vividroster.core.placing.Trial;
import vividroster.core.placing.Trial.Aspect;
import vividroster.core.placing.Trial.Mouthpiece;
import vividroster.server.placing.Placings;
import vividroster.server.platform.Ids;

/** What led to the demo's changes of instrument. */
@Component
class DemoPlacing {

    private final Placings placings;

    DemoPlacing(Placings placings) {
        this.placings = placings;
    }

    /** @param names of the students, by id */
    void load(UUID programId, UUID accountId, Map<UUID, String> names) {
        Map<String, UUID> ids = new HashMap<>();
        names.forEach((id, name) -> ids.put(name, id));
        DemoFiles.rows("trials").forEach(row -> placings.load(programId, accountId, trial(row, ids)));
        DemoFiles.rows("placed")
                .forEach(row -> placings.load(
                        programId,
                        accountId,
                        ids.get(row.get("who")),
                        new InstrumentCode(row.get("instrument")),
                        row.get("why"),
                        LocalDate.parse(row.get("on"))));
    }

    private static Trial trial(CSVRecord row, Map<String, UUID> ids) {
        Map<Aspect, Integer> seen = new EnumMap<>(Aspect.class);
        for (Aspect aspect : Aspect.values()) {
            given(row, aspect.name().toLowerCase(Locale.ROOT))
                    .ifPresent(value -> seen.put(aspect, Integer.parseInt(value)));
        }
        return new Trial(
                Ids.next(),
                ids.get(row.get("who")),
                new InstrumentCode(row.get("instrument")),
                Mouthpiece.valueOf(row.get("mouthpiece")),
                seen,
                given(row, "arm").map(Double::valueOf),
                LocalDate.parse(row.get("on")),
                row.get("note"));
    }

    private static Optional<String> given(CSVRecord row, String column) {
        return Optional.of(row.get(column)).filter(value -> !value.isEmpty());
    }
}
