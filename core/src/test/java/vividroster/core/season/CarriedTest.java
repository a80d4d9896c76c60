package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Transposition;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;

class CarriedTest {

    private static final InstrumentCatalog CATALOG = new InstrumentCatalog(List.of(
            instrument("violin", Family.STRING, 1),
            instrument("viola", Family.STRING, 2),
            instrument("cello", Family.STRING, 3),
            instrument("trumpet", Family.BRASS, 4)));
    private static final UUID CLASS = new UUID(0, 1);

    private static Instrument instrument(String code, Family family, int rank) {
        return new Instrument(
                new InstrumentCode(code),
                code,
                code + "s",
                family,
                Clef.TREBLE,
                new Transposition(0, 0),
                rank,
                true,
                List.of());
    }

    private static Carried carried(Carried.Whom whom, String place) {
        return new Carried(whom, Optional.empty(), place, "", "");
    }

    private static final List<Carried> WEEKLY = List.of(
            carried(new Carried.Everybody(), "where it lies"),
            carried(new Carried.OfFamily(Family.STRING), "first position"),
            carried(new Carried.OfSection(new InstrumentCode("violin"), Optional.empty()), "third position"),
            carried(new Carried.OfSection(new InstrumentCode("violin"), Optional.of("First")), "fifth position"));

    @ParameterizedTest
    @CsvSource({
        "violin, First, fifth position",
        "violin, Second, third position",
        "violin, '', third position",
        "cello, '', first position",
        "trumpet, '', where it lies"
    })
    void theClosestIsCarried(InstrumentCode instrument, String division, String place) {
        Seat seat =
                new Seat(UUID.randomUUID(), CLASS, instrument, division, LocalDate.of(2026, 8, 17), Optional.empty());
        assertThat(Carried.closest(WEEKLY, seat, CATALOG).map(Carried::place)).contains(place);
        assertThat(Carried.closest(WEEKLY.reversed(), seat, CATALOG).map(Carried::place))
                .as("in whichever order they were written")
                .contains(place);
    }

    @Test
    void nothingIsCarriedWhereNothingIsSaid() {
        Seat trumpet = new Seat(
                UUID.randomUUID(),
                CLASS,
                new InstrumentCode("trumpet"),
                "",
                LocalDate.of(2026, 8, 17),
                Optional.empty());
        assertThat(Carried.closest(WEEKLY.subList(1, 4), trumpet, CATALOG)).isEmpty();
    }

    @Test
    void itSaysSomethingAndOnceForEachSection() {
        assertThatThrownBy(() -> carried(new Carried.Everybody(), " "))
                .hasMessage("what a section carries needs a line, a place, a pattern or a drill");
        List<Carried> twice = List.of(
                carried(new Carried.OfFamily(Family.STRING), "D string"),
                carried(new Carried.OfFamily(Family.STRING), "A string"));
        assertThatThrownBy(() -> new MilestoneOrder(
                        UUID.randomUUID(),
                        UUID.randomUUID(),
                        LocalDate.of(2026, 9, 28),
                        LocalDate.of(2026, 10, 2),
                        Set.of(Evidence.LIVE_ALONE),
                        List.of(new SectionScope.Tutti(CLASS)),
                        twice))
                .hasMessage("a section carries one thing in one order, here two");
    }
}
