package vividroster.core.progress;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * Whether a section goes on from a milestone, with its reasons in counts. Source: domain, section judgement: go on where
 * four fifths of those heard have passed and nobody is unheard, with a catch-up group from half on, else stay.
 *
 * @param heard who played it, passed or not; passed: of those; unheard: set and not heard yet
 * @param catchUp who was heard and has not passed, in the order given; empty where the section stays
 * @param weakest what most of those who have not passed did wrong; empty where nobody noted it
 */
public record SectionJudgement(
        Verdict verdict, int heard, int passed, int unheard, List<UUID> catchUp, Optional<String> weakest) {

    private static final int GO_ON_PERCENT = 80;
    private static final int CATCH_UP_PERCENT = 50;

    public enum Verdict {
        GO_ON,
        /** Good enough so far, but some are still to be heard. */
        HEAR_THE_REST,
        GO_ON_WITH_CATCH_UP,
        STAY,
        /** Nobody was heard yet, so that nothing can be said. */
        NOBODY_HEARD
    }

    public SectionJudgement {
        catchUp = List.copyOf(catchUp);
    }

    /**
     * @param standings of everybody for whom it is set, in order; who is excused is left out
     * @param weakest looked up only where the section stays or catches up
     */
    public static SectionJudgement of(Map<UUID, Standing> standings, Optional<String> weakest) {
        List<UUID> missing = new ArrayList<>();
        int passed = 0;
        int unheard = 0;
        for (Map.Entry<UUID, Standing> one : standings.entrySet()) {
            Standing standing = one.getValue();
            if (standing.isPassed()) {
                passed++;
            } else if (standing.state() == Standing.State.TRIED) {
                missing.add(one.getKey());
            } else if (standing.state() != Standing.State.EXCUSED) {
                unheard++;
            }
        }
        int heard = passed + missing.size();
        Verdict verdict = verdict(heard, passed, unheard);
        boolean stays = verdict == Verdict.STAY;
        boolean weak = stays || verdict == Verdict.GO_ON_WITH_CATCH_UP;
        return new SectionJudgement(
                verdict, heard, passed, unheard, stays ? List.of() : missing, weak ? weakest : Optional.empty());
    }

    private static Verdict verdict(int heard, int passed, int unheard) {
        if (heard == 0) {
            return Verdict.NOBODY_HEARD;
        }
        if (100 * passed >= GO_ON_PERCENT * heard) {
            return unheard == 0 ? Verdict.GO_ON : Verdict.HEAR_THE_REST;
        }
        return 100 * passed >= CATCH_UP_PERCENT * heard ? Verdict.GO_ON_WITH_CATCH_UP : Verdict.STAY;
    }

    /** What most of these tries did wrong; empty where nothing was noted. */
    public static Optional<String> weakest(Collection<FaultCounts.FaultyTry> tries) {
        return FaultCounts.of(tries).stream().map(FaultCounts.Counted::sign).findFirst();
    }
}
