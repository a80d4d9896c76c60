package vividroster.server.belts;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.Ladder;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.HandOver;
import vividroster.server.belts.BeltBoards.BeltBoard;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.StandingView;
import vividroster.server.library.BeltView;
import vividroster.server.platform.Absent;

/** The belts of a section as the API shows them. */
final class BeltViews {

    private BeltViews() {}

    /**
     * @param helps whether it is missing and would bring the belt nearer
     * @param needsRemedy whether it was tried so often that another remedy is due
     */
    record BeltSlotView(
            UUID milestoneId,
            MilestoneKind kind,
            String name,
            boolean must,
            boolean helps,
            boolean needsRemedy,
            StandingView standing) {}

    /** @param on the day it was earned; absent where no day is known */
    record DueBeltView(UUID beltId, @Absent LocalDate on) {}

    record WithdrawnView(UUID handOverId, UUID beltId, LocalDate handedOn) {}

    /**
     * @param wornBelt the highest that was handed over and is earned
     * @param due earned and not handed over, from the lowest up
     * @param withdrawn handed over and no longer earned
     * @param towardBelt the highest to be handed over, else the next; absent at the top and where there is no ladder
     * @param needed how many of its slots have still to be filled, filled how many are, of those asked
     * @param onLadder whether any ladder asks something of this instrument
     */
    record BeltRowView(
            UUID studentId,
            String name,
            UUID classId,
            InstrumentCode instrument,
            String instrumentName,
            String division,
            @Absent UUID wornBelt,
            List<DueBeltView> due,
            List<WithdrawnView> withdrawn,
            @Absent UUID towardBelt,
            List<BeltSlotView> slots,
            int needed,
            int filled,
            int asked,
            List<UUID> alone,
            boolean onLadder) {}

    record BeltRunStudent(UUID studentId, String name) {}

    /** @param minutes to hear all of them */
    record BeltRunView(UUID milestoneId, MilestoneKind kind, String name, List<BeltRunStudent> students, int minutes) {}

    /** @param belts of the ladders somebody here stands on, from the lowest up, then those they no longer have */
    record BeltBoardView(LocalDate on, List<BeltView> belts, List<BeltRowView> rows, List<BeltRunView> runs) {}

    static BeltBoardView of(BeltBoard board, InstrumentCatalog catalog) {
        return new BeltBoardView(
                board.on(),
                board.sheet().ladders().stream()
                        .filter(ladder -> board.rows().stream().anyMatch(row -> concerns(row, ladder)))
                        .flatMap(ladder -> ladder.everBelts().stream())
                        .map(belt -> view(belt, board.looks()))
                        .toList(),
                board.rows().stream().map(row -> row(row, board, catalog)).toList(),
                board.runs().stream()
                        .map(run -> new BeltRunView(
                                run.milestone().id(),
                                run.milestone().kind(),
                                BeltBoards.name(run.milestone()),
                                run.students().stream()
                                        .map(one -> new BeltRunStudent(
                                                one.student().id(),
                                                one.student().name()))
                                        .toList(),
                                run.minutes()))
                        .toList());
    }

    private static boolean concerns(BeltBoards.Row row, Ladder ladder) {
        return ladder.asks(row.seated().seat().instrument())
                || Stream.concat(
                                row.state().worn().map(Belt::id).stream(),
                                Stream.concat(
                                        row.state().due().stream()
                                                .map(due -> due.belt().id()),
                                        row.state().withdrawn().stream().map(HandOver::beltId)))
                        .anyMatch(id -> ladder.everBelts().stream()
                                .anyMatch(belt -> belt.id().equals(id)));
    }

    static BeltView view(Belt belt, Map<UUID, BeltLook> looks) {
        return BeltView.of(belt, looks.get(belt.id()));
    }

    private static BeltRowView row(BeltBoards.Row row, BeltBoard board, InstrumentCatalog catalog) {
        Seated seated = row.seated();
        InstrumentCode instrument = seated.seat().instrument();
        return new BeltRowView(
                seated.student().id(),
                seated.student().name(),
                seated.seat().classId(),
                instrument,
                catalog.withCode(instrument).name(),
                seated.seat().division(),
                row.state().worn().map(Belt::id).orElse(null),
                row.state().due().stream()
                        .map(due -> new DueBeltView(due.belt().id(), due.on().orElse(null)))
                        .toList(),
                row.state().withdrawn().stream()
                        .map(one -> new WithdrawnView(one.id(), one.beltId(), one.handedOn()))
                        .toList(),
                row.toward().map(Belt::id).orElse(null),
                row.slots().stream().map(BeltViews::slot).toList(),
                row.needed(),
                row.filled(),
                row.asked(),
                List.copyOf(row.alone()),
                board.sheet().ladders().stream().anyMatch(ladder -> ladder.asks(instrument)));
    }

    private static BeltSlotView slot(BeltBoards.Slot slot) {
        Milestone milestone = slot.milestone();
        return new BeltSlotView(
                milestone.id(),
                milestone.kind(),
                BeltBoards.name(milestone),
                slot.must(),
                slot.helps(),
                slot.standing().needsARemedy(),
                StandingView.of(slot.standing()));
    }
}
