package vividroster.core.roster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.InstrumentCode;

class RetentionTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 10, 7);

    private static Seat seat(String endsOn) {
        return new Seat(
                new UUID(0, 1),
                new UUID(0, 2),
                new InstrumentCode("flute"),
                "",
                LocalDate.of(2020, 8, 17),
                Optional.ofNullable(endsOn).map(LocalDate::parse));
    }

    @ParameterizedTest
    @CsvSource({
        "2024-10-06, true",
        "2024-10-07, false", // two years to the day, still kept
        "2026-09-01, false",
        ", false" // sits there today
    })
    void aNameGoesWhenTheYearsAreOver(String endsOn, boolean over) {
        assertThat(Retention.isOver(List.of(seat(endsOn)), 2, TODAY)).isEqualTo(over);
    }

    @Test
    void theLastSeatCounts() {
        assertThat(Retention.isOver(List.of(seat("2021-06-11"), seat("2026-06-12")), 2, TODAY))
                .isFalse();
        assertThat(Retention.isOver(List.of(seat("2021-06-11"), seat("2022-06-12")), 2, TODAY))
                .isTrue();
    }

    @Test
    void whoNeverSatHasNotLeft() {
        assertThat(Retention.isOver(List.of(), 1, TODAY)).isFalse();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Retention.isOver(List.of(), 0, TODAY))
                .withMessage("keepYears must be in 1..20, was 0");
    }
}
