package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vividroster.core.music.InstrumentCode;

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

    private static Prerequisites.Place<String> place(String id, CheckTopic topic, String... instruments) {
        return new Prerequisites.Place<>(
                id,
                topic,
                Arrays.stream(instruments).map(InstrumentCode::new).collect(Collectors.toSet()),
                Optional.empty());
    }

    @Test
    void checksComeAfterThoseOfEarlierTopicsForTheSameInstrument() {
        Prerequisites<String> order = Prerequisites.ofChecks(List.of(
                place("sit", CheckTopic.BODY),
                place("horn hold", CheckTopic.LEFT_HAND, "horn"),
                place("flute shelf", CheckTopic.HOLD, "flute"),
                place("buzz", CheckTopic.FIRST_SOUND, "horn", "trumpet"),
                place("notes", CheckTopic.FIRST_NOTES, "horn")));
        assertThat(order.directlyBefore("horn hold")).containsExactly("sit");
        assertThat(order.directlyBefore("notes")).containsExactlyInAnyOrder("buzz", "horn hold");
        assertThat(order.allBefore("notes")).contains("sit").doesNotContain("flute shelf");
        assertThat(order.missing("notes", Set.of("buzz"))).containsExactly("horn hold");
    }

    @Test
    void theDirectorsWordGoesBeforeTheTopics() {
        Prerequisites<String> order = Prerequisites.ofChecks(List.of(
                place("sit", CheckTopic.BODY),
                place("hold", CheckTopic.LEFT_HAND, "horn"),
                new Prerequisites.Place<>(
                        "sound",
                        CheckTopic.FIRST_SOUND,
                        Set.of(new InstrumentCode("horn")),
                        Optional.of(Set.of("sit")))));
        assertThat(order.directlyBefore("sound")).containsExactly("sit");
        assertThat(Prerequisites.ofChecks(List.of(new Prerequisites.Place<>(
                                "free", CheckTopic.FIRST_TUNE, Set.of(), Optional.of(Set.<String>of()))))
                        .directlyBefore("free"))
                .as("nothing comes before it, said by hand")
                .isEmpty();
    }

    @Test
    void whatWasPutByHandMayNotGoRoundWithTheTopics() {
        assertThatThrownBy(() -> Prerequisites.ofChecks(List.of(
                        new Prerequisites.Place<>("sit", CheckTopic.BODY, Set.of(), Optional.of(Set.of("hold"))),
                        place("hold", CheckTopic.LEFT_HAND, "horn"))))
                .isInstanceOfSatisfying(
                        Prerequisites.CycleException.class,
                        e -> assertThat(e.ring()).isEqualTo(List.of("sit", "hold", "sit")));
    }

    @Test
    void theShortestRingIsNamed() {
        assertThatThrownBy(() -> Prerequisites.of(
                        Map.of("a", List.of("b", "c"), "b", List.of("d"), "d", List.of("a"), "c", List.of("a"))))
                .isInstanceOfSatisfying(
                        Prerequisites.CycleException.class,
                        e -> assertThat(e.ring()).hasSizeLessThanOrEqualTo(4));
    }
}
