package vividroster.core.progress;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * When a try was heard. A device says the moment of the press, since a mark may wait for the network. A
 * device that says by the same clock when it sent it tells how wrong its clock is, and the moment is set right; where the
 * moment cannot be right, the moment it arrived stands in its place. What the device said is then kept beside it. Nothing is refused.
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

    /** Clocks that differ by more are set right, not only set aside: no wrong clock is off by more; ours. */
    private static final Duration MOST_WRONG = Duration.ofDays(36_500);

    public enum Doubt {
        /** The device's clock is wrong; the moment is told by how long ago the press was on that same clock. */
        CLOCK_WRONG,
        AHEAD,
        BEFORE_THE_YEAR,
        TOO_OLD
    }

    /**
     * @param said the moment of the press by the device's clock; empty where it said nothing
     * @param sent the moment of sending by the same clock, which tells how wrong that clock is; empty where unknown
     * @param arrived by the server's clock
     * @param yearBegins first moment of the school year
     */
    public static HeardMoment of(Optional<Instant> said, Optional<Instant> sent, Instant arrived, Instant yearBegins) {
        if (said.isEmpty()) {
            return new HeardMoment(arrived, Optional.empty(), Optional.empty());
        }
        Duration wrongBy = wrongBy(said.get(), sent, arrived);
        Instant moment = said.get().plus(wrongBy);
        Optional<Doubt> doubt = doubt(moment, arrived, yearBegins);
        if (doubt.isPresent()) {
            return new HeardMoment(arrived, said, doubt);
        }
        return wrongBy.isZero()
                ? new HeardMoment(moment, Optional.empty(), Optional.empty())
                : new HeardMoment(moment, said, Optional.of(Doubt.CLOCK_WRONG));
    }

    /** What must be added to the device's clock; zero where it is right enough, or its error is not known. To five minutes. */
    private static Duration wrongBy(Instant said, Optional<Instant> sent, Instant arrived) {
        if (sent.isEmpty() || farFrom(sent.get(), arrived, MOST_WRONG) || farFrom(said, arrived, MOST_WRONG)) {
            return Duration.ZERO;
        }
        if (!farFrom(sent.get(), arrived, MOST_AHEAD)) {
            return Duration.ZERO;
        }
        // In steps, since the way to the server takes now longer and now shorter: what a device sends in several
        // requests keeps its order.
        long steps = Math.round((double) Duration.between(sent.get(), arrived).toMillis() / MOST_AHEAD.toMillis());
        return MOST_AHEAD.multipliedBy(steps);
    }

    private static boolean farFrom(Instant one, Instant other, Duration most) {
        return Duration.between(one, other).abs().compareTo(most) > 0;
    }

    private static Optional<Doubt> doubt(Instant moment, Instant arrived, Instant yearBegins) {
        if (moment.isAfter(arrived.plus(MOST_AHEAD))) {
            return Optional.of(Doubt.AHEAD);
        }
        if (moment.isBefore(arrived.minus(OLDEST))) {
            return Optional.of(Doubt.TOO_OLD);
        }
        return moment.isBefore(yearBegins) ? Optional.of(Doubt.BEFORE_THE_YEAR) : Optional.empty();
    }
}
