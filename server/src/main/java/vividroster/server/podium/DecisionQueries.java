package vividroster.server.podium;

import java.util.Collection;
import java.util.HashMap;
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
