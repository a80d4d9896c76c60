package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Ladder;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BeltsToSet.Player;
import vividroster.core.progress.Standing.State;

class BeltsToSetTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final InstrumentCode HORN = new InstrumentCode("horn");
    private static final UUID LINE = new UUID(1, 1);
    private static final UUID FLUTE_CHECK = new UUID(1, 2);
    private static final UUID HORN_CHECK = new UUID(1, 3);
    private static final Belt BELT = new Belt(
            new UUID(2, 1),
            "winds",
            1,
            "Shell",
            List.of(
                    new BeltSlot(1, "Line", Map.of(BeltSlot.ANY, LINE)),
                    new BeltSlot(2, "Hold", Map.of(FLUTE, FLUTE_CHECK, HORN, HORN_CHECK))));

    private static Player player(InstrumentCode instrument, Set<UUID> set, UUID... passed) {
        Map<UUID, Standing> standings = new HashMap<>();
        for (UUID id : passed) {
            standings.put(id, new Standing(State.PASSED, 1, false, false, Optional.empty(), Optional.empty(), 0));
        }
        return new Player(instrument, set, standings);
    }

    private static Map<UUID, Set<InstrumentCode>> toSet(Player... players) {
        return BeltsToSet.of(
                List.of(BELT),
                List.of(FLUTE, HORN),
                List.of(new Ladder("winds", List.of(BELT), List.of())),
                Arrays.asList(players));
    }

    @Test
    void whereNothingWasSetEverySectionIsSetItsOwnSlotsBeforeTheBelt() {
        Map<UUID, Set<InstrumentCode>> all = toSet(player(FLUTE, Set.of()), player(HORN, Set.of()));
        assertThat(all)
                .isEqualTo(Map.of(
                        LINE,
                        Set.of(FLUTE, HORN),
                        FLUTE_CHECK,
                        Set.of(FLUTE),
                        HORN_CHECK,
                        Set.of(HORN),
                        BELT.id(),
                        Set.of(FLUTE, HORN)));
        assertThat(all.keySet().stream().collect(Collectors.toList()).indexOf(BELT.id()))
                .isGreaterThan(1);
        assertThat(toSet()).as("nobody sits there yet").isEqualTo(all);
    }

    @Test
    void whatEveryPlayerOfASectionWasSetOrHasIsLeftOutForThatSectionAlone() {
        assertThat(toSet(
                        player(FLUTE, Set.of(LINE)),
                        player(FLUTE, Set.of(), LINE),
                        player(HORN, Set.of(LINE)),
                        player(HORN, Set.of())))
                .as("one horn has still to be set the line")
                .isEqualTo(Map.of(
                        LINE,
                        Set.of(HORN),
                        FLUTE_CHECK,
                        Set.of(FLUTE),
                        HORN_CHECK,
                        Set.of(HORN),
                        BELT.id(),
                        Set.of(FLUTE, HORN)));
    }

    @Test
    void aSectionThatHasTheBeltOrWasSetItIsSetNothingOfIt() {
        assertThat(toSet(
                        player(FLUTE, Set.of(), LINE, FLUTE_CHECK),
                        player(FLUTE, Set.of(BELT.id())),
                        player(HORN, Set.of(), LINE)))
                .isEqualTo(Map.of(HORN_CHECK, Set.of(HORN), BELT.id(), Set.of(HORN)));
    }
}
