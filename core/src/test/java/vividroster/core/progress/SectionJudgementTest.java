package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.progress.SectionJudgement.Verdict;
import vividroster.core.progress.Standing.State;

class SectionJudgementTest {

    private static Standing standing(State state) {
        return new Standing(state, 1, false, false, Optional.empty(), Optional.empty(), 0);
    }

    private static SectionJudgement of(int passed, int tried, int unheard, int excused) {
        Map<UUID, Standing> standings = new LinkedHashMap<>();
        int next = 0;
        for (int i = 0; i < passed; i++) {
            standings.put(new UUID(0, next++), standing(i % 2 == 0 ? State.PASSED : State.PASSED_BY_SUBSTITUTE));
        }
        for (int i = 0; i < tried; i++) {
            standings.put(new UUID(0, next++), standing(State.TRIED));
        }
        for (int i = 0; i < unheard; i++) {
            standings.put(new UUID(0, next++), standing(State.SET));
        }
        for (int i = 0; i < excused; i++) {
            standings.put(new UUID(0, next++), standing(State.EXCUSED));
        }
        return SectionJudgement.of(standings, Optional.of("Rhythm"));
    }

    /** Shares of the domain: 80 and 50 of a hundred of those heard; both edges belong to the better word. */
    @ParameterizedTest
    @CsvSource({
        "8, 2, 0, 0, GO_ON",
        "8, 2, 1, 0, HEAR_THE_REST",
        "7, 2, 0, 0, GO_ON_WITH_CATCH_UP",
        "79, 21, 0, 0, GO_ON_WITH_CATCH_UP",
        "4, 4, 3, 0, GO_ON_WITH_CATCH_UP",
        "3, 4, 0, 0, STAY",
        "0, 1, 9, 0, STAY",
        "0, 0, 9, 0, NOBODY_HEARD",
        "0, 0, 0, 2, NOBODY_HEARD",
        "1, 0, 0, 2, GO_ON"
    })
    void judgesByShareOfThoseHeard(int passed, int tried, int unheard, int excused, Verdict verdict) {
        assertThat(of(passed, tried, unheard, excused).verdict()).isEqualTo(verdict);
    }

    @Test
    void namesWhoCatchesUpAndWhatIsWeakest() {
        SectionJudgement judged = of(3, 2, 0, 1);
        assertThat(judged.catchUp()).containsExactly(new UUID(0, 3), new UUID(0, 4));
        assertThat(judged.weakest()).contains("Rhythm");
        assertThat(of(4, 0, 0, 0).weakest()).as("nothing to mend").isEmpty();
        assertThat(of(1, 5, 0, 0).catchUp())
                .as("a section that stays has no group")
                .isEmpty();
    }

    @Property
    void onePassMoreNeverMakesItWorse(
            @ForAll @IntRange(max = 12) int passed,
            @ForAll @IntRange(min = 1, max = 12) int tried,
            @ForAll @IntRange(max = 5) int unheard) {
        List<Verdict> worse = List.of(
                Verdict.NOBODY_HEARD, Verdict.STAY, Verdict.GO_ON_WITH_CATCH_UP, Verdict.HEAR_THE_REST, Verdict.GO_ON);
        Verdict before = of(passed, tried, unheard, 0).verdict();
        assertThat(worse.indexOf(of(passed + 1, tried - 1, unheard, 0).verdict()))
                .isGreaterThanOrEqualTo(worse.indexOf(before));
    }
}
