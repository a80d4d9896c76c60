package vividroster.server.board;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import vividroster.core.progress.BeltProgress;
import vividroster.core.progress.BoardColumns;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Assignment;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.roster.Rosters;

/** Who passed what in a section. */
@Service
public class SectionBoards {

    private final Rosters rosters;
    private final Progress progress;
    private final HearingRuns runs;
    private final Library library;
    private final InstrumentCatalog catalog;

    SectionBoards(Rosters rosters, Progress progress, HearingRuns runs, Library library, InstrumentCatalog catalog) {
        this.catalog = catalog;
        this.rosters = rosters;
        this.progress = progress;
        this.runs = runs;
        this.library = library;
    }

    /**
     * A milestone set for anybody in the scope.
     *
     * @param dueOn earliest due day among the players
     */
    public record Column(Milestone milestone, LocalDate setOn, LocalDate dueOn) {}

    /** The columns of a board that is looked at: each section's form of the same check in one column. */
    public List<BoardColumns.Column> sharedColumns(SectionBoard board) {
        return BoardColumns.of(board.columns().stream()
                .map(column -> new BoardColumns.Wanted<>(
                        column.milestone(),
                        column.setOn(),
                        column.dueOn(),
                        board.rows().stream()
                                .map(Seated::player)
                                .filter(player -> board.sheet()
                                        .assigned(player)
                                        .containsKey(column.milestone().id()))
                                .collect(Collectors.toSet())))
                .toList());
    }

    /** @param columns by due day, then in shelf order; belts themselves are left to the belt column */
    public record SectionBoard(List<Column> columns, List<Seated> rows, Sheet sheet, Map<UUID, BeltLook> looks) {}

    @Transactional(readOnly = true)
    public SectionBoard board(UUID programId, SectionScope scope, LocalDate on, Reach reach) {
        List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, scope, on), catalog);
        List<Seated> rows = runs.seated(programId, seats, scope, on);
        Sheet sheet =
                progress.sheet(programId, Question.of(seats, on).withBelts().forEverybody());
        return new SectionBoard(
                columns(rows, sheet).stream()
                        .filter(column ->
                                reach.seesGrades() || !column.milestone().kind().isGraded())
                        .toList(),
                rows,
                sheet,
                sheet.ladders().isEmpty() ? Map.of() : library.beltLooks(programId));
    }

    private static List<Column> columns(List<Seated> rows, Sheet sheet) {
        Map<UUID, List<Assignment>> assigned = rows.stream()
                .flatMap(row -> sheet.assigned(row.player()).values().stream())
                .collect(Collectors.groupingBy(Assignment::milestoneId));
        Map<UUID, Integer> shelfPlace = new HashMap<>();
        sheet.milestones().keySet().forEach(id -> shelfPlace.put(id, shelfPlace.size()));
        List<Column> columns = new ArrayList<>();
        assigned.forEach((id, assignments) -> {
            Milestone milestone = sheet.milestones().get(id);
            if (milestone.kind() != MilestoneKind.BELT) {
                columns.add(new Column(
                        milestone,
                        assignments.stream()
                                .map(Assignment::setOn)
                                .min(Comparator.naturalOrder())
                                .orElseThrow(),
                        assignments.stream()
                                .map(Assignment::dueOn)
                                .min(Comparator.naturalOrder())
                                .orElseThrow()));
            }
        });
        columns.sort(Comparator.comparing(Column::dueOn)
                .thenComparing(column -> shelfPlace.get(column.milestone().id())));
        return columns;
    }

    /**
     * The belt a player wears and the one ahead, on the ladder where the player stands highest.
     *
     * @param progress with the next belt
     * @param missing what would bring the next belt nearer
     */
    public record Belting(
            Optional<Belt> worn, Optional<Belt> next, Optional<BeltProgress> progress, List<Milestone> missing) {}

    public Belting belting(Player player, Sheet sheet) {
        Map<UUID, Standing> standings = sheet.standings().getOrDefault(player, Map.of());
        return BeltLadder.climbed(sheet.ladders(), player.instrument(), standings)
                .map(ladder -> new BeltLadder(ladder).worn(player.instrument(), standings))
                .map(worn -> new Belting(
                        worn.worn(),
                        worn.next(),
                        worn.next().map(belt -> BeltProgress.of(belt, player.instrument(), standings)),
                        worn.next().map(belt -> missing(player, sheet, belt)).orElse(List.of())))
                .orElse(new Belting(Optional.empty(), Optional.empty(), Optional.empty(), List.of()));
    }

    private static List<Milestone> missing(Player player, Sheet sheet, Belt belt) {
        return BeltProgress.of(belt, player.instrument(), sheet.standings().getOrDefault(player, Map.of()))
                .missing()
                .stream()
                .map(sheet.milestones()::get)
                .toList();
    }
}
