package vividroster.server.orders;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.instrument.Family;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Carried;
import vividroster.core.season.MilestoneOrder;
import vividroster.server.platform.Rows;
import vividroster.server.roster.ScopeRequest;

@Repository
class OrderQueries {

    private static final String SELECT = """
            select o.id, o.milestone_id, o.set_on, o.due_on, o.evidence, s.class_id, s.family, s.instrument, s.division,
                   s.joined_since,
                   exists (select 1 from order_carry c where c.program_id = o.program_id and c.order_id = o.id) as carries
            from milestone_order o
            join order_scope s on s.program_id = o.program_id and s.order_id = o.id
            """;

    private final JdbcClient jdbc;

    OrderQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private record Row(
            UUID id,
            UUID milestoneId,
            LocalDate setOn,
            LocalDate dueOn,
            Set<Evidence> evidence,
            SectionScope scope,
            boolean carries) {}

    /**
     * Orders not withdrawn with a scope in one of these classes or across classes; each whole.
     *
     * @param yearId null for every school year
     */
    List<MilestoneOrder> findReaching(UUID programId, UUID yearId, Collection<UUID> classIds) {
        return orders(
                programId,
                jdbc.sql(SELECT + """
                        where o.program_id = :programId
                          and (:yearId::uuid is null or o.school_year_id = :yearId)
                          and o.withdrawn_at is null
                          and exists (
                            select 1
                            from order_scope r
                            where r.program_id = o.program_id and r.order_id = o.id
                              and (r.class_id = any(:classIds) or r.class_id is null))
                        order by o.due_on, o.id, s.ordinal
                        """)
                        .param("programId", programId)
                        .param("yearId", yearId, java.sql.Types.OTHER)
                        .param("classIds", Rows.array(classIds))
                        .query(OrderQueries::row)
                        .list());
    }

    /** Orders of a school year, not withdrawn, of any of these milestones. */
    List<MilestoneOrder> findOf(UUID programId, UUID yearId, Collection<UUID> milestoneIds) {
        return orders(
                programId,
                jdbc.sql(SELECT + """
                        where o.program_id = :programId
                          and o.school_year_id = :yearId
                          and o.withdrawn_at is null
                          and o.milestone_id = any(:milestoneIds)
                        order by o.due_on, o.id, s.ordinal
                        """)
                        .param("programId", programId)
                        .param("yearId", yearId)
                        .param("milestoneIds", Rows.array(milestoneIds))
                        .query(OrderQueries::row)
                        .list());
    }

    /** With its year and also when withdrawn. */
    Optional<MilestoneOrder> find(UUID programId, UUID orderId) {
        return orders(
                        programId,
                        jdbc.sql(SELECT + "where o.program_id = :programId and o.id = :orderId order by s.ordinal")
                                .param("programId", programId)
                                .param("orderId", orderId)
                                .query(OrderQueries::row)
                                .list())
                .stream()
                .findFirst();
    }

    /**
     * False when an order with this id is there already.
     *
     * @throws org.springframework.dao.DuplicateKeyException of {@code milestone_order_set_once} when the milestone is set
     *     for these sections in this year
     */
    boolean insert(UUID programId, UUID yearId, MilestoneOrder order, UUID accountId) {
        int inserted = jdbc.sql("""
                        insert into milestone_order (program_id, id, school_year_id, milestone_id, set_on, due_on, evidence,
                                                     scopes_key, ordered_by)
                        values (:programId, :id, :yearId, :milestoneId, :setOn, :dueOn, :evidence, :scopesKey,
                                :accountId)
                        on conflict (program_id, id) do nothing
                        """)
                .param("programId", programId)
                .param("id", order.id())
                .param("yearId", yearId)
                .param("scopesKey", scopesKey(order))
                .param("milestoneId", order.milestoneId())
                .param("setOn", order.setOn())
                .param("dueOn", order.dueOn())
                .param(
                        "evidence",
                        order.evidence().stream().map(Enum::name).sorted().toArray(String[]::new))
                .param("accountId", accountId)
                .update();
        if (inserted == 0) {
            return false;
        }
        int ordinal = 0;
        for (SectionScope scope : order.scopes()) {
            ScopeRequest columns = ScopeRequest.of(scope);
            jdbc.sql("""
                    insert into order_scope (program_id, order_id, ordinal, class_id, family, instrument, division, joined_since)
                    values (:programId, :orderId, :ordinal, :classId, :family, :instrument, :division, :joinedSince)
                    """)
                    .param("programId", programId)
                    .param("orderId", order.id())
                    .param("ordinal", ++ordinal)
                    .param("classId", columns.classId(), java.sql.Types.OTHER)
                    .param(
                            "family",
                            columns.family() == null ? null : columns.family().name())
                    .param(
                            "instrument",
                            columns.instrument() == null
                                    ? null
                                    : columns.instrument().value())
                    .param("division", columns.division())
                    .param("joinedSince", columns.joinedSince(), java.sql.Types.DATE)
                    .update();
        }
        insertCarried(programId, order);
        return true;
    }

    /** Its sections in one text, whatever their order. */
    private static String scopesKey(MilestoneOrder order) {
        return order.scopes().stream()
                .map(ScopeRequest::of)
                .map(scope -> Stream.of(scope.classId(), scope.family(), scope.instrument(), scope.division())
                                .map(part -> Objects.toString(part, ""))
                                .collect(Collectors.joining("/"))
                        + (scope.joinedSince() == null ? "" : "/since " + scope.joinedSince()))
                .sorted()
                .distinct()
                .collect(Collectors.joining(","));
    }

    private void insertCarried(UUID programId, MilestoneOrder order) {
        int ordinal = 0;
        for (Carried carried : order.carried()) {
            jdbc.sql("""
                    insert into order_carry (program_id, order_id, ordinal, family, instrument, division, line_id, place,
                                             pattern, drill)
                    values (:programId, :orderId, :ordinal, :family, :instrument, :division, :lineId, :place, :pattern,
                            :drill)
                    """)
                    .param("programId", programId)
                    .param("orderId", order.id())
                    .param("ordinal", ++ordinal)
                    .param(
                            "family",
                            carried.whom() instanceof Carried.OfFamily of
                                    ? of.family().name()
                                    : null)
                    .param(
                            "instrument",
                            carried.whom() instanceof Carried.OfSection of
                                    ? of.instrument().value()
                                    : null)
                    .param(
                            "division",
                            carried.whom() instanceof Carried.OfSection of
                                    ? of.division().orElse(null)
                                    : null)
                    .param("lineId", carried.lineId().orElse(null), java.sql.Types.OTHER)
                    .param("place", carried.place())
                    .param("pattern", carried.pattern())
                    .param("drill", carried.drill())
                    .update();
        }
    }

    private Map<UUID, List<Carried>> findCarried(UUID programId, Collection<UUID> orderIds) {
        Map<UUID, List<Carried>> carried = new HashMap<>();
        if (orderIds.isEmpty()) {
            return carried;
        }
        jdbc.sql("""
                        select order_id, family, instrument, division, line_id, place, pattern, drill
                        from order_carry
                        where program_id = :programId and order_id = any(:orderIds)
                        order by order_id, ordinal
                        """)
                .param("programId", programId)
                .param("orderIds", Rows.array(orderIds))
                .query(row -> {
                    carried.computeIfAbsent(Rows.id(row, "order_id"), id -> new ArrayList<>())
                            .add(new Carried(
                                    whom(row),
                                    Optional.ofNullable(Rows.id(row, "line_id")),
                                    row.getString("place"),
                                    row.getString("pattern"),
                                    row.getString("drill")));
                });
        return carried;
    }

    private static Carried.Whom whom(ResultSet row) throws SQLException {
        if (row.getString("instrument") != null) {
            return new Carried.OfSection(
                    Rows.instrument(row, "instrument"), Optional.ofNullable(row.getString("division")));
        }
        return row.getString("family") == null
                ? new Carried.Everybody()
                : new Carried.OfFamily(Family.valueOf(row.getString("family")));
    }

    /** False when there is no such order or it was withdrawn before. */
    boolean withdraw(UUID programId, UUID orderId, UUID accountId) {
        return jdbc.sql("""
                        update milestone_order set withdrawn_at = now(), withdrawn_by = :accountId
                        where program_id = :programId and id = :orderId and withdrawn_at is null
                        """)
                        .param("programId", programId)
                        .param("orderId", orderId)
                        .param("accountId", accountId)
                        .update()
                == 1;
    }

    private List<MilestoneOrder> orders(UUID programId, List<Row> rows) {
        Map<UUID, List<Row>> byOrder = new LinkedHashMap<>();
        rows.forEach(row ->
                byOrder.computeIfAbsent(row.id(), id -> new ArrayList<>()).add(row));
        Map<UUID, List<Carried>> carried = findCarried(
                programId, rows.stream().filter(Row::carries).map(Row::id).collect(Collectors.toSet()));
        return byOrder.values().stream()
                .map(of -> {
                    Row first = of.getFirst();
                    return new MilestoneOrder(
                            first.id(),
                            first.milestoneId(),
                            first.setOn(),
                            first.dueOn(),
                            first.evidence(),
                            of.stream().map(Row::scope).toList(),
                            carried.getOrDefault(first.id(), List.of()));
                })
                .toList();
    }

    private static Row row(ResultSet row, int n) throws SQLException {
        Set<Evidence> evidence = EnumSet.noneOf(Evidence.class);
        Rows.texts(row, "evidence").forEach(name -> evidence.add(Evidence.valueOf(name)));
        String family = row.getString("family");
        SectionScope scope = new ScopeRequest(
                        Rows.id(row, "class_id"),
                        family == null ? null : Family.valueOf(family),
                        Rows.maybeInstrument(row, "instrument").orElse(null),
                        row.getString("division"),
                        Rows.maybeDay(row, "joined_since").orElse(null))
                .toScope();
        return new Row(
                Rows.id(row, "id"),
                Rows.id(row, "milestone_id"),
                Rows.day(row, "set_on"),
                Rows.day(row, "due_on"),
                evidence,
                scope,
                row.getBoolean("carries"));
    }
}
