package vividroster.server.rubrics;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;
import vividroster.server.platform.Rows;

/** The rubrics a programme keeps. */
@Repository
class RubricQueries {

    private final JdbcClient jdbc;
    private final JsonMapper json = JsonMapper.builder().build();

    RubricQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record RubricRow(UUID id, int version, RubricDraft rubric) {}

    /** By name. */
    List<RubricRow> findAll(UUID programId) {
        return jdbc.sql("select id, version, content from rubric where program_id = :programId order by name, id")
                .param("programId", programId)
                .query(this::row)
                .list();
    }

    Optional<RubricRow> find(UUID programId, UUID id) {
        return jdbc.sql("select id, version, content from rubric where program_id = :programId and id = :id")
                .param("programId", programId)
                .param("id", id)
                .query(this::row)
                .optional();
    }

    private RubricRow row(ResultSet row, int n) throws SQLException {
        return new RubricRow(
                Rows.id(row, "id"), row.getInt("version"), json.readValue(row.getString("content"), RubricDraft.class));
    }

    void insert(UUID programId, UUID id, RubricDraft rubric, UUID accountId) {
        jdbc.sql("""
                insert into rubric (program_id, id, name, content, edited_by)
                values (:programId, :id, :name, :content::jsonb, :accountId)
                """)
                .param("programId", programId)
                .param("id", id)
                .param("name", rubric.name())
                .param("content", json.writeValueAsString(rubric))
                .param("accountId", accountId)
                .update();
    }

    /** False where it was edited since that version. */
    boolean update(UUID programId, UUID id, int version, RubricDraft rubric, UUID accountId) {
        return jdbc.sql("""
                        update rubric
                        set name = :name, content = :content::jsonb, version = version + 1, edited_by = :accountId,
                            edited_at = now()
                        where program_id = :programId and id = :id and version = :version
                        """)
                        .param("programId", programId)
                        .param("id", id)
                        .param("version", version)
                        .param("name", rubric.name())
                        .param("content", json.writeValueAsString(rubric))
                        .param("accountId", accountId)
                        .update()
                == 1;
    }

    boolean delete(UUID programId, UUID id) {
        return jdbc.sql("delete from rubric where program_id = :programId and id = :id")
                        .param("programId", programId)
                        .param("id", id)
                        .update()
                == 1;
    }
}
