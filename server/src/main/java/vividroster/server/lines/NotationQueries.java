package vividroster.server.lines;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.lines.LineNotations.Format;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.platform.Rows;

@Repository
class NotationQueries {

    private final JdbcClient jdbc;

    NotationQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void put(UUID programId, UUID milestoneId, Source source, UUID accountId) {
        jdbc.sql("""
                insert into line_notation (program_id, milestone_id, format, source, written_by)
                values (:programId, :milestoneId, :format, :source, :accountId)
                on conflict (program_id, milestone_id)
                do update set format = excluded.format, source = excluded.source, written_by = excluded.written_by,
                              written_at = now()
                """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .param("format", source.format().name())
                .param("source", source.text())
                .param("accountId", accountId)
                .update();
    }

    Optional<Source> find(UUID programId, UUID milestoneId) {
        return jdbc.sql("""
                        select format, source
                        from line_notation
                        where program_id = :programId and milestone_id = :milestoneId
                        """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .query((row, n) -> new Source(Format.valueOf(row.getString("format")), row.getString("source")))
                .optional();
    }

    /** Of these lines, by line. */
    Map<UUID, Source> findAll(UUID programId, Collection<UUID> milestoneIds) {
        Map<UUID, Source> found = new HashMap<>();
        jdbc.sql("""
                        select milestone_id, format, source
                        from line_notation
                        where program_id = :programId and milestone_id = any(:ids)
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(milestoneIds))
                .query(row -> {
                    found.put(
                            Rows.id(row, "milestone_id"),
                            new Source(Format.valueOf(row.getString("format")), row.getString("source")));
                });
        return found;
    }

    /** Lines whose notes are kept. */
    Set<UUID> findWithNotes(UUID programId) {
        return Set.copyOf(jdbc.sql("select milestone_id from line_notation where program_id = :programId")
                .param("programId", programId)
                .query(UUID.class)
                .list());
    }
}
