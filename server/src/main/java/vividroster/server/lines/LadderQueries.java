package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.core.rehearsal.Ladder;
import vividroster.server.lines.PracticeLadders.GroupView;
import vividroster.server.lines.PracticeLadders.LadderDraft;
import vividroster.server.lines.PracticeLadders.LadderStepDraft;
import vividroster.server.platform.Rows;

/** Practice ladders the director kept. */
@Repository
class LadderQueries {

    private final JdbcClient jdbc;

    LadderQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<LadderDraft> find(UUID programId, UUID lineId, InstrumentCode instrument) {
        List<LadderStepDraft> steps = jdbc.sql("""
                        select kind, from_measure, to_measure, tempo_bpm, repetitions, group_from, group_to, bows, note
                        from practice_ladder_step
                        where program_id = :programId and line_id = :lineId and instrument = :instrument
                        order by ordinal
                        """)
                .param("programId", programId)
                .param("lineId", lineId)
                .param("instrument", instrument.value())
                .query((row, n) -> {
                    List<Integer> from = Rows.numbers(row, "group_from");
                    List<Integer> to = Rows.numbers(row, "group_to");
                    return new LadderStepDraft(
                            Ladder.Kind.valueOf(row.getString("kind")),
                            row.getInt("from_measure"),
                            row.getInt("to_measure"),
                            row.getDouble("tempo_bpm"),
                            row.getInt("repetitions"),
                            IntStream.range(0, from.size())
                                    .mapToObj(i -> new GroupView(from.get(i), to.get(i)))
                                    .toList(),
                            Rows.numbers(row, "bows"),
                            row.getString("note"));
                })
                .list();
        return jdbc.sql("""
                        select minutes, habit
                        from practice_ladder
                        where program_id = :programId and line_id = :lineId and instrument = :instrument
                        """)
                .param("programId", programId)
                .param("lineId", lineId)
                .param("instrument", instrument.value())
                .query((row, n) -> new LadderDraft(
                        row.getDouble("minutes"), Ladder.Habit.valueOf(row.getString("habit")), new ArrayList<>(steps)))
                .optional();
    }

    void put(UUID programId, UUID lineId, InstrumentCode instrument, LadderDraft ladder, UUID accountId) {
        delete(programId, lineId, instrument);
        jdbc.sql("""
                insert into practice_ladder (program_id, line_id, instrument, minutes, habit, kept_by)
                values (:programId, :lineId, :instrument, :minutes, :habit, :accountId)
                """)
                .param("programId", programId)
                .param("lineId", lineId)
                .param("instrument", instrument.value())
                .param("minutes", ladder.minutes())
                .param("habit", ladder.habit().name())
                .param("accountId", accountId)
                .update();
        int ordinal = 0;
        for (LadderStepDraft step : ladder.steps()) {
            List<GroupView> groups = step.groups() == null ? List.of() : step.groups();
            jdbc.sql("""
                    insert into practice_ladder_step (program_id, line_id, instrument, ordinal, kind, from_measure,
                                                      to_measure, tempo_bpm, repetitions, group_from, group_to, bows, note)
                    values (:programId, :lineId, :instrument, :ordinal, :kind, :from, :to, :tempo, :repetitions,
                            :groupFrom, :groupTo, :bows, :note)
                    """)
                    .param("programId", programId)
                    .param("lineId", lineId)
                    .param("instrument", instrument.value())
                    .param("ordinal", ++ordinal)
                    .param("kind", step.kind().name())
                    .param("from", step.from())
                    .param("to", step.to())
                    .param("tempo", step.tempoBpm())
                    .param("repetitions", step.repetitions())
                    .param("groupFrom", groups.stream().map(GroupView::from).toArray(Integer[]::new))
                    .param("groupTo", groups.stream().map(GroupView::to).toArray(Integer[]::new))
                    .param(
                            "bows",
                            step.bows() == null ? new Integer[0] : step.bows().toArray(Integer[]::new))
                    .param("note", step.note() == null ? "" : step.note())
                    .update();
        }
    }

    void delete(UUID programId, UUID lineId, InstrumentCode instrument) {
        jdbc.sql("""
                delete from practice_ladder
                where program_id = :programId and line_id = :lineId and instrument = :instrument
                """)
                .param("programId", programId)
                .param("lineId", lineId)
                .param("instrument", instrument.value())
                .update();
    }
}
