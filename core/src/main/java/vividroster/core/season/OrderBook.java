package vividroster.core.season;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;

/** Which milestones are whose, worked out from the orders: ordering a belt orders what fills its slots. */
public final class OrderBook {

    private final List<MilestoneOrder> orders;
    private final Map<UUID, Milestone> milestones;
    private final Map<UUID, Belt> belts;
    private final InstrumentCatalog catalog;
    /** A whole section sits alike, so that what one of it is set need not be worked out for each. */
    private final Map<Alike, Map<UUID, Assignment>> known = new HashMap<>();

    /** Seats that have the same orders, whoever sits on them. */
    private record Alike(Set<SeatOf> seats, LocalDate on) {}

    private record SeatOf(
            UUID classId, InstrumentCode instrument, String division, LocalDate startsOn, Optional<LocalDate> endsOn) {

        static SeatOf of(Seat seat) {
            return new SeatOf(seat.classId(), seat.instrument(), seat.division(), seat.startsOn(), seat.endsOn());
        }
    }

    public OrderBook(
            Collection<MilestoneOrder> orders,
            Collection<Milestone> milestones,
            Collection<Belt> belts,
            InstrumentCatalog catalog) {
        this.orders = List.copyOf(orders);
        this.milestones = milestones.stream().collect(Collectors.toMap(Milestone::id, Function.identity()));
        this.belts = belts.stream().collect(Collectors.toMap(Belt::id, Function.identity()));
        this.catalog = catalog;
    }

    /**
     * What one instrument of one student has been set by a day, keyed by milestone. One book is asked by one thread.
     *
     * @param seats the student's seats on that instrument, in any class
     * @param on orders set later are left out
     * @return not to be changed
     */
    public Map<UUID, Assignment> assignments(Collection<Seat> seats, LocalDate on) {
        return known.computeIfAbsent(
                new Alike(seats.stream().map(SeatOf::of).collect(Collectors.toSet()), on),
                alike -> Collections.unmodifiableMap(work(seats, on)));
    }

    private Map<UUID, Assignment> work(Collection<Seat> seats, LocalDate on) {
        Map<UUID, Assignment> found = new LinkedHashMap<>();
        for (MilestoneOrder order : orders) {
            if (order.setOn().isAfter(on)) {
                continue;
            }
            for (Seat seat : seats) {
                if (order.reaches(seat, catalog)) {
                    assign(order, seat, found);
                }
            }
        }
        return found;
    }

    private void assign(MilestoneOrder order, Seat seat, Map<UUID, Assignment> found) {
        Belt belt = belts.get(order.milestoneId());
        add(found, order, order.milestoneId(), seat, Optional.empty());
        if (belt != null) {
            for (UUID milestoneId : belt.milestonesFor(seat.instrument())) {
                add(found, order, milestoneId, seat, Optional.of(belt.id()));
            }
        }
    }

    private void add(
            Map<UUID, Assignment> found, MilestoneOrder order, UUID milestoneId, Seat seat, Optional<UUID> belt) {
        Milestone milestone = milestones.get(milestoneId);
        if (milestone != null && milestone.isFor(seat.instrument())) {
            found.merge(
                    milestoneId,
                    new Assignment(
                            milestoneId,
                            order.setOn(),
                            order.dueOn(),
                            order.evidence(),
                            Map.of(seat.classId(), order.dueOn()),
                            belt),
                    Assignment::joinedWith);
        }
    }
}
