package vividroster.core.grading;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** How many of a class have each grade: counts, since an average hides who is where. */
public final class GradeCounts {

    private static final int TENS = 10;

    private GradeCounts() {}

    /** @param written a step of the scale; of other scales ten percent, from {@code "0–9 %"} to {@code "100 %"} */
    public record Count(String written, int students) {}

    /** The lowest first; students without a grade are left out. */
    public static List<Count> of(GradeScale scale, List<Grade> grades) {
        List<Count> counts = new ArrayList<>();
        if (scale instanceof GradeScale.Steps steps) {
            steps.steps()
                    .forEach(step -> counts.add(new Count(step.words(), (int) grades.stream()
                            .filter(grade ->
                                    grade.written().filter(step.words()::equals).isPresent())
                            .count())));
            return counts;
        }
        IntStream.rangeClosed(0, TENS)
                .forEach(ten -> counts.add(new Count(
                        ten == TENS ? "100 %" : ten * TENS + "–" + (ten * TENS + TENS - 1) + " %", (int) grades.stream()
                                .filter(grade -> grade.percent().isPresent()
                                        && (int) Math.floor((grade.percent().getAsDouble() + 1e-9) / TENS) == ten)
                                .count())));
        return counts;
    }
}
