package vividroster.core.testing;

import java.time.Duration;
import vividroster.core.music.Bpm;
import vividroster.core.music.Meter;

/**
 * How long it takes to hear a student.
 *
 * @param changeoverSeconds until the next student plays; default 12
 * @param feedbackSeconds a word after playing; default 15
 */
public record HearingTime(int changeoverSeconds, int feedbackSeconds) {

    public static final HearingTime DEFAULT = new HearingTime(12, 15);

    public HearingTime {
        if (changeoverSeconds < 0 || changeoverSeconds > 300) {
            throw new IllegalArgumentException("changeoverSeconds must be in 0..300, was " + changeoverSeconds);
        }
        if (feedbackSeconds < 0 || feedbackSeconds > 300) {
            throw new IllegalArgumentException("feedbackSeconds must be in 0..300, was " + feedbackSeconds);
        }
    }

    /** What is played with its count-in, feedback and changeover. @param seconds of playing as the line is timed */
    /** As a director reads it: whole minutes, begun ones counted. */
    public static int wholeMinutes(long seconds) {
        return Math.toIntExact(Math.ceilDiv(seconds, 60L));
    }

    public Duration ofPlaying(double seconds) {
        return Duration.ofSeconds(Math.round(seconds) + changeoverSeconds + feedbackSeconds);
    }

    /** Of a line known by facts alone: the count-in and the played measures at one tempo. @param countInMeasures 1 or 2 */
    public Duration ofFacts(int playedMeasures, Meter meter, Bpm tempo, int countInMeasures) {
        return ofPlaying(tempo.secondsFor(meter.beatsPerMeasure() * (countInMeasures + playedMeasures)));
    }

    /** Several who play together: once to play and to change over, and a word for each. @param students at least 1 */
    public Duration together(Duration alone, int students) {
        return alone.plusSeconds((long) feedbackSeconds * (students - 1));
    }

    /** A look of a few seconds at each criterion, feedback and changeover. */
    public Duration ofCheck(int criteria, int secondsPerCriterion) {
        return Duration.ofSeconds((long) criteria * secondsPerCriterion + changeoverSeconds + feedbackSeconds);
    }
}
