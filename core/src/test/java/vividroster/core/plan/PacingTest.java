package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.plan.PlanMilestone.Need;

/** The three schools of pacing, and a section that runs behind. */
class PacingTest {

    private static PlanProblem year() {
        return YearBuilder.weeks(20, 25)
                .line("A", 4)
                .line("B", 4, "A")
                .line("flutes only", 2, "B")
                .newNotes("flutes only", "flute", "A4")
                .line("C", 3, "flutes only")
                .book("A", "B", "C")
                .today("A", 1)
                .problem();
    }

    @Test
    void inStepLeavesTheYearAsItIs() {
        PlanProblem year = year();
        assertThat(Pacing.IN_STEP.settled(year, 10)).isSameAs(year);
    }

    @Test
    void carryOverKeepsMinutesBack() {
        PlanProblem settled = Pacing.IN_STEP_WITH_CARRY_OVER.settled(year(), Pacing.DEFAULT_RESERVE);
        assertThat(settled.classes().getFirst().minutes()).containsExactly(18, 22);
        assertThat(settled.milestones()).isEqualTo(year().milestones());
    }

    @Test
    void masteryGivesEachSectionItsOwn() {
        PlanProblem settled = Pacing.MASTERY.settled(year(), 10);
        assertThat(settled.milestones().stream().map(PlanMilestone::id))
                .containsExactly(
                        "A · flute",
                        "A · horn",
                        "B · flute",
                        "B · horn",
                        "flutes only · flute",
                        "C · flute",
                        "C · horn");
        assertThat(milestone(settled, "B · horn").needs()).containsExactly(new Need("A · horn", 0));
        // horns have no part of what C needs: they wait for the flutes'
        assertThat(milestone(settled, "C · horn").needs()).containsExactly(new Need("flutes only · flute", 0));
        assertThat(settled.sequences())
                .containsExactly(
                        List.of("A · flute", "B · flute", "C · flute"), List.of("A · horn", "B · horn", "C · horn"));
        assertThat(settled.today()).isEqualTo(Map.of("A · flute", 1, "A · horn", 1));
        assertThat(new PlanChecker(settled)
                        .broken(Planner.plan(settled, PlanBudget.DEFAULT).weeks()))
                .isEmpty();
    }

    private static PlanMilestone milestone(PlanProblem year, String id) {
        return year.milestones().stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** minutes × planned ÷ own, at most twice, never less. (planning.md, section 1.) */
    @ParameterizedTest
    @CsvSource({
        "10, 6, 6, 10",
        "10, 6, 4, 15",
        "10, 6, 2, 20",
        "10, 6, 0, 20",
        "10, 6, 9, 10",
        "5, 6, 5, 6",
        "0, 6, 3, 0"
    })
    void aSlowSectionTakesLonger(int minutes, double planned, double own, int slowed) {
        assertThat(Pacing.slowed(minutes, planned, own)).isEqualTo(slowed);
    }

    @Test
    void noReserveOfMoreThanThereIs() {
        assertThatThrownBy(() -> Pacing.IN_STEP.settled(year(), 91))
                .hasMessage("reserve must be in 0..90 percent, was 91");
    }
}
