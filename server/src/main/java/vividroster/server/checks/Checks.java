package vividroster.server.checks;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.Prerequisites;
import vividroster.core.curriculum.SchoolQuestion;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.formats.checks.CheckLibraryFile;
import vividroster.server.checks.CheckQueries.CheckRow;
import vividroster.server.library.Library;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;

/** The starter checks that ship, the checks a programme has taken from them, and the schools it follows. */
@Service
public class Checks {

    private final CheckQueries queries;
    private final Library library;
    private final Map<String, TechniqueCheck> starters;
    /** Those that reword a check; a question nothing asks yet is not put to anybody. */
    private final Map<String, SchoolQuestion> questions;

    Checks(CheckQueries queries, Library library, InstrumentCatalog catalog) {
        this.queries = queries;
        this.library = library;
        this.starters = CheckLibraryFile.shipped(catalog).stream()
                .collect(Collectors.toMap(TechniqueCheck::key, Function.identity(), (a, b) -> a, LinkedHashMap::new));
        Set<String> asked = starters.values().stream()
                .flatMap(check -> check.wordings().keySet().stream())
                .collect(Collectors.toSet());
        this.questions = CheckLibraryFile.questions().stream()
                .filter(question -> asked.contains(question.key()))
                .collect(Collectors.toMap(SchoolQuestion::key, Function.identity(), (a, b) -> a, LinkedHashMap::new));
    }

    List<SchoolQuestion> questions() {
        return List.copyOf(questions.values());
    }

    /** The choice in force for every question: the programme's, else the default. */
    @Transactional(readOnly = true)
    Map<String, String> choices(UUID programId) {
        Map<String, String> choices = new HashMap<>();
        questions.values().forEach(q -> choices.put(q.key(), q.defaultChoice()));
        choices.putAll(queries.findChoices(programId));
        return choices;
    }

    @Transactional
    void choose(UUID programId, UUID accountId, String question, String choice) {
        SchoolQuestion asked = Optional.ofNullable(questions.get(question))
                .orElseThrow(() -> Problem.notFound("There is no such question."));
        try {
            asked.check(choice);
        } catch (IllegalArgumentException e) {
            throw Problem.input("choice", e.getMessage() + ".");
        }
        queries.putChoice(programId, question, choice, accountId);
    }

    /** @param takenAs the milestone it became in this programme */
    record Starter(TechniqueCheck check, Optional<UUID> takenAs) {}

    @Transactional(readOnly = true)
    List<Starter> starters(UUID programId) {
        Map<String, UUID> taken = new HashMap<>();
        queries.findAllCurrent(programId)
                .forEach(row -> row.starterKey().ifPresent(key -> taken.put(key, row.milestoneId())));
        return starters.values().stream()
                .map(check -> new Starter(check, Optional.ofNullable(taken.get(check.key()))))
                .toList();
    }

    /**
     * Takes a starter check onto the programme's shelf, where it can be ordered. Taking it again answers the same.
     *
     * @return the milestone's id
     */
    @Transactional
    public UUID take(UUID programId, UUID accountId, String key) {
        TechniqueCheck check = starter(key);
        Optional<UUID> before = starters(programId).stream()
                .filter(s -> s.check().key().equals(key))
                .flatMap(s -> s.takenAs().stream())
                .findFirst();
        if (before.isPresent()) {
            return before.get();
        }
        Milestone milestone = asMilestone(check, check.shortName());
        library.addCheckAtEnd(programId, milestone);
        describe(programId, accountId, milestone, key);
        return milestone.id();
    }

    /** Keeps what a starter check says beside a milestone that was made from it. */
    @Transactional
    public void describe(UUID programId, UUID accountId, Milestone milestone, String starterKey) {
        if (!queries.insert(programId, milestone.id(), starterKey)) {
            throw Problem.conflict("This check was taken just now; load the library again.");
        }
        queries.insertVersion(
                programId, milestone.id(), milestone.version(), CheckContent.of(starter(starterKey)), accountId);
    }

    /** The milestone a starter check becomes. */
    public Milestone asMilestone(String starterKey, String shortName) {
        return asMilestone(starter(starterKey), shortName);
    }

    private static Milestone asMilestone(TechniqueCheck check, String shortName) {
        return new Milestone(
                Ids.next(),
                MilestoneKind.TECHNIQUE_CHECK,
                shortName,
                check.title(),
                check.instrumentFree(),
                check.instruments(),
                1,
                check.passRule(),
                check.asCriteria());
    }

    private TechniqueCheck starter(String key) {
        return Optional.ofNullable(starters.get(key))
                .orElseThrow(() -> Problem.notFound("There is no such starter check."));
    }

    /** A check of the programme with the checks that come before it, which the programme has too. */
    record Described(UUID milestoneId, TechniqueCheck check, List<Milestone> before) {}

    @Transactional(readOnly = true)
    Optional<Described> described(UUID programId, UUID milestoneId) {
        return queries.findCurrent(programId, milestoneId).map(row -> {
            Milestone milestone = library.milestone(programId, milestoneId);
            return new Described(milestoneId, check(row, milestone), before(programId, milestone, row));
        });
    }

    private List<Milestone> before(UUID programId, Milestone milestone, CheckRow row) {
        Map<UUID, CheckRow> rows = queries.findAllCurrent(programId).stream()
                .collect(Collectors.toMap(CheckRow::milestoneId, Function.identity(), (a, b) -> a, LinkedHashMap::new));
        Map<String, Milestone> byKey = new LinkedHashMap<>();
        List<TechniqueCheck> alike = library.milestones(programId, rows.keySet()).stream()
                .filter(m -> m.appliesTo().isEmpty()
                        || milestone.appliesTo().isEmpty()
                        || m.appliesTo().stream().anyMatch(milestone.appliesTo()::contains))
                .map(m -> {
                    TechniqueCheck check = check(rows.get(m.id()), m);
                    byKey.put(check.key(), m);
                    return check;
                })
                .toList();
        return Prerequisites.inferred(alike)
                .directlyBefore(check(row, milestone).key())
                .stream()
                .map(byKey::get)
                .sorted(java.util.Comparator.comparing(Milestone::title))
                .toList();
    }

    /** The check a row and its milestone make; one that no starter stands behind is called "own". */
    private static TechniqueCheck check(CheckRow row, Milestone milestone) {
        return row.content().with(milestone, row.starterKey().orElse("own"));
    }
}
