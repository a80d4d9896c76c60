package vividroster.server.writtenchecks;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Part;
import vividroster.core.written.WrittenCheck;
import vividroster.core.written.WrittenQuestion.Ask;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/written-checks")
class WrittenCheckController {

    private final WrittenChecks checks;

    WrittenCheckController(WrittenChecks checks) {
        this.checks = checks;
    }

    record WrittenCheckView(WrittenDraft draft, int version, boolean retired) {}

    record WrittenEdit(
            int version,
            @NotNull(message = "Nothing was sent.") @Valid WrittenDraft draft) {}

    record WrittenMadeView(UUID milestoneId) {}

    record WrittenQuestionView(Ask ask, UUID lineId, String question, String answer) {}

    /** @param lineIds whose notation stands on the sheet */
    record WrittenSheetView(String title, int seed, List<UUID> lineIds, List<WrittenQuestionView> questions) {}

    @GetMapping("/{milestoneId}")
    @Operation(operationId = "writtenCheck", summary = "A written check as it is set")
    WrittenCheckView one(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        WrittenChecks.Kept kept = checks.kept(person.programId(), milestoneId);
        return new WrittenCheckView(kept.draft(), kept.version(), kept.retired());
    }

    @GetMapping("/{milestoneId}/sheet")
    @Operation(
            operationId = "writtenSheet",
            summary = "The questions of a written check with their answers, as a section reads its lines")
    WrittenSheetView sheet(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @RequestParam InstrumentCode instrument,
            @RequestParam(required = false)
                    @Min(value = 0, message = "Sheets are numbered from 0.")
                    @Max(value = 999_999, message = "Sheets are numbered up to {value}.")
                    Integer seed) {
        WrittenChecks.Sheet sheet = checks.sheet(person.programId(), milestoneId, instrument, seed);
        Map<UUID, Part> parts = sheet.lines().sources().stream()
                .collect(Collectors.toMap(
                        WrittenCheck.Source::lineId, source -> source.view().part(), (a, b) -> a));
        return new WrittenSheetView(
                sheet.milestone().title(),
                seed == null ? sheet.draft().seed() : seed,
                sheet.lines().sources().stream()
                        .map(WrittenCheck.Source::lineId)
                        .toList(),
                sheet.questions().stream()
                        .map(question -> new WrittenQuestionView(
                                question.ask(),
                                question.lineId(),
                                WrittenWording.question(
                                        question,
                                        parts.get(question.lineId()),
                                        sheet.lines().numbering()),
                                WrittenWording.answer(
                                        question,
                                        parts.get(question.lineId()),
                                        sheet.lines().numbering())))
                        .toList());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "writeWrittenCheck", summary = "Put a written check on the shelf")
    WrittenMadeView write(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody WrittenDraft draft) {
        return new WrittenMadeView(checks.write(person, draft));
    }

    @PostMapping("/{milestoneId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "editWrittenCheck", summary = "Edit a written check; what was handed in stays as it was")
    void edit(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @Valid @RequestBody WrittenEdit request) {
        checks.edit(person, milestoneId, request.version(), request.draft());
    }

    @PostMapping("/{milestoneId}/retire")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "retireWrittenCheck", summary = "Take a written check off the shelf; results stay")
    void retire(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        checks.retire(person.programId(), milestoneId, true);
    }

    @PostMapping("/{milestoneId}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "restoreWrittenCheck", summary = "Put a retired written check back on the shelf")
    void restore(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        checks.retire(person.programId(), milestoneId, false);
    }
}
