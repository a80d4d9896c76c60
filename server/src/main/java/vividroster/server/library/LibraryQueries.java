package vividroster.server.library;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Vocabulary.Sign;
import vividroster.server.platform.Rows;

/** Reads the library. */
@Repository
class LibraryQueries {

    private final JdbcClient jdbc;

    LibraryQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** In shelf order; retired ones too, since what was passed stays passed. */
    List<Milestone> findMilestones(UUID programId, Collection<UUID> ids) {
        Map<UUID, MilestoneParts> parts = new LinkedHashMap<>();
        jdbc.sql("""
                        select m.id, m.kind, m.short_name, m.title, m.instrument_free, m.applies_to, m.version, v.pass_rule,
                               v.pass_k, v.pass_n, v.pass_mark, c.ordinal, c.name, c.top_points, c.floor_points,
                               c.weight, c.levels
                        from milestone m
                        join milestone_version v
                          on v.program_id = m.program_id and v.milestone_id = m.id and v.version = m.version
                        left join criterion c
                          on c.program_id = m.program_id and c.milestone_id = m.id and c.version = m.version
                        where m.program_id = :programId and m.id = any(:ids)
                        order by m.shelf_order, m.short_name, m.id, c.ordinal
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query(row -> {
                    UUID id = Rows.id(row, "id");
                    MilestoneParts one = parts.get(id);
                    if (one == null) {
                        one = MilestoneParts.read(row);
                        parts.put(id, one);
                    }
                    if (row.getInt("ordinal") > 0) {
                        one.criteria().add(criterion(row));
                    }
                });
        Map<UUID, Map<Integer, PassRule>> earlier = findEarlierRules(
                programId,
                parts.values().stream()
                        .filter(one -> one.version() > 1)
                        .map(MilestoneParts::id)
                        .toList());
        return parts.values().stream()
                .map(one -> one.whole(earlier.getOrDefault(one.id(), Map.of())))
                .toList();
    }

    private Map<UUID, Map<Integer, PassRule>> findEarlierRules(UUID programId, Collection<UUID> ids) {
        Map<UUID, Map<Integer, PassRule>> rules = new HashMap<>();
        if (ids.isEmpty()) {
            return rules;
        }
        jdbc.sql("""
                        select v.milestone_id, v.version, v.pass_rule, v.pass_k, v.pass_n, v.pass_mark
                        from milestone_version v
                        join milestone m on m.program_id = v.program_id and m.id = v.milestone_id
                        where v.program_id = :programId and v.milestone_id = any(:ids) and v.version < m.version
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query(row -> {
                    rules.computeIfAbsent(Rows.id(row, "milestone_id"), id -> new HashMap<>())
                            .put(row.getInt("version"), MilestoneParts.rule(row));
                });
        return rules;
    }

    /** A milestone as it was in one of its versions, under the title it has now. */
    Optional<Milestone> findVersion(UUID programId, UUID id, int version) {
        List<MilestoneParts> found = new ArrayList<>();
        jdbc.sql("""
                        select m.id, m.kind, m.short_name, m.title, m.instrument_free, m.applies_to, v.version, v.pass_rule,
                               v.pass_k, v.pass_n, v.pass_mark, c.ordinal, c.name, c.top_points, c.floor_points,
                               c.weight, c.levels
                        from milestone m
                        join milestone_version v
                          on v.program_id = m.program_id and v.milestone_id = m.id and v.version = :version
                        left join criterion c
                          on c.program_id = v.program_id and c.milestone_id = v.milestone_id and c.version = v.version
                        where m.program_id = :programId and m.id = :id
                        order by c.ordinal
                        """)
                .param("programId", programId)
                .param("id", id)
                .param("version", version)
                .query(row -> {
                    if (found.isEmpty()) {
                        found.add(MilestoneParts.read(row));
                    }
                    if (row.getInt("ordinal") > 0) {
                        found.getFirst().criteria().add(criterion(row));
                    }
                });
        return found.stream().findFirst().map(one -> one.whole(Map.of()));
    }

    /** Which of the technique checks were taken off the shelf. */
    Set<UUID> findRetired(UUID programId) {
        return Set.copyOf(
                jdbc.sql("""
                        select id from milestone where program_id = :programId and retired_at is not null
                        """).param("programId", programId).query(UUID.class).list());
    }

    private static Criterion criterion(ResultSet row) throws SQLException {
        int floor = row.getInt("floor_points");
        OptionalInt floorPoints = row.wasNull() ? OptionalInt.empty() : OptionalInt.of(floor);
        return new Criterion(
                row.getInt("ordinal"),
                row.getString("name"),
                row.getInt("top_points"),
                floorPoints,
                row.getInt("weight"),
                Rows.texts(row, "levels"));
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

    List<Book> findBooks(UUID programId) {
        return jdbc.sql(
                        "select id, title, volume, notes_kept from book where program_id = :programId order by title, volume desc")
                .param("programId", programId)
                .query(Book.class)
                .list();
    }

    Map<UUID, LineFacts> findLines(UUID programId, Collection<UUID> ids) {
        return jdbc
                .sql("""
                        select milestone_id, book_id, page, number, concert_fifths, mode, meter_count, meter_unit, meter_groups,
                               tempo_bpm, measures, played_measures, notes_used, values_introduced, signs_introduced, roadmap
                        from line
                        where program_id = :programId and milestone_id = any(:ids)
                        """)
                .param("programId", programId)
                .param("ids", Rows.array(ids))
                .query((row, n) -> lineFacts(row))
                .list()
                .stream()
                .collect(Collectors.toMap(LineFacts::milestoneId, line -> line));
    }

    List<LineFacts> findLinesOf(UUID programId, UUID bookId) {
        return jdbc.sql("""
                        select milestone_id, book_id, page, number, concert_fifths, mode, meter_count, meter_unit, meter_groups,
                               tempo_bpm, measures, played_measures, notes_used, values_introduced, signs_introduced, roadmap
                        from line
                        where program_id = :programId and book_id = :bookId
                        """)
                .param("programId", programId)
                .param("bookId", bookId)
                .query((row, n) -> lineFacts(row))
                .list();
    }

    private static LineFacts lineFacts(ResultSet row) throws SQLException {
        return new LineFacts(
                Rows.id(row, "milestone_id"),
                Rows.id(row, "book_id"),
                row.getInt("page"),
                row.getInt("number"),
                new Key(row.getInt("concert_fifths"), Mode.valueOf(row.getString("mode"))),
                new Meter(row.getInt("meter_count"), row.getInt("meter_unit"), Rows.numbers(row, "meter_groups")),
                new Bpm(row.getDouble("tempo_bpm")),
                row.getInt("measures"),
                Rows.number(row, "played_measures"),
                new LineDetails(
                        Rows.texts(row, "notes_used").stream().map(Pitch::named).toList(),
                        Rows.texts(row, "values_introduced"),
                        Rows.texts(row, "signs_introduced").stream()
                                .map(Sign::valueOf)
                                .collect(Collectors.toSet()),
                        row.getString("roadmap")));
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

    /** A milestone whose criteria are still being read. */
    private record MilestoneParts(
            UUID id,
            MilestoneKind kind,
            String shortName,
            String title,
            boolean instrumentFree,
            Set<InstrumentCode> appliesTo,
            int version,
            PassRule rule,
            List<Criterion> criteria) {

        static MilestoneParts read(ResultSet row) throws SQLException {
            return new MilestoneParts(
                    Rows.id(row, "id"),
                    MilestoneKind.valueOf(row.getString("kind")),
                    row.getString("short_name"),
                    row.getString("title"),
                    row.getBoolean("instrument_free"),
                    Set.copyOf(Rows.instruments(row, "applies_to")),
                    row.getInt("version"),
                    rule(row),
                    new ArrayList<>());
        }

        Milestone whole(Map<Integer, PassRule> earlierRules) {
            return new Milestone(
                    id, kind, shortName, title, instrumentFree, appliesTo, version, rule, criteria, earlierRules);
        }

        static PassRule rule(ResultSet row) throws SQLException {
            return switch (row.getString("pass_rule")) {
                case "ONE_GOOD_TRY" -> new PassRule.OneGoodTry();
                case "K_OF_LAST_N" -> new PassRule.KOfLastN(row.getInt("pass_k"), row.getInt("pass_n"));
                case "ALL_CRITERIA" -> new PassRule.AllCriteria();
                case "SCORE_AT_LEAST" -> new PassRule.ScoreAtLeast(row.getInt("pass_mark"));
                case "ALL_SLOTS" -> new PassRule.AllSlots();
                default -> throw new IllegalStateException("unknown pass rule " + row.getString("pass_rule"));
            };
        }
    }
}
