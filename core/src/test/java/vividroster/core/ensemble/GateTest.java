package vividroster.core.ensemble;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Ladder;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.ensemble.Gate.Degree;
import vividroster.core.ensemble.Gate.Reached;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Standing;
import vividroster.core.progress.Standing.State;

class GateTest {

    private static final InstrumentCode HORN = new InstrumentCode("horn");
    private static final InstrumentCode VIOLA = new InstrumentCode("viola");

    private static final List<Ladder> LADDERS =
            List.of(new Ladder("winds", List.of(belt(1, 1, 2), belt(2, 2, 3), belt(3, 4, 5)), List.of()));

    private static UUID id(int number) {
        return new UUID(1, number);
    }

    private static Belt belt(int rank, int... milestones) {
        List<BeltSlot> slots = new ArrayList<>();
        for (int number : milestones) {
            slots.add(new BeltSlot(slots.size() + 1, "Slot", Map.of(HORN, id(number))));
        }
        return new Belt(new UUID(2, rank), "winds", rank, "Belt " + rank, slots);
    }

    private static Map<UUID, Standing> passed(int... numbers) {
        Map<UUID, Standing> standings = new HashMap<>();
        for (int number : numbers) {
            standings.put(
                    id(number), new Standing(State.PASSED, 1, false, false, Optional.empty(), Optional.empty(), 0));
        }
        return standings;
    }

    private static Reached reached(Gate gate, int... passed) {
        return Gate.reached(gate, LADDERS, HORN, passed(passed));
    }

    @Test
    void theLastBeltAsksForEveryBeltBelowItAndWhatIsAskedTwiceOnce() {
        assertThat(reached(new Gate.LastBelt()))
                .isEqualTo(new Reached(Degree.NOT_YET, 5, List.of(id(1), id(2), id(3), id(4), id(5))));
        assertThat(reached(new Gate.LastBelt(), 1, 2, 3))
                .isEqualTo(new Reached(Degree.NEARLY, 2, List.of(id(4), id(5))));
        assertThat(reached(new Gate.LastBelt(), 1, 2, 3, 4, 5)).isEqualTo(new Reached(Degree.READY, 0, List.of()));
        assertThat(reached(new Gate.LastBelt(), 4, 5).degree())
                .as("the last one is not earned while lower ones are not")
                .isEqualTo(Degree.NOT_YET);
    }

    @Test
    void aLowerBeltAdmitsTooAndOneTheLadderDoesNotHaveIsItsLast() {
        assertThat(reached(new Gate.BeltOfRank(1), 1, 2).degree()).isEqualTo(Degree.READY);
        assertThat(reached(new Gate.BeltOfRank(2), 1, 2)).isEqualTo(new Reached(Degree.NEARLY, 1, List.of(id(3))));
        assertThat(reached(new Gate.BeltOfRank(9), 1, 2, 3, 4))
                .isEqualTo(new Reached(Degree.NEARLY, 1, List.of(id(5))));
    }

    @Test
    void ofAnOwnListAPlayerNeedsWhatIsForTheInstrument() {
        Gate own = new Gate.OwnList(List.of(milestone(1), milestone(2, VIOLA), milestone(3, HORN)));
        assertThat(reached(own, 1)).isEqualTo(new Reached(Degree.NEARLY, 1, List.of(id(3))));
        assertThat(reached(own, 1, 3).degree()).isEqualTo(Degree.READY);
        assertThat(reached(new Gate.OwnList(List.of(milestone(2, VIOLA)))).degree())
                .isEqualTo(Degree.NO_GATE);
        assertThat(Gate.reached(new Gate.LastBelt(), LADDERS, VIOLA, Map.of()).degree())
                .isEqualTo(Degree.NO_GATE);
    }

    private static Milestone milestone(int number, InstrumentCode... onlyFor) {
        return new Milestone(
                id(number),
                MilestoneKind.LINE,
                "" + number,
                "Line " + number,
                false,
                Set.of(onlyFor),
                1,
                new PassRule.OneGoodTry(),
                List.of());
    }

    @ParameterizedTest
    @CsvSource({
        "0, 5, 5, OPEN, 0",
        "4, 4, 3, FULL, 0",
        "4, 5, 0, OVER, 0",
        "4, 3, 1, SHORT_FOR_NOW, 1",
        "4, 2, 1, SHORT, 2",
    })
    void aSectionIsHeldAgainstTheNumbersWanted(int wanted, int ready, int nearly, Balance.Weight weight, int missing) {
        Balance balance = new Balance(HORN, wanted == 0 ? Optional.empty() : Optional.of(wanted), ready, nearly, 0);
        assertThat(balance.weight()).isEqualTo(weight);
        assertThat(balance.missing()).isEqualTo(missing);
        assertThat(balance.over()).isEqualTo(weight == Balance.Weight.OVER ? ready - wanted : 0);
    }
}
