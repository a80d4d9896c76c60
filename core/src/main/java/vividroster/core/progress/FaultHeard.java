package vividroster.core.progress;

import java.util.OptionalInt;

/**
 * What went wrong in a try.
 *
 * @param sign by which the fault is known, 1 to 200 letters
 * @param measure its number on the page, in 1..999; empty where none was tapped
 */
public record FaultHeard(String sign, OptionalInt measure) {

    public static final int LONGEST = 200;
    public static final int LAST_MEASURE = 999;

    public FaultHeard {
        if (sign.isBlank() || sign.length() > LONGEST) {
            throw new IllegalArgumentException(
                    "a fault has a sign of 1 to " + LONGEST + " letters, was " + sign.length());
        }
        if (measure.isPresent() && (measure.getAsInt() < 1 || measure.getAsInt() > LAST_MEASURE)) {
            throw new IllegalArgumentException("measure must be in 1.." + LAST_MEASURE + ", was " + measure.getAsInt());
        }
    }
}
