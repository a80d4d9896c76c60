package vividroster.core.music;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * One voice from its first measure to its last, in one spelling: as it sounds or as an instrument reads it.
 *
 * @param key in force at the beginning
 * @param meter in force at the beginning
 * @param tempo in force at the beginning; empty where none is printed
 */
public record Part(Key key, Meter meter, Optional<Bpm> tempo, List<Measure> measures) {

    private static final int MOST_MEASURES = 2_000;

    public Part {
        measures = List.copyOf(measures);
        if (measures.isEmpty()) {
            throw new IllegalArgumentException("a line needs at least one measure");
        }
        if (measures.size() > MOST_MEASURES) {
            throw new IllegalArgumentException(
                    "a line has at most " + MOST_MEASURES + " measures, here are " + measures.size());
        }
    }

    public boolean hasPickUp() {
        return measures.getFirst().number() == 0;
    }

    /** The key in force in a measure. @param index from 0 */
    public Key keyAt(int index) {
        Key inForce = key;
        for (int i = 0; i <= index; i++) {
            inForce = measures.get(i).key().orElse(inForce);
        }
        return inForce;
    }

    /** The meter in force in a measure. @param index from 0 */
    public Meter meterAt(int index) {
        Meter inForce = meter;
        for (int i = 0; i <= index; i++) {
            inForce = measures.get(i).meter().orElse(inForce);
        }
        return inForce;
    }

    public List<Pitch> pitches() {
        return measures.stream()
                .flatMap(m -> m.notes().stream())
                .flatMap(n -> n.pitch().stream())
                .toList();
    }

    /**
     * As an instrument reads it, when this is how it sounds. Where the written key would have more than six signs, key
     * and notes are respelled together.
     */
    public Part writtenFor(Transposition transposition) {
        return writtenFor(transposition, 0);
    }

    /** The same, so many octaves higher. */
    public Part writtenFor(Transposition transposition, int octaves) {
        return moved(7 * octaves - transposition.steps(), 12 * octaves - transposition.semitones());
    }

    /** As it sounds, when this is how an instrument reads it. */
    public Part soundingOn(Transposition transposition) {
        return moved(transposition.steps(), transposition.semitones());
    }

    private Part moved(int steps, int semitones) {
        Key moved = movedKey(key, steps, semitones);
        List<Measure> others = new ArrayList<>();
        Key inForce = key;
        for (Measure measure : measures) {
            inForce = measure.key().orElse(inForce);
            int shift = respelling(inForce, steps, semitones);
            UnaryOperator<Pitch> move = pitch -> pitch.moved(steps + shift, semitones);
            List<Note> notes = new ArrayList<>(measure.notes().size());
            for (Note note : measure.notes()) {
                notes.add(note.isRest() ? note : note.moved(move));
            }
            others.add(measure.withNotes(notes).withKey(measure.key().map(k -> movedKey(k, steps, semitones))));
        }
        return new Part(moved, meter, tempo, others);
    }

    private static int fifths(Key key, int steps, int semitones) {
        // A fifth is four letters and seven semitones: letters give the fifths up to sevens, semitones settle them.
        return key.fifths() + (7 * semitones - 12 * steps);
    }

    private static Key movedKey(Key key, int steps, int semitones) {
        int fifths = fifths(key, steps, semitones);
        return new Key(fifths > 6 ? fifths - 12 : fifths < -6 ? fifths + 12 : fifths, key.mode());
    }

    /** One letter up where sharps became flats, one down where flats became sharps. */
    private static int respelling(Key key, int steps, int semitones) {
        int fifths = fifths(key, steps, semitones);
        return fifths > 6 ? 1 : fifths < -6 ? -1 : 0;
    }
}
