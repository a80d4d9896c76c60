package vividroster.server.belts;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.HandOver;
import vividroster.core.text.Lengths;
import vividroster.server.account.Reaches;
import vividroster.server.audit.Audit;
import vividroster.server.belts.BeltBoards.BeltBoard;
import vividroster.server.belts.BeltViews.BeltBoardView;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api")
class BeltController {

    private final BeltBoards boards;
    private final BeltPages pages;
    private final HandOvers handOvers;
    private final Office office;
    private final Reaches reaches;
    private final Audit audit;
    private final InstrumentCatalog catalog;

    BeltController(
            BeltBoards boards,
            BeltPages pages,
            HandOvers handOvers,
            Office office,
            Reaches reaches,
            Audit audit,
            InstrumentCatalog catalog) {
        this.boards = boards;
        this.pages = pages;
        this.handOvers = handOvers;
        this.office = office;
        this.reaches = reaches;
        this.audit = audit;
        this.catalog = catalog;
    }

    /** @param id made by the client */
    record HandedBelt(
            @NotNull(message = "A hand-over needs an id.") UUID id,

            @NotNull(message = "Say to which student.") UUID studentId,

            @NotNull(message = "Say which belt.") UUID beltId,
            @NotNull(message = "Say on which instrument.") InstrumentCode instrument) {}

    record HandOverRequest(
            @NotNull(message = "Say on which day.") LocalDate handedOn,

            @Absent @Size(max = Lengths.WORDS, message = "An occasion has at most {max} letters.")
            String occasion,

            @NotEmpty(message = "Choose whom belts are handed to.")
            @Size(max = 1000, message = "At most {max} belts at once.")
            List<@Valid @NotNull HandedBelt> belts) {}

    /** @param handed whether it was put round the student already */
    record TouchedAwardView(String belt, @Absent LocalDate earnedOn, boolean handed) {}

    @GetMapping("/belts")
    @Operation(operationId = "beltBoard", summary = "Belts worn, to be handed over, and what is missing to the next")
    BeltBoardView board(
            @AuthenticationPrincipal SignedIn person,
            @ParameterObject ScopeRequest scope,
            @RequestParam(required = false) LocalDate on) {
        return BeltViews.of(look(person, scope, on), catalog);
    }

    private BeltBoard look(SignedIn person, ScopeRequest scope, LocalDate on) {
        LocalDate day = Optional.ofNullable(on).orElseGet(() -> office.today(person.programId()));
        return boards.board(person.programId(), scope.toScope(), day, reaches.of(person));
    }

    @PostMapping("/belts/hand-overs")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "handOverBelts",
            summary = "Say that earned belts were handed over, all or none; sending it twice changes nothing")
    void handOver(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody HandOverRequest request) {
        String occasion = Optional.ofNullable(request.occasion()).orElse("").strip();
        handOvers.handOver(
                person,
                request.belts().stream()
                        .map(one -> new HandOver(
                                one.id(),
                                one.studentId(),
                                one.beltId(),
                                one.instrument(),
                                request.handedOn(),
                                occasion))
                        .toList(),
                request.handedOn());
    }

    @DeleteMapping("/belts/hand-overs/{handOverId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "takeBackHandOver", summary = "Say that a belt was not handed over after all")
    void takeBack(@AuthenticationPrincipal SignedIn person, @PathVariable UUID handOverId) {
        handOvers.takeBack(person.programId(), handOverId);
    }

    @GetMapping("/attempts/{attemptId}/awards")
    @Operation(
            operationId = "awardsTouched",
            summary = "Belts that would no longer be earned were this attempt taken back")
    List<TouchedAwardView> touched(@AuthenticationPrincipal SignedIn person, @PathVariable UUID attemptId) {
        return handOvers.touchedBy(person.programId(), attemptId).stream()
                .map(one -> new TouchedAwardView(
                        one.earned().belt().name(), one.earned().on().orElse(null), one.handed()))
                .toList();
    }

    @GetMapping(path = "/belts/wall-board.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(operationId = "wallBoardPdf", summary = "Who wears which belt, for the wall, as a PDF")
    ResponseEntity<byte[]> wallBoard(@AuthenticationPrincipal SignedIn person, @ParameterObject ScopeRequest scope) {
        return pdf(person, scope, "wall-board", board -> pages.wallBoard(person.programId(), board));
    }

    @GetMapping(path = "/belts/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(
            operationId = "beltLabelsPdf",
            summary = "Labels of the belts handed over on a day, else of those that are to be, as a PDF")
    ResponseEntity<byte[]> labels(
            @AuthenticationPrincipal SignedIn person,
            @ParameterObject ScopeRequest scope,
            @RequestParam(required = false) LocalDate handedOn) {
        return pdf(
                person,
                scope,
                "belt-labels",
                board -> pages.labels(person.programId(), board, Optional.ofNullable(handedOn)));
    }

    @GetMapping(path = "/belts/certificates.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(
            operationId = "beltCertificatesPdf",
            summary = "Certificates of the belts handed over on a day, else of those that are to be, as a PDF")
    ResponseEntity<byte[]> certificates(
            @AuthenticationPrincipal SignedIn person,
            @ParameterObject ScopeRequest scope,
            @RequestParam(required = false) LocalDate handedOn) {
        return pdf(
                person,
                scope,
                "belt-certificates",
                board -> pages.certificates(person.programId(), board, Optional.ofNullable(handedOn)));
    }

    /** @param name of the file, before the day */
    private ResponseEntity<byte[]> pdf(
            SignedIn person, ScopeRequest scope, String name, Function<BeltBoard, byte[]> paper) {
        BeltBoard board = look(person, scope, null);
        byte[] pdf = paper.apply(board);
        audit.note(person, Audit.What.EXPORTED, Optional.ofNullable(scope.classId()));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name + "-" + board.on() + ".pdf")
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_PDF)
                .body(pdf);
    }
}
