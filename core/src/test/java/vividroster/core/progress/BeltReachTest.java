package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Ladder;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Standing.State;

class BeltReachTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final List<Belt> BELTS = List.of(belt(1, 1, 2), belt(2, 3, 4, 5));

    private static UUID milestone(int number) {
        return new UUID(1, number);
    }

    private static Belt belt(int rank, int... milestones) {
        List<BeltSlot> slots = new ArrayList<>();
        for (int number : milestones) {
            slots.add(new BeltSlot(slots.size() + 1, "Slot", Map.of(BeltSlot.ANY, milestone(number))));
        }
        return new Belt(new UUID(2, rank), "winds", rank, "Belt " + rank, slots);
    }

    private static Optional<List<UUID>> reach(int hear, Set<Integer> set, int... passed) {
        Map<UUID, Standing> standings = new HashMap<>();
        for (int number : passed) {
            standings.put(
                    milestone(number),
                    new Standing(State.PASSED, 1, false, false, Optional.empty(), Optional.empty(), 0));
        }
        return BeltReach.of(
                        List.of(new Ladder("winds", BELTS, List.of())),
                        FLUTE,
                        standings,
                        Set.copyOf(set.stream().map(BeltReachTest::milestone).toList()),
                        milestone(hear))
                .map(BeltReach::missing);
    }

    @Test
    void aBeltIsInReachWhereTwoSlotsAreMissingAndBothAreSet() {
        assertThat(reach(1, Set.of(1, 2))).contains(List.of(milestone(1), milestone(2)));
        assertThat(reach(1, Set.of(1))).as("the other is not set").isEmpty();
        assertThat(reach(2, Set.of(1, 2), 1)).contains(List.of(milestone(2)));
        assertThat(reach(1, Set.of(1, 2), 1)).as("that one is passed").isEmpty();
    }

    @Test
    void beltsAreEarnedFromTheLowestUpOnTheDayNothingBelowIsMissingAnyMore() {
        Map<UUID, Standing> standings = new HashMap<>();
        for (int number = 1; number <= 5; number++) {
            LocalDate on = LocalDate.of(2026, 10, number == 2 ? 20 : number);
            standings.put(
                    milestone(number),
                    new Standing(State.PASSED, 1, false, false, Optional.of(on), Optional.of(on), 0));
        }
        assertThat(new BeltLadder(BELTS).earned(FLUTE, standings))
                .extracting(earned -> earned.on().orElseThrow().getDayOfMonth())
                .containsExactly(20, 20);
        standings.remove(milestone(2));
        assertThat(new BeltLadder(BELTS).earned(FLUTE, standings))
                .as("the upper one is complete, the lower one is not")
                .isEmpty();
    }

    @Test
    void threeMissingAreTooManyForAWeekAndOnlyTheNextBeltCounts() {
        assertThat(reach(3, Set.of(3, 4, 5), 1, 2)).isEmpty();
        assertThat(reach(4, Set.of(4, 5), 1, 2, 3)).contains(List.of(milestone(4), milestone(5)));
        assertThat(reach(4, Set.of(1, 2, 4, 5), 3))
                .as("the belt below is missing")
                .isEmpty();
    }
}
