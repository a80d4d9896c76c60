package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class TechniqueCheckTest {

    private static TechniqueCheck check(
            List<String> criteria, PassRule rule, Map<String, Map<String, Map<Integer, String>>> wordings) {
        return new TechniqueCheck(
                "trumpet-left-hand",
                CheckTopic.LEFT_HAND,
                "Left hand",
                "Trumpet: the left hand carries",
                false,
                Set.of("trumpet"),
                List.of("Carry", "Little finger"),
                wordings,
                Map.of(),
                criteria,
                "Wave with the right hand.",
                List.of(),
                Set.of(Caution.PAIN),
                List.of(),
                rule);
    }

    @Test
    void theProgrammesSchoolRewordsAStep() {
        TechniqueCheck check = check(
                List.of("Carries"),
                new PassRule.AllCriteria(),
                Map.of("left-little-finger", Map.of("hangs-free", Map.of(2, "It hangs free"))));
        assertThat(check.stepsFor(Map.of())).containsExactly("Carry", "Little finger");
        assertThat(check.stepsFor(Map.of("left-little-finger", "hangs-free")))
                .containsExactly("Carry", "It hangs free");
        assertThat(check.stepsFor(Map.of("left-little-finger", "something else")))
                .containsExactly("Carry", "Little finger");
    }

    @Test
    void whatIsNoCheck() {
        assertThatThrownBy(() -> check(List.of(), new PassRule.AllCriteria(), Map.of()))
                .hasMessage(
                        "\"Trumpet: the left hand carries\" needs at least one criterion: a thing that can be seen or"
                                + " heard");
        assertThatThrownBy(() -> check(List.of("Carries"), new PassRule.ScoreAtLeast(3), Map.of()))
                .hasMessageContaining("is a technique check and cannot pass by");
        assertThatThrownBy(() -> check(
                        List.of("Carries"),
                        new PassRule.AllCriteria(),
                        Map.of("sitting", Map.of("hips-back", Map.of(3, "x")))))
                .hasMessageContaining("rewords step 3 for sitting but has steps 1 to 2");
        assertThatThrownBy(() -> new TechniqueCheck.Variant("Pistol grip", "", 0))
                .hasMessage("\"Pistol grip\" is reviewed after 1 to 52 weeks, was 0");
        assertThatThrownBy(() -> new TechniqueCheck.Fault("Squawk", List.of()))
                .hasMessage("\"Squawk\" needs at least one thing to try");
    }

    @Test
    void itIsForItsInstrumentsOrForAny() {
        TechniqueCheck check = check(List.of("Carries", "Straight"), new PassRule.AllCriteria(), Map.of());
        assertThat(check.isFor("trumpet")).isTrue();
        assertThat(check.isFor("horn")).isFalse();
        assertThat(check.asCriteria()).extracting(Criterion::ordinal).containsExactly(1, 2);
    }
}
