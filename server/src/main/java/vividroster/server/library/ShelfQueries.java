package vividroster.server.library;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.Pitch;
import vividroster.server.platform.Rows;

/** Puts things on the library's shelves. */
@Repository
class ShelfQueries {

    private final JdbcClient jdbc;

    ShelfQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private record RuleColumns(String name, Integer k, Integer n, Integer mark) {
        static RuleColumns of(PassRule rule) {
            return switch (rule) {
                case PassRule.OneGoodTry one -> new RuleColumns("ONE_GOOD_TRY", null, null, null);
                case PassRule.KOfLastN kOfN -> new RuleColumns("K_OF_LAST_N", kOfN.k(), kOfN.n(), null);
                case PassRule.AllCriteria all -> new RuleColumns("ALL_CRITERIA", null, null, null);
                case PassRule.ScoreAtLeast score -> new RuleColumns("SCORE_AT_LEAST", null, null, score.mark());
                case PassRule.AllSlots slots -> new RuleColumns("ALL_SLOTS", null, null, null);
            };
        }
    }

    /** 0 on an empty shelf. */
    int findLastShelfOrder(UUID programId) {
        return jdbc.sql("select coalesce(max(shelf_order), 0) from milestone where program_id = :programId")
                .param("programId", programId)
                .query(Integer.class)
                .single();
    }

    /** 0 where a book has no lines. */
    int findLastLineNumber(UUID programId, UUID bookId) {
        return jdbc.sql("""
                        select coalesce(max(number), 0)
                        from line
                        where program_id = :programId and book_id = :bookId
                        """)
                .param("programId", programId)
                .param("bookId", bookId)
                .query(Integer.class)
                .single();
    }

    /** False when the milestone was edited since that version. */
    boolean putNextVersion(UUID programId, Milestone milestone) {
        int updated = jdbc.sql("""
                        update milestone
                        set short_name = :shortName, title = :title, instrument_free = :instrumentFree,
                            applies_to = :appliesTo, version = :version
                        where program_id = :programId and id = :id and version = :version - 1
                        """)
                .param("programId", programId)
                .param("id", milestone.id())
                .param("shortName", milestone.shortName())
                .param("title", milestone.title())
                .param("instrumentFree", milestone.instrumentFree())
                .param(
                        "appliesTo",
                        Rows.codes(milestone.appliesTo().stream().sorted().toList()))
                .param("version", milestone.version())
                .update();
        if (updated == 1) {
            insertVersion(programId, milestone);
        }
        return updated == 1;
    }

    /** Takes it off the shelf or puts it back; what was set and heard stays. False when there is no such milestone. */
    boolean setRetired(UUID programId, UUID milestoneId, boolean retired) {
        return jdbc.sql("""
                        update milestone set retired_at = case when :retired then coalesce(retired_at, now()) end
                        where program_id = :programId and id = :id
                        """)
                        .param("programId", programId)
                        .param("id", milestoneId)
                        .param("retired", retired)
                        .update()
                == 1;
    }

    /** Another name for what stays the same. */
    void rename(UUID programId, UUID milestoneId, String shortName, String title) {
        jdbc.sql("""
                        update milestone set short_name = :shortName, title = :title
                        where program_id = :programId and id = :id
                        """)
                .param("programId", programId)
                .param("id", milestoneId)
                .param("shortName", shortName)
                .param("title", title)
                .update();
    }

    void insertMilestone(UUID programId, Milestone milestone, int shelfOrder) {
        jdbc.sql("""
                insert into milestone (program_id, id, kind, short_name, title, instrument_free, applies_to, version,
                                       shelf_order)
                values (:programId, :id, :kind, :shortName, :title, :instrumentFree, :appliesTo, :version, :shelfOrder)
                """)
                .param("programId", programId)
                .param("id", milestone.id())
                .param("kind", milestone.kind().name())
                .param("shortName", milestone.shortName())
                .param("title", milestone.title())
                .param("instrumentFree", milestone.instrumentFree())
                .param(
                        "appliesTo",
                        Rows.codes(milestone.appliesTo().stream().sorted().toList()))
                .param("version", milestone.version())
                .param("shelfOrder", shelfOrder)
                .update();
        insertVersion(programId, milestone);
    }

    /** The pass rule and criteria of the version a milestone has now. */
    private void insertVersion(UUID programId, Milestone milestone) {
        RuleColumns rule = RuleColumns.of(milestone.passRule());
        jdbc.sql("""
                insert into milestone_version (program_id, milestone_id, version, pass_rule, pass_k, pass_n, pass_mark)
                values (:programId, :milestoneId, :version, :rule, :k, :n, :mark)
                """)
                .param("programId", programId)
                .param("milestoneId", milestone.id())
                .param("version", milestone.version())
                .param("rule", rule.name())
                .param("k", rule.k())
                .param("n", rule.n())
                .param("mark", rule.mark())
                .update();
        for (Criterion criterion : milestone.criteria()) {
            jdbc.sql("""
                    insert into criterion (program_id, milestone_id, version, ordinal, name, top_points, floor_points,
                                           weight, levels)
                    values (:programId, :milestoneId, :version, :ordinal, :name, :topPoints, :floorPoints,
                            :weight, :levels)
                    """)
                    .param("programId", programId)
                    .param("milestoneId", milestone.id())
                    .param("version", milestone.version())
                    .param("ordinal", criterion.ordinal())
                    .param("name", criterion.name())
                    .param("topPoints", criterion.topPoints())
                    .param(
                            "floorPoints",
                            criterion.floorPoints().isPresent()
                                    ? (Integer) criterion.floorPoints().getAsInt()
                                    : null)
                    .param("weight", criterion.weight())
                    .param("levels", criterion.levels().toArray(String[]::new))
                    .update();
        }
    }

    void insertBook(UUID programId, Book book) {
        jdbc.sql("""
                insert into book (program_id, id, title, volume, notes_kept)
                values (:programId, :id, :title, :volume, :notesKept)
                """)
                .param("programId", programId)
                .param("id", book.id())
                .param("title", book.title())
                .param("volume", book.volume())
                .param("notesKept", book.notesKept())
                .update();
    }

    /** False when there is no such book. */
    boolean putBook(UUID programId, Book book) {
        return jdbc.sql("""
                        update book set title = :title, volume = :volume, notes_kept = :notesKept
                        where program_id = :programId and id = :id
                        """)
                        .param("programId", programId)
                        .param("id", book.id())
                        .param("title", book.title())
                        .param("volume", book.volume())
                        .param("notesKept", book.notesKept())
                        .update()
                == 1;
    }

    /** Puts the facts of a line in the place of those it had. */
    void putLine(UUID programId, LineFacts line) {
        bound(jdbc.sql("""
                update line
                set book_id = :bookId, page = :page, number = :number, concert_fifths = :fifths, mode = :mode,
                    meter_count = :count, meter_unit = :unit, meter_groups = :groups, tempo_bpm = :tempo, measures = :measures,
                    played_measures = :playedMeasures, notes_used = :notes, values_introduced = :values,
                    signs_introduced = :signs, roadmap = :roadmap
                where program_id = :programId and milestone_id = :milestoneId
                """), programId, line).update();
    }

    void insertLine(UUID programId, LineFacts line) {
        bound(jdbc.sql("""
                insert into line (program_id, milestone_id, book_id, page, number, concert_fifths, mode, meter_count,
                                  meter_unit, meter_groups, tempo_bpm, measures, played_measures, notes_used, values_introduced,
                                  signs_introduced, roadmap)
                values (:programId, :milestoneId, :bookId, :page, :number, :fifths, :mode, :count, :unit, :groups, :tempo,
                        :measures, :playedMeasures, :notes, :values, :signs, :roadmap)
                """), programId, line).update();
    }

    private static JdbcClient.StatementSpec bound(JdbcClient.StatementSpec sql, UUID programId, LineFacts line) {
        LineDetails details = line.details();
        return sql.param("programId", programId)
                .param("milestoneId", line.milestoneId())
                .param("bookId", line.bookId())
                .param("page", line.page())
                .param("number", line.number())
                .param("fifths", line.concertKey().fifths())
                .param("mode", line.concertKey().mode().name())
                .param("count", line.meter().count())
                .param("unit", line.meter().unit())
                .param(
                        "groups",
                        line.meter().groups().stream().map(Integer::shortValue).toArray(Short[]::new))
                .param("tempo", line.tempo().value())
                .param("measures", line.measures())
                .param(
                        "playedMeasures",
                        line.playedMeasures().isPresent()
                                ? line.playedMeasures().getAsInt()
                                : null)
                .param(
                        "notes",
                        details.notesUsed().stream().map(Pitch::toString).toArray(String[]::new))
                .param("values", details.valuesIntroduced().toArray(String[]::new))
                .param(
                        "signs",
                        details.signsIntroduced().stream()
                                .map(Enum::name)
                                .sorted()
                                .toArray(String[]::new))
                .param("roadmap", details.roadmap());
    }

    void insertTest(UUID programId, TestFacts test) {
        jdbc.sql("""
                insert into playing_test (program_id, milestone_id, line_id, conditions)
                values (:programId, :milestoneId, :lineId, :conditions)
                """)
                .param("programId", programId)
                .param("milestoneId", test.milestoneId())
                .param("lineId", test.lineId().orElse(null), java.sql.Types.OTHER)
                .param("conditions", test.conditions())
                .update();
    }

    void putTest(UUID programId, TestFacts test) {
        jdbc.sql("""
                update playing_test set line_id = :lineId, conditions = :conditions
                where program_id = :programId and milestone_id = :milestoneId
                """)
                .param("programId", programId)
                .param("milestoneId", test.milestoneId())
                .param("lineId", test.lineId().orElse(null), java.sql.Types.OTHER)
                .param("conditions", test.conditions())
                .update();
    }
}
