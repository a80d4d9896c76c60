package vividroster.server.hearing;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;

/** Somebody was heard. @param on the day in the programme's zone */
public record Turn(
        UUID studentId,
        UUID classId,
        InstrumentCode instrument,
        UUID milestoneId,
        UUID heardBy,
        LocalDate on,
        Instant at,
        Evidence evidence) {}
