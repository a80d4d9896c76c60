package vividroster.core.season;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear.Week;

/**
 * Who joined a class after the due day of what the whole class was set and was not set it since, and the same set again for
 * them.
 *
 * @param missed by due day, each milestone once
 */
public record Newcomers(List<Missed> missed, Set<UUID> students) {

    /** @param since the first day one of those who miss it sits in the class */
    public record Missed(MilestoneOrder order, LocalDate since) {}

    public Newcomers {
        missed = List.copyOf(missed);
        students = Set.copyOf(students);
    }

    /**
     * @param whole what the whole class was set
     * @param all whatever reaches anybody of the class
     * @param seats of the class, as they are held
     * @param ever all seats in the class of those who hold them: who only comes back from a borrowed instrument misses nothing
     */
    public static Newcomers of(
            Collection<MilestoneOrder> whole,
            Collection<MilestoneOrder> all,
            Collection<Seat> seats,
            Collection<Seat> ever,
            InstrumentCatalog catalog) {
        Map<UUID, Missed> missed = new LinkedHashMap<>();
        Set<UUID> students = new HashSet<>();
        for (MilestoneOrder order : MilestoneOrder.byDueDay(whole)) {
            List<Seat> without = seats.stream()
                    .filter(seat -> seat.startsOn().isAfter(order.dueOn())
                            && all.stream()
                                    .noneMatch(other -> other.milestoneId().equals(order.milestoneId())
                                            && ever.stream()
                                                    .anyMatch(own -> own.studentId()
                                                                    .equals(seat.studentId())
                                                            && own.instrument().equals(seat.instrument())
                                                            && other.reaches(own, catalog))))
                    .toList();
            without.stream()
                    .map(Seat::startsOn)
                    .min(Comparator.naturalOrder())
                    .ifPresent(since -> missed.putIfAbsent(order.milestoneId(), new Missed(order, since)));
            without.forEach(seat -> students.add(seat.studentId()));
        }
        return new Newcomers(List.copyOf(missed.values()), students);
    }

    /** The first day one of them sits in the class; empty where nobody misses anything. */
    public Optional<LocalDate> since() {
        return missed.stream().map(Missed::since).min(Comparator.naturalOrder());
    }

    /**
     * What they miss, from a week on in the order it was set, as many weeks of meeting apart as it was; what comes after the
     * last week stands in it. The same press makes the same ids.
     *
     * @param weeks in which the class meets, from the first that is free for them; at least one
     */
    public List<MilestoneOrder> setAgain(UUID classId, ClassTimes times, SchoolYear year, List<Week> weeks) {
        return missed.stream()
                .map(one -> {
                    int after = weeksBetween(
                            times,
                            year,
                            missed.getFirst().order().dueOn(),
                            one.order().dueOn());
                    List<LocalDate> days = times.daysIn(year, weeks.get(Math.min(after, weeks.size() - 1)));
                    return new MilestoneOrder(
                            UUID.nameUUIDFromBytes(
                                    (one.order().id() + " since " + one.since()).getBytes(StandardCharsets.UTF_8)),
                            one.order().milestoneId(),
                            days.getFirst(),
                            days.getLast(),
                            one.order().evidence(),
                            List.of(new SectionScope.Newcomers(classId, one.since())));
                })
                .toList();
    }

    private static int weeksBetween(ClassTimes times, SchoolYear year, LocalDate first, LocalDate later) {
        return times.weeksFrom(year, year.weekOf(first).monday()).size()
                - times.weeksFrom(year, year.weekOf(later).monday()).size();
    }
}
