package vividroster.core.curriculum;

import java.util.Map;
import java.util.Optional;

/**
 * What a director is told around a check.
 *
 * @param why in one sentence, as students are told; empty where nobody wrote one
 * @param seenFrom where the director stands to see it
 * @param notFor for whom it does not fit and what they do instead; empty for most
 * @param backTo key of the stage before, to which one falls back when this one fails; empty for most
 * @param criterionWordings other words for a criterion where another school is followed: question, choice, criterion
 *     from 1
 * @param measured an amount that is recorded with a try; empty for most
 */
public record Guide(
        String why,
        Vantage seenFrom,
        String notFor,
        String backTo,
        Map<String, Map<String, Map<Integer, String>>> criterionWordings,
        Optional<Measured> measured) {

    public static final Guide NONE = new Guide("", Vantage.FRONT, "", "", Map.of());

    public Guide(
            String why,
            Vantage seenFrom,
            String notFor,
            String backTo,
            Map<String, Map<String, Map<Integer, String>>> criterionWordings) {
        this(why, seenFrom, notFor, backTo, criterionWordings, Optional.empty());
    }

    /**
     * A criterion that is no yes or no but an amount, recorded every time and kept.
     *
     * @param name for example "Longest steady tone"
     * @param unit as one says it behind the number, for example "s"
     * @param aim what is worked towards, in 0..{@link #MOST}; it fails nobody
     */
    public record Measured(String name, String unit, double aim) {
        public static final double MOST = 600;

        public Measured {
            if (name.isBlank() || unit.isBlank() || !(aim > 0 && aim <= MOST)) {
                throw new IllegalArgumentException(
                        "what is measured has a name, a unit and an aim in 0.." + (int) MOST + ", was " + aim);
            }
        }
    }

    /** From where a thing is seen. */
    public enum Vantage {
        FRONT,
        SIDE,
        ABOVE,
        /** At the student's stand, close by. */
        NEAR,
        BY_EAR
    }

    public Guide {
        criterionWordings = Map.copyOf(criterionWordings);
        measured = measured == null ? Optional.empty() : measured;
    }
}
