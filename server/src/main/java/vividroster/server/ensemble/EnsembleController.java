package vividroster.server.ensemble;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.ensemble.Balance;
import vividroster.core.ensemble.Gate;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.server.account.Reaches;
import vividroster.server.belts.BeltBoards;
import vividroster.server.ensemble.Ensembles.Candidate;
import vividroster.server.ensemble.Ensembles.Candidates;
import vividroster.server.ensemble.Ensembles.PartsOf;
import vividroster.server.ensemble.Ensembles.Proposed;
import vividroster.server.ensemble.PieceComparisons.Compared;
import vividroster.server.ensemble.PieceComparisons.Piece;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api/ensembles/{ensembleId}")
class EnsembleController {

    private final Ensembles ensembles;
    private final PieceComparisons comparisons;
    private final Reaches reaches;
    private final InstrumentCatalog catalog;

    EnsembleController(Ensembles ensembles, PieceComparisons comparisons, Reaches reaches, InstrumentCatalog catalog) {
        this.ensembles = ensembles;
        this.comparisons = comparisons;
        this.reaches = reaches;
        this.catalog = catalog;
    }

    /** @param rank of the belt that admits, from 1; 0 for others. milestoneIds of an own list */
    record GateForm(
            @NotNull(message = "Say what admits.") GateKind kind,

            @Min(value = 0, message = "Belts are counted from 1.")
            @Max(value = 12, message = "A ladder has at most {value} belts.")
            int rank,

            @NotNull @Size(max = 60, message = "At most {max} things on the list.")
            List<@NotNull UUID> milestoneIds) {}

    /** @param inIt whether the student sits in the ensemble already; missing what would bring it nearer */
    record CandidateView(
            UUID studentId,
            String name,
            UUID classId,
            boolean inIt,
            Gate.Degree degree,
            int needed,
            List<String> missing) {}

    /** @param wanted absent where nobody said how many */
    record EnsembleSection(
            InstrumentCode instrument,
            String instrumentName,
            @Absent Integer wanted,
            int ready,
            int nearly,
            int missing,
            int over,
            Balance.Weight weight,
            List<CandidateView> candidates) {}

    record CandidatesView(GateForm gate, List<EnsembleSection> sections) {}

    @GetMapping("/candidates")
    @Operation(
            operationId = "ensembleCandidates",
            summary = "Who of a scope is ready for an ensemble, nearly ready, and what it takes; sections in balance")
    CandidatesView candidates(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID ensembleId,
            @ParameterObject ScopeRequest scope) {
        Candidates found = ensembles.candidates(person.programId(), ensembleId, scope.toScope(), reaches.of(person));
        return new CandidatesView(
                new GateForm(
                        found.gate().kind(), found.gate().rank(), found.gate().milestoneIds()),
                found.sections().stream().map(this::section).toList());
    }

    private EnsembleSection section(Ensembles.Section section) {
        Balance balance = section.balance();
        return new EnsembleSection(
                balance.instrument(),
                catalog.withCode(balance.instrument()).name(),
                balance.wanted().orElse(null),
                balance.ready(),
                balance.nearly(),
                balance.missing(),
                balance.over(),
                balance.weight(),
                section.candidates().stream().map(EnsembleController::candidate).toList());
    }

    private static CandidateView candidate(Candidate one) {
        return new CandidateView(
                one.seated().student().id(),
                one.seated().student().name(),
                one.seated().seat().classId(),
                one.inIt(),
                one.reached().degree(),
                one.reached().needed(),
                one.missing().stream().map(BeltBoards::name).toList());
    }

    @PutMapping("/gate")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "putEnsembleGate", summary = "Say what admits to an ensemble")
    void gate(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID ensembleId,
            @Valid @RequestBody GateForm gate) {
        ensembles.keep(person.programId(), ensembleId, gate.kind(), gate.rank(), gate.milestoneIds());
    }

    /** @param newNotes the part has and the student has not passed; faster than anything passed */
    record PartAskView(UUID lineId, List<String> newNotes, boolean faster, boolean fits) {}

    /** @param division in which the student sits now; lineId the part that is proposed; asks in the order of the parts */
    record PartPlayerView(UUID studentId, String name, String division, UUID lineId, List<PartAskView> asks) {}

    record OfferedPartView(UUID lineId, String title) {}

    /** @param unread parts of which only facts are kept */
    record ProposedPartsView(List<OfferedPartView> parts, List<PartPlayerView> players, List<UUID> unread) {}

    @GetMapping("/parts")
    @Operation(
            operationId = "proposeParts",
            summary = "Who of a section could play which part, by what each has passed; the director decides")
    ProposedPartsView parts(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID ensembleId,
            @RequestParam InstrumentCode instrument,
            @RequestParam @NotEmpty(message = "Choose the parts.") @Size(max = 6, message = "At most {max} parts.")
                    List<@NotNull(message = "Choose the parts.") UUID> lines) {
        Proposed proposed = ensembles.propose(person.programId(), ensembleId, instrument, lines, reaches.of(person));
        return new ProposedPartsView(
                proposed.parts().stream()
                        .map(part -> new OfferedPartView(part.id(), part.title()))
                        .toList(),
                proposed.players().stream().map(EnsembleController::partPlayer).toList(),
                proposed.unread());
    }

    private static PartPlayerView partPlayer(PartsOf player) {
        return new PartPlayerView(
                player.seated().student().id(),
                player.seated().student().name(),
                player.seated().seat().division(),
                player.part(),
                player.asks().stream()
                        .map(ask -> new PartAskView(ask.part(), ask.newNotes(), ask.faster(), ask.fits()))
                        .toList());
    }

    /**
     * @param newNow not passed by the section yet; toTeach of these what does not come by itself before the day
     * @param coming how many do
     * @param others values, signs, keys and meters that do not come by themselves either
     */
    record PieceSectionView(
            InstrumentCode instrument,
            List<String> newNow,
            List<String> toTeach,
            int coming,
            List<String> others,
            int asked,
            int weeks,
            boolean fits) {}

    /** @param sections in the order of the sections of the class; none where only facts without notes are kept */
    record PieceView(UUID lineId, String title, String concertKey, int measures, List<PieceSectionView> sections) {}

    record ComparedSection(InstrumentCode instrument, String instrumentName) {}

    /** @param sections those that read notes, in score order */
    record PiecesView(LocalDate by, int weeksLeft, List<ComparedSection> sections, List<PieceView> pieces) {}

    @GetMapping("/pieces")
    @Operation(
            operationId = "comparePieces",
            summary =
                    "Candidates for a concert: what each would still have to be taught, in notes and weeks, by section")
    PiecesView pieces(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID ensembleId,
            @RequestParam @NotEmpty(message = "Choose the pieces.") @Size(max = 8, message = "At most {max} pieces.")
                    List<@NotNull(message = "Choose the pieces.") UUID> lines,
            @RequestParam LocalDate by,
            @RequestParam(defaultValue = "2")
                    @Min(value = 1, message = "At least one new note a week.")
                    @Max(value = 10, message = "At most {value} new notes a week.")
                    int newNotesAWeek) {
        Compared compared =
                comparisons.compare(person.programId(), ensembleId, lines, by, newNotesAWeek, reaches.of(person));
        return new PiecesView(
                compared.by(),
                compared.weeksLeft(),
                compared.sections().stream()
                        .map(code ->
                                new ComparedSection(code, catalog.withCode(code).name()))
                        .toList(),
                compared.pieces().stream().map(EnsembleController::piece).toList());
    }

    private static PieceView piece(Piece piece) {
        return new PieceView(
                piece.facts().milestoneId(),
                piece.milestone().title(),
                piece.facts().concertKey().name(),
                piece.facts().measures(),
                piece.sections().stream()
                        .map(section -> new PieceSectionView(
                                section.instrument(),
                                section.named(section.told().newNow()),
                                section.named(section.told().toTeach()),
                                section.told().coming(),
                                section.others(),
                                section.told().asked(),
                                section.told().weeks(),
                                section.told().fits()))
                        .toList());
    }
}
