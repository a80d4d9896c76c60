package vividroster.core.music;

import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A pitch by letter, alteration and octave. The octave belongs to the letter: C-flat 5 is the key below C 5.
 *
 * @param letter A to G
 * @param alter semitones up or down, in -2..2
 * @param octave 4 holds middle C; in 0..9
 */
public record Pitch(char letter, int alter, int octave) {

    private static final Pattern WRITTEN = Pattern.compile("([A-Ga-g])(##|#|bb|b|-sharp|-flat)? ?(\\d)");
    private static final String LETTERS = "CDEFGAB";
    private static final int[] SEMITONES = {0, 2, 4, 5, 7, 9, 11};
    /** Steps and semitones above C by letter from A on: asked for every note of every reading. */
    private static final int[] STEP_OF_LETTER = {5, 6, 0, 1, 2, 3, 4};

    private static final int[] SEMITONES_OF_LETTER = {9, 11, 0, 2, 4, 5, 7};
    private static final int MIDI_A4 = 69;

    public Pitch {
        if (LETTERS.indexOf(letter) < 0) {
            throw new IllegalArgumentException("a pitch's letter must be A to G, was " + letter);
        }
        if (alter < -2 || alter > 2) {
            throw new IllegalArgumentException("a pitch's alter must be in -2..2, was " + alter);
        }
        if (octave < 0 || octave > 9) {
            throw new IllegalArgumentException("a pitch's octave must be in 0..9, was " + octave);
        }
    }

    /** @param text for example {@code F4}, {@code Bb2}, {@code F#5} or {@code B-flat 2} */
    public static Pitch named(String text) {
        Matcher m = WRITTEN.matcher(text.strip());
        if (!m.matches()) {
            throw new IllegalArgumentException("a pitch is written like F4 or Bb2, was \"" + text + "\"");
        }
        String sign = m.group(2) == null ? "" : m.group(2);
        int alter = switch (sign) {
            case "#", "-sharp" -> 1;
            case "##" -> 2;
            case "b", "-flat" -> -1;
            case "bb" -> -2;
            default -> 0;
        };
        return new Pitch(Character.toUpperCase(m.group(1).charAt(0)), alter, Integer.parseInt(m.group(3)));
    }

    /** Letter steps above C 0; what a staff shows. */
    public int step() {
        return 7 * octave + STEP_OF_LETTER[letter - 'A'];
    }

    /**
     * By its number alone: natural where there is such a note, else a flat or a sharp.
     *
     * @param midi in 12..127, 60 for middle C
     */
    public static Pitch ofMidi(int midi, boolean flats) {
        if (midi < 12 || midi > 127) {
            throw new IllegalArgumentException("midi must be in 12..127, was " + midi);
        }
        int found = Arrays.binarySearch(SEMITONES, midi % 12);
        // Not among the naturals: the one above for a flat, the one below for a sharp.
        int letter = found >= 0 ? found : flats ? -found - 1 : -found - 2;
        return at(7 * (midi / 12 - 1) + letter, midi);
    }

    /**
     * Letter and semitones move together, so that intervals keep their names; beyond double signs the nearest spelling
     * of the same sound is taken.
     *
     * @param steps letter steps up
     * @param semitones semitones up
     */
    public Pitch moved(int steps, int semitones) {
        return at(step() + steps, midi() + semitones);
    }

    private static Pitch at(int step, int midi) {
        int natural = 12 * (Math.floorDiv(step, 7) + 1) + SEMITONES[Math.floorMod(step, 7)];
        int alter = midi - natural;
        if (alter > 2) {
            return at(step + 1, midi);
        }
        if (alter < -2) {
            return at(step - 1, midi);
        }
        return new Pitch(LETTERS.charAt(Math.floorMod(step, 7)), alter, Math.floorDiv(step, 7));
    }

    /** What a transposing instrument reads for this sounding pitch. */
    public Pitch writtenFor(Transposition transposition) {
        return moved(-transposition.steps(), -transposition.semitones());
    }

    /** How this written pitch sounds on a transposing instrument. */
    public Pitch soundingOn(Transposition transposition) {
        return moved(transposition.steps(), transposition.semitones());
    }

    /** The other common spelling of the same sound, towards sharps or flats; itself where there is none. */
    public Pitch respelled() {
        int towards = alter == 0 ? 0 : Integer.signum(alter);
        return towards == 0 ? this : at(step() + towards, midi());
    }

    /** 60 for middle C. */
    public int midi() {
        return 12 * (octave + 1) + SEMITONES_OF_LETTER[letter - 'A'] + alter;
    }

    /** In equal temperament. @param tuning hertz of A 4, for example 440 */
    public double hertz(double tuning) {
        return tuning * Math.pow(2, (midi() - MIDI_A4) / 12.0);
    }

    /** For example "B-flat 2". */
    public String name() {
        String sign = switch (alter) {
            case 1 -> "-sharp";
            case 2 -> "-double-sharp";
            case -1 -> "-flat";
            case -2 -> "-double-flat";
            default -> "";
        };
        return letter + sign + " " + octave;
    }

    /** As {@link #named} reads it, for example {@code Bb2}. */
    @Override
    public String toString() {
        String sign = switch (alter) {
            case 1 -> "#";
            case 2 -> "##";
            case -1 -> "b";
            case -2 -> "bb";
            default -> "";
        };
        return letter + sign + octave;
    }
}
