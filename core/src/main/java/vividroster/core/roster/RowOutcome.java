package vividroster.core.roster;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/** What one row of a roster file will do. */
public sealed interface RowOutcome {

    /** A student who is not on the roster yet takes a seat. {@code studentKey} joins rows of one new student. */
    record NewStudent(String studentKey, SeatWanted seat, Optional<String> studentNumber) implements RowOutcome {}

    /** A student who is on the roster takes a seat in one more class. */
    record NewSeat(UUID studentId, SeatWanted seat, Optional<String> studentNumber) implements RowOutcome {}

    /** A student moves within the class to another instrument or division; the old seat ends the day before. */
    record Move(UUID studentId, Seat from, SeatWanted seat) implements RowOutcome {}

    /** The roster says this already. */
    record Unchanged(UUID studentId) implements RowOutcome {}

    /** The row cannot be taken. */
    record Refused(RosterColumn column, Refusal refusal) implements RowOutcome {}

    record SeatWanted(UUID classId, InstrumentCode instrument, String division, LocalDate startsOn) {}

    /** Why a row is refused. The value is what the row says; the rest is what the reader needs to mend it. */
    sealed interface Refusal {
        record Missing() implements Refusal {}

        record TooLong(int length, int most) implements Refusal {}

        record NotPrintable() implements Refusal {}

        record UnknownClass(String value, Optional<String> nearest) implements Refusal {}

        record UnknownInstrument(String value, Optional<String> nearest) implements Refusal {}

        record DateNotRead(String value) implements Refusal {}

        record DateOutsideYear(LocalDate value, LocalDate first, LocalDate last) implements Refusal {}

        record SameAsLine(int line) implements Refusal {}

        record TwoSeatsInOneClass(int line, String otherInstrument) implements Refusal {}

        record SeveralStudentsOfThatName(int count) implements Refusal {}

        record NumberOfSomebodyElse(String number, String holder) implements Refusal {}

        record MoveBeforeSeatBegan(LocalDate began) implements Refusal {}
    }
}
