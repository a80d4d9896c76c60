package vividroster.server.roster;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;
import vividroster.server.platform.Problem;

/** A section is divided as the music divides it: who plays the first part, who the second. */
@Service
class Divisions {

    private final Seating seating;
    private final Rosters rosters;
    private final RosterQueries roster;

    Divisions(Seating seating, Rosters rosters, RosterQueries roster) {
        this.seating = seating;
        this.rosters = rosters;
        this.roster = roster;
    }

    /** @param name empty where the section is one again */
    record Division(String name, List<UUID> students) {}

    /**
     * Each of these students sits in a division from a day on, all or none; the same again changes nothing. Who borrows the
     * instrument does so as long as before.
     *
     * @throws Problem where somebody stands in two divisions, does not play this in the class on that day, or cannot change then
     */
    @Transactional
    void divide(UUID programId, UUID classId, InstrumentCode instrument, List<Division> wanted, LocalDate from) {
        Map<UUID, String> divisions = byStudent(wanted);
        roster.lockRoster(programId);
        SchoolClass schoolClass = rosters.schoolClass(programId, classId);
        Set<UUID> students = divisions.keySet();
        Map<UUID, Student> known = rosters.students(programId, students);
        Map<UUID, Seat> held = new HashMap<>();
        rosters.seatsOf(programId, students).stream()
                .filter(seat ->
                        seat.classId().equals(classId) && seat.instrument().equals(instrument) && seat.isHeldOn(from))
                .forEach(seat -> held.put(seat.studentId(), seat));
        divisions.forEach((student, division) -> {
            if (!known.containsKey(student)) {
                throw Problem.input("students", "There is no such student.");
            }
            if (!held.containsKey(student)) {
                throw Problem.input(
                        "students",
                        known.get(student).name() + " does not play this in " + schoolClass.name()
                                + " on that day. Nothing was changed.");
            }
        });
        divisions.forEach((student, division) -> {
            if (!held.get(student).division().equals(division)) {
                seating.seat(
                        programId,
                        new Seat(
                                student,
                                classId,
                                instrument,
                                division,
                                from,
                                held.get(student).endsOn()));
            }
        });
    }

    private static Map<UUID, String> byStudent(List<Division> divisions) {
        Map<UUID, String> byStudent = new LinkedHashMap<>();
        for (int i = 0; i < divisions.size(); i++) {
            for (UUID student : divisions.get(i).students()) {
                if (byStudent.put(student, divisions.get(i).name()) != null) {
                    throw Problem.input("divisions[" + i + "].students", "A student sits in one division at a time.");
                }
            }
        }
        return byStudent;
    }
}
