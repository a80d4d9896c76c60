package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividroster.core.season.SchoolYear.Entry;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.season.SchoolYear.Week;

class SchoolYearTest {

    /** 2026-08-17 is a Monday. Labor day 7 September closes school; 14 to 18 September is a whole week off. */
    private final SchoolYear year = new SchoolYear(
            LocalDate.of(2026, 8, 17),
            LocalDate.of(2026, 10, 2),
            List.of(
                    new Entry(EntryKind.BREAK, "Labor day", LocalDate.of(2026, 9, 7), LocalDate.of(2026, 9, 7)),
                    new Entry(EntryKind.BREAK, "Fair week", LocalDate.of(2026, 9, 14), LocalDate.of(2026, 9, 18)),
                    new Entry(EntryKind.LOST_DAY, "Storm", LocalDate.of(2026, 8, 20), LocalDate.of(2026, 8, 20)),
                    new Entry(EntryKind.CONCERT, "Concert", LocalDate.of(2026, 9, 24), LocalDate.of(2026, 9, 24))),
            List.of("A", "B"));

    @Test
    void weeksAreCountedWithoutBreaks() {
        assertThat(year.weeks())
                .extracting(Week::number)
                .containsExactly(
                        Optional.of(1),
                        Optional.of(2),
                        Optional.of(3),
                        Optional.of(4),
                        Optional.empty(),
                        Optional.of(5),
                        Optional.of(6));
        assertThat(year.weeks().get(3).schoolDays()).hasSize(4);
        assertThat(year.weekOf(LocalDate.of(2026, 9, 12)).number())
                .as("a Saturday")
                .contains(4);
        assertThat(year.weekOf(LocalDate.of(2026, 1, 1)))
                .as("before the year")
                .isEqualTo(year.weeks().getFirst());
        assertThat(year.weekOf(LocalDate.of(2027, 1, 1)))
                .as("after the year")
                .isEqualTo(year.weeks().getLast());
    }

    @Test
    void lettersTakeTurnsOverSchoolDaysOnly() {
        assertThat(year.rotationOn(LocalDate.of(2026, 8, 17))).contains("A");
        assertThat(year.rotationOn(LocalDate.of(2026, 8, 18))).contains("B");
        assertThat(year.rotationOn(LocalDate.of(2026, 8, 19))).contains("A");
        assertThat(year.rotationOn(LocalDate.of(2026, 8, 20)))
                .as("lost to the storm")
                .isEmpty();
        assertThat(year.rotationOn(LocalDate.of(2026, 8, 21)))
                .as("the campus keeps its turn")
                .contains("B");
        assertThat(year.rotationOn(LocalDate.of(2026, 8, 22))).as("Saturday").isEmpty();
        assertThat(year.rotationOn(LocalDate.of(2026, 8, 24))).contains("A");
    }

    @Test
    void concertsKeepSchoolOpen() {
        assertThat(year.isSchoolDay(LocalDate.of(2026, 9, 24))).isTrue();
        assertThat(year.isSchoolDay(LocalDate.of(2026, 9, 16))).isFalse();
    }

    private static ClassTimes meeting(String letter) {
        return ClassTimes.of(MeetingPattern.of(Optional.of(letter), 2, LocalTime.of(9, 0), 45));
    }

    @Test
    void meetings() {
        Week first = year.weeks().getFirst();
        assertThat(meeting("A").lastIn(year, first)).contains(LocalDate.of(2026, 8, 19));
        assertThat(meeting("B").lastIn(year, first)).contains(LocalDate.of(2026, 8, 21));
        assertThat(ClassTimes.EVERY_DAY.lastIn(year, year.weeks().get(4)))
                .as("in a break")
                .isEmpty();
        assertThat(meeting("A").nextFrom(year, LocalDate.of(2026, 8, 20))).contains(LocalDate.of(2026, 8, 24));
        assertThat(ClassTimes.EVERY_DAY.nextFrom(year, LocalDate.of(2026, 10, 3)))
                .as("after the year")
                .isEmpty();
    }

    @Test
    void refusesAYearThatIsNone() {
        assertThatIllegalArgumentException()
                .isThrownBy(
                        () -> new SchoolYear(LocalDate.of(2026, 8, 17), LocalDate.of(2028, 6, 1), List.of(), List.of()))
                .withMessageContaining("1 to 400 days after 2026-08-17, was 2028-06-01");
    }

    @Test
    void aDayLongBeforeTheYearCostsNothing() {
        assertThat(meeting("A").nextFrom(year, LocalDate.MIN.plusDays(1))).contains(LocalDate.of(2026, 8, 17));
        assertThat(ClassTimes.EVERY_DAY.nextFrom(year, LocalDate.MAX)).isEmpty();
        assertThat(year.weekOf(LocalDate.MIN)).isEqualTo(year.weeks().getFirst());
        assertThat(year.rotationOn(LocalDate.MIN)).isEmpty();
    }

    @Test
    void saysWhatClosesSchool() {
        assertThat(year.closedFor(LocalDate.of(2026, 9, 7))).contains("Labor day");
        assertThat(year.closedFor(LocalDate.of(2026, 9, 24)))
                .as("a concert closes nothing")
                .isEmpty();
    }
}
