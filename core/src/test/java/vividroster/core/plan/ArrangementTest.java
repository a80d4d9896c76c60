package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The first plan, and the look for a better one. */
class ArrangementTest {

    private static final PlanBudget NONE = new PlanBudget(0, 0);
    private static final PlanBudget SOME = new PlanBudget(200, 20_000);

    private static Stand look(PlanProblem problem, PlanBudget budget, PlanWatch watch) {
        Compiled c = new Compiled(problem);
        return new Arrangement(c, new Placeable(c), budget, watch).look();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void aLookIsNeverWorseThanTheFirstPlanAndTheSameEveryTime(long seed) {
        PlanProblem year = MadeUpYear.whole(seed, 60);
        Stand first = look(year, NONE, PlanWatch.NOBODY);
        Stand better = look(year, SOME, PlanWatch.NOBODY);
        assertThat(better.points()).isLessThanOrEqualTo(first.points());
        assertThat(look(year, SOME, PlanWatch.NOBODY).at).containsExactly(better.at);
    }

    @Test
    void theSumKeptAlongTheWayIsTheSumOfWhatStands() {
        PlanProblem year = MadeUpYear.whole(4, 60);
        Stand found = look(year, SOME, PlanWatch.NOBODY);
        Compiled c = new Compiled(year);
        Stand anew = new Stand(c);
        for (int i = 0; i < c.count; i++) {
            anew.put(i, found.at[i]);
        }
        assertThat(anew.points()).isEqualTo(found.points());
    }

    @Test
    void whoWatchesIsToldHowFarItIsAndMayEndIt() {
        PlanProblem year = MadeUpYear.whole(5, 60);
        List<Long> told = new ArrayList<>();
        Stand ended = look(year, SOME, (done, all, points) -> {
            assertThat(done).isLessThanOrEqualTo(all);
            told.add(done);
            return told.size() < 2;
        });
        assertThat(told).hasSize(2).isSorted();
        assertThat(ended.points())
                .isLessThanOrEqualTo(look(year, NONE, PlanWatch.NOBODY).points());
    }
}
