package vividroster.core.music;

import java.util.ArrayList;
import java.util.List;

/**
 * A key as its signature and mode.
 *
 * @param fifths sharps in the signature, negative for flats, in -7..7
 * @param mode major or minor
 */
public record Key(int fifths, Mode mode) {

    private static final String LETTERS = "FCGDAEB";

    public Key {
        if (fifths < -7 || fifths > 7) {
            throw new IllegalArgumentException("fifths must be in -7..7, was " + fifths);
        }
    }

    /** The key a transposing instrument reads when this is the concert key. Source: rules of transposition, six signs at most. */
    public Key writtenFor(Transposition transposition) {
        return writtenFor(transposition, Spelling.FLATS_AT_SIX);
    }

    /** The same, a key of six signs spelled as one likes. */
    public Key writtenFor(Transposition transposition, Spelling spelling) {
        int between = transposition.writtenKeyFifths();
        return between == 0 ? this : new Key(spelling.settle(fifths + between), mode);
    }

    /** The sign this key gives a letter: 1 sharp, -1 flat, 0 none. */
    public int alterOf(char letter) {
        int place = LETTERS.indexOf(letter);
        if (place < 0) {
            throw new IllegalArgumentException("a key signs the letters A to G, not " + letter);
        }
        return fifths > place ? 1 : -fifths > 6 - place ? -1 : 0;
    }

    /** The tonic's letter. */
    public char tonic() {
        return LETTERS.charAt(Math.floorMod(tonicPlace(), 7));
    }

    /** On the line of fifths, F being 0. */
    private int tonicPlace() {
        return fifths + 1 + mode.fifthsAboveMajor();
    }

    /** The key of a tonic in a mode. @param alter of the tonic's letter @throws IllegalArgumentException beyond seven signs */
    public static Key of(char tonic, int alter, Mode mode) {
        return new Key(LETTERS.indexOf(tonic) - 1 + 7 * alter - mode.fifthsAboveMajor(), mode);
    }

    /** The scale as signed, within closed bounds, upward; a minor key without its raised degrees. */
    public List<Pitch> scale(Pitch low, Pitch high) {
        List<Pitch> scale = new ArrayList<>();
        for (int octave = 0; octave <= 9; octave++) {
            for (char letter : "CDEFGAB".toCharArray()) {
                Pitch pitch = new Pitch(letter, alterOf(letter), octave);
                if (pitch.midi() >= low.midi() && pitch.midi() <= high.midi()) {
                    scale.add(pitch);
                }
            }
        }
        return scale;
    }

    /** For example "B-flat major". */
    public String name() {
        String sign = switch (Math.floorDiv(tonicPlace(), 7)) {
            case 0 -> "";
            case 1 -> "-sharp";
            default -> "-flat";
        };
        return tonic() + sign + " " + mode.word();
    }

    /** The inverse of {@link #name()}; upper and lower case are alike. */
    public static Key named(String name) {
        for (Mode mode : Mode.values()) {
            for (int fifths = -7; fifths <= 7; fifths++) {
                Key key = new Key(fifths, mode);
                if (key.name().equalsIgnoreCase(name.strip())) {
                    return key;
                }
            }
        }
        throw new IllegalArgumentException("a key is written like \"B-flat major\", was \"" + name + "\"");
    }
}
