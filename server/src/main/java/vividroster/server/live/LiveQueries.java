package vividroster.server.live;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.progress.Outcome;
import vividroster.server.platform.Notifications.Channel;
import vividroster.server.platform.Rows;

/** Marks in the order they came in. */
@Repository
class LiveQueries {

    private final JdbcClient jdbc;

    LiveQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Place of the latest mark of a programme; 0 where there is none. */
    long findLatest(UUID programId) {
        return jdbc.sql("select coalesce(max(arrived), 0) from attempt where program_id = :programId")
                .param("programId", programId)
                .query(Long.class)
                .single();
    }

    /** @return marks behind a place, oldest first, at most so many */
    List<Mark> findArrivedAfter(UUID programId, long arrived, int most) {
        return jdbc.sql("""
                        select a.arrived, a.id, a.student_id, a.milestone_id, a.outcome, a.corrects_id, a.heard_by,
                               p.display_name
                        from attempt a
                        join account p on p.program_id = a.program_id and p.id = a.heard_by
                        where a.program_id = :programId and a.arrived > :arrived
                        order by a.arrived
                        limit :most
                        """)
                .param("programId", programId)
                .param("arrived", arrived)
                .param("most", most)
                .query((row, n) -> new Mark(
                        row.getLong("arrived"),
                        Rows.id(row, "id"),
                        Rows.id(row, "student_id"),
                        Rows.id(row, "milestone_id"),
                        Outcome.valueOf(row.getString("outcome")),
                        Optional.ofNullable(row.getObject("corrects_id", UUID.class)),
                        Rows.id(row, "heard_by"),
                        row.getString("display_name")))
                .list();
    }

    /** Tells every instance, when the transaction has gone through. */
    void tell(Channel channel, String what) {
        jdbc.sql("select pg_notify(:channel, :what)::text")
                .param("channel", channel.channel())
                .param("what", what)
                .query((row, n) -> 1)
                .list();
    }
}
