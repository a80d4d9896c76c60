package vividroster.server.account;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Failed sign-ins, which belong to no programme: no program_id is known before somebody is. */
@Repository
class FailureQueries {

    private final JdbcClient jdbc;

    FailureQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record Failures(int count, Instant last) {}

    /** By key; keys that never failed are left out. */
    Map<String, Failures> find(Collection<String> keys) {
        Map<String, Failures> found = new HashMap<>();
        jdbc.sql("select key, failures, last_failed_at from sign_in_failure where key = any(:keys) -- no program_id")
                .param("keys", keys.toArray(String[]::new))
                .query(row -> {
                    found.put(
                            row.getString("key"),
                            new Failures(
                                    row.getInt("failures"),
                                    row.getObject("last_failed_at", OffsetDateTime.class)
                                            .toInstant()));
                });
        return found;
    }

    /** One more failure of each key; those last failed before a moment begin anew. */
    void add(Collection<String> keys, Instant now, Instant forgottenBefore) {
        jdbc.sql("""
                        insert into sign_in_failure as f (key, failures, last_failed_at) -- no program_id
                        select key, 1, :now from unnest(:keys::text[]) key order by key
                        on conflict (key) do update
                            set failures = case when f.last_failed_at < :forgottenBefore then 1 else f.failures + 1 end,
                                last_failed_at = excluded.last_failed_at
                        """)
                .param("keys", keys.toArray(String[]::new))
                .param("now", now.atOffset(ZoneOffset.UTC))
                .param("forgottenBefore", forgottenBefore.atOffset(ZoneOffset.UTC))
                .update();
    }

    void forget(Collection<String> keys) {
        jdbc.sql("delete from sign_in_failure where key = any(:keys) -- no program_id")
                .param("keys", keys.toArray(String[]::new))
                .update();
    }

    int forgetBefore(Instant moment) {
        return jdbc.sql("delete from sign_in_failure where last_failed_at < :moment -- no program_id")
                .param("moment", moment.atOffset(ZoneOffset.UTC))
                .update();
    }
}
