package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.progress.HeardMoment.Doubt;
import vividroster.core.season.DayRange;

class HeardMomentTest {

    private static final Instant ARRIVED = Instant.parse("2026-09-28T14:00:00Z");
    private static final Instant YEAR = Instant.parse("2026-08-17T04:00:00Z");

    private static HeardMoment said(String said) {
        return HeardMoment.of(Optional.of(Instant.parse(said)), ARRIVED, YEAR);
    }

    @ParameterizedTest
    @CsvSource({
        "2026-09-28T14:05:00Z", // five minutes ahead, inclusive
        "2026-09-28T13:59:59Z",
        "2026-08-29T14:00:00Z", // thirty days, inclusive
    })
    void aDeviceIsBelieved(String said) {
        assertThat(said(said)).isEqualTo(new HeardMoment(Instant.parse(said), Optional.empty(), Optional.empty()));
    }

    @ParameterizedTest
    @CsvSource({
        "2026-09-28T14:05:01Z, AHEAD",
        "2099-01-01T00:00:00Z, AHEAD",
        "2026-08-29T13:59:59Z, TOO_OLD",
        "1970-01-01T00:00:00Z, TOO_OLD",
    })
    void aClockThatIsWrongIsSetAsideAndKept(String said, Doubt doubt) {
        assertThat(said(said))
                .isEqualTo(new HeardMoment(ARRIVED, Optional.of(Instant.parse(said)), Optional.of(doubt)));
    }

    @Test
    void beforeTheYearNothingWasHeard() {
        Instant firstWeek = YEAR.plus(Duration.ofDays(3));
        HeardMoment moment = HeardMoment.of(Optional.of(YEAR.minusSeconds(1)), firstWeek, YEAR);
        assertThat(moment.doubt()).contains(Doubt.BEFORE_THE_YEAR);
        assertThat(moment.at()).isEqualTo(firstWeek);
        assertThat(HeardMoment.of(Optional.of(YEAR), firstWeek, YEAR).doubt()).isEmpty();
    }

    @Test
    void aDeviceThatSaysNothingIsHeardNow() {
        assertThat(HeardMoment.of(Optional.empty(), ARRIVED, YEAR))
                .isEqualTo(new HeardMoment(ARRIVED, Optional.empty(), Optional.empty()));
    }

    @Test
    void theFarthestMomentsAreNoError() {
        assertThat(HeardMoment.of(Optional.of(Instant.MAX), ARRIVED, YEAR).doubt())
                .contains(Doubt.AHEAD);
        assertThat(HeardMoment.of(Optional.of(Instant.MIN), ARRIVED, YEAR).doubt())
                .contains(Doubt.TOO_OLD);
    }

    @Test
    void daysLieInThisCentury() {
        assertThat(DayRange.holds(DayRange.FIRST)).isTrue();
        assertThat(DayRange.holds(DayRange.LAST)).isTrue();
        assertThat(DayRange.holds(DayRange.FIRST.minusDays(1))).isFalse();
        assertThat(DayRange.holds(LocalDate.MAX)).isFalse();
    }
}
