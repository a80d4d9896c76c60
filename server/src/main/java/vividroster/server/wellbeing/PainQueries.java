package vividroster.server.wellbeing;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Rows;

@Repository
class PainQueries {

    private static final String SELECT = """
            select r.id, r.student_id, r.class_id, r.instrument, r.place, r.since, r.reported_on, a.display_name as reported_by,
                   f.note, fa.display_name as followed_up_by
            from pain_report r
            join account a on a.program_id = r.program_id and a.id = r.reported_by
            left join pain_follow_up f on f.program_id = r.program_id and f.report_id = r.id
            left join account fa on fa.program_id = f.program_id and fa.id = f.followed_up_by
            """;

    private final JdbcClient jdbc;

    PainQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** False when a report with this id is there already. */
    boolean insert(UUID programId, PainReport report, UUID accountId) {
        return jdbc.sql("""
                        insert into pain_report (program_id, id, student_id, class_id, instrument, place, since, reported_on,
                                                 reported_by)
                        values (:programId, :id, :studentId, :classId, :instrument, :place, :since, :reportedOn, :accountId)
                        on conflict (program_id, id) do nothing
                        """)
                        .param("programId", programId)
                        .param("id", report.id())
                        .param("studentId", report.studentId())
                        .param("classId", report.classId())
                        .param("instrument", report.instrument().value())
                        .param("place", report.place())
                        .param("since", report.since())
                        .param("reportedOn", report.reportedOn())
                        .param("accountId", accountId)
                        .update()
                == 1;
    }

    /** False when there is no such report or it was followed up before. */
    boolean insertFollowUp(UUID programId, UUID reportId, String note, UUID accountId) {
        return jdbc.sql("""
                        insert into pain_follow_up (program_id, report_id, note, followed_up_by)
                        select r.program_id, r.id, :note, :accountId
                        from pain_report r
                        where r.program_id = :programId and r.id = :reportId
                        on conflict (program_id, report_id) do nothing
                        """)
                        .param("programId", programId)
                        .param("reportId", reportId)
                        .param("note", note)
                        .param("accountId", accountId)
                        .update()
                == 1;
    }

    List<PainReport> findOfStudent(UUID programId, UUID studentId) {
        return jdbc.sql(SELECT + """
                        where r.program_id = :programId and r.student_id = :studentId
                        order by r.reported_on desc, r.reported_at desc
                        """)
                .param("programId", programId)
                .param("studentId", studentId)
                .query(PainQueries::report)
                .list();
    }

    /** Not followed up yet, oldest first. */
    List<PainReport> findOpen(UUID programId, Collection<UUID> studentIds) {
        return jdbc.sql(SELECT + """
                        where r.program_id = :programId and r.student_id = any(:studentIds) and f.report_id is null
                        order by r.reported_on, r.reported_at
                        """)
                .param("programId", programId)
                .param("studentIds", Rows.array(studentIds))
                .query(PainQueries::report)
                .list();
    }

    private static PainReport report(ResultSet row, int n) throws SQLException {
        return new PainReport(
                Rows.id(row, "id"),
                Rows.id(row, "student_id"),
                Rows.id(row, "class_id"),
                Rows.instrument(row, "instrument"),
                row.getString("place"),
                row.getString("since"),
                Rows.day(row, "reported_on"),
                row.getString("reported_by"),
                Optional.ofNullable(row.getString("note")),
                Optional.ofNullable(row.getString("followed_up_by")));
    }
}
