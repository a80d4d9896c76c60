package vividroster.server.testing;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.testing.HearingQueue.LeftOut;
import vividroster.server.platform.Absent;

/** A test day as it is shown. */
final class TestDayViews {

    private TestDayViews() {}

    /**
     * @param periods those in which somebody is heard, in the order of the days
     * @param heard students who need not be heard any more, passed or tried today
     * @param makeUp who waits for a slot of their own, by rule
     * @param bound how many of the coming periods are needed at least
     * @param proven whether no plan ends earlier
     * @param sooner how many heard together would end it in an earlier period; absent where none does
     */
    record TestDayView(
            UUID milestoneId,
            MilestoneKind kind,
            String title,
            TakesView takes,
            List<TestPeriodView> periods,
            List<TestStudentView> heard,
            List<MakeUpView> makeUp,
            int bound,
            boolean proven,
            @Absent SoonerView sooner) {}

    /**
     * What one student takes.
     *
     * @param playing with the count-in; planned with a word and the changeover
     * @param learnt as students really take today; learntFrom on how many it was measured, 0 for none
     */
    record TakesView(int playing, int word, int changeover, int planned, int learnt, int learntFrom) {}

    /**
     * @param minutes there are for the test; usedSeconds of them
     * @param beginsAt when the first is heard, for example "11:53"
     */
    record TestPeriodView(
            String id,
            UUID classId,
            String className,
            LocalDate on,
            int period,
            String beginsAt,
            boolean today,
            @Absent String rotation,
            int periodMinutes,
            int minutes,
            int usedSeconds,
            List<TestSlotView> slots) {}

    record TestSlotView(String at, int seconds, List<TestStudentView> students) {}

    record TestStudentView(UUID studentId, String name, String instrumentName) {}

    /** @param because absent where there is no room in the coming periods */
    record MakeUpView(
            UUID studentId,
            String name,
            String instrumentName,
            @Absent LeftOut because) {}

    /** @param periods it would take */
    record SoonerView(int together, int periods) {}
}
