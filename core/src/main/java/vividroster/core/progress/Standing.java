package vividroster.core.progress;

import java.time.LocalDate;
import java.util.Optional;

/**
 * Where one student stands with one milestone on one instrument; always derived from attempts.
 *
 * @param tries how often the student played it
 * @param carriedOver open although its due day is past
 * @param waived excused once, and the excuse does not stand in the way of a belt; who tries all the same loses nothing
 * @param passedOn day of the try that made the pass
 * @param lastHeardOn day of the last try
 * @param goodTries for a rule of several good tries: the most in its window so far; else 0
 */
public record Standing(
        State state,
        int tries,
        boolean carriedOver,
        boolean waived,
        Optional<LocalDate> passedOn,
        Optional<LocalDate> lastHeardOn,
        int goodTries) {

    /** Each is drawn as its own mark. */
    public enum State {
        NOT_SET,
        SET,
        TRIED,
        PASSED,
        PASSED_BY_SUBSTITUTE,
        EXCUSED,
        RECORDING_WAITING;

        public boolean isPassed() {
            return this == PASSED || this == PASSED_BY_SUBSTITUTE;
        }

        /** Set and neither passed nor excused. */
        public boolean isOpen() {
            return this == SET || this == TRIED || this == RECORDING_WAITING;
        }
    }

    public static final Standing NOTHING =
            new Standing(State.NOT_SET, 0, false, false, Optional.empty(), Optional.empty(), 0);

    public boolean isPassed() {
        return state.isPassed();
    }

    /** Set for the student and neither passed nor excused: somebody to hear. */
    public boolean isOpen() {
        return state.isOpen();
    }

    /** Tried this often without a pass, another remedy is due rather than another try. */
    public static final int TRIES_THAT_ASK_FOR_A_REMEDY = 3;

    public boolean needsARemedy() {
        return state == State.TRIED && tries >= TRIES_THAT_ASK_FOR_A_REMEDY;
    }

    /** Whether a belt slot filled by this milestone is filled. */
    public boolean fillsSlot() {
        return isPassed() || waived;
    }
}
