package vividroster.server.roster;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SeatChange;
import vividroster.core.season.SchoolYear;
import vividroster.server.office.Office;
import vividroster.server.platform.Clashes;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;

/** Students one by one: added, changed, seated, and put on chairs. */
@Service
class StudentEditing {

    private final RosterQueries roster;
    private final Rosters rosters;
    private final Office office;

    StudentEditing(RosterQueries roster, Rosters rosters, Office office) {
        this.roster = roster;
        this.rosters = rosters;
        this.office = office;
    }

    @Transactional(readOnly = true)
    StudentDetails details(UUID programId, UUID studentId) {
        return roster.findDetails(programId, studentId)
                .orElseThrow(() -> Problem.notFound("There is no such student."));
    }

    /** Keeps a student as typed, a new one under a new id. The same again changes nothing. */
    @Transactional
    void keep(UUID programId, StudentDetails student) {
        Clashes.told(
                "student_number_unique",
                "Student number " + student.number().orElse("") + " belongs to somebody else.",
                () -> {
                    roster.putStudent(programId, student);
                    return student;
                });
    }

    /**
     * Seats a student from a day on: in one more class, or on another instrument or division of the same one.
     *
     * @throws Problem where the seat held began on that day or later, or the day is outside the year
     */
    @Transactional
    void seat(UUID programId, Seat wanted) {
        roster.lockRoster(programId);
        if (!roster.isOnRoster(programId, wanted.studentId())) {
            throw Problem.notFound("There is no such student.");
        }
        SchoolClass schoolClass = rosters.schoolClass(programId, wanted.classId());
        if (!schoolClass.runsOn(wanted.startsOn())) {
            throw Problem.input("classId", schoolClass.name() + " has ended by then.");
        }
        SchoolYear year = office.year(programId, wanted.startsOn());
        List<Seat> seats = roster.findSeatsOfStudents(programId, List.of(wanted.studentId()));
        switch (SeatChange.of(seats, wanted, year.first(), year.last())) {
            case SeatChange.Unchanged unchanged -> {}
            case SeatChange.Joins joins -> insert(programId, joins.seat());
            case SeatChange.Moves moves -> {
                roster.endSeat(
                        programId,
                        wanted.studentId(),
                        wanted.classId(),
                        wanted.startsOn().minusDays(1));
                insert(programId, moves.seat());
            }
            case SeatChange.TooEarly early ->
                throw Problem.input(
                        "startsOn",
                        "There is a seat in this class since " + early.held().startsOn()
                                + "; a change can begin the day after at the earliest.");
            case SeatChange.OutsideYear outside ->
                throw Problem.input(
                        "startsOn", "The school year is from " + outside.first() + " to " + outside.last() + ".");
        }
    }

    private void insert(UUID programId, Seat seat) {
        roster.insertSeats(programId, List.of(new RosterQueries.NewSeat(Ids.next(), seat)));
    }

    /**
     * Puts a section on its chairs, from the first in the order given.
     *
     * @throws Problem where somebody named does not sit there, or stands twice
     */
    @Transactional
    void chairs(UUID programId, UUID classId, InstrumentCode instrument, String division, List<UUID> inOrder) {
        rosters.schoolClass(programId, classId);
        Set<UUID> seated = roster.findOpenSeats(programId, classId).stream()
                .filter(seat ->
                        seat.instrument().equals(instrument) && seat.division().equals(division))
                .map(Seat::studentId)
                .collect(Collectors.toSet());
        if (new HashSet<>(inOrder).size() != inOrder.size()) {
            throw Problem.input("students", "Somebody is there twice.");
        }
        if (!seated.containsAll(inOrder)) {
            throw Problem.conflict("Somebody does not sit in this section any more; load the page again.");
        }
        roster.putChairs(programId, classId, instrument, division, inOrder);
    }

    /** Who sits where in a class today, by section and chair; who has no chair after those who have one, by name. */
    @Transactional(readOnly = true)
    List<Seat> seating(UUID programId, UUID classId) {
        rosters.schoolClass(programId, classId);
        return rosters.inSeating(programId, roster.findOpenSeats(programId, classId));
    }
}
