package vividroster.bench;

import java.sql.Connection;
import java.sql.Date;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import vividroster.server.platform.Ids;

/** The statements the application needs for the same work, through JDBC and nothing else. */
final class BareSql {

    private final Connection connection;
    private final BenchSchool school;

    BareSql(Connection connection, BenchSchool school) {
        this.connection = connection;
        this.school = school;
    }

    /** Looks up year, seat, milestone and orders, adds the attempt, reads what stands of that student with that milestone. */
    void record(int n) throws SQLException {
        UUID student = school.heardStudents.get(n % BenchSchool.STUDENTS);
        UUID milestone = school.milestones.get(n / BenchSchool.STUDENTS % BenchSchool.MILESTONES);
        connection.setAutoCommit(false);
        whoAsks();
        read(
                "select m.id, m.kind, m.short_name, m.title, m.applies_to, m.version, v.pass_rule from milestone m join milestone_version v on v.program_id = m.program_id and v.milestone_id = m.id and v.version = m.version where m.program_id = ? and m.id = ?",
                milestone);
        read(
                "select ordinal, name, top_points, floor_points from criterion where program_id = ? and milestone_id = ?",
                milestone);
        read(
                "select class_id, instrument, division, starts_on, ends_on from seat where program_id = ? and student_id = ?",
                student);
        years();
        try (PreparedStatement insert = connection.prepareStatement("""
                insert into attempt (program_id, id, student_id, milestone_id, milestone_version, instrument, class_id, heard_by,
                                     heard_on, heard_at, evidence, outcome)
                values (?, ?, ?, ?, 1, 'trumpet', ?, ?, ?, ?, 'LIVE_ALONE', ?) on conflict do nothing
                """)) {
            insert.setObject(1, school.programId);
            insert.setObject(2, Ids.next());
            insert.setObject(3, student);
            insert.setObject(4, milestone);
            insert.setObject(5, school.heardClassId);
            insert.setObject(6, school.accountId);
            insert.setDate(7, Date.valueOf(LocalDate.of(2026, 12, 9)));
            insert.setTimestamp(8, Timestamp.from(atTheSchool()));
            insert.setString(9, n % 3 == 0 ? "PASS" : "NOT_YET");
            insert.executeUpdate();
        }
        read(
                "select belt_id, ordinal, instrument, milestone_id from belt_slot_filling where program_id = ? and milestone_id = ?",
                milestone);
        read("""
                select o.id, o.set_on, o.due_on, o.evidence, s.class_id, s.family, s.instrument, s.division
                from milestone_order o join order_scope s on s.program_id = o.program_id and s.order_id = o.id
                where o.program_id = ? and o.milestone_id = ?
                """, milestone);
        try (PreparedStatement select = connection.prepareStatement("""
                select instruments, steps
                from attempt_trail where program_id = ? and student_id = ? and milestone_id = ?
                """)) {
            select.setObject(1, school.programId);
            select.setObject(2, student);
            select.setObject(3, milestone);
            drain(select);
        }
        connection.commit();
        connection.setAutoCommit(true);
    }

    /** The moment the application would write: the day the programme stands still on, at this time of day. */
    private static Instant atTheSchool() {
        ZoneId zone = ZoneId.of("America/New_York");
        return LocalDate.of(2026, 12, 9)
                .atTime(LocalTime.now(zone))
                .atZone(zone)
                .toInstant();
    }

    /** Year, seats, students, orders, milestones with criteria, belts, and what stands of twelve students with forty milestones. */
    void board() throws SQLException {
        connection.setAutoCommit(false);
        whoAsks();
        years();
        read(
                "select student_id, class_id, instrument, division, starts_on, ends_on from seat where program_id = ? and class_id = ?",
                school.classId);
        readAny("select id, name, sort_name from student where program_id = ? and id = any(?)", school.students);
        read("""
                select o.id, o.milestone_id, o.set_on, o.due_on, o.evidence, s.class_id, s.family, s.instrument, s.division
                from milestone_order o join order_scope s on s.program_id = o.program_id and s.order_id = o.id
                where o.program_id = ? and (s.class_id = ? or s.class_id is null)
                """, school.classId);
        readAny(
                "select m.id, m.kind, m.short_name, m.title, m.applies_to, m.version, v.pass_rule from milestone m join milestone_version v on v.program_id = m.program_id and v.milestone_id = m.id and v.version = m.version where m.program_id = ? and m.id = any(?)",
                school.milestones);
        readAny(
                "select milestone_id, ordinal, name, top_points, floor_points from criterion where program_id = ? and milestone_id = any(?)",
                school.milestones);
        readAny(
                "select belt_id, ordinal, instrument, milestone_id from belt_slot_filling where program_id = ? and milestone_id = any(?)",
                school.milestones);
        try (PreparedStatement select = connection.prepareStatement("""
                select student_id, milestone_id, instruments, steps
                from attempt_trail where program_id = ? and student_id = any(?) and milestone_id = any(?)
                """)) {
            select.setObject(1, school.programId);
            select.setArray(2, uuids(school.students));
            select.setArray(3, uuids(school.milestones));
            drain(select);
        }
        connection.commit();
        connection.setAutoCommit(true);
    }

    /** Role, password and closing of an account count at its next request, so that each reads it. */
    private void whoAsks() throws SQLException {
        read(
                "select id, display_name, role, version from account where program_id = ? and id = ? and disabled_at is null",
                school.accountId);
    }

    private void years() throws SQLException {
        try (PreparedStatement select =
                connection.prepareStatement("select id, first_day, last_day from school_year where program_id = ?")) {
            select.setObject(1, school.programId);
            drain(select);
        }
    }

    private java.sql.Array uuids(List<UUID> ids) throws SQLException {
        return connection.createArrayOf("uuid", ids.toArray());
    }

    private void read(String sql, UUID id) throws SQLException {
        try (PreparedStatement select = connection.prepareStatement(sql)) {
            select.setObject(1, school.programId);
            select.setObject(2, id);
            drain(select);
        }
    }

    private void readAny(String sql, List<UUID> ids) throws SQLException {
        try (PreparedStatement select = connection.prepareStatement(sql)) {
            select.setObject(1, school.programId);
            select.setArray(2, uuids(ids));
            drain(select);
        }
    }

    static void drain(PreparedStatement select) throws SQLException {
        List<Object[]> rows = new ArrayList<>();
        try (ResultSet row = select.executeQuery()) {
            int columns = row.getMetaData().getColumnCount();
            while (row.next()) {
                Object[] values = new Object[columns];
                for (int i = 0; i < columns; i++) {
                    values[i] = row.getObject(i + 1);
                }
                rows.add(values);
            }
        }
        if (rows.size() > 1_000_000) {
            throw new SQLException("more rows than there can be");
        }
    }
}
