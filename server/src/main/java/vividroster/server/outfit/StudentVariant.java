package vividroster.server.outfit;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.music.InstrumentCode;
import vividroster.core.outfit.Review;

/**
 * Another way of a check that a student uses.
 *
 * @param choices schools this student follows instead of the programme's, by question
 * @param review the next look at it; empty once it was withdrawn
 */
public record StudentVariant(
        UUID id,
        UUID studentId,
        UUID milestoneId,
        InstrumentCode instrument,
        String name,
        String note,
        SchoolChoices choices,
        LocalDate givenOn,
        Optional<Review> review,
        Optional<LocalDate> withdrawnOn,
        String lastNote) {

    public boolean isInUse() {
        return review.isPresent();
    }

    /** As the check knows it. */
    public TechniqueCheck.Variant asVariant() {
        return new TechniqueCheck.Variant(name, note, 1, choices);
    }
}
