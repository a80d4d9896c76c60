package vividroster.server.rubrics;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Rubric;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;

/**
 * A rubric as a director writes it, and as it is shown.
 *
 * @param mark points that pass
 */
public record RubricDraft(
        @NotBlank(message = "Give the rubric a name.")
        @Size(max = Lengths.NAME, message = "A name has at most {max} letters.")
        String name,

        @NotNull(message = "A rubric needs criteria.")
        @Size(
                min = 1,
                max = Rubric.MOST_CRITERIA,
                message = "A rubric has {min} to {max} criteria: nobody hears more at once.")
        List<@Valid @NotNull RubricCriterion> criteria,

        @Min(value = 1, message = "At least one point passes.")
        int mark) {

    /**
     * @param topPoints of the best level; the worst has 0
     * @param floorPoints fewest points that may pass; absent for none
     * @param levels what is heard at each number of points, from 0 to the top; none where no words are kept
     */
    public record RubricCriterion(
            @NotBlank(message = "Give every criterion a name.")
            @Size(max = Lengths.NAME, message = "A criterion has at most {max} letters.")
            String name,

            @Min(value = 1, message = "A criterion needs two levels at least: 0 points and 1.")
            @Max(
                    value = Rubric.MOST_POINTS,
                    message = "A criterion has at most {value} points, so that one digit marks it.")
            int topPoints,

            @Absent
            @Min(value = 0, message = "A floor is 0 points or more.")
            @Max(value = Rubric.MOST_POINTS, message = "A floor is at most {value} points.")
            Integer floorPoints,

            @Min(value = 1, message = "A weight is 1 or more; leave the criterion out if it shall not count.")
            @Max(value = Criterion.MOST_WEIGHT, message = "A weight is at most {value}.")
            int weight,

            @NotNull @Size(max = Rubric.MOST_POINTS + 1, message = "At most {max} levels.")
            List<@NotNull @Size(max = Lengths.SENTENCE, message = "At most {max} letters on a level.") String> levels) {

        /** As it is drafted of what is kept. */
        public static RubricCriterion of(Criterion criterion) {
            return new RubricCriterion(
                    criterion.name(),
                    criterion.topPoints(),
                    criterion.floorPoints().isPresent()
                            ? (Integer) criterion.floorPoints().getAsInt()
                            : null,
                    criterion.weight(),
                    criterion.levels());
        }
    }

    public static RubricDraft of(Rubric rubric) {
        return new RubricDraft(
                rubric.name(),
                rubric.criteria().stream().map(RubricCriterion::of).toList(),
                rubric.mark());
    }

    /** @throws Problem where it does not hold together, naming the field */
    Rubric toRubric() {
        return toRubric("");
    }

    /** @param within the field this draft stands in, with its dot; empty where it stands alone */
    public Rubric toRubric(String within) {
        List<Criterion> made = new ArrayList<>();
        for (int i = 0; i < criteria.size(); i++) {
            RubricCriterion criterion = criteria.get(i);
            String field = within + "criteria[" + i + "].";
            List<String> levels = criterion.levels().stream().map(String::strip).toList();
            boolean worded = levels.stream().anyMatch(level -> !level.isEmpty());
            if (worded && levels.size() != criterion.topPoints() + 1) {
                throw Problem.input(
                        field + "levels",
                        criterion.name() + " has levels from 0 to " + criterion.topPoints() + " points; give words for "
                                + (criterion.topPoints() + 1) + ", not " + levels.size() + ".");
            }
            if (criterion.floorPoints() != null && criterion.floorPoints() > criterion.topPoints()) {
                throw Problem.input(
                        field + "floorPoints",
                        "Nobody can reach a floor of " + criterion.floorPoints() + ": " + criterion.name()
                                + " has at most " + criterion.topPoints() + " points.");
            }
            made.add(new Criterion(
                    i + 1,
                    criterion.name().strip(),
                    criterion.topPoints(),
                    criterion.floorPoints() == null ? OptionalInt.empty() : OptionalInt.of(criterion.floorPoints()),
                    criterion.weight(),
                    worded ? levels : List.of()));
        }
        int most = Rubric.most(made);
        if (mark > most) {
            throw Problem.input(within + "mark", "Nobody can reach " + mark + " points: there are " + most + ".");
        }
        try {
            return new Rubric(name.strip(), made, mark);
        } catch (IllegalArgumentException e) {
            throw Problem.input(within + "criteria", "This is no rubric yet: " + e.getMessage() + ".");
        }
    }
}
