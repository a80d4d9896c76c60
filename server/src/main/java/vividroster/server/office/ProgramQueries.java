package vividroster.server.office;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.season.Bells;
import vividroster.core.season.SchoolYear;
import vividroster.core.season.SchoolYear.Entry;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.season.SchoolYears;
import vividroster.server.platform.Rows;

@Repository
class ProgramQueries {

    private final JdbcClient jdbc;

    ProgramQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param fixedToday null where a programme lives by the clock */
    record ProgramRow(
            String name,
            String zone,
            LocalDate fixedToday,
            boolean named,
            List<String> campuses,
            Optional<UUID> asideOf,
            List<YearRow> years) {}

    record YearRow(UUID id, SchoolYears.Span span, List<String> rotation) {}

    boolean anyProgram() {
        return jdbc.sql("select exists (select 1 from program)")
                .query(Boolean.class)
                .single();
    }

    List<UUID> findPrograms() {
        return jdbc.sql("select id from program -- every program_id there is")
                .query(UUID.class)
                .list();
    }

    void insertProgram(UUID programId, String name, String zone, LocalDate fixedToday, UUID asideOf, boolean named) {
        jdbc.sql("""
                        insert into program (id, name, zone, fixed_today, aside_of, named_at)
                        values (:id, :name, :zone, :fixedToday, :asideOf, case when :named then now() end)
                        """)
                .param("id", programId)
                .param("asideOf", asideOf, java.sql.Types.OTHER)
                .param("named", named)
                .param("name", name)
                .param("zone", zone)
                .param("fixedToday", fixedToday, java.sql.Types.DATE)
                .update();
    }

    /** What a director says of the school. */
    void putProgram(UUID programId, String name, String zone, List<String> campuses) {
        jdbc.sql("""
                        update program
                        set name = :name, zone = :zone, campuses = :campuses, named_at = coalesce(named_at, now())
                        where id = :programId -- program_id is its own id
                        """)
                .param("programId", programId)
                .param("name", name)
                .param("zone", zone)
                .param("campuses", campuses.toArray(String[]::new))
                .update();
    }

    Optional<UUID> findAside(UUID programId) {
        return jdbc.sql("select id from program where aside_of = :programId -- program_id of the real one")
                .param("programId", programId)
                .query(UUID.class)
                .optional();
    }

    /** Takes a made-up programme away with everything in it. */
    void throwAway(UUID asideId) {
        jdbc.sql("select throw_away_aside(:asideId)::text -- a program_id")
                .param("asideId", asideId)
                .query(String.class)
                .optional();
    }

    /** With its years by first day. */
    ProgramRow find(UUID programId) {
        List<ProgramRow> rows = jdbc.sql("""
                        select p.name, p.zone, p.fixed_today, p.named_at is not null as named, p.campuses, p.aside_of, y.id, y.first_day, y.last_day, y.rotation
                        from program p
                        left join school_year y on y.program_id = p.id
                        where p.id = :programId
                        order by y.first_day
                        """)
                .param("programId", programId)
                .query((row, n) -> new ProgramRow(
                        row.getString("name"),
                        row.getString("zone"),
                        row.getObject("fixed_today", LocalDate.class),
                        row.getBoolean("named"),
                        Rows.texts(row, "campuses"),
                        Optional.ofNullable(Rows.id(row, "aside_of")),
                        row.getObject("id") == null ? List.of() : List.of(year(row))))
                .list();
        ProgramRow first = rows.getFirst();
        return new ProgramRow(
                first.name(),
                first.zone(),
                first.fixedToday(),
                first.named(),
                first.campuses(),
                first.asideOf(),
                rows.stream().flatMap(row -> row.years().stream()).toList());
    }

    private static YearRow year(ResultSet row) throws SQLException {
        return new YearRow(
                Rows.id(row, "id"),
                new SchoolYears.Span(Rows.day(row, "first_day"), Rows.day(row, "last_day")),
                Rows.texts(row, "rotation"));
    }

    /** With its entries. */
    SchoolYear whole(UUID programId, YearRow year, Bells bells) {
        return new SchoolYear(
                year.span().first(), year.span().last(), entries(programId, year.id()), year.rotation(), bells);
    }

    private List<Entry> entries(UUID programId, UUID yearId) {
        return jdbc.sql("""
                        select kind, name, first_day, last_day, periods
                        from calendar_entry
                        where program_id = :programId and school_year_id = :yearId
                        order by first_day, last_day
                        """)
                .param("programId", programId)
                .param("yearId", yearId)
                .query((row, n) -> new Entry(
                        EntryKind.valueOf(row.getString("kind")),
                        row.getString("name"),
                        row.getObject("first_day", LocalDate.class),
                        row.getObject("last_day", LocalDate.class),
                        Set.copyOf(Rows.numbers(row, "periods"))))
                .list();
    }
}
