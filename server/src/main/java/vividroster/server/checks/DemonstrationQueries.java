package vividroster.server.checks;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.checks.Demonstrations.Shows;
import vividroster.server.platform.Rows;

@Repository
class DemonstrationQueries {

    private final JdbcClient jdbc;

    DemonstrationQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record Content(String name, String mediaType, byte[] bytes) {}

    void insert(UUID programId, UUID milestoneId, Demonstrations.Demonstration one, byte[] content, UUID accountId) {
        jdbc.sql("""
                insert into demonstration (program_id, id, milestone_id, name, media_type, content, shows, added_by)
                values (:programId, :id, :milestoneId, :name, :mediaType, :content, :shows, :accountId)
                """)
                .param("programId", programId)
                .param("id", one.id())
                .param("milestoneId", milestoneId)
                .param("name", one.name())
                .param("mediaType", one.mediaType())
                .param("content", content)
                .param("shows", one.shows().map(Enum::name).orElse(null))
                .param("accountId", accountId)
                .update();
    }

    /** Without their content, in the order added. */
    List<Demonstrations.Demonstration> findOf(UUID programId, UUID milestoneId) {
        return jdbc.sql("""
                        select id, name, media_type, octet_length(content) as size, shows
                        from demonstration
                        where program_id = :programId and milestone_id = :milestoneId
                        order by added_at, id
                        """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .query(DemonstrationQueries::row)
                .list();
    }

    /** All of a programme without their content, by name. */
    List<Demonstrations.Demonstration> findAll(UUID programId) {
        return jdbc.sql("""
                        select id, name, media_type, octet_length(content) as size, shows
                        from demonstration
                        where program_id = :programId
                        order by name, id
                        """)
                .param("programId", programId)
                .query(DemonstrationQueries::row)
                .list();
    }

    private static Demonstrations.Demonstration row(ResultSet row, int n) throws SQLException {
        return new Demonstrations.Demonstration(
                Rows.id(row, "id"),
                row.getString("name"),
                row.getString("media_type"),
                row.getInt("size"),
                Optional.ofNullable(row.getString("shows")).map(Shows::valueOf));
    }

    Optional<Content> findContent(UUID programId, UUID id) {
        return jdbc.sql("""
                        select name, media_type, content
                        from demonstration
                        where program_id = :programId and id = :id
                        """)
                .param("programId", programId)
                .param("id", id)
                .query((row, n) ->
                        new Content(row.getString("name"), row.getString("media_type"), row.getBytes("content")))
                .optional();
    }

    boolean delete(UUID programId, UUID id) {
        return jdbc.sql("delete from demonstration where program_id = :programId and id = :id")
                        .param("programId", programId)
                        .param("id", id)
                        .update()
                == 1;
    }
}
