package vividroster.core.testing;

import java.util.OptionalInt;

/**
 * Which of several tries with a test makes the score. Schools differ, so all of it is the director's to set. It never
 * decides a pass: a pass is the pass rule's.
 *
 * @param counting which score stands after a retake
 * @param capPercent the most a retake can score, 1..100 of the points; asked for by {@link Counting#CAPPED}, empty
 *     otherwise
 * @param mostRetakes after the first try, 0..9; empty for as many as one likes
 * @param windowDays from the first try, that day not counted, 1..365; empty for no end
 * @param late what a first try after the due day counts for
 * @param substitute what a substitute piece counts for
 */
public record RetakePolicy(
        Counting counting,
        OptionalInt capPercent,
        OptionalInt mostRetakes,
        OptionalInt windowDays,
        Credit late,
        Credit substitute) {

    public static final int MOST_RETAKES = 9;
    public static final int LONGEST_WINDOW = 365;

    public enum Counting {
        /** The latest try. */
        REPLACE,
        /** The best try. */
        BEST,
        /** All tries together. */
        AVERAGE,
        /** The best try, a retake at most the cap. */
        CAPPED
    }

    /**
     * What a try counts that was not as set.
     *
     * @param percent of its score, 0..100; 0 does not count at all
     */
    public record Credit(int percent) {
        public static final Credit FULL = new Credit(100);
        public static final Credit NONE = new Credit(0);

        public Credit {
            if (percent < 0 || percent > 100) {
                throw new IllegalArgumentException("percent must be in 0..100, was " + percent);
            }
        }
    }

    public RetakePolicy {
        if (counting == Counting.CAPPED != capPercent.isPresent()) {
            throw new IllegalArgumentException("capPercent must be given with CAPPED and with nothing else");
        }
        inRange("capPercent", capPercent, 1, 100);
        inRange("mostRetakes", mostRetakes, 0, MOST_RETAKES);
        inRange("windowDays", windowDays, 1, LONGEST_WINDOW);
    }

    private static void inRange(String name, OptionalInt number, int least, int most) {
        if (number.isPresent() && (number.getAsInt() < least || number.getAsInt() > most)) {
            throw new IllegalArgumentException(
                    name + " must be in " + least + ".." + most + ", was " + number.getAsInt());
        }
    }

    /** The best of as many tries as one likes, late or not; a substitute piece in full. */
    public static RetakePolicy usual() {
        return new RetakePolicy(
                Counting.BEST, OptionalInt.empty(), OptionalInt.empty(), OptionalInt.empty(), Credit.FULL, Credit.FULL);
    }
}
