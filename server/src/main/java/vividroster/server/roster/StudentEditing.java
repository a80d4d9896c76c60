package vividroster.server.roster;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;
import vividroster.server.office.Office;
import vividroster.server.platform.Clashes;
import vividroster.server.platform.Problem;

/** Students one by one: added, changed, and put on chairs. */
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
     * Puts a section on its chairs, from the first in the order given.
     *
     * @throws Problem where somebody named does not sit there, or stands twice
     */
    @Transactional
    void chairs(UUID programId, UUID classId, InstrumentCode instrument, String division, List<UUID> inOrder) {
        rosters.schoolClass(programId, classId);
        List<Seat> held = seats(programId, classId).stream()
                .filter(seat ->
                        seat.instrument().equals(instrument) && seat.division().equals(division))
                .toList();
        Set<UUID> seated = held.stream().map(Seat::studentId).collect(Collectors.toSet());
        if (new HashSet<>(inOrder).size() != inOrder.size()) {
            throw Problem.input("students", "Somebody is there twice.");
        }
        if (!seated.containsAll(inOrder)) {
            throw Problem.conflict("Somebody does not sit in this section any more; load the page again.");
        }
        roster.putChairs(
                programId,
                held.stream()
                        .map(seat -> {
                            int place = inOrder.indexOf(seat.studentId());
                            return seat.onChair(place < 0 ? OptionalInt.empty() : OptionalInt.of(place + 1));
                        })
                        .toList());
    }

    /** Who sits where in a class today, by section and chair; who has no chair after those who have one, by name. */
    @Transactional(readOnly = true)
    List<Seat> seating(UUID programId, UUID classId) {
        rosters.schoolClass(programId, classId);
        return rosters.inSeating(programId, seats(programId, classId));
    }

    private List<Seat> seats(UUID programId, UUID classId) {
        LocalDate today = office.today(programId);
        return Seat.heldOrNext(
                roster.findSeatsNotEndedBefore(programId, today).stream()
                        .filter(seat -> seat.classId().equals(classId))
                        .toList(),
                today);
    }
}
