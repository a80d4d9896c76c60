package vividroster.server.placing;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.core.placing.Trial;
import vividroster.core.placing.Trial.Aspect;
import vividroster.core.placing.Trial.Mouthpiece;
import vividroster.core.placing.TwoWays;
import vividroster.core.placing.TwoWays.Better;
import vividroster.server.platform.Rows;

/** Trials of instruments, what was decided, and two ways held against each other. */
@Repository
class PlacingQueries {

    private final JdbcClient jdbc;

    PlacingQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(UUID programId, Trial trial, UUID accountId) {
        jdbc.sql("""
                insert into placing_trial
                    (program_id, id, student_id, instrument, mouthpiece, sound, response, comfort, reach, wish, arm_cm, note,
                     tried_on, tried_by)
                values (:programId, :id, :studentId, :instrument, :mouthpiece, :sound, :response, :comfort, :reach, :wish,
                        :armCm, :note, :on, :accountId)
                """)
                .param("programId", programId)
                .param("id", trial.id())
                .param("studentId", trial.studentId())
                .param("instrument", trial.instrument().value())
                .param("mouthpiece", trial.mouthpiece().name())
                .param("sound", trial.seen().get(Aspect.SOUND), Types.SMALLINT)
                .param("response", trial.seen().get(Aspect.RESPONSE), Types.SMALLINT)
                .param("comfort", trial.seen().get(Aspect.COMFORT), Types.SMALLINT)
                .param("reach", trial.seen().get(Aspect.REACH), Types.SMALLINT)
                .param("wish", trial.seen().get(Aspect.WISH), Types.SMALLINT)
                .param("armCm", trial.armCm().orElse(null), Types.NUMERIC)
                .param("note", trial.note())
                .param("on", trial.on())
                .param("accountId", accountId)
                .update();
    }

    /** In the order tried. */
    List<Trial> findTrials(UUID programId, UUID studentId) {
        return jdbc.sql("""
                        select id, student_id, instrument, mouthpiece, sound, response, comfort, reach, wish, arm_cm, note,
                               tried_on
                        from placing_trial
                        where program_id = :programId and student_id = :studentId
                        order by tried_on, id
                        """)
                .param("programId", programId)
                .param("studentId", studentId)
                .query((row, i) -> new Trial(
                        Rows.id(row, "id"),
                        Rows.id(row, "student_id"),
                        Rows.instrument(row, "instrument"),
                        Mouthpiece.valueOf(row.getString("mouthpiece")),
                        seen(row),
                        Optional.ofNullable(row.getBigDecimal("arm_cm")).map(Number::doubleValue),
                        Rows.day(row, "tried_on"),
                        row.getString("note")))
                .list();
    }

    private static Map<Aspect, Integer> seen(ResultSet row) throws SQLException {
        Map<Aspect, Integer> seen = new EnumMap<>(Aspect.class);
        for (Aspect aspect : Aspect.values()) {
            Rows.number(row, aspect.name().toLowerCase(Locale.ROOT)).ifPresent(value -> seen.put(aspect, value));
        }
        return seen;
    }

    boolean deleteTrial(UUID programId, UUID studentId, UUID id) {
        return jdbc.sql("""
                        delete from placing_trial
                        where program_id = :programId and student_id = :studentId and id = :id
                        """)
                        .param("programId", programId)
                        .param("studentId", studentId)
                        .param("id", id)
                        .update()
                == 1;
    }

    /** What people decided. */
    record Decided(UUID id, InstrumentCode instrument, String why, LocalDate on, String by) {}

    void insert(UUID programId, UUID id, UUID studentId, Decided decided, UUID accountId) {
        jdbc.sql("""
                insert into placing_decision (program_id, id, student_id, instrument, why, decided_on, decided_by)
                values (:programId, :id, :studentId, :instrument, :why, :on, :accountId)
                """)
                .param("programId", programId)
                .param("id", id)
                .param("studentId", studentId)
                .param("instrument", decided.instrument().value())
                .param("why", decided.why())
                .param("on", decided.on())
                .param("accountId", accountId)
                .update();
    }

    /** The latest first. */
    List<Decided> findDecided(UUID programId, UUID studentId) {
        return jdbc.sql("""
                        select d.id, d.instrument, d.why, d.decided_on, a.display_name
                        from placing_decision d
                        join account a on a.program_id = d.program_id and a.id = d.decided_by
                        where d.program_id = :programId and d.student_id = :studentId
                        order by d.decided_at desc, d.id
                        """)
                .param("programId", programId)
                .param("studentId", studentId)
                .query((row, i) -> new Decided(
                        Rows.id(row, "id"),
                        Rows.instrument(row, "instrument"),
                        row.getString("why"),
                        Rows.day(row, "decided_on"),
                        row.getString("display_name")))
                .list();
    }

    void insert(UUID programId, TwoWays compared, UUID accountId) {
        jdbc.sql("""
                insert into two_ways
                    (program_id, id, student_id, instrument, about, one, other, blind, better, compared_on, compared_by)
                values (:programId, :id, :studentId, :instrument, :about, :one, :other, :blind, :better, :on, :accountId)
                """)
                .param("programId", programId)
                .param("id", compared.id())
                .param("studentId", compared.studentId())
                .param("instrument", compared.instrument().value())
                .param("about", compared.about())
                .param("one", compared.one())
                .param("other", compared.other())
                .param("blind", compared.blind())
                .param("better", compared.better().name())
                .param("on", compared.on())
                .param("accountId", accountId)
                .update();
    }

    List<TwoWays> findTwoWays(UUID programId, UUID studentId) {
        return jdbc.sql("""
                        select id, student_id, instrument, about, one, other, blind, better, compared_on
                        from two_ways
                        where program_id = :programId and student_id = :studentId
                        """)
                .param("programId", programId)
                .param("studentId", studentId)
                .query((row, i) -> new TwoWays(
                        Rows.id(row, "id"),
                        Rows.id(row, "student_id"),
                        Rows.instrument(row, "instrument"),
                        row.getString("about"),
                        row.getString("one"),
                        row.getString("other"),
                        row.getBoolean("blind"),
                        Better.valueOf(row.getString("better")),
                        Rows.day(row, "compared_on")))
                .list();
    }
}
