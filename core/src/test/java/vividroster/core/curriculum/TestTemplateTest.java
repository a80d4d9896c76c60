package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.music.Bpm;
import vividroster.core.text.Lengths;

class TestTemplateTest {

    private static Milestone line(String title) {
        return new Milestone(
                UUID.randomUUID(),
                MilestoneKind.LINE,
                "Line 9",
                title,
                true,
                Set.of(),
                1,
                new PassRule.OneGoodTry(),
                List.of());
    }

    @Test
    void theTestIsOfItsLineAndNumberedAfterThoseThereAre() {
        UUID id = UUID.randomUUID();
        Milestone test = TestTemplate.of(id, line("Rope and pulley"), 2);
        assertThat(test.id()).isEqualTo(id);
        assertThat(test.kind()).isEqualTo(MilestoneKind.PLAYING_TEST);
        assertThat(test.shortName()).isEqualTo("Test 3");
        assertThat(test.title()).isEqualTo("Test 3: Rope and pulley");
    }

    @Test
    void itsMarkCanBeMetAndHandsAloneHaveAFloor() {
        Milestone test = TestTemplate.of(UUID.randomUUID(), line("Heron walk"), 0);
        assertThat(test.passRule()).isEqualTo(new PassRule.ScoreAtLeast(17));
        assertThat(test.criteria()).extracting(Criterion::ordinal).containsExactly(1, 2, 3, 4, 5);
        assertThat(test.criteria().stream().mapToInt(Criterion::topPoints).sum())
                .isEqualTo(25);
        assertThat(test.criteria())
                .filteredOn(criterion -> criterion.floorPoints().isPresent())
                .singleElement()
                .satisfies(hands -> {
                    assertThat(hands.name()).isEqualTo("Hands and posture");
                    assertThat(hands.floorPoints()).isEqualTo(OptionalInt.of(2));
                });
    }

    @Test
    void aTitleOfTheLongestLineIsCut() {
        String title = TestTemplate.of(UUID.randomUUID(), line("m".repeat(Lengths.TITLE)), 0)
                .title();
        assertThat(title).hasSize(Lengths.TITLE).startsWith("Test 1: mm").endsWith("m…");
    }

    @Test
    void theTempoIsSaidWhole() {
        assertThat(TestTemplate.conditions(new Bpm(71.6))).contains("♩ = 72,");
    }
}
