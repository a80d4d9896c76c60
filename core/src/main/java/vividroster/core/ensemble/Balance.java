package vividroster.core.ensemble;

import java.util.Optional;
import vividroster.core.music.InstrumentCode;

/**
 * One section of an ensemble: who could sit in it against how many are wanted.
 *
 * @param wanted empty where nobody said
 * @param ready and nearly: players who could be called
 */
public record Balance(InstrumentCode instrument, Optional<Integer> wanted, int ready, int nearly, int others) {

    /** Whether a section is as large as it should be. */
    public enum Weight {
        /** Not said how many are wanted. */
        OPEN,
        /** Fewer are ready and nearly ready together than wanted. */
        SHORT,
        /** Enough once those nearly ready are. */
        SHORT_FOR_NOW,
        /** As many as wanted. */
        FULL,
        /** More are ready than wanted. */
        OVER
    }

    public Weight weight() {
        if (wanted.isEmpty()) {
            return Weight.OPEN;
        }
        int seats = wanted.get();
        if (ready > seats) {
            return Weight.OVER;
        }
        if (ready == seats) {
            return Weight.FULL;
        }
        return ready + nearly >= seats ? Weight.SHORT_FOR_NOW : Weight.SHORT;
    }

    /** How many more are ready than wanted; 0 where there are not. */
    public int over() {
        return wanted.map(seats -> Math.max(0, ready - seats)).orElse(0);
    }

    /** How many are missing, ready ones counted alone; 0 where there are enough. */
    public int missing() {
        return wanted.map(seats -> Math.max(0, seats - ready)).orElse(0);
    }
}
