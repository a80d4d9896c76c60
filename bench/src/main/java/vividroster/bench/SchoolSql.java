package vividroster.bench;

import java.sql.Connection;
import java.sql.Date;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;

/** The least a page of a full school needs: one statement for each table it shows rows of, read through JDBC and left at that. */
final class SchoolSql {

    private static final String SEATS = """
            select s.student_id, s.class_id, s.instrument, s.division, s.starts_on, s.ends_on, t.name, t.sort_name
            from seat s
            join student t on t.program_id = s.program_id and t.id = s.student_id
            where s.program_id = ? and s.class_id = any(?)
            """;
    private static final String ORDERS = """
            select o.id, o.milestone_id, o.set_on, o.due_on, o.evidence, s.class_id, s.family, s.instrument, s.division
            from milestone_order o
            join order_scope s on s.program_id = o.program_id and s.order_id = o.id
            join school_year y on y.program_id = o.program_id and y.id = o.school_year_id
            where o.program_id = ? and s.class_id = any(?) and ? between y.first_day and y.last_day
            """;
    private static final String MILESTONES = """
            select distinct m.id, m.kind, m.short_name, m.title, m.applies_to, m.version, v.pass_rule
            from milestone_order o
            join order_scope s on s.program_id = o.program_id and s.order_id = o.id
            join school_year y on y.program_id = o.program_id and y.id = o.school_year_id
            join milestone m on m.program_id = o.program_id and m.id = o.milestone_id
            join milestone_version v on v.program_id = m.program_id and v.milestone_id = m.id and v.version = m.version
            where o.program_id = ? and s.class_id = any(?) and ? between y.first_day and y.last_day
            """;
    private static final String TRAILS = """
            select t.student_id, t.milestone_id, t.instruments, t.steps
            from seat c
            join order_scope s on s.program_id = c.program_id and s.class_id = c.class_id
            join milestone_order o on o.program_id = s.program_id and o.id = s.order_id
            join school_year y on y.program_id = o.program_id and y.id = o.school_year_id
            join attempt_trail t
              on t.program_id = c.program_id and t.student_id = c.student_id and t.milestone_id = o.milestone_id
            where c.program_id = ? and c.class_id = any(?) and ? between y.first_day and y.last_day
            """;

    private final Connection connection;
    private final FullSchool school;

    SchoolSql(Connection connection, FullSchool school) {
        this.connection = connection;
        this.school = school;
    }

    /** Of these classes: seats with names, orders of the year, their milestones, and what was heard of them. */
    void sheet(List<UUID> classes) throws SQLException {
        connection.setAutoCommit(false);
        read(SEATS, classes, false);
        read(ORDERS, classes, true);
        read(MILESTONES, classes, true);
        read(TRAILS, classes, true);
        connection.commit();
        connection.setAutoCommit(true);
    }

    /** Of one student: seats, all milestones ever heard, their trails, and the latest tries of the first thirty. */
    void folder(UUID student) throws SQLException {
        connection.setAutoCommit(false);
        ofStudent("select class_id, instrument, division from seat where program_id = ? and student_id = ?", student);
        ofStudent("""
                select m.id, m.kind, m.short_name, m.title, t.instruments, t.steps
                from attempt_trail t join milestone m on m.program_id = t.program_id and m.id = t.milestone_id
                where t.program_id = ? and t.student_id = ?
                """, student);
        ofStudent("""
                select l.*
                from (select program_id, student_id, milestone_id from attempt_trail
                      where program_id = ? and student_id = ? order by milestone_id limit 70) t
                cross join lateral (
                    select id, heard_on, recorded_at, outcome, evidence, class_id, heard_by, reason, note, corrects_id
                    from attempt a
                    where a.program_id = t.program_id and a.student_id = t.student_id and a.milestone_id = t.milestone_id
                    order by heard_at desc, recorded_at desc limit 4) l
                """, student);
        connection.commit();
        connection.setAutoCommit(true);
    }

    private void ofStudent(String sql, UUID student) throws SQLException {
        try (PreparedStatement select = connection.prepareStatement(sql)) {
            select.setObject(1, school.programId);
            select.setObject(2, student);
            BareSql.drain(select);
        }
    }

    private void read(String sql, List<UUID> classes, boolean ofYear) throws SQLException {
        try (PreparedStatement select = connection.prepareStatement(sql)) {
            select.setObject(1, school.programId);
            select.setArray(2, connection.createArrayOf("uuid", classes.toArray()));
            if (ofYear) {
                select.setDate(3, Date.valueOf(FullSchool.TODAY));
            }
            BareSql.drain(select);
        }
    }
}
