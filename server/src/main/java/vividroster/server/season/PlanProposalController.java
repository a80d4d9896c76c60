package vividroster.server.season;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
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
import vividroster.core.music.InstrumentCode;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.PlanProposalView.OptionKind;
import vividroster.server.season.SeasonPlanController.RevisionView;

@RestController
@RequestMapping("/api/season/plan")
@PreAuthorize("hasAuthority('TEACH')")
class PlanProposalController {

    private final PlanProposals proposals;
    private final PlanOptionsTaken options;
    private final WeekOrders weeks;
    private final PlanLooks looks;

    PlanProposalController(PlanProposals proposals, PlanOptionsTaken options, WeekOrders weeks, PlanLooks looks) {
        this.looks = looks;
        this.proposals = proposals;
        this.options = options;
        this.weeks = weeks;
    }

    /** @param cause in words of the director */
    record ProposeRequest(
            @NotNull(message = "Choose a class.") UUID classId,

            @Absent @Size(max = Lengths.NOTE, message = "At most {max} letters.")
            String cause) {}

    @PostMapping("/proposals")
    @Operation(
            operationId = "proposePlan",
            summary = "Look for a better plan, balanced and with few moves; nothing changes until it is taken")
    List<PlanProposalView> propose(
            @AuthenticationPrincipal SignedIn person, @Valid @RequestBody ProposeRequest request) {
        return proposals.propose(
                person,
                request.classId(),
                request.cause() == null ? "" : request.cause().strip());
    }

    @GetMapping("/proposals")
    @Operation(operationId = "planProposals", summary = "What waits to be taken, as differences to today's plan")
    List<PlanProposalView> waiting(@AuthenticationPrincipal SignedIn person, @RequestParam UUID classId) {
        return proposals.waiting(person.programId(), classId);
    }

    /** @param itemIds which changes; empty for all of them */
    record TakeChangesRequest(
            @NotNull(message = "Choose a class.") UUID classId,
            long revision,

            @NotNull(message = "Say which changes.") @Size(max = 5_000, message = "At most {max} changes.")
            List<@NotNull UUID> itemIds,

            boolean evenIfBroken) {}

    @PostMapping("/proposals/{proposalId}/take")
    @Operation(operationId = "takeProposal", summary = "Take a proposal, whole or some of its changes")
    RevisionView take(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID proposalId,
            @Valid @RequestBody TakeChangesRequest request) {
        return new RevisionView(proposals.take(
                person.programId(),
                request.classId(),
                proposalId,
                request.revision(),
                request.itemIds(),
                request.evenIfBroken()));
    }

    @DeleteMapping("/proposals")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "keepPlan", summary = "Keep today's plan; what waits for the class goes")
    void dismiss(@AuthenticationPrincipal SignedIn person, @RequestParam UUID classId) {
        proposals.dismiss(person.programId(), classId);
    }

    /** An option of a proposal as it was shown. */
    record FittingRequest(
            @NotNull(message = "Choose a class.") UUID classId,
            @NotNull(message = "Say what is to fit.") UUID itemId,
            @NotNull(message = "Say how.") OptionKind kind,
            @Absent UUID otherItemId,
            @Absent LocalDate monday,
            @Absent UUID minutesOf,

            @Absent
            @Min(value = 1, message = "Give 1 to 300 minutes.")
            @Max(value = 300, message = "Give 1 to 300 minutes.")
            Integer minutes,

            @Absent List<@NotNull InstrumentCode> instruments) {}

    @PostMapping("/options")
    @Operation(
            operationId = "takeOption",
            summary = "Make the one change that lets something fit, and look for the plan again")
    List<PlanProposalView> option(
            @AuthenticationPrincipal SignedIn person, @Valid @RequestBody FittingRequest request) {
        return options.take(
                person,
                request.classId(),
                new PlanOptionsTaken.Taken(
                        request.itemId(),
                        request.kind(),
                        Optional.ofNullable(request.otherItemId()),
                        Optional.ofNullable(request.monday()),
                        Optional.ofNullable(request.minutesOf()),
                        request.minutes() == null ? 0 : request.minutes(),
                        request.instruments() == null ? List.of() : request.instruments()));
    }

    /** @param leftOut sections that do not get it this week; for them it stays in the plan, a week later */
    record WeekItemRequest(
            @NotNull(message = "Say what is ordered.") UUID itemId,
            @NotNull(message = "An order needs an id.") UUID orderId,
            @NotNull(message = "Say who is left out.") Set<@NotNull InstrumentCode> leftOut,
            @Absent LocalDate dueOn,
            boolean substituteAccepted,
            boolean partnerCheckPasses) {}

    record WeekRequest(
            @NotNull(message = "Choose a class.") UUID classId,
            @NotNull(message = "Choose a week.") LocalDate monday,

            @NotEmpty(message = "Say what is ordered.") @Size(max = 60, message = "Order at most 60 things at once.")
            List<@Valid @NotNull WeekItemRequest> items) {}

    record WeekOrderedView(int orders) {}

    @PostMapping("/order-week")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(
            operationId = "orderWeek",
            summary = "Order what the plan has for a week, for its sections, all of it or none")
    WeekOrderedView order(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody WeekRequest request) {
        return new WeekOrderedView(weeks.order(
                person,
                request.classId(),
                request.monday(),
                request.items().stream()
                        .map(item -> new WeekOrders.Wanted(
                                item.itemId(),
                                item.orderId(),
                                item.leftOut(),
                                Optional.ofNullable(item.dueOn()),
                                item.substituteAccepted(),
                                item.partnerCheckPasses()))
                        .toList()));
    }

    record LookStartedView(UUID id) {}

    /**
     * @param done steps so far, of all
     * @param points of the best plan so far; absent before it has one
     * @param endedAs absent while it looks; FAILED also where its server is gone
     */
    record LookView(
            UUID id,
            long done,
            long steps,
            @Absent Long points,
            @Absent LookQueries.EndedAs endedAs) {}

    record LongLookRequest(
            @NotNull(message = "Choose a class.") UUID classId) {}

    @PostMapping("/looks")
    @ResponseStatus(HttpStatus.ACCEPTED)
    @Operation(operationId = "lookLonger", summary = "Look longer for a better plan, in the background")
    LookStartedView look(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody LongLookRequest request) {
        return new LookStartedView(looks.start(person, request.classId()));
    }

    @GetMapping("/looks/{lookId}")
    @Operation(operationId = "longLook", summary = "How far a long look is")
    LookView look(@AuthenticationPrincipal SignedIn person, @PathVariable UUID lookId) {
        LookQueries.Look look = looks.find(person.programId(), lookId);
        return new LookView(
                look.id(),
                look.done(),
                look.steps(),
                look.points().orElse(null),
                looks.isLost(look) ? LookQueries.EndedAs.FAILED : look.endedAs().orElse(null));
    }

    @PostMapping("/looks/{lookId}/stop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "stopLongLook", summary = "Stop with the best plan so far")
    void stop(@AuthenticationPrincipal SignedIn person, @PathVariable UUID lookId) {
        looks.stop(person.programId(), lookId);
    }
}
