package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear.Entry;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.season.SchoolYear.Week;

class NewcomersTest {

    private static final InstrumentCatalog CATALOG = new InstrumentCatalog(List.of());
    private static final UUID WINDS = UUID.randomUUID();
    private static final LocalDate MONDAY = LocalDate.of(2026, 8, 31);

    /** The third week is a break. */
    private static final SchoolYear YEAR = new SchoolYear(
            MONDAY,
            LocalDate.of(2026, 12, 18),
            List.of(new Entry(EntryKind.BREAK, "Harvest", MONDAY.plusDays(14), MONDAY.plusDays(18))),
            List.of());

    private static final ClassTimes TIMES =
            ClassTimes.of(MeetingPattern.of(Optional.empty(), 2, LocalTime.of(9, 0), 45));

    private static MilestoneOrder order(UUID milestone, int week, SectionScope scope) {
        LocalDate monday = MONDAY.plusWeeks(week);
        return new MilestoneOrder(
                UUID.randomUUID(), milestone, monday, monday.plusDays(4), Evidence.countingByDefault(), List.of(scope));
    }

    private static MilestoneOrder order(int week) {
        return order(UUID.randomUUID(), week, new SectionScope.Tutti(WINDS));
    }

    private static Seat seat(LocalDate startsOn) {
        return new Seat(UUID.randomUUID(), WINDS, new InstrumentCode("flute"), "", startsOn, Optional.empty());
    }

    private static Newcomers of(List<MilestoneOrder> orders, Seat... seats) {
        return Newcomers.of(orders, orders, List.of(seats), List.of(seats), CATALOG);
    }

    private static List<Week> weeksFrom(LocalDate day) {
        return TIMES.weeksFrom(YEAR, day);
    }

    @Test
    void whoCameBeforeTheDueDayHasItAlready() {
        MilestoneOrder first = order(0);
        assertThat(of(List.of(first), seat(first.dueOn())).since()).isEmpty();
        Seat after = seat(first.dueOn().plusDays(1));
        Newcomers newcomers = of(List.of(first), after);
        assertThat(newcomers.since()).contains(after.startsOn());
        assertThat(newcomers.students()).containsExactly(after.studentId());
    }

    @Test
    void whoComesBackFromABorrowedInstrumentMissesNothing() {
        MilestoneOrder first = order(0);
        Seat before = seat(MONDAY).during(MONDAY, Optional.of(MONDAY.plusDays(20)));
        Seat back = before.during(MONDAY.plusDays(28), Optional.empty());
        assertThat(Newcomers.of(List.of(first), List.of(first), List.of(back), List.of(before, back), CATALOG)
                        .missed())
                .isEmpty();
    }

    @Test
    void eachMilestoneIsForThoseWhoMissItAndForNobodyElse() {
        MilestoneOrder first = order(0);
        MilestoneOrder second = order(1);
        Seat early = seat(MONDAY.plusDays(7));
        Seat late = seat(MONDAY.plusDays(21));
        Newcomers newcomers = of(List.of(second, first), early, late);
        assertThat(newcomers.missed())
                .extracting(one -> one.order(), one -> one.since())
                .containsExactly(tuple(first, early.startsOn()), tuple(second, late.startsOn()));
        List<MilestoneOrder> made = newcomers.setAgain(WINDS, TIMES, YEAR, weeksFrom(MONDAY.plusWeeks(4)));
        assertThat(made.get(0).reaches(early, CATALOG)).isTrue();
        assertThat(made.get(0).reaches(late, CATALOG)).isTrue();
        assertThat(made.get(1).reaches(early, CATALOG))
                .as("had it with the class")
                .isFalse();
        assertThat(made.get(1).reaches(late, CATALOG)).isTrue();
    }

    @Test
    void onePressLeavesNobodyWithoutAndASecondMakesNothing() {
        List<MilestoneOrder> orders = new ArrayList<>(List.of(order(0), order(1)));
        Seat[] seats = {seat(MONDAY.plusDays(8)), seat(MONDAY.plusDays(21))};
        orders.addAll(of(orders, seats).setAgain(WINDS, TIMES, YEAR, weeksFrom(MONDAY.plusWeeks(4))));
        assertThat(orders).hasSize(4);
        assertThat(of(orders, seats).missed()).isEmpty();
    }

    @Test
    void whoComesAfterTheNewcomersOfBeforeIsNewThemselves() {
        List<MilestoneOrder> whole = List.of(order(0));
        List<MilestoneOrder> all = new ArrayList<>(whole);
        all.addAll(of(whole, seat(MONDAY.plusDays(8))).setAgain(WINDS, TIMES, YEAR, weeksFrom(MONDAY.plusWeeks(3))));
        Seat november = seat(MONDAY.plusWeeks(9));
        assertThat(Newcomers.of(whole, all, List.of(november), List.of(november), CATALOG)
                        .since())
                .contains(november.startsOn());
    }

    @Test
    void theWeeksOfMeetingBetweenStayAndBreaksDoNotCount() {
        MilestoneOrder first = order(0);
        MilestoneOrder sameWeek = order(0);
        MilestoneOrder next = order(1);
        MilestoneOrder afterTheBreak = order(4);
        List<MilestoneOrder> made = of(List.of(first, sameWeek, next, afterTheBreak), seat(MONDAY.plusWeeks(5)))
                .setAgain(WINDS, TIMES, YEAR, weeksFrom(MONDAY.plusWeeks(6)));
        assertThat(made)
                .extracting(MilestoneOrder::setOn)
                .containsExactly(MONDAY.plusWeeks(6), MONDAY.plusWeeks(6), MONDAY.plusWeeks(7), MONDAY.plusWeeks(9));
        assertThat(made.getFirst().dueOn()).isEqualTo(MONDAY.plusWeeks(6).plusDays(4));
    }

    @Test
    void whatComesAfterTheLastWeekStandsInIt() {
        List<MilestoneOrder> made = of(List.of(order(0), order(4)), seat(MONDAY.plusWeeks(13)))
                .setAgain(WINDS, TIMES, YEAR, weeksFrom(MONDAY.plusWeeks(14)));
        assertThat(made).extracting(MilestoneOrder::setOn).containsExactly(MONDAY.plusWeeks(14), MONDAY.plusWeeks(15));
    }

    @Test
    void aMilestoneSetTwiceIsSetAgainOnce() {
        UUID milestone = UUID.randomUUID();
        SectionScope tutti = new SectionScope.Tutti(WINDS);
        Newcomers newcomers =
                of(List.of(order(milestone, 0, tutti), order(milestone, 3, tutti)), seat(MONDAY.plusWeeks(5)));
        assertThat(newcomers.missed()).hasSize(1);
        assertThat(of(List.of(order(milestone, 0, tutti), order(milestone, 3, tutti)), seat(MONDAY.plusWeeks(2)))
                        .missed())
                .as("the second reaches them")
                .isEmpty();
    }
}
