package vividroster.core.access;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * An invitation to sign in, good once and for a time.
 *
 * @param usedAt empty until somebody took it
 * @param withdrawnAt empty until a director took it back
 */
public record Invitation(Instant madeAt, Optional<Instant> usedAt, Optional<Instant> withdrawnAt) {

    /** Ours: over a week's holiday, and not into the next term. */
    public static final Duration GOOD_FOR = Duration.ofDays(14);

    /** Why it cannot be taken any more. */
    public enum Fault {
        USED,
        WITHDRAWN,
        LATE
    }

    /** The last moment it can be taken. */
    public Instant goodUntil() {
        return madeAt.plus(GOOD_FOR);
    }

    /** Empty while it can be taken. */
    public Optional<Fault> fault(Instant now) {
        if (usedAt.isPresent()) {
            return Optional.of(Fault.USED);
        }
        if (withdrawnAt.isPresent()) {
            return Optional.of(Fault.WITHDRAWN);
        }
        return now.isAfter(goodUntil()) ? Optional.of(Fault.LATE) : Optional.empty();
    }
}
