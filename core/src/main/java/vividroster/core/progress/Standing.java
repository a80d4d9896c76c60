package vividroster.core.progress;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Where one student stands with one milestone on one instrument; always derived from attempts.
 *
 * @param tries how often the student played it
 * @param carriedOver open although its due day is past
 * @param waived excused once, and the excuse does not stand in the way of a belt; who tries all the same loses nothing
 * @param passedOn day of the try that made the pass
 * @param lastHeardOn day of the last try
 * @param goodTries for a rule of several good tries: the most in its window so far; else 0
 * @param waivedOn the day of the first excuse that does not stand in the way of a belt, passed since or not
 */
public record Standing(
        State state,
        int tries,
        boolean carriedOver,
        boolean waived,
        Optional<LocalDate> passedOn,
        Optional<LocalDate> lastHeardOn,
        int goodTries,
        Optional<LocalDate> waivedOn) {

    /** Whose days of excuse are not known. */
    public Standing(
            State state,
            int tries,
            boolean carriedOver,
            boolean waived,
            Optional<LocalDate> passedOn,
            Optional<LocalDate> lastHeardOn,
            int goodTries) {
        this(state, tries, carriedOver, waived, passedOn, lastHeardOn, goodTries, Optional.empty());
    }

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

    /** The day from which it filled a belt slot; empty where it does not, or the day is not known. */
    public Optional<LocalDate> filledOn() {
        return Stream.concat(isPassed() ? passedOn.stream() : Stream.empty(), waivedOn.stream())
                .min(Comparator.naturalOrder());
    }

    /** Whether it filled a belt slot by the end of a day; without a day, whether it does now. */
    public boolean fillsSlotBy(Optional<LocalDate> day) {
        return fillsSlot()
                && day.flatMap(last -> filledOn().map(on -> !on.isAfter(last))).orElse(true);
    }
}
