package vividroster.server.season;

import io.swagger.v3.oas.annotations.Operation;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.audit.Audit;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.DueCalendars.DueCalendar;

/** The due days of a class as a calendar file. */
@RestController
@RequestMapping("/api/season")
class DueCalendarController {

    private final DueCalendars calendars;
    private final Audit audit;

    private final CalendarFeeds feeds;

    DueCalendarController(DueCalendars calendars, Audit audit, CalendarFeeds feeds) {
        this.feeds = feeds;
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

    /** @param openedAt absent where there is no address */
    record FeedView(@Absent OffsetDateTime openedAt) {}

    /** @param path of the address, told this once */
    record OpenedFeedView(String path) {}

    @GetMapping("/feeds/{classId}")
    @Operation(operationId = "calendarFeed", summary = "Whether other calendars can look up the due days of a class")
    FeedView feed(@AuthenticationPrincipal SignedIn person, @PathVariable UUID classId) {
        return new FeedView(feeds.opened(person.programId(), classId).orElse(null));
    }

    @PostMapping("/feeds/{classId}")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "openCalendarFeed",
            summary = "A new secret address of a class's due days; the one before it is closed")
    OpenedFeedView open(@AuthenticationPrincipal SignedIn person, @PathVariable UUID classId) {
        audit.note(person, Audit.What.EXPORTED, Optional.of(classId));
        return new OpenedFeedView("/calendar/" + feeds.open(person, classId) + ".ics");
    }

    @DeleteMapping("/feeds/{classId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "closeCalendarFeed", summary = "Close the secret address of a class's due days")
    void close(@AuthenticationPrincipal SignedIn person, @PathVariable UUID classId) {
        feeds.close(person.programId(), classId);
    }
}
