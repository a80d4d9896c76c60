package vividroster.server.belts;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.progress.HandOver;
import vividroster.server.platform.Rows;

/** Belts that were put round somebody. */
@Repository
class HandOverQueries {

    private static final RowMapper<HandOver> ROW = (row, i) -> new HandOver(
            Rows.id(row, "id"),
            Rows.id(row, "student_id"),
            Rows.id(row, "belt_id"),
            Rows.instrument(row, "instrument"),
            Rows.day(row, "handed_on"),
            row.getString("occasion"));

    private final JdbcClient jdbc;

    HandOverQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** By day. */
    List<HandOver> find(UUID programId, Collection<UUID> studentIds) {
        return jdbc.sql("""
                        select id, student_id, belt_id, instrument, handed_on, occasion
                        from belt_hand_over
                        where program_id = :programId and student_id = any(:students)
                        order by handed_on, id
                        """)
                .param("programId", programId)
                .param("students", Rows.array(studentIds))
                .query(ROW)
                .list();
    }

    Optional<HandOver> findOne(UUID programId, UUID id) {
        return jdbc.sql("""
                        select id, student_id, belt_id, instrument, handed_on, occasion
                        from belt_hand_over
                        where program_id = :programId and id = :id
                        """)
                .param("programId", programId)
                .param("id", id)
                .query(ROW)
                .optional();
    }

    /** @return false, and does nothing, where this belt was put round this student on this instrument before or the id is taken */
    boolean insert(UUID programId, HandOver handOver, UUID accountId) {
        return jdbc.sql("""
                insert into belt_hand_over
                    (program_id, id, student_id, belt_id, instrument, handed_on, occasion, handed_by)
                values (:programId, :id, :studentId, :beltId, :instrument, :handedOn, :occasion, :accountId)
                on conflict do nothing
                """)
                        .param("programId", programId)
                        .param("id", handOver.id())
                        .param("studentId", handOver.studentId())
                        .param("beltId", handOver.beltId())
                        .param("instrument", handOver.instrument().value())
                        .param("handedOn", handOver.handedOn())
                        .param("occasion", handOver.occasion())
                        .param("accountId", accountId)
                        .update()
                == 1;
    }

    /** @return false where there is none */
    boolean delete(UUID programId, UUID id) {
        return jdbc.sql("delete from belt_hand_over where program_id = :programId and id = :id")
                        .param("programId", programId)
                        .param("id", id)
                        .update()
                == 1;
    }
}
