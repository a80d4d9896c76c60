package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.season.CalendarProposals.Event;
import vividroster.core.season.CalendarProposals.Proposal;
import vividroster.core.season.SchoolYear.EntryKind;

class CalendarProposalsTest {

    private static final LocalDate FIRST = LocalDate.of(2026, 8, 24);
    private static final LocalDate LAST = LocalDate.of(2027, 6, 11);

    private static Event event(String name, LocalDate first, LocalDate last) {
        return new Event(name, first, last);
    }

    private static LocalDate december(int day) {
        return LocalDate.of(2026, 12, day);
    }

    @ParameterizedTest
    @CsvSource({
        "Winter Break, BREAK",
        "NO SCHOOL – Staff Development, BREAK",
        "No school: state testing makeup, BREAK",
        "Snow day (school closed), LOST_DAY",
        "Early Release, SHORT_DAY",
        "Half-day for students, SHORT_DAY",
        "State testing window, TESTING",
        "Winter Band Concert, CONCERT",
        "Solo & Ensemble, FESTIVAL",
        "Pep rally, ASSEMBLY",
        "End of Quarter 2, MARKING_PERIOD",
        "Holiday concert, BREAK",
    })
    void isToldByItsWords(String name, EntryKind kind) {
        assertThat(CalendarProposals.kindOf(name)).contains(kind);
    }

    @ParameterizedTest
    @CsvSource({"Board meeting", "Contestants' lunch", "Breakfast with the principal", "Latest news", "Parent evening"})
    void whatNoWordTellsIsNothing(String name) {
        assertThat(CalendarProposals.kindOf(name)).isEmpty();
    }

    @Test
    void daysOfOneNameAreOneBreakOverTheWeekend() {
        assertThat(CalendarProposals.of(
                                List.of(
                                        event("Winter break", december(24), december(24)),
                                        event("Winter break", december(25), december(25)),
                                        event("winter break", december(28), december(29)),
                                        event("Winter break", december(31), december(31))),
                                FIRST,
                                LAST)
                        .proposals())
                .extracting(Proposal::first, Proposal::last)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(december(24), december(29)),
                        org.assertj.core.groups.Tuple.tuple(december(31), december(31)));
    }

    @Test
    void aClosingWithinALongerOneIsTold() {
        List<Proposal> proposals = CalendarProposals.of(
                        List.of(
                                event("School holiday", december(25), december(25)),
                                event("Winter break", december(21), LocalDate.of(2027, 1, 1)),
                                event("Recital", december(22), december(22))),
                        FIRST,
                        LAST)
                .proposals();
        assertThat(proposals)
                .extracting(Proposal::name, Proposal::within)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("Winter break", Optional.empty()),
                        org.assertj.core.groups.Tuple.tuple("Recital", Optional.empty()),
                        org.assertj.core.groups.Tuple.tuple("School holiday", Optional.of("Winter break")));
    }

    @Test
    void whatReachesOverTheEdgeIsCutAndTheRestIsCounted() {
        var found = CalendarProposals.of(
                List.of(
                        event("Summer break", LocalDate.of(2026, 6, 12), LocalDate.of(2026, 8, 25)),
                        event("Old concert", LocalDate.of(2026, 5, 1), LocalDate.of(2026, 5, 1)),
                        event("Old concert", LocalDate.of(2026, 5, 1), LocalDate.of(2026, 5, 1))),
                FIRST,
                LAST);
        assertThat(found.proposals())
                .containsExactly(new Proposal(
                        "Summer break", FIRST, FIRST.plusDays(1), Optional.of(EntryKind.BREAK), Optional.empty()));
        assertThat(found.outside()).isEqualTo(2);
    }

    @Provide
    Arbitrary<List<Event>> events() {
        Arbitrary<Event> one = net.jqwik.api.Combinators.combine(
                        Arbitraries.of("Winter break", "Holiday", "Concert", "Picnic"),
                        Arbitraries.integers().between(-40, 400),
                        Arbitraries.integers().between(0, 20))
                .as((name, from, days) -> event(name, FIRST.plusDays(from), FIRST.plusDays(from + days)));
        return one.list().ofMaxSize(12);
    }

    /** Whatever is found lies in the year, and no school day of an event inside it is lost. */
    @Property
    void nothingIsLostAndNothingIsOutside(@ForAll("events") List<Event> events) {
        List<Proposal> proposals = CalendarProposals.of(events, FIRST, LAST).proposals();
        assertThat(proposals)
                .allMatch(p -> !p.first().isBefore(FIRST)
                        && !p.last().isAfter(LAST)
                        && !p.last().isBefore(p.first()));
        for (Event event : events) {
            event.first()
                    .datesUntil(event.last().plusDays(1))
                    .filter(day -> !day.isBefore(FIRST) && !day.isAfter(LAST))
                    .forEach(day -> assertThat(proposals)
                            .as("%s of %s", day, event)
                            .anyMatch(p -> p.name().equalsIgnoreCase(event.name())
                                    && !day.isBefore(p.first())
                                    && !day.isAfter(p.last())));
        }
    }
}
