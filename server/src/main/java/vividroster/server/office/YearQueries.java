package vividroster.server.office;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
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
                        select school_year_id, kind, name, first_day, last_day
                        from calendar_entry
                        where program_id = :programId
                        order by first_day, last_day, name
                        """).param("programId", programId).query(row -> {
            entries.computeIfAbsent(Rows.id(row, "school_year_id"), id -> new ArrayList<>())
                    .add(new EntryDraft(
                            EntryKind.valueOf(row.getString("kind")),
                            row.getString("name"),
                            Rows.day(row, "first_day"),
                            Rows.day(row, "last_day")));
        });
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
                                    entries.getOrDefault(id, List.of())));
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
    }

    private void insert(UUID programId, UUID yearId, EntryDraft entry) {
        jdbc.sql("""
                insert into calendar_entry (program_id, id, school_year_id, kind, name, first_day, last_day)
                values (:programId, :id, :yearId, :kind, :name, :first, :last)
                """)
                .param("programId", programId)
                .param("id", Ids.next())
                .param("yearId", yearId)
                .param("kind", entry.kind().name())
                .param("name", entry.name())
                .param("first", entry.first())
                .param("last", entry.last())
                .update();
    }
}
