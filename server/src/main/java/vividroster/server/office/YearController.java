package vividroster.server.office;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.season.YearDraft;
import vividroster.core.text.Lengths;
import vividroster.server.office.YearQueries.KeptYear;
import vividroster.server.platform.SignedIn;

/** School years over HTTP. */
@RestController
@RequestMapping("/api/years")
class YearController {

    private final Years years;

    YearController(Years years) {
        this.years = years;
    }

    /** @param lastDay inclusive */
    record YearEntry(
            @NotNull(message = "Say what it is: a break, a lost day, testing, a concert or a festival.")
            EntryKind kind,

            @NotNull @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String name,

            @NotNull(message = "Give its first day.") LocalDate firstDay,
            @NotNull(message = "Give its last day.") LocalDate lastDay) {}

    /** @param rotation letters of the days in turn; empty where there are none */
    record YearRequest(
            @NotBlank(message = "Give the year a name, for example 2026–2027.")
            @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String name,

            @NotNull(message = "Give the first day of school.")
            LocalDate firstDay,

            @NotNull(message = "Give the last day of school.")
            LocalDate lastDay,

            @NotNull @Size(max = 20, message = "At most {max} letters.")
            List<@NotNull String> rotation,

            @NotNull @Size(max = 400, message = "At most {max} breaks and flags.")
            List<@Valid @NotNull YearEntry> entries) {

        YearDraft toDraft() {
            return new YearDraft(
                    name,
                    firstDay,
                    lastDay,
                    rotation,
                    entries.stream()
                            .map(e -> new YearDraft.EntryDraft(e.kind(), e.name(), e.firstDay(), e.lastDay()))
                            .toList());
        }
    }

    record SchoolYearView(
            UUID id,
            String name,
            LocalDate firstDay,
            LocalDate lastDay,
            List<String> rotation,
            List<YearEntry> entries) {}

    @GetMapping
    @Operation(operationId = "schoolYears", summary = "The school years of the programme with breaks and flags, by day")
    List<SchoolYearView> years(@AuthenticationPrincipal SignedIn person) {
        return years.all(person.programId()).stream().map(YearController::view).toList();
    }

    @PutMapping("/{yearId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasRole('DIRECTOR')")
    @Operation(
            operationId = "keepSchoolYear",
            summary = "Keep a school year as it is typed, with all its breaks and flags; a new one under a new id")
    void keep(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID yearId,
            @Valid @RequestBody YearRequest request) {
        years.keep(person.programId(), yearId, request.toDraft());
    }

    private static SchoolYearView view(KeptYear year) {
        YearDraft draft = year.draft();
        return new SchoolYearView(
                year.id(),
                draft.name(),
                draft.first(),
                draft.last(),
                draft.rotation(),
                draft.entries().stream()
                        .map(e -> new YearEntry(e.kind(), e.name(), e.first(), e.last()))
                        .toList());
    }
}
