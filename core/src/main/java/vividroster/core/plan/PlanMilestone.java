package vividroster.core.plan;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A milestone that is to stand in one week for all its sections.
 *
 * @param value points lost when it is left out
 * @param essential what the year must not be without
 * @param teachMinutes together, once for each class it concerns
 * @param earliestWeek not before this week; 1 when it may stand anywhere
 * @param fixedWeek the week it stands in whatever else is so
 */
public record PlanMilestone(
        String id,
        int value,
        boolean essential,
        int teachMinutes,
        List<Share> sections,
        List<Need> needs,
        int earliestWeek,
        Optional<Deadline> deadline,
        OptionalInt fixedWeek,
        FixedBecause fixedBecause) {

    public PlanMilestone {
        sections = List.copyOf(sections);
        needs = List.copyOf(needs);
    }

    /**
     * What it is for one section.
     *
     * @param teachMinutes besides what is taught together
     * @param newNotes the section has not met before
     */
    public record Share(String section, int teachMinutes, int hearMinutes, List<String> newNotes) {

        public Share {
            newNotes = List.copyOf(newNotes);
        }
    }

    /** @param gapWeeks teaching weeks between the two; 0 lets both stand in one week, taught in their order */
    public record Need(String milestone, int gapWeeks) {}

    /** @param marginWeeks teaching weeks it should stand before the deadline */
    public record Deadline(int week, int marginWeeks) {}

    /** Why a milestone does not move. */
    public enum FixedBecause {
        DATE,
        PINNED,
        HEARD
    }

    public boolean isFixed() {
        return fixedWeek.isPresent();
    }

    /** Already heard: it stands where it was heard, and nothing is asked of it. */
    public boolean isHeard() {
        return isFixed() && fixedBecause == FixedBecause.HEARD;
    }

    public PlanMilestone fixedIn(int week, FixedBecause because) {
        return with(earliestWeek, deadline, OptionalInt.of(week), because);
    }

    /** What it takes of one class: together once, and what its sections there take besides; 0 where it is not for it. */
    public int minutesIn(String classId, List<PlanProblem.Section> all) {
        List<Share> own = sections.stream()
                .filter(share -> all.stream()
                        .anyMatch(section -> section.id().equals(share.section())
                                && section.classId().equals(classId)))
                .toList();
        return own.isEmpty()
                ? 0
                : teachMinutes
                        + own.stream()
                                .mapToInt(share -> share.teachMinutes() + share.hearMinutes())
                                .sum();
    }

    /** Free to stand in any week its earliest one allows. */
    public PlanMilestone unfixed() {
        return with(earliestWeek, deadline, OptionalInt.empty(), fixedBecause);
    }

    public PlanMilestone notBefore(int week) {
        return with(week, deadline, fixedWeek, fixedBecause);
    }

    public PlanMilestone dueBy(Optional<Deadline> other) {
        return with(earliestWeek, other, fixedWeek, fixedBecause);
    }

    private PlanMilestone with(int earliest, Optional<Deadline> due, OptionalInt week, FixedBecause because) {
        return new PlanMilestone(id, value, essential, teachMinutes, sections, needs, earliest, due, week, because);
    }

    /** The same for these sections alone, under a name and at a value of its own. */
    public PlanMilestone part(String partId, int partValue, List<Share> shares, List<Need> partNeeds) {
        return new PlanMilestone(
                partId,
                partValue,
                essential,
                teachMinutes,
                shares,
                partNeeds,
                earliestWeek,
                deadline,
                fixedWeek,
                fixedBecause);
    }
}
