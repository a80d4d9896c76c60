package vividroster.server.podium;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.DecisionOutcome.Turned;
import vividroster.core.progress.SectionJudgement.Verdict;
import vividroster.server.account.Reaches;
import vividroster.server.belts.BeltBoards;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/decisions")
class DecisionController {

    private final DecisionOutcomes outcomes;
    private final Reaches reaches;
    private final InstrumentCatalog catalog;

    DecisionController(DecisionOutcomes outcomes, Reaches reaches, InstrumentCatalog catalog) {
        this.outcomes = outcomes;
        this.reaches = reaches;
        this.catalog = catalog;
    }

    /**
     * @param section absent for the whole class
     * @param passedThen of those asked had passed when it was decided; passedSince have by now
     */
    record DecisionOutcomeView(
            UUID id,
            LocalDate decidedOn,
            String decidedBy,
            @Absent String section,
            UUID milestoneId,
            String milestone,
            Verdict advised,
            Verdict decided,
            boolean overruled,
            int asked,
            int passedThen,
            int passedSince,
            Turned turned,
            List<String> stillBehind) {}

    @GetMapping
    @Operation(
            operationId = "decisionOutcomes",
            summary = "What was decided about the sections of a class, and how it turned out")
    List<DecisionOutcomeView> outcomes(@AuthenticationPrincipal SignedIn person, @RequestParam UUID classId) {
        return outcomes.of(person.programId(), classId, reaches.of(person)).stream()
                .map(one -> new DecisionOutcomeView(
                        one.kept().id(),
                        one.kept().decided().on(),
                        one.kept().decidedBy(),
                        one.kept()
                                .on()
                                .instrument()
                                .map(code -> catalog.withCode(code).name())
                                .orElse(null),
                        one.milestone().id(),
                        BeltBoards.name(one.milestone()),
                        one.kept().advised(),
                        one.kept().decided().verdict(),
                        one.outcome().overruled(),
                        one.outcome().asked(),
                        one.outcome().passedThen(),
                        one.outcome().passedSince(),
                        one.outcome().turned(),
                        one.stillBehind()))
                .toList();
    }
}
