package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.LadderTemplate.Available;
import vividroster.core.curriculum.LadderTemplate.Plan;
import vividroster.core.curriculum.LadderTemplate.SlotPlan;
import vividroster.core.music.InstrumentCode;

class LadderTemplateTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final InstrumentCode VIOLIN = new InstrumentCode("violin");

    private static Available<String> check(String key, CheckTopic topic, InstrumentCode... instruments) {
        return new Available<>(key, topic, Set.of(instruments));
    }

    private static List<String> lines(int count) {
        return IntStream.rangeClosed(1, count).mapToObj(i -> "line " + i).toList();
    }

    @Test
    void everyInstrumentHasItsOwnCheckAndWhatIsForAllIsSaidOnce() {
        Plan<String> plan = LadderTemplate.of(
                List.of(
                        check("tall", CheckTopic.BODY),
                        check("flute sound", CheckTopic.FIRST_SOUND, FLUTE),
                        check("pluck", CheckTopic.FIRST_SOUND, VIOLIN),
                        check("bow", CheckTopic.BOW_HOLD, VIOLIN)),
                lines(12),
                List.of(FLUTE, VIOLIN));
        List<SlotPlan<String>> first = plan.belts().getFirst();
        assertThat(first).extracting(SlotPlan::name).containsExactly("Body", "First sound", "Line");
        assertThat(first.get(0).fillings()).isEqualTo(Map.of(BeltSlot.ANY, "tall"));
        assertThat(first.get(1).fillings()).isEqualTo(Map.of(FLUTE, "flute sound", VIOLIN, "pluck"));
        assertThat(first.get(2).fillings()).isEqualTo(Map.of(BeltSlot.ANY, "line 1"));
        assertThat(plan.belts().get(1).getFirst().fillings())
                .as("flutes have nothing here")
                .isEqualTo(Map.of(VIOLIN, "bow"));
        assertThat(plan.belts().get(2))
                .extracting(slot -> slot.fillings().get(BeltSlot.ANY))
                .as("spread to the twelfth")
                .containsExactly("line 9", "line 12");
    }

    @Test
    void theFirstTopicAndTheOwnWayComeFirstWhateverTheOrder() {
        List<Available<String>> checks = List.of(
                check("right hand", CheckTopic.RIGHT_HAND, FLUTE),
                check("hold for all", CheckTopic.HOLD),
                check("hold of two", CheckTopic.HOLD, FLUTE, VIOLIN),
                check("hold", CheckTopic.HOLD, FLUTE));
        List<Available<String>> shuffled = new ArrayList<>(checks);
        for (int seed = 0; seed < 20; seed++) {
            Collections.shuffle(shuffled, new Random(seed));
            assertThat(LadderTemplate.of(shuffled, List.<String>of(), List.of(FLUTE))
                            .belts()
                            .getFirst()
                            .getFirst()
                            .fillings())
                    .isEqualTo(Map.of(FLUTE, "hold"));
        }
    }

    @Test
    void aShortBookGivesWhatItHas() {
        Plan<String> plan = LadderTemplate.of(List.of(), lines(2), List.of(FLUTE));
        assertThat(plan.belts()).hasSize(2);
        assertThat(LadderTemplate.<String>of(List.of(), List.of(), List.of(FLUTE))
                        .belts())
                .isEmpty();
    }

    /** Nothing stands twice for one instrument, and nothing is asked that is not for it. */
    @Property(tries = 200)
    void nothingTwiceAndNothingForOthers(@ForAll long seed) {
        Random dice = new Random(seed);
        List<InstrumentCode> instruments = List.of(FLUTE, VIOLIN, new InstrumentCode("horn"));
        List<Available<String>> checks = new ArrayList<>();
        for (int i = 0; i < dice.nextInt(30); i++) {
            InstrumentCode[] own = dice.nextInt(3) == 0
                    ? new InstrumentCode[0]
                    : new InstrumentCode[] {instruments.get(dice.nextInt(3))};
            checks.add(check("c" + i, CheckTopic.values()[dice.nextInt(CheckTopic.values().length)], own));
        }
        Plan<String> plan = LadderTemplate.of(checks, lines(dice.nextInt(20)), instruments);
        for (InstrumentCode instrument : instruments) {
            List<String> asked = plan.belts().stream()
                    .flatMap(List::stream)
                    .map(slot -> slot.fillings()
                            .getOrDefault(instrument, slot.fillings().get(BeltSlot.ANY)))
                    .filter(Objects::nonNull)
                    .toList();
            assertThat(new HashSet<>(asked)).hasSameSizeAs(asked);
            checks.stream()
                    .filter(c -> asked.contains(c.key()))
                    .forEach(c -> assertThat(
                                    c.instruments().isEmpty() || c.instruments().contains(instrument))
                            .as(c.toString())
                            .isTrue());
        }
    }
}
