package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.testing.Agreement.Measured;
import vividroster.core.testing.Agreement.Pair;
import vividroster.core.testing.Agreement.TooFew;
import vividroster.core.testing.Agreement.TooLittleSpread;

class AgreementTest {

    /** Each student by one criterion. */
    private static List<List<Pair>> pairs(int... firstAndSecond) {
        List<List<Pair>> pairs = new ArrayList<>();
        for (int i = 0; i < firstAndSecond.length; i += 2) {
            pairs.add(List.of(new Pair(firstAndSecond[i], firstAndSecond[i + 1])));
        }
        return pairs;
    }

    /**
     * By hand: distances 0, 1, 0, 1, so 2 of 4; by chance the first's 1, 2, 3, 4 against the second's 1, 3, 3, 3: 0+2+2+2,
     * 1+1+1+1, 2+0+0+0, 3+1+1+1 = 18 of 16. Kappa is 1 − (2/4) ÷ (18/16) = 5/9.
     */
    @Test
    void kappaIsOneLessTheDistanceOverThatOfChance() {
        Measured measured = (Measured) Agreement.of(pairs(1, 1, 2, 3, 3, 3, 4, 3), 1);
        assertThat(measured.kappa()).isCloseTo(5.0 / 9, within(1e-12));
        assertThat(measured.difference()).isZero();
        assertThat(measured.distance()).isEqualTo(0.5);
        assertThat(measured.low()).isLessThanOrEqualTo(measured.kappa());
        assertThat(measured.high()).isGreaterThanOrEqualTo(measured.kappa());
    }

    /** As the textbook's limit: where each gives what the other would not, it is below chance. */
    @Test
    void whoTurnsTheScaleRoundAgreesLessThanChance() {
        Measured measured = (Measured) Agreement.of(pairs(1, 5, 2, 4, 3, 3, 4, 2, 5, 1), 1);
        assertThat(measured.kappa()).isNegative();
    }

    @Test
    void whoIsAlwaysOneStricterDiffersByOne() {
        Measured measured = (Measured) Agreement.of(pairs(5, 4, 4, 3, 3, 2, 2, 1), 1);
        assertThat(measured.difference()).isEqualTo(1);
        assertThat(measured.distance()).isEqualTo(1);
    }

    @Test
    void withoutSpreadNothingIsTold() {
        assertThat(Agreement.of(pairs(3, 3, 3, 3, 3, 3), 1)).isEqualTo(new TooLittleSpread(3, 0, 0));
        assertThat(Agreement.of(pairs(3, 3), 1)).isEqualTo(new TooFew(1));
        assertThat(Agreement.of(List.of(), 1)).isEqualTo(new TooFew(0));
        List<List<Pair>> oneStandsOut = new ArrayList<>(pairs(5, 5));
        for (int i = 0; i < 2; i++) {
            oneStandsOut.add(List.of(new Pair(3, 3)));
        }
        assertThat(Agreement.of(oneStandsOut, 1)).isInstanceOf(Measured.class);
    }

    /** Ten marks of two students are two students: the interval is as wide as chance between those two. */
    @Test
    void studentsAreResampledNotMarks() {
        List<Pair> agrees = List.of(new Pair(1, 1), new Pair(5, 5), new Pair(1, 1), new Pair(5, 5), new Pair(3, 3));
        List<Pair> differs = List.of(new Pair(1, 5), new Pair(5, 1), new Pair(1, 5), new Pair(5, 1), new Pair(3, 3));
        Measured measured = (Measured) Agreement.of(List.of(agrees, differs), 3);
        assertThat(measured.students()).isEqualTo(2);
        assertThat(measured.high()).isEqualTo(1);
        assertThat(measured.low()).isNegative();
    }

    @Test
    void pointsAreDigits() {
        assertThatThrownBy(() -> new Pair(10, 1)).hasMessage("points must be in 0..9, were 10 and 1");
    }

    @Test
    void theSameSeedTellsTheSame() {
        List<List<Pair>> pairs = pairs(1, 2, 2, 2, 3, 3, 4, 5, 5, 5, 2, 1);
        assertThat(Agreement.of(pairs, 9)).isEqualTo(Agreement.of(pairs, 9));
        Measured one = (Measured) Agreement.of(pairs, 9);
        Measured other = (Measured) Agreement.of(pairs, 10);
        assertThat(other.kappa()).isEqualTo(one.kappa());
        assertThat(other.low()).isCloseTo(one.low(), within(0.1));
    }

    @Property(tries = 100)
    void identicalListenersWithSomeSpreadAgreeFully(@ForAll long seed) {
        Random random = new Random(seed);
        List<List<Pair>> pairs = new ArrayList<>(pairs(1, 1, 5, 5, 3, 3));
        for (int i = 0; i < random.nextInt(20); i++) {
            int points = random.nextInt(6);
            pairs.add(List.of(new Pair(points, points)));
        }
        Measured measured = (Measured) Agreement.of(pairs, seed);
        assertThat(measured.kappa()).isEqualTo(1);
        assertThat(measured.low()).isEqualTo(1);
        assertThat(measured.distance()).isZero();
    }

    @Property(tries = 100)
    void whoIsNamedFirstMakesNoDifference(@ForAll long seed) {
        Random random = new Random(seed);
        List<List<Pair>> pairs = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(20); i++) {
            pairs.add(List.of(
                    new Pair(random.nextInt(6), random.nextInt(6)), new Pair(random.nextInt(6), random.nextInt(6))));
        }
        List<List<Pair>> turned = pairs.stream()
                .map(student -> student.stream()
                        .map(p -> new Pair(p.second(), p.first()))
                        .toList())
                .toList();
        if (Agreement.of(pairs, 1) instanceof Measured one && Agreement.of(turned, 1) instanceof Measured other) {
            assertThat(other.kappa()).isCloseTo(one.kappa(), within(1e-12));
            assertThat(other.difference()).isCloseTo(-one.difference(), within(1e-12));
            assertThat(one.kappa()).isLessThanOrEqualTo(1);
        }
    }
}
