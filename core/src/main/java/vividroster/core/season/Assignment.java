package vividroster.core.season;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import vividroster.core.progress.Evidence;

/**
 * A milestone that is a student's to pass on one instrument, from one or more orders.
 *
 * @param setOn day it was first set
 * @param dueOn earliest due day
 * @param evidence all that any of the orders counts
 * @param dueIn by class of the student whose orders set it the latest of their due days
 * @param belt the belt whose order brought it, unless it was ordered for itself too
 */
public record Assignment(
        UUID milestoneId,
        LocalDate setOn,
        LocalDate dueOn,
        Set<Evidence> evidence,
        Map<UUID, LocalDate> dueIn,
        Optional<UUID> belt) {

    public Assignment {
        evidence = Set.copyOf(evidence);
        dueIn = Map.copyOf(dueIn);
    }

    /** One assignment from two orders of the same milestone. */
    Assignment joinedWith(Assignment other) {
        Set<Evidence> all = EnumSet.noneOf(Evidence.class);
        all.addAll(evidence);
        all.addAll(other.evidence);
        return new Assignment(
                milestoneId,
                setOn.isBefore(other.setOn) ? setOn : other.setOn,
                dueOn.isBefore(other.dueOn) ? dueOn : other.dueOn,
                all,
                dueIn.equals(other.dueIn) ? dueIn : joined(dueIn, other.dueIn),
                belt.isPresent() && other.belt.isPresent() ? belt : Optional.empty());
    }

    private static Map<UUID, LocalDate> joined(Map<UUID, LocalDate> some, Map<UUID, LocalDate> others) {
        Map<UUID, LocalDate> all = new HashMap<>(some);
        others.forEach((classId, due) -> all.merge(classId, due, Assignment::later));
        return all;
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    /** What a class itself was set, by the latest day it is due there; what its students have from other classes is left out. */
    public static Map<UUID, LocalDate> ofClass(UUID classId, Stream<Assignment> assignments) {
        Map<UUID, LocalDate> due = new HashMap<>();
        assignments
                .filter(one -> one.dueIn.containsKey(classId))
                .forEach(one -> due.merge(one.milestoneId, one.dueIn.get(classId), Assignment::later));
        return due;
    }
}
