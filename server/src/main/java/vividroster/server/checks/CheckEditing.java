package vividroster.server.checks;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.Prerequisites;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.server.library.Library;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** Writing, editing, copying and retiring checks. An edit makes a version; what was passed stays as it was heard. */
@Service
class CheckEditing {

    private final CheckQueries queries;
    private final Checks checks;
    private final Library library;

    CheckEditing(CheckQueries queries, Checks checks, Library library) {
        this.queries = queries;
        this.checks = checks;
        this.library = library;
    }

    /** @param version the draft is made from; sent back with the edit */
    record Drafted(CheckDraft draft, int version, boolean retired) {}

    @Transactional(readOnly = true)
    Drafted draft(UUID programId, UUID milestoneId) {
        Checks.Kept kept = kept(programId, milestoneId);
        return new Drafted(
                CheckDraft.of(kept.check(), kept.after()),
                kept.milestone().version(),
                library.retired(programId).contains(milestoneId));
    }

    /** @return the new milestone's id */
    @Transactional
    UUID write(SignedIn person, CheckDraft draft) {
        return add(person, draft, draft.toCheck("own", Optional.empty()));
    }

    private UUID add(SignedIn person, CheckDraft draft, TechniqueCheck check) {
        UUID programId = person.programId();
        Milestone milestone = milestone(Ids.next(), 1, check, Map.of());
        fits(programId, milestone, check, draft.after());
        library.addCheckAtEnd(programId, milestone);
        queries.insertOwn(programId, milestone.id());
        queries.insertVersion(
                programId,
                milestone.id(),
                1,
                CheckContent.of(check, Optional.ofNullable(draft.after())),
                person.accountId());
        return milestone.id();
    }

    /**
     * Keeps an edit as the next version.
     *
     * @param version the draft was made from
     * @throws Problem when somebody else edited it meanwhile, or the draft does not hold together
     */
    @Transactional
    void edit(SignedIn person, UUID milestoneId, int version, CheckDraft draft) {
        UUID programId = person.programId();
        Checks.Kept kept = kept(programId, milestoneId);
        if (kept.milestone().version() != version) {
            throw Problem.conflict("\"" + kept.milestone().title()
                    + "\" was edited by someone else in the meantime. Your words are still here: load the check in"
                    + " another window and compare.");
        }
        TechniqueCheck check = draft.toCheck(kept.check().key(), Optional.of(kept.check()));
        Map<Integer, vividroster.core.curriculum.PassRule> earlier =
                new HashMap<>(kept.milestone().earlierRules());
        earlier.put(version, kept.milestone().passRule());
        Milestone next = milestone(milestoneId, version + 1, check, earlier);
        fits(programId, next, check, draft.after());
        library.reviseCheck(programId, next);
        queries.insertVersion(
                programId,
                milestoneId,
                next.version(),
                CheckContent.of(check, Optional.ofNullable(draft.after())),
                person.accountId());
    }

    /** Another check that says the same, to be made different. */
    @Transactional
    UUID copy(SignedIn person, UUID milestoneId) {
        Checks.Kept kept = kept(person.programId(), milestoneId);
        TechniqueCheck of = kept.check();
        CheckDraft draft = CheckDraft.of(of, kept.after());
        String title = "Copy of " + of.title();
        CheckDraft copied = new CheckDraft(
                draft.shortName(),
                title.substring(0, Math.min(90, title.length())),
                draft.topic(),
                draft.appliesTo(),
                draft.instrumentFree(),
                draft.steps(),
                draft.criteria(),
                draft.selfTest(),
                draft.syllables(),
                draft.faults(),
                draft.cautions(),
                draft.variants(),
                draft.tones(),
                draft.pass(),
                draft.why(),
                draft.seenFrom(),
                draft.notFor(),
                draft.after());
        return add(person, copied, copied.toCheck("own", Optional.of(of)));
    }

    @Transactional(readOnly = true)
    List<Milestone> retired(UUID programId) {
        return library.milestones(programId, library.retired(programId)).stream()
                .filter(m -> m.kind() == MilestoneKind.TECHNIQUE_CHECK)
                .toList();
    }

    /** @throws Problem when it is no technique check */
    @Transactional
    void retire(UUID programId, UUID milestoneId, boolean retired) {
        if (library.milestone(programId, milestoneId).kind() != MilestoneKind.TECHNIQUE_CHECK) {
            throw Problem.input("milestoneId", "Only technique checks are taken off the shelf here.");
        }
        library.retire(programId, milestoneId, retired);
    }

    private Checks.Kept kept(UUID programId, UUID milestoneId) {
        return checks.kept(programId, milestoneId)
                .orElseThrow(() -> Problem.notFound("There is no such check to edit."));
    }

    private static Milestone milestone(
            UUID id,
            int version,
            TechniqueCheck check,
            Map<Integer, vividroster.core.curriculum.PassRule> earlierRules) {
        return new Milestone(
                id,
                MilestoneKind.TECHNIQUE_CHECK,
                check.shortName(),
                check.title(),
                check.instrumentFree(),
                check.instruments(),
                version,
                check.passRule(),
                check.asCriteria(),
                earlierRules);
    }

    /** An order of checks that does not go round. */
    private void fits(UUID programId, Milestone milestone, TechniqueCheck check, List<UUID> after) {
        Map<UUID, String> titles = new HashMap<>();
        List<Prerequisites.Place<UUID>> places = new ArrayList<>();
        for (Checks.Kept other : checks.allKept(programId)) {
            titles.put(other.milestone().id(), other.milestone().title());
            if (!other.milestone().id().equals(milestone.id())) {
                places.add(other.place());
            }
        }
        titles.put(milestone.id(), milestone.title());
        if (after != null && !titles.keySet().containsAll(after)) {
            throw Problem.input("after", "A check that should come before this one is not in the library any more.");
        }
        places.add(new Prerequisites.Place<>(
                milestone.id(),
                check.topic(),
                check.instruments(),
                Optional.ofNullable(after).map(java.util.LinkedHashSet::new)));
        try {
            Prerequisites.ofChecks(places);
        } catch (Prerequisites.CycleException e) {
            throw Problem.input(
                    "after",
                    "These would wait for one another: "
                            + String.join(
                                    " needs ",
                                    e.ring().stream()
                                            .map(id -> "\"" + titles.get(id) + "\"")
                                            .toList())
                            + ". Take one of them out of what comes before.");
        }
    }
}
