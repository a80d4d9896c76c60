package vividroster.server.live;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.Collectors;

/**
 * Whoever looks on in one programme. A mark may become visible after one with a later place, when its transaction took
 * longer; so every look goes some places back, and what was passed on already is left out.
 */
final class LiveRoom {

    /** How many places a mark may come late; ours: far more than are recorded while one transaction lasts. */
    static final int LATE = 500;

    /** How long somebody sits at a desk who does not say so again. */
    private static final long SITS_NANOS = 60_000_000_000L;

    private record Seated(Desk desk, long since) {}

    private final List<Viewer> viewers = new CopyOnWriteArrayList<>();
    private final Map<UUID, Seated> desks = new ConcurrentHashMap<>();
    private Set<Long> passedOn = Set.of();
    private long latest;

    LiveRoom(long latest) {
        this.latest = latest;
    }

    void enter(Viewer viewer) {
        viewers.add(viewer);
        desks().forEach(viewer::sees);
    }

    void leave(Viewer viewer) {
        viewers.remove(viewer);
    }

    boolean isEmpty() {
        return viewers.isEmpty();
    }

    List<Viewer> viewers() {
        return viewers;
    }

    /** Where the next look begins. */
    synchronized long lookFrom() {
        return Math.max(0, latest - LATE);
    }

    /**
     * Passes marks on, each once. The first look, before anybody has entered, learns what is there.
     *
     * @param found all behind {@link #lookFrom}, in the order of their places
     */
    synchronized void marks(List<Mark> found) {
        List<Mark> fresh = found.stream()
                .filter(mark -> !passedOn.contains(mark.arrived()))
                .toList();
        passedOn = found.stream().map(Mark::arrived).collect(Collectors.toSet());
        latest = found.stream().mapToLong(Mark::arrived).max().orElse(latest);
        if (!fresh.isEmpty()) {
            viewers.forEach(viewer -> viewer.sees(fresh));
        }
    }

    void desk(Desk desk) {
        if (desk.isLeft()) {
            desks.remove(desk.accountId());
        } else {
            desks.put(desk.accountId(), new Seated(desk, System.nanoTime()));
        }
        viewers.forEach(viewer -> viewer.sees(desk));
    }

    /** Who sits at a desk. */
    List<Desk> desks() {
        long now = System.nanoTime();
        desks.values().removeIf(seated -> now - seated.since() > SITS_NANOS);
        return desks.values().stream().map(Seated::desk).toList();
    }

    /** Somebody who looks on. */
    interface Viewer {
        void sees(List<Mark> marks);

        void sees(Desk desk);
    }
}
