package vividroster.core.instrument;

import java.util.List;
import java.util.Map;
import vividroster.core.music.Pitch;

/** Woodwind fingerings, note by note as a chart lists them. Immutable. */
public final class KeyChart implements FingeringChart {

    private final Map<Integer, List<Fingering>> byMidi;

    /** @param byMidi the default first, by the written note's MIDI number */
    public KeyChart(Map<Integer, List<Fingering>> byMidi) {
        this.byMidi = Map.copyOf(byMidi);
    }

    @Override
    public List<Fingering> of(Pitch written) {
        return byMidi.getOrDefault(written.midi(), List.of());
    }
}
