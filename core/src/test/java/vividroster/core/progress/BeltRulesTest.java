package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltRule;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Ladder;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BeltLadder.Earned;
import vividroster.core.progress.Standing.State;

/** How many slots make a belt, and what an edit of the ladder does to what was earned. */
class BeltRulesTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final InstrumentCode TUBA = new InstrumentCode("tuba");
    private static final List<InstrumentCode> BOTH = List.of(FLUTE, TUBA);
    private static final LocalDate FIRST = LocalDate.of(2026, 9, 7);

    private static UUID milestone(int number) {
        return new UUID(1, number);
    }

    private static BeltSlot slot(int number, boolean must) {
        return new BeltSlot(number, "Slot " + number, Map.of(BeltSlot.ANY, milestone(number)), Map.of(), must);
    }

    private static Belt belt(int id, int rank, BeltRule rule, BeltSlot... slots) {
        return new Belt(new UUID(2, id), "winds", rank, "Belt " + id, List.of(slots), rule, Set.of());
    }

    private static Belt every(int id, int rank, int... milestones) {
        List<BeltSlot> slots = new ArrayList<>();
        for (int number : milestones) {
            slots.add(slot(number, false));
        }
        return new Belt(new UUID(2, id), "winds", rank, "Belt " + id, slots, BeltRule.EVERY_SLOT, Set.of());
    }

    private static Standing passed(int day) {
        LocalDate on = FIRST.plusDays(day);
        return new Standing(State.PASSED, 1, false, false, Optional.of(on), Optional.of(on), 0);
    }

    private static Map<UUID, Standing> passed(Map<Integer, Integer> dayByMilestone) {
        Map<UUID, Standing> standings = new HashMap<>();
        dayByMilestone.forEach((number, day) -> standings.put(milestone(number), passed(day)));
        return standings;
    }

    private static BeltProgress progress(Belt belt, int... passed) {
        Set<UUID> filled = new HashSet<>();
        for (int number : passed) {
            filled.add(milestone(number));
        }
        return BeltProgress.of(belt, FLUTE, filled::contains);
    }

    @Test
    void soManyOfTheSlotsWhichever() {
        Belt belt = belt(1, 1, new BeltRule.AtLeast(2), slot(1, false), slot(2, false), slot(3, false));
        assertThat(progress(belt).needed()).isEqualTo(2);
        assertThat(progress(belt).missing()).hasSize(3);
        assertThat(progress(belt, 3).isEarned()).isFalse();
        assertThat(progress(belt, 3, 1).isEarned()).isTrue();
        assertThat(progress(belt, 3, 1).missing())
                .as("nothing brings it nearer")
                .isEmpty();
        assertThat(progress(belt, 3).asked(belt)).isEqualTo(2);
    }

    @Test
    void aMustCannotBeMadeUpForByOthers() {
        Belt belt =
                belt(1, 1, new BeltRule.MustsAndFree(1), slot(1, true), slot(2, false), slot(3, false), slot(4, true));
        assertThat(progress(belt, 2, 3).needed()).isEqualTo(2);
        assertThat(progress(belt, 2, 3).missing()).containsExactly(milestone(1), milestone(4));
        assertThat(progress(belt, 1, 4).missing()).as("any of these").containsExactly(milestone(2), milestone(3));
        assertThat(progress(belt, 1, 4, 3).isEarned()).isTrue();
    }

    @Test
    void aRuleNeverAsksForMoreThanReachesTheInstrumentAndNoBeltIsGivenForNothing() {
        BeltSlot forTubas = new BeltSlot(1, "Lungs", Map.of(TUBA, milestone(1)), Map.of(), true);
        Belt some = belt(1, 1, new BeltRule.AtLeast(3), forTubas, slot(2, false), slot(3, false));
        assertThat(progress(some, 2, 3).isEarned()).isTrue();
        Belt musts = belt(1, 1, new BeltRule.MustsAndFree(0), forTubas, slot(2, false), slot(3, false));
        assertThat(progress(musts).isEarned()).isFalse();
        assertThat(progress(musts, 3).isEarned()).isTrue();
        Belt tubasOnly = belt(1, 1, BeltRule.EVERY_SLOT, forTubas);
        assertThat(progress(tubasOnly).isEarned()).isFalse();
        assertThat(tubasOnly.asks(FLUTE)).isFalse();
    }

    @Test
    void anExcuseThatIsWaivedFillsASlotAndOneThatIsNotDoesNot() {
        Belt belt = every(1, 1, 1);
        Standing waived =
                new Standing(State.EXCUSED, 0, false, true, Optional.empty(), Optional.empty(), 0, Optional.of(FIRST));
        Standing excused =
                new Standing(State.EXCUSED, 0, false, false, Optional.empty(), Optional.empty(), 0, Optional.empty());
        assertThat(BeltLadder.isEarned(belt, FLUTE, Map.of(milestone(1), waived)))
                .isTrue();
        assertThat(BeltLadder.isEarned(belt, FLUTE, Map.of(milestone(1), excused)))
                .isFalse();
    }

    @Test
    void aBeltPutInBelowIsNoGapAndIsNotTheNextOne() {
        Belt driftwood = every(1, 1, 1);
        Belt shell = every(2, 2, 2);
        Ladder.Earlier before = new Ladder.Earlier(FIRST.plusDays(10), List.of(driftwood, shell));
        Ladder edited = new Ladder(
                "winds", List.of(driftwood, every(9, 2, 9), every(2, 3, 2), every(3, 4, 3)), List.of(before));
        Map<UUID, Standing> standings = passed(Map.of(1, 1, 2, 2));
        BeltLadder.Worn worn = new BeltLadder(edited).worn(FLUTE, standings);
        assertThat(worn.worn()).map(Belt::name).contains("Belt 2");
        assertThat(worn.next()).map(Belt::name).contains("Belt 3");
        Map<UUID, Standing> late = passed(Map.of(1, 1, 2, 11));
        assertThat(new BeltLadder(edited).worn(FLUTE, late).worn())
                .as("Shell was not earned before the edit, so the new one comes first")
                .map(Belt::name)
                .contains("Belt 1");
        assertThat(new BeltLadder(edited).worn(FLUTE, late).next())
                .map(Belt::name)
                .contains("Belt 9");
    }

    @Test
    void whatALadderNoLongerHasStaysEarned() {
        Ladder.Earlier before = new Ladder.Earlier(FIRST.plusDays(10), List.of(every(1, 1, 1)));
        Ladder retired = new Ladder("winds", List.of(), List.of(before));
        assertThat(new BeltLadder(retired).earned(FLUTE, passed(Map.of(1, 1))))
                .extracting(earned -> earned.belt().name())
                .containsExactly("Belt 1");
        assertThat(new BeltLadder(retired).earned(FLUTE, passed(Map.of(1, 11)))).isEmpty();
        assertThat(new BeltLadder(retired).worn(FLUTE, passed(Map.of(1, 1))).next())
                .isEmpty();
    }

    @Test
    void aPlayerClimbsTheLadderThatAsksTheInstrumentEvenWhereAnotherWasClimbedHigher() {
        Belt low = new Belt(
                new UUID(2, 7), "low brass", 1, "Buoy", List.of(slot(7, false)), BeltRule.EVERY_SLOT, Set.of(TUBA));
        Ladder old = new Ladder(
                "winds", List.of(), List.of(new Ladder.Earlier(FIRST.plusDays(10), List.of(every(1, 1, 1)))));
        Ladder own = new Ladder("low brass", List.of(low), List.of());
        Map<UUID, Standing> standings = passed(Map.of(1, 1));
        assertThat(BeltLadder.climbed(List.of(old, own), TUBA, standings)).contains(own);
        assertThat(BeltLadder.climbed(List.of(old, own), FLUTE, standings))
                .as("what was earned is still worn")
                .contains(old);
        assertThat(BeltLadder.climbed(List.of(own), FLUTE, standings)).isEmpty();
    }

    private static List<Belt> ladder(Random random) {
        List<Belt> belts = new ArrayList<>();
        int count = 1 + random.nextInt(4);
        for (int rank = 1; rank <= count; rank++) {
            List<BeltSlot> slots = new ArrayList<>();
            int many = 1 + random.nextInt(4);
            for (int at = 1; at <= many; at++) {
                int number = 1 + random.nextInt(9);
                Map<InstrumentCode, UUID> filling = random.nextInt(3) == 0
                        ? Map.of(BOTH.get(random.nextInt(2)), milestone(number))
                        : Map.of(BeltSlot.ANY, milestone(number));
                slots.add(new BeltSlot(at, "Slot", filling, Map.of(), random.nextBoolean()));
            }
            BeltRule rule = switch (random.nextInt(3)) {
                case 0 -> BeltRule.EVERY_SLOT;
                case 1 -> new BeltRule.AtLeast(1 + random.nextInt(many));
                default -> new BeltRule.MustsAndFree(random.nextInt(many + 1));
            };
            belts.add(new Belt(new UUID(2, random.nextInt(6)), "winds", rank, "Belt " + rank, slots, rule, Set.of()));
        }
        Map<UUID, Belt> once = new LinkedHashMap<>();
        belts.forEach(belt -> once.putIfAbsent(belt.id(), belt));
        return List.copyOf(once.values());
    }

    private static Map<UUID, Standing> history(Random random, int until) {
        Map<UUID, Standing> standings = new HashMap<>();
        for (int number = 1; number <= 9; number++) {
            if (random.nextInt(3) > 0) {
                standings.put(milestone(number), passed(random.nextInt(until)));
            }
        }
        return standings;
    }

    @Property(tries = 600)
    void noEditEverTakesABeltAway(@ForAll long seed) {
        Random random = new Random(seed);
        Ladder ladder = new Ladder("winds", ladder(random), List.of());
        Map<UUID, Standing> standings = history(random, 20);
        LocalDate edited = FIRST.plusDays(20);
        Ladder after = new Ladder("winds", ladder(random), List.of(new Ladder.Earlier(edited, ladder.belts())));
        Ladder retired = new Ladder("winds", List.of(), List.of(new Ladder.Earlier(edited, ladder.belts())));
        for (InstrumentCode instrument : BOTH) {
            List<UUID> had = ids(new BeltLadder(ladder).earned(instrument, standings));
            assertThat(ids(new BeltLadder(after).earned(instrument, standings))).containsAll(had);
            assertThat(ids(new BeltLadder(retired).earned(instrument, standings)))
                    .containsExactlyInAnyOrderElementsOf(had);
            Map<UUID, Standing> later = new HashMap<>(standings);
            later.putIfAbsent(milestone(1 + random.nextInt(9)), passed(30));
            assertThat(ids(new BeltLadder(after).earned(instrument, later)))
                    .as("another pass")
                    .containsAll(had);
        }
    }

    private static List<UUID> ids(List<Earned> earned) {
        return earned.stream().map(one -> one.belt().id()).toList();
    }

    @Property(tries = 400)
    void everyBeltThatIsShownToAnInstrumentCanBeEarnedByIt(@ForAll long seed) {
        Random random = new Random(seed);
        BeltLadder ladder = new BeltLadder(new Ladder("winds", ladder(random), List.of()));
        for (InstrumentCode instrument : BOTH) {
            Map<UUID, Standing> standings = new HashMap<>();
            Optional<Belt> next = ladder.worn(instrument, standings).next();
            while (next.isPresent()) {
                BeltProgress progress = BeltProgress.of(next.get(), instrument, standings);
                assertThat(progress.missing()).as("something to do").isNotEmpty();
                assertThat(progress.needed()).isBetween(1, progress.missing().size());
                Stream.concat(
                                progress.slots().stream().filter(slot -> slot.must() && !slot.filled()),
                                progress.slots().stream().filter(slot -> !slot.must() && !slot.filled()))
                        .limit(progress.needed())
                        .forEach(slot -> standings.put(slot.milestoneId(), passed(1)));
                int rank = next.get().rank();
                assertThat(ladder.worn(instrument, standings).worn())
                        .as("that one, or one above it that the same passes bring")
                        .hasValueSatisfying(worn -> assertThat(worn.rank()).isGreaterThanOrEqualTo(rank));
                next = ladder.worn(instrument, standings).next();
            }
        }
    }

    @Property(tries = 300)
    void theDayABeltWasEarnedIsTheFirstOnWhichItWas(@ForAll long seed) {
        Random random = new Random(seed);
        Ladder ladder = new Ladder("winds", ladder(random), List.of());
        Map<UUID, Standing> standings = history(random, 20);
        for (Earned earned : new BeltLadder(ladder).earned(FLUTE, standings)) {
            LocalDate on = earned.on().orElseThrow();
            assertThat(ids(new BeltLadder(ladder).earned(FLUTE, until(standings, on))))
                    .contains(earned.belt().id());
            assertThat(ids(new BeltLadder(ladder).earned(FLUTE, until(standings, on.minusDays(1)))))
                    .doesNotContain(earned.belt().id());
        }
    }

    private static Map<UUID, Standing> until(Map<UUID, Standing> standings, LocalDate day) {
        Map<UUID, Standing> then = new HashMap<>(standings);
        then.values().removeIf(standing -> standing.passedOn().orElseThrow().isAfter(day));
        return then;
    }

    @Test
    void runsServeMostPlayersFirstAndEachPlayerOnce() {
        Map<String, Set<UUID>> away = new LinkedHashMap<>();
        away.put("Sunniva", Set.of(milestone(1)));
        away.put("Mateus", Set.of(milestone(1), milestone(2)));
        away.put("Ilse", Set.of(milestone(2)));
        away.put("Priya", Set.of(milestone(1)));
        away.put("Kofi", Set.of());
        assertThat(OneHearing.of(away))
                .containsExactly(
                        new OneHearing<>(milestone(1), List.of("Sunniva", "Mateus", "Priya")),
                        new OneHearing<>(milestone(2), List.of("Ilse")));
        assertThat(OneHearing.of(Map.of())).isEmpty();
    }

    @Test
    void whatIsWornWasHandedOverAndIsStillEarned() {
        Belt driftwood = every(1, 1, 1);
        Belt shell = every(2, 2, 2);
        Belt kelp = every(3, 3, 3);
        List<Earned> earned =
                List.of(new Earned(driftwood, Optional.of(FIRST)), new Earned(shell, Optional.of(FIRST.plusDays(3))));
        HandOver.State state = HandOver.state(earned, List.of(handed(driftwood), handed(kelp)));
        assertThat(state.worn()).contains(driftwood);
        assertThat(state.due()).containsExactly(earned.get(1));
        assertThat(state.withdrawn()).containsExactly(handed(kelp));
        assertThat(HandOver.state(List.of(), List.of()))
                .isEqualTo(new HandOver.State(Optional.empty(), List.of(), List.of()));
    }

    private static HandOver handed(Belt belt) {
        return new HandOver(belt.id(), new UUID(3, 3), belt.id(), FLUTE, FIRST, "");
    }
}
