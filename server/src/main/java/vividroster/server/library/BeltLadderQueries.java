package vividroster.server.library;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.BeltRule;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.ForWhom;
import vividroster.core.curriculum.Ladder;
import vividroster.core.curriculum.LadderDraft;
import vividroster.core.curriculum.LadderDraft.BeltDraft;
import vividroster.core.curriculum.LadderDraft.SlotDraft;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Rows;

/** Ladders, their belts, slots and fillings, as they are and as they were. */
@Repository
class BeltLadderQueries {

    private final JdbcClient jdbc;
    private final InstrumentCatalog catalog;
    private final EarlierVersions versions;

    BeltLadderQueries(JdbcClient jdbc, InstrumentCatalog catalog) {
        this.jdbc = jdbc;
        this.catalog = catalog;
        this.versions = new EarlierVersions(catalog);
    }

    private record Row(
            UUID ladderId,
            String ladder,
            int version,
            List<InstrumentCode> instruments,
            Optional<LocalDate> retiredOn,
            String earlier,
            UUID beltId,
            int rank,
            String belt,
            BeltLook look,
            BeltRule rule,
            int ordinal,
            String slot,
            boolean must,
            String whom,
            UUID milestoneId,
            List<InstrumentCode> onlyFor) {}

    /** All ladders by name, retired ones too, their slots filled for the instruments asked for. */
    List<KeptLadder> find(UUID programId, Collection<InstrumentCode> instruments) {
        return rows(programId, instruments).stream()
                .collect(Collectors.groupingBy(Row::ladderId, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(this::ladder)
                .toList();
    }

    private List<Row> rows(UUID programId, Collection<InstrumentCode> instruments) {
        return jdbc.sql("""
                        with earlier as materialized (
                            select ladder_id,
                                   jsonb_agg(jsonb_build_object('until', until_on, 'belts', belts) order by version)::text
                                       as versions
                            from ladder_version
                            where program_id = :programId
                            group by ladder_id)
                        select l.id as ladder_id, l.name as ladder, l.version, l.instruments, l.retired_on,
                               case when row_number() over (partition by l.id order by b.rank, f.ordinal, f.instrument) = 1
                                    then e.versions end as earlier,
                               b.milestone_id as belt_id, b.rank, m.title, b.color, b.weave, b.knots, b.rule, b.rule_slots,
                               f.ordinal, s.name as slot, s.must, f.instrument, f.milestone_id,
                               coalesce(filling.applies_to, '{}') as only_for
                        from ladder l
                        left join earlier e on e.ladder_id = l.id
                        left join belt b on b.program_id = l.program_id and b.ladder = l.name
                        left join milestone m on m.program_id = b.program_id and m.id = b.milestone_id
                        left join belt_slot_filling f
                          on f.program_id = b.program_id and f.belt_id = b.milestone_id
                          and (f.instrument = 'any' or f.instrument like 'family-%' or f.instrument = any(:instruments))
                        left join milestone filling
                          on filling.program_id = f.program_id and filling.id = f.milestone_id
                        left join belt_slot s
                          on s.program_id = f.program_id and s.belt_id = f.belt_id and s.ordinal = f.ordinal
                        where l.program_id = :programId
                        order by l.name, b.rank, f.ordinal, f.instrument
                        """)
                .param("programId", programId)
                .param("instruments", Rows.codes(instruments))
                .query((row, n) -> row(row))
                .list();
    }

    private static Row row(ResultSet row) throws SQLException {
        boolean belt = Rows.id(row, "belt_id") != null;
        return new Row(
                Rows.id(row, "ladder_id"),
                row.getString("ladder"),
                row.getInt("version"),
                Rows.instruments(row, "instruments"),
                Rows.maybeDay(row, "retired_on"),
                row.getString("earlier"),
                Rows.id(row, "belt_id"),
                row.getInt("rank"),
                row.getString("title"),
                belt ? new BeltLook(row.getString("color"), row.getString("weave"), row.getInt("knots")) : null,
                belt ? RuleCodes.rule(row.getString("rule"), row.getInt("rule_slots")) : null,
                row.getInt("ordinal"),
                row.getString("slot"),
                row.getBoolean("must"),
                row.getString("instrument"),
                Rows.id(row, "milestone_id"),
                Rows.instruments(row, "only_for"));
    }

    private KeptLadder ladder(List<Row> rows) {
        Row first = rows.getFirst();
        Map<UUID, BeltLook> looks = new HashMap<>();
        List<Ladder.Earlier> earlier = new ArrayList<>();
        rows.stream()
                .map(Row::earlier)
                .filter(Objects::nonNull)
                .flatMap(text -> versions.read(first.ladder(), text).stream())
                .forEach(version -> {
                    looks.putAll(version.looks());
                    earlier.add(version.asked());
                });
        Map<UUID, List<Row>> byBelt = rows.stream()
                .filter(row -> row.beltId() != null)
                .collect(Collectors.groupingBy(Row::beltId, LinkedHashMap::new, Collectors.toList()));
        byBelt.forEach((id, ofBelt) -> looks.put(id, ofBelt.getFirst().look()));
        return new KeptLadder(
                first.ladderId(),
                first.version(),
                Set.copyOf(first.instruments()),
                first.retiredOn(),
                new Ladder(
                        first.ladder(), byBelt.values().stream().map(this::belt).toList(), earlier),
                looks);
    }

    private Belt belt(List<Row> rows) {
        Row first = rows.getFirst();
        return new Belt(
                first.beltId(),
                first.ladder(),
                first.rank(),
                first.belt(),
                rows.stream()
                        .filter(row -> row.slot() != null)
                        .collect(Collectors.groupingBy(Row::ordinal, TreeMap::new, Collectors.toList()))
                        .values()
                        .stream()
                        .map(this::slot)
                        .toList(),
                first.rule(),
                Set.copyOf(first.instruments()));
    }

    private BeltSlot slot(List<Row> fillings) {
        Row first = fillings.getFirst();
        return new BeltSlot(
                first.ordinal(),
                first.slot(),
                ForWhom.byInstrument(fillings(fillings), catalog),
                fillings.stream()
                        .collect(Collectors.toMap(Row::milestoneId, row -> Set.copyOf(row.onlyFor()), (a, b) -> a)),
                first.must());
    }

    private List<ForWhom.Filling> fillings(List<Row> rows) {
        return rows.stream()
                .map(row -> new ForWhom.Filling(ForWhom.of(row.whom(), catalog).orElseThrow(), row.milestoneId()))
                .toList();
    }

    /** A ladder as it is written, for editing: fillings by everybody, family and instrument. */
    Optional<LadderDraft> findDraft(UUID programId, UUID ladderId) {
        List<Row> rows = rows(
                        programId,
                        catalog.inScoreOrder().stream().map(Instrument::code).toList())
                .stream()
                .filter(row -> row.ladderId().equals(ladderId))
                .toList();
        if (rows.isEmpty()) {
            return Optional.empty();
        }
        Row first = rows.getFirst();
        return Optional.of(new LadderDraft(
                first.ladder(),
                Set.copyOf(first.instruments()),
                rows.stream()
                        .filter(row -> row.beltId() != null)
                        .collect(Collectors.groupingBy(Row::rank, TreeMap::new, Collectors.toList()))
                        .values()
                        .stream()
                        .map(ofBelt -> new BeltDraft(
                                Optional.of(ofBelt.getFirst().beltId()),
                                ofBelt.getFirst().belt(),
                                ofBelt.getFirst().look(),
                                ofBelt.getFirst().rule(),
                                ofBelt.stream()
                                        .filter(row -> row.slot() != null)
                                        .collect(Collectors.groupingBy(Row::ordinal, TreeMap::new, Collectors.toList()))
                                        .values()
                                        .stream()
                                        .map(ofSlot -> new SlotDraft(
                                                ofSlot.getFirst().slot(),
                                                ofSlot.getFirst().must(),
                                                fillings(ofSlot)))
                                        .toList()))
                        .toList()));
    }

    /** A ladder without belts; nothing where there is one of that name. */
    void insertNamed(UUID programId, String name) {
        jdbc.sql("""
                        insert into ladder (program_id, id, name)
                        values (:programId, :id, :name)
                        on conflict on constraint ladder_name_unique do nothing
                        """)
                .param("programId", programId)
                .param("id", Ids.next())
                .param("name", name)
                .update();
    }

    void insert(UUID programId, UUID id, String name, Collection<InstrumentCode> instruments) {
        jdbc.sql("""
                        insert into ladder (program_id, id, name, instruments)
                        values (:programId, :id, :name, :instruments)
                        """)
                .param("programId", programId)
                .param("id", id)
                .param("name", name)
                .param("instruments", Rows.codes(instruments))
                .update();
    }

    /** False where it was edited since that version. */
    boolean update(
            UUID programId,
            UUID id,
            int version,
            String name,
            Collection<InstrumentCode> instruments,
            Optional<LocalDate> retiredOn) {
        return jdbc.sql("""
                        update ladder
                        set name = :name, instruments = :instruments, version = version + 1, retired_on = :retiredOn,
                            edited_at = now()
                        where program_id = :programId and id = :id and version = :version
                        """)
                        .param("programId", programId)
                        .param("id", id)
                        .param("version", version)
                        .param("name", name)
                        .param("instruments", Rows.codes(instruments))
                        .param("retiredOn", retiredOn.orElse(null), java.sql.Types.DATE)
                        .update()
                == 1;
    }

    /** How a ladder was asked until a day. */
    void insertVersion(UUID programId, KeptLadder before, LocalDate until) {
        jdbc.sql("""
                        insert into ladder_version (program_id, ladder_id, version, until_on, belts)
                        values (:programId, :ladderId, :version, :until, :belts::jsonb)
                        """)
                .param("programId", programId)
                .param("ladderId", before.id())
                .param("version", before.version())
                .param("until", until)
                .param("belts", versions.write(before))
                .update();
    }

    void deleteBelts(UUID programId, String ladder) {
        for (String table : List.of("belt_slot_filling", "belt_slot")) {
            jdbc.sql("""
                            delete from %s t using belt b
                            where t.program_id = :programId and b.program_id = t.program_id
                              and b.milestone_id = t.belt_id and b.ladder = :ladder
                            """.formatted(table))
                    .param("programId", programId)
                    .param("ladder", ladder)
                    .update();
        }
        jdbc.sql("delete from belt where program_id = :programId and ladder = :ladder")
                .param("programId", programId)
                .param("ladder", ladder)
                .update();
    }

    /** @param fillings of each slot, in slot order */
    void insertBelt(UUID programId, Belt belt, BeltLook look, List<List<ForWhom.Filling>> fillings) {
        jdbc.sql("""
                insert into belt (program_id, milestone_id, ladder, rank, color, weave, knots, rule, rule_slots)
                values (:programId, :id, :ladder, :rank, :color, :weave, :knots, :rule, :ruleSlots)
                """)
                .param("programId", programId)
                .param("id", belt.id())
                .param("ladder", belt.ladder())
                .param("rank", belt.rank())
                .param("color", look.color())
                .param("weave", look.weave())
                .param("knots", look.knots())
                .param("rule", RuleCodes.name(belt.rule()))
                .param("ruleSlots", RuleCodes.slots(belt.rule()))
                .update();
        for (int at = 0; at < fillings.size(); at++) {
            insertSlot(programId, belt.id(), belt.slots().get(at), fillings.get(at));
        }
    }

    private void insertSlot(UUID programId, UUID beltId, BeltSlot slot, List<ForWhom.Filling> fillings) {
        jdbc.sql("""
                insert into belt_slot (program_id, belt_id, ordinal, name, must)
                values (:programId, :beltId, :ordinal, :name, :must)
                """)
                .param("programId", programId)
                .param("beltId", beltId)
                .param("ordinal", slot.ordinal())
                .param("name", slot.name())
                .param("must", slot.must())
                .update();
        jdbc.sql("""
                insert into belt_slot_filling (program_id, belt_id, ordinal, instrument, milestone_id)
                select :programId, :beltId, :ordinal, whom, milestone_id
                from unnest(:whom::text[], :milestones::uuid[]) as filling(whom, milestone_id)
                """)
                .param("programId", programId)
                .param("beltId", beltId)
                .param("ordinal", slot.ordinal())
                .param("whom", fillings.stream().map(one -> one.whom().code()).toArray(String[]::new))
                .param(
                        "milestones",
                        Rows.array(fillings.stream()
                                .map(ForWhom.Filling::milestoneId)
                                .toList()))
                .update();
    }
}
