package vividroster.core.curriculum;

import java.util.List;
import java.util.OptionalInt;

/**
 * One thing to see or hear.
 *
 * @param ordinal place in its list, from 1
 * @param topPoints points for the best level; 1 for a criterion that is seen or not
 * @param floorPoints fewest points that may pass, whatever the total
 * @param weight how much it counts beside the others of its list, 1..100; only the proportion matters
 * @param levels what is heard at each number of points, from 0 to the top; empty where no words are kept
 */
public record Criterion(
        int ordinal, String name, int topPoints, OptionalInt floorPoints, int weight, List<String> levels) {

    /** Of a written check; what is marked while somebody plays keeps to {@link Rubric#MOST_POINTS}. Ours. */
    public static final int MOST_POINTS = 100;

    public static final int MOST_WEIGHT = 100;

    public Criterion {
        levels = List.copyOf(levels);
        if (ordinal < 1) {
            throw new IllegalArgumentException("ordinal must be at least 1, was " + ordinal);
        }
        if (name.isBlank()) {
            throw new IllegalArgumentException("a criterion needs a name");
        }
        if (topPoints < 1 || topPoints > MOST_POINTS) {
            throw new IllegalArgumentException(
                    "topPoints must be in 1.." + MOST_POINTS + ", so that there are two levels, was " + topPoints);
        }
        if (floorPoints.isPresent() && (floorPoints.getAsInt() < 0 || floorPoints.getAsInt() > topPoints)) {
            throw new IllegalArgumentException(
                    "floorPoints must be in 0.." + topPoints + ", was " + floorPoints.getAsInt());
        }
        if (weight < 1 || weight > MOST_WEIGHT) {
            throw new IllegalArgumentException("weight must be in 1.." + MOST_WEIGHT + ", was " + weight);
        }
        if (!levels.isEmpty() && levels.size() != topPoints + 1) {
            throw new IllegalArgumentException("levels must be " + (topPoints + 1)
                    + " texts, one for each number of points from 0 to " + topPoints + ", were " + levels.size());
        }
    }

    /** One of a list whose criteria all count alike, without words for its levels. */
    public Criterion(int ordinal, String name, int topPoints, OptionalInt floorPoints) {
        this(ordinal, name, topPoints, floorPoints, 1, List.of());
    }

    /** Whether these points are too few, whatever the total. */
    public boolean isUnderFloor(int points) {
        return floorPoints.isPresent() && points < floorPoints.getAsInt();
    }
}
