package vividroster.server.writtenchecks;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.written.WrittenCheck;
import vividroster.core.written.WrittenQuestion;
import vividroster.server.library.Library;
import vividroster.server.lines.LineNotations;
import vividroster.server.lines.WrittenSources;
import vividroster.server.lines.WrittenSources.ForWriting;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** Written checks: sheets the tool makes from lines, and papers of a director's own. */
@Service
public class WrittenChecks {

    private final WrittenCheckQueries queries;
    private final Library library;
    private final LineNotations notations;
    private final WrittenSources sources;

    WrittenChecks(WrittenCheckQueries queries, Library library, LineNotations notations, WrittenSources sources) {
        this.queries = queries;
        this.library = library;
        this.notations = notations;
        this.sources = sources;
    }

    /** @param version the draft is made from; sent back with an edit */
    record Kept(WrittenDraft draft, int version, boolean retired) {}

    @Transactional(readOnly = true)
    Kept kept(UUID programId, UUID milestoneId) {
        Milestone milestone = milestone(programId, milestoneId);
        return new Kept(
                draft(programId, milestoneId),
                milestone.version(),
                library.retired(programId).contains(milestoneId));
    }

    private WrittenDraft draft(UUID programId, UUID milestoneId) {
        return queries.findNewest(programId, milestoneId)
                .orElseThrow(() -> Problem.notFound("There is no such written check."));
    }

    private Milestone milestone(UUID programId, UUID milestoneId) {
        Milestone milestone = library.milestone(programId, milestoneId);
        if (milestone.kind() != MilestoneKind.WRITTEN_CHECK) {
            throw Problem.input("milestoneId", "\"" + milestone.title() + "\" is no written check.");
        }
        return milestone;
    }

    /** @return the new milestone's id */
    @Transactional
    UUID write(SignedIn person, WrittenDraft draft) {
        return put(person.programId(), person.accountId(), draft);
    }

    /** The same, for demo data. */
    @Transactional
    public UUID make(
            UUID programId,
            UUID accountId,
            String shortName,
            String title,
            List<UUID> lineIds,
            Set<WrittenQuestion.Ask> asks,
            int questions,
            int mark) {
        return put(
                programId, accountId, new WrittenDraft(shortName, title, lineIds, asks, questions, 1, questions, mark));
    }

    private UUID put(UUID programId, UUID accountId, WrittenDraft draft) {
        fits(programId, draft);
        Milestone milestone = milestone(Ids.next(), 1, draft, Map.of());
        library.addCheckAtEnd(programId, milestone);
        queries.insert(programId, milestone.id());
        queries.insertVersion(programId, milestone.id(), 1, draft, accountId);
        return milestone.id();
    }

    /** @throws Problem when somebody else edited it meanwhile, or the draft does not hold together */
    @Transactional
    void edit(SignedIn person, UUID milestoneId, int version, WrittenDraft draft) {
        UUID programId = person.programId();
        Milestone now = milestone(programId, milestoneId);
        if (now.version() != version) {
            throw Problem.conflict("\"" + now.title()
                    + "\" was edited by someone else in the meantime; load it again. Nothing was changed.");
        }
        fits(programId, draft);
        Map<Integer, PassRule> earlier = new HashMap<>(now.earlierRules());
        earlier.put(version, now.passRule());
        library.reviseCheck(programId, milestone(milestoneId, version + 1, draft, earlier));
        queries.insertVersion(programId, milestoneId, version + 1, draft, person.accountId());
    }

    @Transactional
    void retire(UUID programId, UUID milestoneId, boolean retired) {
        milestone(programId, milestoneId);
        library.retire(programId, milestoneId, retired);
    }

    private static Milestone milestone(UUID id, int version, WrittenDraft draft, Map<Integer, PassRule> earlier) {
        boolean points = draft.topPoints() != null;
        return new Milestone(
                id,
                MilestoneKind.WRITTEN_CHECK,
                draft.shortName().strip(),
                draft.title().strip(),
                // What was understood on one instrument is understood on another, but for its own notes and fingers.
                draft.lineIds().isEmpty(),
                Set.of(),
                version,
                points ? new PassRule.ScoreAtLeast(draft.mark()) : new PassRule.OneGoodTry(),
                points ? List.of(new Criterion(1, "Points", draft.topPoints(), OptionalInt.empty())) : List.of(),
                earlier);
    }

    private void fits(UUID programId, WrittenDraft draft) {
        if (draft.topPoints() != null && draft.mark() == null) {
            throw Problem.input("mark", "Say how many points pass.");
        }
        if (draft.topPoints() != null && draft.mark() > draft.topPoints()) {
            throw Problem.input(
                    "mark", "Nobody can reach " + draft.mark() + " points: there are " + draft.topPoints() + ".");
        }
        if (draft.lineIds().isEmpty()) {
            return;
        }
        if (draft.asks().isEmpty()) {
            throw Problem.input("asks", "Choose what is asked of these lines.");
        }
        if (draft.topPoints() != null && draft.topPoints() != draft.questions()) {
            throw Problem.input("topPoints", "Each question is a point: there are " + draft.questions() + ".");
        }
        Set<UUID> withNotes = notations.withNotes(programId);
        for (int i = 0; i < draft.lineIds().size(); i++) {
            UUID lineId = draft.lineIds().get(i);
            library.line(programId, lineId);
            if (!withNotes.contains(lineId)) {
                throw Problem.input(
                        "lineIds[" + i + "]",
                        "Of \"" + library.milestone(programId, lineId).title()
                                + "\" only facts are kept, no notes to ask about.");
            }
        }
    }

    record Sheet(Milestone milestone, WrittenDraft draft, ForWriting lines, List<WrittenQuestion> questions) {}

    /** @param seed null for the check's own @throws Problem where it is a paper of one's own */
    @Transactional(readOnly = true)
    Sheet sheet(UUID programId, UUID milestoneId, InstrumentCode instrument, Integer seed) {
        Milestone milestone = milestone(programId, milestoneId);
        WrittenDraft draft = draft(programId, milestoneId);
        if (draft.lineIds().isEmpty()) {
            throw Problem.input("milestoneId", "This check is a paper of your own; there is no sheet to print.");
        }
        ForWriting lines = sources.of(programId, draft.lineIds(), instrument);
        return new Sheet(
                milestone,
                draft,
                lines,
                WrittenCheck.of(lines.sources(), draft.asks(), draft.questions(), seed == null ? draft.seed() : seed));
    }
}
