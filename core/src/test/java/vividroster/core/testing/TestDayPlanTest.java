package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;
import vividroster.core.testing.HeardTogether.Waiting;
import vividroster.core.testing.TestDayPlan.Room;
import vividroster.core.testing.TestDayPlan.Sooner;
import vividroster.core.testing.TestDayPlan.Terms;
import vividroster.core.testing.TestDays.Slot;

class TestDayPlanTest {

    private static final UUID WINDS = new UUID(0, 1);
    private static final UUID JAZZ = new UUID(0, 2);
    private static final Duration PLANNED = Duration.ofSeconds(85);

    /** As planned: 85 s alone, 100 s in pairs, 115 s in threes. */
    private static final Terms TERMS = new Terms(PLANNED, HearingPace.of(PLANNED, List.of()), HearingTime.DEFAULT);

    private static List<Waiting> flutes(int students, UUID classId) {
        return IntStream.range(0, students)
                .mapToObj(i -> new Waiting(
                        new UUID(classId.getLeastSignificantBits(), i), classId, new InstrumentCode("flute")))
                .toList();
    }

    private static Room room(String id, UUID classId, int seconds) {
        return new Room(id, classId, seconds);
    }

    @Test
    void whoSitsInAClassIsHeardInItsPeriods() {
        List<Waiting> both =
                List.of(flutes(1, JAZZ).getFirst(), flutes(1, WINDS).getFirst());
        TestDayPlan plan = TestDayPlan.of(both, 1, List.of(room("w", WINDS, 300), room("j", JAZZ, 300)), TERMS);
        assertThat(plan.days().slots()).extracting(Slot::period).containsExactly("w", "j");
        assertThat(plan.withoutRoom()).isEmpty();
    }

    @Test
    void whoseClassDoesNotMeetAnyMoreHasNoRoom() {
        TestDayPlan plan = TestDayPlan.of(flutes(2, JAZZ), 1, List.of(room("w", WINDS, 300)), TERMS);
        assertThat(plan.days().slots()).isEmpty();
        assertThat(plan.withoutRoom()).hasSize(2);
    }

    /** Six alone take 510 s, two periods of 300; three pairs take 300, one. */
    @Test
    void pairsAreOfferedWhereTheyEndItSooner() {
        List<Waiting> six = flutes(6, WINDS);
        List<Room> rooms = List.of(room("1", WINDS, 300), room("2", WINDS, 300));
        TestDayPlan alone = TestDayPlan.of(six, 1, rooms, TERMS);
        assertThat(alone.periodsUsed()).isEqualTo(2);
        assertThat(alone.sooner(six, 1, rooms, TERMS)).contains(new Sooner(2, 1));
        assertThat(TestDayPlan.of(six, 2, rooms, TERMS).sooner(six, 2, rooms, TERMS))
                .isEmpty();
    }

    /** One period of 260 s: alone three of six, in pairs four, in threes all. */
    @Test
    void fewerWithoutRoomGoBeforeFewerPeriods() {
        List<Waiting> six = flutes(6, WINDS);
        List<Room> rooms = List.of(room("1", WINDS, 260));
        TestDayPlan alone = TestDayPlan.of(six, 1, rooms, TERMS);
        assertThat(alone.withoutRoom()).hasSize(3);
        assertThat(alone.sooner(six, 1, rooms, TERMS)).contains(new Sooner(2, 1));
        assertThat(TestDayPlan.of(six, 3, rooms, TERMS).withoutRoom()).isEmpty();
    }

    /** Three of 85 s fit one period of 300; the first is put into the second by hand, whoever is heard with them too. */
    @Test
    void whoIsPutIntoAPeriodByHandIsHeardThere() {
        List<Waiting> three = flutes(3, WINDS);
        List<Room> rooms = List.of(room("1", WINDS, 300), room("2", WINDS, 300));
        UUID first = three.getFirst().studentId();
        TestDayPlan alone = TestDayPlan.of(three, 1, rooms, TERMS, Map.of(first, "2"));
        assertThat(alone.days().slots())
                .filteredOn(slot -> slot.unit().equals(first.toString()))
                .extracting(Slot::period)
                .containsExactly("2");
        assertThat(alone.withoutRoom()).isEmpty();
        TestDayPlan pairs =
                TestDayPlan.of(three, 2, rooms, TERMS, Map.of(three.get(1).studentId(), "2"));
        assertThat(pairs.days().slots())
                .filteredOn(slot -> pairs.groups().get(slot.unit()).students().contains(three.get(1)))
                .extracting(Slot::period)
                .containsExactly("2");
        assertThat(TestDayPlan.of(three, 1, rooms, TERMS, Map.of(first, "gone")).periodsUsed())
                .as("a period that is over counts for nothing")
                .isEqualTo(1);
    }
}
