package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.progress.HeardMoment.Doubt;
import vividroster.core.season.DayRange;

class HeardMomentTest {

    private static final Instant ARRIVED = Instant.parse("2026-09-28T14:00:00Z");
    private static final Instant YEAR = Instant.parse("2026-08-17T04:00:00Z");

    private static HeardMoment said(String said) {
        return HeardMoment.of(Optional.of(Instant.parse(said)), Optional.empty(), ARRIVED, YEAR);
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

    /** Pressed ten minutes before it was sent, whatever the device takes the day to be. */
    @ParameterizedTest
    @CsvSource({
        "2026-09-27T14:00:00Z", // a day behind
        "2026-09-29T14:00:00Z", // a day ahead
        "2027-02-12T09:30:00Z",
        "1970-01-01T00:10:00Z", // a clock that was never set
    })
    void aWrongClockIsSetRightByWhenItSent(String sent) {
        Instant said = Instant.parse(sent).minus(Duration.ofMinutes(10));
        assertThat(HeardMoment.of(Optional.of(said), Optional.of(Instant.parse(sent)), ARRIVED, YEAR))
                .isEqualTo(new HeardMoment(
                        ARRIVED.minus(Duration.ofMinutes(10)), Optional.of(said), Optional.of(Doubt.CLOCK_WRONG)));
    }

    @ParameterizedTest
    @CsvSource({
        "2026-09-28T13:55:00Z", // five minutes behind, inclusive
        "2026-09-28T14:05:00Z",
    })
    void aClockThatIsRightEnoughIsLeft(String sent) {
        Instant said = Instant.parse("2026-09-28T13:50:00Z");
        assertThat(HeardMoment.of(Optional.of(said), Optional.of(Instant.parse(sent)), ARRIVED, YEAR)
                        .at())
                .isEqualTo(said);
    }

    @Test
    void aClockSetBetweenPressAndSendingCannotBeTold() {
        Instant said = Instant.parse("2026-12-24T08:00:00Z");
        assertThat(HeardMoment.of(Optional.of(said), Optional.of(ARRIVED), ARRIVED, YEAR))
                .isEqualTo(new HeardMoment(ARRIVED, Optional.of(said), Optional.of(Doubt.AHEAD)));
    }

    /** The order of presses on one device is the order heard, however wrong its clock, and however long requests take. */
    @Test
    void theOrderOfOneDeviceStays() {
        Instant sent = Instant.parse("2026-09-27T02:00:00Z");
        assertThat(IntStream.range(0, 50)
                        .mapToObj(i -> HeardMoment.of(
                                        Optional.of(sent.minusSeconds(600).plusMillis(12L * i)),
                                        Optional.of(sent.plusMillis(30L * i)),
                                        ARRIVED.plusMillis(i % 3 == 0 ? 40L * i + 900 : 40L * i),
                                        YEAR)
                                .at()))
                .isSorted()
                .first()
                .isEqualTo(ARRIVED.minusSeconds(600));
    }

    @Test
    void beforeTheYearNothingWasHeard() {
        Instant firstWeek = YEAR.plus(Duration.ofDays(3));
        HeardMoment moment = HeardMoment.of(Optional.of(YEAR.minusSeconds(1)), Optional.empty(), firstWeek, YEAR);
        assertThat(moment.doubt()).contains(Doubt.BEFORE_THE_YEAR);
        assertThat(moment.at()).isEqualTo(firstWeek);
        assertThat(HeardMoment.of(Optional.of(YEAR), Optional.empty(), firstWeek, YEAR)
                        .doubt())
                .isEmpty();
    }

    @Test
    void aDeviceThatSaysNothingIsHeardNow() {
        assertThat(HeardMoment.of(Optional.empty(), Optional.empty(), ARRIVED, YEAR))
                .isEqualTo(new HeardMoment(ARRIVED, Optional.empty(), Optional.empty()));
    }

    @Test
    void theFarthestMomentsAreNoError() {
        assertThat(HeardMoment.of(Optional.of(Instant.MAX), Optional.empty(), ARRIVED, YEAR)
                        .doubt())
                .contains(Doubt.AHEAD);
        assertThat(HeardMoment.of(Optional.of(Instant.MIN), Optional.empty(), ARRIVED, YEAR)
                        .doubt())
                .contains(Doubt.TOO_OLD);
        assertThat(HeardMoment.of(Optional.of(Instant.MAX), Optional.of(Instant.MIN), ARRIVED, YEAR)
                        .at())
                .isEqualTo(ARRIVED);
    }

    @Test
    void daysLieInThisCentury() {
        assertThat(DayRange.holds(DayRange.FIRST)).isTrue();
        assertThat(DayRange.holds(DayRange.LAST)).isTrue();
        assertThat(DayRange.holds(DayRange.FIRST.minusDays(1))).isFalse();
        assertThat(DayRange.holds(LocalDate.MAX)).isFalse();
    }
}
