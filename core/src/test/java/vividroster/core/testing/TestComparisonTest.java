package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Criterion;
import vividroster.core.instrument.Family;
import vividroster.core.progress.CriterionMark;
import vividroster.core.testing.TestComparison.Compared;
import vividroster.core.testing.TestComparison.Twice;

class TestComparisonTest {

    private static final List<Criterion> CRITERIA = List.of(
            new Criterion(1, "Sound", 5, OptionalInt.empty()), new Criterion(2, "Notes", 5, OptionalInt.empty()));

    private static List<CriterionMark> marks(int first, int second) {
        return List.of(new CriterionMark(1, first), new CriterionMark(2, second));
    }

    /** Sound (2 + 4) / 2 = 3 and (3 + 4) / 2 = 3.5; notes (3 + 4) / 2 and (4 + 3) / 2, both 3.5. */
    @Test
    void theFirstTryStandsBesideTheLast() {
        TestComparison comparison = TestComparison.of(
                CRITERIA,
                List.of(
                        new Twice(new UUID(0, 1), marks(2, 3), marks(3, 4)),
                        new Twice(new UUID(0, 2), marks(4, 4), marks(4, 3))));
        assertThat(comparison.criteria()).containsExactly(new Compared(1, 3, 3.5), new Compared(2, 3.5, 3.5));
        assertThat(comparison.better()).isEqualTo(1);
        assertThat(comparison.worse()).isEqualTo(1);
        assertThat(TestComparison.of(CRITERIA, List.of()).students()).isZero();
    }

    @ParameterizedTest
    @CsvSource({
        "Sound, WOODWIND, FIRST_SOUND",
        "Sound, STRING, BOW_PATH",
        "Rhythm and pulse, BRASS, READING",
        "Articulation, BRASS, ARTICULATION",
        "Hands and posture, STRING, BODY",
        "Bow, STRING, BOW_PATH",
        "Intonation, STRING, FINGER_PATTERN",
        "Notes, BRASS, FIRST_NOTES",
        "Stroke and sound, PERCUSSION, FIRST_SOUND"
    })
    void aCriterionIsTrainedByChecksOfItsTopic(String criterion, Family family, CheckTopic first) {
        assertThat(TrainingTopics.of(criterion, family).getFirst()).isEqualTo(first);
    }

    @Test
    void wordsOfOnesOwnTrainNothing() {
        assertThat(TrainingTopics.of("Courage", Family.BRASS)).isEmpty();
    }
}
