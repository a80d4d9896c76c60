package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Criterion;
import vividroster.core.progress.CriterionMark;
import vividroster.core.testing.TestResults.Heard;

class TestResultsTest {

    private static final List<Criterion> CRITERIA = List.of(
            new Criterion(1, "Sound", 4, OptionalInt.of(2)),
            new Criterion(2, "Rhythm", 4, OptionalInt.empty()),
            new Criterion(3, "Hands", 2, OptionalInt.empty()));

    private static Heard heard(int student, boolean passed, int... points) {
        List<CriterionMark> marks = new ArrayList<>();
        for (int i = 0; i < points.length; i++) {
            marks.add(new CriterionMark(i + 1, points[i]));
        }
        return new Heard(new UUID(0, student), marks, passed);
    }

    /** Sound 4 + 1 of 8, rhythm 2 + 2 of 8, hands 2 + 1 of 4: rhythm has half of its points, the others more. */
    @Test
    void eachCriterionIsCountedAndTheWeakestIsBySharesOfItsPoints() {
        TestResults results = TestResults.of(CRITERIA, 7, List.of(heard(1, true, 4, 2, 2), heard(2, false, 1, 2, 1)));
        assertThat(results.criteria().get(0).counts()).containsExactly(0, 1, 0, 0, 1);
        assertThat(results.criteria().get(0).underFloor()).isEqualTo(1);
        assertThat(results.criteria().get(0).share()).isCloseTo(5.0 / 8, within(1e-12));
        assertThat(results.criteria().get(2).counts()).containsExactly(0, 1, 1);
        assertThat(results.weakest()).hasValue(2);
        assertThat(results.passed()).isEqualTo(1);
        assertThat(results.students().get(0).points()).isEqualTo(8);
        assertThat(results.students().get(0).missing()).isZero();
        assertThat(results.students().get(1).missing()).isEqualTo(3);
        assertThat(results.students().get(1).underFloor()).containsExactly(1);
    }

    @Test
    void aCriterionThatWasNotMarkedHasNoPoints() {
        TestResults results = TestResults.of(CRITERIA, 7, List.of(heard(1, false, 4)));
        assertThat(results.criteria().get(1).counts()).containsExactly(1, 0, 0, 0, 0);
        assertThat(results.students().getFirst().points()).isEqualTo(4);
    }

    @Test
    void whereAllAreEquallyStrongOrNobodyWasHeardNoneIsWeakest() {
        assertThat(TestResults.of(CRITERIA, 7, List.of()).weakest()).isEmpty();
        assertThat(TestResults.of(CRITERIA, 7, List.of()).criteria()).hasSize(3);
        assertThat(TestResults.of(CRITERIA, 7, List.of(heard(1, true, 4, 4, 2))).weakest())
                .isEmpty();
        assertThat(TestResults.of(CRITERIA, 7, List.of(heard(1, true, 2, 2, 1), heard(2, true, 2, 2, 2)))
                        .weakest())
                .as("the first of two")
                .hasValue(1);
    }

    @Property(tries = 100)
    void everybodyHeardStandsOnceOnEveryCriterion(@ForAll long seed) {
        Random random = new Random(seed);
        List<Heard> heard = new ArrayList<>();
        for (int i = 0; i < random.nextInt(20); i++) {
            heard.add(heard(i, random.nextBoolean(), random.nextInt(5), random.nextInt(5), random.nextInt(3)));
        }
        TestResults results = TestResults.of(CRITERIA, 7, heard);
        assertThat(results.criteria())
                .allSatisfy(criterion -> assertThat(criterion.counts().stream()
                                .mapToInt(Integer::intValue)
                                .sum())
                        .isEqualTo(heard.size()));
        assertThat(results.students()).hasSize(heard.size());
    }
}
