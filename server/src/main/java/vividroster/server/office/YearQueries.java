package vividroster.server.office;

import java.sql.Types;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.season.Bells;
import vividroster.core.season.Bells.Bell;
import vividroster.core.season.Bells.Span;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.season.YearDraft;
import vividroster.core.season.YearDraft.EntryDraft;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Rows;

@Repository
class YearQueries {

    private final JdbcClient jdbc;

    YearQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record KeptYear(UUID id, YearDraft draft) {}

    /** With their entries, by first day. */
    List<KeptYear> findAll(UUID programId) {
        Map<UUID, List<EntryDraft>> entries = new HashMap<>();
        jdbc.sql("""
                        select school_year_id, kind, name, first_day, last_day, periods
                        from calendar_entry
                        where program_id = :programId
                        order by first_day, last_day, name
                        """).param("programId", programId).query(row -> {
            entries.computeIfAbsent(Rows.id(row, "school_year_id"), id -> new ArrayList<>())
                    .add(new EntryDraft(
                            EntryKind.valueOf(row.getString("kind")),
                            row.getString("name"),
                            Rows.day(row, "first_day"),
                            Rows.day(row, "last_day"),
                            Set.copyOf(Rows.numbers(row, "periods"))));
        });
        Map<UUID, List<Bell>> bells = findBells(programId);
        return jdbc.sql("""
                        select id, name, first_day, last_day, rotation
                        from school_year
                        where program_id = :programId
                        order by first_day
                        """)
                .param("programId", programId)
                .query((row, n) -> {
                    UUID id = Rows.id(row, "id");
                    return new KeptYear(
                            id,
                            new YearDraft(
                                    row.getString("name"),
                                    Rows.day(row, "first_day"),
                                    Rows.day(row, "last_day"),
                                    Rows.texts(row, "rotation"),
                                    entries.getOrDefault(id, List.of()),
                                    bells.getOrDefault(id, List.of())));
                })
                .list();
    }

    void put(UUID programId, UUID id, YearDraft draft) {
        jdbc.sql("""
                insert into school_year (program_id, id, name, first_day, last_day, rotation)
                values (:programId, :id, :name, :first, :last, :rotation)
                on conflict (program_id, id)
                do update set name = excluded.name, first_day = excluded.first_day, last_day = excluded.last_day,
                              rotation = excluded.rotation
                """)
                .param("programId", programId)
                .param("id", id)
                .param("name", draft.name())
                .param("first", draft.first())
                .param("last", draft.last())
                .param("rotation", draft.rotation().toArray(String[]::new))
                .update();
        jdbc.sql("delete from calendar_entry where program_id = :programId and school_year_id = :id")
                .param("programId", programId)
                .param("id", id)
                .update();
        draft.entries().forEach(entry -> insert(programId, id, entry));
        jdbc.sql("delete from bell where program_id = :programId and school_year_id = :id")
                .param("programId", programId)
                .param("id", id)
                .update();
        draft.bells().forEach(bell -> insert(programId, id, bell));
    }

    Bells bells(UUID programId, UUID yearId) {
        return new Bells(findBells(programId).getOrDefault(yearId, List.of()));
    }

    /** Of every year, by its id. */
    private Map<UUID, List<Bell>> findBells(UUID programId) {
        Map<UUID, List<Bell>> bells = new HashMap<>();
        jdbc.sql("""
                        select school_year_id, campus, period, starts_at, minutes, short_starts_at, short_minutes
                        from bell
                        where program_id = :programId
                        order by campus, period
                        """).param("programId", programId).query(row -> {
            LocalTime shortStart = row.getObject("short_starts_at", LocalTime.class);
            bells.computeIfAbsent(Rows.id(row, "school_year_id"), id -> new ArrayList<>())
                    .add(new Bell(
                            row.getString("campus"),
                            row.getInt("period"),
                            new Span(row.getObject("starts_at", LocalTime.class), row.getInt("minutes")),
                            shortStart == null
                                    ? Optional.empty()
                                    : Optional.of(new Span(shortStart, row.getInt("short_minutes")))));
        });
        return bells;
    }

    private void insert(UUID programId, UUID yearId, Bell bell) {
        jdbc.sql("""
                insert into bell
                    (program_id, school_year_id, campus, period, starts_at, minutes, short_starts_at, short_minutes)
                values (:programId, :yearId, :campus, :period, :startsAt, :minutes, :shortStartsAt, :shortMinutes)
                """)
                .param("programId", programId)
                .param("yearId", yearId)
                .param("campus", bell.campus())
                .param("period", bell.period())
                .param("startsAt", bell.span().startsAt())
                .param("minutes", bell.span().minutes())
                .param("shortStartsAt", bell.onShortDays().map(Span::startsAt).orElse(null), Types.TIME)
                .param("shortMinutes", bell.onShortDays().map(Span::minutes).orElse(null), Types.SMALLINT)
                .update();
    }

    private void insert(UUID programId, UUID yearId, EntryDraft entry) {
        jdbc.sql("""
                insert into calendar_entry (program_id, id, school_year_id, kind, name, first_day, last_day, periods)
                values (:programId, :id, :yearId, :kind, :name, :first, :last, :periods)
                """)
                .param("programId", programId)
                .param("id", Ids.next())
                .param("yearId", yearId)
                .param("kind", entry.kind().name())
                .param("name", entry.name())
                .param("first", entry.first())
                .param("last", entry.last())
                .param("periods", entry.periods().stream().sorted().toArray(Integer[]::new))
                .update();
    }
}
