package vividroster.core.music;

/** The mode of a key; ionian is major and aeolian minor. */
public enum Mode {
    MAJOR(0, "major"),
    MINOR(3, "minor"),
    DORIAN(2, "dorian"),
    PHRYGIAN(4, "phrygian"),
    LYDIAN(-1, "lydian"),
    MIXOLYDIAN(1, "mixolydian"),
    LOCRIAN(5, "locrian");

    private final int fifthsAboveMajor;
    private final String word;

    Mode(int fifthsAboveMajor, String word) {
        this.fifthsAboveMajor = fifthsAboveMajor;
        this.word = word;
    }

    /** How many fifths its tonic lies above that of the major key with the same signature. */
    public int fifthsAboveMajor() {
        return fifthsAboveMajor;
    }

    public String word() {
        return word;
    }
}
