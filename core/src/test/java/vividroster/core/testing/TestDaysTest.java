package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.testing.TestDays.Period;
import vividroster.core.testing.TestDays.Slot;
import vividroster.core.testing.TestDays.Unit;

class TestDaysTest {

    private static List<Period> periods(int... seconds) {
        return IntStream.range(0, seconds.length)
                .mapToObj(i -> new Period("p" + (i + 1), seconds[i]))
                .toList();
    }

    private static Unit unit(String id, int seconds, String... periods) {
        return new Unit(id, List.of(id), seconds, Set.copyOf(List.of(periods)));
    }

    /** The example of the address for scripts: 140 seconds in a period of 25 minutes. */
    @Test
    void oneUnitIsHeardAtOnce() {
        TestDays plan = TestDays.of(periods(1_500), List.of(new Unit("u1", List.of("a", "b"), 140, Set.of("p1"))));
        assertThat(plan).isEqualTo(new TestDays(List.of(new Slot("u1", "p1", 0)), List.of(), 1, true));
    }

    @Test
    void theFairOrderStandsWhereItFits() {
        TestDays plan =
                TestDays.of(periods(300, 300), List.of(unit("a", 150), unit("b", 150), unit("c", 100), unit("d", 100)));
        assertThat(plan.slots())
                .containsExactly(
                        new Slot("a", "p1", 0),
                        new Slot("b", "p1", 150),
                        new Slot("c", "p2", 0),
                        new Slot("d", "p2", 100));
        assertThat(plan.bound()).isEqualTo(2);
        assertThat(plan.proven()).isTrue();
    }

    /** 4 + 2 and 3 + 3 fill two periods of 6; in fair order 3 + 2 leave no room for 4. */
    @Test
    void anotherOrderIsTakenWhereItEndsEarlier() {
        TestDays plan = TestDays.of(periods(6, 6, 6), List.of(unit("a", 3), unit("b", 2), unit("c", 4), unit("d", 3)));
        assertThat(plan.slots()).extracting(Slot::period).containsOnly("p1", "p2");
        assertThat(plan.proven()).isTrue();
    }

    /** Six times 4 go twice into 10: three periods, though 24 seconds are less than 30. */
    @Test
    void theSearchProvesThatTheBoundIsTooLow() {
        List<Unit> units = IntStream.range(0, 6).mapToObj(i -> unit("u" + i, 4)).toList();
        TestDays plan = TestDays.of(periods(10, 15, 10, 10), units);
        assertThat(plan.bound()).isEqualTo(2);
        assertThat(plan.slots().getLast().period()).isEqualTo("p3");
        assertThat(plan.proven()).isTrue();
    }

    @Test
    void whoComesOnBDaysOnlyIsHeardThen() {
        TestDays plan = TestDays.of(
                periods(100, 100), List.of(unit("b-day", 60, "p2"), unit("any", 60), unit("b-day too", 40, "p2")));
        assertThat(plan.slots())
                .containsExactly(new Slot("any", "p1", 0), new Slot("b-day", "p2", 0), new Slot("b-day too", "p2", 60));
    }

    @Test
    void whoFindsNoRoomIsLeftForTheMakeUp() {
        TestDays tooLong = TestDays.of(periods(100), List.of(unit("long", 101), unit("short", 50)));
        assertThat(tooLong.left()).containsExactly("long");
        assertThat(tooLong.slots()).containsExactly(new Slot("short", "p1", 0));
        TestDays tooMany = TestDays.of(periods(100), List.of(unit("a", 60), unit("b", 60), unit("c", 40)));
        assertThat(tooMany.slots()).extracting(Slot::unit).containsExactly("a", "c");
        assertThat(tooMany.left()).containsExactly("b");
        assertThat(tooMany.proven()).as("all of them cannot be heard").isTrue();
        assertThat(TestDays.of(List.of(), List.of(unit("a", 1))).left()).containsExactly("a");
        assertThat(TestDays.of(periods(10), List.of())).isEqualTo(new TestDays(List.of(), List.of(), 0, true));
        assertThat(TestDays.of(periods(10), List.of(unit("a", 5, "no such"))).left())
                .containsExactly("a");
    }

    @Test
    void aDayThatRunsLateIsTheSameQuestionWithWhatIsLeft() {
        List<Unit> four = List.of(unit("a", 100), unit("b", 100), unit("c", 100), unit("d", 100));
        assertThat(TestDays.of(periods(400, 200), four).left()).isEmpty();
        TestDays late = TestDays.of(periods(150, 200), four.subList(1, 4));
        assertThat(late.slots()).extracting(Slot::unit).containsExactly("b", "c", "d");
        assertThat(late.slots()).extracting(Slot::period).containsExactly("p1", "p2", "p2");
    }

    @Test
    void timesMakeSense() {
        assertThatThrownBy(() -> unit("a", 0)).hasMessage("seconds must be at least 1, was 0");
        assertThatThrownBy(() -> new Period("p", -1)).hasMessage("seconds must be at least 0, was -1");
    }

    /** Against every way there is, on cases small enough for that. */
    @Property(tries = 300)
    void theLastPeriodUsedIsTheEarliestThereIs(@ForAll long seed) {
        Random random = new Random(seed);
        List<Period> periods = new ArrayList<>();
        for (int p = 0; p < 2 + random.nextInt(3); p++) {
            periods.add(new Period("p" + p, 6 + random.nextInt(14)));
        }
        List<Unit> units = new ArrayList<>();
        for (int u = 0; u < 3 + random.nextInt(5); u++) {
            units.add(
                    random.nextInt(4) == 0
                            ? unit("u" + u, 2 + random.nextInt(7), "p" + random.nextInt(periods.size()), "p0")
                            : unit("u" + u, 2 + random.nextInt(7)));
        }
        TestDays plan = TestDays.of(periods, units);
        holds(plan, periods, units);
        int best = fewest(periods, units);
        if (best <= periods.size()) {
            assertThat(plan.left()).isEmpty();
            assertThat(lastUsed(plan, periods)).isEqualTo(best);
        } else {
            assertThat(plan.left()).isNotEmpty();
        }
        assertThat(plan.proven()).isTrue();
    }

    /** Sixty students over five periods, some tied: what a school has; and it is quick. */
    @Property(tries = 40)
    void sixtyStudentsArePlannedAtOnce(@ForAll long seed) {
        Random random = new Random(seed);
        List<Unit> units = new ArrayList<>();
        for (int u = 0; u < 60; u++) {
            units.add(
                    random.nextInt(10) < 3
                            ? unit("u" + u, 60 + random.nextInt(120), "p2", "p4")
                            : unit("u" + u, 60 + random.nextInt(120)));
        }
        List<Period> periods = periods(1_500, 1_560, 1_440, 1_500, 2_000);
        long begun = System.nanoTime();
        TestDays plan = TestDays.of(periods, units);
        assertThat((System.nanoTime() - begun) / 1e6)
                .as("milliseconds, far above what was measured")
                .isLessThan(2_000);
        holds(plan, periods, units);
        assertThat(plan).as("the same again").isEqualTo(TestDays.of(periods, units));
    }

    private static void holds(TestDays plan, List<Period> periods, List<Unit> units) {
        Map<String, Unit> byId = new HashMap<>();
        units.forEach(unit -> byId.put(unit.id(), unit));
        Set<String> there = new HashSet<>(plan.left());
        plan.slots()
                .forEach(slot -> assertThat(there.add(slot.unit())).as("once").isTrue());
        assertThat(there).hasSize(units.size());
        for (Period period : periods) {
            int at = 0;
            int place = -1;
            for (Slot slot : plan.slots()) {
                if (slot.period().equals(period.id())) {
                    Unit unit = byId.get(slot.unit());
                    assertThat(unit.mayBeIn(period)).isTrue();
                    assertThat(slot.startSecond()).isEqualTo(at);
                    at += unit.seconds();
                    assertThat(units.indexOf(unit)).as("fair order").isGreaterThan(place);
                    place = units.indexOf(unit);
                }
            }
            assertThat(at).isLessThanOrEqualTo(period.seconds());
        }
    }

    private static int lastUsed(TestDays plan, List<Period> periods) {
        return periods.stream()
                        .map(Period::id)
                        .toList()
                        .indexOf(plan.slots().getLast().period())
                + 1;
    }

    /** One more than there are periods where there is no way. */
    private static int fewest(List<Period> periods, List<Unit> units) {
        for (int k = 1; k <= periods.size(); k++) {
            int[] room = periods.stream().mapToInt(Period::seconds).toArray();
            if (goes(periods.subList(0, k), units, 0, room)) {
                return k;
            }
        }
        return periods.size() + 1;
    }

    private static boolean goes(List<Period> periods, List<Unit> units, int at, int[] room) {
        if (at == units.size()) {
            return true;
        }
        Unit unit = units.get(at);
        for (int p = 0; p < periods.size(); p++) {
            if (room[p] >= unit.seconds() && unit.mayBeIn(periods.get(p))) {
                room[p] -= unit.seconds();
                boolean rest = goes(periods, units, at + 1, room);
                room[p] += unit.seconds();
                if (rest) {
                    return true;
                }
            }
        }
        return false;
    }
}
