package vividroster.server.grading;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.grading.MarkingPeriod;
import vividroster.core.text.Lengths;
import vividroster.server.audit.Audit;
import vividroster.server.grading.GradeQueries.PeriodRow;
import vividroster.server.grading.GradeViews.GradeBookView;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/grades")
class GradeController {

    private final Grading grading;
    private final GradeBooks books;
    private final GradeViews views;
    private final Audit audit;

    GradeController(Grading grading, GradeBooks books, GradeViews views, Audit audit) {
        this.grading = grading;
        this.books = books;
        this.views = views;
        this.audit = audit;
    }

    /** @param first and {@code last} day, both included */
    record MarkingPeriodView(UUID id, String name, LocalDate first, LocalDate last) {

        static MarkingPeriodView of(PeriodRow row) {
            return new MarkingPeriodView(row.id(), row.name(), row.firstOn(), row.lastOn());
        }
    }

    record GradingView(GradeSettings settings, List<MarkingPeriodView> periods) {}

    /** @param id absent for a new one */
    record PeriodDraft(
            @Absent UUID id,

            @NotBlank(message = "Give every marking period a name.")
            @Size(max = Lengths.LABEL, message = "A name has at most {max} letters.")
            String name,

            @NotNull(message = "Give the first day.") LocalDate first,
            @NotNull(message = "Give the last day.") LocalDate last) {}

    record PeriodsRequest(
            @NotNull(message = "Nothing was sent.")
            @Size(min = 1, max = MarkingPeriod.MOST, message = "A year has {min} to {max} marking periods.")
            List<@Valid @NotNull PeriodDraft> periods) {}

    @GetMapping("/settings")
    @Operation(operationId = "gradeSettings", summary = "How grades are made, and the marking periods")
    GradingView settings(@AuthenticationPrincipal SignedIn person) {
        return new GradingView(
                grading.settings(person.programId()),
                grading.periods(person.programId()).stream()
                        .map(MarkingPeriodView::of)
                        .toList());
    }

    @PutMapping("/settings")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "setGradeSettings", summary = "Say how grades are made")
    void set(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody GradeSettings settings) {
        grading.set(person, settings);
    }

    @PutMapping("/periods")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "layMarkingPeriods", summary = "Lay the marking periods, all of them at once")
    void lay(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody PeriodsRequest request) {
        grading.lay(
                person.programId(),
                request.periods().stream()
                        .map(period -> new Grading.Laid(period.id(), period.name(), period.first(), period.last()))
                        .toList());
    }

    @GetMapping
    @Operation(
            operationId = "grades",
            summary = "The grades of a class in a marking period, each with how it came about")
    GradeBookView grades(
            @AuthenticationPrincipal SignedIn person, @RequestParam UUID classId, @RequestParam UUID periodId) {
        return views.view(books.of(person.programId(), classId, periodId));
    }

    @GetMapping(path = "/grades.csv", produces = "text/csv")
    @Operation(operationId = "gradesCsv", summary = "The grades of a class in a marking period as a CSV file")
    ResponseEntity<byte[]> csv(
            @AuthenticationPrincipal SignedIn person, @RequestParam UUID classId, @RequestParam UUID periodId) {
        GradeBooks.GradeBook book = books.of(person.programId(), classId, periodId);
        audit.note(person, Audit.What.EXPORTED, Optional.of(classId));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("grades-" + book.on() + ".csv")
                                .build()
                                .toString())
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(views.csv(person.programId(), book).getBytes(StandardCharsets.UTF_8));
    }
}
