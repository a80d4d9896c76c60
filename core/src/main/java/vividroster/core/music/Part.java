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
        return writtenFor(transposition, octaves, Spelling.FLATS_AT_SIX);
    }

    /** The same, a key of six signs spelled as one likes. An octave alone leaves every spelling as it is. */
    public Part writtenFor(Transposition transposition, int octaves, Spelling spelling) {
        return moved(7 * octaves - transposition.steps(), 12 * octaves - transposition.semitones(), spelling);
    }

    /** As it sounds, when this is how an instrument reads it. */
    public Part soundingOn(Transposition transposition) {
        return moved(transposition.steps(), transposition.semitones(), Spelling.FLATS_AT_SIX);
    }

    private Part moved(int steps, int semitones, Spelling spelling) {
        List<Measure> others = new ArrayList<>();
        Key inForce = key;
        for (Measure measure : measures) {
            inForce = measure.key().orElse(inForce);
            int shift = respelling(inForce, steps, semitones, spelling);
            UnaryOperator<Pitch> move = pitch -> pitch.moved(steps + shift, semitones);
            List<Note> notes = new ArrayList<>(measure.notes().size());
            for (Note note : measure.notes()) {
                notes.add(note.isRest() ? note : note.moved(move));
            }
            others.add(
                    measure.withNotes(notes).withKey(measure.key().map(k -> movedKey(k, steps, semitones, spelling))));
        }
        return new Part(movedKey(key, steps, semitones, spelling), meter, tempo, others);
    }

    private static int fifths(Key key, int steps, int semitones) {
        // A fifth is four letters and seven semitones: letters give the fifths up to sevens, semitones settle them.
        return key.fifths() + (7 * semitones - 12 * steps);
    }

    private static Key movedKey(Key key, int steps, int semitones, Spelling spelling) {
        int fifths = fifths(key, steps, semitones);
        return fifths == key.fifths() ? key : new Key(spelling.settle(fifths), key.mode());
    }

    /** One letter up where sharps became flats, one down where flats became sharps. */
    private static int respelling(Key key, int steps, int semitones, Spelling spelling) {
        int fifths = fifths(key, steps, semitones);
        int written = movedKey(key, steps, semitones, spelling).fifths();
        return Integer.signum(fifths - written);
    }
}
