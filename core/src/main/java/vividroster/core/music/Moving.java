package vividroster.core.music;

/**
 * How keys and pitches move together by an interval, so that intervals keep their names; beyond six signs both are
 * respelled. Source: rules of transposition.
 *
 * @param steps letter steps up
 * @param semitones semitones up
 */
public record Moving(int steps, int semitones, Spelling spelling) {

    /** From what is written to what sounds. */
    public static Moving sounding(Transposition transposition) {
        return new Moving(transposition.steps(), transposition.semitones(), Spelling.FLATS_AT_SIX);
    }

    private int fifths(Key key) {
        // A fifth is four letters and seven semitones: letters give the fifths up to sevens, semitones settle them.
        return key.fifths() + (7 * semitones - 12 * steps);
    }

    public Key key(Key key) {
        int fifths = fifths(key);
        return fifths == key.fifths() ? key : new Key(spelling.settle(fifths), key.mode());
    }

    /** @param inForce the key where the pitch stands, before it is moved */
    public Pitch pitch(Pitch pitch, Key inForce) {
        return pitch.moved(steps + respelling(inForce), semitones);
    }

    /** One letter up where sharps became flats, one down where flats became sharps. */
    int respelling(Key key) {
        return Integer.signum(fifths(key) - key(key).fifths());
    }
}
