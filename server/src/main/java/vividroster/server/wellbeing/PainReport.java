package vividroster.server.wellbeing;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/**
 * What a student said hurts. Never a diagnosis.
 *
 * @param place where, in the words that were said
 * @param since when it began, in the words that were said; empty when nobody asked
 * @param followedUpBy who followed it up, with a note of what was done
 */
public record PainReport(
        UUID id,
        UUID studentId,
        UUID classId,
        InstrumentCode instrument,
        String place,
        String since,
        LocalDate reportedOn,
        String reportedBy,
        Optional<String> followUp,
        Optional<String> followedUpBy) {}
