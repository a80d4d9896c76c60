package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PrerequisitesTest {

    @Test
    void everythingBeforeNearestFirst() {
        Prerequisites<String> order = Prerequisites.of(
                Map.of("notes", List.of("sound", "hold"), "sound", List.of("assembly"), "hold", List.of("assembly")));
        assertThat(order.allBefore("notes"))
                .startsWith("sound", "hold")
                .contains("assembly")
                .hasSize(3);
        assertThat(order.missing("notes", Set.of("sound"))).containsExactly("hold");
        assertThat(order.directlyBefore("assembly")).isEmpty();
        assertThat(order.allBefore("unknown")).isEmpty();
    }

    @Test
    void aRingIsNamed() {
        assertThatThrownBy(() -> Prerequisites.of(
                        Map.of("sound", List.of("notes"), "notes", List.of("tune"), "tune", List.of("sound"))))
                .isInstanceOfSatisfying(Prerequisites.CycleException.class, e -> {
                    assertThat(e.ring()).hasSize(4);
                    assertThat(e.ring().getFirst()).isEqualTo(e.ring().getLast());
                })
                .hasMessageStartingWith("these wait for one another: ")
                .hasMessageContaining(" needs ");
        assertThatThrownBy(() -> Prerequisites.of(Map.of("hold", List.of("hold"))))
                .hasMessage("these wait for one another: hold needs hold");
    }

    @ParameterizedTest
    @EnumSource(CheckTopic.class)
    void topicsComeBeforeOneAnotherWithoutARing(CheckTopic topic) {
        var needs = new java.util.HashMap<CheckTopic, Set<CheckTopic>>();
        CheckTopic.inOrder().forEach(t -> needs.put(t, t.needs()));
        assertThat(Prerequisites.of(needs).allBefore(topic)).doesNotContain(topic);
    }
}
