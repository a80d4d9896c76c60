package vividroster.server.audit;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.audit.Audit.Entry;
import vividroster.server.audit.Audit.What;

@Repository
class AuditQueries {

    private final JdbcClient jdbc;

    AuditQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Nothing where the same was noted within a while. */
    void insert(UUID programId, UUID accountId, What what, Optional<UUID> about, Duration within) {
        jdbc.sql("""
                insert into audit (program_id, account_id, what, about)
                select :programId, :accountId, :what, :about
                where not exists (
                    select 1
                    from audit
                    where program_id = :programId and account_id = :accountId and what = :what
                      and about is not distinct from :about
                      and happened_at > clock_timestamp() - :seconds * interval '1 second')
                """)
                .param("programId", programId)
                .param("accountId", accountId)
                .param("what", what.name())
                .param("about", about.orElse(null), java.sql.Types.OTHER)
                .param("seconds", within.toSeconds())
                .update();
    }

    List<Entry> findLatest(UUID programId, int most) {
        return jdbc.sql("""
                        select a.happened_at, p.display_name, a.what, coalesce(s.name, c.name) as about
                        from audit a
                        left join account p on p.program_id = a.program_id and p.id = a.account_id
                        left join student s on s.program_id = a.program_id and s.id = a.about
                        left join school_class c on c.program_id = a.program_id and c.id = a.about
                        where a.program_id = :programId
                        order by a.happened_at desc
                        limit :most
                        """)
                .param("programId", programId)
                .param("most", most)
                .query((row, n) -> new Entry(
                        row.getObject("happened_at", OffsetDateTime.class),
                        Optional.ofNullable(row.getString("display_name")),
                        What.valueOf(row.getString("what")),
                        Optional.ofNullable(row.getString("about"))))
                .list();
    }
}
