package vividroster.server.season;

import java.sql.Types;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Rows;

/** Long looks for a better plan, as far as they are; told here so that any instance can say. */
@Repository
class LookQueries {

    enum EndedAs {
        PROPOSED,
        /** The plan was changed meanwhile. */
        CHANGED,
        FAILED
    }

    /** @param told when it last said how far it is */
    record Look(
            UUID id,
            long done,
            long steps,
            Optional<Long> points,
            OffsetDateTime told,
            boolean stopAsked,
            Optional<EndedAs> endedAs) {}

    private final JdbcClient jdbc;

    LookQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @throws org.springframework.dao.DuplicateKeyException of {@code plan_look_one_at_a_time} while one looks already */
    void insert(UUID programId, UUID id, UUID yearId, UUID classId, UUID accountId) {
        jdbc.sql("""
                        insert into plan_look (program_id, id, school_year_id, class_id, started_by)
                        values (:programId, :id, :yearId, :classId, :accountId)
                        """)
                .param("programId", programId)
                .param("id", id)
                .param("yearId", yearId)
                .param("classId", classId)
                .param("accountId", accountId)
                .update();
    }

    /** Ends what nobody tells of any more: its server is gone. */
    void endSilent(UUID programId, UUID yearId, UUID classId, OffsetDateTime silentSince) {
        jdbc.sql("""
                        update plan_look set ended_at = now(), ended_as = 'FAILED'
                        where program_id = :programId and school_year_id = :yearId and class_id = :classId
                          and ended_at is null and told_at < :silentSince
                        """)
                .param("programId", programId)
                .param("yearId", yearId)
                .param("classId", classId)
                .param("silentSince", silentSince)
                .update();
    }

    /** @return whether it is asked to stop with the best so far */
    boolean tell(UUID programId, UUID id, long done, long steps, Long points) {
        return jdbc.sql("""
                        update plan_look set done = :done, steps = :steps, points = :points, told_at = now()
                        where program_id = :programId and id = :id
                        returning stop_asked
                        """)
                .param("programId", programId)
                .param("id", id)
                .param("done", done)
                .param("steps", steps)
                .param("points", points, Types.BIGINT)
                .query(Boolean.class)
                .optional()
                .orElse(true);
    }

    void end(UUID programId, UUID id, EndedAs as) {
        jdbc.sql("""
                        update plan_look set ended_at = now(), ended_as = :endedAs, told_at = now()
                        where program_id = :programId and id = :id and ended_at is null
                        """)
                .param("programId", programId)
                .param("id", id)
                .param("endedAs", as.name())
                .update();
    }

    void askToStop(UUID programId, UUID id) {
        jdbc.sql("update plan_look set stop_asked = true where program_id = :programId and id = :id")
                .param("programId", programId)
                .param("id", id)
                .update();
    }

    Optional<Look> find(UUID programId, UUID id) {
        return jdbc.sql("""
                        select id, done, steps, points, told_at, stop_asked, ended_as
                        from plan_look
                        where program_id = :programId and id = :id
                        """)
                .param("programId", programId)
                .param("id", id)
                .query((row, n) -> new Look(
                        Rows.id(row, "id"),
                        row.getLong("done"),
                        row.getLong("steps"),
                        Optional.ofNullable(row.getObject("points", Long.class)),
                        row.getObject("told_at", OffsetDateTime.class),
                        row.getBoolean("stop_asked"),
                        Optional.ofNullable(row.getString("ended_as")).map(EndedAs::valueOf)))
                .optional();
    }
}
