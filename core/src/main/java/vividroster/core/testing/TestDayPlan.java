package vividroster.core.testing;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.testing.HeardTogether.Waiting;
import vividroster.core.testing.TestDays.Slot;
import vividroster.core.testing.TestDays.Unit;

/**
 * Who is heard in which of the coming periods of their class, alone or a few together, at the pace students really take.
 *
 * @param days with the groups as units, each named by its first student
 * @param groups by the id of their unit
 */
public record TestDayPlan(TestDays days, Map<String, Group> groups) {

    /** @param seconds of the whole group */
    public record Group(List<Waiting> students, int seconds) {}

    /** A period of a class with room to hear somebody. @param seconds there are for it */
    public record Room(String id, UUID classId, int seconds) {}

    /** @param planned for one student; pace what was learnt today */
    public record Terms(Duration planned, HearingPace pace, HearingTime time) {

        private int seconds(int students) {
            return (int)
                    pace.stretched(planned, time.together(planned, students)).toSeconds();
        }
    }

    /** @param periods in which it is over */
    public record Sooner(int together, int periods) {}

    /**
     * @param waiting in fair order
     * @param together in 1..4
     * @param rooms in the order of the days
     */
    public static TestDayPlan of(List<Waiting> waiting, int together, List<Room> rooms, Terms terms) {
        return of(waiting, together, rooms, terms, Map.of());
    }

    /**
     * The same with some put into a period by hand; who is heard with them goes along. A tie to a period that is none of
     * their class, or is over, counts for nothing.
     *
     * @param tied id of the room by student
     */
    public static TestDayPlan of(
            List<Waiting> waiting, int together, List<Room> rooms, Terms terms, Map<UUID, String> tied) {
        Map<String, Group> groups = new LinkedHashMap<>();
        List<Unit> units = new ArrayList<>();
        List<String> withoutPeriod = new ArrayList<>();
        for (List<Waiting> students : HeardTogether.of(waiting, together)) {
            String id = students.getFirst().studentId().toString();
            Group group = new Group(students, terms.seconds(students.size()));
            groups.put(id, group);
            Set<String> own = rooms.stream()
                    .filter(room -> room.classId().equals(students.getFirst().classId()))
                    .map(Room::id)
                    .collect(Collectors.toSet());
            Optional<String> byHand = students.stream()
                    .flatMap(one -> Optional.ofNullable(tied.get(one.studentId())).stream())
                    .filter(own::contains)
                    .findFirst();
            own = byHand.map(Set::of).orElse(own);
            // A unit tied to no period could be in any; whose class does not meet is in none.
            if (own.isEmpty()) {
                withoutPeriod.add(id);
            } else {
                units.add(new Unit(
                        id,
                        students.stream().map(one -> one.studentId().toString()).toList(),
                        group.seconds(),
                        own));
            }
        }
        TestDays days = TestDays.of(
                rooms.stream()
                        .map(room -> new TestDays.Period(room.id(), room.seconds()))
                        .toList(),
                units);
        withoutPeriod.addAll(0, days.left());
        return new TestDayPlan(new TestDays(days.slots(), withoutPeriod, days.bound(), days.proven()), groups);
    }

    public int periodsUsed() {
        return (int) days.slots().stream().map(Slot::period).distinct().count();
    }

    /** Students for whom the rooms do not suffice. */
    public List<UUID> withoutRoom() {
        return days.left().stream()
                .flatMap(id -> groups.get(id).students().stream())
                .map(Waiting::studentId)
                .toList();
    }

    /** The fewest heard together that leave fewer without room, or as few and are over in fewer periods. */
    public Optional<Sooner> sooner(List<Waiting> waiting, int together, List<Room> rooms, Terms terms) {
        for (int more = together + 1; more <= HeardTogether.MOST; more++) {
            TestDayPlan other = of(waiting, more, rooms, terms);
            int fewer = withoutRoom().size() - other.withoutRoom().size();
            if (fewer > 0 || fewer == 0 && other.periodsUsed() < periodsUsed()) {
                return Optional.of(new Sooner(more, other.periodsUsed()));
            }
        }
        return Optional.empty();
    }
}
