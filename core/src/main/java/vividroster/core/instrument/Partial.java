package vividroster.core.instrument;

/** The harmonic series of a brass instrument. Source: acoustics of a tube, in equal-tempered semitones. */
public final class Partial {

    /** Semitones of each partial above the fundamental; index 0 is not used. */
    private static final int[] SEMITONES = {0, 0, 12, 19, 24, 28, 31, 34, 36, 38, 40, 42, 43};

    /** Low by a third of a semitone: played only where it can be raised. */
    static final int SEVENTH = 7;

    private Partial() {}

    /** Where a partial sounds against what the page asks, whoever plays it. */
    public enum Tendency {
        TRUE,
        LOW,
        HIGH
    }

    /** The fifth and tenth are low, the sixth and twelfth high; the seventh and eleventh are not played. */
    public static Tendency tendency(int partial) {
        return switch (partial) {
            case 5, 10 -> Tendency.LOW;
            case 6, 12 -> Tendency.HIGH;
            default -> Tendency.TRUE;
        };
    }

    static boolean isPlayed(int partial) {
        return partial >= 2 && partial < SEMITONES.length && partial != SEVENTH && partial != 11;
    }

    static int highest() {
        return SEMITONES.length - 1;
    }

    /** @param partial from 1 to 12 */
    public static int semitones(int partial) {
        return SEMITONES[partial];
    }
}
