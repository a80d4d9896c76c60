package vividroster.core.music;

/**
 * Whose part it is.
 *
 * @param instrument code of the catalog
 * @param division 1 for first, 2 for second and so on; 0 where the music divides nothing
 */
public record Voice(InstrumentCode instrument, int division) {

    public Voice {
        if (division < 0 || division > 9) {
            throw new IllegalArgumentException("a division must be in 0..9, was " + division);
        }
    }

    /** Of a whole section. */
    public static Voice of(InstrumentCode instrument) {
        return new Voice(instrument, 0);
    }
}
