package vividroster.core.placing;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/**
 * A student tried an instrument, or its mouthpiece alone. (domain.md, 3.13.)
 *
 * @param seen how each aspect was, {@link #LEAST} to {@link #MOST}; what was not looked at is left out
 * @param armCm from the neck to the middle of the palm, arm stretched to the side
 */
public record Trial(
        UUID id,
        UUID studentId,
        InstrumentCode instrument,
        Mouthpiece mouthpiece,
        Map<Aspect, Integer> seen,
        Optional<Double> armCm,
        LocalDate on,
        String note) {

    public static final int LEAST = 1;
    public static final int MOST = 4;

    /** What is looked at. */
    public enum Aspect {
        SOUND,
        RESPONSE,
        COMFORT,
        REACH,
        /** How much the student wants it. */
        WISH
    }

    /** What it was tried on. */
    public enum Mouthpiece {
        /** It has none, or the student's own. */
        OWN,
        /** The mouthpiece or head joint alone. */
        ALONE,
        /** A larger one, for a moment. */
        LARGER
    }

    public Trial {
        seen = Map.copyOf(seen);
        seen.values().forEach(value -> {
            if (value < LEAST || value > MOST) {
                throw new IllegalArgumentException("an aspect must be in " + LEAST + ".." + MOST + ", was " + value);
            }
        });
    }

    Optional<Integer> of(Aspect aspect) {
        return Optional.ofNullable(seen.get(aspect));
    }
}
