package vividroster.server.season;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.ObjectMapper;
import vividroster.formats.csv.UnreadableFileException;
import vividroster.formats.plan.PlanFile;
import vividroster.formats.plan.PlanFile.Row;
import vividroster.server.audit.Audit;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** A plan out as a file and in again, and last year's laid onto this one. */
@RestController
@RequestMapping("/api/season/plan")
@PreAuthorize("hasAuthority('TEACH')")
class PlanFileController {

    private static final int VERSION = 1;

    private final PlanFiles files;
    private final Rosters rosters;
    private final Audit audit;
    private final ObjectMapper json;

    PlanFileController(PlanFiles files, Rosters rosters, Audit audit, ObjectMapper json) {
        this.files = files;
        this.rosters = rosters;
        this.audit = audit;
        this.json = json;
    }

    /** As in the CSV file; weeks are teaching weeks, counted from 1. */
    record PlanFileItem(
            String kind,
            @Absent String book,
            @Absent Integer line,
            String title,
            @Absent List<String> sections,
            @Absent Integer value,
            @Absent Boolean essential,
            @Absent Integer minutes,
            @Absent Boolean heardAlone,
            @Absent Integer notBeforeWeek,
            @Absent Integer byWeek,
            @Absent Integer weeksToSpare,
            @Absent Integer week,
            @Absent Boolean pinned) {

        static PlanFileItem of(Row row) {
            return new PlanFileItem(
                    row.kind(),
                    row.book(),
                    row.line() == 0 ? null : row.line(),
                    row.title(),
                    row.sections(),
                    row.value(),
                    row.essential(),
                    row.minutes(),
                    row.heardAlone(),
                    row.notBefore().orElse(null),
                    row.by().orElse(null),
                    row.weeksToSpare(),
                    row.week().orElse(null),
                    row.pinned());
        }

        Row toRow(int at) {
            return new Row(
                    at,
                    kind == null ? "" : kind,
                    book == null ? "" : book,
                    line == null ? 0 : line,
                    title == null ? "" : title,
                    sections == null ? List.of() : sections,
                    within(at, "value", value, -1, 100_000),
                    Boolean.TRUE.equals(essential),
                    within(at, "minutes", minutes, -1, 600),
                    Boolean.TRUE.equals(heardAlone),
                    Optional.ofNullable(notBeforeWeek),
                    Optional.ofNullable(byWeek),
                    within(at, "weeksToSpare", weeksToSpare, 0, 60),
                    Optional.ofNullable(week),
                    Boolean.TRUE.equals(pinned));
        }

        private static int within(int at, String name, Integer number, int usual, int most) {
            int value = number == null ? usual : number;
            if (value < Math.min(usual, 0) || value > most) {
                throw Problem.input("file", "Item " + at + ": \"" + name + "\" is in 0.." + most + ".");
            }
            return value;
        }
    }

    /** @param version of the form, 1 */
    record PlanFileView(int version, String className, List<PlanFileItem> items) {}

    @GetMapping(path = "/classes/{classId}/plan.csv", produces = "text/csv")
    @Operation(operationId = "planCsv", summary = "The plan of a class as a table")
    ResponseEntity<byte[]> csv(@AuthenticationPrincipal SignedIn person, @PathVariable UUID classId) {
        return file(
                person,
                classId,
                PlanFile.csv(files.rows(person.programId(), classId)),
                new MediaType("text", "csv", StandardCharsets.UTF_8),
                "plan.csv");
    }

    @GetMapping(path = "/classes/{classId}/plan.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "planJson", summary = "The plan of a class as JSON")
    ResponseEntity<byte[]> json(@AuthenticationPrincipal SignedIn person, @PathVariable UUID classId) {
        List<PlanFileItem> items = files.rows(person.programId(), classId).stream()
                .map(PlanFileItem::of)
                .toList();
        String name = rosters.schoolClass(person.programId(), classId).name();
        return file(
                person,
                classId,
                json.writerWithDefaultPrettyPrinter().writeValueAsString(new PlanFileView(VERSION, name, items)),
                MediaType.APPLICATION_JSON,
                "plan.json");
    }

    private ResponseEntity<byte[]> file(SignedIn person, UUID classId, String text, MediaType type, String name) {
        audit.note(person, Audit.What.EXPORTED, Optional.of(classId));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .contentType(type)
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    record RefusedRowView(int row, String title, String why) {}

    /** @param known rows whose things the class has already */
    record LaidView(int added, int known, List<RefusedRowView> refused) {

        static LaidView of(PlanFiles.Laid laid) {
            return new LaidView(
                    laid.added(),
                    laid.known(),
                    laid.refused().stream()
                            .map(r -> new RefusedRowView(r.row(), r.title(), r.why()))
                            .toList());
        }
    }

    @PostMapping(path = "/classes/{classId}/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Operation(
            operationId = "layPlanFile",
            summary = "Lay a plan from a CSV or JSON file onto the class's teaching weeks; nothing is ordered")
    LaidView lay(
            @AuthenticationPrincipal SignedIn person, @PathVariable UUID classId, @RequestParam MultipartFile file) {
        return LaidView.of(files.lay(person.programId(), classId, read(file)));
    }

    private List<Row> read(MultipartFile file) {
        try {
            byte[] bytes = file.getBytes();
            int first = 0;
            while (first < bytes.length && Character.isWhitespace(bytes[first])) {
                first++;
            }
            return first < bytes.length && bytes[first] == '{' ? readJson(bytes) : PlanFile.readCsv(bytes);
        } catch (UnreadableFileException e) {
            throw Problem.input("file", e.getMessage());
        } catch (IOException e) {
            throw Problem.input("file", "The file could not be read; send it again.");
        }
    }

    private List<Row> readJson(byte[] bytes) {
        PlanFileView plan;
        try {
            plan = json.readValue(bytes, PlanFileView.class);
        } catch (JacksonException e) {
            throw Problem.input("file", "This is no plan in JSON: " + e.getOriginalMessage());
        }
        if (plan.version() != VERSION || plan.items() == null) {
            throw Problem.input("file", "This is no plan of version " + VERSION + ".");
        }
        if (plan.items().size() > PlanFile.MOST_ROWS) {
            throw Problem.input("file", "A plan holds at most " + PlanFile.MOST_ROWS + " things.");
        }
        List<Row> rows = new ArrayList<>();
        for (PlanFileItem item : plan.items()) {
            if (item == null) {
                throw Problem.input("file", "Item " + (rows.size() + 1) + " is empty.");
            }
            rows.add(item.toRow(rows.size() + 1));
        }
        return rows;
    }

    @PostMapping("/classes/{classId}/last-year")
    @Operation(
            operationId = "layLastYear",
            summary = "Lay last year's plan and orders of a class onto this year's teaching weeks; nothing is ordered")
    LaidView lastYear(@AuthenticationPrincipal SignedIn person, @PathVariable UUID classId) {
        List<Row> rows = files.lastYear(person.programId(), classId);
        if (rows.isEmpty()) {
            throw Problem.notFound("There is no plan and no order of an earlier year for this class.");
        }
        return LaidView.of(files.lay(person.programId(), classId, rows));
    }
}
