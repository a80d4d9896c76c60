package vividroster.core.progress;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.PassRule;
import vividroster.core.progress.Trail.Step;

/** Whether tries meet a pass rule. */
public final class PassJudge {

    private PassJudge() {}

    /**
     * Whether one try is good in itself. A line is judged by ear alone; checks and tests by their marks. Where tries
     * are counted, a try with a criterion marked as not seen is not good, whatever was pressed.
     */
    public static boolean isGood(Milestone milestone, Outcome heard, List<CriterionMark> marks) {
        return switch (milestone.passRule()) {
            case PassRule.OneGoodTry one -> heard == Outcome.PASS && (marks.isEmpty() || allSeen(milestone, marks));
            case PassRule.KOfLastN kOfN -> heard == Outcome.PASS && (marks.isEmpty() || allSeen(milestone, marks));
            case PassRule.AllCriteria all -> allSeen(milestone, marks);
            case PassRule.ScoreAtLeast score ->
                RubricScore.of(milestone.criteria(), marks).passes(score.mark());
            case PassRule.AllSlots slots -> false;
        };
    }

    /**
     * The try that made the pass, if the tries have made one. A pass stays: later tries take nothing away. Each try is
     * judged by the rule of the version it was heard against; where tries are counted, those before it count, of
     * whichever version.
     *
     * @param tries tries that count, in the order heard
     */
    static Optional<Step> passingTry(Milestone milestone, List<Step> tries) {
        for (int end = 0; end < tries.size(); end++) {
            Step last = tries.get(end);
            boolean passes = milestone.ruleOf(last.milestoneVersion()) instanceof PassRule.KOfLastN rule
                    ? goodInWindow(tries, end, rule.n()) >= rule.k()
                    : last.outcome() == Outcome.PASS;
            if (passes) {
                return Optional.of(last);
            }
        }
        return Optional.empty();
    }

    /** Good tries among the last n, the reach of the rule at this moment. */
    static int goodTries(Milestone milestone, List<Step> tries) {
        return milestone.passRule() instanceof PassRule.KOfLastN rule && !tries.isEmpty()
                ? goodInWindow(tries, tries.size() - 1, rule.n())
                : 0;
    }

    private static int goodInWindow(List<Step> tries, int end, int n) {
        int good = 0;
        for (int i = Math.max(0, end - n + 1); i <= end; i++) {
            good += tries.get(i).outcome() == Outcome.PASS ? 1 : 0;
        }
        return good;
    }

    private static boolean allSeen(Milestone milestone, List<CriterionMark> marks) {
        Map<Integer, Integer> given = byOrdinal(marks);
        return milestone.criteria().stream().allMatch(c -> given.getOrDefault(c.ordinal(), 0) >= c.topPoints());
    }

    private static Map<Integer, Integer> byOrdinal(List<CriterionMark> marks) {
        return marks.stream().collect(Collectors.toMap(CriterionMark::ordinal, CriterionMark::points));
    }
}
