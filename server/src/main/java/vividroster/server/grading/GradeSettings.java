package vividroster.server.grading;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.grading.GradeScale;
import vividroster.core.grading.GradeScheme;
import vividroster.core.grading.GradeScheme.Unheard;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;

/**
 * How grades are made, as a director sets it and as it is kept.
 *
 * @param weights by kind, 0..100; 0 counts nothing
 * @param notYetPercent what a try that did not pass is worth where there are no points
 * @param mostPoints of a scale of points; absent of any other
 * @param steps of a scale of steps, the lowest first; none of any other
 * @param bothClasses whether what is set in two classes counts in both wherever it was heard; else where it was heard
 */
record GradeSettings(
        @NotNull(message = "Say what each kind weighs.") Map<@NotNull MilestoneKind, @NotNull Integer> weights,

        @Min(value = 0, message = "What is not yet passed is worth 0 to 100 percent.")
        @Max(value = 100, message = "What is not yet passed is worth 0 to 100 percent.")
        int notYetPercent,

        @NotNull(message = "Say what becomes of what was never heard.")
        Unheard unheard,

        @NotNull(message = "Choose a scale.") Scale scale,

        @Absent
        @Min(value = 1, message = "A scale of points has 1 to 1000.")
        @Max(value = 1000, message = "A scale of points has 1 to 1000.")
        Integer mostPoints,

        @NotNull @Size(max = 12, message = "A scale has at most {max} steps.")
        List<@Valid @NotNull GradeStep> steps,

        boolean bothClasses) {

    enum Scale {
        PERCENT,
        POINTS,
        STEPS
    }

    /** @param fromPercent included */
    record GradeStep(
            @Min(value = 0, message = "A step begins at 0 to 100 percent.")
            @Max(value = 100, message = "A step begins at 0 to 100 percent.")
            int fromPercent,

            @NotBlank(message = "Give every step a word or a figure.")
            @Size(max = Lengths.LABEL, message = "A step has at most {max} letters.")
            String words) {}

    static GradeSettings usual() {
        GradeScheme usual = GradeScheme.usual();
        Map<MilestoneKind, Integer> weights = new EnumMap<>(MilestoneKind.class);
        for (MilestoneKind kind : MilestoneKind.values()) {
            weights.put(kind, usual.weights().getOrDefault(kind, 0));
        }
        return new GradeSettings(
                weights, usual.notYetPercent(), usual.unheard(), Scale.PERCENT, null, standards(), true);
    }

    /** The four standards, ready to be chosen. */
    private static List<GradeStep> standards() {
        return GradeScale.standards().steps().stream()
                .map(step -> new GradeStep(step.fromPercent(), step.words()))
                .toList();
    }

    /** @throws Problem where it cannot grade, naming the field */
    GradeScheme toScheme() {
        Map<MilestoneKind, Integer> counting = new EnumMap<>(MilestoneKind.class);
        weights.forEach((kind, weight) -> {
            if (weight < 0 || weight > GradeScheme.MOST_WEIGHT) {
                throw Problem.input("weights", "A weight is 0 to " + GradeScheme.MOST_WEIGHT + ", not " + weight + ".");
            }
            if (weight > 0) {
                counting.put(kind, weight);
            }
        });
        if (counting.isEmpty()) {
            throw Problem.input("weights", "All weights are 0: nothing would count. Give one kind a weight at least.");
        }
        return new GradeScheme(counting, notYetPercent, unheard, toScale());
    }

    private GradeScale toScale() {
        return switch (scale) {
            case PERCENT -> new GradeScale.Percent();
            case POINTS -> {
                if (mostPoints == null) {
                    throw Problem.input("mostPoints", "Say how many points there are at most.");
                }
                yield new GradeScale.Points(mostPoints);
            }
            case STEPS -> {
                try {
                    yield new GradeScale.Steps(steps.stream()
                            .map(step -> new GradeScale.Step(
                                    step.fromPercent(), step.words().strip()))
                            .toList());
                } catch (IllegalArgumentException e) {
                    throw Problem.input("steps", "This is no scale yet: " + e.getMessage() + ".");
                }
            }
        };
    }
}
