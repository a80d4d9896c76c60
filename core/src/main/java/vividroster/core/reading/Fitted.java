package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.instrument.HomeOctave;
import vividroster.core.instrument.Range;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Spelling;
import vividroster.core.music.Transposition;
import vividroster.core.reading.TimedView.At;

/**
 * A part as an instrument reads it: in its home octave, and whole phrases in another where its range demands that.
 *
 * @param octaves moved up from concert pitch, negative for down, but for the phrases that are elsewhere
 * @param register octaves the whole line lies above where its book usually does; taken back in {@code octaves}
 * @param moves of whole phrases, in order; empty where all stays in the home octave
 * @param outside pitches beyond the stage's range all the same, each once
 */
public record Fitted(Part part, int octaves, int register, List<Move> moves, List<Pitch> outside) {

    /** Octaves tried to each side of the home octave. */
    private static final int FARTHEST = 8;
    /** What has an octave to be written in, with a step of room for another spelling. */
    private static final int LOWEST_MIDI = 14;

    private static final int HIGHEST_MIDI = 129;

    /** Which end of which range a phrase would pass in the home octave. */
    public enum Why {
        ABOVE_STAGE,
        BELOW_STAGE,
        ABOVE_INSTRUMENT,
        BELOW_INSTRUMENT
    }

    /**
     * A phrase that is not read in the home octave, or several one after another.
     *
     * @param fromMeasure index of the measure it begins in; toMeasure of the one it ends in
     * @param octaves from the home octave, never 0
     */
    public record Move(int fromMeasure, int toMeasure, int octaves, Why why) {}

    /** Written range of the stage and of the instrument altogether. */
    public record Compass(Range stage, Range full) {
        /** Where only one is known. */
        public static Compass of(Range range) {
            return new Compass(range, range);
        }
    }

    /**
     * @param sounding the line at concert pitch
     * @throws IllegalArgumentException when the part reaches too far to be written for the instrument in any octave
     */
    public static Fitted of(
            TimedView sounding, Transposition transposition, HomeOctave home, Compass compass, Spelling spelling) {
        int down = -transposition.semitones();
        Span whole = Span.of(sounding.notes().stream().flatMap(List::stream).toList());
        int register = whole.isEmpty() ? 0 : home.register(whole.low());
        int base = nearestWritable(whole.moved(down), home.octaves() - register);
        Part part = sounding.part().writtenFor(transposition, base, spelling);
        if (whole.moved(down + 12 * base).beyond(compass.stage()) == 0) {
            return new Fitted(part, base, register, List.of(), List.of());
        }
        // A voice written for the instrument stays where its writer put it, but for what cannot be played there.
        Compass held = home.concert().isEmpty() ? Compass.of(compass.full()) : compass;
        List<Shifted> shifted = new ArrayList<>();
        List<List<At>> phrases = Phrases.of(sounding);
        for (int p = 0; p < phrases.size(); p++) {
            Span span = Span.of(phrases.get(p)).moved(down + 12 * base);
            int octaves = span.isEmpty() ? 0 : octaves(span, held);
            if (octaves != 0) {
                shifted.add(new Shifted(p, phrases.get(p), octaves, why(span, octaves, held)));
            }
        }
        Part fitted = shifted.isEmpty() ? part : moved(part, shifted);
        return new Fitted(
                fitted,
                base,
                register,
                moves(shifted),
                fitted.pitches().stream()
                        .filter(p -> !compass.stage().holds(p))
                        .distinct()
                        .toList());
    }

    /** Octaves the first phrase is moved up from concert pitch. */
    public int firstOctaves() {
        return octaves
                + moves.stream()
                        .filter(m -> m.fromMeasure() == 0)
                        .mapToInt(Move::octaves)
                        .findFirst()
                        .orElse(0);
    }

    /** From the home octave; 0 unless another holds the whole phrase, or the instrument has no such notes. */
    private static int octaves(Span span, Compass compass) {
        if (span.beyond(compass.stage()) == 0) {
            return 0;
        }
        int best = 0;
        int least = span.beyond(compass.full());
        for (int distance = 1; distance <= FARTHEST; distance++) {
            for (int octaves : new int[] {-distance, distance}) {
                Span there = span.moved(12 * octaves);
                if (!there.isWritable()) {
                    continue;
                }
                if (there.beyond(compass.stage()) == 0) {
                    return octaves;
                }
                if (there.beyond(compass.full()) < least) {
                    least = there.beyond(compass.full());
                    best = octaves;
                }
            }
        }
        return best;
    }

    private static Why why(Span span, int octaves, Compass compass) {
        boolean unplayable = span.beyond(compass.full()) > 0;
        return octaves < 0
                ? unplayable ? Why.ABOVE_INSTRUMENT : Why.ABOVE_STAGE
                : unplayable ? Why.BELOW_INSTRUMENT : Why.BELOW_STAGE;
    }

    private static int nearestWritable(Span written, int wanted) {
        for (int distance = 0; distance <= FARTHEST; distance++) {
            for (int octaves : distance == 0 ? new int[] {wanted} : new int[] {wanted - distance, wanted + distance}) {
                if (written.isEmpty() || written.moved(12 * octaves).isWritable()) {
                    return octaves;
                }
            }
        }
        throw new IllegalArgumentException("the line reaches farther than can be written for one instrument");
    }

    /** One phrase of the line, by its place among them. */
    private record Shifted(int place, List<At> phrase, int octaves, Why why) {}

    /** Neighbours that go together are one move. */
    private static List<Move> moves(List<Shifted> shifted) {
        List<Move> moves = new ArrayList<>();
        Shifted before = null;
        for (Shifted one : shifted) {
            boolean goesOn = before != null
                    && one.place() == before.place() + 1
                    && one.octaves() == before.octaves()
                    && one.why() == before.why();
            int from = goesOn
                    ? moves.removeLast().fromMeasure()
                    : one.phrase().getFirst().measure();
            moves.add(new Move(from, one.phrase().getLast().measure(), one.octaves(), one.why()));
            before = one;
        }
        return List.copyOf(moves);
    }

    private static Part moved(Part part, List<Shifted> shifted) {
        List<List<Note>> notes = new ArrayList<>();
        part.measures().forEach(m -> notes.add(new ArrayList<>(m.notes())));
        for (Shifted one : shifted) {
            for (At at : one.phrase()) {
                List<Note> row = notes.get(at.measure());
                if (!at.isRest()) {
                    row.set(at.index(), row.get(at.index()).moved(p -> p.moved(7 * one.octaves(), 12 * one.octaves())));
                }
            }
        }
        List<Measure> measures = new ArrayList<>();
        for (int m = 0; m < notes.size(); m++) {
            measures.add(part.measures().get(m).withNotes(notes.get(m)));
        }
        return new Part(part.key(), part.meter(), part.tempo(), measures, part.order());
    }

    /** The lowest and highest of some notes, grace notes too, as MIDI numbers; low over high where there are none. */
    private record Span(int low, int high) {

        static Span of(List<At> notes) {
            int low = Integer.MAX_VALUE;
            int high = Integer.MIN_VALUE;
            for (At at : notes) {
                if (!at.isRest()) {
                    int midi = at.note().pitch().orElseThrow().midi();
                    low = Math.min(low, midi);
                    high = Math.max(high, midi);
                }
                for (Pitch grace : at.note().graces()) {
                    low = Math.min(low, grace.midi());
                    high = Math.max(high, grace.midi());
                }
            }
            return new Span(low, high);
        }

        boolean isEmpty() {
            return low > high;
        }

        Span moved(int semitones) {
            return isEmpty() ? this : new Span(low + semitones, high + semitones);
        }

        boolean isWritable() {
            return low >= LOWEST_MIDI && high <= HIGHEST_MIDI;
        }

        /** Semitones beyond a range, at both ends together. */
        int beyond(Range range) {
            return isEmpty()
                    ? 0
                    : Math.max(0, range.low().midi() - low)
                            + Math.max(0, high - range.high().midi());
        }
    }
}
