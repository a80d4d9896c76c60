package vividroster.server.checks;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;
import vividroster.core.curriculum.CheckTopic;
import vividroster.server.platform.Rows;

/** What technique checks say, by version. */
@Repository
class CheckQueries {

    private final JdbcClient jdbc;
    private final JsonMapper json = JsonMapper.builder().build();

    CheckQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param starterKey of the starter check it was taken from, if it was */
    record CheckRow(UUID milestoneId, Optional<String> starterKey, CheckContent content) {}

    /** False when this starter check was taken before. */
    boolean insert(UUID programId, UUID milestoneId, String starterKey) {
        return jdbc.sql("""
                        insert into technique_check (program_id, milestone_id, starter_key)
                        values (:programId, :milestoneId, :starterKey)
                        on conflict (program_id, starter_key) do nothing
                        """)
                        .param("programId", programId)
                        .param("milestoneId", milestoneId)
                        .param("starterKey", starterKey)
                        .update()
                == 1;
    }

    /** A check no starter stands behind. */
    void insertOwn(UUID programId, UUID milestoneId) {
        jdbc.sql("insert into technique_check (program_id, milestone_id) values (:programId, :milestoneId)")
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .update();
    }

    void insertVersion(UUID programId, UUID milestoneId, int version, CheckContent content, UUID accountId) {
        jdbc.sql("""
                insert into technique_check_version (program_id, milestone_id, version, content, written_by)
                values (:programId, :milestoneId, :version, :content::jsonb, :accountId)
                """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .param("version", version)
                .param("content", json.writeValueAsString(content))
                .param("accountId", accountId)
                .update();
    }

    Optional<CheckRow> findCurrent(UUID programId, UUID milestoneId) {
        return jdbc.sql("""
                        select c.milestone_id, c.starter_key, v.content
                        from technique_check c
                        join milestone m on m.program_id = c.program_id and m.id = c.milestone_id
                        join technique_check_version v
                          on v.program_id = c.program_id and v.milestone_id = c.milestone_id and v.version = m.version
                        where c.program_id = :programId and c.milestone_id = :milestoneId
                        """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .query(this::row)
                .optional();
    }

    List<CheckRow> findAllCurrent(UUID programId) {
        return jdbc.sql("""
                        select c.milestone_id, c.starter_key, v.content
                        from technique_check c
                        join milestone m on m.program_id = c.program_id and m.id = c.milestone_id
                        join technique_check_version v
                          on v.program_id = c.program_id and v.milestone_id = c.milestone_id and v.version = m.version
                        where c.program_id = :programId
                        order by m.shelf_order, m.id
                        """).param("programId", programId).query(this::row).list();
    }

    /** By milestone; what is no check is left out. */
    Map<UUID, CheckTopic> findTopics(UUID programId, Collection<UUID> milestoneIds) {
        Map<UUID, CheckTopic> topics = new HashMap<>();
        if (milestoneIds.isEmpty()) {
            return topics;
        }
        jdbc.sql("""
                        select v.milestone_id, v.content ->> 'topic' as topic
                        from milestone m
                        join technique_check_version v
                          on v.program_id = m.program_id and v.milestone_id = m.id and v.version = m.version
                        where m.program_id = :programId and m.id = any(:ids)
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(milestoneIds))
                .query(row -> {
                    topics.put(Rows.id(row, "milestone_id"), CheckTopic.valueOf(row.getString("topic")));
                });
        return topics;
    }

    private CheckRow row(ResultSet row, int n) throws SQLException {
        return new CheckRow(
                Rows.id(row, "milestone_id"),
                Optional.ofNullable(row.getString("starter_key")),
                json.readValue(row.getString("content"), CheckContent.class));
    }

    /** The programme's choices by question. */
    Map<String, String> findChoices(UUID programId) {
        Map<String, String> choices = new HashMap<>();
        jdbc.sql("select question, choice from school_choice where program_id = :programId")
                .param("programId", programId)
                .query(row -> {
                    choices.put(row.getString("question"), row.getString("choice"));
                });
        return choices;
    }

    void putChoice(UUID programId, String question, String choice, UUID accountId) {
        jdbc.sql("""
                insert into school_choice (program_id, question, choice, chosen_by)
                values (:programId, :question, :choice, :accountId)
                on conflict (program_id, question)
                do update set choice = excluded.choice, chosen_by = excluded.chosen_by, chosen_at = now()
                """)
                .param("programId", programId)
                .param("question", question)
                .param("choice", choice)
                .param("accountId", accountId)
                .update();
    }
}
