package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.SectionDecisions.Decision;
import vividroster.core.progress.SectionDecisions.SetForClass;
import vividroster.core.progress.SectionJudgement.Verdict;
import vividroster.core.progress.Standing.State;

class SectionDecisionsTest {

    private static final LocalDate ON = LocalDate.of(2026, 10, 7);
    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final InstrumentCode HORN = new InstrumentCode("horn");

    private int next;

    private Map<UUID, Standing> standings(int passed, int tried, int unheard) {
        Map<UUID, Standing> standings = new LinkedHashMap<>();
        put(standings, passed, State.PASSED);
        put(standings, tried, State.TRIED);
        put(standings, unheard, State.SET);
        return standings;
    }

    private void put(Map<UUID, Standing> standings, int count, State state) {
        for (int i = 0; i < count; i++) {
            standings.put(
                    new UUID(0, next++), new Standing(state, 1, false, false, Optional.empty(), Optional.empty(), 0));
        }
    }

    private static SetForClass line(
            int number, LocalDate dueOn, Map<UUID, Standing> flutes, Map<UUID, Standing> horns) {
        Map<InstrumentCode, Map<UUID, Standing>> sections = new LinkedHashMap<>();
        sections.put(FLUTE, flutes);
        sections.put(HORN, horns);
        return new SetForClass(new UUID(1, number), dueOn, sections);
    }

    private static List<Decision> decide(SetForClass... set) {
        return SectionDecisions.of(
                List.of(set), ON, (milestone, students) -> Optional.of("Rhythm of " + students.size()));
    }

    @Test
    void sectionsJudgedAlikeAreDecidedOnTogether() {
        List<Decision> decisions = decide(line(1, ON, standings(5, 0, 0), standings(4, 1, 0)));
        assertThat(decisions).hasSize(1);
        assertThat(decisions.getFirst().section()).isEmpty();
        assertThat(decisions.getFirst().judgement().passed()).isEqualTo(9);
    }

    @Test
    void aSectionThatDiffersIsDecidedOnByItselfAndTheWorstComesFirst() {
        List<Decision> decisions = decide(line(1, ON, standings(5, 0, 0), standings(1, 4, 0)));
        assertThat(decisions)
                .extracting(decision -> decision.section().orElseThrow())
                .containsExactly(HORN, FLUTE);
        assertThat(decisions.getFirst().judgement().weakest()).contains("Rhythm of 5");
    }

    @Test
    void whereNobodyWasHeardNothingIsAsked() {
        assertThat(decide(line(1, ON, standings(0, 0, 5), standings(0, 0, 2)))).isEmpty();
        List<Decision> decisions = decide(line(1, ON, standings(0, 0, 5), standings(2, 0, 0)));
        assertThat(decisions).hasSize(1);
        assertThat(decisions.getFirst().judgement().verdict())
                .as("the flutes are still to be heard")
                .isEqualTo(Verdict.HEAR_THE_REST);
    }

    @Test
    void whatWasDueLongAgoIsNotAskedAgain() {
        Map<UUID, Standing> all = standings(3, 0, 0);
        assertThat(decide(line(1, ON.minusDays(11), all, all))).isEmpty();
        assertThat(decide(
                        line(1, ON.minusDays(3), standings(3, 0, 0), standings(3, 0, 0)),
                        line(2, ON, standings(3, 0, 0), standings(3, 0, 0))))
                .extracting(Decision::milestoneId)
                .containsExactly(new UUID(1, 2), new UUID(1, 1));
    }
}
