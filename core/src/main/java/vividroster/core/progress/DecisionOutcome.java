package vividroster.core.progress;

import java.time.LocalDate;
import java.util.Collection;
import vividroster.core.progress.SectionJudgement.Verdict;

/**
 * How a decision about a section turned out: what had been passed when it was taken, and what has been since.
 *
 * @param asked players it was about who are still there
 * @param passedThen of these had passed by the day of the decision
 * @param passedSince of these have by now
 * @param overruled whether the director decided otherwise than was advised
 */
public record DecisionOutcome(int asked, int passedThen, int passedSince, boolean overruled, Turned turned) {

    /** Days after a decision before it can be said how it turned out; ours: two weeks of lessons. */
    public static final int SETTLED_AFTER_DAYS = 14;

    /** How it turned out. */
    public enum Turned {
        /** Too early to say. */
        OPEN,
        /** Those who were left behind caught up: four in five have passed, as the advice to go on asks. */
        CAUGHT_UP,
        /** More passed, and still fewer than four in five. */
        GAINED,
        /** Nobody who was behind passed since. */
        STOOD_STILL
    }

    /** As the advice to go on asks. (domain.md, 6.9.) */
    private static final int ENOUGH_PERCENT = 80;

    /**
     * @param then where the players stood on the day of the decision
     * @param since where the same players stand now, in the same order
     */
    public static DecisionOutcome of(
            Verdict advised,
            Verdict decided,
            Collection<Standing> then,
            Collection<Standing> since,
            LocalDate decidedOn,
            LocalDate on) {
        int passedThen = passed(then);
        int passedSince = passed(since);
        return new DecisionOutcome(
                since.size(),
                passedThen,
                passedSince,
                advised != decided,
                turned(since.size(), passedThen, passedSince, !on.isBefore(decidedOn.plusDays(SETTLED_AFTER_DAYS))));
    }

    private static int passed(Collection<Standing> standings) {
        return (int) standings.stream().filter(Standing::fillsSlot).count();
    }

    private static Turned turned(int asked, int then, int since, boolean settled) {
        if (asked > 0 && 100 * since >= ENOUGH_PERCENT * asked) {
            return Turned.CAUGHT_UP;
        }
        if (!settled) {
            return Turned.OPEN;
        }
        return since > then ? Turned.GAINED : Turned.STOOD_STILL;
    }
}
