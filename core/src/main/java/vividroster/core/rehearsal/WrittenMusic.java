package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Tempo;

/** Scales and rhythms written for a test, at concert pitch, so that every section reads them like a line of a book. */
public final class WrittenMusic {

    /** Semitones of the octave in which books of beginners begin: the tonic nearest to B-flat 3. */
    private static final int HOME_MIDI = 58;

    private static final Beats MEASURE = Beats.of(4);
    public static final int MOST_OCTAVES = 2;
    public static final int MOST_MEASURES = 16;

    private WrittenMusic() {}

    /** How long the notes of a scale are. */
    public enum Values {
        QUARTERS(Beats.of(1)),
        EIGHTHS(Beats.of(1, 2));

        private final Beats beats;

        Values(Beats beats) {
            this.beats = beats;
        }
    }

    /** Which values a rhythm is made of, each with those before it. */
    public enum Level {
        /** Notes and rests of whole pulses. */
        PULSES,
        /** Halves of a pulse, thirds of a compound one. */
        DIVIDED,
        /** Quarters of a pulse, dotted values. */
        SUBDIVIDED
    }

    /**
     * Up and down, as signed (a minor scale without raised degrees), in 4/4; the last tonic fills its measure.
     *
     * @param octaves 1..{@link #MOST_OCTAVES}
     */
    public static Part scale(Key concert, int octaves, Values values, Bpm tempo) {
        if (octaves < 1 || octaves > MOST_OCTAVES) {
            throw new IllegalArgumentException("octaves must be in 1.." + MOST_OCTAVES + ", was " + octaves);
        }
        Pitch tonic = tonic(concert);
        List<Pitch> up = concert.scale(tonic, new Pitch(tonic.letter(), tonic.alter(), tonic.octave() + octaves));
        List<Pitch> row = new ArrayList<>(up);
        row.addAll(up.reversed().subList(1, up.size()));
        List<Measure> measures = new ArrayList<>();
        List<Note> notes = new ArrayList<>();
        Beats there = Beats.ZERO;
        for (int i = 0; i < row.size(); i++) {
            Beats length = i == row.size() - 1 ? MEASURE.minus(there) : values.beats;
            notes.add(Note.of(row.get(i), length));
            there = there.plus(length);
            if (there.equals(MEASURE)) {
                measures.add(Measure.of(measures.size() + 1, notes));
                notes = new ArrayList<>();
                there = Beats.ZERO;
            }
        }
        return new Part(concert, new Meter(4, 4), Optional.of(Tempo.of(tempo)), measures);
    }

    private static Pitch tonic(Key concert) {
        char letter = concert.tonic();
        return IntStream.rangeClosed(1, 6)
                .mapToObj(octave -> new Pitch(letter, concert.alterOf(letter), octave))
                .min(Comparator.comparingInt(pitch -> Math.abs(pitch.midi() - HOME_MIDI)))
                .orElseThrow();
    }

    /**
     * A rhythm on the tonic of a key. The same seed makes the same rhythm. It begins with a note and ends with one that
     * fills its last pulses; no measure is all rest.
     *
     * @param measures 2..{@link #MOST_MEASURES}
     */
    public static Part rhythm(Key concert, Meter meter, int measures, Level level, Bpm tempo, long seed) {
        if (measures < 2 || measures > MOST_MEASURES) {
            throw new IllegalArgumentException("measures must be in 2.." + MOST_MEASURES + ", was " + measures);
        }
        int pulses = Beats.of(meter).ticks() / meter.pulse().ticks();
        if (pulses < 2) {
            throw new IllegalArgumentException("a rhythm needs a meter of two pulses at least, was " + meter);
        }
        UniformRandomProvider random = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        Pitch tonic = tonic(concert);
        List<Measure> written = new ArrayList<>();
        for (int m = 1; m <= measures; m++) {
            List<Note> notes = new ArrayList<>();
            int left = pulses;
            boolean last = m == measures;
            while (left > 0) {
                boolean first = notes.isEmpty();
                if (last && left <= 2) {
                    notes.add(Note.of(tonic, meter.pulse().times(left, 1)));
                    break;
                }
                List<Cell> cells = cells(level, meter.isCompound(), left, first);
                Cell cell = cells.get(random.nextInt(cells.size()));
                cell.write(tonic, meter.pulse(), notes);
                left -= cell.pulses();
            }
            written.add(Measure.of(m, notes));
        }
        return new Part(concert, meter, Optional.of(Tempo.of(tempo)), written);
    }

    /**
     * A figure of whole pulses.
     *
     * @param shares of its length, each so many of {@code of}; negative for a rest
     */
    private record Cell(int pulses, int of, int... shares) {

        void write(Pitch pitch, Beats pulse, List<Note> notes) {
            for (int share : shares) {
                Beats length = pulse.times((long) Math.abs(share) * pulses, of);
                notes.add(share < 0 ? Note.rest(length) : Note.of(pitch, length));
            }
        }
    }

    /** What may come now; a measure begins with a note, so that none is all rest. */
    private static List<Cell> cells(Level level, boolean compound, int left, boolean first) {
        List<Cell> cells = new ArrayList<>();
        cells.add(new Cell(1, 1, 1));
        cells.add(new Cell(1, 1, 1));
        if (!first) {
            cells.add(new Cell(1, 1, -1));
        }
        if (left >= 2) {
            cells.add(new Cell(2, 1, 1));
        }
        if (level != Level.PULSES) {
            if (compound) {
                cells.add(new Cell(1, 3, 1, 1, 1));
                cells.add(new Cell(1, 3, 2, 1));
            } else {
                cells.add(new Cell(1, 2, 1, 1));
                cells.add(new Cell(1, 2, 1, 1));
            }
        }
        if (level == Level.SUBDIVIDED) {
            if (compound) {
                cells.add(new Cell(1, 3, 1, 2));
                cells.add(new Cell(1, 6, 1, 1, 2, 2));
            } else {
                cells.add(new Cell(1, 4, 2, 1, 1));
                cells.add(new Cell(1, 4, 1, 1, 2));
                cells.add(new Cell(1, 4, 1, 1, 1, 1));
                if (left >= 2) {
                    cells.add(new Cell(2, 4, 3, 1));
                }
            }
        }
        return cells;
    }
}
