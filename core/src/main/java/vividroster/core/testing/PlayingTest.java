package vividroster.core.testing;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;
import vividroster.core.reading.Excerpt;

/**
 * What a playing test consists of.
 *
 * @param parts in the order played, 1..{@link #MOST_PARTS}
 * @param listeners who score it independently, each blind until all are done: 1 or 2
 */
public record PlayingTest(List<Part> parts, TestConditions conditions, RetakePolicy retakes, int listeners) {

    /** More is a recital. Ours. */
    public static final int MOST_PARTS = 6;
    /** Octaves a section may play apart from where it reads the line. */
    public static final int MOST_OCTAVES = 2;

    /**
     * @param milestoneId a line, or a technique check that is looked at on the way
     * @param excerpt of the line; empty for the whole of it, and for a check
     * @param variants what sections play otherwise; of one section and division at most one
     */
    public record Part(UUID milestoneId, Optional<Excerpt> excerpt, List<Variant> variants) {

        public Part {
            variants = List.copyOf(variants);
            Set<String> scopes = new HashSet<>();
            for (Variant variant : variants) {
                if (!scopes.add(variant.instrument() + " " + variant.division())) {
                    throw new IllegalArgumentException("variants must be one for each section, " + variant.instrument()
                            + (variant.division().isEmpty() ? "" : " " + variant.division()) + " has two");
                }
            }
        }

        public static Part of(UUID milestoneId) {
            return new Part(milestoneId, Optional.empty(), List.of());
        }

        /** What a section plays otherwise: the variant of its division before that of the whole instrument. */
        public Optional<Variant> variantOf(InstrumentCode instrument, String division) {
            return variants.stream()
                    .filter(variant -> variant.isFor(instrument, division))
                    .reduce((a, b) -> a.division().isEmpty() ? b : a);
        }

        /** The measures a section plays; empty for the whole line. */
        public Optional<Excerpt> excerptOf(InstrumentCode instrument, String division) {
            return variantOf(instrument, division).flatMap(Variant::excerpt).or(() -> excerpt);
        }
    }

    /**
     * How one section plays a part.
     *
     * @param division of the section; empty for all of it
     * @param excerpt other measures; empty for those of the part
     * @param octaves higher than it is read, negative for lower
     * @param position of the left hand, in words; empty where it is free
     * @param string on which it is played, in words; empty where it is free
     */
    public record Variant(
            InstrumentCode instrument,
            String division,
            Optional<Excerpt> excerpt,
            int octaves,
            String position,
            String string) {

        public Variant {
            if (octaves < -MOST_OCTAVES || octaves > MOST_OCTAVES) {
                throw new IllegalArgumentException(
                        "octaves must be in -" + MOST_OCTAVES + ".." + MOST_OCTAVES + ", was " + octaves);
            }
            if (excerpt.isEmpty() && octaves == 0 && position.isBlank() && string.isBlank()) {
                throw new IllegalArgumentException("a variant needs other measures, an octave, a position or a string, "
                        + instrument + " has none");
            }
        }

        boolean isFor(InstrumentCode asked, String of) {
            return instrument.equals(asked) && (division.isEmpty() || division.equals(of));
        }
    }

    public PlayingTest {
        parts = List.copyOf(parts);
        if (parts.isEmpty() || parts.size() > MOST_PARTS) {
            throw new IllegalArgumentException("parts must be 1.." + MOST_PARTS + ", were " + parts.size());
        }
        if (listeners < 1 || listeners > 2) {
            throw new IllegalArgumentException("listeners must be 1 or 2, was " + listeners);
        }
    }
}
