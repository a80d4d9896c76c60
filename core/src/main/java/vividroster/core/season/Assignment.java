package vividroster.core.season;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividroster.core.progress.Evidence;

/**
 * A milestone that is a student's to pass on one instrument, from one or more orders.
 *
 * @param setOn day it was first set
 * @param dueOn earliest due day
 * @param evidence all that any of the orders counts
 * @param classIds the classes of the student whose orders set it
 * @param belt the belt whose order brought it, unless it was ordered for itself too
 */
public record Assignment(
        UUID milestoneId,
        LocalDate setOn,
        LocalDate dueOn,
        Set<Evidence> evidence,
        Set<UUID> classIds,
        Optional<UUID> belt) {

    public Assignment {
        evidence = Set.copyOf(evidence);
        classIds = Set.copyOf(classIds);
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
                classIds.containsAll(other.classIds) ? classIds : union(classIds, other.classIds),
                belt.isPresent() && other.belt.isPresent() ? belt : Optional.empty());
    }

    private static Set<UUID> union(Set<UUID> some, Set<UUID> others) {
        Set<UUID> all = new HashSet<>(some);
        all.addAll(others);
        return all;
    }
}
