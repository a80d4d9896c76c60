package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import vividroster.core.progress.Measurements.Measurement;

class MeasurementsTest {

    private static Measurement on(int day, double seconds) {
        return new Measurement(LocalDate.of(2026, 9, day), seconds);
    }

    @Test
    void theBestIsKeptThoughTheLatestIsShorter() {
        Measurements kept = Measurements.of(List.of(on(1, 4), on(8, 7.5), on(15, 6), on(22, 7.5)))
                .orElseThrow();
        assertThat(kept.best()).as("the earliest of equals").isEqualTo(on(8, 7.5));
        assertThat(kept.latest()).isEqualTo(on(22, 7.5));
        assertThat(kept.first()).isEqualTo(on(1, 4));
        assertThat(kept.grown()).isEqualTo(3.5);
    }

    @Test
    void nothingTakenIsNothing() {
        assertThat(Measurements.of(List.of())).isEmpty();
        assertThatThrownBy(() -> on(1, 0)).hasMessage("a measured value must be more than 0, was 0.0");
    }
}
