package vividroster.server.season;

import io.swagger.v3.oas.annotations.Operation;
import java.nio.charset.StandardCharsets;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What other calendars look up without signing in: the address itself is the secret. */
@RestController
class CalendarFeedController {

    private final CalendarFeeds feeds;

    CalendarFeedController(CalendarFeeds feeds) {
        this.feeds = feeds;
    }

    @GetMapping(path = "/calendar/{secret:[A-Za-z0-9_-]{43}}.ics", produces = "text/calendar")
    @Operation(operationId = "readCalendarFeed", summary = "The due days of a class, by its secret address")
    ResponseEntity<byte[]> read(@PathVariable String secret) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .header("X-Robots-Tag", "noindex")
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .body(feeds.read(secret).file());
    }
}
