package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.LadderDraft.BeltDraft;
import vividroster.core.curriculum.LadderDraft.SlotDraft;
import vividroster.core.curriculum.PageLadder.BookLine;
import vividroster.core.curriculum.PageLadder.LineTest;
import vividroster.core.curriculum.PageLadder.WeekCheck;
import vividroster.core.music.InstrumentCode;

class PageLadderTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final InstrumentCode TUBA = new InstrumentCode("tuba");

    private static Map<String, BeltLook> names(int count) {
        Map<String, BeltLook> names = new LinkedHashMap<>();
        for (int i = 0; i < count; i++) {
            names.put("Belt " + i, new BeltLook("#B79B78", BeltLook.WEAVES.get(i), 1));
        }
        return names;
    }

    /** Three lines a page. */
    private static List<BookLine> lines(int pages) {
        List<BookLine> lines = new ArrayList<>();
        for (int number = 1; number <= 3 * pages; number++) {
            lines.add(new BookLine(new UUID(1, number), 1 + (number - 1) / 3, number));
        }
        return lines;
    }

    private static LadderDraft of(int pages, int each, List<WeekCheck> checks, List<LineTest> tests) {
        return PageLadder.of("winds", lines(pages), each, checks, tests, List.of(FLUTE, TUBA), names(7));
    }

    private static List<String> slots(BeltDraft belt) {
        return belt.slots().stream().map(SlotDraft::name).toList();
    }

    @Test
    void aBeltEveryFourPagesAsksTheLastLineOfEachPage() {
        LadderDraft draft = of(10, 4, List.of(), List.of());
        assertThat(draft.belts()).hasSize(3);
        assertThat(slots(draft.belts().get(0))).containsExactly("Line 3", "Line 6", "Line 9", "Line 12");
        assertThat(slots(draft.belts().get(2)))
                .as("two pages are left, and a belt has three slots at least")
                .containsExactly("Line 27", "Line 29", "Line 30");
    }

    @Test
    void aTestedLineIsAskedAsItsTest() {
        LadderDraft draft = of(4, 4, List.of(), List.of(new LineTest(new UUID(5, 5), new UUID(1, 12))));
        assertThat(slots(draft.belts().getFirst())).containsExactly("Line 3", "Line 6", "Line 9", "Line 11", "Test");
    }

    @Test
    void checksOfOneTopicFillOneSlotEachInstrumentItsOwnAndAreSpreadInTeachingOrder() {
        List<WeekCheck> checks = List.of(
                new WeekCheck(new UUID(7, 3), CheckTopic.FIRST_SOUND, Set.of(TUBA)),
                new WeekCheck(new UUID(7, 2), CheckTopic.FIRST_SOUND, Set.of(FLUTE)),
                new WeekCheck(new UUID(7, 1), CheckTopic.BODY, Set.of()));
        LadderDraft draft = of(8, 4, checks, List.of());
        assertThat(slots(draft.belts().get(0))).startsWith("Body");
        assertThat(slots(draft.belts().get(1))).startsWith("First sound");
        assertThat(draft.belts().get(1).slots().getFirst().fillings())
                .containsExactlyInAnyOrder(
                        new ForWhom.Filling(new ForWhom.Only(FLUTE), new UUID(7, 2)),
                        new ForWhom.Filling(new ForWhom.Only(TUBA), new UUID(7, 3)));
        assertThat(draft.belts().get(0).slots().getFirst().fillings())
                .as("one for all is said once")
                .containsExactly(new ForWhom.Filling(new ForWhom.Everybody(), new UUID(7, 1)));
    }

    @Test
    void thereAreNoMoreBeltsThanNamesAndNoneOfNoLines() {
        assertThat(of(30, 1, List.of(), List.of()).belts()).hasSize(7);
        assertThat(of(0, 4, List.of(), List.of()).belts()).isEmpty();
        assertThatThrownBy(() -> of(4, 0, List.of(), List.of())).isInstanceOf(IllegalArgumentException.class);
    }

    @Property(tries = 300)
    void everyBeltThatIsDrawnHasThreeToEightSlotsInWhicheverOrderTheLinesCome(
            @ForAll long seed,
            @ForAll @IntRange(min = 1, max = 40) int pages,
            @ForAll @IntRange(min = 1, max = 12) int each) {
        Random random = new Random(seed);
        List<BookLine> lines = new ArrayList<>(lines(pages));
        Collections.shuffle(lines, random);
        List<WeekCheck> checks = new ArrayList<>();
        for (CheckTopic topic : CheckTopic.values()) {
            if (random.nextBoolean()) {
                checks.add(new WeekCheck(new UUID(7, topic.ordinal()), topic, Set.of()));
            }
        }
        List<LineTest> tests = random.nextBoolean()
                ? List.of(new LineTest(new UUID(5, 5), lines.getFirst().id()))
                : List.of();
        LadderDraft draft = PageLadder.of("winds", lines, each, checks, tests, List.of(FLUTE, TUBA), names(7));
        assertThat(draft)
                .isEqualTo(PageLadder.of("winds", lines(pages), each, checks, tests, List.of(FLUTE, TUBA), names(7)));
        for (BeltDraft belt : draft.belts()) {
            List<UUID> asked = belt.slots().stream()
                    .map(slot -> slot.fillings().getFirst().milestoneId())
                    .toList();
            assertThat(asked).doesNotHaveDuplicates().hasSizeLessThanOrEqualTo(LadderFault.MOST_SLOTS);
            // A page or two hold three lines each, of which a tested one is asked by its test.
            assertThat(asked).hasSizeGreaterThanOrEqualTo(LadderFault.LEAST_SLOTS);
        }
    }
}
