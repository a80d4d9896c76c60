package vividroster.server.checks;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Rows;

/** What helped whom. */
@Repository
class RemedyQueries {

    private final JdbcClient jdbc;

    RemedyQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The same remedy for the same fault of a student is kept once a day. */
    void insert(UUID programId, Remedies.Helped helped, UUID accountId) {
        jdbc.sql("""
                insert into remedy_helped (program_id, id, student_id, milestone_id, instrument, sign, remedy, helped_on,
                                           noted_by)
                values (:programId, :id, :studentId, :milestoneId, :instrument, :sign, :remedy, :helpedOn, :accountId)
                on conflict do nothing
                """)
                .param("programId", programId)
                .param("id", helped.id())
                .param("studentId", helped.studentId())
                .param("milestoneId", helped.milestoneId())
                .param("instrument", helped.instrument().value())
                .param("sign", helped.sign())
                .param("remedy", helped.remedy())
                .param("helpedOn", helped.helpedOn())
                .param("accountId", accountId)
                .update();
    }

    void delete(UUID programId, UUID id) {
        jdbc.sql("delete from remedy_helped where program_id = :programId and id = :id")
                .param("programId", programId)
                .param("id", id)
                .update();
    }

    private static final String SELECT = """
            select program_id, id, student_id, milestone_id, instrument, sign, remedy, helped_on
            from remedy_helped
            """;

    List<Remedies.Helped> findOfCheck(UUID programId, UUID milestoneId, Collection<UUID> studentIds) {
        return jdbc.sql(SELECT + """
                        where program_id = :programId and milestone_id = :milestoneId and student_id = any(:studentIds)
                        order by helped_on desc, noted_at desc
                        """)
                .param("programId", programId)
                .param("milestoneId", milestoneId)
                .param("studentIds", Rows.array(studentIds))
                .query(RemedyQueries::helped)
                .list();
    }

    List<Remedies.Helped> findOfChecks(UUID programId, Collection<UUID> milestoneIds) {
        return jdbc.sql(SELECT + """
                        where program_id = :programId and milestone_id = any(:milestoneIds)
                        order by helped_on desc, noted_at desc
                        """)
                .param("programId", programId)
                .param("milestoneIds", Rows.array(milestoneIds))
                .query(RemedyQueries::helped)
                .list();
    }

    List<Remedies.Helped> findOfStudent(UUID programId, UUID studentId) {
        return jdbc.sql(SELECT + """
                        where program_id = :programId and student_id = :studentId
                        order by helped_on desc, noted_at desc
                        """)
                .param("programId", programId)
                .param("studentId", studentId)
                .query(RemedyQueries::helped)
                .list();
    }

    private static Remedies.Helped helped(java.sql.ResultSet row, int n) throws java.sql.SQLException {
        return new Remedies.Helped(
                Rows.id(row, "id"),
                Rows.id(row, "student_id"),
                Rows.id(row, "milestone_id"),
                Rows.instrument(row, "instrument"),
                row.getString("sign"),
                row.getString("remedy"),
                row.getObject("helped_on", LocalDate.class));
    }
}
