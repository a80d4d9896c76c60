package vividroster.core.plan;

/**
 * How much a week may hold.
 *
 * @param maxNewNotes a section meets in one week
 * @param fullPercent of a class's minutes a week may be filled to; above 100 it is overfull and priced
 */
public record PlanRules(int maxNewNotes, int fullPercent) {

    public static final PlanRules DEFAULT = new PlanRules(2, 125);

    public PlanRules {
        if (maxNewNotes < 0 || maxNewNotes > 100) {
            throw new PlanInputException(
                    "rules.maxNewNotes", "New notes a week must be in 0..100, was %d.".formatted(maxNewNotes));
        }
        if (fullPercent < 0 || fullPercent > 1000) {
            throw new PlanInputException(
                    "rules.fullPercent", "A full week must be in 0..1000 percent, was %d.".formatted(fullPercent));
        }
    }
}
