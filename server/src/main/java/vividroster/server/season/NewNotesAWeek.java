package vividroster.server.season;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How many notes a section is to meet in one week, as the programme plans its year. */
@Component
public class NewNotesAWeek {

    private final PlanYearQueries queries;

    NewNotesAWeek(PlanYearQueries queries) {
        this.queries = queries;
    }

    /** At least 1, also where the plan is told to bring none. */
    @Transactional(readOnly = true)
    public int of(UUID programId) {
        return Math.max(1, queries.findSettings(programId).rules().maxNewNotes());
    }
}
