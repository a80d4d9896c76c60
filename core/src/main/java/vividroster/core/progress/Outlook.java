package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Standings.Terms;
import vividroster.core.progress.Trail.Step;

/**
 * What the next tries would mean, told ahead, so that a device away from the server need not know the rule: it looks up
 * whether the tries made since make the pass.
 *
 * @param passes the shortest sequences of good ({@link #GOOD}) and other ({@link #OTHER}) tries, oldest first, that make
 *     the pass: of two where one begins the other only the shorter, at most {@link #ahead} long. One empty sequence where
 *     the pass is there already, since later tries take nothing away; none where none is in reach.
 * @param counting which evidence makes the pass; other tries are kept and change nothing
 * @param triesAVisit how many tries a student makes before the next one is called, at least 1
 */
public record Outlook(List<String> passes, Set<Evidence> counting, int triesAVisit) {

    public static final char GOOD = 'G';
    public static final char OTHER = 'N';

    private static final int LEAST_AHEAD = 3;

    /** Sequences double with each try; eight tries are more than a visit holds; ours. */
    private static final int MOST_AHEAD = 8;

    public Outlook {
        passes = List.copyOf(passes);
        counting = counting.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(counting));
        if (triesAVisit < 1) {
            throw new IllegalArgumentException("triesAVisit must be at least 1, was " + triesAVisit);
        }
    }

    /** @param on day of the next tries; later ones are left out */
    public static Outlook of(Milestone milestone, Trail trail, InstrumentCode instrument, Terms terms, LocalDate on) {
        List<Step> counting = new ArrayList<>(Standings.counting(milestone, trail, instrument, terms, on));
        List<String> passes = new ArrayList<>();
        if (terms.evidence().isEmpty()) {
            return new Outlook(passes, terms.evidence(), visit(milestone));
        }
        Evidence evidence = terms.evidence().iterator().next();
        look(milestone, counting, instrument, on, evidence, "", passes);
        return new Outlook(passes, terms.evidence(), visit(milestone));
    }

    /** How many tries are looked ahead: as many as the rule reaches back, 3 to 8. */
    public static int ahead(Milestone milestone) {
        return Math.clamp(visit(milestone), LEAST_AHEAD, MOST_AHEAD);
    }

    private static int visit(Milestone milestone) {
        return milestone.passRule() instanceof PassRule.KOfLastN rule ? rule.n() : 1;
    }

    private static void look(
            Milestone milestone,
            List<Step> tries,
            InstrumentCode instrument,
            LocalDate on,
            Evidence evidence,
            String made,
            List<String> passes) {
        if (PassJudge.passingTry(milestone, tries).isPresent()) {
            passes.add(made);
            return;
        }
        if (made.length() == ahead(milestone)) {
            return;
        }
        for (Outcome outcome : List.of(Outcome.PASS, Outcome.NOT_YET)) {
            tries.add(new Step(instrument, on, milestone.version(), evidence, outcome, false));
            look(milestone, tries, instrument, on, evidence, made + (outcome == Outcome.PASS ? GOOD : OTHER), passes);
            tries.removeLast();
        }
    }
}
