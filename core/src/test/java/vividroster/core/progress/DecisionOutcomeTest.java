package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.progress.DecisionOutcome.Turned;
import vividroster.core.progress.SectionJudgement.Verdict;
import vividroster.core.progress.Standing.State;

class DecisionOutcomeTest {

    private static final LocalDate DAY = LocalDate.of(2026, 10, 5);

    private static List<Standing> standings(int passed, int open) {
        List<Standing> standings = new ArrayList<>();
        for (int i = 0; i < passed + open; i++) {
            standings.add(new Standing(
                    i < passed ? State.PASSED : State.TRIED, 1, false, false, Optional.empty(), Optional.empty(), 0));
        }
        return standings;
    }

    @ParameterizedTest
    @CsvSource({
        "3, 8, 8, 20, CAUGHT_UP",
        "3, 6, 8, 20, GAINED",
        "3, 3, 8, 20, STOOD_STILL",
        "3, 6, 8, 13, OPEN",
        "3, 7, 8, 1, CAUGHT_UP",
        "3, 4, 5, 14, CAUGHT_UP",
        "0, 0, 0, 20, STOOD_STILL",
    })
    void howItTurnedOut(int then, int since, int asked, int daysLater, Turned turned) {
        DecisionOutcome outcome = DecisionOutcome.of(
                Verdict.STAY,
                Verdict.GO_ON,
                standings(then, asked - then),
                standings(since, asked - since),
                DAY,
                DAY.plusDays(daysLater));
        assertThat(outcome).isEqualTo(new DecisionOutcome(asked, then, since, true, turned));
    }

    @ParameterizedTest
    @CsvSource({"STAY, STAY, false", "GO_ON, STAY, true", "GO_ON_WITH_CATCH_UP, GO_ON, true"})
    void anOverruleIsADecisionOtherThanWasAdvised(Verdict advised, Verdict decided, boolean overruled) {
        assertThat(DecisionOutcome.of(advised, decided, standings(1, 1), standings(1, 1), DAY, DAY)
                        .overruled())
                .isEqualTo(overruled);
    }
}
