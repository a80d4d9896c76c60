package vividroster.server.lines;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;
import vividroster.server.lines.LineNotations.Format;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.platform.Rows;

@Repository
class NotationQueries {

    private static final TypeReference<Map<String, String>> CHOICES = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final ObjectMapper json;

    NotationQueries(JdbcClient jdbc, ObjectMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    void put(UUID programId, UUID milestoneId, Source source, UUID accountId) {
        jdbc.sql("""
                insert into line_notation (program_id, milestone_id, format, source, part_choices, written_by)
                values (:programId, :milestoneId, :format, :source, cast(:choices as jsonb), :accountId)
                on conflict (program_id, milestone_id)
                do update set format = excluded.format, source = excluded.source,
                              part_choices = excluded.part_choices, written_by = excluded.written_by,
                              written_at = now()
                """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .param("format", source.format().name())
                .param("source", source.text())
                .param("choices", json.writeValueAsString(source.choices()))
                .param("accountId", accountId)
                .update();
    }

    Optional<Source> find(UUID programId, UUID milestoneId) {
        return jdbc.sql("""
                        select format, source, part_choices
                        from line_notation
                        where program_id = :programId and milestone_id = :milestoneId
                        """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .query((row, n) -> source(row))
                .optional();
    }

    private Source source(ResultSet row) throws SQLException {
        return new Source(
                Format.valueOf(row.getString("format")),
                row.getString("source"),
                json.readValue(row.getString("part_choices"), CHOICES));
    }

    /** Of these lines, by line. */
    Map<UUID, Source> findAll(UUID programId, Collection<UUID> milestoneIds) {
        Map<UUID, Source> found = new HashMap<>();
        jdbc.sql("""
                        select milestone_id, format, source, part_choices
                        from line_notation
                        where program_id = :programId and milestone_id = any(:ids)
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(milestoneIds))
                .query(row -> {
                    found.put(Rows.id(row, "milestone_id"), source(row));
                });
        return found;
    }

    /** Lines whose notes are kept. */
    /** Oldest first. */
    Set<UUID> findWithNotes(UUID programId) {
        return new LinkedHashSet<>(
                jdbc.sql("select milestone_id from line_notation where program_id = :programId order by milestone_id")
                        .param("programId", programId)
                        .query(UUID.class)
                        .list());
    }
}
