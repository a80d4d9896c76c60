package vividroster.server.erasing;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.roster.Seat;
import vividroster.server.platform.Rows;

/** What is written of a student, wherever it is written. */
@Repository
class ErasingQueries {

    private final JdbcClient jdbc;

    ErasingQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** False when there is no such student or it was erased before. */
    boolean rename(UUID programId, UUID studentId, String madeUp) {
        return jdbc.sql("""
                                update student
                                set name = :madeUp, sort_name = :madeUp, student_number = null, grade = '', erased_at = now()
                                where program_id = :programId and id = :studentId and erased_at is null
                                """)
                        .param("programId", programId)
                        .param("studentId", studentId)
                        .param("madeUp", madeUp)
                        .update()
                == 1;
    }

    void endSeats(UUID programId, UUID studentId, LocalDate today) {
        jdbc.sql("""
                update seat set ends_on = greatest(starts_on, :yesterday)
                where program_id = :programId and student_id = :studentId and (ends_on is null or ends_on > :yesterday)
                """)
                .param("programId", programId)
                .param("studentId", studentId)
                .param("yesterday", today.minusDays(1))
                .update();
    }

    /** What the application may not change itself, by the owner's function, which notes it. */
    void eraseWords(UUID programId, UUID studentId, Optional<UUID> accountId) {
        jdbc.sql("select erase_words_of_student(:programId, :studentId, :accountId)::text")
                .param("programId", programId)
                .param("studentId", studentId)
                .param("accountId", accountId.orElse(null), java.sql.Types.OTHER)
                .query((row, n) -> row.getString(1))
                .list();
    }

    void deleteWhatIsOnlyWords(UUID programId, UUID studentId) {
        for (String sql : List.of(
                "delete from pain_report where program_id = :programId and student_id = :studentId",
                "delete from student_variant where program_id = :programId and student_id = :studentId",
                "delete from student_fit where program_id = :programId and student_id = :studentId",
                "delete from remedy_helped where program_id = :programId and student_id = :studentId",
                "delete from absence where program_id = :programId and student_id = :studentId",
                "delete from placing_trial where program_id = :programId and student_id = :studentId",
                "delete from placing_decision where program_id = :programId and student_id = :studentId",
                "delete from two_ways where program_id = :programId and student_id = :studentId",
                "delete from belt_hand_over where program_id = :programId and student_id = :studentId",
                "delete from habit_look where program_id = :programId and student_id = :studentId",
                "delete from measurement where program_id = :programId and student_id = :studentId")) {
            jdbc.sql(sql)
                    .param("programId", programId)
                    .param("studentId", studentId)
                    .update();
        }
    }

    OptionalInt findKeepYears(UUID programId) {
        return jdbc.sql("select keep_years from program where id = :programId -- program_id is its own id")
                .param("programId", programId)
                .query((row, n) -> Rows.number(row, "keep_years"))
                .single();
    }

    void putKeepYears(UUID programId, OptionalInt years) {
        jdbc.sql("update program set keep_years = :years where id = :programId -- program_id is its own id")
                .param("programId", programId)
                .param("years", years.isPresent() ? years.getAsInt() : null, java.sql.Types.SMALLINT)
                .update();
    }

    /** All seats of students who were not erased, by student. */
    Map<UUID, List<Seat>> findSeatsOfNamed(UUID programId) {
        return jdbc
                .sql("""
                        select t.student_id, t.class_id, t.instrument, t.division, t.starts_on, t.ends_on
                        from seat t
                        join student s on s.program_id = t.program_id and s.id = t.student_id
                        where t.program_id = :programId and s.erased_at is null
                        """)
                .param("programId", programId)
                .query((row, n) -> new Seat(
                        Rows.id(row, "student_id"),
                        Rows.id(row, "class_id"),
                        Rows.instrument(row, "instrument"),
                        row.getString("division"),
                        Rows.day(row, "starts_on"),
                        Rows.maybeDay(row, "ends_on")))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Seat::studentId));
    }
}
