package vividroster.core.outfit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReviewTest {

    private static final LocalDate GIVEN = LocalDate.of(2026, 8, 24);

    @ParameterizedTest
    @CsvSource({
        // four weeks from Monday 24 August: due on 21 September, overdue from the day after
        "2026-09-20, false, false",
        "2026-09-21, true, false",
        "2026-09-22, true, true",
        "2027-06-01, true, true"
    })
    void dueOnTheDayAndOverdueAfterIt(LocalDate today, boolean due, boolean overdue) {
        Review review = Review.inWeeks(GIVEN, 4);
        assertThat(review.on()).isEqualTo(LocalDate.of(2026, 9, 21));
        assertThat(review.isDue(today)).isEqualTo(due);
        assertThat(review.isOverdue(today)).isEqualTo(overdue);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, -1, 53})
    void withinAYear(int weeks) {
        assertThatThrownBy(() -> Review.inWeeks(GIVEN, weeks))
                .hasMessage("weeks until a review must be in 1..52, was " + weeks);
    }

    @Test
    void bothEndsOfTheYearCanBe() {
        assertThat(Review.inWeeks(GIVEN, 1).on()).isEqualTo(GIVEN.plusDays(7));
        assertThat(Review.inWeeks(GIVEN, 52).on()).isEqualTo(GIVEN.plusWeeks(52));
    }

    @Test
    void thoseWhoseDayHasComeTheLongestDueFirst() {
        LocalDate today = LocalDate.of(2026, 10, 7);
        Review past = new Review(today.minusDays(9));
        Review now = new Review(today);
        Review later = new Review(today.plusDays(1));
        assertThat(Review.due(List.of(now, later, past), r -> r, today)).containsExactly(past, now);
        assertThat(Review.inOrder(List.of(later, past, now), Review::on)).containsExactly(past, now, later);
    }
}
