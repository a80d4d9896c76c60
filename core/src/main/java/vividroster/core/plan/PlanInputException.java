package vividroster.core.plan;

/** A planning problem that cannot be read as one: the place in it and a sentence for whoever wrote it. */
public final class PlanInputException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String place;

    /** @param place as in {@code milestones[3].needs[0]}, counted from 0 */
    public PlanInputException(String place, String sentence) {
        super(sentence);
        this.place = place;
    }

    public String place() {
        return place;
    }
}
