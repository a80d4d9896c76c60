package vividroster.server.rubrics;

import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Rubric;
import vividroster.formats.checks.RubricFile;
import vividroster.server.platform.Clashes;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.rubrics.RubricQueries.RubricRow;

/** Rubrics to begin a test with: those that ship, and a programme's own. A test keeps what it was built with. */
@Service
public class Rubrics {

    /** Ours: more nobody looks through. */
    private static final int MOST = 100;

    private final RubricQueries queries;
    private final List<Rubric> shipped = RubricFile.shipped();

    Rubrics(RubricQueries queries) {
        this.queries = queries;
    }

    /** In the order they are offered. */
    public List<Rubric> shipped() {
        return shipped;
    }

    @Transactional(readOnly = true)
    List<RubricRow> own(UUID programId) {
        return queries.findAll(programId);
    }

    @Transactional
    UUID write(SignedIn person, RubricDraft draft) {
        RubricDraft rubric = RubricDraft.of(draft.toRubric());
        if (queries.findAll(person.programId()).size() >= MOST) {
            throw Problem.conflict("There are " + MOST + " rubrics already; take one away first.");
        }
        UUID id = Ids.next();
        named(rubric, () -> {
            queries.insert(person.programId(), id, rubric, person.accountId());
            return true;
        });
        return id;
    }

    /** @throws Problem where it was edited since that version, or is not there */
    @Transactional
    void edit(SignedIn person, UUID id, int version, RubricDraft draft) {
        RubricDraft rubric = RubricDraft.of(draft.toRubric());
        queries.find(person.programId(), id).orElseThrow(Rubrics::gone);
        if (!named(rubric, () -> queries.update(person.programId(), id, version, rubric, person.accountId()))) {
            throw Problem.conflict("\"" + rubric.name()
                    + "\" was edited by someone else in the meantime; load it again. Nothing was changed.");
        }
    }

    private static boolean named(RubricDraft rubric, Supplier<Boolean> write) {
        return Clashes.told("rubric_name_unique", "There is a rubric \"" + rubric.name() + "\" already.", write);
    }

    /** Tests keep the criteria they were built with. */
    @Transactional
    void delete(UUID programId, UUID id) {
        if (!queries.delete(programId, id)) {
            throw gone();
        }
    }

    private static Problem gone() {
        return Problem.notFound("There is no such rubric any more.");
    }
}
