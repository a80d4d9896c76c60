package vividroster.server.orders;

import io.swagger.v3.oas.annotations.Operation;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.audit.Audit;
import vividroster.server.orders.DueCalendars.DueCalendar;
import vividroster.server.platform.SignedIn;

/** The due days of a class as a calendar file. */
@RestController
@RequestMapping("/api/season")
class DueCalendarController {

    private final DueCalendars calendars;
    private final Audit audit;

    DueCalendarController(DueCalendars calendars, Audit audit) {
        this.calendars = calendars;
        this.audit = audit;
    }

    @GetMapping(path = "/due.ics", produces = "text/calendar")
    @Operation(operationId = "dueCalendar", summary = "This year's due days and tests of a class as an iCalendar file")
    ResponseEntity<byte[]> file(@AuthenticationPrincipal SignedIn person, @RequestParam UUID classId) {
        DueCalendar calendar = calendars.of(person.programId(), classId);
        audit.note(person, Audit.What.EXPORTED, Optional.of(classId));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(calendar.fileName() + ".ics", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .body(calendar.file());
    }
}
