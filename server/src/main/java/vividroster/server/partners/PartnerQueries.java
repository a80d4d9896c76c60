package vividroster.server.partners;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.roster.PartnerPairs;
import vividroster.server.partners.PartnerCheck.Measures;
import vividroster.server.partners.PartnerCheck.Pairing;
import vividroster.server.platform.Rows;

@Repository
class PartnerQueries {

    private static final String SELECT = """
            select program_id, id, class_id, milestone_id, held_on, pairing, watch
            from partner_check
            """;

    private final JdbcClient jdbc;

    PartnerQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** False when a partner check with this id is there already. */
    boolean insert(UUID programId, PartnerCheck check, UUID accountId) {
        int inserted = jdbc.sql("""
                        insert into partner_check (program_id, id, class_id, milestone_id, held_on, pairing, watch, made_by)
                        values (:programId, :id, :classId, :milestoneId, :heldOn, :pairing, :watch, :accountId)
                        on conflict (program_id, id) do nothing
                        """)
                .param("programId", programId)
                .param("id", check.id())
                .param("classId", check.classId())
                .param("milestoneId", check.milestoneId())
                .param("heldOn", check.heldOn())
                .param("pairing", check.pairing().name())
                .param("watch", check.watch().toArray(String[]::new))
                .param("accountId", accountId)
                .update();
        if (inserted == 0) {
            return false;
        }
        int ordinal = 0;
        for (PartnerPairs.Group group : check.groups()) {
            jdbc.sql("""
                    insert into partner_group (program_id, partner_check_id, ordinal, members)
                    values (:programId, :checkId, :ordinal, :members)
                    """)
                    .param("programId", programId)
                    .param("checkId", check.id())
                    .param("ordinal", ++ordinal)
                    .param("members", Rows.array(group.members()))
                    .update();
        }
        for (Measures measures : check.measures()) {
            jdbc.sql("""
                    insert into partner_measures (program_id, partner_check_id, instrument, division, first_measure,
                                                  last_measure)
                    values (:programId, :checkId, :instrument, :division, :first, :last)
                    """)
                    .param("programId", programId)
                    .param("checkId", check.id())
                    .param("instrument", measures.instrument().value())
                    .param("division", measures.division())
                    .param("first", measures.first())
                    .param("last", measures.last())
                    .update();
        }
        return true;
    }

    Optional<PartnerCheck> find(UUID programId, UUID id) {
        return whole(
                        programId,
                        jdbc.sql(SELECT + " where program_id = :programId and id = :id")
                                .param("programId", programId)
                                .param("id", id)
                                .query(PartnerQueries::bare)
                                .list())
                .stream()
                .findFirst();
    }

    /** Oldest first. */
    List<PartnerCheck> findOfClass(UUID programId, UUID classId) {
        return whole(
                programId,
                jdbc.sql(SELECT + """
                        where program_id = :programId and class_id = :classId
                        order by held_on, made_at
                        """)
                        .param("programId", programId)
                        .param("classId", classId)
                        .query(PartnerQueries::bare)
                        .list());
    }

    private List<PartnerCheck> whole(UUID programId, List<PartnerCheck> bare) {
        Collection<UUID> ids = bare.stream().map(PartnerCheck::id).toList();
        Map<UUID, List<PartnerPairs.Group>> groups = new HashMap<>();
        jdbc.sql("""
                        select partner_check_id, members
                        from partner_group
                        where program_id = :programId and partner_check_id = any(:ids)
                        order by partner_check_id, ordinal
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query(row -> {
                    UUID[] members = (UUID[]) row.getArray("members").getArray();
                    groups.computeIfAbsent(Rows.id(row, "partner_check_id"), id -> new ArrayList<>())
                            .add(new PartnerPairs.Group(Arrays.asList(members)));
                });
        Map<UUID, List<Measures>> measures = new HashMap<>();
        jdbc.sql("""
                        select partner_check_id, instrument, division, first_measure, last_measure
                        from partner_measures
                        where program_id = :programId and partner_check_id = any(:ids)
                        order by partner_check_id, instrument, division
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query(row -> {
                    measures.computeIfAbsent(Rows.id(row, "partner_check_id"), id -> new ArrayList<>())
                            .add(new Measures(
                                    Rows.instrument(row, "instrument"),
                                    row.getString("division"),
                                    row.getInt("first_measure"),
                                    row.getInt("last_measure")));
                });
        return bare.stream()
                .map(one -> new PartnerCheck(
                        one.id(),
                        one.classId(),
                        one.milestoneId(),
                        one.heldOn(),
                        one.pairing(),
                        one.watch(),
                        measures.getOrDefault(one.id(), List.of()),
                        groups.getOrDefault(one.id(), List.of())))
                .toList();
    }

    private static PartnerCheck bare(ResultSet row, int n) throws SQLException {
        return new PartnerCheck(
                Rows.id(row, "id"),
                Rows.id(row, "class_id"),
                Rows.id(row, "milestone_id"),
                Rows.day(row, "held_on"),
                Pairing.valueOf(row.getString("pairing")),
                Rows.texts(row, "watch"),
                List.of(),
                List.of());
    }
}
