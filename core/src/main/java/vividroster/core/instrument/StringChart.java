package vividroster.core.instrument;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Reach;
import vividroster.core.music.Pitch;

/**
 * Strings, fingers and positions. On violin and viola a finger stands for a letter: the second letter above the open
 * string is the second finger, low, usual or high; a sharp may be taken as the flat above it, as the hand lies. On cello and bass it stands for a distance in semitones.
 */
public final class StringChart implements FingeringChart {

    /** How the hand lies. */
    public enum Hand {
        /** Violin and viola. */
        BY_LETTER,
        /** Cello: a semitone to a finger, extensions a whole step between first and second. */
        CELLO,
        /** Double bass: first, second and fourth finger, a semitone each. */
        BASS
    }

    /** A way that reads another letter stands behind those that read the one written. */
    private static final int RESPELLED = 2;

    private static final int HIGHEST_POSITION = 11;
    /** Semitones of the letters above an open string in a major pattern, by letter steps within an octave. */
    private static final int[] MAJOR = {0, 2, 4, 5, 7, 9, 11};
    /** Semitones above the open string of the cello's first finger, by position from the first. */
    private static final int[] CELLO_FIRST = {2, 4, 5, 7, 9};
    /** The same on the bass, from the half position. */
    private static final int[] BASS_FIRST = {1, 2, 3, 5, 7, 9, 10, 12};

    private final List<Pitch> open;
    private final Hand hand;
    private final List<Integer> positions;
    private final Map<Pitch, List<Fingering>> byPitch;

    /**
     * @param open strings from the lowest, written
     * @param positions in the order they are preferred, 0 the bass's half position; those left out come after, upward
     */
    public StringChart(List<Pitch> open, Hand hand, List<Integer> positions) {
        this.open = List.copyOf(open);
        this.hand = hand;
        this.positions = List.copyOf(positions);
        Map<Pitch, List<Fingering>> chart = new HashMap<>();
        for (char letter : "CDEFGAB".toCharArray()) {
            for (int alter = -2; alter <= 2; alter++) {
                for (int octave = 1; octave <= 8; octave++) {
                    Pitch pitch = new Pitch(letter, alter, octave);
                    chart.put(pitch, find(pitch));
                }
            }
        }
        this.byPitch = Map.copyOf(chart);
    }

    public List<Pitch> open() {
        return open;
    }

    public Hand hand() {
        return hand;
    }

    @Override
    public List<Fingering> of(Pitch written) {
        return byPitch.getOrDefault(written, List.of());
    }

    private List<Fingering> find(Pitch written) {
        List<OnString> ways = new ArrayList<>();
        List<OnString> asSpelled = new ArrayList<>();
        for (int place = 0; place < open.size(); place++) {
            Pitch string = open.get(place);
            int semitones = written.midi() - string.midi();
            if (semitones == 0) {
                ways.add(new OnString(String.valueOf(string.letter()), place, 0, 0, Reach.USUAL));
            } else if (semitones > 0) {
                switch (hand) {
                    case BY_LETTER -> {
                        byLetter(written, string, place, ways);
                        asSpelled.addAll(ways);
                        byLetter(written.respelled(), string, place, ways);
                    }
                    case CELLO -> cello(semitones, string, place, ways);
                    case BASS -> bass(semitones, string, place, ways);
                }
            }
        }
        if (hand != Hand.BY_LETTER) {
            asSpelled.addAll(ways);
        }
        ways.sort(Comparator.comparingInt((OnString w) -> trouble(w) + (asSpelled.contains(w) ? 0 : RESPELLED))
                .thenComparing(w -> -w.place()));
        return List.copyOf(ways);
    }

    /** Open strings before stopped ones, positions as they are preferred; the fourth finger after an open string. */
    private int trouble(OnString way) {
        if (way.isOpen()) {
            return 0;
        }
        boolean farUp = way.finger() == 4 && way.reach() == Reach.HIGH;
        int reach = way.reach() == Reach.STRETCHED || farUp ? 3 : 0;
        int listed = positions.indexOf(way.position());
        int rank = listed < 0 ? positions.size() + way.position() : listed;
        return 10 * (rank + 1) + reach + (way.finger() == 4 ? 2 : 1);
    }

    private static void byLetter(Pitch written, Pitch string, int place, List<OnString> ways) {
        int steps = written.step() - string.step();
        int usual = 12 * Math.floorDiv(steps, 7) + MAJOR[Math.floorMod(steps, 7)];
        int off = written.midi() - string.midi() - usual;
        if (steps < 1 || Math.abs(off) > 1) {
            return;
        }
        for (int finger = 1; finger <= 4; finger++) {
            int position = steps - finger + 1;
            OnString way = position < 1 || position > HIGHEST_POSITION
                    ? null
                    : new OnString(String.valueOf(string.letter()), place, finger, position, reach(off));
            if (way != null && !ways.contains(way)) {
                ways.add(way);
            }
        }
    }

    /** In a major pattern the second finger stands high already; a hand knows it by usual, so only off it is named. */
    private static Reach reach(int off) {
        return off < 0 ? Reach.LOW : off > 0 ? Reach.HIGH : Reach.USUAL;
    }

    private static void cello(int semitones, Pitch string, int place, List<OnString> ways) {
        for (int p = 0; p < CELLO_FIRST.length; p++) {
            int above = semitones - CELLO_FIRST[p];
            if (above >= 0 && above <= 3) {
                ways.add(new OnString(String.valueOf(string.letter()), place, above + 1, p + 1, Reach.USUAL));
            } else if (above == -1 || above == 4) {
                ways.add(new OnString(
                        String.valueOf(string.letter()), place, above == 4 ? 4 : 1, p + 1, Reach.STRETCHED));
            }
        }
    }

    private static void bass(int semitones, Pitch string, int place, List<OnString> ways) {
        for (int p = 0; p < BASS_FIRST.length; p++) {
            int above = semitones - BASS_FIRST[p];
            if (above >= 0 && above <= 2) {
                ways.add(new OnString(
                        String.valueOf(string.letter()), place, above == 2 ? 4 : above + 1, p, Reach.USUAL));
            }
        }
    }
}
