package vividroster.server.lines;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.Key;
import vividroster.core.music.Mode;
import vividroster.core.rehearsal.WarmUp;

/** Warm-ups the director kept. */
@Repository
class WarmUpQueries {

    private final JdbcClient jdbc;

    WarmUpQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Empty where none is kept. */
    List<WarmUp.Part> find(UUID programId, UUID classId, LocalDate monday) {
        return jdbc.sql("""
                        select kind, minutes, concert_fifths, mode
                        from warm_up_part
                        where program_id = :programId and class_id = :classId and monday = :monday
                        order by ordinal
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .param("monday", monday)
                .query((row, n) -> new WarmUp.Part(
                        WarmUp.Kind.valueOf(row.getString("kind")),
                        row.getDouble("minutes"),
                        new Key(row.getInt("concert_fifths"), Mode.valueOf(row.getString("mode"))),
                        List.of()))
                .list();
    }

    void put(UUID programId, UUID classId, LocalDate monday, List<WarmUp.Part> parts, UUID accountId) {
        delete(programId, classId, monday);
        jdbc.sql("""
                insert into warm_up (program_id, class_id, monday, kept_by)
                values (:programId, :classId, :monday, :accountId)
                """)
                .param("programId", programId)
                .param("classId", classId)
                .param("monday", monday)
                .param("accountId", accountId)
                .update();
        int ordinal = 0;
        for (WarmUp.Part part : parts) {
            jdbc.sql("""
                    insert into warm_up_part (program_id, class_id, monday, ordinal, kind, minutes, concert_fifths, mode)
                    values (:programId, :classId, :monday, :ordinal, :kind, :minutes, :fifths, :mode)
                    """)
                    .param("programId", programId)
                    .param("classId", classId)
                    .param("monday", monday)
                    .param("ordinal", ++ordinal)
                    .param("kind", part.kind().name())
                    .param("minutes", part.minutes())
                    .param("fifths", part.key().fifths())
                    .param("mode", part.key().mode().name())
                    .update();
        }
    }

    void delete(UUID programId, UUID classId, LocalDate monday) {
        jdbc.sql("""
                delete from warm_up
                where program_id = :programId and class_id = :classId and monday = :monday
                """)
                .param("programId", programId)
                .param("classId", classId)
                .param("monday", monday)
                .update();
    }
}
