package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.LadderDraft.BeltDraft;
import vividroster.core.curriculum.LadderDraft.SlotDraft;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Transposition;

/** What keeps a ladder from being kept. */
class LadderFaultTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final InstrumentCode TUBA = new InstrumentCode("tuba");
    private static final InstrumentCatalog CATALOG = new InstrumentCatalog(
            List.of(instrument("flute", Family.WOODWIND, 10), instrument("tuba", Family.BRASS, 30)));

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

    private final Map<UUID, Milestone> milestones = new HashMap<>();
    private final Set<UUID> retired = new HashSet<>();
    private final Map<UUID, Set<UUID>> beltsAskFor = new HashMap<>();
    private final Map<UUID, Set<UUID>> needs = new HashMap<>();

    private UUID milestone(int number, MilestoneKind kind, InstrumentCode... onlyFor) {
        UUID id = new UUID(1, number);
        milestones.put(
                id,
                new Milestone(
                        id,
                        kind,
                        "" + number,
                        "Milestone " + number,
                        false,
                        Set.of(onlyFor),
                        1,
                        kind == MilestoneKind.BELT ? new PassRule.AllSlots() : new PassRule.OneGoodTry(),
                        List.of()));
        return id;
    }

    private UUID line(int number, InstrumentCode... onlyFor) {
        return milestone(number, MilestoneKind.LINE, onlyFor);
    }

    private static SlotDraft slot(UUID... everybodys) {
        List<ForWhom.Filling> fillings = new ArrayList<>();
        for (UUID id : everybodys) {
            fillings.add(new ForWhom.Filling(new ForWhom.Everybody(), id));
        }
        return new SlotDraft("Slot", false, fillings);
    }

    private static BeltDraft belt(String name, int knots, SlotDraft... slots) {
        return new BeltDraft(
                Optional.empty(), name, new BeltLook("#B79B78", "wave", knots), BeltRule.EVERY_SLOT, List.of(slots));
    }

    private BeltDraft whole(String name, int knots, int first) {
        return belt(name, knots, slot(line(first)), slot(line(first + 1)), slot(line(first + 2)));
    }

    private static BeltDraft with(BeltDraft belt, UnaryOperator<List<SlotDraft>> slots, BeltRule rule) {
        return new BeltDraft(belt.id(), belt.name(), belt.look(), rule, slots.apply(new ArrayList<>(belt.slots())));
    }

    private List<LadderFault> faults(BeltDraft... belts) {
        return faults(Set.of(), belts);
    }

    private List<LadderFault> faults(Set<InstrumentCode> whom, BeltDraft... belts) {
        return LadderFault.of(
                new LadderDraft("winds", whom, List.of(belts)),
                new LadderFault.Shelf(milestones, retired, beltsAskFor, needs),
                CATALOG);
    }

    @Test
    void aWholeLadderHasNone() {
        assertThat(faults(whole("Driftwood", 1, 1), whole("Shell", 2, 11))).isEmpty();
    }

    @Test
    void noBeltsAndTooMany() {
        assertThat(faults()).containsExactly(new LadderFault.NoBelts());
        BeltDraft[] many = new BeltDraft[13];
        for (int i = 0; i < 13; i++) {
            many[i] = new BeltDraft(
                    Optional.empty(),
                    "Belt " + i,
                    new BeltLook("#B79B78", BeltLook.WEAVES.get(i % 8), 1 + i / 8),
                    BeltRule.EVERY_SLOT,
                    whole("", 1, 1).slots());
        }
        assertThat(faults(many)).containsExactly(new LadderFault.TooManyBelts(13));
    }

    @Test
    void twoOfOneNameWhateverTheLettersAndTwoThatLookAlike() {
        assertThat(faults(whole("Shell", 1, 1), whole(" shell ", 2, 11)))
                .containsExactly(new LadderFault.NamedTwice(1, "shell"));
        assertThat(faults(whole("Shell", 1, 1), whole("Kelp", 1, 11)))
                .containsExactly(new LadderFault.LooksAlike(1, "Kelp", "Shell"));
        assertThat(faults(whole(" ", 1, 1))).containsExactly(new LadderFault.NoName(0));
    }

    @Test
    void fewerThanThreeSlotsAndMoreThanEight() {
        assertThat(faults(belt("Shell", 1, slot(line(1)), slot(line(2)))))
                .containsExactly(new LadderFault.SlotCount(0, "Shell", 2));
        SlotDraft[] nine = new SlotDraft[9];
        for (int i = 0; i < 9; i++) {
            nine[i] = slot(line(i + 1));
        }
        assertThat(faults(belt("Shell", 1, nine))).containsExactly(new LadderFault.SlotCount(0, "Shell", 9));
    }

    @Test
    void anEmptySlotOneWithoutANameAndOneFilledTwice() {
        SlotDraft nameless = new SlotDraft(" ", false, List.of(new ForWhom.Filling(new ForWhom.Everybody(), line(3))));
        assertThat(faults(belt("Shell", 1, slot(line(1)), slot(), nameless)))
                .containsExactly(new LadderFault.EmptySlot(0, 1), new LadderFault.NoSlotName(0, 2));
        assertThat(faults(belt("Shell", 1, slot(line(1)), slot(line(2)), slot(line(3), line(4)))))
                .containsExactly(new LadderFault.FilledTwice(0, 2, new ForWhom.Everybody()));
    }

    @Test
    void whatIsNotThereWhatIsRetiredAndABelt() {
        UUID off = line(3);
        retired.add(off);
        UUID belt = milestone(50, MilestoneKind.BELT);
        assertThat(faults(belt("Shell", 1, slot(new UUID(9, 9)), slot(belt), slot(off))))
                .containsExactly(
                        new LadderFault.Unknown(0, 0),
                        new LadderFault.AsksForBelt(0, 1, "Milestone 50", false),
                        new LadderFault.Retired(0, 2, "Milestone 3"));
    }

    @Test
    void aBeltThatAsksForOneThatAsksForItGoesRound() {
        UUID own = milestone(60, MilestoneKind.BELT);
        UUID other = milestone(61, MilestoneKind.BELT);
        beltsAskFor.put(other, Set.of(own));
        BeltDraft round = new BeltDraft(
                Optional.of(own),
                "Shell",
                new BeltLook("#B79B78", "wave", 1),
                BeltRule.EVERY_SLOT,
                List.of(slot(line(1)), slot(line(2)), slot(other)));
        assertThat(faults(round)).containsExactly(new LadderFault.AsksForBelt(0, 2, "Milestone 61", true));
    }

    @Test
    void whatIsForOthersOneMilestoneForTwoSlotsAndNobodyAtAll() {
        UUID forTubas = line(1, TUBA);
        SlotDraft flutes =
                new SlotDraft("Slot", false, List.of(new ForWhom.Filling(new ForWhom.Only(FLUTE), forTubas)));
        assertThat(faults(belt("Shell", 1, flutes, slot(line(2)), slot(line(3)))))
                .containsExactly(new LadderFault.NotFor(0, 0, "Milestone 1", FLUTE));
        assertThat(faults(belt("Shell", 1, slot(line(2)), slot(line(2)), slot(line(3)))))
                .containsExactly(new LadderFault.AskedTwice(0, "Milestone 2", Optional.empty()));
        assertThat(faults(Set.of(FLUTE), belt("Shell", 1, slot(forTubas), slot(line(4, TUBA)), slot(line(5, TUBA)))))
                .containsExactly(new LadderFault.ReachesNobody(0));
    }

    @Test
    void aRuleThatAsksForMoreThanThereIsOrForNothing() {
        BeltDraft shell = whole("Shell", 1, 1);
        assertThat(faults(with(shell, slots -> slots, new BeltRule.AtLeast(4))))
                .containsExactly(new LadderFault.AsksTooMuch(0, 4, 3));
        assertThat(faults(with(shell, slots -> slots, new BeltRule.AtLeast(3)))).isEmpty();
        assertThat(faults(with(shell, slots -> slots, new BeltRule.MustsAndFree(0))))
                .containsExactly(new LadderFault.AsksTooMuch(0, 0, 3));
    }

    @Test
    void whatNeedsByTheDirectorsOwnWordWhatIsAskedFurtherUpGoesRound() {
        BeltDraft low = whole("Shell", 1, 1);
        BeltDraft high = whole("Kelp", 2, 11);
        needs.put(new UUID(1, 1), Set.of(new UUID(1, 11)));
        assertThat(faults(low, high)).containsExactly(new LadderFault.GoesRound(0, "Milestone 1", "Milestone 11", 1));
        assertThat(faults(high, low)).as("the other way round it is in order").isEmpty();
    }

    @Test
    void theNarrowestFillingIsAnInstrumentsOwn() {
        Map<InstrumentCode, UUID> filled = ForWhom.byInstrument(
                List.of(
                        new ForWhom.Filling(new ForWhom.Only(TUBA), new UUID(1, 3)),
                        new ForWhom.Filling(new ForWhom.OfFamily(Family.BRASS), new UUID(1, 2)),
                        new ForWhom.Filling(new ForWhom.Everybody(), new UUID(1, 1))),
                CATALOG);
        assertThat(filled).isEqualTo(Map.of(TUBA, new UUID(1, 3), BeltSlot.ANY, new UUID(1, 1)));
        assertThat(ForWhom.of("family-brass", CATALOG)).contains(new ForWhom.OfFamily(Family.BRASS));
        assertThat(ForWhom.of("any", CATALOG)).contains(new ForWhom.Everybody());
        assertThat(ForWhom.of("kazoo", CATALOG)).isEmpty();
        assertThat(ForWhom.of("family-kazoo", CATALOG)).isEmpty();
    }
}
