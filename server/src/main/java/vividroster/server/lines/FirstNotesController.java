package vividroster.server.lines;

import io.swagger.v3.oas.annotations.Operation;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.music.InstrumentCode;
import vividroster.server.lines.FirstNotes.FirstNotesView;
import vividroster.server.platform.SignedIn;

/** The first notes over HTTP. */
@RestController
@RequestMapping("/api/lines")
class FirstNotesController {

    private final FirstNotes firstNotes;

    FirstNotesController(FirstNotes firstNotes) {
        this.firstNotes = firstNotes;
    }

    @GetMapping("/first-notes")
    @Operation(
            operationId = "firstNotes",
            summary = "The first notes of the programme's book for an instrument, in the order it meets them")
    FirstNotesView firstNotes(@AuthenticationPrincipal SignedIn person, @RequestParam InstrumentCode instrument) {
        return firstNotes.of(person.programId(), instrument);
    }
}
