package vividroster.server.demo;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.text.Lengths;
import vividroster.server.library.Library;
import vividroster.server.lines.LineNotations;
import vividroster.server.lines.LineRemarks;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** The method book that ships, composed for this application: any programme may take its volumes onto its shelf. */
@Service
class ShippedBooks {

    private final Library library;
    private final LineNotations notations;
    private final LineRemarks remarks;

    ShippedBooks(Library library, LineNotations notations, LineRemarks remarks) {
        this.library = library;
        this.notations = notations;
        this.remarks = remarks;
    }

    /** How many lines each volume has. */
    Map<String, Long> volumes() {
        return DemoFiles.rows("lines").stream()
                .collect(Collectors.groupingBy(row -> row.get("volume"), TreeMap::new, Collectors.counting()));
    }

    /**
     * @return how many lines came
     * @throws Problem when there is no such volume, or it is on the shelf already
     */
    @Transactional
    int take(SignedIn person, String volume) {
        if (!volumes().containsKey(volume)) {
            throw Problem.input("volume", "The " + DemoLibrary.TITLE + " has no volume \"" + volume + "\".");
        }
        return DemoLibrary.shelve(library, notations, remarks, person.programId(), person.accountId(), volume);
    }

    /** The book that ships, over HTTP. */
    @RestController
    @RequestMapping("/api/shipped-books")
    @PreAuthorize("hasAuthority('TEACH')")
    static class ShippedBookController {

        private final ShippedBooks books;

        ShippedBookController(ShippedBooks books) {
            this.books = books;
        }

        record ShippedVolume(String title, String volume, int lines) {}

        record ShelveRequest(
                @NotNull(message = "Choose a volume.") @Size(max = Lengths.WORDS, message = "There is no such volume.")
                String volume) {}

        record ShelvedView(int lines) {}

        @GetMapping
        @Operation(operationId = "shippedBooks", summary = "The volumes of the method book that ships")
        List<ShippedVolume> shipped() {
            return books.volumes().entrySet().stream()
                    .map(volume -> new ShippedVolume(
                            DemoLibrary.TITLE,
                            volume.getKey(),
                            volume.getValue().intValue()))
                    .toList();
        }

        @PostMapping
        @ResponseStatus(HttpStatus.CREATED)
        @Operation(
                operationId = "shelveBook",
                summary = "Take a volume of the book that ships onto the shelf, with its notes")
        ShelvedView shelve(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody ShelveRequest request) {
            return new ShelvedView(books.take(person, request.volume()));
        }
    }
}
