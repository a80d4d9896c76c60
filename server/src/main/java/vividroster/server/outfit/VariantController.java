package vividroster.server.outfit;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.outfit.Review;
import vividroster.core.roster.Seat;
import vividroster.core.text.Lengths;
import vividroster.server.checks.Checks;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api")
class VariantController {

    private final StudentVariants variants;
    private final Checks checks;
    private final Rosters rosters;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;

    VariantController(
            StudentVariants variants,
            Checks checks,
            Rosters rosters,
            Library library,
            Office office,
            InstrumentCatalog catalog) {
        this.variants = variants;
        this.checks = checks;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
    }

    record OfferedView(String name, String note, int reviewWeeks) {}

    /** @param steps and criteria as this student's variant words them */
    record InUseView(
            UUID id,
            UUID studentId,
            String name,
            LocalDate reviewOn,
            boolean overdue,
            List<String> steps,
            List<String> criteria) {}

    /** @param offered other ways a student may be given */
    record CheckVariantsView(List<OfferedView> offered, List<InUseView> inUse) {}

    record GiveRequest(
            @NotNull(message = "A variant needs an id.") UUID id,
            @NotNull(message = "Say of which check.") UUID milestoneId,
            @NotNull(message = "Say in which class.") UUID classId,
            @NotBlank(message = "Choose a variant.") String name) {}

    /** @param keepWeeks weeks until the next look; absent to withdraw the variant */
    record ReviewRequest(
            @NotNull(message = "A review needs an id.") UUID id,

            @Absent
            @Min(value = 1, message = "Look again in 1 to 52 weeks.")
            @Max(value = 52, message = "Look again in 1 to 52 weeks.")
            Integer keepWeeks,

            @Absent @Size(max = Lengths.NOTE, message = "At most {max} letters.")
            String note) {}

    record VariantOfStudentView(
            UUID id,
            UUID milestoneId,
            String checkTitle,
            String instrumentName,
            String name,
            String note,
            LocalDate givenOn,
            @Absent LocalDate reviewOn,
            boolean overdue,
            @Absent LocalDate withdrawnOn,
            String lastNote) {}

    @GetMapping("/checks/{milestoneId}/variants")
    @Operation(operationId = "checkVariants", summary = "Variants of a check and who of a section uses which")
    CheckVariantsView ofCheck(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @ParameterObject ScopeRequest request) {
        UUID programId = person.programId();
        LocalDate today = office.today(programId);
        TechniqueCheck check = checks.check(programId, milestoneId)
                .orElseThrow(() -> Problem.notFound("Nothing more is written about this check."));
        Set<UUID> students = rosters.seatsOfStudentsIn(programId, request.toScope(), today).stream()
                .map(Seat::studentId)
                .collect(Collectors.toSet());
        return new CheckVariantsView(
                checks.variants(programId, check).stream()
                        .map(v -> new OfferedView(v.name(), v.note(), v.reviewWeeks()))
                        .toList(),
                variants.inUse(programId, students).stream()
                        .filter(v -> v.milestoneId().equals(milestoneId))
                        .map(v -> new InUseView(
                                v.id(),
                                v.studentId(),
                                v.name(),
                                v.review().orElseThrow().on(),
                                v.review().orElseThrow().isOverdue(today),
                                checks.steps(programId, check, Optional.of(v.asVariant())),
                                checks.criteria(programId, check, Optional.of(v.asVariant()))))
                        .toList());
    }

    @PostMapping("/students/{studentId}/variants")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(
            operationId = "giveVariant",
            summary = "Give a student a variant of a check; the one before is withdrawn")
    void give(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody GiveRequest request) {
        variants.give(person, request.id(), studentId, request.milestoneId(), request.classId(), request.name());
    }

    @PostMapping("/variants/{variantId}/review")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "reviewVariant", summary = "Keep a variant until another day, or withdraw it")
    void review(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID variantId,
            @Valid @RequestBody ReviewRequest request) {
        variants.review(
                person,
                request.id(),
                variantId,
                Optional.ofNullable(request.keepWeeks()),
                Optional.ofNullable(request.note()).orElse(""));
    }

    @GetMapping("/students/{studentId}/variants")
    @Operation(operationId = "studentVariants", summary = "Variants of a student, in use and withdrawn, latest first")
    List<VariantOfStudentView> ofStudent(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        UUID programId = person.programId();
        LocalDate today = office.today(programId);
        return variants.ofStudent(programId, studentId).stream()
                .map(v -> new VariantOfStudentView(
                        v.id(),
                        v.milestoneId(),
                        library.milestone(programId, v.milestoneId()).title(),
                        catalog.withCode(v.instrument()).name(),
                        v.name(),
                        v.note(),
                        v.givenOn(),
                        v.review().map(Review::on).orElse(null),
                        v.review().filter(r -> r.isOverdue(today)).isPresent(),
                        v.withdrawnOn().orElse(null),
                        v.lastNote()))
                .toList();
    }
}
