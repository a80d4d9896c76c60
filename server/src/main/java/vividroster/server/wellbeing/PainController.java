package vividroster.server.wellbeing;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.text.Lengths;
import vividroster.server.audit.Audit;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api")
class PainController {

    private final Audit audit;
    private final PainReports reports;
    private final InstrumentCatalog catalog;

    PainController(PainReports reports, InstrumentCatalog catalog, Audit audit) {
        this.audit = audit;
        this.reports = reports;
        this.catalog = catalog;
    }

    record NewPainReport(
            @NotNull(message = "A report needs an id.") UUID id,
            @NotNull(message = "Say which student.") UUID studentId,
            @NotNull(message = "Say in which class.") UUID classId,

            @NotBlank(message = "Say where it hurts.") @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String place,

            @Absent @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String since) {}

    record FollowUp(
            @NotBlank(message = "Say what was done.") @Size(max = Lengths.LONG_NOTE, message = "At most {max} letters.")
            String note) {}

    record PainView(
            UUID id,
            String place,
            String since,
            String instrumentName,
            LocalDate reportedOn,
            String reportedBy,
            @Absent String followUp,
            @Absent String followedUpBy) {}

    @PostMapping("/pain-reports")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "reportPain", summary = "Keep what a student said hurts; sending it twice keeps it once")
    void report(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody NewPainReport request) {
        reports.report(
                person,
                request.id(),
                request.studentId(),
                request.classId(),
                request.place(),
                request.since() == null ? "" : request.since());
    }

    @PostMapping("/pain-reports/{reportId}/follow-up")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "followUpPain", summary = "Say what was done about a report; it leaves the podium")
    void followUp(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID reportId,
            @Valid @RequestBody FollowUp request) {
        reports.followUp(person, reportId, request.note());
    }

    @GetMapping("/students/{studentId}/pain-reports")
    @Operation(operationId = "painReports", summary = "What a student reported, latest first; for staff only")
    List<PainView> ofStudent(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        List<PainReport> found = reports.ofStudent(person.programId(), studentId);
        if (!found.isEmpty()) {
            audit.noteOnce(person, Audit.What.READ_PAIN_REPORTS, Optional.of(studentId));
        }
        return found.stream()
                .map(r -> new PainView(
                        r.id(),
                        r.place(),
                        r.since(),
                        catalog.withCode(r.instrument()).name(),
                        r.reportedOn(),
                        r.reportedBy(),
                        r.followUp().orElse(null),
                        r.followedUpBy().orElse(null)))
                .toList();
    }
}
