package vividroster.server.checks;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Caution;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/checks")
class CheckEditController {

    private final CheckEditing editing;

    CheckEditController(CheckEditing editing) {
        this.editing = editing;
    }

    record CautionView(Caution caution, String sentence) {}

    /** @param cautions all there are, to choose from */
    record DraftView(CheckDraft draft, int version, boolean retired, List<CautionView> cautions) {}

    record EditRequest(
            int version,
            @NotNull(message = "Nothing was sent.") @Valid CheckDraft draft) {}

    record WrittenView(UUID milestoneId) {}

    record RetiredView(UUID milestoneId, String title) {}

    @GetMapping("/retired")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "retiredChecks", summary = "Checks that were taken off the shelf")
    List<RetiredView> retired(@AuthenticationPrincipal SignedIn person) {
        return editing.retired(person.programId()).stream()
                .map(m -> new RetiredView(m.id(), m.title()))
                .toList();
    }

    private static List<CautionView> cautions() {
        return Arrays.stream(Caution.values())
                .map(c -> new CautionView(c, CautionWording.sentence(c)))
                .toList();
    }

    @GetMapping("/cautions")
    @Operation(operationId = "cautions", summary = "The usual cautions a check can carry")
    List<CautionView> allCautions() {
        return cautions();
    }

    @GetMapping("/{milestoneId}/draft")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "checkDraft", summary = "A check as it is written, for editing")
    DraftView draft(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        CheckEditing.Drafted drafted = editing.draft(person.programId(), milestoneId);
        return new DraftView(drafted.draft(), drafted.version(), drafted.retired(), cautions());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "writeCheck", summary = "Write a check of one's own")
    WrittenView write(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody CheckDraft draft) {
        return new WrittenView(editing.write(person, draft));
    }

    @PostMapping("/{milestoneId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "editCheck",
            summary = "Edit a check: a new version is kept, what was passed stays as it was heard")
    void edit(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @Valid @RequestBody EditRequest request) {
        editing.edit(person, milestoneId, request.version(), request.draft());
    }

    @PostMapping("/{milestoneId}/copy")
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "copyCheck", summary = "Put a copy of a check on the shelf")
    WrittenView copy(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        return new WrittenView(editing.copy(person, milestoneId));
    }

    @PostMapping("/{milestoneId}/retire")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "retireCheck", summary = "Take a check off the shelf; orders and what was heard stay")
    void retire(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        editing.retire(person.programId(), milestoneId, true);
    }

    @PostMapping("/{milestoneId}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "restoreCheck", summary = "Put a retired check back on the shelf")
    void restore(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        editing.retire(person.programId(), milestoneId, false);
    }
}
