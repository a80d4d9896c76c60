package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Pressing.AllHeard;
import vividroster.core.progress.Pressing.Asked;
import vividroster.core.progress.Pressing.CarriedOver;
import vividroster.core.progress.Pressing.DueIn;
import vividroster.core.progress.Pressing.Pressed;
import vividroster.core.progress.Standing.State;

class PressingTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 10, 7);

    private static Standing standing(State state, int tries) {
        return new Standing(state, tries, false, false, Optional.empty(), Optional.empty(), 0);
    }

    private static Asked due(int days, State... states) {
        return new Asked(
                new UUID(0, days + 1000L),
                TODAY.plusDays(days),
                List.of(states).stream().map(state -> standing(state, 1)).toList());
    }

    @Test
    void whatIsDueComesFirstThenWhatIsLateThenWhatEverybodyHas() {
        Asked today = due(0, State.SET, State.PASSED);
        Asked friday = due(2, State.TRIED);
        Asked lastWeek = due(-5, State.TRIED);
        Asked longAgo = due(-40, State.SET);
        Asked heard = due(1, State.PASSED, State.EXCUSED);
        List<Pressed> pressed = Pressing.of(List.of(longAgo, heard, friday, lastWeek, today), TODAY);
        assertThat(pressed).extracting(Pressed::asked).containsExactly(today, friday, lastWeek, longAgo, heard);
        assertThat(pressed)
                .extracting(Pressed::reason)
                .containsExactly(new DueIn(0), new DueIn(2), new CarriedOver(5), new CarriedOver(40), new AllHeard());
    }

    @Test
    void countsWhomItIsSetFor() {
        Asked asked = due(1, State.SET, State.TRIED, State.PASSED, State.PASSED_BY_SUBSTITUTE, State.EXCUSED);
        assertThat(asked.open()).isEqualTo(2);
        assertThat(asked.passed()).isEqualTo(2);
        assertThat(asked.asked()).isEqualTo(5);
    }

    @ParameterizedTest
    @CsvSource({"0, true", "1, true", "-1, false"})
    void isTaughtUntilItIsDue(int days, boolean current) {
        assertThat(Pressing.isCurrent(TODAY.plusDays(days), TODAY)).isEqualTo(current);
    }

    /** Against an order told pair by pair: open before all heard, due before late, near before far. */
    @Property(tries = 200)
    void theOrderIsTheOneToldPairByPair(@ForAll long seed) {
        Random random = new Random(seed);
        List<Asked> asked = new ArrayList<>();
        IntStream.range(0, 12)
                .forEach(i -> asked.add(due(random.nextInt(81) - 40, random.nextBoolean() ? State.SET : State.PASSED)));
        List<Asked> expected = new ArrayList<>(asked);
        Comparator<Asked> pairwise = Comparator.<Asked, Boolean>comparing(a -> a.open() == 0)
                .thenComparing(a -> a.dueOn().isBefore(TODAY))
                .thenComparing(a -> Math.abs(a.dueOn().toEpochDay() - TODAY.toEpochDay()));
        expected.sort(pairwise);
        assertThat(Pressing.of(asked, TODAY)).extracting(Pressed::asked).containsExactlyElementsOf(expected);
    }

    @Test
    void whoTriedMostIsLookedAfterFirstAndNobodyTwice() {
        UUID ana = new UUID(1, 1);
        UUID bo = new UUID(1, 2);
        UUID hold = new UUID(2, 1);
        UUID sound = new UUID(2, 2);
        Capped<NeedsAttention.TriedOften> found = NeedsAttention.afterTries(List.of(
                new NeedsAttention.Player(ana, new InstrumentCode("flute"), Map.of(hold, standing(State.TRIED, 3))),
                new NeedsAttention.Player(
                        bo,
                        new InstrumentCode("horn"),
                        Map.of(hold, standing(State.TRIED, 4), sound, standing(State.TRIED, 6)))));
        assertThat(found.shown())
                .containsExactly(
                        new NeedsAttention.TriedOften(bo, new InstrumentCode("horn"), sound, 6),
                        new NeedsAttention.TriedOften(ana, new InstrumentCode("flute"), hold, 3));
        assertThat(found.more()).isZero();
    }

    @Test
    void twoTriesOrAPassAskForNothing() {
        UUID ana = new UUID(1, 1);
        assertThat(NeedsAttention.afterTries(List.of(
                                new NeedsAttention.Player(
                                        ana, new InstrumentCode("flute"), Map.of(ana, standing(State.TRIED, 2))),
                                new NeedsAttention.Player(
                                        ana, new InstrumentCode("oboe"), Map.of(ana, standing(State.PASSED, 9)))))
                        .shown())
                .isEmpty();
    }

    @Test
    void whatIsCutOffIsCounted() {
        assertThat(Capped.of(List.of(1, 2, 3), 2)).isEqualTo(new Capped<>(List.of(1, 2), 1));
        assertThat(Capped.of(List.of(1, 2), 2)).isEqualTo(new Capped<>(List.of(1, 2), 0));
        assertThat(Capped.of(Collections.emptyList(), 2)).isEqualTo(new Capped<>(List.of(), 0));
    }
}
