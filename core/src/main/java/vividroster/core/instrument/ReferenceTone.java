package vividroster.core.instrument;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import vividroster.core.music.Pitch;

/**
 * The tone an instrument checks its pitch with: a sounding pitch class, written where the instrument plays it with ease.
 */
public final class ReferenceTone {

    private ReferenceTone() {}

    /**
     * As the instrument reads it: an open string where there is one, else the octave nearest to the middle of the range.
     * Empty for unpitched percussion and where the range holds none.
     *
     * @param sounding its octave does not matter
     * @param range written, of the first year
     */
    public static Optional<Pitch> of(Pitch sounding, Instrument instrument, Range range, FingeringChart chart) {
        if (!instrument.pitched()) {
            return Optional.empty();
        }
        Pitch written = sounding.writtenFor(instrument.transposition());
        int middle = (range.low().midi() + range.high().midi()) / 2;
        return IntStream.rangeClosed(-6, 6)
                .mapToObj(octaves -> moved(written, octaves))
                .flatMap(Optional::stream)
                .filter(range::holds)
                .min(Comparator.comparing((Pitch pitch) -> !isOpen(chart.of(pitch)))
                        .thenComparingInt(pitch -> Math.abs(pitch.midi() - middle)));
    }

    private static Optional<Pitch> moved(Pitch pitch, int octaves) {
        int octave = pitch.octave() + octaves;
        return octave < 0 || octave > 9
                ? Optional.empty()
                : Optional.of(new Pitch(pitch.letter(), pitch.alter(), octave));
    }

    private static boolean isOpen(List<Fingering> ways) {
        return ways.stream().anyMatch(way -> way instanceof Fingering.OnString string && string.isOpen());
    }
}
