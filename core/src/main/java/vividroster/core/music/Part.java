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
 * @param order in which stretches of it are played, where the page gives one, as {@code P:} of ABC does; empty where
 *     repeats and jumps alone say it
 */
public record Part(Key key, Meter meter, Optional<Tempo> tempo, List<Measure> measures, List<Stretch> order) {

    public static final int MOST_MEASURES = 2_000;
    /** Of an order of stretches. */
    public static final int MOST_STRETCHES = 200;

    /** Measures by index, both ends included. */
    public record Stretch(int from, int to) {}

    public Part {
        measures = List.copyOf(measures);
        order = List.copyOf(order);
        if (measures.isEmpty()) {
            throw new IllegalArgumentException("a line needs at least one measure");
        }
        if (measures.size() > MOST_MEASURES) {
            throw new IllegalArgumentException(
                    "a line has at most " + MOST_MEASURES + " measures, here are " + measures.size());
        }
        if (order.size() > MOST_STRETCHES) {
            throw new IllegalArgumentException(
                    "an order of parts has at most " + MOST_STRETCHES + ", here are " + order.size());
        }
        for (Stretch stretch : order) {
            if (stretch.from() < 0 || stretch.to() >= measures.size() || stretch.from() > stretch.to()) {
                throw new IllegalArgumentException("a stretch lies in 0.." + (measures.size() - 1) + ", was "
                        + stretch.from() + " to " + stretch.to());
            }
        }
    }

    public Part(Key key, Meter meter, Optional<Tempo> tempo, List<Measure> measures) {
        this(key, meter, tempo, measures, List.of());
    }

    /** The same with its order of stretches written out one after another; itself where there is none. */
    public Part writtenOut() {
        if (order.isEmpty()) {
            return this;
        }
        List<Measure> out = new ArrayList<>();
        int number = 0;
        for (Stretch stretch : order) {
            for (int i = stretch.from(); i <= stretch.to(); i++) {
                Measure measure = measures.get(i);
                boolean first = out.isEmpty();
                boolean half =
                        !first && i > stretch.from() && measures.get(i - 1).number() == measure.number();
                number = first ? measure.number() : half ? number : number + 1;
                Key inForce = keyAt(i);
                boolean begins = !first && i == stretch.from();
                out.add(new Measure(
                        number,
                        measure.notes(),
                        measure.signs(),
                        begins ? Optional.of(inForce) : measure.key(),
                        begins ? Optional.of(meterAt(i)) : measure.meter(),
                        measure.tempos(),
                        measure.words()));
            }
        }
        return new Part(key, meter, tempo, out);
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
        return moved(
                new Moving(7 * octaves - transposition.steps(), 12 * octaves - transposition.semitones(), spelling));
    }

    /** As it sounds, when this is how an instrument reads it. */
    public Part soundingOn(Transposition transposition) {
        return moved(Moving.sounding(transposition));
    }

    private Part moved(Moving by) {
        List<Measure> others = new ArrayList<>();
        Key inForce = key;
        for (Measure measure : measures) {
            inForce = measure.key().orElse(inForce);
            int steps = by.steps() + by.respelling(inForce);
            UnaryOperator<Pitch> move = pitch -> pitch.moved(steps, by.semitones());
            List<Note> notes = new ArrayList<>(measure.notes().size());
            for (Note note : measure.notes()) {
                notes.add(note.isRest() ? note : note.moved(move));
            }
            others.add(measure.withNotes(notes).withKey(measure.key().map(by::key)));
        }
        return new Part(by.key(key), meter, tempo, others, order);
    }
}
