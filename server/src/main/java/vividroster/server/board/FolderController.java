package vividroster.server.board;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.music.InstrumentCode;
import vividroster.server.board.FolderViews.DonePage;
import vividroster.server.board.FolderViews.FolderView;
import vividroster.server.board.FolderViews.TryView;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/students/{studentId}")
class FolderController {

    private final Folders folders;

    FolderController(Folders folders) {
        this.folders = folders;
    }

    @GetMapping("/folder")
    @Operation(
            operationId = "folder",
            summary = "One student: all classes and instruments, what is open and the latest done")
    FolderView folder(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        return folders.folder(person.programId(), studentId);
    }

    @GetMapping("/folder/done")
    @Operation(operationId = "folderDone", summary = "More of what a student has done on one instrument")
    DonePage done(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @RequestParam InstrumentCode instrument,
            @RequestParam int from) {
        if (from < 0) {
            throw Problem.input("from", "More begins behind what is shown, at 0 or later.");
        }
        return folders.done(person.programId(), studentId, instrument, from);
    }

    @GetMapping("/milestones/{milestoneId}/tries")
    @Operation(operationId = "triesOf", summary = "Every try of a student with one milestone on one instrument")
    List<TryView> tries(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @PathVariable UUID milestoneId,
            @RequestParam InstrumentCode instrument) {
        return folders.tries(person.programId(), studentId, milestoneId, instrument);
    }
}
