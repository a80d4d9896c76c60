package vividroster.core.progress;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * When a try was heard. A device says the moment of the press, since a mark may wait for the network; where that moment
 * cannot be right, the moment it arrived stands in its place and what the device said is kept beside it. Nothing is refused.
 *
 * @param at the moment that counts
 * @param deviceSaid what the device said, where it was set aside
 * @param doubt why; empty where the device was believed, or said nothing
 */
public record HeardMoment(Instant at, Optional<Instant> deviceSaid, Optional<Doubt> doubt) {

    /** A device's clock may run ahead by so much; ours. */
    public static final Duration MOST_AHEAD = Duration.ofMinutes(5);

    /** A mark waits for the network no longer; ours. */
    public static final Duration OLDEST = Duration.ofDays(30);

    public enum Doubt {
        AHEAD,
        BEFORE_THE_YEAR,
        TOO_OLD
    }

    /**
     * @param said by the device; empty where it said nothing
     * @param arrived by the server's clock
     * @param yearBegins first moment of the school year
     */
    public static HeardMoment of(Optional<Instant> said, Instant arrived, Instant yearBegins) {
        if (said.isEmpty()) {
            return new HeardMoment(arrived, Optional.empty(), Optional.empty());
        }
        Instant moment = said.get();
        Optional<Doubt> doubt = moment.isAfter(arrived.plus(MOST_AHEAD))
                ? Optional.of(Doubt.AHEAD)
                : moment.isBefore(arrived.minus(OLDEST))
                        ? Optional.of(Doubt.TOO_OLD)
                        : moment.isBefore(yearBegins) ? Optional.of(Doubt.BEFORE_THE_YEAR) : Optional.empty();
        return doubt.isPresent()
                ? new HeardMoment(arrived, said, doubt)
                : new HeardMoment(moment, Optional.empty(), Optional.empty());
    }
}
