package vividroster.server.season;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.instrument.Family;
import vividroster.core.plan.PlanItem;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Rows;
import vividroster.server.roster.ScopeRequest;

/** What was chosen for a year, and the week each stands in. */
@Repository
class PlanItemQueries {

    private final JdbcClient jdbc;

    PlanItemQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Everything chosen for a year, in its order. */
    List<KeptItem> findAll(UUID programId, UUID yearId) {
        Map<UUID, List<SectionScope>> scopes = new LinkedHashMap<>();
        Map<UUID, KeptItem> items = new LinkedHashMap<>();
        jdbc.sql("""
                        select i.id, i.ordinal, i.kind, i.milestone_id, i.title, i.value, i.essential, i.teach_minutes,
                               i.heard_alone, i.not_before, i.due_by, i.margin_weeks, i.monday, i.pinned,
                               s.class_id, s.family, s.instrument, s.division
                        from plan_item i
                        join plan_item_scope s on s.program_id = i.program_id and s.item_id = i.id
                        where i.program_id = :programId and i.school_year_id = :yearId
                        order by i.ordinal, i.id, s.ordinal
                        """).param("programId", programId).param("yearId", yearId).query(row -> {
            UUID id = Rows.id(row, "id");
            scopes.computeIfAbsent(id, none -> new ArrayList<>()).add(scope(row));
            items.putIfAbsent(id, item(row, id));
        });
        return items.values().stream()
                .map(item -> item.forSections(item.id(), scopes.get(item.id())))
                .toList();
    }

    private static KeptItem item(ResultSet row, UUID id) throws SQLException {
        return new KeptItem(
                id,
                row.getInt("ordinal"),
                PlanItem.Kind.valueOf(row.getString("kind")),
                Optional.ofNullable(Rows.id(row, "milestone_id")),
                row.getString("title"),
                row.getInt("value"),
                row.getBoolean("essential"),
                row.getInt("teach_minutes"),
                row.getBoolean("heard_alone"),
                Rows.maybeDay(row, "not_before"),
                Rows.maybeDay(row, "due_by"),
                row.getInt("margin_weeks"),
                Rows.maybeDay(row, "monday"),
                row.getBoolean("pinned"),
                List.of());
    }

    private static SectionScope scope(ResultSet row) throws SQLException {
        String family = row.getString("family");
        return new ScopeRequest(
                        Rows.id(row, "class_id"),
                        family == null ? null : Family.valueOf(family),
                        Rows.maybeInstrument(row, "instrument").orElse(null),
                        row.getString("division"))
                .toScope();
    }

    /** Adds new ones; of one whose id is there already nothing changes. */
    void insert(UUID programId, UUID yearId, Collection<KeptItem> items) {
        for (KeptItem item : items) {
            int added = jdbc.sql("""
                            insert into plan_item (program_id, id, school_year_id, ordinal, kind, milestone_id, title, value,
                                                   essential, teach_minutes, heard_alone, not_before, due_by, margin_weeks,
                                                   monday, pinned)
                            values (:programId, :id, :yearId, :ordinal, :kind, :milestoneId, :title, :value, :essential,
                                    :teachMinutes, :heardAlone, :notBefore, :dueBy, :marginWeeks, :monday, :pinned)
                            on conflict (program_id, id) do nothing
                            """)
                    .param("programId", programId)
                    .param("id", item.id())
                    .param("yearId", yearId)
                    .param("ordinal", item.ordinal())
                    .param("kind", item.kind().name())
                    .param("milestoneId", item.milestoneId().orElse(null), Types.OTHER)
                    .param("title", item.title())
                    .params(settings(item))
                    .param("monday", item.monday().orElse(null), Types.DATE)
                    .param("pinned", item.pinned())
                    .update();
            if (added == 1) {
                insertScopes(programId, item);
            }
        }
    }

    private void insertScopes(UUID programId, KeptItem item) {
        int ordinal = 0;
        for (SectionScope scope : item.scopes()) {
            ScopeRequest columns = ScopeRequest.of(scope);
            jdbc.sql("""
                            insert into plan_item_scope (program_id, item_id, ordinal, class_id, family, instrument, division)
                            values (:programId, :itemId, :ordinal, :classId, :family, :instrument, :division)
                            """)
                    .param("programId", programId)
                    .param("itemId", item.id())
                    .param("ordinal", ++ordinal)
                    .param("classId", columns.classId(), Types.OTHER)
                    .param(
                            "family",
                            columns.family() == null ? null : columns.family().name())
                    .param(
                            "instrument",
                            columns.instrument() == null
                                    ? null
                                    : columns.instrument().value())
                    .param("division", columns.division())
                    .update();
        }
    }

    private static Map<String, Object> settings(KeptItem item) {
        Map<String, Object> settings = new LinkedHashMap<>();
        settings.put("value", item.value());
        settings.put("essential", item.essential());
        settings.put("teachMinutes", item.teachMinutes());
        settings.put("heardAlone", item.heardAlone());
        settings.put("notBefore", item.notBefore().orElse(null));
        settings.put("dueBy", item.dueBy().orElse(null));
        settings.put("marginWeeks", item.marginWeeks());
        return settings;
    }

    /** The item is for the sections it names now. */
    void replaceScopes(UUID programId, KeptItem item) {
        jdbc.sql("delete from plan_item_scope where program_id = :programId and item_id = :itemId")
                .param("programId", programId)
                .param("itemId", item.id())
                .update();
        insertScopes(programId, item);
    }

    /** What a director said of one: its worth, its minutes, its dates. */
    void updateSettings(UUID programId, KeptItem item) {
        jdbc.sql("""
                        update plan_item
                        set value = :value, essential = :essential, teach_minutes = :teachMinutes,
                            heard_alone = :heardAlone, not_before = :notBefore::date, due_by = :dueBy::date,
                            margin_weeks = :marginWeeks
                        where program_id = :programId and id = :id
                        """)
                .param("programId", programId)
                .param("id", item.id())
                .params(settings(item))
                .update();
    }

    /** @param monday null where it stands nowhere */
    void updateWeek(UUID programId, UUID itemId, LocalDate monday, boolean pinned) {
        jdbc.sql("""
                        update plan_item set monday = :monday, pinned = :pinned
                        where program_id = :programId and id = :id
                        """)
                .param("programId", programId)
                .param("id", itemId)
                .param("monday", monday, Types.DATE)
                .param("pinned", pinned)
                .update();
    }

    /** @return how many there were */
    int delete(UUID programId, Collection<UUID> itemIds) {
        return jdbc.sql("delete from plan_item where program_id = :programId and id = any(:ids)")
                .param("programId", programId)
                .param("ids", Rows.array(itemIds))
                .update();
    }
}
