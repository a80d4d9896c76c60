package vividroster.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import vividroster.core.plan.PlanTrouble.Kind;

/**
 * Lays the milestones of a year on its weeks: no plan breaks a hard rule, and among those that keep them the one with few
 * points is looked for. The answer depends on the problem and the budget alone.
 */
public final class Planner {

    private Planner() {}

    public static Plan plan(PlanProblem problem, PlanBudget budget) {
        return plan(problem, budget, PlanWatch.NOBODY);
    }

    public static Plan plan(PlanProblem problem, PlanBudget budget, PlanWatch watch) {
        Compiled c = new Compiled(problem);
        Placeable placeable = new Placeable(c);
        int[] at = new Arrangement(c, placeable, budget, watch).look().at;
        return described(c, placeable, at);
    }

    /**
     * A plan somebody made, as the planner sees it: what it pays and what it cannot keep. What stands where it may not is
     * told by {@link PlanReasons#brokenBy}.
     *
     * @param weeks by milestone; who is not named stands nowhere
     */
    public static Plan look(PlanProblem problem, Map<String, Integer> weeks) {
        Compiled c = new Compiled(problem);
        return described(c, new Placeable(c), places(c, weeks));
    }

    static int[] places(Compiled c, Map<String, Integer> weeks) {
        int[] at = new int[c.count];
        Arrays.fill(at, Compiled.NOWHERE);
        weeks.forEach((id, week) -> at[c.place(id)] = week - 1);
        return at;
    }

    private static Plan described(Compiled c, Placeable placeable, int[] at) {
        Map<String, Integer> weeks = new LinkedHashMap<>();
        List<String> leftOut = new ArrayList<>();
        List<PlanTrouble> troubles = new ArrayList<>(placeable.troubles());
        for (int i = 0; i < c.count; i++) {
            PlanMilestone m = c.milestone(i);
            if (at[i] == Compiled.NOWHERE) {
                leftOut.add(m.id());
                continue;
            }
            weeks.put(m.id(), at[i] + 1);
            if (c.datesAlone(m, at[i]).dates() > 0) {
                troubles.add(PlanTrouble.of(Kind.DATE_MISSED, m.id(), at[i] + 1));
            }
            if (!c.isFree(i) && !c.isHeard(i)) {
                List<String> late = late(c, at, i);
                if (!late.isEmpty()) {
                    late.addFirst(m.id());
                    troubles.add(
                            new PlanTrouble(Kind.NEED_AFTER_FIXED, late, Optional.empty(), OptionalInt.of(at[i] + 1)));
                }
            }
        }
        return new Plan(
                c.problem,
                Collections.unmodifiableMap(weeks),
                List.copyOf(leftOut),
                Pricing.of(c, at),
                List.copyOf(troubles));
    }

    /** What a fixed one needs and does not have by its week. */
    private static List<String> late(Compiled c, int[] at, int i) {
        List<String> late = new ArrayList<>();
        for (int n = 0; n < c.needs[i].length; n++) {
            int need = at[c.needs[i][n]];
            if (need == Compiled.NOWHERE || c.taught[need] + c.gaps[i][n] > c.taught[at[i]]) {
                late.add(c.milestone(c.needs[i][n]).id());
            }
        }
        return late;
    }
}
