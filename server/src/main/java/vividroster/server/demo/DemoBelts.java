package vividroster.server.demo;

import java.time.LocalDate;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.LadderDraft;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.server.belts.HandOvers;
import vividroster.server.library.KeptLadder;
import vividroster.server.library.Ladders;

/** Whom the demo's ladders are for since when, and the belts that were put round somebody. */
@Component
class DemoBelts {

    /** Belts earned in the last two weeks wait for their ceremony. */
    private static final int WAITING_DAYS = 14;

    private final Ladders ladders;
    private final HandOvers handOvers;
    private final InstrumentCatalog catalog;

    DemoBelts(Ladders ladders, HandOvers handOvers, InstrumentCatalog catalog) {
        this.ladders = ladders;
        this.handOvers = handOvers;
        this.catalog = catalog;
    }

    void load(UUID programId, UUID accountId, LocalDate today) {
        for (CSVRecord row : DemoFiles.rows("ladders")) {
            KeptLadder kept = ladders.all(programId).stream()
                    .filter(one -> one.ladder().name().equals(row.get("ladder")))
                    .findFirst()
                    .orElseThrow();
            LadderDraft draft = ladders.draft(programId, kept.id());
            Set<Family> families = DemoFiles.split(row.get("families")).stream()
                    .map(Family::valueOf)
                    .collect(Collectors.toSet());
            Set<InstrumentCode> whom = catalog.inScoreOrder().stream()
                    .filter(instrument -> families.contains(instrument.family()))
                    .map(Instrument::code)
                    .collect(Collectors.toSet());
            ladders.revise(
                    programId,
                    kept.id(),
                    kept.version(),
                    new LadderDraft(draft.name(), whom, draft.belts()),
                    LocalDate.parse(row.get("since")));
        }
        handOvers.loadEarnedBy(programId, accountId, today.minusDays(WAITING_DAYS));
    }
}
