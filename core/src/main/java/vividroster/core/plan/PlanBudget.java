package vividroster.core.plan;

/**
 * How long a plan is looked for, in steps; never in time, so that the same problem has the same plan on any machine.
 *
 * @param stepsPerMilestone for each milestone that can be placed
 * @param mostSteps for all of them together
 */
public record PlanBudget(int stepsPerMilestone, long mostSteps) {

    /** Measured: a third of a second for a year of 400 milestones. */
    public static final PlanBudget DEFAULT = new PlanBudget(1_900, 800_000);

    /** The long look in the background. */
    public static final PlanBudget LONG = new PlanBudget(7_500, 12_000_000);

    public PlanBudget {
        if (stepsPerMilestone < 0 || mostSteps < 0) {
            throw new IllegalArgumentException("steps must be 0 or more");
        }
    }

    /** Steps for so many milestones together. */
    long stepsFor(int milestones) {
        return Math.min((long) stepsPerMilestone * milestones, mostSteps);
    }

    /** Whether a problem gets fewer steps than its size asks for; the long look is offered then. */
    public boolean isShortFor(int milestones) {
        return (long) stepsPerMilestone * milestones > mostSteps;
    }
}
