package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalInt;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import vividroster.core.plan.Pace.PastWeek;

/** Expected numbers: planning.md, section 7. */
class ForecastTest {

    private static List<PastWeek> weeks(int[] passes, double... exposure) {
        List<PastWeek> weeks = new ArrayList<>();
        for (int w = 0; w < passes.length; w++) {
            weeks.add(new PastWeek(passes[w], exposure.length == 0 ? 1 : exposure[w]));
        }
        return weeks;
    }

    private static void learned(Pace pace, double a, double b, double phi) {
        assertThat(pace.a()).isEqualTo(a, within(0.00005));
        assertThat(pace.b()).isEqualTo(b, within(0.00005));
        assertThat(pace.phi()).isEqualTo(phi, within(0.00005));
    }

    private static void chances(Forecast forecast, List<Double> ahead, double two, double four, double six) {
        assertThat(forecast.chanceBy(2, ahead)).isEqualTo(two, within(0.00005));
        assertThat(forecast.chanceBy(4, ahead)).isEqualTo(four, within(0.00005));
        assertThat(forecast.chanceBy(6, ahead)).isEqualTo(six, within(0.00005));
    }

    private static void range(Forecast forecast, int low, int middle, int high) {
        assertThat(List.of(forecast.low(), forecast.middle(), forecast.high()))
                .containsExactly(OptionalInt.of(low), OptionalInt.of(middle), OptionalInt.of(high));
    }

    @Test
    void aSectionWithABreakBehindAndOneAhead() {
        Pace pace = Pace.learned(weeks(new int[] {6, 4, 0, 7}, 1, 1, 0, 1), 6.5);
        learned(pace, 13.5179, 2.3862, 1.4588);
        List<Double> ahead = List.of(1.0, 1.0, 0.0, 1.0, 0.5, 1.0, 1.0, 1.0);
        Forecast forecast = Forecast.of(pace, 20, ahead);
        chances(forecast, ahead, 0.0720, 0.3366, 0.7342);
        range(forecast, 4, 6, 8);
        assertThat(forecast.neededPace(6, ahead)).isEqualTo(20 / 4.5, within(1e-9));
    }

    @Test
    void nothingKnown() {
        List<Double> ahead = Collections.nCopies(12, 1.0);
        Pace pace = Pace.learned(List.of(), 10);
        learned(pace, 4, 0.4706, 2.1);
        Forecast forecast = Forecast.of(pace, 30, ahead);
        chances(forecast, ahead, 0.1262, 0.5430, 0.7792);
        range(forecast, 2, 4, 9);
    }

    @Test
    void aSteadySectionBeforeABreak() {
        Pace pace = Pace.learned(
                weeks(new int[] {12, 9, 15, 3, 11, 14, 8, 12, 10, 13}, 1, 1, 1, 0.5, 1, 1, 1, 1, 1, 1), 10);
        learned(pace, 69.4768, 6.1952, 1.0008);
        List<Double> ahead = List.of(1.0, 1.0, 0.0, 0.0, 1.0, 1.0, 1.0, 1.0);
        Forecast forecast = Forecast.of(pace, 40, ahead);
        chances(forecast, ahead, 0.0026, 0.0026, 0.7247);
        range(forecast, 5, 6, 7);
    }

    @Test
    void notThisYearAndAlreadyThere() {
        Pace pace = Pace.learned(weeks(new int[] {0, 0, 2}), 8);
        Forecast forecast = Forecast.of(pace, 60, Collections.nCopies(12, 1.0));
        assertThat(forecast.middle()).isEmpty();
        assertThat(forecast.high()).isEmpty();
        range(Forecast.of(pace, 0, List.of()), 0, 0, 0);
        assertThat(Forecast.of(pace, 5, List.of()).neededPace(3, List.of())).isInfinite();
    }

    @Property(tries = 300)
    void noMarkFallsInABreakAndTheyComeInOrder(
            @ForAll @Size(max = 12) List<@IntRange(max = 30) Integer> passes,
            @ForAll @IntRange(min = 1, max = 400) int need,
            @ForAll @Size(max = 30) List<@IntRange(max = 3) Integer> halves) {
        List<PastWeek> behind =
                passes.stream().map(p -> new PastWeek(p, p % 4 / 2.0)).toList();
        List<Double> ahead = halves.stream().map(h -> h / 2.0).toList();
        Forecast forecast = Forecast.of(Pace.learned(behind, 6), need, ahead);
        int before = 1;
        for (OptionalInt mark : List.of(forecast.low(), forecast.middle(), forecast.high())) {
            if (mark.isEmpty()) {
                before = Integer.MAX_VALUE;
            } else {
                assertThat(mark.getAsInt()).isGreaterThanOrEqualTo(before);
                assertThat(ahead.get(mark.getAsInt() - 1)).isPositive();
                before = mark.getAsInt();
            }
        }
    }

    /** The world described in planning.md, section 7; `./vivid bench plan` prints a longer run. */
    @Test
    void theRangeHoldsEightTimesInTen() {
        assertThat(SectionYears.coverage(6_000, 11).share()).isBetween(0.76, 0.86);
    }

    @Test
    void whatIsNoWeek() {
        assertThatThrownBy(() -> new PastWeek(-1, 1)).hasMessage("passes must be 0 or more, was -1");
        assertThatThrownBy(() -> new PastWeek(1, Double.NaN)).hasMessage("exposure must be in 0..20, was NaN");
        assertThatThrownBy(() -> Pace.learned(List.of(), 0)).hasMessage("planned pace must be above 0, was 0.0");
    }
}
