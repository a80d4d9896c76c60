package vividroster.server.start;

import java.util.EnumMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.start.FirstHour.Step;

@Repository
class StartQueries {

    /** What was said of a step. */
    enum KeptAs {
        LEFT_OUT,
        SEEN
    }

    private final JdbcClient jdbc;

    StartQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Map<Step, KeptAs> find(UUID programId) {
        Map<Step, KeptAs> kept = new EnumMap<>(Step.class);
        jdbc.sql("select step, kept_as from start_step where program_id = :programId")
                .param("programId", programId)
                .query(row -> {
                    kept.put(Step.valueOf(row.getString("step")), KeptAs.valueOf(row.getString("kept_as")));
                });
        return kept;
    }

    void put(UUID programId, Step step, KeptAs as) {
        jdbc.sql("""
                        insert into start_step (program_id, step, kept_as)
                        values (:programId, :step, :as)
                        on conflict (program_id, step) do update set kept_as = excluded.kept_as, kept_at = now()
                        """)
                .param("programId", programId)
                .param("step", step.name())
                .param("as", as.name())
                .update();
    }

    void remove(UUID programId, Step step) {
        jdbc.sql("delete from start_step where program_id = :programId and step = :step")
                .param("programId", programId)
                .param("step", step.name())
                .update();
    }
}
