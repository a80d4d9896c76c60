package vividroster.core.music;

import java.util.List;
import java.util.Optional;

/**
 * One measure of one voice.
 *
 * @param number as counted: 0 for a pick-up, 1 for the first full one; the halves of a split measure share a number
 * @param key in force from here, when it changes
 * @param meter in force from here, when it changes
 * @param tempo in force from here, when it changes
 * @param words printed over it, for example "softly"; empty when there are none
 */
public record Measure(
        int number,
        List<Note> notes,
        Signs signs,
        Optional<Key> key,
        Optional<Meter> meter,
        Optional<Bpm> tempo,
        String words) {

    public Measure {
        notes = List.copyOf(notes);
        if (number < 0) {
            throw new IllegalArgumentException("a measure's number is counted from 0, was " + number);
        }
    }

    public static Measure of(int number, List<Note> notes) {
        return new Measure(number, notes, Signs.NONE, Optional.empty(), Optional.empty(), Optional.empty(), "");
    }

    /** As long as its content reaches, not what the meter promises. */
    public Beats length() {
        return notes.stream().map(Note::length).reduce(Beats.ZERO, Beats::plus);
    }

    public boolean isSilent() {
        return notes.stream().allMatch(Note::isRest);
    }

    public Measure withNotes(List<Note> others) {
        return new Measure(number, others, signs, key, meter, tempo, words);
    }

    public Measure withSigns(Signs others) {
        return new Measure(number, notes, others, key, meter, tempo, words);
    }

    public Measure withKey(Optional<Key> other) {
        return new Measure(number, notes, signs, other, meter, tempo, words);
    }
}
