package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Transposition;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;

class OrderBookTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 9, 14);
    private static final LocalDate FRIDAY = MONDAY.plusDays(4);
    private static final UUID WINDS = UUID.randomUUID();
    private static final UUID JAZZ = UUID.randomUUID();
    private static final UUID STUDENT = UUID.randomUUID();
    private static final InstrumentCatalog CATALOG = new InstrumentCatalog(List.of(
            instrument("trumpet", Family.BRASS, 20),
            instrument("flute", Family.WOODWIND, 10),
            instrument("tuba", Family.BRASS, 30)));

    private static Instrument instrument(String code, Family family, int rank) {
        return new Instrument(
                new InstrumentCode(code),
                code,
                code + "s",
                family,
                Clef.TREBLE,
                Transposition.CONCERT,
                rank,
                true,
                List.of());
    }

    private static Milestone milestone(MilestoneKind kind, PassRule rule, String... appliesTo) {
        return new Milestone(
                UUID.randomUUID(),
                kind,
                "4",
                "Tide line",
                false,
                Arrays.stream(appliesTo).map(InstrumentCode::new).collect(Collectors.toSet()),
                1,
                rule,
                List.of());
    }

    private static Seat seat(UUID classId, InstrumentCode instrument, String division, LocalDate from, LocalDate to) {
        return new Seat(STUDENT, classId, instrument, division, from, Optional.ofNullable(to));
    }

    private static MilestoneOrder order(Milestone milestone, SectionScope... scopes) {
        return new MilestoneOrder(
                UUID.randomUUID(), milestone.id(), MONDAY, FRIDAY, Evidence.countingByDefault(), List.of(scopes));
    }

    private static Map<UUID, Assignment> assigned(Milestone milestone, SectionScope scope, Seat seat) {
        return new OrderBook(List.of(order(milestone, scope)), List.of(milestone), List.of(), CATALOG)
                .assignments(List.of(seat), FRIDAY);
    }

    private final Milestone line = milestone(MilestoneKind.LINE, new PassRule.OneGoodTry());
    private final Seat trumpet = seat(WINDS, new InstrumentCode("trumpet"), "Second", MONDAY.minusDays(20), null);

    @Test
    void reachesWholeSections() {
        assertThat(assigned(line, new SectionScope.Tutti(WINDS), trumpet)).containsOnlyKeys(line.id());
        assertThat(assigned(line, new SectionScope.Tutti(JAZZ), trumpet)).isEmpty();
        assertThat(assigned(line, new SectionScope.FamilyOfClass(WINDS, Family.BRASS), trumpet))
                .isNotEmpty();
        assertThat(assigned(line, new SectionScope.FamilyOfClass(WINDS, Family.WOODWIND), trumpet))
                .isEmpty();
        assertThat(assigned(
                        line,
                        new SectionScope.Section(WINDS, new InstrumentCode("trumpet"), Optional.empty()),
                        trumpet))
                .isNotEmpty();
        assertThat(assigned(
                        line,
                        new SectionScope.Section(WINDS, new InstrumentCode("trumpet"), Optional.of("Second")),
                        trumpet))
                .isNotEmpty();
        assertThat(assigned(
                        line,
                        new SectionScope.Section(WINDS, new InstrumentCode("trumpet"), Optional.of("First")),
                        trumpet))
                .isEmpty();
        assertThat(assigned(line, new SectionScope.InstrumentAcrossClasses(new InstrumentCode("trumpet")), trumpet))
                .isNotEmpty();
        assertThat(assigned(line, new SectionScope.InstrumentAcrossClasses(new InstrumentCode("tuba")), trumpet))
                .isEmpty();
    }

    @Test
    void whoJoinsLaterHasItWhileItIsDueAndWhoLeftDoesNot() {
        SectionScope tutti = new SectionScope.Tutti(WINDS);
        assertThat(assigned(line, tutti, seat(WINDS, new InstrumentCode("tuba"), "", FRIDAY, null)))
                .isNotEmpty();
        assertThat(assigned(line, tutti, seat(WINDS, new InstrumentCode("tuba"), "", FRIDAY.plusDays(1), null)))
                .isEmpty();
        assertThat(assigned(
                        line,
                        tutti,
                        seat(WINDS, new InstrumentCode("tuba"), "", MONDAY.minusDays(9), MONDAY.minusDays(1))))
                .isEmpty();
        assertThat(assigned(line, tutti, seat(WINDS, new InstrumentCode("tuba"), "", MONDAY.minusDays(9), MONDAY)))
                .isNotEmpty();
    }

    @Test
    void aMilestoneForOtherInstrumentsIsNotSet() {
        Milestone slide = milestone(MilestoneKind.LINE, new PassRule.OneGoodTry(), "trombone");
        assertThat(assigned(slide, new SectionScope.Tutti(WINDS), trumpet)).isEmpty();
    }

    @Test
    void orderingABeltOrdersItsSlots() {
        Milestone tubaSound = milestone(MilestoneKind.TECHNIQUE_CHECK, new PassRule.OneGoodTry(), "tuba");
        Milestone belt = milestone(MilestoneKind.BELT, new PassRule.AllSlots());
        Belt shell = new Belt(
                belt.id(),
                "winds",
                1,
                "Shell",
                List.of(
                        new BeltSlot(1, "First tune", Map.of(BeltSlot.ANY, line.id())),
                        new BeltSlot(2, "Sound", Map.of(new InstrumentCode("tuba"), tubaSound.id()))));
        OrderBook book = new OrderBook(
                List.of(order(belt, new SectionScope.Tutti(WINDS))),
                List.of(belt, line, tubaSound),
                List.of(shell),
                CATALOG);

        Map<UUID, Assignment> forTrumpet = book.assignments(List.of(trumpet), FRIDAY);
        assertThat(forTrumpet).containsOnlyKeys(belt.id(), line.id());
        assertThat(forTrumpet.get(line.id()).belt()).contains(belt.id());
        assertThat(book.assignments(List.of(seat(WINDS, new InstrumentCode("tuba"), "", MONDAY, null)), FRIDAY))
                .containsOnlyKeys(belt.id(), line.id(), tubaSound.id());
    }

    @Test
    void twoOrdersOfOneMilestoneAreAskedOnce() {
        MilestoneOrder lenient = new MilestoneOrder(
                UUID.randomUUID(),
                line.id(),
                MONDAY.minusDays(1),
                FRIDAY.plusDays(7),
                Set.of(Evidence.SUBSTITUTE),
                List.of(new SectionScope.Tutti(JAZZ)));
        OrderBook book = new OrderBook(
                List.of(order(line, new SectionScope.Tutti(WINDS)), lenient), List.of(line), List.of(), CATALOG);
        Assignment joined = book.assignments(
                        List.of(trumpet, seat(JAZZ, new InstrumentCode("trumpet"), "", MONDAY.minusDays(9), null)),
                        FRIDAY)
                .get(line.id());
        assertThat(joined.setOn()).isEqualTo(MONDAY.minusDays(1));
        assertThat(joined.dueOn()).isEqualTo(FRIDAY);
        assertThat(joined.evidence()).contains(Evidence.SUBSTITUTE, Evidence.LIVE_ALONE);
        assertThat(joined.dueIn())
                .as("each class by its own order")
                .isEqualTo(Map.of(WINDS, FRIDAY, JAZZ, FRIDAY.plusDays(7)));
        assertThat(book.assignments(List.of(trumpet), FRIDAY)
                        .get(line.id())
                        .dueIn()
                        .keySet())
                .containsExactly(WINDS);
    }

    @Test
    void whatIsSetLaterIsNotThereYet() {
        OrderBook book =
                new OrderBook(List.of(order(line, new SectionScope.Tutti(WINDS))), List.of(line), List.of(), CATALOG);
        assertThat(book.assignments(List.of(trumpet), MONDAY.minusDays(1))).isEmpty();
        assertThat(book.assignments(List.of(trumpet), MONDAY)).isNotEmpty();
    }

    @Test
    void refusesAnOrderForNobodyOrDueBeforeItIsSet() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> order(line))
                .withMessage("an order needs at least one section");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new MilestoneOrder(
                        UUID.randomUUID(), line.id(), FRIDAY, MONDAY, Set.of(), List.of(new SectionScope.Tutti(WINDS))))
                .withMessage("an order is due on or after 2026-09-18, was 2026-09-14");
    }
}
