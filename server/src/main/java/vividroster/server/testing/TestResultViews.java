package vividroster.server.testing;

import java.util.List;
import java.util.UUID;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Absent;

/** How a section stands in a test, as it is shown. */
final class TestResultViews {

    private TestResultViews() {}

    /**
     * @param lineId of the line it is played from; absent where it is none
     * @param mark fewest points that pass; absent where no sum is asked
     * @param top most points there are
     * @param unheard how many of the section were not heard yet
     * @param weakest ordinal; absent where none is
     * @param weakestToo other sections of the class whose weakest is the same
     * @param failed measures where it failed and what was noted there, most students first
     * @param distribution students by whole points, those with somebody only, the fewest points first
     * @param compared the same test earlier; absent where nobody was heard on two days
     * @param waiting students of whom the other listener has still to be heard, whose scores are not shown
     * @param toAgree whom two listeners should talk over
     */
    record TestResultsView(
            UUID milestoneId,
            MilestoneKind kind,
            String title,
            @Absent UUID lineId,
            @Absent InstrumentCode instrument,
            @Absent Integer mark,
            int top,
            int heard,
            int passed,
            int unheard,
            List<CriterionResultView> criteria,
            @Absent Integer weakest,
            List<String> weakestToo,
            List<StudentResultView> students,
            List<FailedView> failed,
            List<ListenersView> listeners,
            List<PointsCountView> distribution,
            @Absent ComparisonView compared,
            List<String> waiting,
            List<ModerationView> toAgree) {}

    /**
     * @param floor absent where it has none
     * @param counts students of the section by points, from 0; ofClass of everybody in the class
     */
    record CriterionResultView(
            int ordinal,
            String name,
            int top,
            @Absent Integer floor,
            List<Integer> counts,
            List<Integer> ofClass,
            int underFloor) {}

    /**
     * @param marks in the order of the criteria; a criterion not marked has 0
     * @param missing points to the mark
     * @param underFloor names of the criteria under their floor
     * @param countedPercent what all tries count by the retake policy; absent where none does
     * @param retake what applies from now on
     */
    record StudentResultView(
            UUID studentId,
            String name,
            String instrumentName,
            List<Integer> marks,
            double points,
            boolean passed,
            double missing,
            List<String> underFloor,
            @Absent Double countedPercent,
            String retake) {}

    /** @param before and {@code now} points on average */
    record ComparedView(int ordinal, double before, double now) {}

    /**
     * Those heard on two days at least: their first try beside their last.
     *
     * @param better how many score more now; worse how many less
     */
    record ComparisonView(int students, int better, int worse, List<ComparedView> criteria) {}

    /** @param students of the section and {@code ofClass} of the whole class with so many whole points */
    record PointsCountView(int points, int students, int ofClass) {}

    /** @param measure its number on the page; absent where none was tapped */
    record FailedView(@Absent Integer measure, String sign, int students) {}

    /** One mark two listeners see differently by two points or more. */
    record ApartView(UUID studentId, String name, String criterion, int first, int second) {}

    /**
     * Two who heard the same students on one day.
     *
     * @param same marks alike; oneApart marks that differ by one point; of all marks both gave
     * @param difference by how much the first gave more, on average
     * @param kappa with linear weights, and its interval; absent where there is too little to tell
     */
    record ListenersView(
            String first,
            String second,
            int students,
            int marks,
            int same,
            int oneApart,
            List<ApartView> apart,
            double difference,
            @Absent Double kappa,
            @Absent Double low,
            @Absent Double high) {}

    /** @param marks in the order of the criteria */
    record ScoreOfView(UUID attemptId, String listener, List<Integer> marks, boolean passes) {}

    /**
     * Two scores of one playing that lie far apart, or of which one passes alone.
     *
     * @param apart names of the criteria that are two points apart or more
     * @param proposed the mean of both, in the order of the criteria
     */
    record ModerationView(
            UUID studentId,
            String name,
            List<String> apart,
            boolean passDiffers,
            List<ScoreOfView> scores,
            List<Integer> proposed) {}
}
