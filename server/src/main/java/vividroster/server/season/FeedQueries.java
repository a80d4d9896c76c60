package vividroster.server.season;

import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Rows;

/** Secret addresses of calendars. */
@Repository
class FeedQueries {

    record Feed(UUID programId, UUID classId) {}

    private final JdbcClient jdbc;

    FeedQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** When the feed of a class was opened; empty where there is none. */
    Optional<OffsetDateTime> findOpened(UUID programId, UUID classId) {
        return jdbc.sql("""
                        select opened_at from calendar_feed where program_id = :programId and class_id = :classId
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .query((row, n) -> row.getObject("opened_at", OffsetDateTime.class))
                .optional();
    }

    /** The secret before it no longer opens anything. */
    void put(UUID programId, UUID classId, byte[] secretHash, UUID accountId) {
        jdbc.sql("""
                        insert into calendar_feed (program_id, class_id, secret_hash, opened_by)
                        values (:programId, :classId, :secretHash, :accountId)
                        on conflict (program_id, class_id) do update
                        set secret_hash = excluded.secret_hash, opened_at = now(), opened_by = excluded.opened_by
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .param("secretHash", secretHash)
                .param("accountId", accountId)
                .update();
    }

    void delete(UUID programId, UUID classId) {
        jdbc.sql("delete from calendar_feed where program_id = :programId and class_id = :classId")
                .param("programId", programId)
                .param("classId", classId)
                .update();
    }

    /** Whose calendar a secret opens. */
    Optional<Feed> findBySecret(byte[] secretHash) {
        return jdbc.sql("select program_id, class_id from calendar_feed where secret_hash = :secretHash")
                .param("secretHash", secretHash)
                .query((row, n) -> new Feed(Rows.id(row, "program_id"), Rows.id(row, "class_id")))
                .optional();
    }
}
