package vividroster.core.roster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import vividroster.core.roster.PartnerPairs.Group;

class PartnerPairsTest {

    private static List<UUID> students(int count) {
        return IntStream.rangeClosed(1, count).mapToObj(i -> new UUID(0, i)).toList();
    }

    private static List<UUID> everybody(List<Group> groups) {
        return groups.stream().flatMap(g -> g.members().stream()).toList();
    }

    @Test
    void byStandPairsNeighboursAndNobodyIsLeftOver() {
        List<UUID> five = students(5);
        assertThat(PartnerPairs.byStand(five))
                .extracting(Group::members)
                .containsExactly(five.subList(0, 2), five.subList(2, 5));
        assertThat(PartnerPairs.byStand(students(4))).hasSize(2);
        assertThat(PartnerPairs.byStand(students(3))).hasSize(1);
    }

    @Property(tries = 60)
    void fairPairsMeetEverybodyBeforeAnybodyTwice(@ForAll @IntRange(min = 1, max = 10) int half) {
        int n = half * 2;
        List<List<Group>> weeks = new ArrayList<>();
        for (int week = 0; week < n - 1; week++) {
            List<Group> groups = PartnerPairs.fair(students(n), weeks);
            assertThat(everybody(groups)).containsExactlyInAnyOrderElementsOf(students(n));
            weeks.add(groups);
        }
        Set<Set<UUID>> met = new HashSet<>();
        weeks.forEach(groups -> groups.forEach(g -> assertThat(met.add(Set.copyOf(g.members())))
                .as("a pair twice before all others")
                .isTrue()));
        assertThat(met).hasSize(n * (n - 1) / 2);
    }

    @Property(tries = 60)
    void withAnOddNumberTheThirdPlaceGoesRound(@ForAll @IntRange(min = 1, max = 9) int half) {
        int n = half * 2 + 1;
        List<List<Group>> weeks = new ArrayList<>();
        Map<UUID, Integer> third = new HashMap<>();
        UUID last = null;
        for (int week = 0; week < n; week++) {
            List<Group> groups = PartnerPairs.fair(students(n), weeks);
            assertThat(everybody(groups)).containsExactlyInAnyOrderElementsOf(students(n));
            Group three = groups.stream().filter(Group::isThree).findFirst().orElseThrow();
            UUID now = three.members().get(2);
            assertThat(now).as("left out twice running").isNotEqualTo(last);
            last = now;
            third.merge(now, 1, Integer::sum);
            weeks.add(groups);
        }
        assertThat(third.values()).containsOnly(1);
    }

    @Test
    void twoListsTurnPastEachOther() {
        List<UUID> all = students(6);
        List<UUID> inside = all.subList(0, 3);
        List<UUID> outside = all.subList(3, 6);
        Set<Set<UUID>> met = new HashSet<>();
        for (int week = 0; week < 3; week++) {
            PartnerPairs.byLists(inside, outside, week).forEach(g -> met.add(Set.copyOf(g.members())));
        }
        assertThat(met).hasSize(9);
        assertThat(everybody(PartnerPairs.byLists(all.subList(0, 3), all.subList(3, 5), 1)))
                .hasSize(5);
    }

    @Test
    void whatCannotBePaired() {
        assertThatThrownBy(() -> PartnerPairs.byStand(students(1)))
                .hasMessage("a partner check needs at least two students, here is 1");
        assertThatThrownBy(() -> PartnerPairs.fair(List.of(new UUID(0, 1), new UUID(0, 1)), List.of()))
                .hasMessage("a student stands twice among the partners");
        assertThatThrownBy(() -> PartnerPairs.byLists(students(4), List.of(), 0))
                .hasMessage("two lists of partners differ by one at most, were 4 and 0");
    }

    @Test
    void partnersReadTheSamePartWhereTheyCan() {
        List<UUID> all = students(8);
        List<Group> groups = PartnerPairs.acrossSections(
                List.of(all.subList(0, 5), all.subList(5, 6), all.subList(6, 8)), PartnerPairs::byStand);
        assertThat(everybody(groups)).containsExactlyInAnyOrderElementsOf(all);
        assertThat(groups)
                .as("the lonely sixth joins a pair of another section, not the three")
                .extracting(Group::members)
                .contains(List.of(all.get(6), all.get(7), all.get(5)));
    }

    @Test
    void thoseAloneInTheirSectionsFindEachOther() {
        List<UUID> all = students(4);
        assertThat(PartnerPairs.acrossSections(
                        List.of(all.subList(0, 2), all.subList(2, 3), all.subList(3, 4)), PartnerPairs::byStand))
                .extracting(Group::members)
                .containsExactly(all.subList(0, 2), all.subList(2, 4));
        assertThatThrownBy(() -> PartnerPairs.acrossSections(List.of(students(1), List.of()), PartnerPairs::byStand))
                .hasMessage("a partner check needs at least two students, here is 1");
    }

    @Test
    void aThreeIsDividedForTheOneWhoWouldBeFourth() {
        List<UUID> all = students(4);
        assertThat(PartnerPairs.acrossSections(List.of(all.subList(0, 3), all.subList(3, 4)), PartnerPairs::byStand))
                .extracting(Group::members)
                .containsExactly(all.subList(0, 2), all.subList(2, 4));
    }

    @Property(tries = 80)
    void nobodyIsForgottenAcrossSections(@ForAll List<@IntRange(min = 0, max = 7) Integer> sizes) {
        int count = sizes.stream().mapToInt(Integer::intValue).sum();
        if (count < 2) {
            return;
        }
        List<UUID> all = students(count);
        List<List<UUID>> sections = new ArrayList<>();
        int from = 0;
        for (int size : sizes) {
            sections.add(all.subList(from, from + size));
            from += size;
        }
        List<Group> groups = PartnerPairs.acrossSections(sections, section -> PartnerPairs.fair(section, List.of()));
        assertThat(everybody(groups)).containsExactlyInAnyOrderElementsOf(all);
    }

    @Test
    void everybodyPlaysOnceAndTheOthersWatch() {
        List<UUID> three = students(3);
        assertThat(PartnerPairs.turns(new Group(three)))
                .containsExactly(
                        new PartnerPairs.Turn(three.get(0), List.of(three.get(1), three.get(2))),
                        new PartnerPairs.Turn(three.get(1), List.of(three.get(0), three.get(2))),
                        new PartnerPairs.Turn(three.get(2), List.of(three.get(0), three.get(1))));
    }

    @Test
    void rolesAlternateWhenTwoMeetAgain() {
        List<UUID> two = students(2);
        List<Group> first = PartnerPairs.fair(two, List.of());
        List<Group> second = PartnerPairs.fair(two, List.of(first));
        assertThat(second.getFirst().members().getFirst())
                .isNotEqualTo(first.getFirst().members().getFirst());
    }

    /** Every way to divide students in pairs and, for an odd number, one three with this third; the fewest repeats. */
    private static int fewest(List<UUID> open, UUID third, Map<Set<UUID>, Integer> met) {
        if (open.isEmpty()) {
            return third == null ? 0 : 1_000_000;
        }
        UUID first = open.getFirst();
        int best = Integer.MAX_VALUE;
        for (int i = 1; i < open.size(); i++) {
            UUID other = open.get(i);
            List<UUID> rest = new ArrayList<>(open);
            rest.remove(other);
            rest.remove(first);
            int pair = squared(met, first, other);
            best = Math.min(best, pair + fewest(rest, third, met));
            if (third != null) {
                int joined = pair + squared(met, third, first) + squared(met, third, other);
                best = Math.min(best, joined + fewest(rest, null, met));
            }
        }
        return best;
    }

    private static int squared(Map<Set<UUID>, Integer> met, UUID a, UUID b) {
        int times = met.getOrDefault(Set.of(a, b), 0);
        return times * times;
    }

    @Property(tries = 400)
    void noGroupingRepeatsLess(
            @ForAll @IntRange(min = 2, max = 8) int n,
            @ForAll @IntRange(min = 0, max = 9) int weeks,
            @ForAll long seed) {
        Random random = new Random(seed);
        List<UUID> all = students(n);
        List<List<Group>> before = new ArrayList<>();
        Map<Set<UUID>, Integer> met = new HashMap<>();
        Map<UUID, Integer> third = new HashMap<>();
        for (int week = 0; week < weeks; week++) {
            List<UUID> mixed = new ArrayList<>(all);
            java.util.Collections.shuffle(mixed, random);
            List<Group> groups = PartnerPairs.byStand(mixed);
            before.add(groups);
            for (Group group : groups) {
                for (UUID a : group.members()) {
                    group.members().stream()
                            .filter(b -> a.compareTo(b) < 0)
                            .forEach(b -> met.merge(Set.of(a, b), 1, Integer::sum));
                }
                if (group.isThree()) {
                    third.merge(group.members().get(2), 1, Integer::sum);
                }
            }
        }
        List<Group> fair = PartnerPairs.fair(all, before);
        assertThat(everybody(fair)).containsExactlyInAnyOrderElementsOf(all);
        int repeats = fair.stream()
                .mapToInt(g -> {
                    int sum = squared(met, g.members().get(0), g.members().get(1));
                    return g.isThree()
                            ? sum
                                    + squared(
                                            met, g.members().get(2), g.members().get(0))
                                    + squared(
                                            met, g.members().get(2), g.members().get(1))
                            : sum;
                })
                .sum();
        if (n % 2 == 0) {
            assertThat(repeats).isEqualTo(fewest(all, null, met));
            return;
        }
        UUID now = fair.stream()
                .filter(Group::isThree)
                .findFirst()
                .orElseThrow()
                .members()
                .get(2);
        int least = all.stream().mapToInt(id -> third.getOrDefault(id, 0)).min().orElse(0);
        assertThat(third.getOrDefault(now, 0))
                .as("third place shared out fairly")
                .isEqualTo(least);
        List<UUID> others = new ArrayList<>(all);
        others.remove(now);
        assertThat(repeats).isEqualTo(fewest(others, now, met));
    }
}
