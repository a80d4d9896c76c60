package vividroster.server.rubrics;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/rubrics")
class RubricController {

    private final Rubrics rubrics;

    RubricController(Rubrics rubrics) {
        this.rubrics = rubrics;
    }

    record OwnRubricView(UUID id, int version, RubricDraft rubric) {}

    record RubricsView(List<OwnRubricView> own, List<RubricDraft> shipped) {}

    record RubricEdit(
            int version,
            @NotNull(message = "Nothing was sent.") @Valid RubricDraft rubric) {}

    record RubricWrittenView(UUID rubricId) {}

    @GetMapping
    @Operation(operationId = "rubrics", summary = "The programme's own rubrics and those that ship")
    RubricsView all(@AuthenticationPrincipal SignedIn person) {
        return new RubricsView(
                rubrics.own(person.programId()).stream()
                        .map(row -> new OwnRubricView(row.id(), row.version(), row.rubric()))
                        .toList(),
                rubrics.shipped().stream().map(RubricDraft::of).toList());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "writeRubric", summary = "Keep a rubric of one's own, or a copy of another")
    RubricWrittenView write(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody RubricDraft draft) {
        return new RubricWrittenView(rubrics.write(person, draft));
    }

    @PostMapping("/{rubricId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "editRubric", summary = "Edit a rubric; tests keep the criteria they were built with")
    void edit(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID rubricId,
            @Valid @RequestBody RubricEdit request) {
        rubrics.edit(person, rubricId, request.version(), request.rubric());
    }

    @DeleteMapping("/{rubricId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "deleteRubric",
            summary = "Take a rubric away; tests keep the criteria they were built with")
    void delete(@AuthenticationPrincipal SignedIn person, @PathVariable UUID rubricId) {
        rubrics.delete(person.programId(), rubricId);
    }
}
