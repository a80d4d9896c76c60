package vividroster.server.season;

import java.sql.Types;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Rows;

/** What classes are to have by a day, and what was forecast for it week by week. */
@Repository
class ForecastQueries {

    /** All lines of a book up to one, by a day. */
    record Target(UUID id, UUID classId, UUID lineId, LocalDate byDay) {}

    /** Mondays by which it is done with a chance of 10, 50, 90 in a hundred; empty for not this year. */
    record Kept(
            UUID targetId,
            InstrumentCode instrument,
            LocalDate monday,
            int need,
            Optional<LocalDate> low,
            Optional<LocalDate> middle,
            Optional<LocalDate> high,
            int chance) {}

    private final JdbcClient jdbc;

    ForecastQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** By day. @param classId null for every class */
    List<Target> findTargets(UUID programId, UUID yearId, UUID classId) {
        return jdbc.sql("""
                        select id, class_id, line_id, by_day
                        from forecast_target
                        where program_id = :programId and school_year_id = :yearId
                          and (:classId::uuid is null or class_id = :classId)
                        order by by_day, id
                        """)
                .param("programId", programId)
                .param("yearId", yearId)
                .param("classId", classId, Types.OTHER)
                .query((row, n) -> new Target(
                        Rows.id(row, "id"), Rows.id(row, "class_id"), Rows.id(row, "line_id"), Rows.day(row, "by_day")))
                .list();
    }

    /** @throws org.springframework.dao.DuplicateKeyException of {@code forecast_target_once} where it is there under another id */
    void put(UUID programId, UUID yearId, Target target) {
        jdbc.sql("""
                        insert into forecast_target (program_id, id, school_year_id, class_id, line_id, by_day)
                        values (:programId, :id, :yearId, :classId, :lineId, :byDay)
                        on conflict (program_id, id) do nothing
                        """)
                .param("programId", programId)
                .param("id", target.id())
                .param("yearId", yearId)
                .param("classId", target.classId())
                .param("lineId", target.lineId())
                .param("byDay", target.byDay())
                .update();
    }

    /** With all that was forecast for it. False when there is none. */
    boolean delete(UUID programId, UUID targetId) {
        return jdbc.sql("delete from forecast_target where program_id = :programId and id = :id")
                        .param("programId", programId)
                        .param("id", targetId)
                        .update()
                == 1;
    }

    /** What was forecast for targets, oldest first. */
    Map<UUID, List<Kept>> findKept(UUID programId, Collection<UUID> targetIds) {
        Map<UUID, List<Kept>> kept = new HashMap<>();
        jdbc.sql("""
                        select target_id, instrument, monday, need, low, middle, high, chance
                        from forecast_kept
                        where program_id = :programId and target_id = any(:targetIds)
                        order by target_id, instrument, monday
                        """)
                .param("programId", programId)
                .param("targetIds", Rows.array(targetIds))
                .query(row -> {
                    kept.computeIfAbsent(Rows.id(row, "target_id"), none -> new ArrayList<>())
                            .add(new Kept(
                                    Rows.id(row, "target_id"),
                                    Rows.instrument(row, "instrument"),
                                    Rows.day(row, "monday"),
                                    row.getInt("need"),
                                    Rows.maybeDay(row, "low"),
                                    Rows.maybeDay(row, "middle"),
                                    Rows.maybeDay(row, "high"),
                                    row.getInt("chance")));
                });
        return kept;
    }

    /** The first forecast of a week stands. */
    void keep(UUID programId, Kept kept) {
        jdbc.sql("""
                        insert into forecast_kept (program_id, target_id, instrument, monday, need, low, middle, high, chance)
                        values (:programId, :targetId, :instrument, :monday, :need, :low, :middle, :high, :chance)
                        on conflict (program_id, target_id, instrument, monday) do nothing
                        """)
                .param("programId", programId)
                .param("targetId", kept.targetId())
                .param("instrument", kept.instrument().value())
                .param("monday", kept.monday())
                .param("need", kept.need())
                .param("low", kept.low().orElse(null), Types.DATE)
                .param("middle", kept.middle().orElse(null), Types.DATE)
                .param("high", kept.high().orElse(null), Types.DATE)
                .param("chance", kept.chance())
                .update();
    }
}
