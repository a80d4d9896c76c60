package vividroster.core.music;

/**
 * The interval from the written to the sounding note: letter steps and semitones move together, so intervals keep their
 * names.
 *
 * @param steps letter steps, negative when the instrument sounds lower than written
 * @param semitones semitones, same sign as {@code steps}
 */
public record Transposition(int steps, int semitones) {

    public static final Transposition CONCERT = new Transposition(0, 0);

    public Transposition {
        if (Math.abs(semitones) > 36) {
            throw new IllegalArgumentException("semitones must be in -36..36, was " + semitones);
        }
        if (Integer.signum(steps) * Integer.signum(semitones) < 0) {
            throw new IllegalArgumentException(
                    "steps and semitones must go the same way, were " + steps + " and " + semitones);
        }
    }

    /** How many fifths the written key lies above the concert key, in -5..6; octaves fall away. */
    public int writtenKeyFifths() {
        int fifths = Math.floorMod(-semitones * 7, 12);
        return fifths > 6 ? fifths - 12 : fifths;
    }
}
