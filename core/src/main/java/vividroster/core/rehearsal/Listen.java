package vividroster.core.rehearsal;

import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import vividroster.core.rehearsal.HotSpots.Reason;

/** What to listen for in a step of a ladder. */
public enum Listen {
    /** Speaks at once, in tune with its neighbours. */
    NEW_NOTE,
    /** Holds to the bar line, and is over behind it. */
    ACCIDENTAL,
    /** Neither pressed nor lost. */
    EASE_AT_THE_EDGE,
    /** Even, the pulse unmoved. */
    STEADY_PULSE,
    /** Done where it stands, not before. */
    SIGN,
    /** No bump, no other note between. */
    NO_NOTE_BETWEEN,
    /** Lands in tune at once, nothing corrected after. */
    LANDS_IN_TUNE,
    /** The note its full length, then the slide. */
    SLIDE_ON_TIME,
    /** Only the strings that are meant. */
    CLEAN_CROSSING,
    /** The fourth finger as clear as the others. */
    FOURTH_FINGER,
    /** Nothing sounds before the lower note is there. */
    UNBROKEN_SLUR,
    /** Held and silent as long as is written. */
    FULL_LENGTH;

    /** Of a spot by its weightiest reason; empty without one. */
    static Optional<Listen> to(Set<Reason> reasons) {
        return reasons.stream()
                .max(Comparator.comparingInt(Reason::weight).thenComparing(Comparator.reverseOrder()))
                .map(Listen::to);
    }

    static Listen to(Reason reason) {
        return switch (reason) {
            case NEW_NOTE -> NEW_NOTE;
            case TRAP, ALTERED, AS_SIGNED_AGAIN -> ACCIDENTAL;
            case BEYOND_RANGE -> EASE_AT_THE_EDGE;
            case NEW_RHYTHM, FAST -> STEADY_PULSE;
            case NEW_SIGN -> SIGN;
            case REGISTER_BREAK -> NO_NOTE_BETWEEN;
            case SHIFT, EXTENSION, WIDE_LEAP -> LANDS_IN_TUNE;
            case LONG_SLIDE, SEVENTH_POSITION -> SLIDE_ON_TIME;
            case STRING_CROSSING -> CLEAN_CROSSING;
            case FOURTH_FINGER -> FOURTH_FINGER;
            case FALLING_SLUR -> UNBROKEN_SLUR;
        };
    }
}
