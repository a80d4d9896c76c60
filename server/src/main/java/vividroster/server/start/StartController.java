package vividroster.server.start;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Optional;
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
import vividroster.core.start.FirstHour;
import vividroster.core.start.FirstHour.State;
import vividroster.core.start.FirstHour.Step;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.start.Guides.Guide;
import vividroster.server.start.StartQueries.KeptAs;

/** The first hour over HTTP: the guide, and what is begun from templates. */
@RestController
@RequestMapping("/api/start")
class StartController {

    private final Guides guides;
    private final Templates templates;

    StartController(Guides guides, Templates templates) {
        this.guides = guides;
        this.templates = templates;
    }

    record StepView(Step step, State state, String sentence) {}

    /** @param over whether nothing is left to do, so that the guide goes away */
    record GuideView(boolean over, List<StepView> steps) {}

    @GetMapping
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "guide", summary = "What stands between an empty programme and its first lesson")
    GuideView guide(@AuthenticationPrincipal SignedIn person) {
        Guide guide = guides.of(person.programId());
        return new GuideView(
                FirstHour.isOver(guide.steps()),
                guide.steps().stream()
                        .map(told -> new StepView(told.step(), told.state(), StartWording.sentence(told, guide)))
                        .toList());
    }

    /** @param as absent takes the step up again */
    record StepRequest(@Absent KeptAs as) {}

    @PutMapping("/steps/{step}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(
            operationId = "keepStep",
            summary = "Leave a step out of the guide, say it was looked at, or take it up again")
    void keepStep(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable Step step,
            @Valid @RequestBody StepRequest request) {
        guides.keep(person.programId(), step, Optional.ofNullable(request.as()));
    }

    /** @param bookId whose lines are in it; absent for checks alone */
    record LadderRequest(@Absent UUID bookId) {}

    record MadeBelts(int belts) {}

    @PostMapping("/ladder")
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "firstLadder", summary = "Make a first ladder of belts from the first checks and lines")
    MadeBelts ladder(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody LadderRequest request) {
        return new MadeBelts(templates.ladder(person, Optional.ofNullable(request.bookId())));
    }

    record TestRequest(
            @NotNull(message = "Choose the line that is played.")
            UUID lineId) {}

    record MadeTest(UUID milestoneId) {}

    @PostMapping("/test")
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "firstTest", summary = "Make a playing test of a line, scored on the usual criteria")
    MadeTest test(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody TestRequest request) {
        return new MadeTest(templates.test(person, request.lineId()));
    }
}
