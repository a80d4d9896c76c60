package vividroster.server.season;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Absent;
import vividroster.server.season.PlanViews.PlanProblemView;
import vividroster.server.season.PlanViews.PointsView;
import vividroster.server.season.ProposalQueries.Aim;

/**
 * A proposal as what it changes of today's plan.
 *
 * @param cause in words of the director; may be empty
 * @param before points of today's plan, by the same prices as after
 * @param stays what stays, and why, in a few words each
 */
record PlanProposalView(
        UUID id,
        Aim aim,
        String cause,
        OffsetDateTime madeAt,
        List<PlanChangeView> changes,
        List<PlanLeftOutView> leftOut,
        List<MinutesChangeView> minutes,
        PointsView before,
        PointsView after,
        List<PlanProblemView> problems,
        List<String> stays) {

    /**
     * @param from absent for what comes in
     * @param to absent for what is left out
     * @param words what happens to it: "one week later", "comes in"
     * @param why as a sentence
     */
    record PlanChangeView(
            String itemId,
            String name,
            @Absent LocalDate from,
            @Absent LocalDate to,
            String words,
            String why) {}

    /** @param consequence for belts and the ensemble; absent where there is none. What does not fit, with the least harmful ways to make it fit. */
    record PlanLeftOutView(
            String itemId, String name, String why, @Absent String consequence, List<FittingView> options) {}

    /** What one change would make possible. @see vividroster.core.plan.PlanOption */
    enum OptionKind {
        DROP,
        MOVE_DATE,
        MORE_MINUTES,
        SPLIT,
        MORE_NEW_NOTES,
        /** Pinned there all the same. */
        PIN
    }

    /**
     * @param total points of the plan after it
     * @param more points more than the proposal has; less where negative
     */
    record FittingView(
            OptionKind kind,
            String words,
            long total,
            long more,
            @Absent String otherItemId,
            @Absent LocalDate monday,
            @Absent UUID classId,
            @Absent Integer minutes,
            @Absent List<InstrumentCode> instruments) {}

    record MinutesChangeView(UUID classId, LocalDate monday, int there, int before, int after) {}
}
