package vividroster.server.playingtests;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
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
import vividroster.server.platform.SignedIn;
import vividroster.server.playingtests.TestPages.PlayingTestView;

@RestController
@RequestMapping("/api/playing-tests")
class PlayingTestController {

    private final TestEditing editing;
    private final TestPages pages;

    PlayingTestController(TestEditing editing, TestPages pages) {
        this.editing = editing;
        this.pages = pages;
    }

    record TestDraftView(TestDraft draft, int version, boolean retired) {}

    record TestEdit(
            int version,
            @NotNull(message = "Nothing was sent.") @Valid TestDraft draft) {}

    record TestWrittenView(UUID milestoneId) {}

    @GetMapping("/{milestoneId}")
    @Operation(
            operationId = "playingTest",
            summary = "A playing test as a section plays it: parts, conditions, stages and what applies to retakes")
    PlayingTestView page(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @RequestParam(required = false) InstrumentCode instrument,
            @RequestParam(defaultValue = "") String division) {
        return pages.page(person.programId(), milestoneId, instrument, division);
    }

    @GetMapping("/first")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "firstTestDraft", summary = "A first draft of a playing test, of a line or of nothing yet")
    TestDraft first(@AuthenticationPrincipal SignedIn person, @RequestParam(required = false) UUID lineId) {
        return editing.first(person.programId(), lineId);
    }

    @GetMapping("/{milestoneId}/draft")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "testDraft", summary = "A playing test as it is written, for editing")
    TestDraftView draft(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        TestEditing.Drafted drafted = editing.draft(person.programId(), milestoneId);
        return new TestDraftView(drafted.draft(), drafted.version(), drafted.retired());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "writeTest", summary = "Put a playing test on the shelf")
    TestWrittenView write(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody TestDraft draft) {
        return new TestWrittenView(editing.write(person, draft));
    }

    @PostMapping("/{milestoneId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "editTest",
            summary = "Edit a playing test: a new version is kept, what was heard stays as it was heard")
    void edit(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @Valid @RequestBody TestEdit request) {
        editing.edit(person, milestoneId, request.version(), request.draft());
    }

    @PostMapping("/{milestoneId}/copy")
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "copyTest", summary = "Put a copy of a playing test on the shelf")
    TestWrittenView copy(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        return new TestWrittenView(editing.copy(person, milestoneId));
    }

    @PostMapping("/{milestoneId}/retire")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "retireTest", summary = "Take a playing test off the shelf; orders and results stay")
    void retire(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        editing.retire(person.programId(), milestoneId, true);
    }

    @PostMapping("/{milestoneId}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "restoreTest", summary = "Put a retired playing test back on the shelf")
    void restore(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        editing.retire(person.programId(), milestoneId, false);
    }
}
