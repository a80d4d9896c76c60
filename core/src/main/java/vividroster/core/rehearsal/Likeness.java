package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import vividroster.core.music.Beats;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;

/** What a whole line repeats of an earlier one, so that the class recalls instead of starting anew. */
public final class Likeness {

    /** Shorter lines are alike by chance. */
    private static final int FEWEST_NOTES = 6;

    /** A measure with fewer notes says nothing. */
    private static final int FEWEST_IN_MEASURE = 3;

    private Likeness() {}

    /** How far a line is an earlier one, the nearest first. */
    public enum Kind {
        SAME,
        OTHER_SLURS,
        OTHER_OCTAVE,
        OTHER_KEY,
        /** Letter for letter in another mode. */
        OTHER_MODE,
        OTHER_RHYTHM
    }

    /** @param earlier index of the earlier line */
    public record Like(int earlier, Kind kind) {}

    /** A measure that stands note for note in an earlier line. */
    public record Borrowed(int measure, int earlier, int earlierMeasure) {}

    /** What a line is made of, ties joined, rests left out of the pitches. */
    private record Print(List<Pitch> pitches, List<Beats> lengths, List<Object> marks) {

        static Print of(Part part) {
            List<Pitch> pitches = new ArrayList<>();
            List<Beats> lengths = new ArrayList<>();
            List<Object> marks = new ArrayList<>();
            Note before = null;
            for (var measure : part.measures()) {
                for (Note note : measure.notes()) {
                    marks.add(note.slurs());
                    marks.add(note.marks());
                    if (note.isTiedFrom(before)) {
                        lengths.set(lengths.size() - 1, lengths.getLast().plus(note.length()));
                    } else {
                        lengths.add(note.length());
                        note.pitch().ifPresent(pitches::add);
                    }
                    before = note;
                }
            }
            return new Print(pitches, lengths, marks);
        }
    }

    /** The nearest likeness of a line among earlier ones; the latest of those equally near. Both as they sound. */
    public static Optional<Like> of(Part line, List<Part> earlier) {
        Print print = Print.of(line);
        Like best = null;
        for (int i = 0; i < earlier.size(); i++) {
            Kind kind = kind(print, Print.of(earlier.get(i)));
            if (kind != null && (best == null || kind.compareTo(best.kind()) <= 0)) {
                best = new Like(i, kind);
            }
        }
        return Optional.ofNullable(best);
    }

    private static Kind kind(Print now, Print before) {
        int notes = now.pitches().size();
        if (notes < FEWEST_NOTES || notes != before.pitches().size()) {
            return null;
        }
        boolean inTime = now.lengths().equals(before.lengths());
        if (now.pitches().equals(before.pitches())) {
            return !inTime ? Kind.OTHER_RHYTHM : now.marks().equals(before.marks()) ? Kind.SAME : Kind.OTHER_SLURS;
        }
        if (!inTime) {
            return null;
        }
        int semitones =
                now.pitches().getFirst().midi() - before.pitches().getFirst().midi();
        int steps =
                now.pitches().getFirst().step() - before.pitches().getFirst().step();
        boolean moved = IntStream.range(0, notes)
                .allMatch(i ->
                        now.pitches().get(i).midi() - before.pitches().get(i).midi() == semitones);
        if (moved) {
            return semitones % 12 == 0 ? Kind.OTHER_OCTAVE : Kind.OTHER_KEY;
        }
        boolean letters = IntStream.range(0, notes)
                .allMatch(i ->
                        now.pitches().get(i).step() - before.pitches().get(i).step() == steps);
        return letters ? Kind.OTHER_MODE : null;
    }

    /** Measures met note for note in earlier lines, each to the latest of them; sounds alone count. */
    public static List<Borrowed> measures(Part line, List<Part> earlier) {
        record Place(int line, int measure) {}
        java.util.Map<List<Object>, Place> seen = new java.util.HashMap<>();
        for (int i = 0; i < earlier.size(); i++) {
            for (int m = 0; m < earlier.get(i).measures().size(); m++) {
                seen.put(sound(earlier.get(i).measures().get(m).notes()), new Place(i, m));
            }
        }
        List<Borrowed> borrowed = new ArrayList<>();
        for (int m = 0; m < line.measures().size(); m++) {
            List<Note> notes = line.measures().get(m).notes();
            long different =
                    notes.stream().flatMap(n -> n.pitch().stream()).distinct().count();
            Place place = seen.get(sound(notes));
            if (place != null && different >= 2 && notes.size() >= FEWEST_IN_MEASURE) {
                borrowed.add(new Borrowed(m, place.line(), place.measure()));
            }
        }
        return borrowed;
    }

    private static List<Object> sound(List<Note> notes) {
        List<Object> sound = new ArrayList<>();
        for (Note note : notes) {
            sound.add(note.pitch().map(Pitch::midi));
            sound.add(note.length());
        }
        return sound;
    }
}
