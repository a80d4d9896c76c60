package vividroster.core.music;

import java.util.Comparator;
import java.util.Map;
import java.util.Optional;

/**
 * A line as the book holds it: how it sounds, and for some instruments a part of their own.
 *
 * @param title as printed
 * @param sounding the part of everybody that has none of its own, at concert pitch
 * @param own parts of their own by instrument and division, at concert pitch too, measure by measure beside the other
 */
public record Score(String title, Part sounding, Map<Voice, Part> own) {

    public Score {
        own = Map.copyOf(own);
        own.forEach((voice, part) -> {
            if (part.measures().size() != sounding.measures().size()) {
                throw new IllegalArgumentException("the part of the " + voice.instrument() + " has "
                        + part.measures().size() + " measures, the others "
                        + sounding.measures().size());
            }
        });
    }

    public Score(String title, Part sounding) {
        this(title, sounding, Map.of());
    }

    /** At concert pitch; where the music divides the section, its first part. */
    public Part partOf(String instrument) {
        return partOf(instrument, 0);
    }

    /** The same of a division; where it has none of its own the section's, else the nearest above it. */
    public Part partOf(String instrument, int division) {
        return Optional.ofNullable(own.get(new Voice(instrument, division)))
                .or(() -> Optional.ofNullable(own.get(Voice.of(instrument))))
                .or(() -> own.entrySet().stream()
                        .filter(e -> e.getKey().instrument().equals(instrument)
                                && (division == 0 || e.getKey().division() <= division))
                        .max(Comparator.comparingInt(e -> division == 0
                                ? -e.getKey().division()
                                : e.getKey().division()))
                        .map(Map.Entry::getValue))
                .orElse(sounding);
    }
}
