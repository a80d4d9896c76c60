package vividroster.core.roster;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.RowOutcome.Refusal;
import vividroster.core.roster.RowOutcome.SeatWanted;
import vividroster.core.text.Lengths;
import vividroster.core.text.Wording;

/**
 * What taking a roster file would do, row by row. Planning changes nothing; planning the same rows against the roster
 * they led to finds every row unchanged.
 *
 * <p>A student is known by number where the file gives one, else by name: the same name in two classes is one student
 * in two classes; the same name twice in one class needs numbers to be told apart.
 */
public final class RosterPlan {

    public static final int LONGEST_NAME = Lengths.NAME;
    public static final int LONGEST_DIVISION = Lengths.LABEL;
    public static final int LONGEST_NUMBER = Lengths.LABEL;

    private final Roster roster;
    private final InstrumentCatalog catalog;
    private final LocalDate today;
    private final Map<String, Roster.SchoolClass> classByName;
    private final Map<String, List<Roster.Student>> studentsByName;
    private final Map<String, Roster.Student> studentByNumber;
    private final Map<UUID, Map<UUID, Seat>> seatByStudentAndClass = new HashMap<>();
    /** Student and class of earlier rows of this file, with the line and what it asked for. */
    private final Map<String, Taken> taken = new HashMap<>();

    /** Numbers that earlier rows of this file give to students, with the name. */
    private final Map<String, String> newNumbers = new HashMap<>();

    private record Taken(int line, InstrumentCode instrument, String division) {}

    public record PlannedRow(RosterRow row, PersonName name, RowOutcome outcome) {}

    private RosterPlan(Roster roster, InstrumentCatalog catalog, LocalDate today) {
        this.roster = roster;
        this.catalog = catalog;
        this.today = today;
        classByName = roster.classes().stream()
                .collect(Collectors.toMap(c -> Wording.fold(c.name()), c -> c, (first, second) -> first));
        studentsByName = roster.students().stream().collect(Collectors.groupingBy(s -> Wording.fold(s.name())));
        studentByNumber = roster.students().stream()
                .filter(s -> s.number().isPresent())
                .collect(Collectors.toMap(s -> s.number().get(), s -> s));
        for (Seat seat : roster.seats()) {
            seatByStudentAndClass
                    .computeIfAbsent(seat.studentId(), id -> new HashMap<>())
                    .put(seat.classId(), seat);
        }
    }

    /** @param today start date of a seat whose row gives none */
    public static List<PlannedRow> of(List<RosterRow> rows, Roster roster, InstrumentCatalog catalog, LocalDate today) {
        RosterPlan plan = new RosterPlan(roster, catalog, today);
        List<PlannedRow> planned = new ArrayList<>();
        for (RosterRow row : rows) {
            PersonName name = PersonName.read(row.name());
            planned.add(new PlannedRow(row, name, plan.outcome(row, name)));
        }
        return planned;
    }

    private RowOutcome outcome(RosterRow row, PersonName name) {
        Optional<RowOutcome> unreadable = unreadable(row);
        if (unreadable.isPresent()) {
            return unreadable.get();
        }
        Roster.SchoolClass schoolClass = classByName.get(Wording.fold(row.className()));
        if (schoolClass == null) {
            Optional<String> nearest = Wording.nearest(row.className(), classByName.keySet())
                    .map(n -> classByName.get(n).name());
            return refused(RosterColumn.CLASS, new Refusal.UnknownClass(row.className(), nearest));
        }
        Optional<Instrument> instrument = catalog.spelled(row.instrument());
        if (instrument.isEmpty()) {
            return refused(
                    RosterColumn.INSTRUMENT,
                    new Refusal.UnknownInstrument(
                            row.instrument(),
                            catalog.nearestTo(row.instrument()).map(Instrument::name)));
        }
        LocalDate startsOn = clampToYear(today);
        if (!row.startDate().isBlank()) {
            try {
                startsOn = LocalDate.parse(row.startDate().strip());
            } catch (DateTimeParseException e) {
                return refused(RosterColumn.START_DATE, new Refusal.DateNotRead(row.startDate()));
            }
            if (startsOn.isBefore(roster.yearFirst()) || startsOn.isAfter(roster.yearLast())) {
                return refused(
                        RosterColumn.START_DATE,
                        new Refusal.DateOutsideYear(startsOn, roster.yearFirst(), roster.yearLast()));
            }
        }
        SeatWanted wanted = new SeatWanted(
                schoolClass.id(), instrument.get().code(), row.division().strip(), startsOn);
        return seated(row, name, wanted);
    }

    private LocalDate clampToYear(LocalDate day) {
        if (day.isBefore(roster.yearFirst())) {
            return roster.yearFirst();
        }
        return day.isAfter(roster.yearLast()) ? roster.yearLast() : day;
    }

    private RowOutcome seated(RosterRow row, PersonName name, SeatWanted wanted) {
        Optional<String> number = Optional.of(row.studentNumber().strip()).filter(n -> !n.isEmpty());
        String folded = Wording.fold(name.shown());
        Optional<Roster.Student> known = Optional.empty();
        if (number.isPresent() && studentByNumber.containsKey(number.get())) {
            Roster.Student holder = studentByNumber.get(number.get());
            if (!Wording.fold(holder.name()).equals(folded)) {
                return refused(
                        RosterColumn.STUDENT_NUMBER, new Refusal.NumberOfSomebodyElse(number.get(), holder.name()));
            }
            known = Optional.of(holder);
        } else {
            List<Roster.Student> candidates = studentsByName.getOrDefault(folded, List.of()).stream()
                    .filter(student -> number.isEmpty() || student.number().isEmpty())
                    .toList();
            if (candidates.size() > 1) {
                return refused(RosterColumn.NAME, new Refusal.SeveralStudentsOfThatName(candidates.size()));
            }
            known = candidates.stream().findFirst();
        }

        String studentKey = known.map(s -> s.id().toString())
                .orElse(number.map(n -> "#" + n).orElse(folded));
        Taken before = taken.get(studentKey + "|" + wanted.classId());
        if (before != null) {
            boolean same = before.instrument().equals(wanted.instrument())
                    && before.division().equals(wanted.division());
            return refused(
                    RosterColumn.NAME,
                    same
                            ? new Refusal.SameAsLine(before.line())
                            : new Refusal.TwoSeatsInOneClass(
                                    before.line(),
                                    catalog.withCode(before.instrument()).name()));
        }
        Optional<RowOutcome> holderClash = numberClash(number, folded);
        if (holderClash.isPresent()) {
            return holderClash.get();
        }
        RowOutcome outcome = known.map(student -> forKnown(row, student, number, wanted))
                .orElseGet(() -> new RowOutcome.NewStudent(studentKey, wanted, number));
        if (!(outcome instanceof RowOutcome.Refused)) {
            taken.put(
                    studentKey + "|" + wanted.classId(), new Taken(row.line(), wanted.instrument(), wanted.division()));
            number.ifPresent(n -> newNumbers.put(n, name.shown()));
        }
        return outcome;
    }

    private Optional<RowOutcome> numberClash(Optional<String> number, String foldedName) {
        return number.map(newNumbers::get)
                .filter(holder -> !Wording.fold(holder).equals(foldedName))
                .map(holder ->
                        refused(RosterColumn.STUDENT_NUMBER, new Refusal.NumberOfSomebodyElse(number.get(), holder)));
    }

    private RowOutcome forKnown(RosterRow row, Roster.Student student, Optional<String> number, SeatWanted wanted) {
        Optional<String> numberToAdd = number.filter(n -> student.number().isEmpty());
        Seat seat = seatByStudentAndClass.getOrDefault(student.id(), Map.of()).get(wanted.classId());
        if (seat == null) {
            return new RowOutcome.NewSeat(student.id(), wanted, numberToAdd);
        }
        if (seat.instrument().equals(wanted.instrument()) && seat.division().equals(wanted.division())) {
            return new RowOutcome.Unchanged(student.id());
        }
        if (!wanted.startsOn().isAfter(seat.startsOn())) {
            return refused(RosterColumn.START_DATE, new Refusal.MoveBeforeSeatBegan(seat.startsOn()));
        }
        return new RowOutcome.Move(student.id(), seat, wanted);
    }

    private static Optional<RowOutcome> unreadable(RosterRow row) {
        return check(RosterColumn.NAME, row.name(), true, LONGEST_NAME)
                .or(() -> check(RosterColumn.CLASS, row.className(), true, LONGEST_NAME))
                .or(() -> check(RosterColumn.INSTRUMENT, row.instrument(), true, LONGEST_NAME))
                .or(() -> check(RosterColumn.DIVISION, row.division(), false, LONGEST_DIVISION))
                .or(() -> check(RosterColumn.STUDENT_NUMBER, row.studentNumber(), false, LONGEST_NUMBER));
    }

    private static Optional<RowOutcome> check(RosterColumn column, String value, boolean needed, int most) {
        if (value.isBlank()) {
            return needed ? Optional.of(refused(column, new Refusal.Missing())) : Optional.empty();
        }
        if (value.strip().length() > most) {
            return Optional.of(refused(column, new Refusal.TooLong(value.strip().length(), most)));
        }
        if (value.codePoints().anyMatch(c -> Character.isISOControl(c) || c == 0xFFFD)) {
            return Optional.of(refused(column, new Refusal.NotPrintable()));
        }
        if (needed && Wording.fold(value).isEmpty()) {
            return Optional.of(refused(column, new Refusal.Missing()));
        }
        return Optional.empty();
    }

    private static RowOutcome refused(RosterColumn column, Refusal refusal) {
        return new RowOutcome.Refused(column, refusal);
    }
}
