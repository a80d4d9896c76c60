package vividroster.server.roster;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.namedparam.SqlParameterSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Roster;
import vividroster.core.roster.Seat;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Rows;

@Repository
class RosterQueries {

    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batch;

    RosterQueries(JdbcClient jdbc, NamedParameterJdbcTemplate batch) {
        this.jdbc = jdbc;
        this.batch = batch;
    }

    record NewStudent(UUID id, String name, String sortName, String number) {}

    record NewSeat(UUID id, Seat seat) {}

    List<Roster.Student> findRosterStudents(UUID programId) {
        return jdbc.sql(
                        "select id, name, student_number from student where program_id = :programId and erased_at is null")
                .param("programId", programId)
                .query((row, n) -> new Roster.Student(
                        Rows.id(row, "id"),
                        row.getString("name"),
                        Optional.ofNullable(row.getString("student_number"))))
                .list();
    }

    /** Seats held on a day or beginning later. */
    List<Seat> findSeatsNotEndedBefore(UUID programId, LocalDate day) {
        return jdbc.sql("""
                        select student_id, class_id, instrument, division, starts_on, ends_on, chair
                        from seat
                        where program_id = :programId and (ends_on is null or ends_on >= :day)
                        """)
                .param("programId", programId)
                .param("day", day)
                .query(RosterQueries::seat)
                .list();
    }

    /**
     * All seats, in any class and at any time, of students who hold a seat in a scope on a day.
     *
     * @param classIds null for every class
     * @param instruments empty for every instrument
     * @param division null for every division
     */
    List<Seat> findSeatsOfStudentsIn(
            UUID programId,
            @Nullable Collection<UUID> classIds,
            Collection<InstrumentCode> instruments,
            @Nullable String division,
            LocalDate day) {
        return jdbc.sql("""
                        select student_id, class_id, instrument, division, starts_on, ends_on, chair
                        from seat
                        where program_id = :programId
                          and student_id in (
                            select student_id
                            from seat
                            where program_id = :programId
                              and (:classIds::uuid[] is null or class_id = any(:classIds))
                              and (cardinality(:instruments::text[]) = 0 or instrument = any(:instruments))
                              and (:division::text is null or division = :division)
                              and starts_on <= :day
                              and (ends_on is null or ends_on >= :day))
                        """)
                .param("programId", programId)
                .param("classIds", classIds == null ? null : Rows.array(classIds), java.sql.Types.ARRAY)
                .param("instruments", Rows.codes(instruments))
                .param("division", division)
                .param("day", day)
                .query(RosterQueries::seat)
                .list();
    }

    List<Seat> findSeatsOfStudents(UUID programId, Collection<UUID> studentIds) {
        return jdbc.sql("""
                        select student_id, class_id, instrument, division, starts_on, ends_on, chair
                        from seat
                        where program_id = :programId and student_id = any(:studentIds)
                        order by starts_on, class_id
                        """)
                .param("programId", programId)
                .param("studentIds", studentIds.toArray(UUID[]::new))
                .query(RosterQueries::seat)
                .list();
    }

    List<Student> findStudents(UUID programId, Collection<UUID> ids) {
        return jdbc.sql("select id, name, sort_name from student where program_id = :programId and id = any(:ids)")
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query(Student.class)
                .list();
    }

    List<Student> findAllStudents(UUID programId) {
        return jdbc.sql(
                        "select id, name, sort_name from student where program_id = :programId and erased_at is null order by sort_name, id")
                .param("programId", programId)
                .query(Student.class)
                .list();
    }

    void insertStudents(UUID programId, List<NewStudent> students) {
        batch.batchUpdate(
                """
                insert into student (program_id, id, name, sort_name, student_number)
                values (:programId, :id, :name, :sortName, :number)
                """,
                students.stream()
                        .map(student -> new MapSqlParameterSource("programId", programId)
                                .addValue("id", student.id())
                                .addValue("name", student.name())
                                .addValue("sortName", student.sortName())
                                .addValue("number", student.number()))
                        .toArray(SqlParameterSource[]::new));
    }

    void insertSeats(UUID programId, List<NewSeat> seats) {
        batch.batchUpdate(
                """
                insert into seat (program_id, id, student_id, class_id, instrument, division, starts_on, ends_on, chair)
                values (:programId, :id, :studentId, :classId, :instrument, :division, :startsOn, :endsOn, :chair)
                """,
                seats.stream()
                        .map(seat -> new MapSqlParameterSource("programId", programId)
                                .addValue("id", seat.id())
                                .addValue("studentId", seat.seat().studentId())
                                .addValue("classId", seat.seat().classId())
                                .addValue("instrument", seat.seat().instrument().value())
                                .addValue("division", seat.seat().division())
                                .addValue("startsOn", seat.seat().startsOn())
                                .addValue("endsOn", seat.seat().endsOn().orElse(null), java.sql.Types.DATE)
                                .addValue("chair", chair(seat.seat()), java.sql.Types.SMALLINT))
                        .toArray(SqlParameterSource[]::new));
    }

    /** A student as a director types it; a new one where the id is new. */
    void putStudent(UUID programId, StudentDetails student) {
        jdbc.sql("""
                        insert into student (program_id, id, name, sort_name, student_number, grade)
                        values (:programId, :id, :name, :sortName, :number, :grade)
                        on conflict (program_id, id)
                        do update set name = excluded.name, sort_name = excluded.sort_name,
                                      student_number = excluded.student_number, grade = excluded.grade
                        where student.erased_at is null
                        """)
                .param("programId", programId)
                .param("id", student.id())
                .param("name", student.name())
                .param("sortName", student.sortName())
                .param("number", student.number().orElse(null), java.sql.Types.VARCHAR)
                .param("grade", student.grade())
                .update();
    }

    boolean isOnRoster(UUID programId, UUID studentId) {
        return jdbc.sql("""
                        select exists (
                            select 1 from student
                            where program_id = :programId and id = :studentId and erased_at is null)
                        """)
                .param("programId", programId)
                .param("studentId", studentId)
                .query(Boolean.class)
                .single();
    }

    /** Of who was erased the made-up name. */
    Optional<StudentDetails> findDetails(UUID programId, UUID studentId) {
        return jdbc.sql("""
                        select id, name, sort_name, student_number, grade
                        from student
                        where program_id = :programId and id = :studentId
                        """)
                .param("programId", programId)
                .param("studentId", studentId)
                .query((row, n) -> new StudentDetails(
                        Rows.id(row, "id"),
                        row.getString("name"),
                        row.getString("sort_name"),
                        Optional.ofNullable(row.getString("student_number")),
                        row.getString("grade")))
                .optional();
    }

    /** The chairs these seats stand on; none where a seat has none. */
    void putChairs(UUID programId, Collection<Seat> seats) {
        batch.batchUpdate(
                """
                update seat set chair = :chair
                where program_id = :programId and student_id = :studentId and class_id = :classId and starts_on = :startsOn
                """,
                seats.stream()
                        .map(seat -> key(programId, seat).addValue("chair", chair(seat), java.sql.Types.SMALLINT))
                        .toArray(SqlParameterSource[]::new));
    }

    private static Integer chair(Seat seat) {
        return seat.chair().isPresent() ? seat.chair().getAsInt() : null;
    }

    /** A student has one seat in a class on a day, and so one that begins on it. */
    private static MapSqlParameterSource key(UUID programId, Seat seat) {
        return new MapSqlParameterSource("programId", programId)
                .addValue("studentId", seat.studentId())
                .addValue("classId", seat.classId())
                .addValue("startsOn", seat.startsOn());
    }

    /** The seats of a student in a class become others; those that only end on another day stay the same rows. */
    void reseat(UUID programId, List<Seat> before, List<Seat> after) {
        List<Seat> gone = before.stream()
                .filter(seat -> after.stream().noneMatch(kept -> isSameRow(seat, kept)))
                .toList();
        List<Seat> kept = after.stream()
                .filter(seat -> before.stream().anyMatch(old -> isSameRow(old, seat)))
                .toList();
        batch.batchUpdate("""
                delete from seat
                where program_id = :programId and student_id = :studentId and class_id = :classId and starts_on = :startsOn
                """, gone.stream().map(seat -> key(programId, seat)).toArray(SqlParameterSource[]::new));
        batch.batchUpdate(
                """
                update seat set ends_on = :endsOn
                where program_id = :programId and student_id = :studentId and class_id = :classId and starts_on = :startsOn
                """,
                kept.stream()
                        .map(seat -> key(programId, seat)
                                .addValue("endsOn", seat.endsOn().orElse(null), java.sql.Types.DATE))
                        .toArray(SqlParameterSource[]::new));
        insertSeats(
                programId,
                after.stream()
                        .filter(seat -> !kept.contains(seat))
                        .map(seat -> new NewSeat(Ids.next(), seat))
                        .toList());
    }

    private static boolean isSameRow(Seat one, Seat other) {
        return one.startsOn().equals(other.startsOn()) && one.isSameAs(other);
    }

    void giveNumber(UUID programId, UUID studentId, String number) {
        jdbc.sql("""
                update student set student_number = :number
                where program_id = :programId and id = :studentId and student_number is null
                """)
                .param("programId", programId)
                .param("studentId", studentId)
                .param("number", number)
                .update();
    }

    /** False when the student holds no open seat in the class any more. */
    boolean endSeat(UUID programId, UUID studentId, UUID classId, LocalDate lastDay) {
        return jdbc.sql("""
                        update seat set ends_on = :lastDay
                        where program_id = :programId and student_id = :studentId and class_id = :classId
                          and ends_on is null and starts_on <= :lastDay
                        """)
                        .param("programId", programId)
                        .param("studentId", studentId)
                        .param("classId", classId)
                        .param("lastDay", lastDay)
                        .update()
                == 1;
    }

    /** Seats of a class that are held without an end. */
    List<Seat> findOpenSeats(UUID programId, UUID classId) {
        return jdbc.sql("""
                        select student_id, class_id, instrument, division, starts_on, ends_on, chair
                        from seat
                        where program_id = :programId and class_id = :classId and ends_on is null
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .query(RosterQueries::seat)
                .list();
    }

    /** Those that ended with the class. */
    void reopenSeats(UUID programId, UUID classId, LocalDate lastDay) {
        jdbc.sql("""
                update seat set ends_on = null
                where program_id = :programId and class_id = :classId and ends_on = :lastDay
                """)
                .param("programId", programId)
                .param("classId", classId)
                .param("lastDay", lastDay)
                .update();
    }

    /** Holds off other imports of the programme until the transaction ends. */
    void lockRoster(UUID programId) {
        jdbc.sql("select id from program where id = :programId for update -- program_id is its own id")
                .param("programId", programId)
                .query(UUID.class)
                .single();
    }

    void insertImport(UUID programId, UUID id, String file, UUID by, int taken, int unchanged, int refused) {
        jdbc.sql("""
                insert into roster_import (program_id, id, file_name, imported_by, rows_taken, rows_unchanged, rows_refused)
                values (:programId, :id, :file, :by, :taken, :unchanged, :refused)
                """)
                .param("programId", programId)
                .param("id", id)
                .param("file", file)
                .param("by", by)
                .param("taken", taken)
                .param("unchanged", unchanged)
                .param("refused", refused)
                .update();
    }

    record ImportRow(
            String fileName, String importedBy, OffsetDateTime importedAt, int taken, int unchanged, int refused) {}

    /** Files taken, latest first. */
    List<ImportRow> findImports(UUID programId, int most) {
        return jdbc.sql("""
                        select i.file_name, a.display_name as imported_by, i.imported_at, i.rows_taken as taken,
                               i.rows_unchanged as unchanged, i.rows_refused as refused
                        from roster_import i
                        join account a on a.program_id = i.program_id and a.id = i.imported_by
                        where i.program_id = :programId
                        order by i.imported_at desc
                        limit :most
                        """)
                .param("programId", programId)
                .param("most", most)
                .query((row, n) -> new ImportRow(
                        row.getString("file_name"),
                        row.getString("imported_by"),
                        row.getObject("imported_at", OffsetDateTime.class),
                        row.getInt("taken"),
                        row.getInt("unchanged"),
                        row.getInt("refused")))
                .list();
    }

    private static Seat seat(ResultSet row, int n) throws SQLException {
        return new Seat(
                Rows.id(row, "student_id"),
                Rows.id(row, "class_id"),
                Rows.instrument(row, "instrument"),
                row.getString("division"),
                Rows.day(row, "starts_on"),
                Rows.maybeDay(row, "ends_on"),
                Rows.number(row, "chair"));
    }
}
