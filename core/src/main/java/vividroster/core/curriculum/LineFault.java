package vividroster.core.curriculum;

import java.util.List;
import java.util.stream.Stream;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;

/** What usually goes wrong in a line, as a director notes it beside a try; a check has faults of its own. */
public enum LineFault {
    WRONG_NOTES("Wrong notes"),
    KEY_FORGOTTEN("Key forgotten"),
    ACCIDENTAL_FORGOTTEN("Accidental"),
    RHYTHM("Rhythm"),
    RUSHES("Rushes"),
    DRAGS("Drags"),
    STOPS("Stops"),
    SLURS("Slurs"),
    BREATH("Breath"),
    REGISTER("Register"),
    PARTIAL("Wrong partial"),
    SLIDE("Slide"),
    FINGER_PLACE("Finger place"),
    BOWING("Bowing"),
    STICKING("Sticking"),
    UNEVEN("Uneven");

    private final String sign;

    LineFault(String sign) {
        this.sign = sign;
    }

    /** The sign by which it is known, as it is kept with a try. */
    public String sign() {
        return sign;
    }

    /**
     * Those that belong to an instrument, the most common first; at most nine, so that each has a digit.
     *
     * @param keySigns whether the key this instrument reads has sharps or flats
     */
    public static List<LineFault> of(Instrument instrument, boolean keySigns) {
        return Stream.concat(heard(instrument, keySigns), OFTEN_LAST.stream()).toList();
    }

    private static final List<LineFault> OFTEN_LAST = List.of(RUSHES, DRAGS, STOPS);

    private static Stream<LineFault> heard(Instrument instrument, boolean keySigns) {
        if (!instrument.pitched()) {
            return Stream.of(RHYTHM, STICKING, UNEVEN);
        }
        Stream<LineFault> notes = keySigns
                ? Stream.of(WRONG_NOTES, KEY_FORGOTTEN, RHYTHM)
                : Stream.of(WRONG_NOTES, ACCIDENTAL_FORGOTTEN, RHYTHM);
        return Stream.concat(notes, ofFamily(instrument));
    }

    private static Stream<LineFault> ofFamily(Instrument instrument) {
        Family family = instrument.family();
        return switch (family) {
            case WOODWIND -> Stream.of(SLURS, REGISTER, BREATH);
            case BRASS ->
                instrument.code().value().contains("trombone")
                        ? Stream.of(PARTIAL, SLIDE, BREATH)
                        : Stream.of(PARTIAL, SLURS, BREATH);
            case STRING -> Stream.of(FINGER_PLACE, BOWING);
            case PERCUSSION -> Stream.of(STICKING);
        };
    }
}
