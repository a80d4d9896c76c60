package vividroster.server.roster;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.RosterPlan.PlannedRow;
import vividroster.core.roster.RowOutcome;
import vividroster.server.audit.Audit;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Uploads;

@RestController
@RequestMapping("/api/roster-import")
@PreAuthorize("hasAuthority('DIRECT')")
class ImportController {

    private final Audit audit;
    private final RosterImport imports;
    private final InstrumentCatalog catalog;

    ImportController(RosterImport imports, InstrumentCatalog catalog, Audit audit) {
        this.audit = audit;
        this.imports = imports;
        this.catalog = catalog;
    }

    enum RowKind {
        NEW_STUDENT,
        NEW_SEAT,
        MOVE,
        UNCHANGED,
        REFUSED
    }

    /** @param text what will happen, or why the row cannot be taken */
    record PreviewRow(
            int line,
            String name,
            String className,
            String instrument,
            String division,
            RowKind kind,
            String text,
            @Absent String column) {}

    record Preview(
            String fingerprint,
            String separator,
            List<String> notices,
            List<String> ignoredHeadings,
            int students,
            int seats,
            int moves,
            int unchanged,
            int refused,
            List<PreviewRow> rows) {}

    @PostMapping(path = "/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Operation(
            operationId = "previewRoster",
            summary = "What taking a roster file would do, row by row; changes nothing")
    Preview preview(@AuthenticationPrincipal SignedIn person, @RequestPart MultipartFile file) throws IOException {
        return preview(imports.plan(person.programId(), file.getBytes()));
    }

    @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Operation(operationId = "takeRoster", summary = "Take the good rows of a roster file, all of them or none")
    Preview take(
            @AuthenticationPrincipal SignedIn person, @RequestPart MultipartFile file, @RequestParam String fingerprint)
            throws IOException {
        String name = Uploads.name(file, "roster.csv");
        return preview(imports.take(person.programId(), person.accountId(), name, file.getBytes(), fingerprint));
    }

    record TakenFile(String fileName, String takenBy, OffsetDateTime takenAt, int taken, int unchanged, int refused) {}

    @GetMapping
    @Operation(operationId = "takenRosters", summary = "Roster files taken, latest first")
    List<TakenFile> taken(@AuthenticationPrincipal SignedIn person) {
        return imports.taken(person.programId()).stream()
                .map(row -> new TakenFile(
                        row.fileName(),
                        row.importedBy(),
                        row.importedAt(),
                        row.taken(),
                        row.unchanged(),
                        row.refused()))
                .toList();
    }

    @GetMapping(path = "/roster.csv", produces = "text/csv")
    @Operation(operationId = "rosterCsv", summary = "The roster as a CSV file that could be taken again")
    ResponseEntity<byte[]> roster(@AuthenticationPrincipal SignedIn person) {
        audit.note(person, Audit.What.EXPORTED, Optional.empty());
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("roster.csv")
                                .build()
                                .toString())
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(imports.asFile(person.programId()).getBytes(StandardCharsets.UTF_8));
    }

    private Preview preview(RosterImport.Planned planned) {
        Map<String, Integer> firstLine = new HashMap<>();
        List<PreviewRow> rows =
                planned.rows().stream().map(row -> previewRow(row, firstLine)).toList();
        int newStudents = (int) planned.rows().stream()
                .filter(row -> row.outcome() instanceof RowOutcome.NewStudent)
                .map(row -> ((RowOutcome.NewStudent) row.outcome()).studentKey())
                .distinct()
                .count();
        return new Preview(
                planned.fingerprint(),
                planned.file().separator(),
                planned.file().notices(),
                planned.file().ignoredHeadings(),
                newStudents,
                (int) (planned.count(RowOutcome.NewStudent.class) + planned.count(RowOutcome.NewSeat.class)),
                (int) planned.count(RowOutcome.Move.class),
                (int) planned.count(RowOutcome.Unchanged.class),
                (int) planned.count(RowOutcome.Refused.class),
                rows);
    }

    private PreviewRow previewRow(PlannedRow planned, Map<String, Integer> firstLine) {
        return switch (planned.outcome()) {
            case RowOutcome.NewStudent student -> {
                Integer before = firstLine.putIfAbsent(
                        student.studentKey(), planned.row().line());
                yield row(
                        planned,
                        RowKind.NEW_STUDENT,
                        before == null
                                ? "New student from " + student.seat().startsOn()
                                : "Same student as line " + before + ", in one more class",
                        null);
            }
            case RowOutcome.NewSeat seat ->
                row(
                        planned,
                        RowKind.NEW_SEAT,
                        "On the roster; joins this class from " + seat.seat().startsOn(),
                        null);
            case RowOutcome.Move move ->
                row(
                        planned,
                        RowKind.MOVE,
                        "Moves from "
                                + place(move.from().instrument(), move.from().division()) + " to "
                                + place(move.seat().instrument(), move.seat().division()) + " from "
                                + move.seat().startsOn(),
                        null);
            case RowOutcome.Unchanged unchanged -> row(planned, RowKind.UNCHANGED, "On the roster already", null);
            case RowOutcome.Refused refused ->
                row(
                        planned,
                        RowKind.REFUSED,
                        RefusalWording.sentence(refused.column(), refused.refusal()),
                        refused.column().heading());
        };
    }

    private String place(InstrumentCode instrument, String division) {
        String name = catalog.withCode(instrument).name().toLowerCase(java.util.Locale.ROOT);
        return division.isEmpty() ? name : name + " " + division;
    }

    private static PreviewRow row(PlannedRow planned, RowKind kind, String text, String column) {
        return new PreviewRow(
                planned.row().line(),
                planned.name().shown(),
                planned.row().className(),
                planned.row().instrument(),
                planned.row().division(),
                kind,
                text,
                column);
    }
}
