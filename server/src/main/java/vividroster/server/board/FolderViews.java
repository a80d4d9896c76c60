package vividroster.server.board;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.server.hearing.StandingView;
import vividroster.server.library.BeltView;
import vividroster.server.platform.Absent;

/** What a folder is shown by. */
final class FolderViews {

    private FolderViews() {}

    record FolderSeat(
            UUID classId,
            String className,
            String instrumentName,
            String division,
            LocalDate startsOn,
            @Absent LocalDate endsOn) {}

    /** @param measure its number on the page; absent where none was tapped */
    record HeardFaultView(String sign, @Absent Integer measure) {
        static HeardFaultView of(String sign, OptionalInt measure) {
            return new HeardFaultView(sign, measure.isPresent() ? measure.getAsInt() : null);
        }
    }

    /**
     * @param points as the rubric it was heard against scores them; absent where nothing is marked by points
     * @param deviceHeardAt what the device said, where it could not be right; the arrival counts instead
     */
    record TryView(
            UUID id,
            LocalDate heardOn,
            OffsetDateTime recordedAt,
            Outcome outcome,
            Evidence evidence,
            String className,
            String heardBy,
            @Absent Double points,
            String reason,
            String note,
            List<HeardFaultView> faults,
            @Absent Integer tempoBpm,
            @Absent String substitute,
            boolean corrected,
            @Absent UUID corrects,
            @Absent OffsetDateTime deviceHeardAt) {}

    /** @param tries the latest few, latest first; moreTries whether there are earlier ones */
    record FolderMilestone(
            UUID milestoneId,
            MilestoneKind kind,
            String shortName,
            String title,
            @Absent LocalDate setOn,
            @Absent LocalDate dueOn,
            StandingView standing,
            List<TryView> tries,
            boolean moreTries) {}

    /** @param milestones all that are open and the first page of the others; moreDone how many others follow */
    record FolderInstrument(
            InstrumentCode instrument,
            String instrumentName,
            @Absent BeltView wornBelt,
            @Absent BeltView nextBelt,
            List<String> missing,
            int passed,
            int open,
            List<FolderMilestone> milestones,
            int moreDone,
            List<MomentView> moments,
            List<EarnedView> earned) {}

    /** Something heard this school year. @param passes whether it made the pass */
    record MomentView(LocalDate on, MilestoneKind kind, String name, Outcome outcome, boolean passes) {}

    record EarnedView(LocalDate on, BeltView belt) {}

    /** A fault that came back. @param measure where it was tapped most; absent where never */
    record RecurringView(
            String sign,
            int tries,
            LocalDate lastOn,
            @Absent Integer measure) {}

    /** A lasting change of instrument in one class. @param division of the new one, empty where there is none */
    record FolderSwitch(
            UUID classId,
            String className,
            String fromName,
            InstrumentCode to,
            String toName,
            String division,
            LocalDate on) {}

    /** @param switches the latest first; recurring faults of this school year, most often first */
    record FolderView(
            UUID id,
            String name,
            List<FolderSeat> seats,
            List<FolderSwitch> switches,
            List<FolderInstrument> instruments,
            List<RecurringView> recurring) {}

    /** @param moreDone how many follow behind these */
    record DonePage(List<FolderMilestone> milestones, int moreDone) {}
}
