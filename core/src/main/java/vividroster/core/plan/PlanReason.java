package vividroster.core.plan;

import vividroster.core.plan.PlanMilestone.FixedBecause;

/** Why a milestone stands where it stands, and not in another week. Weeks are counted from 1. */
public sealed interface PlanReason {

    /** Why it does not stand in one other week. */
    sealed interface NotThere extends PlanReason {

        int week();
    }

    /** The week is closed. */
    record NoSchool(int week) implements NotThere {}

    record ClassDoesNotMeet(int week, String classId) implements NotThere {}

    /** It has an earliest week. */
    record NotBefore(int week) implements NotThere {}

    /** It needs another that stands too late for that, or nowhere. */
    record After(int week, String milestone) implements NotThere {}

    /** Another that needs it could not stay where it is. */
    record Before(int week, String milestone) implements NotThere {}

    /** The section would meet more new notes than a week may bring. */
    record NewNotes(int week, String section) implements NotThere {}

    /** The week would hold more than it may. */
    record Full(int week, String classId) implements NotThere {}

    /** It could stand there and the sum would be so much higher; lower when negative. */
    record Costs(int week, PlanPoints difference) implements NotThere {}

    record Fixed(FixedBecause because) implements PlanReason {}

    /** It stood there in the plan in force. */
    record Stays() implements PlanReason {}

    /** The year has no other week. */
    record OnlyWeek() implements PlanReason {}

    /** It stood elsewhere in the plan in force. */
    record Moved(int from) implements PlanReason {}
}
