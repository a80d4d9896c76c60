package vividroster.core.roster;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;

/**
 * Who watches whom in a partner check, fair over the weeks: nobody meets a partner again where a pairing without that
 * exists. With an odd number one group has three, so that nobody
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
     * The fairest pairs after what was before: as little met before as can be, nobody again where there is a pairing
     * without. Of an odd number one group has three; among groupings equally fresh the one whose third was third least
     * often and longest ago.
     *
     * @param students in seating order
     * @param before groups of earlier weeks, oldest first
     */
    public static List<Group> fair(List<UUID> students, List<List<Group>> before) {
        needTwo(students);
        return new FairPairs(students, before).groups();
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
