package vividroster.server.season;

import java.sql.Types;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Rows;
import vividroster.server.season.PlanViews.WaitingProposalView;

/** Plans that wait to be taken. */
@Repository
class ProposalQueries {

    /** What a proposal is good at. */
    enum Aim {
        BALANCED,
        LEAST_CHANGE
    }

    /** @param changes by item the Monday of its week; empty where it is left out */
    record Proposal(
            UUID id,
            UUID yearId,
            UUID classId,
            Aim aim,
            String cause,
            OffsetDateTime madeAt,
            Map<UUID, Optional<LocalDate>> changes) {}

    private final JdbcClient jdbc;

    ProposalQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(UUID programId, UUID accountId, Proposal proposal) {
        jdbc.sql("""
                        insert into plan_proposal (program_id, id, school_year_id, class_id, aim, cause, made_at, made_by)
                        values (:programId, :id, :yearId, :classId, :aim, :cause, :madeAt, :accountId)
                        """)
                .param("programId", programId)
                .param("id", proposal.id())
                .param("yearId", proposal.yearId())
                .param("classId", proposal.classId())
                .param("aim", proposal.aim().name())
                .param("cause", proposal.cause())
                .param("madeAt", proposal.madeAt())
                .param("accountId", accountId)
                .update();
        proposal.changes()
                .forEach((itemId, monday) -> jdbc.sql("""
                                insert into plan_proposal_change (program_id, proposal_id, item_id, monday)
                                values (:programId, :proposalId, :itemId, :monday)
                                """)
                        .param("programId", programId)
                        .param("proposalId", proposal.id())
                        .param("itemId", itemId)
                        .param("monday", monday.orElse(null), Types.DATE)
                        .update());
    }

    List<WaitingProposalView> findWaiting(UUID programId, UUID yearId, Collection<UUID> classIds) {
        return jdbc.sql("""
                        select p.id, p.cause, p.made_at, count(c.item_id) as changes
                        from plan_proposal p
                        left join plan_proposal_change c on c.program_id = p.program_id and c.proposal_id = p.id
                        where p.program_id = :programId and p.school_year_id = :yearId and p.class_id = any(:classIds)
                        group by p.program_id, p.id
                        order by p.made_at, p.id
                        """)
                .param("programId", programId)
                .param("yearId", yearId)
                .param("classIds", Rows.array(classIds))
                .query((row, n) -> new WaitingProposalView(
                        Rows.id(row, "id"),
                        row.getString("cause"),
                        row.getObject("made_at", OffsetDateTime.class),
                        row.getInt("changes")))
                .list();
    }

    /** Those that wait for a class, the first made first. */
    List<Proposal> findAll(UUID programId, UUID yearId, UUID classId) {
        Map<UUID, Proposal> found = new LinkedHashMap<>();
        jdbc.sql("""
                        select p.id, p.aim, p.cause, p.made_at, c.item_id, c.monday
                        from plan_proposal p
                        left join plan_proposal_change c on c.program_id = p.program_id and c.proposal_id = p.id
                        where p.program_id = :programId and p.school_year_id = :yearId and p.class_id = :classId
                        order by p.made_at, p.aim, p.id, c.monday, c.item_id
                        """)
                .param("programId", programId)
                .param("yearId", yearId)
                .param("classId", classId)
                .query(row -> {
                    UUID id = Rows.id(row, "id");
                    Proposal proposal = found.get(id);
                    if (proposal == null) {
                        proposal = new Proposal(
                                id,
                                yearId,
                                classId,
                                Aim.valueOf(row.getString("aim")),
                                row.getString("cause"),
                                row.getObject("made_at", OffsetDateTime.class),
                                new LinkedHashMap<>());
                        found.put(id, proposal);
                    }
                    UUID itemId = Rows.id(row, "item_id");
                    if (itemId != null) {
                        proposal.changes().put(itemId, Rows.maybeDay(row, "monday"));
                    }
                });
        return List.copyOf(found.values());
    }

    /** What was asked before gives way to what is asked now. */
    void deleteOf(UUID programId, UUID yearId, UUID classId) {
        jdbc.sql("""
                        delete from plan_proposal
                        where program_id = :programId and school_year_id = :yearId and class_id = :classId
                        """)
                .param("programId", programId)
                .param("yearId", yearId)
                .param("classId", classId)
                .update();
    }

    /** Changes that were taken wait no longer. */
    void deleteChanges(UUID programId, UUID proposalId, Collection<UUID> itemIds) {
        jdbc.sql("""
                        delete from plan_proposal_change
                        where program_id = :programId and proposal_id = :proposalId and item_id = any(:itemIds)
                        """)
                .param("programId", programId)
                .param("proposalId", proposalId)
                .param("itemIds", Rows.array(itemIds))
                .update();
    }
}
