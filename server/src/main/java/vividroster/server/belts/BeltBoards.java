package vividroster.server.belts;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
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
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.BeltLadder;
import vividroster.core.progress.BeltLadder.Earned;
import vividroster.core.progress.BeltProgress;
import vividroster.core.progress.HandOver;
import vividroster.core.progress.OneHearing;
import vividroster.core.progress.Outlook;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.testing.HearingTime;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.roster.Rosters;

/** Who wears which belt, what is to be handed over, and what is missing to the next. */
@Service
public class BeltBoards {

    private final Rosters rosters;
    private final Progress progress;
    private final HearingRuns runs;
    private final Library library;
    private final HandOverQueries handOvers;
    private final InstrumentCatalog catalog;

    BeltBoards(
            Rosters rosters,
            Progress progress,
            HearingRuns runs,
            Library library,
            HandOverQueries handOvers,
            InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.progress = progress;
        this.runs = runs;
        this.library = library;
        this.handOvers = handOvers;
        this.catalog = catalog;
    }

    /** @param helps whether it is not filled and would bring the belt nearer */
    record Slot(Milestone milestone, boolean must, boolean helps, Standing standing) {}

    /**
     * One player.
     *
     * @param state what is worn and what is to be handed over
     * @param toward the highest belt to be handed over, else the next one
     * @param slots of that belt
     * @param needed how many slots have still to be filled; 0 where it is earned
     * @param asked how many it takes
     * @param alone each of these would bring the belt, heard once with success
     */
    record Row(
            Seated seated,
            HandOver.State state,
            Optional<Belt> toward,
            List<Slot> slots,
            int needed,
            int asked,
            Set<UUID> alone) {

        /** Of those it takes. */
        int filled() {
            return asked - needed;
        }
    }

    /** @param each how long one of them takes */
    record Run(Milestone milestone, List<Seated> students, Duration each) {

        int minutes() {
            return HearingTime.wholeMinutes(each.toSeconds() * students.size());
        }
    }

    /** @param runs each brings those in it a belt with one hearing */
    record BeltBoard(LocalDate on, List<Row> rows, Sheet sheet, Map<UUID, BeltLook> looks, List<Run> runs) {}

    @Transactional(readOnly = true)
    BeltBoard board(UUID programId, SectionScope scope, LocalDate on, Reach reach) {
        List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, scope, on), catalog);
        List<Seated> seated = runs.seated(programId, seats, scope, on);
        Sheet sheet = progress.sheet(programId, Question.of(seats, on).withBelts());
        Map<UUID, List<HandOver>> handed =
                handed(programId, seated.stream().map(row -> row.student().id()).toList());
        List<Row> rows = seated.stream()
                .map(one -> row(
                        one,
                        sheet,
                        handed.getOrDefault(one.student().id(), List.of()).stream()
                                .filter(belt -> !belt.handedOn().isAfter(on))
                                .toList()))
                .toList();
        return new BeltBoard(on, rows, sheet, library.beltLooks(programId), oneHearing(programId, rows, sheet));
    }

    /** By student, in the order handed over. */
    Map<UUID, List<HandOver>> handed(UUID programId, Collection<UUID> studentIds) {
        return handOvers.find(programId, studentIds).stream().collect(Collectors.groupingBy(HandOver::studentId));
    }

    private static Row row(Seated seated, Sheet sheet, List<HandOver> handed) {
        Player player = seated.player();
        HandOver.State state = state(player, sheet, handed);
        Map<UUID, Standing> standings = sheet.standings().getOrDefault(player, Map.of());
        Optional<Belt> toward = state.due().isEmpty()
                ? BeltLadder.climbed(sheet.ladders(), player.instrument(), standings)
                        .flatMap(ladder -> new BeltLadder(ladder)
                                .worn(player.instrument(), standings)
                                .next())
                : Optional.of(state.due().getLast().belt());
        return toward.map(belt -> {
                    BeltProgress so = BeltProgress.of(belt, player.instrument(), standings);
                    Set<UUID> helps = state.due().isEmpty() ? new HashSet<>(so.missing()) : Set.of();
                    return new Row(
                            seated,
                            state,
                            toward,
                            so.slots().stream()
                                    .map(slot -> new Slot(
                                            sheet.milestones().get(slot.milestoneId()),
                                            slot.must(),
                                            helps.contains(slot.milestoneId()),
                                            sheet.standing(player, slot.milestoneId())))
                                    .toList(),
                            state.due().isEmpty() ? so.needed() : 0,
                            so.asked(belt),
                            so.needed() == 1 ? alone(player, sheet, helps) : Set.of());
                })
                .orElse(new Row(seated, state, toward, List.of(), 0, 0, Set.of()));
    }

    private static Set<UUID> alone(Player player, Sheet sheet, Set<UUID> helps) {
        return helps.stream()
                .filter(sheet.assigned(player)::containsKey)
                .filter(id -> sheet.outlook(player, id).passes().contains(String.valueOf(Outlook.GOOD)))
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static HandOver.State state(Player player, Sheet sheet, List<HandOver> handed) {
        return HandOver.state(
                earned(player, sheet),
                handed.stream()
                        .filter(one -> one.instrument().equals(player.instrument()))
                        .toList());
    }

    /** On every ladder, each from the lowest up; those that ask something of the instrument now come last. */
    static List<Earned> earned(Player player, Sheet sheet) {
        return sheet.ladders().stream()
                .sorted(Comparator.comparing(ladder -> ladder.asks(player.instrument())))
                .flatMap(ladder -> new BeltLadder(ladder)
                        .earned(player.instrument(), sheet.standings().getOrDefault(player, Map.of())).stream())
                .toList();
    }

    private List<Run> oneHearing(UUID programId, List<Row> rows, Sheet sheet) {
        Map<Seated, Set<UUID>> oneAway = new LinkedHashMap<>();
        rows.stream().filter(row -> !row.alone().isEmpty()).forEach(row -> oneAway.put(row.seated(), row.alone()));
        List<OneHearing<Seated>> found = OneHearing.of(oneAway);
        Map<UUID, Duration> each = runs.perStudent(
                programId,
                found.stream()
                        .map(run -> sheet.milestones().get(run.milestoneId()))
                        .toList());
        return found.stream()
                .map(run ->
                        new Run(sheet.milestones().get(run.milestoneId()), run.players(), each.get(run.milestoneId())))
                .toList();
    }

    /** As it is said beside a belt: "line 23", "hold". */
    public static String name(Milestone milestone) {
        return milestone.kind() == MilestoneKind.LINE ? "line " + milestone.shortName() : milestone.shortName();
    }
}
