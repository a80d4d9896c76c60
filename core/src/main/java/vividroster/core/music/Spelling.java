package vividroster.core.music;

/** How a key with six signs is written for a transposing instrument; with fewer signs there is no choice. */
public enum Spelling {
    /** G-flat rather than F-sharp: winds live on the flat side. */
    FLATS_AT_SIX,
    SHARPS_AT_SIX;

    /** @param fifths of a signature, in -11..11 */
    int settle(int fifths) {
        int within = fifths > 6 ? fifths - 12 : fifths < -6 ? fifths + 12 : fifths;
        return Math.abs(within) < 6 ? within : this == FLATS_AT_SIX ? -6 : 6;
    }
}
