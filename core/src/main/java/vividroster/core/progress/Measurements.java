package vividroster.core.progress;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Amounts one student reached with one check on one instrument, kept over the weeks.
 *
 * @param best the largest, the earliest of equal ones
 * @param latest the last one taken
 * @param first the first one taken
 */
public record Measurements(Measurement best, Measurement latest, Measurement first) {

    /** @param value in the check's unit, more than none */
    public record Measurement(LocalDate on, double value) {
        public Measurement {
            if (!(value > 0)) {
                throw new IllegalArgumentException("a measured value must be more than 0, was " + value);
            }
        }
    }

    /** @param taken in the order taken; empty for none */
    public static Optional<Measurements> of(List<Measurement> taken) {
        if (taken.isEmpty()) {
            return Optional.empty();
        }
        Measurement best = taken.stream()
                .max(Comparator.comparingDouble(Measurement::value)
                        .thenComparing(Comparator.comparing(Measurement::on).reversed()))
                .orElseThrow();
        return Optional.of(new Measurements(best, taken.getLast(), taken.getFirst()));
    }

    /** How much more than at first the best is; 0 where there was one. */
    public double grown() {
        return best.value() - first.value();
    }
}
