package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.progress.FaultCounts.Counted;
import vividroster.core.progress.FaultCounts.FaultyTry;

class FaultCountsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 10, 5);
    private static final UUID LINE = new UUID(1, 1);
    private static final UUID OTHER_LINE = new UUID(1, 2);

    private static FaultHeard fault(String sign, int... measure) {
        return new FaultHeard(sign, measure.length == 0 ? OptionalInt.empty() : OptionalInt.of(measure[0]));
    }

    private static FaultyTry heard(int student, int day, UUID milestone, FaultHeard... faults) {
        return new FaultyTry(new UUID(0, student), milestone, DAY.plusDays(day), List.of(faults));
    }

    @Test
    void countsTriesAndStudentsAndTheMeasureTappedMost() {
        List<Counted> counted = FaultCounts.of(List.of(
                heard(1, 0, LINE, fault("Rushes", 3), fault("Rhythm")),
                heard(1, 1, LINE, fault("Rushes", 5), fault("Rushes", 6)),
                heard(2, 2, LINE, fault("Rushes", 5)),
                heard(2, 3, OTHER_LINE, fault("Rushes", 3))));
        assertThat(counted)
                .containsExactly(
                        new Counted("Rushes", 4, 2, DAY.plusDays(3), OptionalInt.of(5)),
                        new Counted("Rhythm", 1, 1, DAY, OptionalInt.empty()));
    }

    @Test
    void placesAreCountedByStudentsAndTheMeasureBreaksATie() {
        assertThat(FaultCounts.places(List.of(
                        heard(1, 0, LINE, fault("Rushes", 5), fault("Rushes", 5), fault("Stops")),
                        heard(2, 0, LINE, fault("Rushes", 5), fault("Rushes", 2)),
                        heard(1, 1, LINE, fault("Rushes", 2)))))
                .containsExactly(
                        new FaultCounts.Place(OptionalInt.of(2), "Rushes", 2),
                        new FaultCounts.Place(OptionalInt.of(5), "Rushes", 2),
                        new FaultCounts.Place(OptionalInt.empty(), "Stops", 1));
    }

    @Test
    void measureThreeOfAnotherLineIsAnotherPlace() {
        List<Counted> counted = FaultCounts.of(List.of(
                heard(1, 0, LINE, fault("Rhythm", 3)),
                heard(2, 0, OTHER_LINE, fault("Rhythm", 3)),
                heard(3, 0, LINE, fault("Rhythm", 7)),
                heard(4, 0, LINE, fault("Rhythm", 7))));
        assertThat(counted.getFirst().measure()).hasValue(7);
    }

    @Test
    void whatManyStudentsDoComesBeforeWhatOneDoesOften() {
        assertThat(FaultCounts.of(List.of(
                        heard(1, 0, LINE, fault("Stops")),
                        heard(1, 1, LINE, fault("Stops")),
                        heard(1, 2, LINE, fault("Stops")),
                        heard(2, 0, LINE, fault("Drags")),
                        heard(3, 0, LINE, fault("Drags")))))
                .extracting(Counted::sign)
                .containsExactly("Drags", "Stops");
    }

    @Test
    void aFaultRecursFromTheSecondTryOn() {
        assertThat(FaultCounts.recurring(List.of(
                        heard(1, 0, LINE, fault("Rushes"), fault("Drags")), heard(1, 1, OTHER_LINE, fault("Rushes")))))
                .extracting(Counted::sign)
                .containsExactly("Rushes");
        assertThat(FaultCounts.of(List.of())).isEmpty();
    }

    @Test
    void aFaultHasASignAndAMeasureOfThePage() {
        assertThatThrownBy(() -> fault(" ")).hasMessage("a fault has a sign of 1 to 200 letters, was 1");
        assertThatThrownBy(() -> fault("Rushes", 0)).hasMessage("measure must be in 1..999, was 0");
    }
}
