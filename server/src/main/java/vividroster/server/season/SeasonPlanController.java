package vividroster.server.season;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.Pacing;
import vividroster.core.plan.PlanInputException;
import vividroster.core.plan.PlanPrices;
import vividroster.core.plan.PlanRules;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.PlanViews.PlanView;
import vividroster.server.season.PlanViews.TargetView;
import vividroster.server.season.PlanYearQueries.ClassPacing;
import vividroster.server.season.PlanYearQueries.SectionOf;
import vividroster.server.season.PlanYearQueries.Settings;

@RestController
@RequestMapping("/api/season/plan")
class SeasonPlanController {

    private final SeasonPlans plans;
    private final PlanChoices choices;

    SeasonPlanController(SeasonPlans plans, PlanChoices choices) {
        this.plans = plans;
        this.choices = choices;
    }

    record RevisionView(long revision) {}

    @GetMapping
    @Operation(
            operationId = "seasonPlan",
            summary = "The year's plan of classes, and of those they hang together with, with what was ordered")
    PlanView plan(@AuthenticationPrincipal SignedIn person, @RequestParam List<UUID> classIds) {
        if (classIds.isEmpty() || classIds.size() > 12) {
            throw Problem.input("classIds", "Look at 1 to 12 classes at once.");
        }
        return plans.view(person.programId(), classIds);
    }

    /** @param fromPage inclusive, as toPage; absent for the ends of the book */
    record PlanPagesRequest(
            @NotNull(message = "Choose a book.") UUID bookId,
            @Absent Integer fromPage,
            @Absent Integer toPage) {}

    /** @param id made by the client, so that sending twice chooses once */
    record PlanPieceRequest(
            @NotNull(message = "A piece needs an id.") UUID id,

            @NotBlank(message = "Say what the piece is called.")
            @Size(max = Lengths.TITLE - 12, message = "At most {max} letters.")
            String title,

            @Min(value = 1, message = "Give it 1 to 300 minutes.")
            @Max(value = 300, message = "Give it 1 to 300 minutes.")
            int minutes,

            @Min(value = 1, message = "Prepare it over 1 to 20 weeks.")
            @Max(value = PlanChoices.MOST_PARTS, message = "Prepare it over 1 to 20 weeks.")
            int weeks,

            @NotNull(message = "Say by which day.") LocalDate dueBy) {}

    record CatchUpRequest(
            @NotNull(message = "It needs an id.") UUID id,
            @NotNull(message = "Choose a week.") LocalDate monday,

            @Min(value = 1, message = "Give it 1 to 300 minutes.")
            @Max(value = 300, message = "Give it 1 to 300 minutes.")
            int minutes) {}

    record PlanChoiceRequest(
            @NotNull(message = "Choose a class.") UUID classId,
            @Absent @Valid PlanPagesRequest pages,
            boolean firstChecks,
            boolean tests,
            boolean belts,

            @Absent @Size(max = 40, message = "Choose at most {max} belts at once.")
            List<@NotNull UUID> beltIds,

            @Absent @Valid PlanPieceRequest piece,
            @Absent @Valid CatchUpRequest catchUp) {}

    record PlanChosenView(int added) {}

    @PostMapping("/choose")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "chooseForPlan",
            summary = "Choose what a class is to do this year; what is there already is passed over")
    PlanChosenView choose(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody PlanChoiceRequest request) {
        return new PlanChosenView(choices.choose(
                person,
                new PlanChoices.YearChoice(
                        request.classId(),
                        Optional.ofNullable(request.pages())
                                .map(p -> new PlanChoices.Pages(
                                        p.bookId(),
                                        Optional.ofNullable(p.fromPage()),
                                        Optional.ofNullable(p.toPage()))),
                        request.firstChecks(),
                        request.tests(),
                        request.belts(),
                        Optional.ofNullable(request.beltIds()).orElse(List.of()),
                        Optional.ofNullable(request.piece())
                                .map(p -> new PlanChoices.Piece(
                                        p.id(), p.title().strip(), p.minutes(), p.weeks(), p.dueBy())),
                        Optional.ofNullable(request.catchUp())
                                .map(c -> new PlanChoices.CatchUp(c.id(), c.monday(), c.minutes())))));
    }

    /** @param monday absent where it is taken out of the weeks; pinned, so that no plan moves it */
    record MoveRequest(
            @NotNull(message = "Say what is moved.") UUID itemId,
            @Absent LocalDate monday,
            boolean pinned) {}

    /** @param evenIfBroken also where a hard rule forbids it; the plan then says so */
    record MovesRequest(
            @NotNull(message = "Choose a class.") UUID classId,
            long revision,

            @NotEmpty(message = "Say what is moved.") @Size(max = 500, message = "Move at most 500 things at once.")
            List<@Valid @NotNull MoveRequest> moves,

            boolean evenIfBroken) {}

    @PostMapping("/moves")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "movePlanned", summary = "Put things of a plan into other weeks, all of them or none")
    RevisionView move(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody MovesRequest request) {
        return new RevisionView(plans.move(
                person.programId(),
                request.classId(),
                request.revision(),
                request.moves().stream()
                        .map(m -> new SeasonPlans.Move(m.itemId(), Optional.ofNullable(m.monday()), m.pinned()))
                        .toList(),
                request.evenIfBroken()));
    }

    record TargetsRequest(
            @NotNull(message = "Choose a class.") UUID classId,

            @NotEmpty(message = "Say what is moved.") @Size(max = 60, message = "Move at most 60 things at once.")
            List<@NotNull UUID> itemIds) {}

    @PostMapping("/targets")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "planTargets",
            summary = "For every week whether things may stand there, the first leading, and why not")
    List<TargetView> targets(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody TargetsRequest request) {
        return plans.targets(person.programId(), request.classId(), request.itemIds());
    }

    record PlanWhyView(List<String> sentences) {}

    @GetMapping("/why")
    @Operation(operationId = "whyPlanned", summary = "Why something stands where it stands, and not a week off")
    PlanWhyView why(@AuthenticationPrincipal SignedIn person, @RequestParam UUID classId, @RequestParam UUID itemId) {
        return new PlanWhyView(plans.why(person.programId(), classId, itemId.toString()));
    }

    /** All of what a director says of one thing. */
    record PlanItemRequest(
            @NotNull(message = "Choose a class.") UUID classId,

            @Min(value = 0, message = "Its value must be in 0..100000.")
            @Max(value = 100_000, message = "Its value must be in 0..100000.")
            int value,

            boolean essential,

            @Min(value = 0, message = "Give it 0 to 600 minutes.")
            @Max(value = 600, message = "Give it 0 to 600 minutes.")
            int teachMinutes,

            boolean heardAlone,
            @Absent LocalDate notBefore,
            @Absent LocalDate dueBy,

            @Min(value = 0, message = "The margin must be 0 to 60 weeks.")
            @Max(value = 60, message = "The margin must be 0 to 60 weeks.")
            int marginWeeks) {}

    @PutMapping("/items/{itemId}")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "changePlanned", summary = "Say what something is worth, how long it takes and its dates")
    RevisionView change(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID itemId,
            @Valid @RequestBody PlanItemRequest request) {
        return new RevisionView(plans.change(
                person.programId(),
                request.classId(),
                itemId,
                new SeasonPlans.ItemChange(
                        request.value(),
                        request.essential(),
                        request.teachMinutes(),
                        request.heardAlone(),
                        Optional.ofNullable(request.notBefore()),
                        Optional.ofNullable(request.dueBy()),
                        request.marginWeeks())));
    }

    record RemovalRequest(
            @NotEmpty(message = "Say what is taken out.")
            @Size(max = 5_000, message = "Take out at most 5000 things at once.")
            List<@NotNull UUID> itemIds) {}

    @PostMapping("/removals")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "removePlanned", summary = "Take things out of the plan; what was ordered stays ordered")
    RevisionView remove(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody RemovalRequest request) {
        return new RevisionView(plans.remove(person.programId(), request.itemIds()));
    }

    record PacingRequest(
            @NotNull(message = "Choose a pacing.") Pacing pacing,

            @Min(value = 0, message = "Keep back 0 to 90 percent.")
            @Max(value = 90, message = "Keep back 0 to 90 percent.")
            int reservePercent) {}

    @PutMapping("/classes/{classId}")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "paceClass", summary = "How a class keeps its sections together")
    RevisionView pacing(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID classId,
            @Valid @RequestBody PacingRequest request) {
        return new RevisionView(
                choices.pace(person.programId(), classId, new ClassPacing(request.pacing(), request.reservePercent())));
    }

    /** @param pacePercent of its usual minutes; 100 where it keeps the pace, fewer where it runs ahead */
    record PaceRequest(
            @NotNull(message = "Choose a section.") InstrumentCode instrument,

            @Min(value = 50, message = "A section takes 50 to 200 percent of its minutes.")
            @Max(value = 200, message = "A section takes 50 to 200 percent of its minutes.")
            int pacePercent) {}

    @PutMapping("/classes/{classId}/pace")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "paceSection", summary = "Say how much longer or shorter than planned a section takes")
    RevisionView pace(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID classId,
            @Valid @RequestBody PaceRequest request) {
        return new RevisionView(
                plans.pace(person.programId(), new SectionOf(classId, request.instrument()), request.pacePercent()));
    }

    /** Rules and prices of plans, in points. */
    record PlanSettingsView(
            int maxNewNotes,
            int fullPercent,
            long essential,
            long dropPerValue,
            long lateEach,
            long latePerWeek,
            long brokenNeed,
            long overPerMinute,
            long unevenPerMinute,
            long orderPerWeek,
            long marginPerWeek,
            long movedEach,
            long movedPerWeek) {

        static PlanSettingsView of(Settings settings) {
            PlanPrices p = settings.prices();
            return new PlanSettingsView(
                    settings.rules().maxNewNotes(),
                    settings.rules().fullPercent(),
                    p.essential(),
                    p.dropPerValue(),
                    p.lateEach(),
                    p.latePerWeek(),
                    p.brokenNeed(),
                    p.overPerMinute(),
                    p.unevenPerMinute(),
                    p.orderPerWeek(),
                    p.marginPerWeek(),
                    p.movedEach(),
                    p.movedPerWeek());
        }

        Settings toSettings() {
            try {
                return new Settings(
                        new PlanRules(maxNewNotes, fullPercent),
                        new PlanPrices(
                                essential,
                                dropPerValue,
                                lateEach,
                                latePerWeek,
                                brokenNeed,
                                overPerMinute,
                                unevenPerMinute,
                                orderPerWeek,
                                marginPerWeek,
                                movedEach,
                                movedPerWeek));
            } catch (PlanInputException e) {
                throw Problem.input(e.place(), e.getMessage());
            }
        }
    }

    @GetMapping("/settings")
    @Operation(operationId = "planSettings", summary = "Rules and prices by which plans are made")
    PlanSettingsView settings(@AuthenticationPrincipal SignedIn person) {
        return PlanSettingsView.of(plans.settings(person.programId()));
    }

    @PutMapping("/settings")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "setPlanSettings", summary = "Set the rules and prices by which plans are made")
    RevisionView set(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody PlanSettingsView request) {
        return new RevisionView(plans.set(person.programId(), request.toSettings()));
    }
}
