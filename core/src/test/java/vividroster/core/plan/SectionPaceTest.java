package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import vividroster.core.plan.Pace.PastWeek;

/** What a section's weeks and marks say of its pace. */
class SectionPaceTest {

    /** Ten students; the class meets twice, thrice, not at all, twice, then three weeks to come. */
    private static SectionPace section(Integer... passWeeks) {
        return new SectionPace(10, List.of(2, 3, 0, 2, 2, 0, 1), 1, 5, List.of(passWeeks), 12);
    }

    @Test
    void aLineIsHadWhenEightOfTenHaveIt() {
        assertThat(section().enough()).isEqualTo(8);
        assertThat(new SectionPace(1, List.of(1), 1, 1, List.of(), 0).enough()).isEqualTo(1);
        assertThat(new SectionPace(4, List.of(1), 1, 1, List.of(), 0).enough())
                .as("80 percent of 4 are 3.2")
                .isEqualTo(4);
        assertThat(section().need(List.of(10, 8, 5, 0)))
                .as("nobody owes a line that enough have")
                .isEqualTo(3 + 8);
    }

    @Test
    void weeksCountByTheirMeetings() {
        assertThat(section(1, 1, 2, 4, 4, 4).behind())
                .containsExactly(new PastWeek(2, 1), new PastWeek(1, 1.5), new PastWeek(0, 0), new PastWeek(3, 1));
        assertThat(section().ahead()).containsExactly(1.0, 0.0, 0.5);
        assertThat(section().weeksHeard()).as("a break is no week").isEqualTo(3);
        assertThat(new SectionPace(10, List.of(2, 2, 2), 3, 3, List.of(1), 1).behind())
                .as("nothing is known before the first line")
                .isEmpty();
    }

    @Test
    void thePlanIsItsLinesOverTheWeeksItMeets() {
        assertThat(section().planned()).isCloseTo(12 * 8 / 5.0, within(1e-9));
        assertThat(section().lines(16)).isEqualTo(2);
        assertThat(new SectionPace(10, List.of(2, 2), 1, 1, List.of(), 0).planned())
                .isEqualTo(8);
    }

    @Test
    void itIsPlannedWithTheMinutesOfItsOwnPace() {
        SectionPace weeks = new SectionPace(10, List.of(2, 2, 2, 2, 2, 2), 1, 6, List.of(1, 2, 3, 4, 5), 6);
        assertThat(weeks.planned()).isEqualTo(8);
        assertThat(weeks.minutesPercent(new Pace(8, 1, 1))).as("as planned").isEqualTo(100);
        assertThat(weeks.minutesPercent(new Pace(7.5, 1, 1))).as("near enough").isEqualTo(100);
        assertThat(weeks.minutesPercent(new Pace(5, 1, 1))).as("8 to 5").isEqualTo(160);
        assertThat(weeks.minutesPercent(new Pace(1, 1, 1)))
                .as("at most twice as long")
                .isEqualTo(200);
        assertThat(weeks.minutesPercent(new Pace(10, 1, 1))).as("ahead").isEqualTo(80);
        assertThat(section().minutesPercent(new Pace(1, 1, 1)))
                .as("three weeks are too few")
                .isEqualTo(100);
    }

    @Test
    void aSectionThatHasItAllNeedsNothing() {
        Forecast done = section(1, 2).forecast(List.of(9, 10));
        assertThat(done.need()).isZero();
        assertThat(done.low()).hasValue(0);
        Forecast open = section(1, 1, 1, 1, 2, 2, 2, 2, 4, 4, 4).forecast(List.of(4));
        assertThat(open.middle()).as("four passes at about three a week").isPresent();
        assertThat(section().ahead().get(open.middle().getAsInt() - 1))
                .as("never in a break")
                .isPositive();
        assertThat(section().forecast(List.of(0, 0, 0, 0, 0, 0, 0)).high())
                .as("not this year")
                .isEmpty();
    }
}
