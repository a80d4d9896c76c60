package vividroster.server.roster;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.core.season.MeetingPattern;
import vividroster.core.season.MeetingPattern.Slot;
import vividroster.server.platform.Rows;

@Repository
class ClassQueries {

    private final JdbcClient jdbc;

    ClassQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** In no order. */
    List<SchoolClass> findAll(UUID programId) {
        return find(programId, (UUID) null);
    }

    Optional<SchoolClass> findOne(UUID programId, UUID classId) {
        return find(programId, classId).stream().findFirst();
    }

    /** One row for each time a class meets. */
    private List<SchoolClass> find(UUID programId, UUID classId) {
        Map<UUID, SchoolClass> found = new HashMap<>();
        jdbc.sql("""
                        select c.id, c.name, c.campus, c.shape, c.last_day, m.weekdays, m.letters, m.period, m.starts_at,
                               m.minutes, m.campus as meeting_campus
                        from school_class c
                        left join class_meeting m on m.program_id = c.program_id and m.class_id = c.id
                        where c.program_id = :programId and (:classId::uuid is null or c.id = :classId)
                        order by c.id, m.place
                        """)
                .param("programId", programId)
                .param("classId", classId, java.sql.Types.OTHER)
                .query(row -> {
                    SchoolClass read = schoolClass(row);
                    found.merge(read.id(), read, ClassQueries::joined);
                });
        return List.copyOf(found.values());
    }

    private static SchoolClass joined(SchoolClass one, SchoolClass next) {
        List<Slot> slots = new ArrayList<>(one.meets().slots());
        slots.addAll(next.meets().slots());
        return new SchoolClass(
                one.id(), one.name(), one.campus(), one.shape(), new MeetingPattern(slots), one.lastDay());
    }

    private static SchoolClass schoolClass(ResultSet row) throws SQLException {
        return new SchoolClass(
                Rows.id(row, "id"),
                row.getString("name"),
                row.getString("campus"),
                ClassShape.valueOf(row.getString("shape")),
                new MeetingPattern(row.getObject("starts_at") == null ? List.of() : List.of(slot(row))),
                Rows.maybeDay(row, "last_day"));
    }

    private static Slot slot(ResultSet row) throws SQLException {
        return new Slot(
                Rows.numbers(row, "weekdays").stream().map(DayOfWeek::of).collect(Collectors.toSet()),
                Set.copyOf(Rows.texts(row, "letters")),
                row.getInt("period"),
                row.getObject("starts_at", LocalTime.class),
                row.getInt("minutes"),
                row.getString("meeting_campus"));
    }

    /** Name, campus, shape and times; a class of a new id is added. */
    void put(UUID programId, SchoolClass put) {
        jdbc.sql("""
                        insert into school_class (program_id, id, name, campus, shape)
                        values (:programId, :id, :name, :campus, :shape)
                        on conflict (program_id, id)
                        do update set name = excluded.name, campus = excluded.campus, shape = excluded.shape
                        """)
                .param("programId", programId)
                .param("id", put.id())
                .param("name", put.name())
                .param("campus", put.campus())
                .param("shape", put.shape().name())
                .update();
        jdbc.sql("delete from class_meeting where program_id = :programId and class_id = :id")
                .param("programId", programId)
                .param("id", put.id())
                .update();
        List<Slot> slots = put.meets().slots();
        for (int place = 0; place < slots.size(); place++) {
            insert(programId, put.id(), place, slots.get(place));
        }
    }

    private void insert(UUID programId, UUID classId, int place, Slot slot) {
        jdbc.sql("""
                        insert into class_meeting
                            (program_id, class_id, place, weekdays, letters, period, starts_at, minutes, campus)
                        values (:programId, :classId, :place, :weekdays, :letters, :period, :startsAt, :minutes, :campus)
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .param("place", place)
                .param(
                        "weekdays",
                        slot.weekdays().stream().map(DayOfWeek::getValue).toArray(Integer[]::new))
                .param("letters", slot.letters().toArray(String[]::new))
                .param("period", slot.period())
                .param("startsAt", slot.startsAt())
                .param("minutes", slot.minutes())
                .param("campus", slot.campus())
                .update();
    }

    /** @param lastDay null while it goes on */
    void putLastDay(UUID programId, UUID classId, LocalDate lastDay) {
        jdbc.sql("update school_class set last_day = :lastDay where program_id = :programId and id = :classId")
                .param("programId", programId)
                .param("classId", classId)
                .param("lastDay", lastDay, java.sql.Types.DATE)
                .update();
    }

    /** How many a director wants in a section of a class. */
    record Wanted(UUID classId, InstrumentCode instrument, String division, int students) {}

    /** Of every class. */
    List<Wanted> findWanted(UUID programId) {
        return jdbc.sql("""
                        select class_id, instrument, division, students
                        from class_wanted
                        where program_id = :programId
                        """)
                .param("programId", programId)
                .query((row, n) -> new Wanted(
                        Rows.id(row, "class_id"),
                        Rows.instrument(row, "instrument"),
                        row.getString("division"),
                        row.getInt("students")))
                .list();
    }

    void putWanted(UUID programId, UUID classId, List<Wanted> wanted) {
        jdbc.sql("delete from class_wanted where program_id = :programId and class_id = :classId")
                .param("programId", programId)
                .param("classId", classId)
                .update();
        wanted.forEach(one -> jdbc.sql("""
                        insert into class_wanted (program_id, class_id, instrument, division, students)
                        values (:programId, :classId, :instrument, :division, :students)
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .param("instrument", one.instrument().value())
                .param("division", one.division())
                .param("students", one.students())
                .update());
    }
}
