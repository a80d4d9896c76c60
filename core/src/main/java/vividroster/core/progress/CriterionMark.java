package vividroster.core.progress;

/** Points given for one criterion, 0 for one not seen. */
public record CriterionMark(int ordinal, int points) {

    public CriterionMark {
        if (ordinal < 1) {
            throw new IllegalArgumentException("ordinal must be at least 1, was " + ordinal);
        }
        if (points < 0 || points > 9) {
            throw new IllegalArgumentException("points must be in 0..9, was " + points);
        }
    }
}
