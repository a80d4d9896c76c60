package vividroster.server.season;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import vividroster.core.instrument.Family;
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.Pacing;
import vividroster.core.plan.PlanItem;
import vividroster.core.plan.PlanTrouble;
import vividroster.server.platform.Absent;

/** The plan of a year as the API shows it. Weeks are named by their Monday. */
final class PlanViews {

    private PlanViews() {}

    /** @param name of the break that closes it */
    record PlanWeekView(
            LocalDate monday,
            @Absent Integer number,
            boolean closed,
            @Absent String name) {}

    /**
     * @param there minutes for method work, the reserve taken off
     * @param share what an even year would put there
     */
    record MinutesView(int there, int wanted, int share) {}

    /**
     * A row of the score: an instrument of a class, with all its divisions.
     *
     * @param carriedOver milestones its students carry over from earlier weeks, all together
     */
    record PlanSectionView(
            InstrumentCode instrument, String name, Family family, int students, int pacePercent, int carriedOver) {}

    /** @param minutes one for each week */
    record PlanClassView(
            UUID id,
            String name,
            Pacing pacing,
            int reservePercent,
            List<MinutesView> minutes,
            List<PlanSectionView> sections) {}

    /** Where an item stands in a class. @param instruments empty where it is for the whole class */
    record ReachView(UUID classId, List<InstrumentCode> instruments) {}

    record NewNotesView(UUID classId, InstrumentCode instrument, List<String> notes) {}

    /**
     * @param milestoneId absent for a piece and for catching up
     * @param shortName what a block says
     * @param name as it is spoken of
     * @param monday absent while it stands nowhere
     * @param minutes it takes in its classes, teaching and hearing
     * @param dueOn of its order
     * @param broken why it may not stand where it stands
     */
    record PlanItemView(
            String id,
            PlanItem.Kind kind,
            @Absent UUID milestoneId,
            String shortName,
            String title,
            String name,
            List<ReachView> reach,
            @Absent LocalDate monday,
            PlanItem.Hold hold,
            boolean chosen,
            int value,
            boolean essential,
            int teachMinutes,
            boolean heardAlone,
            int minutes,
            @Absent LocalDate notBefore,
            @Absent LocalDate dueBy,
            int marginWeeks,
            List<NewNotesView> newNotes,
            List<UUID> orderIds,
            @Absent LocalDate dueOn,
            @Absent String broken) {}

    /** What a director sees as a problem: those of the planner, and what its plan of today shows. */
    enum ProblemKind {
        RING,
        FIXED_IN_BREAK,
        DEADLINE_IN_BREAK,
        CLASS_NEVER_MEETS,
        TOO_LONG,
        TOO_MANY_NEW_NOTES,
        NEED_AFTER_FIXED,
        DATE_MISSED,
        NO_TEACHING_WEEK,
        /** It stands where a hard rule forbids it. */
        RULE_BROKEN,
        /** A week wants more minutes than it has. */
        OVERFULL,
        /** It is for sections in which nobody sits. */
        NOBODY;

        static ProblemKind of(PlanTrouble.Kind kind) {
            return valueOf(kind.name());
        }
    }

    /** One move that makes it better. @param words what it does */
    record RemedyView(String itemId, LocalDate monday, String words) {}

    /** @param monday of the week it is about */
    record PlanProblemView(
            ProblemKind kind,
            List<String> itemIds,
            @Absent LocalDate monday,
            String text,
            @Absent RemedyView remedy) {}

    record PointsView(long total, Map<String, Long> parts) {}

    /** Another class that shares students with those shown. */
    record SharedClassView(UUID classId, String name, int students) {}

    /** @param changes how many things it moves */
    record WaitingProposalView(UUID id, String cause, OffsetDateTime madeAt, int changes) {}

    /**
     * @param firstFree the first week that may still be changed
     * @param unplaced ids of what stands nowhere
     */
    record PlanView(
            long revision,
            LocalDate firstFree,
            int maxNewNotes,
            int fullPercent,
            List<PlanWeekView> weeks,
            List<PlanClassView> classes,
            List<PlanItemView> items,
            PointsView points,
            List<PlanProblemView> problems,
            List<SharedClassView> shared,
            List<WaitingProposalView> proposals) {}

    /** Whether what is moved may stand in a week. @param why not; absent where it may @param points more than now */
    record TargetView(LocalDate monday, boolean allowed, String why, long points) {}
}
