package vividroster.server.hearing;

import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/** A student on one instrument: the one whose milestones are passed or open. */
public record Player(UUID studentId, InstrumentCode instrument) {}
