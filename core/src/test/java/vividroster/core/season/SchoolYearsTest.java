package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.season.SchoolYears.Span;

class SchoolYearsTest {

    private static final Span LAST = new Span(LocalDate.of(2025, 8, 18), LocalDate.of(2026, 6, 12));
    private static final Span THIS = new Span(LocalDate.of(2026, 8, 17), LocalDate.of(2027, 6, 11));

    @ParameterizedTest
    @CsvSource({
        "2025-01-01, 2025", // before the first year: the first is the one to come
        "2025-08-18, 2025",
        "2026-06-12, 2025", // last day, inclusive
        "2026-06-13, 2026", // summer belongs to the year to come
        "2026-08-17, 2026",
        "2027-06-11, 2026",
        "2031-01-01, 2026", // after the last year: the last
    })
    void aDayBelongsToTheYearItLiesInOrTheOneToCome(LocalDate day, int beginsIn) {
        Optional<Span> year = SchoolYears.at(List.of(THIS, LAST), Function.identity(), day);
        assertThat(year)
                .hasValueSatisfying(span -> assertThat(span.first().getYear()).isEqualTo(beginsIn));
    }

    @Test
    void withoutYearsThereIsNone() {
        assertThat(SchoolYears.at(List.<Span>of(), Function.identity(), LAST.first()))
                .isEmpty();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Span(LAST.last(), LAST.last()))
                .withMessageContaining("2026-06-12");
    }
}
