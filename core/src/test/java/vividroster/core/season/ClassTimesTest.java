package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividroster.core.season.Bells.Bell;
import vividroster.core.season.Bells.Span;
import vividroster.core.season.MeetingPattern.Slot;
import vividroster.core.season.SchoolYear.Entry;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.season.SchoolYear.Week;

class ClassTimesTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 8, 24);
    private static final LocalTime NINE = LocalTime.of(9, 0);

    /** At Cobble Point the third period falls out on short days; Friday of the first week is one. */
    private static final SchoolYear YEAR = new SchoolYear(
            MONDAY,
            LocalDate.of(2027, 6, 11),
            List.of(
                    new Entry(EntryKind.SHORT_DAY, "Early close", MONDAY.plusDays(4), MONDAY.plusDays(4)),
                    new Entry(EntryKind.BREAK, "Harvest", MONDAY.plusDays(7), MONDAY.plusDays(11))),
            List.of(),
            new Bells(List.of(
                    new Bell("Cobble Point", 2, new Span(NINE, 45), Optional.of(new Span(NINE, 25))),
                    new Bell("Cobble Point", 3, new Span(LocalTime.of(10, 0), 45), Optional.empty()))));

    private static ClassTimes times(int period, String campus, LocalDate lastDay) {
        return new ClassTimes(
                new MeetingPattern(
                        List.of(new Slot(Set.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY), Set.of(), period, NINE, 45, ""))),
                campus,
                Optional.ofNullable(lastDay));
    }

    private static Week week(int at) {
        return YEAR.weeks().get(at);
    }

    @Test
    void theBellsOfItsCampusDecideWhereADueDayFalls() {
        assertThat(times(3, "Cobble Point", null).dueDay(YEAR, MONDAY))
                .as("on Friday its period falls out")
                .isEqualTo(MONDAY.plusDays(1));
        assertThat(times(2, "Cobble Point", null).dueDay(YEAR, MONDAY)).isEqualTo(MONDAY.plusDays(4));
        assertThat(times(3, "", null).dueDay(YEAR, MONDAY)).isEqualTo(MONDAY.plusDays(4));
    }

    @Test
    void whatIsSetAfterTheLastMeetingOfAWeekIsDueAtTheNext() {
        assertThat(times(3, "Cobble Point", null).dueDay(YEAR, MONDAY.plusDays(2)))
                .as("over the break")
                .isEqualTo(MONDAY.plusDays(15));
        assertThat(times(3, "", MONDAY.plusDays(1)).dueDay(YEAR, MONDAY.plusDays(2)))
                .as("it never meets again")
                .isEqualTo(YEAR.last());
    }

    @Test
    void aClassThatEndedMeetsNoMore() {
        ClassTimes ended = times(2, "", MONDAY.plusDays(1));
        assertThat(ended.daysIn(YEAR, week(0))).containsExactly(MONDAY.plusDays(1));
        assertThat(ended.weeksFrom(YEAR, MONDAY)).containsExactly(week(0));
        assertThat(ended.nextFrom(YEAR, MONDAY.plusDays(2))).isEmpty();
        assertThat(ended.methodMinutes(YEAR, week(0))).isEqualTo(27);
    }

    @Test
    void weeksOfMeetingLeaveBreaksOut() {
        assertThat(times(2, "", null).weeksFrom(YEAR, MONDAY.plusDays(2)).subList(0, 2))
                .containsExactly(week(0), week(2));
        assertThat(times(2, "", null).weeksFrom(YEAR, MONDAY.plusDays(7)).getFirst())
                .isEqualTo(week(2));
    }

    @Test
    void sixtyPercentOfTheMeetingsAreForTheBookAndTheChecks() {
        assertThat(times(2, "", null).methodMinutes(YEAR, week(0))).isEqualTo(54);
        assertThat(times(2, "Cobble Point", null).methodMinutes(YEAR, week(0)))
                .as("45 and, on the short day, 25 minutes")
                .isEqualTo(42);
        assertThat(times(2, "", null).methodMinutes(YEAR, week(1))).isZero();
    }

    @Test
    void theNextMondayOfAYearThatHasNotBegunIsItsFirstDay() {
        assertThat(YEAR.nextMonday(MONDAY.minusDays(40))).isEqualTo(MONDAY);
        assertThat(YEAR.nextMonday(MONDAY)).isEqualTo(MONDAY.plusDays(7));
        assertThat(YEAR.nextMonday(MONDAY.plusDays(6))).isEqualTo(MONDAY.plusDays(7));
    }
}
