package vividroster.server.hearing;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.progress.Attempt;

/**
 * An attempt with what was written down beside it.
 *
 * @param beside what was heard in it, none of which says whether it passed
 * @param reason of an excuse or a correction; empty otherwise
 * @param deviceSaid the moment of hearing by the device, where it could not be right and the arrival counts instead
 * @param asSubstitute whether it was a substitute teacher who heard it
 */
public record HeardAttempt(
        Attempt attempt,
        UUID heardBy,
        String reason,
        Beside beside,
        Optional<Instant> deviceSaid,
        boolean asSubstitute) {

    /** Heard when its moment says. */
    public HeardAttempt(Attempt attempt, UUID heardBy, String reason, Beside beside) {
        this(attempt, heardBy, reason, beside, Optional.empty(), false);
    }

    /** Who heard the try that this corrects, or this one where it corrects nothing. @param among attempts by id */
    public UUID listener(Map<UUID, HeardAttempt> among) {
        HeardAttempt at = this;
        while (at.attempt().corrects().map(among::containsKey).orElse(false)) {
            at = among.get(at.attempt().corrects().orElseThrow());
        }
        return at.heardBy();
    }
}
