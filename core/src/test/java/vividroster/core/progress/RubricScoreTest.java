package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.curriculum.Criterion;

class RubricScoreTest {

    private static Criterion criterion(int ordinal, int top, int floor, int weight) {
        return new Criterion(
                ordinal,
                "Criterion " + ordinal,
                top,
                floor < 0 ? OptionalInt.empty() : OptionalInt.of(floor),
                weight,
                List.of());
    }

    private static List<CriterionMark> marks(int... points) {
        List<CriterionMark> marks = new ArrayList<>();
        for (int i = 0; i < points.length; i++) {
            marks.add(new CriterionMark(i + 1, points[i]));
        }
        return marks;
    }

    /**
     * Three criteria of 5, 5 and 4 points, 14 in all. Shares by hand: with weights 1, 1, 1 points 3, 4, 2 are 9 of 14;
     * with 2, 1, 1 they are (6 + 4 + 2) of (10 + 5 + 4) = 12/19 of 14 = 8.84…; with 1, 3, 1 (3 + 12 + 2) of 24 = 17/24 of
     * 14 = 9.91…. Shown rounded down to a tenth, what is missing to 10 rounded up.
     */
    @ParameterizedTest(name = "weights {0} {1} {2}: {3} points, {4} short of 10")
    @CsvSource({"1, 1, 1, 9.0, 1.0", "2, 1, 1, 8.8, 1.2", "1, 3, 1, 9.9, 0.1", "7, 7, 7, 9.0, 1.0"})
    void weightsMoveTheScoreOnTheScaleOfThePlainSum(int first, int second, int third, double points, double missing) {
        RubricScore score = RubricScore.of(
                List.of(criterion(1, 5, -1, first), criterion(2, 5, -1, second), criterion(3, 4, -1, third)),
                marks(3, 4, 2));
        assertThat(score.points()).isEqualTo(points);
        assertThat(score.missing(10)).isEqualTo(missing);
        assertThat(score.passes(10)).isFalse();
        assertThat(score.passes(8)).isTrue();
    }

    /** 9.96 points are short of 10 and must not read like it: (249 of 250) × 10. */
    @Test
    void whatIsShortOfTheMarkNeverReadsLikeIt() {
        List<Criterion> criteria = List.of(criterion(1, 9, -1, 27), criterion(2, 1, -1, 7));
        RubricScore score = RubricScore.of(criteria, marks(9, 0));
        // 243 of 250, times 10.
        assertThat(score.points()).isEqualTo(9.7);
        assertThat(score.missing(10)).isEqualTo(0.3);
        assertThat(RubricScore.of(List.of(criterion(1, 9, -1, 100), criterion(2, 1, -1, 1)), marks(9, 0))
                        .missing(10))
                .isEqualTo(0.1);
    }

    @Test
    void aFloorIsNeverMadeUpFor() {
        List<Criterion> criteria = List.of(criterion(1, 5, -1, 1), criterion(2, 5, 2, 1));
        RubricScore score = RubricScore.of(criteria, marks(5, 1));
        assertThat(score.reaches(5)).isTrue();
        assertThat(score.underFloor()).extracting(Criterion::ordinal).containsExactly(2);
        assertThat(score.passes(1)).isFalse();
        assertThat(RubricScore.of(criteria, marks(5, 2)).passes(5)).isTrue();
        assertThat(RubricScore.of(criteria, marks(5)).underFloor())
                .as("not marked is no point")
                .hasSize(1);
    }

    @Test
    void pointsOverTheBestAreTheBest() {
        assertThat(RubricScore.of(List.of(criterion(1, 4, -1, 3)), marks(9)).share())
                .isEqualTo(1);
        assertThatThrownBy(() -> RubricScore.of(List.of(), marks(1))).hasMessageContaining("needs a criterion");
    }

    /** What the desk adds up press by press comes to the same. */
    @Test
    void whatAPointIsWorthAddsUp() {
        List<Criterion> criteria = List.of(criterion(1, 5, -1, 2), criterion(2, 4, -1, 3));
        RubricScore score = RubricScore.of(criteria, marks(4, 1));
        long sum = 4L * RubricScore.worth(criteria, criteria.get(0)) + RubricScore.worth(criteria, criteria.get(1));
        assertThat(sum).isEqualTo(score.gained());
        assertThat(1.0 * sum / RubricScore.whole(criteria)).isCloseTo(score.share() * 9, within(1e-12));
    }

    @Property(tries = 200)
    void weightsScaleOut(@ForAll long seed, @ForAll @IntRange(min = 2, max = 10) int times) {
        Random random = new Random(seed);
        List<Criterion> criteria = new ArrayList<>();
        List<Criterion> scaled = new ArrayList<>();
        int[] points = new int[1 + random.nextInt(9)];
        for (int i = 0; i < points.length; i++) {
            int top = 1 + random.nextInt(9);
            int weight = 1 + random.nextInt(10);
            criteria.add(criterion(i + 1, top, random.nextInt(top + 2) - 1, weight));
            scaled.add(criterion(i + 1, top, criteria.get(i).floorPoints().orElse(-1), weight * times));
            points[i] = random.nextInt(top + 1);
        }
        RubricScore score = RubricScore.of(criteria, marks(points));
        RubricScore other = RubricScore.of(scaled, marks(points));
        assertThat(other.points()).isEqualTo(score.points());
        for (int mark = 1; mark <= score.most(); mark++) {
            assertThat(other.passes(mark)).isEqualTo(score.passes(mark));
            assertThat(other.missing(mark)).isEqualTo(score.missing(mark));
            assertThat(score.passes(mark))
                    .isEqualTo(score.missing(mark) == 0 && score.underFloor().isEmpty());
        }
    }

    /** A point more never takes anything away. */
    @Property(tries = 200)
    void aBetterTryNeverScoresLess(@ForAll long seed) {
        Random random = new Random(seed);
        List<Criterion> criteria = List.of(
                criterion(1, 5, 2, 1 + random.nextInt(100)),
                criterion(2, 5, -1, 1 + random.nextInt(100)),
                criterion(3, 5, 1, 1 + random.nextInt(100)));
        int[] points = {random.nextInt(6), random.nextInt(6), random.nextInt(6)};
        int[] better = points.clone();
        int raised = random.nextInt(3);
        better[raised] = Math.min(5, better[raised] + 1);
        for (int mark = 1; mark <= 15; mark++) {
            if (RubricScore.of(criteria, marks(points)).passes(mark)) {
                assertThat(RubricScore.of(criteria, marks(better)).passes(mark)).isTrue();
            }
        }
    }
}
