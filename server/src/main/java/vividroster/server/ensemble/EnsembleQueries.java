package vividroster.server.ensemble;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Rows;

/** What admits to each ensemble. */
@Repository
class EnsembleQueries {

    private final JdbcClient jdbc;

    EnsembleQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param kind as the API names it; rank of a belt, else 0 */
    record Kept(GateKind kind, int rank, List<UUID> milestoneIds) {}

    Optional<Kept> find(UUID programId, UUID classId) {
        return jdbc.sql("""
                        select kind, rank, milestone_ids
                        from ensemble_gate
                        where program_id = :programId and class_id = :classId
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .query((row, i) ->
                        new Kept(GateKind.valueOf(row.getString("kind")), row.getInt("rank"), List.of((UUID[])
                                row.getArray("milestone_ids").getArray())))
                .optional();
    }

    void put(UUID programId, UUID classId, GateKind kind, int rank, Collection<UUID> milestoneIds) {
        jdbc.sql("""
                insert into ensemble_gate (program_id, class_id, kind, rank, milestone_ids)
                values (:programId, :classId, :kind, :rank, :milestones)
                on conflict (program_id, class_id) do update
                set kind = excluded.kind, rank = excluded.rank, milestone_ids = excluded.milestone_ids
                """)
                .param("programId", programId)
                .param("classId", classId)
                .param("kind", kind.name())
                .param("rank", rank)
                .param("milestones", Rows.array(milestoneIds))
                .update();
    }
}
