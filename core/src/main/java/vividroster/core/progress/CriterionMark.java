package vividroster.core.progress;

import vividroster.core.curriculum.Criterion;

/** Points given for one criterion, 0 for one not seen. */
public record CriterionMark(int ordinal, int points) {

    public CriterionMark {
        if (ordinal < 1) {
            throw new IllegalArgumentException("ordinal must be at least 1, was " + ordinal);
        }
        if (points < 0 || points > Criterion.MOST_POINTS) {
            throw new IllegalArgumentException("points must be in 0.." + Criterion.MOST_POINTS + ", was " + points);
        }
    }
}
