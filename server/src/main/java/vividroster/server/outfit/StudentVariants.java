package vividroster.server.outfit;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.outfit.Review;
import vividroster.core.roster.Seat;
import vividroster.server.checks.Checks;
import vividroster.server.office.Office;
import vividroster.server.platform.Clashes;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** Variants: which student uses which, and when it is looked at again. */
@Service
public class StudentVariants {

    private final ClientWrites writes;
    private final VariantQueries queries;
    private final Checks checks;
    private final Rosters rosters;
    private final Office office;

    StudentVariants(VariantQueries queries, Checks checks, Rosters rosters, Office office, ClientWrites writes) {
        this.writes = writes;
        this.queries = queries;
        this.checks = checks;
        this.rosters = rosters;
        this.office = office;
    }

    /**
     * Gives a student a variant of a check; the one used before is withdrawn. Sending it again gives it once.
     *
     * @throws Problem when the check has no such variant or the student no seat in that class
     */
    @Transactional
    public void give(SignedIn person, UUID id, UUID studentId, UUID milestoneId, UUID classId, String name) {
        UUID programId = person.programId();
        if (!writes.isFirst(programId, "variant", id, studentId, milestoneId, classId, name)) {
            return;
        }
        TechniqueCheck check =
                checks.check(programId, milestoneId).orElseThrow(() -> Problem.notFound("There is no such check."));
        TechniqueCheck.Variant variant = checks.variants(programId, check).stream()
                .filter(v -> v.name().equals(name))
                .findFirst()
                .orElseThrow(() -> Problem.input(
                        "name", "\"" + check.title() + "\" has no variant called \"" + name + "\" any more."));
        Seat seat = rosters.seatsOf(programId, studentId).stream()
                .filter(s -> s.classId().equals(classId))
                .reduce((first, second) -> second)
                .orElseThrow(() -> Problem.input("classId", "This student has no seat in that class."));
        LocalDate today = office.today(programId);
        Review review = Review.inWeeks(today, variant.reviewWeeks());
        inUse(programId, List.of(studentId)).stream()
                .filter(v ->
                        v.milestoneId().equals(milestoneId) && v.instrument().equals(seat.instrument()))
                .forEach(old -> queries.insertReview(
                        programId,
                        Ids.next(),
                        old.id(),
                        today,
                        Optional.empty(),
                        "Another variant was given: " + variant.name(),
                        person.accountId()));
        StudentVariant given = new StudentVariant(
                id,
                studentId,
                milestoneId,
                seat.instrument(),
                variant.name(),
                variant.note(),
                variant.choices(),
                today,
                Optional.of(review),
                Optional.empty(),
                "");
        Clashes.told(
                "student_variant_in_use_once",
                "Another variant of \"" + check.title() + "\" was given just now; load the page again.",
                () -> queries.insert(programId, given, review.on(), person.accountId()));
    }

    /** Puts down a variant as it is; for data that was checked where it was made. */
    @Transactional
    public void load(UUID programId, UUID accountId, StudentVariant variant, LocalDate reviewOn) {
        queries.insert(programId, variant, reviewOn, accountId);
        variant.withdrawnOn()
                .ifPresent(day -> queries.insertReview(
                        programId, Ids.next(), variant.id(), day, Optional.empty(), variant.lastNote(), accountId));
    }

    /**
     * A look at a variant.
     *
     * @param keepWeeks weeks until the next look; empty to withdraw it
     * @throws Problem when it was withdrawn before
     */
    @Transactional
    public void review(SignedIn person, UUID id, UUID variantId, Optional<Integer> keepWeeks, String note) {
        UUID programId = person.programId();
        if (!writes.isFirst(programId, "review", id, variantId, keepWeeks, note)) {
            return;
        }
        StudentVariant variant = queries.find(programId, variantId)
                .orElseThrow(() -> Problem.notFound("There is no such variant to look at."));
        if (!variant.isInUse()) {
            throw Problem.conflict("\"" + variant.name() + "\" was withdrawn before; load the page again.");
        }
        LocalDate today = office.today(programId);
        queries.insertReview(
                programId,
                id,
                variantId,
                today,
                keepWeeks.map(weeks -> Review.inWeeks(today, weeks).on()),
                note.strip(),
                person.accountId());
    }

    /** In use and withdrawn, latest first. */
    @Transactional(readOnly = true)
    public List<StudentVariant> ofStudent(UUID programId, UUID studentId) {
        rosters.student(programId, studentId);
        return queries.findOfStudents(programId, List.of(studentId));
    }

    /** Those in use, the one to be looked at first at the head. */
    @Transactional(readOnly = true)
    public List<StudentVariant> inUse(UUID programId, Collection<UUID> studentIds) {
        return queries.findOfStudents(programId, studentIds).stream()
                .filter(StudentVariant::isInUse)
                .sorted(Comparator.comparing(v -> v.review().orElseThrow().on()))
                .toList();
    }
}
