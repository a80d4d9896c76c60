package vividroster.server.season;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.Pacing;
import vividroster.core.plan.PlanPrices;
import vividroster.core.plan.PlanRules;
import vividroster.server.platform.Rows;

/** How plans are made: rules and prices of the programme, pacing of its classes, and the revision of a year's plan. */
@Repository
class PlanYearQueries {

    /** @param reservePercent of each week's minutes, for what was carried over */
    record ClassPacing(Pacing pacing, int reservePercent) {
        static final ClassPacing USUAL = new ClassPacing(Pacing.IN_STEP_WITH_CARRY_OVER, Pacing.DEFAULT_RESERVE);
    }

    record Settings(PlanRules rules, PlanPrices prices) {
        static final Settings USUAL = new Settings(PlanRules.DEFAULT, PlanPrices.balanced());
    }

    /** A section of a class by its instrument. */
    record SectionOf(UUID classId, InstrumentCode instrument) {}

    record WeekOf(UUID classId, LocalDate monday) {}

    private final JdbcClient jdbc;

    PlanYearQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** 0 while nothing was planned. */
    long findRevision(UUID programId, UUID yearId) {
        return jdbc.sql("select revision from plan_year where program_id = :programId and school_year_id = :yearId")
                .param("programId", programId)
                .param("yearId", yearId)
                .query(Long.class)
                .optional()
                .orElse(0L);
    }

    /** @return the new revision */
    long nextRevision(UUID programId, UUID yearId) {
        return jdbc.sql("""
                        insert into plan_year (program_id, school_year_id, revision)
                        values (:programId, :yearId, 1)
                        on conflict (program_id, school_year_id) do update set revision = plan_year.revision + 1
                        returning revision
                        """)
                .param("programId", programId)
                .param("yearId", yearId)
                .query(Long.class)
                .single();
    }

    Settings findSettings(UUID programId) {
        return jdbc.sql("""
                        select max_new_notes, full_percent, essential, drop_per_value, late_each, late_per_week, broken_need,
                               over_per_minute, uneven_per_minute, order_per_week, margin_per_week, moved_each,
                               moved_per_week
                        from plan_setting
                        where program_id = :programId
                        """)
                .param("programId", programId)
                .query((row, n) -> new Settings(
                        new PlanRules(row.getInt("max_new_notes"), row.getInt("full_percent")),
                        new PlanPrices(
                                row.getLong("essential"),
                                row.getLong("drop_per_value"),
                                row.getLong("late_each"),
                                row.getLong("late_per_week"),
                                row.getLong("broken_need"),
                                row.getLong("over_per_minute"),
                                row.getLong("uneven_per_minute"),
                                row.getLong("order_per_week"),
                                row.getLong("margin_per_week"),
                                row.getLong("moved_each"),
                                row.getLong("moved_per_week"))))
                .optional()
                .orElse(Settings.USUAL);
    }

    void putSettings(UUID programId, Settings settings) {
        PlanPrices prices = settings.prices();
        jdbc.sql("""
                        insert into plan_setting (program_id, max_new_notes, full_percent, essential, drop_per_value, late_each,
                                                  late_per_week, broken_need, over_per_minute, uneven_per_minute,
                                                  order_per_week, margin_per_week, moved_each, moved_per_week)
                        values (:programId, :maxNewNotes, :fullPercent, :essential, :dropPerValue, :lateEach, :latePerWeek,
                                :brokenNeed, :overPerMinute, :unevenPerMinute, :orderPerWeek, :marginPerWeek, :movedEach,
                                :movedPerWeek)
                        on conflict (program_id) do update
                        set max_new_notes = excluded.max_new_notes, full_percent = excluded.full_percent,
                            essential = excluded.essential, drop_per_value = excluded.drop_per_value,
                            late_each = excluded.late_each, late_per_week = excluded.late_per_week,
                            broken_need = excluded.broken_need, over_per_minute = excluded.over_per_minute,
                            uneven_per_minute = excluded.uneven_per_minute, order_per_week = excluded.order_per_week,
                            margin_per_week = excluded.margin_per_week, moved_each = excluded.moved_each,
                            moved_per_week = excluded.moved_per_week
                        """)
                .param("programId", programId)
                .param("maxNewNotes", settings.rules().maxNewNotes())
                .param("fullPercent", settings.rules().fullPercent())
                .param("essential", prices.essential())
                .param("dropPerValue", prices.dropPerValue())
                .param("lateEach", prices.lateEach())
                .param("latePerWeek", prices.latePerWeek())
                .param("brokenNeed", prices.brokenNeed())
                .param("overPerMinute", prices.overPerMinute())
                .param("unevenPerMinute", prices.unevenPerMinute())
                .param("orderPerWeek", prices.orderPerWeek())
                .param("marginPerWeek", prices.marginPerWeek())
                .param("movedEach", prices.movedEach())
                .param("movedPerWeek", prices.movedPerWeek())
                .update();
    }

    /** By class; one nobody chose for is not in it. */
    Map<UUID, ClassPacing> findPacing(UUID programId, UUID yearId) {
        Map<UUID, ClassPacing> pacing = new HashMap<>();
        jdbc.sql("""
                        select class_id, pacing, reserve_percent
                        from plan_class
                        where program_id = :programId and school_year_id = :yearId
                        """).param("programId", programId).param("yearId", yearId).query(row -> {
            pacing.put(
                    Rows.id(row, "class_id"),
                    new ClassPacing(Pacing.valueOf(row.getString("pacing")), row.getInt("reserve_percent")));
        });
        return pacing;
    }

    void putPacing(UUID programId, UUID yearId, UUID classId, ClassPacing pacing) {
        jdbc.sql("""
                        insert into plan_class (program_id, school_year_id, class_id, pacing, reserve_percent)
                        values (:programId, :yearId, :classId, :pacing, :reservePercent)
                        on conflict (program_id, school_year_id, class_id) do update
                        set pacing = excluded.pacing, reserve_percent = excluded.reserve_percent
                        """)
                .param("programId", programId)
                .param("yearId", yearId)
                .param("classId", classId)
                .param("pacing", pacing.pacing().name())
                .param("reservePercent", pacing.reservePercent())
                .update();
    }

    /** Of sections that do not keep the pace, in percent of their usual minutes. */
    Map<SectionOf, Integer> findPaces(UUID programId, UUID yearId) {
        Map<SectionOf, Integer> paces = new HashMap<>();
        jdbc.sql("""
                        select class_id, instrument, pace_percent
                        from section_pace
                        where program_id = :programId and school_year_id = :yearId
                        """).param("programId", programId).param("yearId", yearId).query(row -> {
            paces.put(
                    new SectionOf(Rows.id(row, "class_id"), Rows.instrument(row, "instrument")),
                    row.getInt("pace_percent"));
        });
        return paces;
    }

    /** @param percent 100 where it keeps the pace again */
    void putPace(UUID programId, UUID yearId, SectionOf section, int percent) {
        if (percent == 100) {
            jdbc.sql("""
                            delete from section_pace
                            where program_id = :programId and school_year_id = :yearId and class_id = :classId
                              and instrument = :instrument
                            """)
                    .param("programId", programId)
                    .param("yearId", yearId)
                    .param("classId", section.classId())
                    .param("instrument", section.instrument().value())
                    .update();
            return;
        }
        jdbc.sql("""
                        insert into section_pace (program_id, school_year_id, class_id, instrument, pace_percent)
                        values (:programId, :yearId, :classId, :instrument, :percent)
                        on conflict (program_id, school_year_id, class_id, instrument) do update
                        set pace_percent = excluded.pace_percent
                        """)
                .param("programId", programId)
                .param("yearId", yearId)
                .param("classId", section.classId())
                .param("instrument", section.instrument().value())
                .param("percent", percent)
                .update();
    }

    Map<WeekOf, Integer> findExtraMinutes(UUID programId) {
        Map<WeekOf, Integer> extra = new HashMap<>();
        jdbc.sql("select class_id, monday, minutes from plan_extra_minutes where program_id = :programId")
                .param("programId", programId)
                .query(row -> {
                    extra.put(new WeekOf(Rows.id(row, "class_id"), Rows.day(row, "monday")), row.getInt("minutes"));
                });
        return extra;
    }

    void addExtraMinutes(UUID programId, WeekOf week, int minutes) {
        jdbc.sql("""
                        insert into plan_extra_minutes (program_id, class_id, monday, minutes)
                        values (:programId, :classId, :monday, :minutes)
                        on conflict (program_id, class_id, monday) do update
                        set minutes = least(600, plan_extra_minutes.minutes + excluded.minutes)
                        """)
                .param("programId", programId)
                .param("classId", week.classId())
                .param("monday", week.monday())
                .param("minutes", minutes)
                .update();
    }
}
