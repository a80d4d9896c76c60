package vividroster.core.music;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A line as the book holds it: how it sounds, and for some instruments a part of their own.
 *
 * @param title as printed
 * @param sounding the part of everybody that has none of its own, at concert pitch
 * @param own parts of their own by instrument and division, at concert pitch too, measure by measure beside the other
 * @param under an accompaniment that nobody of the class plays, as long as the others; empty where there is none
 */
public record Score(String title, Part sounding, Map<Voice, Part> own, Optional<Part> under) {

    public Score {
        own = Map.copyOf(own);
        own.forEach((voice, part) -> {
            if (part.measures().size() != sounding.measures().size()) {
                throw new IllegalArgumentException("the part of the " + voice.instrument() + " has "
                        + part.measures().size() + " measures, the others "
                        + sounding.measures().size());
            }
        });
        under.ifPresent(part -> {
            if (part.measures().size() != sounding.measures().size()) {
                throw new IllegalArgumentException("the accompaniment has "
                        + part.measures().size() + " measures, the others "
                        + sounding.measures().size());
            }
        });
    }

    public Score(String title, Part sounding, Map<Voice, Part> own) {
        this(title, sounding, own, Optional.empty());
    }

    /** As a division sees it: its part is what the whole section would read. */
    public Score inDivision(InstrumentCode instrument, int division) {
        if (own.keySet().stream().noneMatch(v -> v.instrument().equals(instrument))) {
            return this;
        }
        Map<Voice, Part> others = new LinkedHashMap<>(own);
        others.put(Voice.of(instrument), partOf(instrument, division));
        return new Score(title, sounding, others, under);
    }

    public Score(String title, Part sounding) {
        this(title, sounding, Map.of());
    }

    /** At concert pitch; where the music divides the section, its first part. */
    public Part partOf(InstrumentCode instrument) {
        return partOf(instrument, 0);
    }

    /** The same of a division; where it has none of its own the section's, else the nearest above it. */
    public Part partOf(InstrumentCode instrument, int division) {
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
