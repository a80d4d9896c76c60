package vividroster.core.music;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One measure of one voice.
 *
 * @param number as counted: 0 for a pick-up, 1 for the first full one; the halves of a split measure share a number
 * @param key in force from here, when it changes
 * @param meter in force from here, when it changes
 * @param tempos that hold from their places in it on, in order; empty where nothing changes
 * @param words printed over it, for example "softly"; empty when there are none
 */
public record Measure(
        int number,
        List<Note> notes,
        Signs signs,
        Optional<Key> key,
        Optional<Meter> meter,
        List<TempoMark> tempos,
        String words) {

    public Measure {
        notes = List.copyOf(notes);
        tempos = tempos.size() < 2
                ? List.copyOf(tempos)
                : tempos.stream().sorted(Comparator.comparing(TempoMark::at)).toList();
        if (number < 0) {
            throw new IllegalArgumentException("a measure's number is counted from 0, was " + number);
        }
    }

    public static Measure of(int number, List<Note> notes) {
        return new Measure(number, notes, Signs.NONE, Optional.empty(), Optional.empty(), List.of(), "");
    }

    /** As long as its content reaches, not what the meter promises. */
    public Beats length() {
        int ticks = 0;
        for (Note note : notes) {
            ticks = Math.addExact(ticks, note.length().ticks());
        }
        return new Beats(ticks);
    }

    public boolean isSilent() {
        return notes.stream().allMatch(Note::isRest);
    }

    public Measure withNotes(List<Note> others) {
        return new Measure(number, others, signs, key, meter, tempos, words);
    }

    public Measure withSigns(Signs others) {
        return new Measure(number, notes, others, key, meter, tempos, words);
    }

    public Measure withKey(Optional<Key> other) {
        return new Measure(number, notes, signs, other, meter, tempos, words);
    }

    public Measure withTempos(List<TempoMark> others) {
        return new Measure(number, notes, signs, key, meter, others, words);
    }

    public Measure withWordsBefore(String more) {
        return new Measure(number, notes, signs, key, meter, tempos, words.isEmpty() ? more : more + " " + words);
    }

    public Measure withNumber(int other) {
        return new Measure(other, notes, signs, key, meter, tempos, words);
    }
}
