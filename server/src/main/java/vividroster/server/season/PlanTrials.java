package vividroster.server.season;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import vividroster.core.plan.Forecast;
import vividroster.core.plan.Pace;
import vividroster.core.plan.Plan;
import vividroster.core.plan.PlanBudget;
import vividroster.core.plan.PlanClass;
import vividroster.core.plan.PlanInputException;
import vividroster.core.plan.PlanMilestone;
import vividroster.core.plan.PlanOption;
import vividroster.core.plan.PlanOptions;
import vividroster.core.plan.PlanPrices;
import vividroster.core.plan.PlanProblem;
import vividroster.core.plan.PlanReason;
import vividroster.core.plan.PlanReasons;
import vividroster.core.plan.PlanRules;
import vividroster.core.plan.PlanTrouble;
import vividroster.core.plan.Planner;
import vividroster.core.plan.TeachingWeeks;
import vividroster.server.platform.Problem;
import vividroster.server.season.PlanTrialController.ForecastTrial;
import vividroster.server.season.PlanTrialController.ForecastTrialView;
import vividroster.server.season.PlanTrialController.ObjectiveView;
import vividroster.server.season.PlanTrialController.OptionView;
import vividroster.server.season.PlanTrialController.PaceView;
import vividroster.server.season.PlanTrialController.PlacementView;
import vividroster.server.season.PlanTrialController.PlanTrial;
import vividroster.server.season.PlanTrialController.PlanTrialView;
import vividroster.server.season.PlanTrialController.ProblemView;
import vividroster.server.season.PlanTrialController.ReasonView;
import vividroster.server.season.PlanTrialController.TrialMilestone;
import vividroster.server.season.PlanTrialController.TrialWeights;
import vividroster.server.season.PlanTrialController.UnplacedView;

/** Plans problems that hold everything they need. */
@Component
class PlanTrials {

    /** Options are looked for as long as a director would read them, fewer where the year is large and each takes longer. */
    private static final int MOST_WITH_OPTIONS = 8;

    private static final int MILESTONES_WITH_OPTIONS = 4_000;

    private static final int MOST_WEEKS = 400;
    private final PlanGate gate;

    PlanTrials(PlanGate gate) {
        this.gate = gate;
    }

    PlanTrialView plan(PlanTrial trial) {
        PlanProblem problem = read(() -> problem(trial));
        return gate.whileThereIsRoom(() -> planned(problem, trial.steps()));
    }

    private static <T> T read(Supplier<T> reading) {
        try {
            return reading.get();
        } catch (PlanInputException e) {
            throw Problem.input(e.place(), e.getMessage());
        }
    }

    private static PlanTrialView planned(PlanProblem problem, Integer steps) {
        int count = Math.max(1, problem.milestones().size());
        PlanBudget budget = steps == null ? PlanBudget.DEFAULT : new PlanBudget(Math.ceilDiv(steps, count), steps);
        Plan plan = Planner.plan(problem, budget);
        PlanReasons reasons = new PlanReasons(plan);
        List<PlacementView> placements = new ArrayList<>();
        plan.weeks()
                .forEach((id, week) -> placements.add(new PlacementView(
                        id, week, reasons.of(id).stream().map(PlanTrials::view).toList())));
        Set<String> asked = mostValuable(plan);
        PlanOptions options = new PlanOptions(plan);
        List<UnplacedView> unplaced = new ArrayList<>();
        for (String id : plan.leftOut()) {
            List<OptionView> ways = asked.contains(id)
                    ? options.of(id).stream().map(PlanTrials::view).toList()
                    : List.of();
            unplaced.add(new UnplacedView(id, List.of(view(reasons.whyLeftOut(id))), ways));
        }
        return new PlanTrialView(
                placements,
                unplaced,
                objective(plan),
                plan.troubles().stream().map(PlanTrials::view).toList(),
                budget.isShortFor(problem.milestones().size()));
    }

    private static Set<String> mostValuable(Plan plan) {
        Set<String> out = new HashSet<>(plan.leftOut());
        return new HashSet<>(plan.problem().milestones().stream()
                .filter(m -> out.contains(m.id()))
                .sorted(Comparator.comparing(PlanMilestone::essential)
                        .thenComparing(PlanMilestone::value)
                        .reversed())
                .limit(Math.clamp(
                        MILESTONES_WITH_OPTIONS / plan.problem().milestones().size(), 1, MOST_WITH_OPTIONS))
                .map(PlanMilestone::id)
                .toList());
    }

    private static ObjectiveView objective(Plan plan) {
        var points = plan.points();
        return new ObjectiveView(
                points.total(),
                points.dropped(),
                points.dates(),
                points.over(),
                points.uneven(),
                points.order(),
                points.margin(),
                points.moved());
    }

    private static PlanProblem problem(PlanTrial trial) {
        return new PlanProblem(
                new TeachingWeeks(trial.weeks().stream()
                        .map(PlanTrialController.TrialWeek::closed)
                        .toList()),
                trial.classes().stream()
                        .map(k -> new PlanClass(k.id(), k.minutes()))
                        .toList(),
                trial.sections().stream()
                        .map(s -> new PlanProblem.Section(s.id(), s.classId()))
                        .toList(),
                trial.milestones().stream().map(PlanTrials::milestone).toList(),
                trial.sequences() == null ? List.of() : trial.sequences(),
                rules(trial),
                prices(trial.weights()),
                trial.today() == null ? Map.of() : trial.today());
    }

    private static PlanRules rules(PlanTrial trial) {
        PlanRules usual = PlanRules.DEFAULT;
        return trial.rules() == null
                ? usual
                : new PlanRules(
                        or(trial.rules().maxNewNotes(), usual.maxNewNotes()),
                        or(trial.rules().fullPercent(), usual.fullPercent()));
    }

    private static PlanPrices prices(TrialWeights given) {
        PlanPrices usual = PlanPrices.balanced();
        return given == null
                ? usual
                : new PlanPrices(
                        or(given.essential(), usual.essential()),
                        or(given.dropPerValue(), usual.dropPerValue()),
                        or(given.lateEach(), usual.lateEach()),
                        or(given.latePerWeek(), usual.latePerWeek()),
                        or(given.brokenNeed(), usual.brokenNeed()),
                        or(given.overPerMinute(), usual.overPerMinute()),
                        or(given.unevenPerMinute(), usual.unevenPerMinute()),
                        or(given.orderPerWeek(), usual.orderPerWeek()),
                        or(given.marginPerWeek(), usual.marginPerWeek()),
                        or(given.movedEach(), usual.movedEach()),
                        or(given.movedPerWeek(), usual.movedPerWeek()));
    }

    private static <T> T or(T given, T usual) {
        return given == null ? usual : given;
    }

    private static PlanMilestone milestone(TrialMilestone m) {
        return new PlanMilestone(
                m.id(),
                m.value(),
                or(m.essential(), false),
                or(m.teachMinutes(), 0),
                m.sections().stream()
                        .map(s -> new PlanMilestone.Share(
                                s.section(),
                                or(s.teachMinutes(), 0),
                                or(s.hearMinutes(), 0),
                                or(s.newNotes(), List.of())))
                        .toList(),
                or(m.needs(), List.<PlanTrialController.TrialNeed>of()).stream()
                        .map(n -> new PlanMilestone.Need(n.milestone(), or(n.gapWeeks(), 0)))
                        .toList(),
                or(m.earliestWeek(), 1),
                Optional.ofNullable(m.deadline())
                        .map(d -> new PlanMilestone.Deadline(d.week(), or(d.marginWeeks(), 0))),
                m.fixedWeek() == null ? OptionalInt.empty() : OptionalInt.of(m.fixedWeek()),
                or(m.fixedBecause(), PlanMilestone.FixedBecause.DATE));
    }

    private static ReasonView view(PlanReason reason) {
        return switch (reason) {
            case PlanReason.NoSchool r -> reason("NO_SCHOOL", r.week(), null, null, null);
            case PlanReason.ClassDoesNotMeet r -> reason("CLASS_DOES_NOT_MEET", r.week(), null, r.classId(), null);
            case PlanReason.NotBefore r -> reason("NOT_BEFORE", r.week(), null, null, null);
            case PlanReason.After r -> reason("AFTER", r.week(), r.milestone(), null, null);
            case PlanReason.Before r -> reason("BEFORE", r.week(), r.milestone(), null, null);
            case PlanReason.NewNotes r -> reason("NEW_NOTES", r.week(), null, null, r.section());
            case PlanReason.Full r -> reason("FULL", r.week(), null, r.classId(), null);
            case PlanReason.Costs r ->
                new ReasonView(
                        "COSTS",
                        r.week(),
                        null,
                        null,
                        null,
                        r.difference().total(),
                        r.difference().parts(),
                        null,
                        null);
            case PlanReason.Fixed r -> new ReasonView("FIXED", null, null, null, null, null, null, r.because(), null);
            case PlanReason.Stays r -> reason("STAYS", null, null, null, null);
            case PlanReason.OnlyWeek r -> reason("ONLY_WEEK", null, null, null, null);
            case PlanReason.Moved r -> new ReasonView("MOVED", null, null, null, null, null, null, null, r.from());
        };
    }

    private static ReasonView reason(String kind, Integer week, String milestone, String classId, String section) {
        return new ReasonView(kind, week, milestone, classId, section, null, null, null, null);
    }

    private static OptionView view(PlanOption option) {
        return switch (option) {
            case PlanOption.Drop o -> new OptionView("DROP", o.milestone(), null, null, null, null, null, o.total());
            case PlanOption.MoveDate o ->
                new OptionView("MOVE_DATE", null, o.week(), null, null, null, null, o.total());
            case PlanOption.MoreMinutes o ->
                new OptionView("MORE_MINUTES", null, o.week(), o.classId(), o.minutes(), null, null, o.total());
            case PlanOption.Split o ->
                new OptionView("SPLIT", null, o.week(), null, null, null, o.sections(), o.total());
            case PlanOption.MoreNewNotes o ->
                new OptionView("MORE_NEW_NOTES", null, o.week(), null, null, o.section(), null, o.total());
        };
    }

    private static ProblemView view(PlanTrouble trouble) {
        return new ProblemView(
                trouble.kind(),
                trouble.milestones(),
                trouble.classId().orElse(null),
                trouble.week().isPresent() ? trouble.week().getAsInt() : null,
                PlanWording.sentence(trouble));
    }

    ForecastTrialView forecast(ForecastTrial trial) {
        if (trial.passes().size() != trial.exposure().size()) {
            throw Problem.input(
                    "exposure",
                    "There are passes of %d weeks and exposure of %d."
                            .formatted(trial.passes().size(), trial.exposure().size()));
        }
        weeks("passes", trial.passes());
        weeks("ahead", trial.ahead());
        for (int w = 0; w < trial.passes().size(); w++) {
            number("passes[" + w + "]", trial.passes().get(w), 1_000_000);
            number("exposure[" + w + "]", trial.exposure().get(w), 20);
        }
        for (int w = 0; w < trial.ahead().size(); w++) {
            number("ahead[" + w + "]", trial.ahead().get(w), 20);
        }
        number("need", trial.need(), 1_000_000);
        if (!(trial.plannedPace() > 0 && trial.plannedPace() <= 1_000_000)) {
            throw Problem.input("plannedPace", "The planned pace must be above 0.");
        }
        List<Pace.PastWeek> behind = new ArrayList<>();
        for (int w = 0; w < trial.passes().size(); w++) {
            behind.add(new Pace.PastWeek(trial.passes().get(w), trial.exposure().get(w)));
        }
        Forecast forecast = Forecast.of(Pace.learned(behind, trial.plannedPace()), trial.need(), trial.ahead());
        List<Double> chances = new ArrayList<>();
        for (int week = 1; week <= trial.ahead().size(); week++) {
            chances.add(forecast.chanceBy(week, trial.ahead()));
        }
        Pace pace = forecast.pace();
        return new ForecastTrialView(
                boxed(forecast.low()),
                boxed(forecast.middle()),
                boxed(forecast.high()),
                new PaceView(pace.a(), pace.b(), pace.phi()),
                chances);
    }

    private static Integer boxed(OptionalInt week) {
        return week.isPresent() ? week.getAsInt() : null;
    }

    private static void weeks(String place, List<?> weeks) {
        if (weeks.size() > MOST_WEEKS) {
            throw Problem.input(place, "At most %d weeks are looked at.".formatted(MOST_WEEKS));
        }
    }

    private static void number(String place, double number, int most) {
        if (!(number >= 0 && number <= most)) {
            throw Problem.input(place, "This must be in 0..%d.".formatted(most));
        }
    }
}
