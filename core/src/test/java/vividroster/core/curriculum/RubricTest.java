package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class RubricTest {

    private static Criterion criterion(int ordinal, String name, int weight, String... levels) {
        return new Criterion(ordinal, name, 2, OptionalInt.empty(), weight, List.of(levels));
    }

    @Test
    void hasAMarkWithinItsPoints() {
        Rubric rubric = new Rubric("Winds", List.of(criterion(1, "Sound", 2), criterion(2, "Notes", 1)), 4);
        assertThat(rubric.most()).isEqualTo(4);
        assertThatThrownBy(() -> new Rubric("Winds", rubric.criteria(), 5)).hasMessage("mark must be in 1..4, was 5");
        assertThatThrownBy(() -> new Rubric("Winds", rubric.criteria(), 0)).hasMessage("mark must be in 1..4, was 0");
    }

    @Test
    void hasCriteriaWithNamesOfTheirOwn() {
        assertThatThrownBy(() -> new Rubric("Winds", List.of(), 1)).hasMessageContaining("criteria must be 1..9");
        assertThatThrownBy(() -> new Rubric("Winds", List.of(criterion(1, "Sound", 1), criterion(2, "sound ", 1)), 1))
                .hasMessageContaining("two criteria are called");
        assertThatThrownBy(() -> new Rubric("Winds", List.of(criterion(2, "Sound", 1)), 1))
                .hasMessageContaining("numbered from 1");
        assertThatThrownBy(() -> new Rubric(
                        "Winds",
                        IntStream.rangeClosed(1, 10)
                                .mapToObj(i -> criterion(i, "C" + i, 1))
                                .toList(),
                        1))
                .hasMessageContaining("were 10");
        assertThatThrownBy(() -> new Rubric("Winds", List.of(new Criterion(1, "Sound", 10, OptionalInt.empty())), 1))
                .hasMessageContaining("one digit marks it, was 10");
        assertThatThrownBy(() -> new Rubric(" ", List.of(criterion(1, "Sound", 1)), 1))
                .hasMessageContaining("needs a name");
    }

    @Test
    void aCriterionHasAWeightAndWordsForEveryLevelOrNone() {
        assertThat(criterion(1, "Sound", 1, "none", "breathy", "full").levels()).hasSize(3);
        assertThatThrownBy(() -> criterion(1, "Sound", 1, "breathy", "full"))
                .hasMessageContaining("from 0 to 2, were 2");
        assertThatThrownBy(() -> criterion(1, "Sound", 0)).hasMessage("weight must be in 1..100, was 0");
        assertThatThrownBy(() -> new Criterion(1, "Sound", 0, OptionalInt.empty()))
                .hasMessageContaining("two levels");
    }
}
