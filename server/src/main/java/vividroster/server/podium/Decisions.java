package vividroster.server.podium;

import java.time.LocalDate;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.SectionJudgement.Verdict;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** Whether sections go on: what was advised is kept beside what the director decided. */
@Service
public class Decisions {

    private static final Set<Verdict> TO_DECIDE = EnumSet.of(Verdict.GO_ON, Verdict.GO_ON_WITH_CATCH_UP, Verdict.STAY);

    private final DecisionQueries queries;
    private final Rosters rosters;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;
    private final ClientWrites writes;

    Decisions(
            DecisionQueries queries,
            Rosters rosters,
            Library library,
            Office office,
            InstrumentCatalog catalog,
            ClientWrites writes) {
        this.queries = queries;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
        this.writes = writes;
    }

    /** What is decided on. @param instrument empty for the whole class */
    public record On(UUID classId, Optional<InstrumentCode> instrument, UUID milestoneId) {}

    /** @param verdict to go on, with a catch-up group, or to stay */
    public record Decided(Verdict verdict, LocalDate on) {}

    @Transactional(readOnly = true)
    Map<On, Decided> last(UUID programId, Collection<UUID> classIds, Collection<UUID> milestoneIds) {
        return classIds.isEmpty() || milestoneIds.isEmpty()
                ? Map.of()
                : queries.findLast(programId, classIds, milestoneIds);
    }

    /**
     * Keeps a decision. Sent again under its id it changes nothing.
     *
     * @param advised what the page said when it was decided
     * @throws Problem when there is no such class or milestone, or the word is none that can be decided
     */
    @Transactional
    void decide(SignedIn person, UUID id, On on, Verdict advised, Verdict decided) {
        UUID programId = person.programId();
        if (!writes.isFirst(
                programId, "decision", id, on.classId(), on.instrument(), on.milestoneId(), advised, decided)) {
            return;
        }
        if (!TO_DECIDE.contains(decided)) {
            throw Problem.input("decided", "Decide to go on, to go on with a catch-up group, or to stay.");
        }
        if (rosters.classes(programId).stream().noneMatch(c -> c.id().equals(on.classId()))) {
            throw Problem.notFound("There is no such class.");
        }
        if (on.instrument().isPresent() && !catalog.has(on.instrument().get())) {
            throw Problem.input("instrument", "There is no such instrument.");
        }
        library.milestone(programId, on.milestoneId());
        queries.insert(programId, id, on, new Decided(decided, office.today(programId)), advised, person.accountId());
    }

    /** Puts down a decision as it is; for data that was checked where it was made. */
    @Transactional
    public void load(UUID programId, UUID accountId, On on, Verdict advised, Decided decided) {
        queries.insert(programId, Ids.next(), on, decided, advised, accountId);
    }
}
