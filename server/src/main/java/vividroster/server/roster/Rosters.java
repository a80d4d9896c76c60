package vividroster.server.roster;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.PersonName;
import vividroster.core.roster.Roster;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SeatChange;
import vividroster.core.roster.SectionScope;
import vividroster.server.office.Years.LetterUsers;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;

/** Classes, students and who sits where. */
@Service
public class Rosters implements LetterUsers {

    private final ClassQueries classes;
    private final RosterQueries roster;
    private final InstrumentCatalog catalog;

    Rosters(ClassQueries classes, RosterQueries roster, InstrumentCatalog catalog) {
        this.classes = classes;
        this.roster = roster;
        this.catalog = catalog;
    }

    /** Those that ended too, in the order of the day. */
    @Transactional(readOnly = true)
    public List<SchoolClass> classes(UUID programId) {
        return classes.findAll(programId).stream()
                .sorted(SchoolClass.BY_ORDER_OF_DAY)
                .toList();
    }

    @Override
    @Transactional(readOnly = true)
    public List<LetterUser> letterUsers(UUID programId) {
        return classes.findAll(programId).stream()
                .filter(c -> c.lastDay().isEmpty())
                .flatMap(c -> c.meets().slots().stream()
                        .flatMap(slot -> slot.letters().stream())
                        .map(letter -> new LetterUser(letter, c.name())))
                .toList();
    }

    @Transactional(readOnly = true)
    public SchoolClass schoolClass(UUID programId, UUID classId) {
        return classes.findOne(programId, classId).orElseThrow(() -> Problem.notFound("There is no such class."));
    }

    /** Puts down a class as it is; for data that was checked where it was made. */
    @Transactional
    public void addClass(UUID programId, SchoolClass added) {
        classes.put(programId, added);
    }

    /** All seats, in any class, of the students who sit in a scope on a day. */
    @Transactional(readOnly = true)
    public List<Seat> seatsOfStudentsIn(UUID programId, SectionScope scope, LocalDate day) {
        UUID classId = switch (scope) {
            case SectionScope.Tutti tutti -> tutti.classId();
            case SectionScope.FamilyOfClass family -> family.classId();
            case SectionScope.Section section -> section.classId();
            case SectionScope.Newcomers newcomers -> newcomers.classId();
            case SectionScope.InstrumentAcrossClasses all -> null;
        };
        String division = scope instanceof SectionScope.Section section
                ? section.division().orElse(null)
                : null;
        List<Seat> seats = roster.findSeatsOfStudentsIn(
                programId,
                classId == null ? null : List.of(classId),
                ScopeRequest.instruments(scope, catalog),
                division,
                day);
        if (seats.isEmpty() && classId != null) {
            // Nobody sits there: say so only of a class there is.
            schoolClass(programId, classId);
        }
        return seats;
    }

    /** All seats, in any class, of the students who sit in any of these classes on a day. */
    @Transactional(readOnly = true)
    public List<Seat> seatsOfStudentsIn(UUID programId, Collection<UUID> classIds, LocalDate day) {
        return roster.findSeatsOfStudentsIn(programId, classIds, List.of(), null, day);
    }

    /** By section in score order, then by chair; who has none after those who have one, by name. */
    @Transactional(readOnly = true)
    public List<Seat> inSeating(UUID programId, Collection<Seat> seats) {
        Map<UUID, Student> students =
                students(programId, seats.stream().map(Seat::studentId).collect(Collectors.toSet()));
        return seats.stream()
                .sorted(Comparator.comparingInt((Seat seat) ->
                                catalog.withCode(seat.instrument()).scoreRank())
                        .thenComparing(Seat::division)
                        .thenComparingInt(seat -> seat.chair().orElse(Integer.MAX_VALUE))
                        .thenComparing(seat -> students.get(seat.studentId()).sortName())
                        .thenComparing(Seat::studentId))
                .toList();
    }

    /** Whether the holder of a seat belongs to a scope. */
    public boolean holds(SectionScope scope, Seat seat) {
        return scope.holds(seat, catalog);
    }

    /** Every seat held on a day, in every class. */
    @Transactional(readOnly = true)
    public List<Seat> seatsOn(UUID programId, LocalDate day) {
        return roster.findSeatsNotEndedBefore(programId, day).stream()
                .filter(seat -> seat.isHeldOn(day))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Seat> seatsOf(UUID programId, UUID studentId) {
        return seatsOf(programId, List.of(studentId));
    }

    /** All seats of these students, in any class and at any time, the earliest first. */
    @Transactional(readOnly = true)
    public List<Seat> seatsOf(UUID programId, Collection<UUID> studentIds) {
        return roster.findSeatsOfStudents(programId, studentIds);
    }

    @Transactional(readOnly = true)
    public Map<UUID, Student> students(UUID programId, Collection<UUID> ids) {
        return roster.findStudents(programId, ids).stream().collect(Collectors.toMap(Student::id, Function.identity()));
    }

    /** The numbers a school gives its students; empty where it gives none. */
    @Transactional(readOnly = true)
    public Map<UUID, Optional<String>> numbers(UUID programId, Collection<UUID> ids) {
        return roster.findRosterStudents(programId).stream()
                .filter(student -> ids.contains(student.id()))
                .collect(Collectors.toMap(Roster.Student::id, Roster.Student::number));
    }

    @Transactional(readOnly = true)
    public List<Student> allStudents(UUID programId) {
        return roster.findAllStudents(programId);
    }

    @Transactional(readOnly = true)
    public Student student(UUID programId, UUID studentId) {
        return roster.findStudents(programId, List.of(studentId)).stream()
                .findFirst()
                .orElseThrow(() -> Problem.notFound("There is no such student."));
    }

    /**
     * Ends the seat a student holds in a class; what was passed stays.
     *
     * @param lastDay inclusive
     * @throws Problem when no seat is held there, or it began later than its last day
     */
    @Transactional
    public void leave(UUID programId, UUID studentId, UUID classId, LocalDate lastDay) {
        roster.lockRoster(programId);
        Student student = student(programId, studentId);
        List<Seat> seats = seatsOf(programId, studentId);
        Seat held = seats.stream()
                .filter(seat -> seat.classId().equals(classId) && seat.endsOn().isEmpty())
                .findFirst()
                .orElseThrow(() -> Problem.notFound(student.name() + " holds no seat in that class any more."));
        SeatChange.Reseated left = SeatChange.leaving(seats, classId, lastDay)
                .orElseThrow(() -> Problem.input(
                        "lastDay", "The seat began on " + held.startsOn() + "; its last day cannot come before that."));
        roster.reseat(programId, left.before(), left.after());
    }

    /** A student with seats, as the demo knows them. */
    @Transactional
    public UUID addStudent(UUID programId, String typedName, Function<UUID, List<Seat>> seats) {
        UUID id = Ids.next();
        PersonName name = PersonName.read(typedName);
        roster.insertStudents(programId, List.of(new RosterQueries.NewStudent(id, name.shown(), name.sorted(), null)));
        roster.insertSeats(
                programId,
                seats.apply(id).stream()
                        .map(seat -> new RosterQueries.NewSeat(Ids.next(), seat))
                        .toList());
        return id;
    }
}
