package vividroster.server.live;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import vividroster.server.live.LiveRoom.Viewer;
import vividroster.server.platform.Notifications;
import vividroster.server.platform.Notifications.Channel;

/** Who looks on in which programme, and what came in there since the last look. */
@Service
class LiveRooms implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(LiveRooms.class);

    /** Marks that stream in are read together; ours: a listener sees another's mark well within a second. */
    private static final long TOGETHER_MS = 100;

    private static final int MOST = 2_000;

    private final LiveQueries queries;
    private final JsonMapper json;
    private final Map<UUID, LiveRoom> rooms = new ConcurrentHashMap<>();
    private final Set<UUID> toLookAt = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService looking = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "live-rooms");
        thread.setDaemon(true);
        return thread;
    });

    LiveRooms(LiveQueries queries, JsonMapper json, Notifications notifications) {
        this.queries = queries;
        this.json = json;
        notifications.on(Channel.MARKS, programId -> lookSoon(UUID.fromString(programId)));
        notifications.on(Channel.DESKS, this::desk);
        notifications.whenBack(() -> rooms.keySet().forEach(this::lookSoon));
    }

    /** Lets somebody look on. */
    void enter(UUID programId, Viewer viewer) {
        rooms.compute(programId, (id, known) -> {
                    LiveRoom room = known;
                    if (room == null) {
                        room = new LiveRoom(queries.findLatest(id));
                        room.marks(queries.findArrivedAfter(id, room.lookFrom(), MOST));
                    }
                    return room;
                })
                .enter(viewer);
        lookSoon(programId);
    }

    void leave(UUID programId, Viewer viewer) {
        rooms.computeIfPresent(programId, (id, room) -> {
            room.leave(viewer);
            return room.isEmpty() ? null : room;
        });
    }

    /** @return how many look on in a programme */
    int count(UUID programId) {
        LiveRoom room = rooms.get(programId);
        return room == null ? 0 : room.viewers().size();
    }

    /** What came in behind a place, with what may have been late before it. */
    @Transactional(readOnly = true)
    List<Mark> since(UUID programId, long arrived) {
        return queries.findArrivedAfter(programId, Math.max(0, arrived - LiveRoom.LATE), MOST);
    }

    @Transactional(readOnly = true)
    long latest(UUID programId) {
        return queries.findLatest(programId);
    }

    /** Tells everybody who looks on whom somebody is hearing, on whichever instance. */
    @Transactional
    void sit(Desk desk) {
        queries.tell(Channel.DESKS, json.writeValueAsString(desk));
    }

    private void desk(String told) {
        Desk desk = json.readValue(told, Desk.class);
        LiveRoom room = rooms.get(desk.programId());
        if (room != null) {
            room.desk(desk);
        }
    }

    private void lookSoon(UUID programId) {
        if (rooms.containsKey(programId) && toLookAt.add(programId)) {
            looking.schedule(() -> look(programId), TOGETHER_MS, TimeUnit.MILLISECONDS);
        }
    }

    private void look(UUID programId) {
        toLookAt.remove(programId);
        LiveRoom room = rooms.get(programId);
        if (room == null) {
            return;
        }
        try {
            List<Mark> found;
            do {
                found = queries.findArrivedAfter(programId, room.lookFrom(), MOST);
                room.marks(found);
            } while (found.size() == MOST);
        } catch (DataAccessException | TransactionException e) {
            LOG.debug("What came in is read when the database is back.");
        }
    }

    @Override
    public void destroy() {
        looking.shutdownNow();
    }
}
