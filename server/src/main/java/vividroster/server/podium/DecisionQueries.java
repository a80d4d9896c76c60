package vividroster.server.podium;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.SectionJudgement.Verdict;
import vividroster.server.platform.Rows;
import vividroster.server.podium.Decisions.Decided;
import vividroster.server.podium.Decisions.On;

/** What directors decided for sections. */
@Repository
class DecisionQueries {

    private final JdbcClient jdbc;

    DecisionQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(UUID programId, UUID id, On on, Decided decided, Verdict advised, UUID accountId) {
        jdbc.sql("""
                        insert into section_decision (program_id, id, class_id, instrument, milestone_id, decided_on, advised,
                                                      decided, decided_by)
                        values (:programId, :id, :classId, :instrument, :milestoneId, :on, :advised, :decided, :accountId)
                        """)
                .param("programId", programId)
                .param("id", id)
                .param("classId", on.classId())
                .param("instrument", on.instrument().map(InstrumentCode::value).orElse(null))
                .param("milestoneId", on.milestoneId())
                .param("on", decided.on())
                .param("advised", advised.name())
                .param("decided", decided.verdict().name())
                .param("accountId", accountId)
                .update();
    }

    /** A decision with what was advised. */
    record Kept(UUID id, On on, Verdict advised, Decided decided, String decidedBy) {}

    /** Those of a class from a day on, the latest first. */
    List<Kept> findSince(UUID programId, UUID classId, LocalDate from, int most) {
        return jdbc.sql("""
                        select d.id, d.class_id, d.instrument, d.milestone_id, d.decided_on, d.advised, d.decided, a.display_name
                        from section_decision d
                        join account a on a.program_id = d.program_id and a.id = d.decided_by
                        where d.program_id = :programId and d.class_id = :classId and d.decided_on >= :from
                        order by d.decided_on desc, d.decided_at desc, d.id
                        limit :most
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .param("from", from)
                .param("most", most)
                .query((row, i) -> new Kept(
                        Rows.id(row, "id"),
                        new On(
                                Rows.id(row, "class_id"),
                                Rows.maybeInstrument(row, "instrument"),
                                Rows.id(row, "milestone_id")),
                        Verdict.valueOf(row.getString("advised")),
                        new Decided(Verdict.valueOf(row.getString("decided")), Rows.day(row, "decided_on")),
                        row.getString("display_name")))
                .list();
    }

    /** The last decision of each class, section and milestone. */
    Map<On, Decided> findLast(UUID programId, Collection<UUID> classIds, Collection<UUID> milestoneIds) {
        Map<On, Decided> decided = new HashMap<>();
        jdbc.sql("""
                        select class_id, instrument, milestone_id, decided_on, decided
                        from section_decision
                        where program_id = :programId and class_id = any(:classIds) and milestone_id = any(:milestoneIds)
                        order by decided_at, id
                        """)
                .param("programId", programId)
                .param("classIds", Rows.array(classIds))
                .param("milestoneIds", Rows.array(milestoneIds))
                .query(row -> {
                    decided.put(
                            new On(
                                    Rows.id(row, "class_id"),
                                    Optional.ofNullable(row.getString("instrument"))
                                            .map(InstrumentCode::new),
                                    Rows.id(row, "milestone_id")),
                            new Decided(Verdict.valueOf(row.getString("decided")), Rows.day(row, "decided_on")));
                });
        return decided;
    }
}
