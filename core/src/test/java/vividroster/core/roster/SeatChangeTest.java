package vividroster.core.roster;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;

class SeatChangeTest {

    private static final UUID WINDS = new UUID(0, 1);
    private static final UUID JAZZ = new UUID(0, 2);
    private static final LocalDate FIRST = LocalDate.of(2026, 8, 24);
    private static final LocalDate LAST = LocalDate.of(2027, 6, 11);
    private static final LocalDate JANUARY = LocalDate.of(2027, 1, 4);

    private static Seat seat(UUID classId, String instrument, LocalDate from, LocalDate to) {
        return new Seat(new UUID(1, 1), classId, new InstrumentCode(instrument), "", from, Optional.ofNullable(to));
    }

    private static SeatChange of(Seat wanted, Seat... seats) {
        return SeatChange.of(List.of(seats), wanted, FIRST, LAST);
    }

    @Test
    void oneMoreClassIsJoinedAndTheSameSeatIsNoChange() {
        Seat flute = seat(WINDS, "flute", FIRST, null);
        Seat jazz = seat(JAZZ, "flute", JANUARY, null);
        assertThat(of(jazz, flute)).isEqualTo(new SeatChange.Joins(jazz));
        assertThat(of(seat(WINDS, "flute", JANUARY, null), flute)).isEqualTo(new SeatChange.Unchanged());
    }

    @Test
    void anotherInstrumentIsAMoveFromThatDay() {
        Seat flute = seat(WINDS, "flute", FIRST, null);
        Seat horn = seat(WINDS, "horn", JANUARY, null);
        assertThat(of(horn, flute)).isEqualTo(new SeatChange.Moves(flute, horn));
        assertThat(of(seat(WINDS, "horn", FIRST, null), flute)).isEqualTo(new SeatChange.TooEarly(flute));
    }

    @Test
    void whoLeftMayComeBackLater() {
        Seat left = seat(WINDS, "flute", FIRST, JANUARY);
        Seat back = seat(WINDS, "flute", JANUARY.plusDays(1), null);
        assertThat(of(back, left)).isEqualTo(new SeatChange.Joins(back));
        assertThat(of(seat(WINDS, "horn", JANUARY, null), left)).isEqualTo(new SeatChange.TooEarly(left));
    }

    @Test
    void aDayOutsideTheYearIsNone() {
        assertThat(of(seat(WINDS, "flute", LAST.plusDays(1), null))).isEqualTo(new SeatChange.OutsideYear(FIRST, LAST));
    }
}
