package vividroster.server.library;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.server.platform.Rows;

/** Reads the library. */
@Repository
class LibraryQueries {

    private static final String MILESTONE_COLUMNS = """
            id, kind, short_name, title, instrument_free, applies_to, version, pass_rule, pass_k, pass_n, pass_mark
            """;

    private final JdbcClient jdbc;

    LibraryQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private record CriterionRow(UUID milestoneId, Criterion criterion) {}

    private record FillingRow(UUID beltId, int ordinal, String name, String instrument, UUID milestoneId) {}

    private record BeltRow(UUID id, String ladder, int rank, String name) {}

    /** In shelf order; retired ones too, since what was passed stays passed. */
    List<Milestone> findMilestones(UUID programId, Collection<UUID> ids) {
        Map<UUID, List<Criterion>> criteria = criteria(programId, ids);
        return jdbc.sql("select " + MILESTONE_COLUMNS + """
                        from milestone
                        where program_id = :programId and id = any(:ids)
                        order by shelf_order, short_name, id
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query((row, n) -> milestone(row, criteria))
                .list();
    }

    /** All that can be ordered, in shelf order. */
    List<UUID> findIdsOnShelf(UUID programId) {
        return jdbc.sql("""
                        select id
                        from milestone
                        where program_id = :programId and retired_at is null
                        order by shelf_order, short_name, id
                        """).param("programId", programId).query(UUID.class).list();
    }

    private Map<UUID, List<Criterion>> criteria(UUID programId, Collection<UUID> ids) {
        return jdbc
                .sql("""
                        select c.milestone_id, c.ordinal, c.name, c.top_points, c.floor_points
                        from criterion c
                        join milestone m on m.program_id = c.program_id and m.id = c.milestone_id and m.version = c.version
                        where c.program_id = :programId and c.milestone_id = any(:ids)
                        order by c.milestone_id, c.ordinal
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query((row, n) -> {
                    int floor = row.getInt("floor_points");
                    OptionalInt floorPoints = row.wasNull() ? OptionalInt.empty() : OptionalInt.of(floor);
                    return new CriterionRow(
                            Rows.id(row, "milestone_id"),
                            new Criterion(
                                    row.getInt("ordinal"),
                                    row.getString("name"),
                                    row.getInt("top_points"),
                                    floorPoints));
                })
                .list()
                .stream()
                .collect(Collectors.groupingBy(
                        CriterionRow::milestoneId, Collectors.mapping(CriterionRow::criterion, Collectors.toList())));
    }

    /** All belts in ladder and rank order, their slots filled for the instruments asked for. */
    List<Belt> findBelts(UUID programId, Collection<String> instruments) {
        Map<UUID, List<FillingRow>> fillings = jdbc
                .sql("""
                        select f.belt_id, f.ordinal, s.name, f.instrument, f.milestone_id
                        from belt_slot_filling f
                        join belt_slot s on s.program_id = f.program_id and s.belt_id = f.belt_id and s.ordinal = f.ordinal
                        where f.program_id = :programId and (f.instrument = 'any' or f.instrument = any(:instruments))
                        """)
                .param("programId", programId)
                .param("instruments", instruments.toArray(String[]::new))
                .query((row, n) -> new FillingRow(
                        Rows.id(row, "belt_id"),
                        row.getInt("ordinal"),
                        row.getString("name"),
                        row.getString("instrument"),
                        Rows.id(row, "milestone_id")))
                .list()
                .stream()
                .collect(Collectors.groupingBy(FillingRow::beltId));
        return jdbc
                .sql("""
                        select b.milestone_id, b.ladder, b.rank, m.title
                        from belt b
                        join milestone m on m.program_id = b.program_id and m.id = b.milestone_id
                        where b.program_id = :programId
                        order by b.ladder, b.rank
                        """)
                .param("programId", programId)
                .query((row, n) -> new BeltRow(
                        Rows.id(row, "milestone_id"),
                        row.getString("ladder"),
                        row.getInt("rank"),
                        row.getString("title")))
                .list()
                .stream()
                .map(row -> new Belt(
                        row.id(),
                        row.ladder(),
                        row.rank(),
                        row.name(),
                        slots(fillings.getOrDefault(row.id(), List.of()))))
                .toList();
    }

    private static List<BeltSlot> slots(List<FillingRow> fillings) {
        Map<Integer, Map<String, UUID>> byOrdinal = new TreeMap<>();
        Map<Integer, String> names = new HashMap<>();
        for (FillingRow filling : fillings) {
            names.put(filling.ordinal(), filling.name());
            byOrdinal
                    .computeIfAbsent(filling.ordinal(), o -> new HashMap<>())
                    .put(filling.instrument(), filling.milestoneId());
        }
        return byOrdinal.entrySet().stream()
                .map(slot -> new BeltSlot(slot.getKey(), names.get(slot.getKey()), slot.getValue()))
                .toList();
    }

    Map<UUID, BeltLook> findBeltLooks(UUID programId) {
        Map<UUID, BeltLook> looks = new HashMap<>();
        jdbc.sql("select milestone_id, color, weave, knots from belt where program_id = :programId")
                .param("programId", programId)
                .query(row -> {
                    looks.put(
                            Rows.id(row, "milestone_id"),
                            new BeltLook(row.getString("color"), row.getString("weave"), row.getInt("knots")));
                });
        return looks;
    }

    List<Book> findBooks(UUID programId) {
        return jdbc.sql("select id, title, volume from book where program_id = :programId order by title, volume desc")
                .param("programId", programId)
                .query(Book.class)
                .list();
    }

    Map<UUID, LineFacts> findLines(UUID programId, Collection<UUID> ids) {
        return jdbc
                .sql("""
                        select milestone_id, book_id, page, number, concert_fifths, mode, meter_count, meter_unit, tempo_bpm,
                               measures, played_measures
                        from line
                        where program_id = :programId and milestone_id = any(:ids)
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query((row, n) -> new LineFacts(
                        Rows.id(row, "milestone_id"),
                        Rows.id(row, "book_id"),
                        row.getInt("page"),
                        row.getInt("number"),
                        new Key(row.getInt("concert_fifths"), Mode.valueOf(row.getString("mode"))),
                        new Meter(row.getInt("meter_count"), row.getInt("meter_unit")),
                        new Bpm(row.getInt("tempo_bpm")),
                        row.getInt("measures"),
                        row.getInt("played_measures")))
                .list()
                .stream()
                .collect(Collectors.toMap(LineFacts::milestoneId, line -> line));
    }

    Map<UUID, TestFacts> findTests(UUID programId, Collection<UUID> ids) {
        return jdbc
                .sql("""
                        select milestone_id, line_id, conditions
                        from playing_test
                        where program_id = :programId and milestone_id = any(:ids)
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query((row, n) -> new TestFacts(
                        Rows.id(row, "milestone_id"),
                        Optional.ofNullable(Rows.id(row, "line_id")),
                        row.getString("conditions")))
                .list()
                .stream()
                .collect(Collectors.toMap(TestFacts::milestoneId, test -> test));
    }

    private static Milestone milestone(ResultSet row, Map<UUID, List<Criterion>> criteria) throws SQLException {
        UUID id = Rows.id(row, "id");
        PassRule rule = switch (row.getString("pass_rule")) {
            case "ONE_GOOD_TRY" -> new PassRule.OneGoodTry();
            case "K_OF_LAST_N" -> new PassRule.KOfLastN(row.getInt("pass_k"), row.getInt("pass_n"));
            case "ALL_CRITERIA" -> new PassRule.AllCriteria();
            case "SCORE_AT_LEAST" -> new PassRule.ScoreAtLeast(row.getInt("pass_mark"));
            case "ALL_SLOTS" -> new PassRule.AllSlots();
            default -> throw new IllegalStateException("unknown pass rule " + row.getString("pass_rule"));
        };
        return new Milestone(
                id,
                MilestoneKind.valueOf(row.getString("kind")),
                row.getString("short_name"),
                row.getString("title"),
                row.getBoolean("instrument_free"),
                Set.copyOf(Rows.texts(row, "applies_to")),
                row.getInt("version"),
                rule,
                criteria.getOrDefault(id, List.of()));
    }
}
