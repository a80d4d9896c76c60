package vividroster.server.habits;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.progress.HabitWatch.Finding;
import vividroster.core.progress.HabitWatch.Look;
import vividroster.server.hearing.Player;
import vividroster.server.platform.Rows;

/** Looks at passed habits: rows are added and read, nothing else. */
@Repository
class HabitQueries {

    private final JdbcClient jdbc;

    HabitQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A habit of one player. */
    record Key(Player player, UUID milestoneId) {}

    void insert(UUID programId, UUID id, Key habit, UUID classId, LocalDate on, Finding finding, UUID accountId) {
        jdbc.sql("""
                        insert into habit_look (program_id, id, student_id, milestone_id, instrument, class_id, looked_on,
                                                finding, looked_by)
                        values (:programId, :id, :studentId, :milestoneId, :instrument, :classId, :on, :finding, :accountId)
                        """)
                .param("programId", programId)
                .param("id", id)
                .param("studentId", habit.player().studentId())
                .param("milestoneId", habit.milestoneId())
                .param("instrument", habit.player().instrument().value())
                .param("classId", classId)
                .param("on", on)
                .param("finding", finding.name())
                .param("accountId", accountId)
                .update();
    }

    /** Looks at the habits of these students up to a day, in the order made. */
    Map<Key, List<Look>> find(UUID programId, Collection<UUID> studentIds, LocalDate upTo) {
        Map<Key, List<Look>> looks = new HashMap<>();
        jdbc.sql("""
                        select student_id, instrument, milestone_id, looked_on, finding
                        from habit_look
                        where program_id = :programId and student_id = any(:students) and looked_on <= :upTo
                        order by looked_at, id
                        """)
                .param("programId", programId)
                .param("students", Rows.array(studentIds))
                .param("upTo", upTo)
                .query(row -> {
                    Key habit = new Key(
                            new Player(Rows.id(row, "student_id"), Rows.instrument(row, "instrument")),
                            Rows.id(row, "milestone_id"));
                    looks.computeIfAbsent(habit, key -> new ArrayList<>())
                            .add(new Look(Rows.day(row, "looked_on"), Finding.valueOf(row.getString("finding"))));
                });
        return looks;
    }
}
