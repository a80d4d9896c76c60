package vividroster.server.hearing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Ladder;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.BeltLadder;
import vividroster.core.progress.HabitWatch.Habit;
import vividroster.core.progress.HabitWatch.Look;
import vividroster.core.progress.Outlook;
import vividroster.core.progress.Pressing.Asked;
import vividroster.core.progress.Standing;
import vividroster.core.progress.Standings;
import vividroster.core.progress.Standings.Terms;
import vividroster.core.progress.TimeLine;
import vividroster.core.progress.Trail;
import vividroster.core.roster.Seat;
import vividroster.core.season.Assignment;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.OrderBook;
import vividroster.core.testing.HearingQueue.Call;
import vividroster.server.library.KeptLadder;
import vividroster.server.library.Ladders;
import vividroster.server.library.Library;
import vividroster.server.orders.Orders;

/** Gathers what the core needs to say where players stand, and asks it. */
@Service
public class Progress {

    private final TrailQueries trailQueries;
    private final Library library;
    private final Ladders ladders;
    private final Orders orders;
    private final InstrumentCatalog catalog;

    Progress(TrailQueries trailQueries, Library library, Ladders ladders, Orders orders, InstrumentCatalog catalog) {
        this.ladders = ladders;
        this.trailQueries = trailQueries;
        this.library = library;
        this.orders = orders;
        this.catalog = catalog;
    }

    /**
     * Where players stand on a day.
     *
     * @param milestones every milestone that is set, fills a belt or was asked for, by id in shelf order
     * @param ladders as they are and as they were
     * @param assignments what is set for each player
     * @param standings of each player with each of the milestones; a belt that is set counts as passed when it is earned
     * @param trails what the standings are told from, by student and milestone, and perhaps more; pairs never heard are left
     *     out
     * @param on the day
     */
    public record Sheet(
            Map<UUID, Milestone> milestones,
            List<Ladder> ladders,
            Map<Player, Map<UUID, Assignment>> assignments,
            Map<Player, Map<UUID, Standing>> standings,
            Map<UUID, Map<UUID, Trail>> trails,
            LocalDate on) {

        /** Every belt there is or was, those that are asked now first within their ladder. */
        public List<Belt> belts() {
            return ladders.stream()
                    .flatMap(ladder -> ladder.everBelts().stream())
                    .toList();
        }

        /** What the next tries of a player with a milestone of this sheet, no belt, would mean. */
        public Outlook outlook(Player player, UUID milestoneId) {
            return Outlook.of(
                    milestones.get(milestoneId),
                    trails.getOrDefault(player.studentId(), Map.of()).getOrDefault(milestoneId, Trail.EMPTY),
                    player.instrument(),
                    terms(assigned(player).get(milestoneId)),
                    on);
        }

        /** What a run with a milestone of this sheet, no belt, needs to know of a player. */
        public Call call(Player player, UUID milestoneId) {
            return Call.of(
                    milestones.get(milestoneId),
                    standing(player, milestoneId),
                    trails.getOrDefault(player.studentId(), Map.of()).getOrDefault(milestoneId, Trail.EMPTY),
                    player.instrument(),
                    on);
        }

        /**
         * A passed check of this sheet as a habit to be watched; empty while it is not passed.
         *
         * @param looks at it, in the order made
         */
        public Optional<Habit> habit(Player player, UUID milestoneId, List<Look> looks) {
            return Habit.of(
                    player.studentId(),
                    player.instrument(),
                    milestones.get(milestoneId),
                    trails.getOrDefault(player.studentId(), Map.of()).getOrDefault(milestoneId, Trail.EMPTY),
                    terms(assigned(player).get(milestoneId)),
                    on,
                    looks);
        }

        /** What a player was heard with from a day on, of the milestones on this sheet. */
        public List<TimeLine.Moment> moments(Player player, LocalDate from) {
            Map<UUID, Terms> terms = new HashMap<>();
            assigned(player).forEach((id, assignment) -> terms.put(id, terms(assignment)));
            Map<UUID, Trail> own = new HashMap<>(trails.getOrDefault(player.studentId(), Map.of()));
            own.keySet().retainAll(milestones.keySet());
            return TimeLine.of(own, milestones, terms, player.instrument(), from, on);
        }

        public Standing standing(Player player, UUID milestoneId) {
            return standings.getOrDefault(player, Map.of()).getOrDefault(milestoneId, Standing.NOTHING);
        }

        /** Where a player stood at the end of an earlier day with a milestone of this sheet, no belt. */
        public Standing standingOn(Player player, UUID milestoneId, LocalDate day) {
            return Standings.of(
                    milestones.get(milestoneId),
                    trails.getOrDefault(player.studentId(), Map.of()).getOrDefault(milestoneId, Trail.EMPTY),
                    player.instrument(),
                    terms(assigned(player).get(milestoneId)),
                    day);
        }

        /** Where a player would stand with a milestone of this sheet, no belt, had nothing but these attempts been heard. */
        public Standing standingOf(Player player, UUID milestoneId, Collection<Attempt> attempts) {
            return Standings.of(
                    milestones.get(milestoneId),
                    Trail.of(attempts),
                    player.instrument(),
                    terms(assigned(player).get(milestoneId)),
                    on);
        }

        /** The same with another standing in one place. */
        public Sheet with(Player player, UUID milestoneId, Standing standing) {
            Map<Player, Map<UUID, Standing>> others = new HashMap<>(standings);
            Map<UUID, Standing> own = new HashMap<>(standings.getOrDefault(player, Map.of()));
            own.put(milestoneId, standing);
            others.put(player, own);
            return new Sheet(milestones, ladders, assignments, others, trails, on);
        }

        public Map<UUID, Assignment> assigned(Player player) {
            return assignments.getOrDefault(player, Map.of());
        }

        /** Where a player stands with everything that is set for them, belts among it. */
        public Map<UUID, Standing> setFor(Player player) {
            Map<UUID, Standing> own = standings.getOrDefault(player, Map.of());
            // Whatever is assigned has a standing; where nothing else was asked, these are they.
            if (own.size() == assigned(player).size()) {
                return Collections.unmodifiableMap(own);
            }
            Map<UUID, Standing> set = new HashMap<>();
            assigned(player).keySet().forEach(id -> set.put(id, own.getOrDefault(id, Standing.NOTHING)));
            return set;
        }

        /** What is set for any of these players, belts aside, in shelf order. */
        public List<Asked> asked(Collection<Player> players) {
            Map<UUID, LocalDate> due = new HashMap<>();
            Map<UUID, List<Standing>> byMilestone = new HashMap<>();
            players.forEach(player -> {
                Map<UUID, Standing> own = standings.getOrDefault(player, Map.of());
                assigned(player).forEach((id, assignment) -> {
                    due.merge(id, assignment.dueOn(), (one, other) -> one.isBefore(other) ? one : other);
                    byMilestone.computeIfAbsent(id, m -> new ArrayList<>()).add(own.getOrDefault(id, Standing.NOTHING));
                });
            });
            return milestones.values().stream()
                    .filter(m -> m.kind() != MilestoneKind.BELT && byMilestone.containsKey(m.id()))
                    .map(m -> new Asked(m.id(), due.get(m.id()), byMilestone.get(m.id())))
                    .toList();
        }
    }

    /**
     * What a page asks.
     *
     * @param seats all seats of the students asked about, in any class
     * @param on orders and attempts of later days are left out, and orders of other school years
     * @param also milestones wanted on the sheet whether set or not
     * @param only where not empty, nothing but these milestones is answered
     * @param belts whether belts and what fills them are answered too
     * @param acrossAll whether what is set for one student is answered for every other as well, as a board shows it
     */
    public record Question(
            Collection<Seat> seats,
            LocalDate on,
            Collection<UUID> also,
            Optional<Set<UUID>> only,
            boolean belts,
            boolean acrossAll) {

        /** What is set for each student, and nothing else. */
        public static Question of(Collection<Seat> seats, LocalDate on) {
            return new Question(seats, on, List.of(), Optional.empty(), false, false);
        }

        /** One milestone, for every student. */
        public static Question of(Collection<Seat> seats, LocalDate on, UUID milestoneId) {
            return new Question(seats, on, List.of(milestoneId), Optional.of(Set.of(milestoneId)), false, true);
        }

        public Question also(Collection<UUID> more) {
            return new Question(seats, on, more, only, belts, acrossAll);
        }

        public Question withBelts() {
            return new Question(seats, on, also, only, true, acrossAll);
        }

        public Question forEverybody() {
            return new Question(seats, on, also, only, belts, true);
        }
    }

    @Transactional(readOnly = true)
    public Sheet sheet(UUID programId, Question question) {
        Collection<Seat> seats = question.seats();
        LocalDate on = question.on();
        Set<InstrumentCode> instruments = seats.stream().map(Seat::instrument).collect(Collectors.toSet());
        Set<UUID> classIds = seats.stream().map(Seat::classId).collect(Collectors.toSet());
        List<MilestoneOrder> reaching = orders.reaching(programId, classIds, on);
        List<Ladder> climbed = ladders.of(programId, instruments).stream()
                .map(KeptLadder::ladder)
                .toList();
        List<Belt> belts =
                climbed.stream().flatMap(ladder -> ladder.belts().stream()).toList();
        Map<UUID, Milestone> milestones = milestones(programId, question, reaching, climbed);

        OrderBook book = new OrderBook(reaching, milestones.values(), belts, catalog);
        Map<Player, Map<UUID, Assignment>> assignments = new HashMap<>();
        seats.stream()
                .collect(Collectors.groupingBy(seat -> new Player(seat.studentId(), seat.instrument())))
                .forEach((player, held) -> assignments.put(player, book.assignments(held, on)));
        Map<Player, Set<UUID>> wanted = wanted(question, milestones, climbed, assignments);
        Map<UUID, Set<UUID>> byStudent = new HashMap<>();
        wanted.forEach((player, ids) -> byStudent
                .computeIfAbsent(player.studentId(), id -> new HashSet<>())
                .addAll(ids));
        Map<UUID, Map<UUID, Trail>> trails = trailQueries.find(programId, byStudent);

        Map<Player, Map<UUID, Standing>> standings = new HashMap<>();
        wanted.forEach((player, ids) -> {
            Map<UUID, Assignment> assigned = assignments.get(player);
            Map<UUID, Trail> own = trails.getOrDefault(player.studentId(), Map.of());
            Map<UUID, Standing> standing = new HashMap<>();
            ids.forEach(id -> standing.put(
                    id,
                    Standings.of(
                            milestones.get(id),
                            own.getOrDefault(id, Trail.EMPTY),
                            player.instrument(),
                            terms(assigned.get(id)),
                            on)));
            climbed.forEach(ladder -> ladder.belts().stream()
                    .filter(belt -> assigned.containsKey(belt.id()))
                    .forEach(belt -> standing.put(
                            belt.id(),
                            new BeltLadder(ladder)
                                    .standingOf(
                                            belt,
                                            player.instrument(),
                                            standing,
                                            assigned.get(belt.id()).dueOn(),
                                            on))));
            standings.put(player, standing);
        });
        return new Sheet(milestones, climbed, assignments, standings, trails, on);
    }

    /** Every milestone a student was ever heard with, and on which instruments; what was undone counts too. */
    @Transactional(readOnly = true)
    public Map<UUID, List<InstrumentCode>> heardOn(UUID programId, UUID studentId) {
        return trailQueries.findInstruments(programId, studentId);
    }

    private Map<UUID, Milestone> milestones(
            UUID programId, Question question, List<MilestoneOrder> reaching, List<Ladder> climbed) {
        Set<UUID> ids = new LinkedHashSet<>(question.also());
        if (question.only().isEmpty()) {
            Set<UUID> ordered =
                    reaching.stream().map(MilestoneOrder::milestoneId).collect(Collectors.toSet());
            ids.addAll(ordered);
            climbed.stream()
                    .flatMap(ladder ->
                            question.belts() || ladder.belts().stream().anyMatch(belt -> ordered.contains(belt.id()))
                                    ? Stream.concat(
                                            ladder.belts().stream(),
                                            ladder.earlier().stream().flatMap(before -> before.belts().stream()))
                                    : Stream.empty())
                    .filter(belt -> question.belts() || ordered.contains(belt.id()))
                    .forEach(belt -> belt.slots()
                            .forEach(slot -> ids.addAll(slot.fillings().values())));
        }
        Map<UUID, Milestone> milestones = new LinkedHashMap<>();
        library.milestones(programId, ids).forEach(m -> milestones.put(m.id(), m));
        return milestones;
    }

    /** Of which milestones each player's standing is asked; belts follow from them and are not among them. */
    private static Map<Player, Set<UUID>> wanted(
            Question question,
            Map<UUID, Milestone> milestones,
            List<Ladder> climbed,
            Map<Player, Map<UUID, Assignment>> assignments) {
        Set<UUID> everybodys = new HashSet<>(question.also());
        if (question.acrossAll()) {
            assignments.values().forEach(assigned -> everybodys.addAll(assigned.keySet()));
        }
        Map<Player, Set<UUID>> wanted = new HashMap<>();
        assignments.forEach((player, assigned) -> {
            Set<UUID> ids = new HashSet<>(everybodys);
            ids.addAll(assigned.keySet());
            if (question.belts()) {
                climbed.forEach(ladder -> ids.addAll(ladder.milestonesFor(player.instrument())));
            }
            ids.removeIf(id -> !milestones.containsKey(id) || milestones.get(id).kind() == MilestoneKind.BELT);
            wanted.put(player, ids);
        });
        return wanted;
    }

    /** Where one player stands with one milestone, and what the next tries would mean. */
    public record Position(Standing standing, Outlook outlook) {}

    /** Where one player stands with one milestone. */
    @Transactional(readOnly = true)
    public Position position(UUID programId, List<Seat> seats, Player player, Milestone milestone, LocalDate on) {
        List<Belt> holding = library.belts(programId, Set.of(player.instrument())).stream()
                .filter(belt -> belt.milestonesFor(player.instrument()).contains(milestone.id()))
                .toList();
        Set<UUID> orderable = holding.stream().map(Belt::id).collect(Collectors.toSet());
        orderable.add(milestone.id());
        OrderBook book = new OrderBook(orders.of(programId, orderable, on), List.of(milestone), holding, catalog);
        List<Seat> held = seats.stream()
                .filter(seat -> seat.instrument().equals(player.instrument()))
                .toList();
        Trail trail = trailQueries
                .find(programId, Map.of(player.studentId(), Set.of(milestone.id())))
                .getOrDefault(player.studentId(), Map.of())
                .getOrDefault(milestone.id(), Trail.EMPTY);
        Terms terms = terms(book.assignments(held, on).get(milestone.id()));
        return new Position(
                Standings.of(milestone, trail, player.instrument(), terms, on),
                Outlook.of(milestone, trail, player.instrument(), terms, on));
    }

    private static Terms terms(Assignment assignment) {
        return assignment == null ? Terms.UNSET : new Terms(assignment.evidence(), Optional.of(assignment.dueOn()));
    }
}
