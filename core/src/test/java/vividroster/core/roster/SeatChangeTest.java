package vividroster.core.roster;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
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
        return SeatChange.of(List.of(seats), wanted, JANUARY, FIRST, LAST);
    }

    private static SeatChange becomes(List<Seat> before, Seat... after) {
        return new SeatChange.Reseated(before, List.of(after));
    }

    @Test
    void oneMoreClassIsJoinedAndTheSameSeatIsNoChange() {
        Seat flute = seat(WINDS, "flute", FIRST, null);
        Seat jazz = seat(JAZZ, "flute", JANUARY, null);
        assertThat(of(jazz, flute)).isEqualTo(becomes(List.of(), jazz));
        assertThat(of(seat(WINDS, "flute", JANUARY, null), flute)).isEqualTo(new SeatChange.Unchanged());
        assertThat(of(flute, flute)).isEqualTo(new SeatChange.Unchanged());
    }

    @Test
    void anotherInstrumentIsAMoveFromThatDay() {
        Seat flute = seat(WINDS, "flute", FIRST, null);
        Seat horn = seat(WINDS, "horn", JANUARY, null);
        assertThat(of(horn, flute))
                .isEqualTo(becomes(List.of(flute), seat(WINDS, "flute", FIRST, JANUARY.minusDays(1)), horn));
        assertThat(of(seat(WINDS, "horn", FIRST, null), flute)).isEqualTo(new SeatChange.TooEarly(flute));
    }

    /** Five days on the horn: Monday to Friday; from Saturday on the flute again, on the same chair. */
    @Test
    void aBorrowedInstrumentGoesBackByItself() {
        Seat flute = new Seat(
                new UUID(1, 1), WINDS, new InstrumentCode("flute"), "", FIRST, Optional.empty(), OptionalInt.of(3));
        LocalDate until = JANUARY.plusDays(4);
        Seat horn = seat(WINDS, "horn", JANUARY, until);
        List<Seat> borrowed = List.of(
                flute.during(FIRST, Optional.of(JANUARY.minusDays(1))),
                horn,
                flute.during(until.plusDays(1), Optional.empty()));
        assertThat(of(horn, flute)).isEqualTo(new SeatChange.Reseated(List.of(flute), borrowed));

        Seat[] held = borrowed.toArray(Seat[]::new);
        assertThat(of(horn, held)).as("the same again").isEqualTo(new SeatChange.Unchanged());
        LocalDate wednesday = JANUARY.plusDays(2);
        assertThat(of(flute.during(wednesday, Optional.empty()), held))
                .as("back on Wednesday already")
                .isEqualTo(new SeatChange.Reseated(
                        borrowed,
                        List.of(
                                held[0],
                                seat(WINDS, "horn", JANUARY, wednesday.minusDays(1)),
                                flute.during(wednesday, Optional.empty()))));
        assertThat(of(flute.during(JANUARY, Optional.empty()), held))
                .as("never mind: one seat as before")
                .isEqualTo(new SeatChange.Reseated(borrowed, List.of(flute)));
        assertThat(of(seat(WINDS, "horn", JANUARY.plusDays(5), JANUARY.plusDays(11)), held))
                .as("a week longer")
                .isEqualTo(new SeatChange.Reseated(
                        borrowed,
                        List.of(
                                held[0],
                                seat(WINDS, "horn", JANUARY, JANUARY.plusDays(11)),
                                flute.during(JANUARY.plusDays(12), Optional.empty()))));
    }

    @Test
    void whatIsOnlyPlannedMayBePlannedAnew() {
        Seat flute = seat(WINDS, "flute", FIRST, JANUARY.plusDays(6));
        Seat horn = seat(WINDS, "horn", JANUARY.plusDays(7), null);
        assertThat(of(seat(WINDS, "tuba", JANUARY.plusDays(3), null), flute, horn))
                .isEqualTo(becomes(
                        List.of(flute, horn),
                        seat(WINDS, "flute", FIRST, JANUARY.plusDays(2)),
                        seat(WINDS, "tuba", JANUARY.plusDays(3), null)));
    }

    @Test
    void whoLeftMayComeBackLater() {
        Seat left = seat(WINDS, "flute", FIRST, JANUARY);
        Seat back = seat(WINDS, "flute", JANUARY.plusDays(8), null);
        assertThat(of(back, left)).isEqualTo(becomes(List.of(left), left, back));
        assertThat(of(seat(WINDS, "flute", JANUARY.plusDays(1), null), left))
                .as("without a day between it is one seat")
                .isEqualTo(becomes(List.of(left), seat(WINDS, "flute", FIRST, null)));
    }

    @Test
    void aDayOutsideTheYearIsNone() {
        assertThat(of(seat(WINDS, "flute", LAST.plusDays(1), null))).isEqualTo(new SeatChange.OutsideYear(FIRST, LAST));
        assertThat(of(seat(WINDS, "flute", JANUARY, LAST.plusDays(1))))
                .isEqualTo(new SeatChange.OutsideYear(FIRST, LAST));
    }

    @Test
    void whoLeavesWhileBorrowingDoesNotComeBack() {
        Seat flute = seat(WINDS, "flute", FIRST, JANUARY.minusDays(1));
        Seat horn = seat(WINDS, "horn", JANUARY, JANUARY.plusDays(4));
        Seat back = seat(WINDS, "flute", JANUARY.plusDays(5), null);
        List<Seat> held = List.of(flute, horn, back);
        assertThat(SeatChange.leaving(held, WINDS, JANUARY.plusDays(1)))
                .contains(new SeatChange.Reseated(
                        held, List.of(flute, seat(WINDS, "horn", JANUARY, JANUARY.plusDays(1)))));
        assertThat(SeatChange.leaving(held, WINDS, FIRST.minusDays(1)))
                .as("no day of it is left")
                .isEmpty();
        assertThat(SeatChange.leaving(held, JAZZ, JANUARY)).isEmpty();
    }

    /** Whatever is asked: no day is held twice, nothing before today's past changes, and that day is held as wanted. */
    @Property(tries = 300)
    void everyDayHasOneSeatAtMost(@ForAll long seed) {
        Random random = new Random(seed);
        List<Seat> held = List.of();
        for (int i = 0; i < 6; i++) {
            LocalDate from = FIRST.plusDays(random.nextInt(250));
            Seat wanted = seat(
                    WINDS,
                    List.of("flute", "horn", "tuba").get(random.nextInt(3)),
                    from,
                    random.nextBoolean() ? from.plusDays(random.nextInt(30)) : null);
            if (SeatChange.of(held, wanted, JANUARY, FIRST, LAST) instanceof SeatChange.Reseated reseated) {
                List<Seat> before = held;
                held = reseated.after();
                for (int day = 0; day < 290; day++) {
                    LocalDate on = FIRST.plusDays(day);
                    List<Seat> now = held.stream().filter(s -> s.isHeldOn(on)).toList();
                    assertThat(now.size()).isLessThanOrEqualTo(1);
                    if (wanted.isHeldOn(on)) {
                        assertThat(now.getFirst().isSameAs(wanted)).isTrue();
                    } else if (on.isBefore(from) || wanted.endsOn().isPresent()) {
                        assertThat(now.stream().map(Seat::instrument).toList())
                                .isEqualTo(before.stream()
                                        .filter(s -> s.isHeldOn(on))
                                        .map(Seat::instrument)
                                        .toList());
                    }
                }
                assertThat(SeatChange.of(held, wanted, JANUARY, FIRST, LAST)).isEqualTo(new SeatChange.Unchanged());
            }
        }
    }

    @Test
    void aStudentHasOneSeatToShowInEachClass() {
        Seat flute = seat(WINDS, "flute", FIRST, JANUARY.minusDays(1));
        Seat horn = seat(WINDS, "horn", JANUARY, JANUARY.plusDays(4));
        Seat back = seat(WINDS, "flute", JANUARY.plusDays(5), null);
        Seat jazz = seat(JAZZ, "flute", JANUARY.plusDays(9), null);
        List<Seat> held = List.of(back, jazz, horn, flute);
        assertThat(Seat.heldOrNext(held, JANUARY.plusDays(2))).containsExactly(horn, jazz);
        assertThat(Seat.heldOrNext(held, JANUARY.plusDays(5))).containsExactly(back, jazz);
        assertThat(Seat.lasting(held)).containsExactly(jazz, back);
    }

    private static Optional<String> changedFrom(String to, LocalDate day, Seat... seats) {
        return SeatChange.from(List.of(seats), WINDS, new InstrumentCode(to), day)
                .map(seat -> seat.instrument().value());
    }

    @Test
    void aChangeIsFromTheSeatOfTheDayBefore() {
        Seat flute = seat(WINDS, "flute", FIRST, null);
        assertThat(changedFrom("horn", JANUARY, flute)).contains("flute");
        assertThat(changedFrom("flute", JANUARY, flute)).as("that is no change").isEmpty();
        assertThat(changedFrom("horn", FIRST, flute)).as("on the first day").contains("flute");
        assertThat(changedFrom("horn", JANUARY, seat(JAZZ, "flute", FIRST, null)))
                .isEmpty();
        assertThat(changedFrom("horn", JANUARY, seat(WINDS, "flute", FIRST, JANUARY.minusDays(9))))
                .as("who left")
                .isEmpty();
    }

    @Test
    void aChangeThatWasMadeIsToldFromWhatWasBeforeItAndOneTakenBackFromWhatIsHeld() {
        Seat flute = seat(WINDS, "flute", FIRST, JANUARY.minusDays(3));
        Seat horn = seat(WINDS, "horn", JANUARY, null);
        assertThat(changedFrom("horn", JANUARY, flute, horn)).contains("flute");
        Seat untilThen = seat(WINDS, "flute", FIRST, JANUARY.minusDays(1));
        assertThat(changedFrom("flute", JANUARY, untilThen, horn)).contains("horn");
    }

    @Test
    void lastingChangesAreToldOnceAndBorrowedOnesNever() {
        Seat flute = seat(WINDS, "flute", FIRST, JANUARY.minusDays(1));
        Seat horn = seat(WINDS, "horn", JANUARY, JANUARY.plusDays(4));
        assertThat(SeatChange.lasting(List.of(horn, flute, seat(JAZZ, "flute", FIRST, null))))
                .containsExactly(new SeatChange.Switch(flute, horn));
        assertThat(SeatChange.lasting(List.of(flute, horn, seat(WINDS, "flute", JANUARY.plusDays(5), null))))
                .isEmpty();
        Seat hornFirst = seat(WINDS, "horn", JANUARY.plusDays(5), null);
        assertThat(SeatChange.lasting(List.of(flute, horn, hornFirst)))
                .as("since the first day on it")
                .containsExactly(new SeatChange.Switch(flute, horn));
        assertThat(SeatChange.lasting(List.of())).isEmpty();
    }
}
