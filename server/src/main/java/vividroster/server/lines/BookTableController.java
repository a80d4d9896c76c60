package vividroster.server.lines;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import vividroster.core.curriculum.BookTable;
import vividroster.core.curriculum.BookTable.Line;
import vividroster.core.curriculum.BookTable.Outcome;
import vividroster.core.curriculum.BookTable.Planned;
import vividroster.core.curriculum.BookTable.Row;
import vividroster.core.music.InstrumentCode;
import vividroster.core.text.Lengths;
import vividroster.formats.book.BookFile;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

/** The lines of a book by their facts, many at once, over HTTP. */
@RestController
@RequestMapping("/api/books")
@PreAuthorize("hasAuthority('TEACH')")
class BookTableController {

    private final BookTables tables;

    BookTableController(BookTables tables) {
        this.tables = tables;
    }

    record NewForInstrument(
            @NotNull(message = "Choose an instrument.") InstrumentCode instrument,

            @NotNull @Size(max = Lengths.REMARK, message = "At most {max} letters.")
            String words) {}

    /** As typed; blank is as in the row above. Ranges like "1-40" stand in number and page. */
    record LineRow(
            @NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String page,

            @NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String number,

            @NotNull @Size(max = Lengths.REMARK, message = "At most {max} letters.")
            String title,

            @NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String key,

            @NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String meter,

            @NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String measures,

            @NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String tempo,

            @Absent @Size(max = 60, message = "At most {max} instruments.")
            List<@Valid @NotNull NewForInstrument> news) {

        Row toRow(int line) {
            Map<InstrumentCode, String> words = news == null
                    ? Map.of()
                    : news.stream()
                            .collect(Collectors.toMap(
                                    NewForInstrument::instrument, NewForInstrument::words, (a, b) -> b));
            return new Row(line, page, number, title, key, meter, measures, tempo, words);
        }

        static LineRow of(Row row) {
            return new LineRow(
                    row.page(),
                    row.number(),
                    row.title(),
                    row.key(),
                    row.meter(),
                    row.measures(),
                    row.tempo(),
                    news(row.news()));
        }

        static LineRow of(Line line) {
            return new LineRow(
                    String.valueOf(line.page()),
                    String.valueOf(line.number()),
                    line.title(),
                    line.key().name(),
                    line.meter().toString(),
                    String.valueOf(line.measures()),
                    String.valueOf(line.tempo().value()),
                    news(line.news()));
        }

        private static List<NewForInstrument> news(Map<InstrumentCode, String> words) {
            return words.isEmpty()
                    ? null
                    : words.entrySet().stream()
                            .map(one -> new NewForInstrument(one.getKey(), one.getValue()))
                            .toList();
        }
    }

    record TableRequest(
            @NotEmpty(message = "Type at least one line.")
            @Size(max = BookTable.MOST_LINES, message = "At most {max} rows at once.")
            List<@Valid @NotNull LineRow> rows) {

        List<Row> toRows() {
            List<Row> read = new ArrayList<>();
            for (LineRow row : rows) {
                read.add(row.toRow(read.size() + 1));
            }
            return read;
        }
    }

    enum LineRowKind {
        ADDED,
        CHANGED,
        UNCHANGED,
        REFUSED
    }

    /** @param text what the row will do, or why it cannot; column the cell that is about, absent for most */
    record PlannedLineRow(
            LineRowKind kind, String text, @Absent String column, int lines) {}

    /** @param lines how many lines there will be new */
    record TableView(List<PlannedLineRow> rows, int lines, int changed, int refused) {}

    record TableRows(
            List<LineRow> rows,
            List<String> ignoredHeadings,
            @Absent String notice) {}

    @GetMapping("/{bookId}/table")
    @Operation(operationId = "bookTable", summary = "The lines of a book as rows of a table, by number")
    TableRows table(@AuthenticationPrincipal SignedIn person, @PathVariable UUID bookId) {
        return new TableRows(
                tables.lines(person.programId(), bookId).stream()
                        .map(LineRow::of)
                        .toList(),
                List.of(),
                null);
    }

    @PostMapping("/{bookId}/table/preview")
    @Operation(
            operationId = "previewBookTable",
            summary = "What keeping these rows would do, row by row; changes nothing")
    TableView preview(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID bookId,
            @Valid @RequestBody TableRequest request) {
        return view(tables.plan(person.programId(), bookId, request.toRows()));
    }

    @PostMapping("/{bookId}/table")
    @Operation(operationId = "keepBookTable", summary = "Keep the lines of a table, all of them or none")
    TableView keep(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID bookId,
            @Valid @RequestBody TableRequest request) {
        return view(tables.keep(person, bookId, request.toRows()));
    }

    @PostMapping(path = "/table-file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Operation(
            operationId = "readBookTable",
            summary = "The rows of a CSV file, or of what was pasted from a spreadsheet, as typed; changes nothing")
    TableRows read(@RequestPart MultipartFile file) throws IOException {
        BookFile.Read read = tables.read(file.getBytes());
        return new TableRows(
                read.rows().stream().map(LineRow::of).toList(),
                read.ignoredHeadings(),
                read.notice().orElse(null));
    }

    @GetMapping(path = "/{bookId}/lines.csv", produces = "text/csv")
    @Operation(operationId = "bookCsv", summary = "The facts of a book's lines as a CSV file that could be taken again")
    ResponseEntity<byte[]> csv(@AuthenticationPrincipal SignedIn person, @PathVariable UUID bookId) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("lines.csv")
                                .build()
                                .toString())
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(tables.asFile(person.programId(), bookId).getBytes(StandardCharsets.UTF_8));
    }

    private static TableView view(List<Planned> planned) {
        List<PlannedLineRow> rows =
                planned.stream().map(BookTableController::view).toList();
        return new TableView(
                rows,
                rows.stream()
                        .filter(row -> row.kind() == LineRowKind.ADDED)
                        .mapToInt(PlannedLineRow::lines)
                        .sum(),
                (int) rows.stream()
                        .filter(row -> row.kind() == LineRowKind.CHANGED)
                        .count(),
                (int) rows.stream()
                        .filter(row -> row.kind() == LineRowKind.REFUSED)
                        .count());
    }

    private static PlannedLineRow view(Planned planned) {
        String text = BookTableWording.sentence(planned.outcome());
        return switch (planned.outcome()) {
            case Outcome.Added added ->
                new PlannedLineRow(LineRowKind.ADDED, text, null, added.lines().size());
            case Outcome.Changed changed -> new PlannedLineRow(LineRowKind.CHANGED, text, null, 1);
            case Outcome.Unchanged unchanged -> new PlannedLineRow(LineRowKind.UNCHANGED, text, null, 0);
            case Outcome.Refused refused ->
                new PlannedLineRow(LineRowKind.REFUSED, text, BookTableWording.field(refused.column()), 0);
        };
    }
}
