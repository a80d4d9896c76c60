package vividroster.server.writtenchecks;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;

/** What written checks ask, by version. */
@Repository
class WrittenCheckQueries {

    private final JdbcClient jdbc;
    private final JsonMapper json = JsonMapper.builder().build();

    WrittenCheckQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(UUID programId, UUID milestoneId) {
        jdbc.sql("insert into written_check (program_id, milestone_id) values (:programId, :milestoneId)")
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .update();
    }

    void insertVersion(UUID programId, UUID milestoneId, int version, WrittenDraft content, UUID accountId) {
        jdbc.sql("""
                insert into written_check_version (program_id, milestone_id, version, content, written_by)
                values (:programId, :milestoneId, :version, :content::jsonb, :accountId)
                """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .param("version", version)
                .param("content", json.writeValueAsString(content))
                .param("accountId", accountId)
                .update();
    }

    Optional<WrittenDraft> findNewest(UUID programId, UUID milestoneId) {
        return jdbc.sql("""
                        select content
                        from written_check_version
                        where program_id = :programId and milestone_id = :milestoneId
                        order by version desc
                        limit 1
                        """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .query((row, n) -> json.readValue(row.getString("content"), WrittenDraft.class))
                .optional();
    }
}
