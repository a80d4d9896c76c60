package vividroster.core.testing;

import java.util.Optional;
import vividroster.core.music.Bpm;
import vividroster.core.music.Pitch;

/**
 * Under which conditions a playing test is played. Source: how directors announce a test.
 *
 * @param tempo in the beat of the line; empty for the line's own
 * @param tolerancePercent how far the tempo heard may lie from it either way, 0..50
 * @param pitchCheck the tone everybody checks first, as it sounds; empty where none is taken
 * @param countInMeasures 0..2; 0 where the student begins alone
 * @param fullValues whether a note let go early is a fault
 * @param memory whether it is played without the page
 * @param fermata who ends a held note
 * @param besides the director's own words; empty when there are none
 */
public record TestConditions(
        Optional<Bpm> tempo,
        int tolerancePercent,
        Optional<Pitch> pitchCheck,
        int countInMeasures,
        boolean fullValues,
        Accompaniment accompaniment,
        boolean memory,
        FermataEnd fermata,
        String besides) {

    public static final int MOST_TOLERANCE = 50;

    /** Ours: what a beginner holds without a metronome. */
    public static final int USUAL_TOLERANCE = 10;

    /** What sounds beside the student. */
    public enum Accompaniment {
        ALONE,
        METRONOME,
        /** A recording, which waits for nobody. */
        FIXED_TRACK,
        /** Somebody who plays along and follows the student. */
        FOLLOWS
    }

    /** Who ends a fermata. */
    public enum FermataEnd {
        STUDENT,
        DIRECTOR,
        ACCOMPANIST
    }

    public TestConditions {
        if (tolerancePercent < 0 || tolerancePercent > MOST_TOLERANCE) {
            throw new IllegalArgumentException(
                    "tolerancePercent must be in 0.." + MOST_TOLERANCE + ", was " + tolerancePercent);
        }
        if (countInMeasures < 0 || countInMeasures > 2) {
            throw new IllegalArgumentException("countInMeasures must be in 0..2, was " + countInMeasures);
        }
        if (fermata == FermataEnd.ACCOMPANIST && accompaniment != Accompaniment.FOLLOWS) {
            throw new IllegalArgumentException(
                    "fermata can be ended by an accompanist only where one follows, was " + accompaniment);
        }
        if (countInMeasures == 0 && accompaniment == Accompaniment.FIXED_TRACK) {
            throw new IllegalArgumentException(
                    "countInMeasures must be 1 or 2 with a fixed track, which nobody can come in on otherwise, was 0");
        }
    }

    /** Alone, at the line's tempo, one measure of count-in, note values full, no tone checked. */
    public static TestConditions usual() {
        return new TestConditions(
                Optional.empty(),
                USUAL_TOLERANCE,
                Optional.empty(),
                1,
                true,
                Accompaniment.ALONE,
                false,
                FermataEnd.STUDENT,
                "");
    }

    /** How a tempo heard lies to the one asked. */
    public enum TempoHeard {
        IN_TOLERANCE,
        TOO_SLOW,
        TOO_FAST
    }

    /**
     * Both ends of the tolerance are still in it.
     *
     * @param heard and {@code asked} in beats a minute
     */
    public TempoHeard heard(double heard, double asked) {
        if (heard * 100 < asked * (100 - tolerancePercent)) {
            return TempoHeard.TOO_SLOW;
        }
        return heard * 100 > asked * (100 + tolerancePercent) ? TempoHeard.TOO_FAST : TempoHeard.IN_TOLERANCE;
    }
}
