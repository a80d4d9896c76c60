package vividroster.server.attendance;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Rows;

/** Who is away from a class on a day. */
@Repository
class AbsenceQueries {

    private record Row(UUID classId, UUID studentId) {}

    private final JdbcClient jdbc;

    AbsenceQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Students away, by class; classes where nobody is are left out. */
    Map<UUID, Set<UUID>> find(UUID programId, Collection<UUID> classIds, LocalDate on) {
        if (classIds.isEmpty()) {
            return Map.of();
        }
        return jdbc
                .sql("""
                        select class_id, student_id from absence
                        where program_id = :programId and class_id = any(:classIds) and on_day = :on
                        """)
                .param("programId", programId)
                .param("classIds", classIds.toArray(UUID[]::new))
                .param("on", on)
                .query((row, n) -> new Row(Rows.id(row, "class_id"), Rows.id(row, "student_id")))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Row::classId, Collectors.mapping(Row::studentId, Collectors.toSet())));
    }

    /** Once, however often it is noted. */
    void insert(UUID programId, UUID classId, LocalDate on, UUID studentId, UUID accountId) {
        jdbc.sql("""
                        insert into absence (program_id, class_id, on_day, student_id, noted_by)
                        values (:programId, :classId, :on, :studentId, :accountId)
                        on conflict (program_id, class_id, on_day, student_id) do nothing
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .param("on", on)
                .param("studentId", studentId)
                .param("accountId", accountId)
                .update();
    }

    void delete(UUID programId, UUID classId, LocalDate on, UUID studentId) {
        jdbc.sql("""
                        delete from absence
                        where program_id = :programId and class_id = :classId and on_day = :on and student_id = :studentId
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .param("on", on)
                .param("studentId", studentId)
                .update();
    }
}
