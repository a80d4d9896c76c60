package vividroster.server.lines;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
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

    /** @param demonstrationId that hangs on it */
    record KeptPart(WarmUp.Part part, Optional<UUID> demonstrationId) {
        static KeptPart bare(WarmUp.Part part) {
            return new KeptPart(part, Optional.empty());
        }
    }

    /** Empty where none is kept. */
    List<KeptPart> find(UUID programId, UUID classId, LocalDate monday) {
        return jdbc.sql("""
                        select kind, minutes, concert_fifths, mode, demonstration_id
                        from warm_up_part
                        where program_id = :programId and class_id = :classId and monday = :monday
                        order by ordinal
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .param("monday", monday)
                .query((row, n) -> new KeptPart(
                        new WarmUp.Part(
                                WarmUp.Kind.valueOf(row.getString("kind")),
                                row.getDouble("minutes"),
                                new Key(row.getInt("concert_fifths"), Mode.valueOf(row.getString("mode"))),
                                List.of()),
                        Optional.ofNullable(row.getObject("demonstration_id", UUID.class))))
                .list();
    }

    void put(UUID programId, UUID classId, LocalDate monday, List<KeptPart> parts, UUID accountId) {
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
        for (KeptPart kept : parts) {
            WarmUp.Part part = kept.part();
            jdbc.sql("""
                    insert into warm_up_part (program_id, class_id, monday, ordinal, kind, minutes, concert_fifths, mode,
                                              demonstration_id)
                    values (:programId, :classId, :monday, :ordinal, :kind, :minutes, :fifths, :mode,
                            :demonstrationId)
                    """)
                    .param("programId", programId)
                    .param("classId", classId)
                    .param("monday", monday)
                    .param("ordinal", ++ordinal)
                    .param("kind", part.kind().name())
                    .param("minutes", part.minutes())
                    .param("fifths", part.key().fifths())
                    .param("mode", part.key().mode().name())
                    .param("demonstrationId", kept.demonstrationId().orElse(null))
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
