package vividroster.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;

/**
 * The milestones a section was set, in the order it meets them: by the day each was first set, and of one day in shelf
 * order, so that lines of one page know one another.
 *
 * @param met in that order, each once
 */
public record Track(List<Met> met) {

    /** @param setOn the first time; place on the shelf, lower first */
    public record Met(UUID milestoneId, LocalDate setOn, int place) {}

    public Track {
        met = List.copyOf(met);
    }

    /** @param set each as often as it was ordered to the section, in any order */
    public static Track of(Collection<Met> set) {
        List<Met> first = new ArrayList<>();
        set.stream()
                .sorted(Comparator.comparing(Met::setOn)
                        .thenComparingInt(Met::place)
                        .thenComparing(Met::milestoneId))
                .filter(one -> first.stream().noneMatch(had -> had.milestoneId().equals(one.milestoneId())))
                .forEach(first::add);
        return new Track(first);
    }

    /** What is met before a milestone; where it was never set, all that was set until a day, that day included. */
    public List<UUID> before(UUID milestoneId, LocalDate day) {
        List<UUID> before = new ArrayList<>();
        boolean wasSet = met.stream().anyMatch(one -> one.milestoneId().equals(milestoneId));
        for (Met one : met) {
            if (one.milestoneId().equals(milestoneId) || (!wasSet && one.setOn().isAfter(day))) {
                break;
            }
            before.add(one.milestoneId());
        }
        return before;
    }
}
