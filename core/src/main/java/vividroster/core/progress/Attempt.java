package vividroster.core.progress;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/**
 * One try by one student, heard by someone on a day. Never changed; a later attempt may correct it.
 *
 * @param milestoneVersion of the milestone it was heard against: its criteria and its pass rule
 * @param heardOn school day of the hearing
 * @param heardAt moment of the hearing; a correction keeps the moment of what it corrects
 * @param recordedAt when it was written down; orders attempts heard at the same moment
 * @param waived an excuse that no longer stands in the way of a belt
 * @param corrects the attempt this one replaces
 */
public record Attempt(
        UUID id,
        UUID studentId,
        UUID milestoneId,
        int milestoneVersion,
        InstrumentCode instrument,
        UUID classId,
        LocalDate heardOn,
        Instant heardAt,
        Instant recordedAt,
        Evidence evidence,
        Outcome outcome,
        List<CriterionMark> marks,
        boolean waived,
        Optional<UUID> corrects) {

    public Attempt {
        marks = List.copyOf(marks);
        if (milestoneVersion < 1) {
            throw new IllegalArgumentException("milestoneVersion must be at least 1, was " + milestoneVersion);
        }
        if (outcome == Outcome.UNDONE && corrects.isEmpty()) {
            throw new IllegalArgumentException("only a correction can undo");
        }
        if (waived && outcome != Outcome.EXCUSED) {
            throw new IllegalArgumentException("only an excuse can be waived, was " + outcome);
        }
    }
}
