package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SchoolChoicesTest {

    private static final School<Boolean> LOW = School.whether("horn-first-notes", "low", "high");
    private static final School<Integer> LENGTHS = School.of("lip-slurs", Map.of("five", 5, "seven", 7));
    private static final School<Double> TEMPO = School.amount("tempo");

    private static final SchoolQuestion HORN = new SchoolQuestion(
            "horn-first-notes", "Where do horns begin?", new LinkedHashMap<>(Map.of("low", "Low", "high", "High")));
    private static final SchoolQuestion ASKED_TEMPO = new SchoolQuestion(
            "tempo", "How fast?", Map.of(), Optional.of(new SchoolQuestion.Amount(20, 400, 100, "quarters a minute")));

    @Test
    void aRuleTakesWhatItsChoiceMeans() {
        SchoolChoices chosen =
                new SchoolChoices(Map.of("horn-first-notes", "low", "lip-slurs", "seven", "tempo", "92.5"));
        assertThat(chosen.of(LOW)).isTrue();
        assertThat(chosen.of(LENGTHS)).isEqualTo(7);
        assertThat(chosen.of(TEMPO)).isEqualTo(92.5);
        assertThat(chosen.of("lip-slurs")).isEqualTo("seven");
        assertThat(chosen.of("sitting")).isEmpty();
    }

    @Test
    void whatARuleDoesNotKnowIsNeverReadAsSomethingElse() {
        assertThatThrownBy(() -> SchoolChoices.of("lip-slurs", "six").of(LENGTHS))
                .hasMessage("\"lip-slurs\" has no choice \"six\"");
        assertThatThrownBy(() -> SchoolChoices.NONE.of(LOW)).hasMessage("\"horn-first-notes\" has no choice \"\"");
    }

    @Test
    void aStudentsOwnChoiceGoesBeforeTheProgrammes() {
        SchoolChoices programme = new SchoolChoices(Map.of("sitting", "front-half", "pegs", "teacher-only"));
        assertThat(programme.followedBy(SchoolChoices.of("pegs", "family-at-home")))
                .isEqualTo(new SchoolChoices(Map.of("sitting", "front-half", "pegs", "family-at-home")));
        assertThat(programme.followedBy(SchoolChoices.NONE)).isEqualTo(programme);
    }

    @Test
    void aRuleReadsTheQuestionThatHasItsChoicesAndNoOther() {
        assertThat(LOW.reads(HORN)).isTrue();
        assertThat(TEMPO.reads(ASKED_TEMPO)).isTrue();
        assertThat(School.whether("horn-first-notes", "low", "middle").reads(HORN))
                .isFalse();
        assertThat(School.amount("horn-first-notes").reads(HORN)).isFalse();
        assertThatThrownBy(() -> LENGTHS.reads(HORN)).hasMessage("\"lip-slurs\" is not \"horn-first-notes\"");
    }

    @Test
    void aChoiceKeptBeforeThatTheQuestionNoLongerHasFallsBackToTheDefault() {
        assertThat(HORN.inForce(Optional.of("low"))).isEqualTo("low");
        assertThat(HORN.inForce(Optional.of("middle"))).isEqualTo(HORN.defaultChoice());
        assertThat(HORN.inForce(Optional.empty())).isEqualTo(HORN.defaultChoice());
        assertThat(ASKED_TEMPO.inForce(Optional.of("400"))).isEqualTo("400");
        assertThat(ASKED_TEMPO.inForce(Optional.of("401"))).isEqualTo("100");
        assertThat(ASKED_TEMPO.inForce(Optional.of("fast"))).isEqualTo("100");
    }
}
