package vividroster.server.season;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.plan.PlanMilestone.FixedBecause;
import vividroster.core.plan.PlanTrouble;
import vividroster.server.platform.Absent;

/** Self-contained problems planned over HTTP; nothing is read of the programme and nothing is kept. */
@RestController
@RequestMapping("/api/season")
@PreAuthorize("hasAuthority('TEACH')")
class PlanTrialController {

    private final PlanTrials trials;

    PlanTrialController(PlanTrials trials) {
        this.trials = trials;
    }

    record TrialWeek(boolean closed) {}

    /** @param minutes one number for each week */
    record TrialClass(@NotNull String id, @NotNull List<Integer> minutes) {}

    record TrialSection(
            @NotNull String id,
            @JsonProperty("class") @NotNull String classId) {}

    record TrialRules(@Absent Integer maxNewNotes, @Absent Integer fullPercent) {}

    /** Prices in points; what is absent costs what it usually does. */
    record TrialWeights(
            @Absent Long essential,
            @Absent Long dropPerValue,
            @Absent Long lateEach,
            @Absent Long latePerWeek,
            @Absent Long brokenNeed,
            @Absent Long overPerMinute,
            @Absent Long unevenPerMinute,
            @Absent Long orderPerWeek,
            @Absent Long marginPerWeek,
            @Absent Long movedEach,
            @Absent Long movedPerWeek) {}

    record TrialShare(
            @NotNull String section,
            @Absent Integer teachMinutes,
            @Absent Integer hearMinutes,
            @Absent List<String> newNotes) {}

    record TrialNeed(@NotNull String milestone, @Absent Integer gapWeeks) {}

    record TrialDeadline(@NotNull Integer week, @Absent Integer marginWeeks) {}

    /**
     * @param kind of the milestone; the planner does not ask it
     * @param fixedBecause DATE when absent
     */
    record TrialMilestone(
            @NotNull String id,
            @Absent String kind,
            @NotNull Integer value,
            @Absent Boolean essential,
            @Absent Integer teachMinutes,
            @NotNull @Valid List<TrialShare> sections,
            @Absent @Valid List<TrialNeed> needs,
            @Absent Integer earliestWeek,
            @Absent @Valid TrialDeadline deadline,
            @Absent Integer fixedWeek,
            @Absent FixedBecause fixedBecause) {}

    /**
     * @param sequences book orders
     * @param today the plan in force, by milestone
     * @param steps how long to look; as many as the problem's size asks for when absent
     */
    record PlanTrial(
            @NotNull List<TrialWeek> weeks,
            @NotNull @Valid List<TrialClass> classes,
            @NotNull @Valid List<TrialSection> sections,
            @Absent TrialRules rules,
            @Absent TrialWeights weights,
            @NotNull @Valid List<TrialMilestone> milestones,
            @Absent List<List<String>> sequences,
            @Absent Map<String, Integer> today,
            @Absent @Min(0) @Max(3_000_000) Integer steps) {}

    /** Which facts are there depends on the kind. */
    record ReasonView(
            String kind,
            @Absent Integer week,
            @Absent String milestone,
            @JsonProperty("class") @Absent String classId,
            @Absent String section,
            @Absent Long points,
            @Absent Map<String, Long> parts,
            @Absent FixedBecause because,
            @Absent Integer from) {}

    /** One change that makes it fit, and the total of the plan with it. */
    record OptionView(
            String kind,
            @Absent String milestone,
            @Absent Integer week,
            @JsonProperty("class") @Absent String classId,
            @Absent Integer minutes,
            @Absent String section,
            @Absent List<String> sections,
            long total) {}

    record PlacementView(String milestone, int week, List<ReasonView> reasons) {}

    record UnplacedView(String milestone, List<ReasonView> reasons, List<OptionView> options) {}

    record ObjectiveView(
            long total, long dropped, long dates, long over, long uneven, long order, long margin, long moved) {}

    record ProblemView(
            PlanTrouble.Kind kind,
            List<String> milestones,
            @JsonProperty("class") @Absent String classId,
            @Absent Integer week,
            String text) {}

    /**
     * Every milestone in exactly one of the two lists.
     *
     * @param lookLonger whether the problem is so large that it was given fewer steps than its size asks for
     */
    record PlanTrialView(
            List<PlacementView> placements,
            List<UnplacedView> unplaced,
            ObjectiveView objective,
            List<ProblemView> problems,
            boolean lookLonger) {}

    @PostMapping("/plan/trial")
    @Operation(operationId = "trialPlan", summary = "Plan a problem that holds everything it needs; nothing is kept")
    PlanTrialView plan(@Valid @RequestBody PlanTrial trial) {
        return trials.plan(trial);
    }

    /**
     * @param passes of the section in each week behind, oldest first
     * @param exposure meetings held over usual meetings in each, 0 in a break
     * @param plannedPace passes in a usual week
     * @param need passes still missing
     * @param ahead exposure of each coming week
     */
    record ForecastTrial(
            @NotNull List<Integer> passes,
            @NotNull List<Double> exposure,
            @NotNull Double plannedPace,
            @NotNull Integer need,
            @NotNull List<Double> ahead) {}

    /** Coming weeks counted from 1; null: not this year. */
    @JsonInclude(JsonInclude.Include.ALWAYS)
    record ForecastTrialView(
            @Absent Integer low,
            @Absent Integer middle,
            @Absent Integer high,
            PaceView pace,
            List<Double> chances) {}

    /** @param phi how much more than chance weeks differ */
    record PaceView(double a, double b, double phi) {}

    @PostMapping("/forecast/trial")
    @Operation(
            operationId = "trialForecast",
            summary = "When passes will have been made, from weeks behind and ahead; nothing is kept")
    ForecastTrialView forecast(@Valid @RequestBody ForecastTrial trial) {
        return trials.forecast(trial);
    }
}
