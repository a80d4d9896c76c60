package vividroster.core.music;

import java.util.Map;
import java.util.Optional;

/**
 * A line as the book holds it: how it sounds, and for some instruments a part of their own.
 *
 * @param title as printed
 * @param sounding the part of everybody that has none of its own, at concert pitch
 * @param own parts of their own by instrument code, at concert pitch too, measure by measure beside the other
 */
public record Score(String title, Part sounding, Map<String, Part> own) {

    public Score {
        own = Map.copyOf(own);
        own.forEach((instrument, part) -> {
            if (part.measures().size() != sounding.measures().size()) {
                throw new IllegalArgumentException("the part of the " + instrument + " has "
                        + part.measures().size() + " measures, the others "
                        + sounding.measures().size());
            }
        });
    }

    public Score(String title, Part sounding) {
        this(title, sounding, Map.of());
    }

    /** At concert pitch. */
    public Part partOf(String instrument) {
        return Optional.ofNullable(own.get(instrument)).orElse(sounding);
    }
}
