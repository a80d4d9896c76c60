package vividroster.core.testing;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * How long a student really takes in a run: what was planned, drawn towards what was measured the more students were heard.
 *
 * @param perStudent from one student's mark to the next, changeover and a word included
 * @param learntFrom how many students it was measured on; 0 where only the plan is known
 */
public record HearingPace(Duration perStudent, int learntFrom) {

    /** As many measured students as the plan counts for; ours, to be tuned. */
    static final int PLAN_COUNTS_FOR = 3;

    /** A gap of so many times the plan, or so small a part of it, is no hearing but an interruption or a batch; ours. */
    static final int MOST_TIMES = 4;

    /**
     * @param planned more than zero
     * @param markedAt the moments of the marks of one listener on one day, in order; the first begins the measuring
     */
    public static HearingPace of(Duration planned, List<Instant> markedAt) {
        if (planned.isZero() || planned.isNegative()) {
            throw new IllegalArgumentException("planned must be more than zero, was " + planned);
        }
        long millis = planned.toMillis() * PLAN_COUNTS_FOR;
        int measured = 0;
        for (int i = 1; i < markedAt.size(); i++) {
            long gap = Duration.between(markedAt.get(i - 1), markedAt.get(i)).toMillis();
            if (gap * MOST_TIMES >= planned.toMillis() && gap <= planned.toMillis() * MOST_TIMES) {
                millis += gap;
                measured++;
            }
        }
        return new HearingPace(Duration.ofMillis(millis / (PLAN_COUNTS_FOR + measured)), measured);
    }

    /**
     * What was planned for something else, as much longer or shorter as students really take.
     *
     * @param planned for one student, more than zero
     * @return whole seconds, at least 1
     */
    public Duration stretched(Duration planned, Duration other) {
        return Duration.ofSeconds(
                Math.max(1, Math.round(1.0 * other.toMillis() * perStudent.toMillis() / planned.toMillis() / 1000)));
    }

    /**
     * Whether who is left fits before the bell.
     *
     * @param left students still to hear, from 0
     * @param toBell until the bell; empty where there is none, negative after it
     */
    public Fit fit(int left, Optional<Duration> toBell) {
        Duration needed = perStudent.multipliedBy(left);
        int inTime = toBell.map(time -> (int) Math.clamp(time.toMillis() / perStudent.toMillis(), 0, left))
                .orElse(left);
        return new Fit(needed, toBell, inTime, left);
    }

    /**
     * @param needed for everybody who is left
     * @param inTime how many of those left are heard before the bell
     */
    public record Fit(Duration needed, Optional<Duration> toBell, int inTime, int left) {

        public boolean fits() {
            return inTime == left;
        }
    }
}
