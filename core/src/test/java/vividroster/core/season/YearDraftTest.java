package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;

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
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.season.YearDraft.EntryDraft;
import vividroster.core.season.YearDraft.Other;

class YearDraftTest {

    private static final LocalDate FIRST = LocalDate.of(2026, 8, 24);
    private static final LocalDate LAST = LocalDate.of(2027, 6, 11);

    private static LocalDate day(int month, int day) {
        return LocalDate.of(month >= 8 ? 2026 : 2027, month, day);
    }

    private static EntryDraft entry(EntryKind kind, String name, LocalDate first, LocalDate last) {
        return new EntryDraft(kind, name, first, last);
    }

    private static YearDraft year(EntryDraft... entries) {
        return new YearDraft("2026–2027", FIRST, LAST, List.of("A", "B"), List.of(entries));
    }

    private static YearDraft turning(String... letters) {
        return new YearDraft("2026–2027", FIRST, LAST, List.of(letters), List.of());
    }

    @Test
    void aYearWithTwoBreaksAndAConcertInsideIsOne() {
        YearDraft draft = year(
                entry(EntryKind.BREAK, "Autumn break", day(10, 12), day(10, 16)),
                entry(EntryKind.BREAK, "Winter break", day(12, 21), day(1, 1)),
                entry(EntryKind.CONCERT, "Winter concert", day(12, 16), day(12, 16)),
                entry(EntryKind.TESTING, "Testing", day(10, 14), day(10, 20)));
        assertThat(draft.faults(List.of())).isEmpty();
        assertThat(draft.toYear().isSchoolDay(day(10, 13))).isFalse();
        assertThat(YearDraft.of(draft.name(), draft.toYear(), draft.rotation()).entries())
                .containsExactlyInAnyOrderElementsOf(draft.entries());
        assertThat(draft.toYear().rotationOn(FIRST)).contains("A");
    }

    @Test
    void aYearThatEndsBeforeItBeginsOrNeverIsNone() {
        assertThat(new YearDraft(" ", FIRST, FIRST, List.of(), List.of()).faults(List.of()))
                .containsExactly(new YearFault.NoName(), new YearFault.EndsBeforeItBegins(FIRST));
        assertThat(new YearDraft("2026", FIRST, FIRST.plusDays(401), List.of(), List.of()).faults(List.of()))
                .containsExactly(new YearFault.TooLong(400));
        assertThat(new YearDraft("2026", FIRST, FIRST.plusDays(400), List.of(), List.of()).faults(List.of()))
                .isEmpty();
    }

    @Test
    void yearsDoNotRunIntoEachOther() {
        Other before = new Other("2025–2026", new SchoolYears.Span(LocalDate.of(2025, 8, 25), FIRST));
        Other after = new Other("2027–2028", new SchoolYears.Span(LAST.plusDays(1), LAST.plusDays(300)));
        assertThat(year().faults(List.of(before, after)))
                .containsExactly(new YearFault.RunsInto("2025–2026", LocalDate.of(2025, 8, 25), FIRST));
    }

    @Test
    void aDayIsClosedOnceOnly() {
        assertThat(year(
                                entry(EntryKind.BREAK, "Winter break", day(12, 21), day(1, 1)),
                                entry(EntryKind.BREAK, "Holidays", day(12, 28), day(1, 8)),
                                entry(EntryKind.LOST_DAY, "Storm", day(1, 1), day(1, 1)))
                        .faults(List.of()))
                .containsExactly(
                        new YearFault.ClosedTwice(1, "Holidays", "Winter break", day(12, 28)),
                        new YearFault.ClosedTwice(2, "Storm", "Winter break", day(1, 1)),
                        new YearFault.ClosedTwice(2, "Storm", "Holidays", day(1, 1)));
    }

    @Test
    void anEntryHasANameLiesInTheYearAndIsThereOnce() {
        EntryDraft concert = entry(EntryKind.CONCERT, "Concert", day(12, 16), day(12, 16));
        assertThat(year(
                                entry(EntryKind.CONCERT, " ", day(12, 1), day(12, 1)),
                                entry(EntryKind.BREAK, "Backwards", day(10, 16), day(10, 12)),
                                entry(EntryKind.CONCERT, "Summer", day(7, 16), day(7, 16)),
                                concert,
                                concert)
                        .faults(List.of()))
                .containsExactly(
                        new YearFault.EntryWithoutName(0),
                        new YearFault.EntryEndsBeforeItBegins(1, "Backwards"),
                        new YearFault.EntryOutside(2, "Summer"),
                        new YearFault.EntryTwice(4, "Concert"));
        assertThat(year(Collections.nCopies(201, concert).toArray(EntryDraft[]::new))
                        .faults(List.of()))
                .containsExactly(new YearFault.TooManyEntries(200));
    }

    @Test
    void lettersTurnWhereThereAreTwoOrMoreEachOnce() {
        assertThat(turning().faults(List.of())).isEmpty();
        assertThat(turning("A", "B", "C").faults(List.of())).isEmpty();
        assertThat(turning("A").faults(List.of())).containsExactly(new YearFault.OneLetter());
        assertThat(turning("A", "A").faults(List.of())).containsExactly(new YearFault.Letter("A"));
        assertThat(turning("A", " ", "Green").faults(List.of()))
                .containsExactly(new YearFault.Letter(" "), new YearFault.Letter("Green"));
        assertThat(turning("1", "2", "3", "4", "5", "6", "7", "8", "9", "10", "11")
                        .faults(List.of()))
                .containsExactly(new YearFault.TooManyLetters(10));
    }

    @Test
    void aYearThatIsAllBreakIsNone() {
        assertThat(year(entry(EntryKind.BREAK, "Gone", FIRST, LAST)).faults(List.of()))
                .containsExactly(new YearFault.NoSchoolDay());
    }

    /** What has no fault is a year, wherever its break lies. */
    @Property(tries = 300)
    void whatHasNoFaultIsAYear(
            @ForAll @IntRange(min = -30, max = 330) int from, @ForAll @IntRange(min = -3, max = 90) int days) {
        YearDraft draft = year(entry(EntryKind.BREAK, "Break", FIRST.plusDays(from), FIRST.plusDays(from + days)));
        List<YearFault> faults = draft.faults(List.of());
        boolean lies = days >= 0 && from + days >= 0 && !FIRST.plusDays(from).isAfter(LAST);
        assertThat(faults.isEmpty()).isEqualTo(lies);
        if (lies) {
            assertThat(draft.toYear().weeks()).isNotEmpty();
        }
    }

    private static YearDraft ringing(Bells.Bell... bells) {
        return new YearDraft("2026–2027", FIRST, LAST, List.of(), List.of(), List.of(bells));
    }

    private static Bells.Bell bell(String campus, int period, LocalTime at, int minutes) {
        return new Bells.Bell(campus, period, new Bells.Span(at, minutes), Optional.empty());
    }

    @Test
    void periodsAreOncePerCampusAndEndBeforeMidnight() {
        LocalTime nine = LocalTime.of(9, 0);
        assertThat(ringing(bell("", 1, nine, 45), bell("Cobble Point", 1, nine, 45))
                        .faults(List.of()))
                .isEmpty();
        assertThat(ringing(
                                bell("Cobble Point", 1, nine, 45),
                                bell("cobble point", 1, nine, 45),
                                bell("", 13, nine, 45),
                                bell("", 2, nine, 4),
                                bell("", 3, LocalTime.of(23, 50), 45))
                        .faults(List.of()))
                .containsExactly(
                        new YearFault.BellTwice(1, 1, "cobble point"),
                        new YearFault.BellOfNoPeriod(2),
                        new YearFault.BellTooLongOrShort(3),
                        new YearFault.BellOverMidnight(4, 3));
    }

    @Test
    void onlyAssembliesAndTestingTakePeriods() {
        assertThat(year(
                                new EntryDraft(EntryKind.ASSEMBLY, "Assembly", day(9, 9), day(9, 9), Set.of(3)),
                                new EntryDraft(EntryKind.CONCERT, "Concert", day(9, 10), day(9, 10), Set.of(3)),
                                new EntryDraft(EntryKind.TESTING, "Testing", day(9, 11), day(9, 11), Set.of(14)))
                        .faults(List.of()))
                .containsExactly(new YearFault.TakesNoPeriods(1, "Concert"), new YearFault.EntryOfNoPeriod(2));
    }

    @Test
    void markingPeriodsFollowOneAnother() {
        assertThat(year(
                                entry(EntryKind.MARKING_PERIOD, "Quarter 1", FIRST, day(10, 30)),
                                entry(EntryKind.MARKING_PERIOD, "Quarter 2", day(10, 30), day(1, 15)),
                                entry(EntryKind.BREAK, "Autumn break", day(10, 12), day(10, 16)))
                        .faults(List.of()))
                .containsExactly(new YearFault.MarkedTwice(1, "Quarter 2", "Quarter 1", day(10, 30)));
    }
}
