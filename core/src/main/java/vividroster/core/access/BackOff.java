package vividroster.core.access;

import java.time.Duration;
import java.time.Instant;

/**
 * How long a sign-in waits after failures, so that guessing takes years while a person who mistyped waits seconds. Counted
 * for a name from one address, for a name from anywhere, and for an address; the longest wait counts. A name can be held up
 * from elsewhere for a minute only, and an address, behind which a whole school may stand, for half a minute after many.
 */
public enum BackOff {
    /** One name from one address. */
    NAME_FROM_ADDRESS(4, Duration.ofMinutes(15)),
    /** One name from anywhere. */
    NAME(12, Duration.ofMinutes(1)),
    /** One address, whatever the name. */
    ADDRESS(30, Duration.ofSeconds(30));

    /** Failures longer ago are forgotten. */
    public static final Duration MEMORY = Duration.ofHours(1);

    private final int free;
    private final Duration longest;

    BackOff(int free, Duration longest) {
        this.free = free;
        this.longest = longest;
    }

    /** The wait behind so many failures: none for the first few, then 2, 4, 8 … seconds up to the longest. */
    public Duration after(int failures) {
        int beyond = failures - free;
        if (beyond < 0) {
            return Duration.ZERO;
        }
        Duration wait = Duration.ofSeconds(1L << Math.min(20, beyond + 1));
        return wait.compareTo(longest) > 0 ? longest : wait;
    }

    /** What is left of the wait; zero when it is over. */
    public Duration left(int failures, Instant lastFailure, Instant now) {
        if (isForgotten(lastFailure, now)) {
            return Duration.ZERO;
        }
        Duration left = Duration.between(now, lastFailure.plus(after(failures)));
        return left.isNegative() ? Duration.ZERO : left;
    }

    /** Whether a failure no longer counts. */
    public static boolean isForgotten(Instant lastFailure, Instant now) {
        return lastFailure.plus(MEMORY).isBefore(now);
    }
}
