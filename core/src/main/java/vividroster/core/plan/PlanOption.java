package vividroster.core.plan;

import java.util.List;

/** One change that would make a left-out milestone fit, with the total of the plan after it. */
public sealed interface PlanOption {

    long total();

    /** Leave another out in its place. */
    record Drop(String milestone, long total) implements PlanOption {}

    /** Let it stand in this week, which its date forbids. */
    record MoveDate(int week, long total) implements PlanOption {}

    /** @param minutes more for the class in that week */
    record MoreMinutes(String classId, int week, int minutes, long total) implements PlanOption {}

    /** Only these sections; the others lose their share of its value, rounded up. */
    record Split(List<String> sections, int week, long total) implements PlanOption {

        public Split {
            sections = List.copyOf(sections);
        }
    }

    /** One more new note for a section in that week than a week may bring. */
    record MoreNewNotes(String section, int week, long total) implements PlanOption {}
}
