package vividroster.server.board;

import io.swagger.v3.oas.annotations.Operation;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BoardColumns;
import vividroster.core.progress.Standing;
import vividroster.formats.csv.CsvSheet;
import vividroster.server.account.Reaches;
import vividroster.server.audit.Audit;
import vividroster.server.board.SectionBoards.Belting;
import vividroster.server.board.SectionBoards.SectionBoard;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.StandingView;
import vividroster.server.library.BeltView;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Words;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api")
class BoardController {

    private final Audit audit;
    private final Reaches reaches;
    private final SectionBoards boards;
    private final SectionFaults faults;
    private final Office office;
    private final InstrumentCatalog catalog;

    BoardController(
            SectionBoards boards,
            SectionFaults faults,
            Office office,
            InstrumentCatalog catalog,
            Audit audit,
            Reaches reaches) {
        this.faults = faults;
        this.reaches = reaches;
        this.audit = audit;
        this.boards = boards;
        this.office = office;
        this.catalog = catalog;
    }

    /**
     * @param milestoneIds one, or each section's form of the same check
     * @param passed players who passed it; heard: who passed or tried it; asked: for whom it is set
     */
    record ColumnView(
            List<UUID> milestoneIds,
            MilestoneKind kind,
            String shortName,
            String title,
            LocalDate setOn,
            LocalDate dueOn,
            int passed,
            int heard,
            int asked) {}

    /** @param marks one for each column, in order */
    record RowView(
            UUID studentId,
            String name,
            UUID classId,
            InstrumentCode instrument,
            String instrumentName,
            String division,
            List<StandingView> marks,
            @Absent UUID wornBelt,
            @Absent UUID nextBelt,
            List<StandingView> towardNext,
            List<String> missing) {}

    record BoardView(LocalDate on, List<ColumnView> columns, List<RowView> rows, List<BeltView> belts) {}

    @GetMapping("/board")
    @Operation(operationId = "board", summary = "The section board: everybody's marks and belts on a day")
    BoardView board(
            @AuthenticationPrincipal SignedIn person,
            @ParameterObject ScopeRequest scope,
            @RequestParam(required = false) LocalDate on) {
        LocalDate day = Optional.ofNullable(on).orElseGet(() -> office.today(person.programId()));
        SectionBoard board = boards.board(person.programId(), scope.toScope(), day, reaches.of(person));
        List<BoardColumns.Column> columns = boards.sharedColumns(board);
        return new BoardView(
                day,
                columns.stream().map(column -> columnView(column, board)).toList(),
                board.rows().stream().map(row -> rowView(row, columns, board)).toList(),
                board.sheet().belts().stream()
                        .map(belt -> BeltView.of(belt, board.looks().get(belt.id())))
                        .toList());
    }

    /** @param measure where it was tapped most; absent where never */
    record FaultCountView(
            String sign,
            int tries,
            int students,
            LocalDate lastOn,
            @Absent Integer measure) {}

    @GetMapping("/board/faults")
    @Operation(operationId = "boardFaults", summary = "What goes wrong in a section this school year, counted")
    List<FaultCountView> faults(@AuthenticationPrincipal SignedIn person, @ParameterObject ScopeRequest scope) {
        return faults.of(person.programId(), scope.toScope(), reaches.of(person)).stream()
                .map(counted -> new FaultCountView(
                        counted.sign(),
                        counted.tries(),
                        counted.students(),
                        counted.lastOn(),
                        counted.measure().isPresent() ? counted.measure().getAsInt() : null))
                .toList();
    }

    @GetMapping(path = "/board.csv", produces = "text/csv")
    @Operation(operationId = "boardCsv", summary = "The section board as a CSV file")
    ResponseEntity<byte[]> csv(
            @AuthenticationPrincipal SignedIn person,
            @ParameterObject ScopeRequest scope,
            @RequestParam(required = false) LocalDate on) {
        LocalDate day = Optional.ofNullable(on).orElseGet(() -> office.today(person.programId()));
        SectionBoard board = boards.board(person.programId(), scope.toScope(), day, reaches.of(person));
        audit.note(person, Audit.What.EXPORTED, Optional.ofNullable(scope.classId()));
        List<String> heading = new ArrayList<>(List.of("Student", "Instrument", "Division", "Belt"));
        board.columns().forEach(column -> heading.add(columnName(column.milestone())));
        List<List<String>> rows = board.rows().stream()
                .map(row -> {
                    List<String> cells = new ArrayList<>(List.of(
                            row.student().name(),
                            catalog.withCode(row.seat().instrument()).name(),
                            row.seat().division(),
                            boards.belting(row.player(), board.sheet())
                                    .worn()
                                    .map(Belt::name)
                                    .orElse("")));
                    board.columns()
                            .forEach(column -> cells.add(word(board.sheet()
                                    .standing(row.player(), column.milestone().id()))));
                    return cells;
                })
                .toList();
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("board-" + day + ".csv")
                                .build()
                                .toString())
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(CsvSheet.of(heading, rows).getBytes(StandardCharsets.UTF_8));
    }

    private static String columnName(Milestone milestone) {
        return (milestone.kind() == MilestoneKind.LINE ? "Line " : "") + milestone.shortName() + ", "
                + milestone.title();
    }

    private static String word(Standing standing) {
        String word = switch (standing.state()) {
            case NOT_SET -> "";
            case SET -> "set";
            case TRIED -> "not yet, " + Words.counted(standing.tries(), "try", "tries");
            case PASSED ->
                "passed " + standing.passedOn().map(LocalDate::toString).orElse("");
            case PASSED_BY_SUBSTITUTE ->
                "passed by substitute "
                        + standing.passedOn().map(LocalDate::toString).orElse("");
            case EXCUSED -> "excused";
            case RECORDING_WAITING -> "recording waiting";
        };
        return standing.carriedOver() ? word + ", carried over" : word;
    }

    private static ColumnView columnView(BoardColumns.Column column, SectionBoard board) {
        Milestone first = column.milestones().getFirst();
        List<Standing> asked = board.rows().stream()
                .flatMap(row -> markIn(column, row, board).stream())
                .toList();
        return new ColumnView(
                column.milestoneIds(),
                first.kind(),
                first.shortName(),
                column.milestones().size() == 1 ? first.title() : first.shortName(),
                column.setOn(),
                column.dueOn(),
                (int) asked.stream().filter(Standing::isPassed).count(),
                (int) asked.stream().filter(s -> s.isPassed() || s.tries() > 0).count(),
                asked.size());
    }

    /** Where a player stands with that milestone of a column which is set for them. */
    private static Optional<Standing> markIn(BoardColumns.Column column, Seated row, SectionBoard board) {
        return column.milestoneIds().stream()
                .filter(id -> board.sheet().assigned(row.player()).containsKey(id))
                .findFirst()
                .map(id -> board.sheet().standing(row.player(), id));
    }

    private RowView rowView(Seated row, List<BoardColumns.Column> columns, SectionBoard board) {
        Belting belting = boards.belting(row.player(), board.sheet());
        return new RowView(
                row.student().id(),
                row.student().name(),
                row.seat().classId(),
                row.seat().instrument(),
                catalog.withCode(row.seat().instrument()).name(),
                row.seat().division(),
                columns.stream()
                        .map(column -> StandingView.of(markIn(column, row, board)
                                .orElseGet(() -> board.sheet()
                                        .standing(
                                                row.player(),
                                                column.milestoneIds().getFirst()))))
                        .toList(),
                belting.worn().map(Belt::id).orElse(null),
                belting.next().map(Belt::id).orElse(null),
                belting.next().stream()
                        .flatMap(belt -> belt.milestonesFor(row.seat().instrument()).stream())
                        .map(id -> StandingView.of(board.sheet().standing(row.player(), id)))
                        .toList(),
                belting.missing().stream().map(BoardController::missingName).collect(Collectors.toList()));
    }

    private static String missingName(Milestone milestone) {
        return milestone.kind() == MilestoneKind.LINE ? "line " + milestone.shortName() : milestone.shortName();
    }
}
