package vividroster.server.live;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import vividroster.core.access.Role.Right;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** What others mark, as it comes in: a stream of events. */
@RestController
@RequestMapping("/api/live")
class LiveController implements SmartLifecycle {

    /** So often it is asked anew who is signed in. */
    private static final Duration LASTS = Duration.ofMinutes(5);

    /** Ours: several devices of everybody in a large programme. */
    private static final int MOST_OF_A_PROGRAMME = 400;

    private final LiveRooms rooms;
    private final Set<LiveStream> open = ConcurrentHashMap.newKeySet();
    private volatile boolean running;

    LiveController(LiveRooms rooms) {
        this.rooms = rooms;
    }

    record DeskRequest(@Absent UUID studentId, @Absent UUID milestoneId) {}

    /**
     * @param since place of the last mark that was seen; the header is sent by a browser whose connection broke
     * @throws Problem when too many look on already
     */
    @GetMapping(produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @Operation(hidden = true) // a document of requests and answers cannot describe a stream
    SseEmitter live(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam Optional<Long> since,
            @RequestHeader(name = "Last-Event-ID") Optional<Long> lastSeen,
            HttpServletResponse response) {
        if (rooms.count(person.programId()) >= MOST_OF_A_PROGRAMME) {
            throw Problem.tooMany("Too many devices look on at the moment.", Duration.ofSeconds(30));
        }
        response.setHeader("X-Accel-Buffering", "no");
        response.setHeader("Cache-Control", "no-store");
        SseEmitter emitter = new SseEmitter(LASTS.toMillis());
        LiveStream stream = new LiveStream(
                emitter, person.accountId(), person.role().rights().contains(Right.SEE_EVERYBODY));
        Runnable leave = () -> {
            open.remove(stream);
            rooms.leave(person.programId(), stream);
            stream.end();
        };
        emitter.onCompletion(leave);
        emitter.onTimeout(leave);
        emitter.onError(e -> leave.run());
        open.add(stream);
        rooms.enter(person.programId(), stream);
        Optional<Long> from = lastSeen.or(() -> since);
        List<Mark> missed =
                from.map(place -> rooms.since(person.programId(), place)).orElse(List.of());
        stream.begin(rooms.latest(person.programId()), missed);
        return emitter;
    }

    @PostMapping("/desk")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "sitAtDesk", summary = "Say whom one is hearing, or that one has left the desk")
    void desk(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody DeskRequest request) {
        if ((request.studentId() == null) != (request.milestoneId() == null)) {
            throw Problem.input("milestoneId", "Say whom you hear and with what, or neither.");
        }
        rooms.sit(new Desk(
                person.programId(),
                person.accountId(),
                person.displayName(),
                request.studentId(),
                request.milestoneId()));
    }

    @Override
    public void start() {
        running = true;
    }

    /** The server does not wait for streams that never end by themselves. */
    @Override
    public void stop() {
        running = false;
        open.forEach(LiveStream::end);
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
