package vividroster.core.hands;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Fingering.Valves;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.music.Key;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Vocabulary;

/**
 * A new note told by one the section has: what goes down, what goes up, or how far the slide or hand moves.
 *
 * @param from the nearest note it has met
 * @param before and after as they are usually taken
 * @param added valves, holes or keys that go down, by name; holes as {@code T} and {@code 1} to {@code 6}
 * @param lifted those that go up
 * @param positions a slide goes out, in is less than nothing; 0 elsewhere
 */
public record FingeringChange(
        Pitch from, Fingering before, Fingering after, List<String> added, List<String> lifted, int positions) {

    /** Farther off, another note explains nothing. */
    private static final int NEAR = 4;

    private static final String[] HOLES = {"T", "1", "2", "3", "4", "5", "6"};

    /**
     * @param met what the section has met, the note itself not among it
     * @param key as it is spelled in
     * @return empty where nothing near was met, or one of the two has no fingering
     */
    public static Optional<FingeringChange> of(
            Pitch note, Fingering after, FingeringChart chart, Vocabulary met, Key key) {
        return met.notes().stream()
                .filter(midi -> midi != note.midi() && Math.abs(midi - note.midi()) <= NEAR)
                .sorted(Comparator.<Integer>comparingInt(midi -> Math.abs(midi - note.midi()))
                        .thenComparing(midi -> spelled(midi, key).letter() == note.letter() ? 0 : 1)
                        .thenComparing(Comparator.naturalOrder()))
                .map(midi -> spelled(midi, key))
                .flatMap(pitch -> chart.of(pitch).stream().limit(1).map(before -> of(pitch, before, after)))
                .findFirst();
    }

    /** In the key where it has the note, else with the sharp or flat its side has. */
    private static Pitch spelled(int midi, Key key) {
        Pitch low = new Pitch('C', 0, Math.max(0, midi / 12 - 2));
        Pitch high = new Pitch('C', 0, Math.min(9, midi / 12 + 1));
        return key.scale(low, high).stream()
                .filter(p -> p.midi() == midi)
                .findFirst()
                .orElseGet(() -> Pitch.ofMidi(midi, key.fifths() < 0));
    }

    private static FingeringChange of(Pitch from, Fingering before, Fingering after) {
        Set<String> was = down(before);
        Set<String> is = down(after);
        List<String> added = new ArrayList<>(is);
        added.removeAll(was);
        List<String> lifted = new ArrayList<>(was);
        lifted.removeAll(is);
        int positions = before instanceof Slide a && after instanceof Slide b ? b.position() - a.position() : 0;
        return new FingeringChange(from, before, after, added, lifted, positions);
    }

    private static Set<String> down(Fingering fingering) {
        Set<String> down = new TreeSet<>();
        switch (fingering) {
            case Valves valves -> {
                valves.down().forEach(valve -> down.add(String.valueOf(valve)));
                if (valves.thumb()) {
                    down.add("T");
                }
            }
            case Keys keys -> {
                down.addAll(keys.keys());
                for (int hole = 0; hole < HOLES.length; hole++) {
                    if ((keys.holes() & 1 << hole) != 0) {
                        down.add(HOLES[hole]);
                    }
                }
            }
            case Slide slide -> {
                if (slide.attachment()) {
                    down.add("T");
                }
            }
            case OnString on -> {}
        }
        return down;
    }
}
