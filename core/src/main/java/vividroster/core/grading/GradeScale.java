package vividroster.core.grading;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** How a school writes a grade. Schools differ, so each programme chooses. */
public sealed interface GradeScale {

    /** As it is written down. @param percent 0..100 */
    String written(double percent);

    /** Percent to a tenth, half up. */
    record Percent() implements GradeScale {
        @Override
        public String written(double percent) {
            return tenths(percent) + " %";
        }
    }

    /** Points to a tenth, half up. @param most 1..1000 */
    record Points(int most) implements GradeScale {
        public Points {
            if (most < 1 || most > 1_000) {
                throw new IllegalArgumentException("most must be in 1..1000, was " + most);
            }
        }

        @Override
        public String written(double percent) {
            return tenths(percent * most / 100);
        }
    }

    /**
     * Steps with words or figures of the school's own, the standards 1 to 4 among them.
     *
     * @param steps the lowest first, 2..12; the first from 0 percent on
     */
    record Steps(List<Step> steps) implements GradeScale {
        public Steps {
            steps = List.copyOf(steps);
            if (steps.size() < 2 || steps.size() > 12) {
                throw new IllegalArgumentException("steps must be 2..12, were " + steps.size());
            }
            if (steps.getFirst().fromPercent() != 0) {
                throw new IllegalArgumentException("the first of steps must begin at 0 percent, was "
                        + steps.getFirst().fromPercent());
            }
            Set<String> words = new HashSet<>();
            double before = -1;
            for (Step step : steps) {
                if (step.fromPercent() <= before) {
                    throw new IllegalArgumentException(
                            "steps must rise, " + step.fromPercent() + " came after " + before);
                }
                if (!words.add(step.words())) {
                    throw new IllegalArgumentException("two of the steps are called \"" + step.words() + "\"");
                }
                before = step.fromPercent();
            }
        }

        @Override
        public String written(double percent) {
            // What is shown as 80.0 percent is a step of 80.
            double shown = Double.parseDouble(tenths(percent));
            return steps.stream()
                    .filter(step -> shown >= step.fromPercent())
                    .reduce((a, b) -> b)
                    .orElseThrow()
                    .words();
        }
    }

    /** @param fromPercent 0..100, included */
    record Step(int fromPercent, String words) {
        public Step {
            if (fromPercent < 0 || fromPercent > 100) {
                throw new IllegalArgumentException("fromPercent must be in 0..100, was " + fromPercent);
            }
            if (words.isBlank()) {
                throw new IllegalArgumentException("a step of the scale needs words");
            }
        }
    }

    /** The four standards as many schools cut them. Ours, to be edited. */
    static Steps standards() {
        return new Steps(List.of(new Step(0, "1"), new Step(50, "2"), new Step(70, "3"), new Step(90, "4")));
    }

    private static String tenths(double number) {
        // By way of the shortest decimal, so that 84.95 is half-way as it reads.
        return BigDecimal.valueOf(Math.round(number * 1e9) / 1e9)
                .setScale(1, RoundingMode.HALF_UP)
                .toPlainString();
    }
}
