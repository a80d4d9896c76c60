package vividroster.server.board;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Milestone;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.server.checks.Checks;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.ScopeRequest;

/** Whether a section is ready for a check: who has still to pass what comes before it. */
@RestController
@RequestMapping("/api/checks/{milestoneId}/readiness")
class ReadinessController {

    private final Checks checks;
    private final Progress progress;
    private final HearingRuns runs;
    private final Rosters rosters;
    private final Library library;
    private final Office office;

    ReadinessController(
            Checks checks, Progress progress, HearingRuns runs, Rosters rosters, Library library, Office office) {
        this.checks = checks;
        this.progress = progress;
        this.runs = runs;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
    }

    /** @param missing names of those who have not passed it yet; asked how many it is for */
    record ReadinessView(UUID milestoneId, String title, int asked, List<String> missing) {}

    @GetMapping
    @Operation(
            operationId = "readiness",
            summary = "What comes before a check and who of a section has still to pass it")
    List<ReadinessView> readiness(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @ParameterObject ScopeRequest request) {
        UUID programId = person.programId();
        LocalDate today = office.today(programId);
        SectionScope scope = request.toScope();
        Milestone milestone = library.milestone(programId, milestoneId);
        List<Milestone> before = checks.before(programId, milestoneId);
        List<Seat> seats = rosters.seatsOfStudentsIn(programId, scope, today);
        List<Seated> asked = runs.seated(programId, seats, scope, today).stream()
                .filter(row -> milestone.isFor(row.seat().instrument()))
                .toList();
        Sheet sheet = progress.sheet(
                programId,
                Question.of(seats, today)
                        .also(before.stream().map(Milestone::id).toList()));
        return before.stream()
                .map(one -> {
                    List<Seated> concerned = asked.stream()
                            .filter(row -> one.isFor(row.seat().instrument()))
                            .toList();
                    return new ReadinessView(
                            one.id(),
                            one.title(),
                            concerned.size(),
                            concerned.stream()
                                    .filter(row -> !sheet.standing(row.player(), one.id())
                                            .isPassed())
                                    .map(row -> row.student().name())
                                    .toList());
                })
                .filter(view -> view.asked() > 0)
                .toList();
    }
}
