package vividroster.server.live;

import java.util.Optional;
import java.util.UUID;
import vividroster.core.progress.Outcome;

/**
 * A mark as others see it come in.
 *
 * @param arrived its place among all marks; not without gaps
 * @param corrects the attempt it corrects
 */
record Mark(
        long arrived,
        UUID id,
        UUID studentId,
        UUID milestoneId,
        Outcome outcome,
        Optional<UUID> corrects,
        UUID heardBy,
        String hearerName) {}
