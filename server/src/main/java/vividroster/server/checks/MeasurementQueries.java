package vividroster.server.checks;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Rows;

/** Amounts that students reached with checks. */
@Repository
class MeasurementQueries {

    private final JdbcClient jdbc;

    MeasurementQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record Taken(UUID id, UUID studentId, UUID milestoneId, InstrumentCode instrument, double value, LocalDate on) {}

    /** False when it is here already. */
    boolean insert(UUID programId, Taken taken, UUID accountId) {
        return jdbc.sql("""
                        insert into measurement (program_id, id, student_id, milestone_id, instrument, value, measured_on,
                                                 measured_by)
                        values (:programId, :id, :studentId, :milestoneId, :instrument, :value, :on, :accountId)
                        on conflict on constraint measurement_pk do nothing
                        """)
                        .param("programId", programId)
                        .param("id", taken.id())
                        .param("studentId", taken.studentId())
                        .param("milestoneId", taken.milestoneId())
                        .param("instrument", taken.instrument().value())
                        .param("value", taken.value())
                        .param("on", taken.on())
                        .param("accountId", accountId)
                        .update()
                == 1;
    }

    Optional<Taken> find(UUID programId, UUID id) {
        return jdbc.sql("""
                        select id, student_id, milestone_id, instrument, value, measured_on
                        from measurement
                        where program_id = :programId and id = :id
                        """)
                .param("programId", programId)
                .param("id", id)
                .query((row, n) -> taken(row))
                .optional();
    }

    /** In the order taken. */
    List<Taken> findOf(UUID programId, Collection<UUID> studentIds) {
        return jdbc.sql("""
                        select id, student_id, milestone_id, instrument, value, measured_on
                        from measurement
                        where program_id = :programId and student_id = any(:students)
                        order by measured_at, id
                        """)
                .param("programId", programId)
                .param("students", studentIds.toArray(UUID[]::new))
                .query((row, n) -> taken(row))
                .list();
    }

    private static Taken taken(ResultSet row) throws SQLException {
        return new Taken(
                Rows.id(row, "id"),
                Rows.id(row, "student_id"),
                Rows.id(row, "milestone_id"),
                Rows.instrument(row, "instrument"),
                row.getDouble("value"),
                row.getObject("measured_on", LocalDate.class));
    }

    boolean delete(UUID programId, UUID id) {
        return jdbc.sql("delete from measurement where program_id = :programId and id = :id")
                        .param("programId", programId)
                        .param("id", id)
                        .update()
                == 1;
    }
}
