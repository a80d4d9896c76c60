package vividroster.core.curriculum;

import java.util.OptionalInt;

/**
 * One thing to see or hear.
 *
 * @param ordinal place in its list, from 1
 * @param topPoints points for the best level; 1 for a criterion that is seen or not
 * @param floorPoints fewest points that may pass, whatever the total
 */
public record Criterion(int ordinal, String name, int topPoints, OptionalInt floorPoints) {

    public Criterion {
        if (ordinal < 1) {
            throw new IllegalArgumentException("ordinal must be at least 1, was " + ordinal);
        }
        if (name.isBlank()) {
            throw new IllegalArgumentException("a criterion needs a name");
        }
        if (topPoints < 1 || topPoints > 9) {
            throw new IllegalArgumentException(
                    "topPoints must be in 1..9, so that one digit marks it, was " + topPoints);
        }
        if (floorPoints.isPresent() && (floorPoints.getAsInt() < 0 || floorPoints.getAsInt() > topPoints)) {
            throw new IllegalArgumentException(
                    "floorPoints must be in 0.." + topPoints + ", was " + floorPoints.getAsInt());
        }
    }
}
