package vividroster.core.grading;

import java.util.EnumMap;
import java.util.Map;
import vividroster.core.curriculum.MilestoneKind;

/**
 * How milestones make a grade. Schools differ, so all of it is the director's to set.
 *
 * @param weights of the kinds that count, 1..100; a kind left out counts nothing; only the proportion matters
 * @param notYetPercent what a try that did not pass is worth where there are no points, 0..100
 * @param unheard what is due and was never heard
 */
public record GradeScheme(Map<MilestoneKind, Integer> weights, int notYetPercent, Unheard unheard, GradeScale scale) {

    public static final int MOST_WEIGHT = 100;

    /** Not heard is the lack of a try, not a failure; some schools count it as nothing all the same. */
    public enum Unheard {
        LEFT_OUT,
        NOTHING
    }

    public GradeScheme {
        weights = Map.copyOf(new EnumMap<>(checked(weights)));
        if (notYetPercent < 0 || notYetPercent > 100) {
            throw new IllegalArgumentException("notYetPercent must be in 0..100, was " + notYetPercent);
        }
    }

    private static Map<MilestoneKind, Integer> checked(Map<MilestoneKind, Integer> weights) {
        if (weights.isEmpty()) {
            throw new IllegalArgumentException("weights must be above 0 for one kind at least, all were 0");
        }
        weights.forEach((kind, weight) -> {
            if (weight < 1 || weight > MOST_WEIGHT) {
                throw new IllegalArgumentException(
                        "weights must be in 1.." + MOST_WEIGHT + ", " + kind + " was " + weight);
            }
        });
        return weights;
    }

    /** Tests half, lines, checks and written checks the rest; what was not heard is left out. Ours, to be edited. */
    public static GradeScheme usual() {
        return new GradeScheme(
                Map.of(
                        MilestoneKind.LINE, 30,
                        MilestoneKind.TECHNIQUE_CHECK, 15,
                        MilestoneKind.PLAYING_TEST, 45,
                        MilestoneKind.WRITTEN_CHECK, 10),
                50,
                Unheard.LEFT_OUT,
                new GradeScale.Percent());
    }
}
