package vividroster.server.live;

import java.io.IOException;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import vividroster.core.progress.Outcome;
import vividroster.server.platform.Absent;

/** One device that looks on. It is written to from a thread of its own, so that a slow one keeps nobody waiting. */
final class LiveStream implements LiveRoom.Viewer {

    /** Keeps proxies from closing a quiet connection, and finds out who is gone. */
    private static final long QUIET_SECONDS = 15;

    /** A device so far behind reads its screens anew. */
    private static final int MOST_WAITING = 2_000;

    /**
     * What somebody marked. To who does not see everybody only that something was: they ask for what they may see.
     *
     * @param hearerId whose mark it is; absent with all the rest where only the fact is told
     */
    record MarkEvent(
            @Absent UUID id,
            @Absent UUID studentId,
            @Absent UUID milestoneId,
            @Absent Outcome outcome,
            @Absent UUID corrects,
            @Absent UUID hearerId,
            @Absent String hearerName) {

        static final MarkEvent SOMETHING = new MarkEvent(null, null, null, null, null, null, null);

        static MarkEvent of(Mark mark) {
            return new MarkEvent(
                    mark.id(),
                    mark.studentId(),
                    mark.milestoneId(),
                    mark.outcome(),
                    mark.corrects().orElse(null),
                    mark.heardBy(),
                    mark.hearerName());
        }
    }

    private final SseEmitter emitter;
    private final UUID accountId;
    private final boolean seesEverybody;
    private final BlockingQueue<SseEmitter.SseEventBuilder> waiting = new LinkedBlockingQueue<>(MOST_WAITING);
    private volatile boolean ended;

    LiveStream(SseEmitter emitter, UUID accountId, boolean seesEverybody) {
        this.emitter = emitter;
        this.accountId = accountId;
        this.seesEverybody = seesEverybody;
    }

    /** @param missed what came in while this device did not look on; it may have seen some of it */
    void begin(long latest, List<Mark> missed) {
        sees(missed);
        put(SseEmitter.event().id(Long.toString(latest)).name("here").data("{}", MediaType.APPLICATION_JSON));
        Thread.ofVirtual().name("live-stream").start(this::write);
    }

    @Override
    public void sees(List<Mark> marks) {
        if (marks.isEmpty()) {
            return;
        }
        if (!seesEverybody) {
            put(event(marks.getLast(), MarkEvent.SOMETHING));
            return;
        }
        marks.forEach(mark -> put(event(mark, MarkEvent.of(mark))));
    }

    @Override
    public void sees(Desk desk) {
        if (seesEverybody && !desk.accountId().equals(accountId)) {
            put(SseEmitter.event().name("desk").data(desk, MediaType.APPLICATION_JSON));
        }
    }

    private static SseEmitter.SseEventBuilder event(Mark mark, MarkEvent event) {
        return SseEmitter.event()
                .id(Long.toString(mark.arrived()))
                .name("mark")
                .data(event, MediaType.APPLICATION_JSON);
    }

    private void put(SseEmitter.SseEventBuilder event) {
        if (!waiting.offer(event)) {
            end();
        }
    }

    private void write() {
        try {
            while (!ended) {
                SseEmitter.SseEventBuilder next = waiting.poll(QUIET_SECONDS, TimeUnit.SECONDS);
                emitter.send(next == null ? SseEmitter.event().comment("quiet") : next);
            }
        } catch (IOException | IllegalStateException gone) {
            ended = true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        emitter.complete();
    }

    void end() {
        ended = true;
        waiting.offer(SseEmitter.event().comment("end"));
    }
}
