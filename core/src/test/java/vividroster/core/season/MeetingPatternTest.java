package vividroster.core.season;

import static java.time.DayOfWeek.FRIDAY;
import static java.time.DayOfWeek.MONDAY;
import static java.time.DayOfWeek.SATURDAY;
import static java.time.DayOfWeek.THURSDAY;
import static java.time.DayOfWeek.TUESDAY;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.season.Bells.Bell;
import vividroster.core.season.Bells.Span;
import vividroster.core.season.MeetingPattern.Meeting;
import vividroster.core.season.MeetingPattern.Slot;
import vividroster.core.season.SchoolYear.Entry;
import vividroster.core.season.SchoolYear.EntryKind;

class MeetingPatternTest {

    private static final LocalDate MONDAY_24 = LocalDate.of(2026, 8, 24);
    private static final LocalTime NINE = LocalTime.of(9, 0);

    private static SchoolYear year(Bells bells, Entry... entries) {
        return new SchoolYear(MONDAY_24, LocalDate.of(2027, 6, 11), List.of(entries), List.of("A", "B"), bells);
    }

    private static Entry on(EntryKind kind, LocalDate day, Integer... periods) {
        return new Entry(kind, kind.name(), day, day, Set.of(periods));
    }

    private static Slot slot(Set<DayOfWeek> weekdays, Set<String> letters, int period) {
        return new Slot(weekdays, letters, period, NINE, 45, "");
    }

    private static MeetingPattern pattern(Slot... slots) {
        return new MeetingPattern(List.of(slots));
    }

    private static Bell bell(String campus, int period, LocalTime startsAt, Span onShortDays) {
        return new Bell(campus, period, new Span(startsAt, 45), Optional.ofNullable(onShortDays));
    }

    @Test
    void weekdaysHoldWhateverTheLetter() {
        MeetingPattern mondays = pattern(slot(Set.of(MONDAY, THURSDAY), Set.of(), 3));
        SchoolYear year = year(Bells.NONE);
        assertThat(ClassTimes.of(mondays).daysIn(year, year.weeks().getFirst()))
                .containsExactly(MONDAY_24, MONDAY_24.plusDays(3));
        assertThat(ClassTimes.of(mondays).lastIn(year, year.weeks().getFirst())).contains(MONDAY_24.plusDays(3));
        assertThat(ClassTimes.of(mondays).nextFrom(year, MONDAY_24.plusDays(4))).contains(MONDAY_24.plusDays(7));
    }

    @Test
    void aLetterAndAWeekdayTogetherNeedBoth() {
        // A-days of the first two weeks: Mon, Wed, Fri, Tue, Thu.
        MeetingPattern both = pattern(slot(Set.of(FRIDAY), Set.of("A"), 3));
        SchoolYear year = year(Bells.NONE);
        assertThat(ClassTimes.of(both).daysIn(year, year.weeks().getFirst())).containsExactly(MONDAY_24.plusDays(4));
        assertThat(ClassTimes.of(both).daysIn(year, year.weeks().get(1))).isEmpty();
    }

    @Test
    void twoCampusesAreTwoSlots() {
        MeetingPattern pattern = pattern(
                new Slot(Set.of(), Set.of("A"), 2, NINE, 45, ""),
                new Slot(Set.of(), Set.of("B"), 5, LocalTime.of(12, 30), 40, "Saltgrass"));
        SchoolYear year = year(Bells.NONE);
        assertThat(pattern.on(year, MONDAY_24, "Cobble Point")).contains(new Meeting(2, NINE, 45, "Cobble Point"));
        assertThat(pattern.on(year, MONDAY_24.plusDays(1), "Cobble Point"))
                .contains(new Meeting(5, LocalTime.of(12, 30), 40, "Saltgrass"));
    }

    @Test
    void anAssemblyTakesItsPeriodsAndNoOthers() {
        SchoolYear year = year(Bells.NONE, on(EntryKind.ASSEMBLY, MONDAY_24, 3), on(EntryKind.TESTING, MONDAY_24));
        assertThat(pattern(slot(Set.of(), Set.of(), 3)).on(year, MONDAY_24, "")).isEmpty();
        assertThat(pattern(slot(Set.of(), Set.of(), 2)).on(year, MONDAY_24, "")).isPresent();
        assertThat(ClassTimes.of(pattern(slot(Set.of(), Set.of(), 3))).nextFrom(year, MONDAY_24))
                .as("the next day has its period")
                .contains(MONDAY_24.plusDays(1));
    }

    @Test
    void aShortDayRingsItsOwnBells() {
        Entry early = on(EntryKind.SHORT_DAY, MONDAY_24);
        Bells bells = new Bells(List.of(
                bell("", 2, NINE, new Span(LocalTime.of(8, 40), 25)),
                bell("", 3, LocalTime.of(10, 0), null),
                bell("Saltgrass", 2, NINE, null)));
        SchoolYear year = year(bells, early);
        MeetingPattern second = pattern(slot(Set.of(), Set.of(), 2));
        assertThat(second.on(year, MONDAY_24, "Cobble Point"))
                .contains(new Meeting(2, LocalTime.of(8, 40), 25, "Cobble Point"));
        assertThat(pattern(slot(Set.of(), Set.of(), 3)).on(year, MONDAY_24, "Cobble Point"))
                .as("the third period falls out")
                .isEmpty();
        assertThat(second.on(year, MONDAY_24, "Saltgrass"))
                .as("a campus that says nothing of short days keeps its times")
                .contains(new Meeting(2, NINE, 45, "Saltgrass"));
        assertThat(second.on(year, MONDAY_24.plusDays(1), "")).contains(new Meeting(2, NINE, 45, ""));
        assertThat(bells.usual("Cobble Point", 3)).contains(new Span(LocalTime.of(10, 0), 45));
        assertThat(bells.usual("Saltgrass", 3)).as("its own bells alone").isEmpty();
    }

    @Test
    void aClosedDayHasNoMeeting() {
        SchoolYear year = year(Bells.NONE, on(EntryKind.LOST_DAY, MONDAY_24));
        assertThat(ClassTimes.EVERY_DAY.on(year, MONDAY_24)).isEmpty();
        assertThat(ClassTimes.EVERY_DAY.on(year, MONDAY_24.plusDays(5)))
                .as("a Saturday")
                .isEmpty();
    }

    @Test
    void saysWhatIsNoTimeOfMeeting() {
        assertThat(pattern().faults(List.of())).containsExactly(new MeetingFault.MeetsOnNoDay());
        LocalTime late = LocalTime.of(23, 30);
        assertThat(pattern(
                                new Slot(Set.of(MONDAY), Set.of(), 13, NINE, 4, ""),
                                new Slot(Set.of(SATURDAY), Set.of(), 1, late, 45, ""),
                                new Slot(Set.of(TUESDAY), Set.of("C"), 1, NINE, 45, ""))
                        .faults(List.of("A", "B")))
                .containsExactly(
                        new MeetingFault.NoSuchPeriod(0),
                        new MeetingFault.TooLongOrShort(0),
                        new MeetingFault.OverMidnight(1, late, 45),
                        new MeetingFault.OnAWeekend(1),
                        new MeetingFault.NoSuchLetter(2, "C", List.of("A", "B")));
        assertThat(pattern(new Slot(Set.of(), Set.of(), 1, late, 30, "")).faults(List.of()))
                .as("ends at midnight")
                .isEmpty();
        assertThat(new MeetingPattern(Collections.nCopies(11, slot(Set.of(), Set.of(), 1))).faults(List.of()))
                .containsExactly(new MeetingFault.TooMany(10));
    }

    @Test
    void timesThatMayFallOnOneDayAreTold() {
        assertThat(pattern(slot(Set.of(MONDAY), Set.of(), 1), slot(Set.of(), Set.of("A"), 2))
                        .faults(List.of("A", "B")))
                .containsExactly(new MeetingFault.TwiceOnADay(1, 0));
        assertThat(pattern(slot(Set.of(), Set.of("B"), 1), slot(Set.of(), Set.of("A"), 2))
                        .faults(List.of("A", "B")))
                .isEmpty();
    }

    /** Without a fault no two slots are on one day, which is what {@code on} relies on. */
    @Property
    void withoutFaultsASlotIsAloneOnItsDay(
            @ForAll Set<DayOfWeek> one, @ForAll Set<DayOfWeek> other, @ForAll @IntRange(max = 3) int letters) {
        Slot first = slot(one, letters % 2 == 0 ? Set.of() : Set.of("A"), 1);
        Slot second = slot(other, letters < 2 ? Set.of() : Set.of("B"), 2);
        boolean told = pattern(first, second).faults(List.of("A", "B")).stream()
                .anyMatch(MeetingFault.TwiceOnADay.class::isInstance);
        SchoolYear year = year(Bells.NONE);
        boolean meet = MONDAY_24
                .datesUntil(MONDAY_24.plusDays(140))
                .anyMatch(day -> pattern(first).on(year, day, "").isPresent()
                        && pattern(second).on(year, day, "").isPresent());
        // Weekends apart, which no class meets on, what may meet does within ten weeks of two letters.
        if (meet) {
            assertThat(told).isTrue();
        }
    }

    @ParameterizedTest
    @CsvSource({
        "09:19, ''", // more than ten minutes before
        "09:20, 53",
        "09:30, 43",
        "10:13, 0",
        "10:14, ''",
    })
    void timeToTheBellOfAClassThatGoesOn(String now, String minutes) {
        MeetingPattern.Meeting meeting = new MeetingPattern.Meeting(2, LocalTime.of(9, 30), 43, "");
        assertThat(meeting.toBell(LocalTime.parse(now)).map(Duration::toMinutes))
                .isEqualTo(minutes.isEmpty() ? Optional.empty() : Optional.of(Long.parseLong(minutes)));
    }

    /** At 9:55 the first is over, and the second one comes; after the last bell the last one stays. */
    @ParameterizedTest
    @CsvSource({"06:00, 0", "09:10, 0", "09:43, 0", "09:44, 1", "11:00, 1", "15:00, 1"})
    void aDirectorTurnsToTheClassThatGoesOnOrComesNext(String now, int place) {
        List<MeetingPattern.Meeting> day = List.of(
                new MeetingPattern.Meeting(2, LocalTime.of(9, 0), 43, ""),
                new MeetingPattern.Meeting(3, LocalTime.of(10, 30), 43, ""));
        assertThat(MeetingPattern.Meeting.turnedTo(day, LocalTime.parse(now))).hasValue(place);
        assertThat(MeetingPattern.Meeting.turnedTo(List.of(), LocalTime.parse(now)))
                .isEmpty();
    }

    @Test
    void theMinuteOfAPeriodCountsFromItsStart() {
        MeetingPattern.Meeting meeting = new MeetingPattern.Meeting(2, LocalTime.of(9, 0), 43, "");
        assertThat(meeting.minuteAt(LocalTime.of(8, 55))).as("they come in").hasValue(0);
        assertThat(meeting.minuteAt(LocalTime.of(9, 16))).hasValue(16);
        assertThat(meeting.minuteAt(LocalTime.of(9, 44))).isEmpty();
    }

    /** Nine to quarter to ten; of its last twenty minutes what is still to come. */
    @Test
    void theEndOfAMeetingIsWhatIsLeftOfIt() {
        Meeting meeting = new Meeting(2, LocalTime.of(9, 0), 45, "");
        assertThat(meeting.lastMinutes(20, LocalTime.MIN)).contains(new Meeting.End(LocalTime.of(9, 25), 1_200));
        assertThat(meeting.lastMinutes(20, LocalTime.of(9, 10))).contains(new Meeting.End(LocalTime.of(9, 25), 1_200));
        assertThat(meeting.lastMinutes(20, LocalTime.of(9, 40, 30)))
                .contains(new Meeting.End(LocalTime.of(9, 40), 300));
        assertThat(meeting.lastMinutes(60, LocalTime.MIN))
                .as("no more than there are")
                .contains(new Meeting.End(LocalTime.of(9, 0), 2_700));
        assertThat(meeting.lastMinutes(20, LocalTime.of(9, 45))).isEmpty();
    }
}
