package vividroster.server.library;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Milestone;
import vividroster.core.reading.Vocabulary.Sign;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Ids;
import vividroster.server.platform.SignedIn;

/** Method books and what is known of their lines. */
@RestController
@RequestMapping("/api/books")
class BookController {

    private final Library library;
    private final LineEditing editing;

    BookController(Library library, LineEditing editing) {
        this.library = library;
        this.editing = editing;
    }

    /** @param notesKept whether the notes of its lines may be kept, or facts alone */
    record BookView(UUID id, String title, String volume, boolean notesKept, int lines) {}

    record BookRequest(
            @NotBlank(message = "Give the book a title.")
            @Size(max = Lengths.NAME, message = "Keep the title under {max} characters.")
            String title,

            @Size(max = Lengths.WORDS, message = "Keep the volume under {max} characters.") @Absent
            String volume,

            boolean notesKept) {

        private Book book(UUID id) {
            return new Book(id, title.strip(), volume == null ? "" : volume.strip(), notesKept);
        }
    }

    record MadeView(UUID id) {}

    /**
     * @param concertKey for example "B-flat major"; meter for example "3/4"
     * @param notesUsed at concert pitch, separated by spaces, for example "Bb3 C4 D4"
     * @param valuesIntroduced by name, for example "dotted quarter" or "half rest"
     */
    record LineRequest(
            @NotNull(message = "Choose a book.") UUID bookId,

            @Min(value = 1, message = "Pages are counted from 1.")
            @Max(value = 2000, message = "No book has more than 2000 pages.")
            int page,

            @Min(value = 1, message = "Lines are counted from 1.")
            @Max(value = 5000, message = "No book has more than 5000 lines.")
            int number,

            @NotBlank(message = "Give the line a title.")
            @Size(max = Lengths.TITLE, message = "Keep the title under {max} characters.")
            String title,

            @NotBlank(message = "Give the concert key.") String concertKey,
            @NotBlank(message = "Give the meter.") String meter,
            double tempoBpm,
            int measures,
            int playedMeasures,
            @Absent String notesUsed,
            @Absent List<String> valuesIntroduced,
            @Absent Set<Sign> signsIntroduced,
            @Absent String roadmap) {}

    /** The facts of a line as a form shows them. */
    record LineFactsView(
            UUID bookId,
            int page,
            int number,
            String title,
            String concertKey,
            String meter,
            double tempoBpm,
            int measures,
            int playedMeasures,
            String notesUsed,
            List<String> valuesIntroduced,
            List<Sign> signsIntroduced,
            String roadmap,
            boolean retired) {}

    record RetireRequest(boolean retired) {}

    @GetMapping
    @Operation(operationId = "books", summary = "Method books, with how many lines each has")
    List<BookView> books(@AuthenticationPrincipal SignedIn person) {
        Map<UUID, Integer> lines = new HashMap<>();
        List<UUID> ids = library.allMilestones(person.programId()).stream()
                .map(Milestone::id)
                .toList();
        library.lines(person.programId(), ids).values().forEach(line -> lines.merge(line.bookId(), 1, Integer::sum));
        return library.books(person.programId()).values().stream()
                .map(b -> new BookView(b.id(), b.title(), b.volume(), b.notesKept(), lines.getOrDefault(b.id(), 0)))
                .toList();
    }

    @PostMapping
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "addBook", summary = "Put a method book on the shelf")
    MadeView add(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody BookRequest request) {
        Book book = request.book(Ids.next());
        library.addBook(person.programId(), book);
        return new MadeView(book.id());
    }

    @PutMapping("/{bookId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "reviseBook", summary = "Change a book's title, volume, and whether its notes may be kept")
    void revise(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID bookId,
            @Valid @RequestBody BookRequest request) {
        library.reviseBook(person.programId(), request.book(bookId));
    }

    @PostMapping("/lines")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "addLine", summary = "Put a line on the shelf by its facts")
    MadeView addLine(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody LineRequest request) {
        return new MadeView(editing.add(person.programId(), request));
    }

    @GetMapping("/lines/{lineId}")
    @Operation(operationId = "lineFacts", summary = "The facts of a line")
    LineFactsView lineFacts(@AuthenticationPrincipal SignedIn person, @PathVariable UUID lineId) {
        LineFacts line = library.line(person.programId(), lineId);
        Milestone milestone = library.milestone(person.programId(), lineId);
        return new LineFactsView(
                line.bookId(),
                line.page(),
                line.number(),
                milestone.title(),
                line.concertKey().name(),
                line.meter().toString(),
                line.tempo().value(),
                line.measures(),
                line.played(),
                String.join(
                        " ",
                        line.details().notesUsed().stream()
                                .map(Object::toString)
                                .toList()),
                line.details().valuesIntroduced(),
                List.copyOf(line.details().signsIntroduced()),
                line.details().roadmap(),
                library.retired(person.programId()).contains(lineId));
    }

    @PutMapping("/lines/{lineId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "reviseLine", summary = "Change the facts of a line; orders, tries and notes stay")
    void reviseLine(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @Valid @RequestBody LineRequest request) {
        editing.revise(person.programId(), lineId, request);
    }

    @PostMapping("/lines/{lineId}/retired")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "retireLine", summary = "Take a line off the shelf or put it back; orders and tries stay")
    void retire(
            @AuthenticationPrincipal SignedIn person, @PathVariable UUID lineId, @RequestBody RetireRequest request) {
        library.line(person.programId(), lineId);
        library.retire(person.programId(), lineId, request.retired());
    }
}
