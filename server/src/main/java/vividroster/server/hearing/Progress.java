package vividroster.server.hearing;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.BeltLadder;
import vividroster.core.progress.Standing;
import vividroster.core.progress.Standings;
import vividroster.core.progress.Standings.Terms;
import vividroster.core.roster.Seat;
import vividroster.core.season.Assignment;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.OrderBook;
import vividroster.server.library.Library;
import vividroster.server.season.Orders;

/** Gathers what the core needs to say where players stand, and asks it. */
@Service
public class Progress {

    private final AttemptQueries attempts;
    private final Library library;
    private final Orders orders;
    private final InstrumentCatalog catalog;

    Progress(AttemptQueries attempts, Library library, Orders orders, InstrumentCatalog catalog) {
        this.attempts = attempts;
        this.library = library;
        this.orders = orders;
        this.catalog = catalog;
    }

    /**
     * Where players stand on a day.
     *
     * @param milestones every milestone that is set, fills a belt or was asked for, by id in shelf order
     * @param assignments what is set for each player
     * @param standings of each player with each of the milestones; a belt counts as passed when it is earned
     */
    public record Sheet(
            Map<UUID, Milestone> milestones,
            List<Belt> belts,
            Map<Player, Map<UUID, Assignment>> assignments,
            Map<Player, Map<UUID, Standing>> standings) {

        public Standing standing(Player player, UUID milestoneId) {
            return standings.getOrDefault(player, Map.of()).getOrDefault(milestoneId, Standing.NOTHING);
        }

        public Map<UUID, Assignment> assigned(Player player) {
            return assignments.getOrDefault(player, Map.of());
        }
    }

    /**
     * @param seats all seats of the students asked about, in any class
     * @param also milestones wanted on the sheet whether set or not
     */
    @Transactional(readOnly = true)
    public Sheet sheet(UUID programId, Collection<Seat> seats, LocalDate on, Collection<UUID> also) {
        Set<String> instruments = seats.stream().map(Seat::instrument).collect(Collectors.toSet());
        Set<UUID> classIds = seats.stream().map(Seat::classId).collect(Collectors.toSet());
        Set<UUID> students = seats.stream().map(Seat::studentId).collect(Collectors.toSet());
        List<MilestoneOrder> reaching = orders.reaching(programId, classIds);
        List<Belt> belts = library.belts(programId, instruments);

        Set<UUID> ids = new LinkedHashSet<>(also);
        reaching.forEach(order -> ids.add(order.milestoneId()));
        belts.forEach(
                belt -> belt.slots().forEach(slot -> ids.addAll(slot.fillings().values())));
        Map<UUID, Milestone> milestones = new LinkedHashMap<>();
        library.milestones(programId, ids).forEach(m -> milestones.put(m.id(), m));

        OrderBook book = new OrderBook(reaching, milestones.values(), belts, catalog);
        Map<UUID, Map<UUID, List<Attempt>>> heard = attempts.find(programId, students, ids).stream()
                .collect(Collectors.groupingBy(Attempt::studentId, Collectors.groupingBy(Attempt::milestoneId)));

        Map<Player, Map<UUID, Assignment>> assignments = new HashMap<>();
        Map<Player, Map<UUID, Standing>> standings = new HashMap<>();
        Map<Player, List<Seat>> seatsByPlayer =
                seats.stream().collect(Collectors.groupingBy(seat -> new Player(seat.studentId(), seat.instrument())));
        seatsByPlayer.forEach((player, held) -> {
            Map<UUID, Assignment> assigned = book.assignments(held, on);
            assignments.put(player, assigned);
            Map<UUID, List<Attempt>> own = heard.getOrDefault(player.studentId(), Map.of());
            Map<UUID, Standing> standing = new HashMap<>();
            milestones.values().stream()
                    .filter(m -> m.kind() != MilestoneKind.BELT)
                    .forEach(m -> standing.put(
                            m.id(),
                            Standings.of(
                                    m,
                                    own.getOrDefault(m.id(), List.of()),
                                    player.instrument(),
                                    terms(assigned.get(m.id())),
                                    on)));
            belts.stream()
                    .filter(belt -> milestones.containsKey(belt.id()))
                    .forEach(belt ->
                            standing.put(belt.id(), beltStanding(belt, player, standing, assigned.get(belt.id()), on)));
            standings.put(player, standing);
        });
        return new Sheet(milestones, belts, assignments, standings);
    }

    /** Where one player stands with one milestone. */
    @Transactional(readOnly = true)
    public Standing standing(UUID programId, List<Seat> seats, Player player, Milestone milestone, LocalDate on) {
        List<Belt> holding = library.belts(programId, Set.of(player.instrument())).stream()
                .filter(belt -> belt.milestonesFor(player.instrument()).contains(milestone.id()))
                .toList();
        Set<UUID> orderable = holding.stream().map(Belt::id).collect(Collectors.toSet());
        orderable.add(milestone.id());
        OrderBook book = new OrderBook(orders.of(programId, orderable), List.of(milestone), holding, catalog);
        List<Seat> held = seats.stream()
                .filter(seat -> seat.instrument().equals(player.instrument()))
                .toList();
        return Standings.of(
                milestone,
                attempts.find(programId, Set.of(player.studentId()), Set.of(milestone.id())),
                player.instrument(),
                terms(book.assignments(held, on).get(milestone.id())),
                on);
    }

    private static Terms terms(Assignment assignment) {
        return assignment == null ? Terms.UNSET : new Terms(assignment.evidence(), Optional.of(assignment.dueOn()));
    }

    private static Standing beltStanding(
            Belt belt, Player player, Map<UUID, Standing> standings, Assignment assignment, LocalDate on) {
        boolean earned = BeltLadder.isEarned(belt, player.instrument(), standings);
        boolean set = assignment != null;
        Standing.State state = earned ? Standing.State.PASSED : set ? Standing.State.SET : Standing.State.NOT_SET;
        boolean carriedOver = !earned && set && on.isAfter(assignment.dueOn());
        return new Standing(state, 0, carriedOver, false, Optional.empty(), Optional.empty(), 0);
    }
}
