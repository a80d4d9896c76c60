package vividroster.server.hearing;

import java.util.UUID;
import vividroster.core.progress.Attempt;

/**
 * An attempt with what was written down beside it.
 *
 * @param reason of an excuse or a correction; empty otherwise
 * @param note free words; empty when there are none
 */
public record HeardAttempt(Attempt attempt, UUID heardBy, String reason, String note) {}
