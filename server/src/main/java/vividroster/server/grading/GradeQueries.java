package vividroster.server.grading;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;
import vividroster.server.platform.Rows;

/** How grades are made, and marking periods. */
@Repository
class GradeQueries {

    private final JdbcClient jdbc;
    private final JsonMapper json = JsonMapper.builder().build();

    GradeQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record PeriodRow(UUID id, String name, LocalDate firstOn, LocalDate lastOn) {}

    /** Empty where nobody set it yet. */
    Optional<GradeSettings> findSettings(UUID programId) {
        return jdbc.sql("select content from grade_scheme where program_id = :programId")
                .param("programId", programId)
                .query((row, n) -> json.readValue(row.getString("content"), GradeSettings.class))
                .optional();
    }

    void putSettings(UUID programId, GradeSettings settings, UUID accountId) {
        jdbc.sql("""
                insert into grade_scheme (program_id, content, edited_by)
                values (:programId, :content::jsonb, :accountId)
                on conflict (program_id)
                do update set content = excluded.content, edited_by = excluded.edited_by, edited_at = now()
                """)
                .param("programId", programId)
                .param("content", json.writeValueAsString(settings))
                .param("accountId", accountId)
                .update();
    }

    /** In the order of their days. */
    List<PeriodRow> findPeriods(UUID programId) {
        return jdbc.sql("""
                        select id, name, first_on, last_on
                        from marking_period
                        where program_id = :programId
                        order by first_on, id
                        """)
                .param("programId", programId)
                .query((row, n) -> new PeriodRow(
                        Rows.id(row, "id"), row.getString("name"), Rows.day(row, "first_on"), Rows.day(row, "last_on")))
                .list();
    }

    /** All of them in place of those there were. */
    void putPeriods(UUID programId, List<PeriodRow> periods) {
        jdbc.sql("delete from marking_period where program_id = :programId")
                .param("programId", programId)
                .update();
        for (PeriodRow period : periods) {
            jdbc.sql("""
                    insert into marking_period (program_id, id, name, first_on, last_on)
                    values (:programId, :id, :name, :firstOn, :lastOn)
                    """)
                    .param("programId", programId)
                    .param("id", period.id())
                    .param("name", period.name())
                    .param("firstOn", period.firstOn())
                    .param("lastOn", period.lastOn())
                    .update();
        }
    }
}
