package vividroster.core.roster;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;

/**
 * Who watches whom in a partner check, fair over the weeks: nobody meets a partner again before all others had a turn,
 * as far as numbers allow, and nobody is left out twice running. With an odd number one group has three, so that nobody
 * only waits.
 */
public final class PartnerPairs {

    /** @param members two, or three where the number is odd; the first plays first */
    public record Group(List<UUID> members) {
        public Group {
            members = List.copyOf(members);
            if (members.size() < 2 || members.size() > 3) {
                throw new IllegalArgumentException("partners are two or three, were " + members.size());
            }
        }

        public boolean isThree() {
            return members.size() == 3;
        }
    }

    private PartnerPairs() {}

    /** As they sit at their stands: first with second, third with fourth; an odd last one joins the stand before. */
    public static List<Group> byStand(List<UUID> inSeating) {
        needTwo(inSeating);
        List<Group> groups = new ArrayList<>();
        for (int i = 0; i + 1 < inSeating.size(); i += 2) {
            boolean lastOfOdd = i + 3 == inSeating.size();
            groups.add(new Group(inSeating.subList(i, lastOfOdd ? i + 3 : i + 2)));
            if (lastOfOdd) {
                break;
            }
        }
        return groups;
    }

    /**
     * Two lists that face each other, as inside and outside players of the stands. The second list turns one place a
     * week, so that everybody meets everybody of the other list before anybody twice.
     *
     * @param week from 0
     */
    public static List<Group> byLists(List<UUID> inside, List<UUID> outside, int week) {
        List<UUID> all = new ArrayList<>(inside);
        all.addAll(outside);
        needTwo(all);
        if (Math.abs(inside.size() - outside.size()) > 1) {
            throw new IllegalArgumentException(
                    "two lists of partners differ by one at most, were " + inside.size() + " and " + outside.size());
        }
        List<UUID> longer = inside.size() >= outside.size() ? inside : outside;
        List<UUID> shorter = longer == inside ? outside : inside;
        List<Group> groups = new ArrayList<>();
        int n = longer.size();
        Optional<UUID> alone = Optional.empty();
        for (int i = 0; i < n; i++) {
            int other = Math.floorMod(i + week, n);
            if (other < shorter.size()) {
                groups.add(new Group(List.of(longer.get(i), shorter.get(other))));
            } else {
                alone = Optional.of(longer.get(i));
            }
        }
        alone.ifPresent(one -> {
            Group joined = groups.removeLast();
            groups.add(
                    new Group(List.of(joined.members().get(0), joined.members().get(1), one)));
        });
        return groups;
    }

    /**
     * The fairest pairs after what was before.
     *
     * @param students in seating order
     * @param before groups of earlier weeks, oldest first
     */
    public static List<Group> fair(List<UUID> students, List<List<Group>> before) {
        needTwo(students);
        Map<Set<UUID>, Integer> met = new HashMap<>();
        Map<UUID, Integer> lastInThree = new HashMap<>();
        for (int week = 0; week < before.size(); week++) {
            for (Group group : before.get(week)) {
                for (UUID a : group.members()) {
                    for (UUID b : group.members()) {
                        // Each pair once, whoever played first.
                        if (a.compareTo(b) < 0) {
                            met.merge(Set.of(a, b), 1, Integer::sum);
                        }
                    }
                }
                if (group.isThree()) {
                    lastInThree.put(group.members().get(2), week);
                }
            }
        }
        List<UUID> open = new ArrayList<>(students);
        Optional<UUID> third = Optional.empty();
        if (open.size() % 2 == 1) {
            UUID longestAgo = open.stream()
                    .min(java.util.Comparator.comparingInt(id -> lastInThree.getOrDefault(id, -1)))
                    .orElseThrow();
            third = Optional.of(longestAgo);
            open.remove(longestAgo);
        }
        List<Group> groups = new ArrayList<>(leastMet(open, met));
        third.ifPresent(one -> {
            int best = 0;
            for (int i = 1; i < groups.size(); i++) {
                if (meetings(groups.get(i), one, met) < meetings(groups.get(best), one, met)) {
                    best = i;
                }
            }
            Group joined = groups.get(best);
            groups.set(
                    best,
                    new Group(List.of(joined.members().get(0), joined.members().get(1), one)));
        });
        return groups;
    }

    /**
     * Pairs within each section, since partners read the same part; who sits alone in a section finds a partner among
     * the others who do, or makes a pair a group of three.
     *
     * @param sections students of each section in seating order
     * @param pairing how a section of two or more is paired
     */
    public static List<Group> acrossSections(List<List<UUID>> sections, Function<List<UUID>, List<Group>> pairing) {
        needTwo(sections.stream().flatMap(List::stream).toList());
        List<Group> groups = new ArrayList<>();
        List<UUID> alone = new ArrayList<>();
        for (List<UUID> section : sections) {
            if (section.size() == 1) {
                alone.add(section.getFirst());
            } else if (section.size() > 1) {
                groups.addAll(pairing.apply(section));
            }
        }
        if (alone.size() > 1) {
            groups.addAll(byStand(alone));
        } else if (alone.size() == 1) {
            UUID one = alone.getFirst();
            int at = groups.stream().map(Group::isThree).toList().lastIndexOf(false);
            if (at >= 0) {
                Group pair = groups.get(at);
                groups.set(
                        at,
                        new Group(List.of(pair.members().get(0), pair.members().get(1), one)));
            } else {
                Group three = groups.removeLast();
                groups.add(new Group(three.members().subList(0, 2)));
                groups.add(new Group(List.of(three.members().get(2), one)));
            }
        }
        return groups;
    }

    /**
     * Who plays when: everybody of a group once, in its order, the others watching.
     *
     * @param plays the one who plays
     * @param watch the one or two who watch
     */
    public record Turn(UUID plays, List<UUID> watch) {}

    public static List<Turn> turns(Group group) {
        return group.members().stream()
                .map(one -> new Turn(
                        one,
                        group.members().stream()
                                .filter(other -> !other.equals(one))
                                .toList()))
                .toList();
    }

    private static int meetings(Group group, UUID one, Map<Set<UUID>, Integer> met) {
        return group.members().stream()
                .mapToInt(other -> met.getOrDefault(Set.of(other, one), 0))
                .sum();
    }

    /** The round-robin round that repeats least: one student stays, the others go round a circle. */
    private static List<Group> leastMet(List<UUID> even, Map<Set<UUID>, Integer> met) {
        int n = even.size();
        List<Group> best = List.of();
        int fewest = Integer.MAX_VALUE;
        for (int round = 0; round < n - 1; round++) {
            List<Group> groups = new ArrayList<>();
            int repeated = 0;
            for (int i = 0; i < n / 2; i++) {
                UUID a = even.get(i == 0 ? 0 : 1 + Math.floorMod(round + i - 1, n - 1));
                UUID b = even.get(1 + Math.floorMod(round + n - 2 - i, n - 1));
                int times = met.getOrDefault(Set.of(a, b), 0);
                repeated += times * times;
                boolean swap = times % 2 == 1;
                groups.add(new Group(swap ? List.of(b, a) : List.of(a, b)));
            }
            if (repeated < fewest) {
                fewest = repeated;
                best = groups;
            }
        }
        return best;
    }

    private static void needTwo(List<UUID> students) {
        if (new HashSet<>(students).size() != students.size()) {
            throw new IllegalArgumentException("a student stands twice among the partners");
        }
        if (students.size() < 2) {
            throw new IllegalArgumentException(
                    "a partner check needs at least two students, here is " + students.size());
        }
    }
}
