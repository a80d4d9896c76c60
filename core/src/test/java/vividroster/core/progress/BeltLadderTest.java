package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Standing.State;

class BeltLadderTest {

    private final UUID hold = UUID.randomUUID();
    private final UUID trumpetSound = UUID.randomUUID();
    private final UUID fluteSound = UUID.randomUUID();
    private final UUID firstTune = UUID.randomUUID();
    private final Belt driftwood = new Belt(
            UUID.randomUUID(),
            "winds",
            1,
            "Driftwood",
            List.of(
                    new BeltSlot(
                            2,
                            "First sound",
                            Map.of(
                                    new InstrumentCode("trumpet"),
                                    trumpetSound,
                                    new InstrumentCode("flute"),
                                    fluteSound)),
                    new BeltSlot(1, "Hold", Map.of(BeltSlot.ANY, hold))));
    private final Belt shell = new Belt(
            UUID.randomUUID(),
            "winds",
            2,
            "Shell",
            List.of(new BeltSlot(1, "First tune", Map.of(new InstrumentCode("trumpet"), firstTune))));
    private final BeltLadder ladder = new BeltLadder(List.of(shell, driftwood));

    private static Standing passed() {
        return new Standing(State.PASSED, 1, false, false, Optional.empty(), Optional.empty(), 0);
    }

    private static Standing excused(boolean waived) {
        return new Standing(State.EXCUSED, 0, false, waived, Optional.empty(), Optional.empty(), 0);
    }

    @Test
    void slotsAreFilledByInstrument() {
        assertThat(driftwood.milestonesFor(new InstrumentCode("trumpet"))).containsExactly(hold, trumpetSound);
        assertThat(driftwood.milestonesFor(new InstrumentCode("flute"))).containsExactly(hold, fluteSound);
        assertThat(driftwood.milestonesFor(new InstrumentCode("tuba"))).containsExactly(hold);
    }

    @Test
    void theHighestEarnedWithoutAGapIsWorn() {
        Map<UUID, Standing> standings = new HashMap<>();
        assertThat(ladder.worn(new InstrumentCode("trumpet"), standings))
                .isEqualTo(new BeltLadder.Worn(Optional.empty(), Optional.of(driftwood)));

        standings.put(firstTune, passed());
        assertThat(ladder.worn(new InstrumentCode("trumpet"), standings).worn())
                .as("Shell is earned, Driftwood is not")
                .isEmpty();

        standings.put(hold, passed());
        standings.put(trumpetSound, passed());
        assertThat(ladder.worn(new InstrumentCode("trumpet"), standings))
                .isEqualTo(new BeltLadder.Worn(Optional.of(shell), Optional.empty()));
        assertThat(ladder.worn(new InstrumentCode("flute"), standings).worn()).isEmpty();
    }

    @Test
    void anExcuseBlocksUnlessWaived() {
        Map<UUID, Standing> standings = new HashMap<>(Map.of(hold, passed(), trumpetSound, excused(false)));
        assertThat(BeltLadder.isEarned(driftwood, new InstrumentCode("trumpet"), standings))
                .isFalse();
        standings.put(trumpetSound, excused(true));
        assertThat(BeltLadder.isEarned(driftwood, new InstrumentCode("trumpet"), standings))
                .isTrue();
    }

    @Test
    void aBeltWithNoSlotForAnInstrumentIsNeverEarned() {
        assertThat(BeltLadder.isEarned(shell, new InstrumentCode("flute"), Map.of()))
                .isFalse();
    }

    @Test
    void aSlotThatCannotReachAnInstrumentNeitherBlocksNorIsRequired() {
        Belt kelp = new Belt(
                UUID.randomUUID(),
                "winds",
                3,
                "Kelp",
                List.of(
                        new BeltSlot(1, "Hold", Map.of(BeltSlot.ANY, hold)),
                        new BeltSlot(
                                2,
                                "Straw",
                                Map.of(BeltSlot.ANY, trumpetSound, new InstrumentCode("flute"), firstTune),
                                Map.of(
                                        trumpetSound,
                                        Set.of(new InstrumentCode("trumpet")),
                                        firstTune,
                                        Set.of(new InstrumentCode("trumpet"))))));
        assertThat(kelp.milestonesFor(new InstrumentCode("trumpet"))).containsExactly(hold, trumpetSound);
        assertThat(kelp.milestonesFor(new InstrumentCode("flute")))
                .as("its own filling is for trumpets alone")
                .containsExactly(hold);
        assertThat(kelp.milestonesFor(new InstrumentCode("tuba"))).containsExactly(hold);
        assertThat(BeltLadder.isEarned(kelp, new InstrumentCode("flute"), Map.of(hold, passed())))
                .isTrue();
        assertThat(BeltLadder.isEarned(kelp, new InstrumentCode("trumpet"), Map.of(hold, passed())))
                .isFalse();
    }

    @Test
    void aBeltThatAsksNothingOfAnInstrumentIsNoGapInItsLadder() {
        Belt kelp = new Belt(
                UUID.randomUUID(),
                "winds",
                3,
                "Kelp",
                List.of(new BeltSlot(1, "Tune", Map.of(new InstrumentCode("flute"), firstTune))));
        BeltLadder three = new BeltLadder(List.of(driftwood, shell, kelp));
        Map<UUID, Standing> flute = Map.of(hold, passed(), fluteSound, passed());
        assertThat(three.worn(new InstrumentCode("flute"), flute))
                .isEqualTo(new BeltLadder.Worn(Optional.of(driftwood), Optional.of(kelp)));
    }
}
