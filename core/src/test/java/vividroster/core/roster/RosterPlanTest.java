package vividroster.core.roster;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Transposition;
import vividroster.core.roster.RowOutcome.Refusal;

class RosterPlanTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 10, 1);
    private static final UUID WINDS = UUID.randomUUID();
    private static final UUID JAZZ = UUID.randomUUID();
    private static final UUID ILSE = UUID.randomUUID();
    private static final InstrumentCatalog CATALOG = new InstrumentCatalog(List.of(
            instrument("trumpet", "Trumpet", 10, List.of("cornet")),
            instrument("horn", "Horn", 20, List.of("french horn"))));

    private static Instrument instrument(String code, String name, int rank, List<String> aliases) {
        return new Instrument(
                new InstrumentCode(code),
                name,
                name + "s",
                Family.BRASS,
                Clef.TREBLE,
                Transposition.CONCERT,
                rank,
                true,
                aliases);
    }

    private final Seat ilsesSeat =
            new Seat(ILSE, WINDS, new InstrumentCode("trumpet"), "", LocalDate.of(2026, 8, 17), Optional.empty());
    private final Roster roster =
            roster(List.of(new Roster.Student(ILSE, "Ilse Marangi", Optional.empty())), List.of(ilsesSeat));

    private static Roster roster(List<Roster.Student> students, List<Seat> seats) {
        return new Roster(
                List.of(
                        new Roster.SchoolClass(WINDS, "Beginning Winds"),
                        new Roster.SchoolClass(JAZZ, "Dockside Jazz")),
                students,
                seats,
                LocalDate.of(2026, 8, 17),
                LocalDate.of(2027, 6, 11));
    }

    private static RosterRow row(int line, String name, String className, String instrument) {
        return new RosterRow(line, name, "", className, instrument, "", "");
    }

    private static RosterRow numbered(int line, String name, String number, String className) {
        return new RosterRow(line, name, number, className, "trumpet", "", "");
    }

    private List<RowOutcome> outcomes(RosterRow... rows) {
        return RosterPlan.of(List.of(rows), roster, CATALOG, TODAY).stream()
                .map(RosterPlan.PlannedRow::outcome)
                .toList();
    }

    private RowOutcome outcome(RosterRow row) {
        return outcomes(row).getFirst();
    }

    private Refusal refusal(RosterRow row) {
        return ((RowOutcome.Refused) outcome(row)).refusal();
    }

    @Test
    void aNewNameIsANewStudentFromToday() {
        RowOutcome.NewStudent student =
                (RowOutcome.NewStudent) outcome(row(2, "Wren Halloran", "beginning winds", "French Horn"));
        assertThat(student.seat()).isEqualTo(new RowOutcome.SeatWanted(WINDS, new InstrumentCode("horn"), "", TODAY));
    }

    @Test
    void whatTheRosterSaysAlreadyIsUnchanged() {
        assertThat(outcome(row(2, "  ilse   MARANGI ", "Beginning Winds", "cornet")))
                .isEqualTo(new RowOutcome.Unchanged(ILSE));
        assertThat(outcome(row(2, "Marangi, Ilse", "Beginning Winds", "Trumpets")))
                .isEqualTo(new RowOutcome.Unchanged(ILSE));
    }

    @Test
    void aKnownNameInAnotherClassIsTheSameStudent() {
        assertThat(outcome(row(2, "Ilse Marangi", "Dockside Jazz", "trumpet")))
                .isInstanceOfSatisfying(
                        RowOutcome.NewSeat.class,
                        seat -> assertThat(seat.studentId()).isEqualTo(ILSE));
    }

    @Test
    void anotherInstrumentInTheClassIsAMove() {
        assertThat(outcome(row(2, "Ilse Marangi", "Beginning Winds", "horn")))
                .isInstanceOfSatisfying(RowOutcome.Move.class, move -> {
                    assertThat(move.from()).isEqualTo(ilsesSeat);
                    assertThat(move.seat().instrument()).isEqualTo(new InstrumentCode("horn"));
                });
        RosterRow early = new RosterRow(2, "Ilse Marangi", "", "Beginning Winds", "horn", "", "2026-08-17");
        assertThat(refusal(early)).isEqualTo(new Refusal.MoveBeforeSeatBegan(LocalDate.of(2026, 8, 17)));
    }

    @Test
    void twoRowsForOneStudentInOneClass() {
        List<RowOutcome> same = outcomes(
                row(2, "Wren Halloran", "Beginning Winds", "horn"), row(7, "Wren Halloran", "Beginning Winds", "horn"));
        assertThat(same.get(1)).isEqualTo(new RowOutcome.Refused(RosterColumn.NAME, new Refusal.SameAsLine(2)));
        List<RowOutcome> two = outcomes(
                row(2, "Wren Halloran", "Beginning Winds", "horn"),
                row(7, "Wren Halloran", "Beginning Winds", "trumpet"));
        assertThat(two.get(1))
                .isEqualTo(new RowOutcome.Refused(RosterColumn.NAME, new Refusal.TwoSeatsInOneClass(2, "Horn")));
    }

    @Test
    void numbersTellNamesakesApart() {
        List<RowOutcome> outcomes = outcomes(
                numbered(2, "Ana Cruz", "101", "Beginning Winds"),
                numbered(3, "Ana Cruz", "102", "Beginning Winds"),
                numbered(4, "Ben Osei", "102", "Dockside Jazz"));
        assertThat(outcomes.get(0)).isInstanceOf(RowOutcome.NewStudent.class);
        assertThat(outcomes.get(1)).isInstanceOf(RowOutcome.NewStudent.class);
        assertThat(outcomes.get(2))
                .isEqualTo(new RowOutcome.Refused(
                        RosterColumn.STUDENT_NUMBER, new Refusal.NumberOfSomebodyElse("102", "Ana Cruz")));
    }

    @Test
    void namesakesOnTheRosterNeedANumber() {
        Roster twins = roster(
                List.of(
                        new Roster.Student(UUID.randomUUID(), "Ana Cruz", Optional.of("101")),
                        new Roster.Student(UUID.randomUUID(), "Ana Cruz", Optional.of("102"))),
                List.of());
        assertThat(RosterPlan.of(List.of(row(2, "Ana Cruz", "Dockside Jazz", "horn")), twins, CATALOG, TODAY)
                        .getFirst()
                        .outcome())
                .isEqualTo(new RowOutcome.Refused(RosterColumn.NAME, new Refusal.SeveralStudentsOfThatName(2)));
        assertThat(RosterPlan.of(List.of(numbered(2, "Ana Cruz", "102", "Dockside Jazz")), twins, CATALOG, TODAY)
                        .getFirst()
                        .outcome())
                .isInstanceOf(RowOutcome.NewSeat.class);
    }

    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                "'', Beginning Winds, trumpet, '', NAME, Missing",
                "Ana, '', trumpet, '', CLASS, Missing",
                "Ana, Beginning Winds, '', '', INSTRUMENT, Missing",
                "'...', Beginning Winds, trumpet, '', NAME, Missing",
                "Ana, Begining Winds, trumpet, '', CLASS, UnknownClass",
                "Ana, Beginning Winds, trumpt, '', INSTRUMENT, UnknownInstrument",
                "Ana, Beginning Winds, trumpet, 3/9/2026, START_DATE, DateNotRead",
                "Ana, Beginning Winds, trumpet, 2025-09-03, START_DATE, DateOutsideYear",
            })
    void badRowsAreNamedWithColumnAndReason(
            String name, String className, String instrument, String start, RosterColumn column, String reason) {
        RowOutcome.Refused refused =
                (RowOutcome.Refused) outcome(new RosterRow(2, name, "", className, instrument, "", start));
        assertThat(refused.column()).isEqualTo(column);
        assertThat(refused.refusal().getClass().getSimpleName()).isEqualTo(reason);
    }

    @Test
    void offersWhatWasProbablyMeant() {
        assertThat(refusal(row(2, "Ana", "Begining Winds", "horn")))
                .isEqualTo(new Refusal.UnknownClass("Begining Winds", Optional.of("Beginning Winds")));
        assertThat(refusal(row(2, "Ana", "Beginning Winds", "trumpt")))
                .isEqualTo(new Refusal.UnknownInstrument("trumpt", Optional.of("Trumpet")));
        assertThat(refusal(row(2, "Ana", "Beginning Winds", "kazoo")))
                .isEqualTo(new Refusal.UnknownInstrument("kazoo", Optional.empty()));
    }

    @Test
    void tooLongOrUnprintable() {
        assertThat(refusal(row(2, "A".repeat(121), "Beginning Winds", "horn")))
                .isEqualTo(new Refusal.TooLong(121, 120));
        assertThat(refusal(row(2, "A\u0007na", "Beginning Winds", "horn"))).isEqualTo(new Refusal.NotPrintable());
    }

    @Test
    void planningWhatWasTakenFindsNothingToDo() {
        RosterRow wren = row(2, "Wren Halloran", "Beginning Winds", "horn");
        UUID wrenId = UUID.randomUUID();
        List<Roster.Student> students = new ArrayList<>(roster.students());
        students.add(new Roster.Student(wrenId, "Wren Halloran", Optional.empty()));
        Roster after = roster(
                students,
                List.of(ilsesSeat, new Seat(wrenId, WINDS, new InstrumentCode("horn"), "", TODAY, Optional.empty())));
        assertThat(RosterPlan.of(List.of(wren), after, CATALOG, TODAY)
                        .getFirst()
                        .outcome())
                .isEqualTo(new RowOutcome.Unchanged(wrenId));
    }

    @ParameterizedTest
    @CsvSource({
        "Sunniva Drake, Sunniva Drake, 'Drake, Sunniva'",
        "'Drake, Sunniva', Sunniva Drake, 'Drake, Sunniva'",
        "Tobenna Ruiz-Okafor, Tobenna Ruiz-Okafor, 'Ruiz-Okafor, Tobenna'",
        "Ximena, Ximena, Ximena",
        "'Maria  del Mar', Maria del Mar, 'Mar, Maria del'",
        "'del Mar, Maria', Maria del Mar, 'del Mar, Maria'",
    })
    void names(String typed, String shown, String sorted) {
        assertThat(PersonName.read(typed)).isEqualTo(new PersonName(shown, sorted));
    }
}
