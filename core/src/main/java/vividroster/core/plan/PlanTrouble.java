package vividroster.core.plan;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What in a problem cannot be kept as it was given, or could not be kept by the plan; never a refusal of the whole.
 *
 * @param milestones those it is about; of a ring in the order of their needs, the first needing the second
 * @param classId the class it is about
 * @param week the week it is about
 */
public record PlanTrouble(Kind kind, List<String> milestones, Optional<String> classId, OptionalInt week) {

    public PlanTrouble {
        milestones = List.copyOf(milestones);
    }

    static PlanTrouble of(Kind kind, String milestone) {
        return new PlanTrouble(kind, List.of(milestone), Optional.empty(), OptionalInt.empty());
    }

    static PlanTrouble of(Kind kind, String milestone, int week) {
        return new PlanTrouble(kind, List.of(milestone), Optional.empty(), OptionalInt.of(week));
    }

    /** What it is. */
    public enum Kind {
        /** Milestones need one another; they and what needs them are left out. */
        RING,
        /** Fixed in a closed week, a week its class does not meet, or before its earliest week; left out. */
        FIXED_IN_BREAK,
        /** The deadline lies in a closed week; the open week before it counts. */
        DEADLINE_IN_BREAK,
        /** A class has no minutes in any open week. */
        CLASS_NEVER_MEETS,
        /** No week it may stand in holds its minutes. */
        TOO_LONG,
        /** It alone brings a section more new notes than a week may. */
        TOO_MANY_NEW_NOTES,
        /** A fixed milestone stands before something it needs, or without it. */
        NEED_AFTER_FIXED,
        /** Stands after its deadline. */
        DATE_MISSED,
        /** No week is left for it: none is open, none from its earliest week on, or its classes never meet in one week. */
        NO_TEACHING_WEEK
    }
}
