package vividroster.server.playingtests;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;
import vividroster.server.platform.Rows;

/** What playing tests consist of, by version. */
@Repository
class PlayingTestQueries {

    private final JdbcClient jdbc;
    private final JsonMapper json = JsonMapper.builder().build();

    PlayingTestQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insertVersion(UUID programId, UUID milestoneId, int version, TestContent content, UUID accountId) {
        jdbc.sql("""
                insert into playing_test_version (program_id, milestone_id, version, content, written_by)
                values (:programId, :milestoneId, :version, :content::jsonb, :accountId)
                """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .param("version", version)
                .param("content", json.writeValueAsString(content))
                .param("accountId", accountId)
                .update();
    }

    /** The newest of each; tests that were put on the shelf by their line alone are left out. */
    Map<UUID, TestContent> findNewest(UUID programId, Collection<UUID> milestoneIds) {
        Map<UUID, TestContent> found = new HashMap<>();
        if (milestoneIds.isEmpty()) {
            return found;
        }
        jdbc.sql("""
                        select distinct on (milestone_id) milestone_id, content
                        from playing_test_version
                        where program_id = :programId and milestone_id = any(:ids)
                        order by milestone_id, version desc
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(milestoneIds))
                .query(row -> {
                    found.put(
                            Rows.id(row, "milestone_id"), json.readValue(row.getString("content"), TestContent.class));
                });
        return found;
    }
}
