package vividroster.core.plan;

/** Told how far a long look is; may end it with the best so far. */
public interface PlanWatch {

    /** Nobody looks, and it is never ended. */
    PlanWatch NOBODY = (done, all, points) -> true;

    /**
     * @param done steps so far, of all
     * @param points of the best plan so far
     * @return whether to go on
     */
    boolean goOn(long done, long all, long points);
}
