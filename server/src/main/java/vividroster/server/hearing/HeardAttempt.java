package vividroster.server.hearing;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.progress.Attempt;

/**
 * An attempt with what was written down beside it.
 *
 * @param reason of an excuse or a correction; empty otherwise
 * @param note free words; empty when there are none
 * @param deviceSaid the moment of hearing by the device, where it could not be right and the arrival counts instead
 * @param asSubstitute whether it was a substitute teacher who heard it
 */
public record HeardAttempt(
        Attempt attempt, UUID heardBy, String reason, String note, Optional<Instant> deviceSaid, boolean asSubstitute) {

    /** Heard when its moment says. */
    public HeardAttempt(Attempt attempt, UUID heardBy, String reason, String note) {
        this(attempt, heardBy, reason, note, Optional.empty(), false);
    }
}
