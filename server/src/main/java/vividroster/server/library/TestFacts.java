package vividroster.server.library;

import java.util.Optional;
import java.util.UUID;

/** What a playing test is played from and under which conditions. */
public record TestFacts(UUID milestoneId, Optional<UUID> lineId, String conditions) {}
