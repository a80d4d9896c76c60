package vividroster.server.attendance;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.server.account.Reaches;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.Student;

/** Who is away from a class on a day: taken once, used by every run, and no try of anything. */
@Service
public class Absences {

    private final AbsenceQueries queries;
    private final Rosters rosters;
    private final Reaches reaches;
    private final InstrumentCatalog catalog;
    private final ClientWrites writes;

    Absences(AbsenceQueries queries, Rosters rosters, Reaches reaches, InstrumentCatalog catalog, ClientWrites writes) {
        this.queries = queries;
        this.rosters = rosters;
        this.reaches = reaches;
        this.catalog = catalog;
        this.writes = writes;
    }

    /** Students away, by class; classes where nobody is are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Set<UUID>> on(UUID programId, Collection<UUID> classIds, LocalDate on) {
        return queries.find(programId, classIds, on);
    }

    /** Somebody who sits in a class. */
    record Listed(Student student, String instrumentName, boolean away) {}

    /** Everybody in reach who sits in a class on a day, in score order. */
    @Transactional(readOnly = true)
    List<Listed> list(SignedIn person, UUID classId, LocalDate on) {
        UUID programId = person.programId();
        List<Seat> seats = reaches
                .of(person, on)
                .of(rosters.seatsOfStudentsIn(programId, new SectionScope.Tutti(classId), on), catalog)
                .stream()
                .filter(seat -> seat.classId().equals(classId) && seat.isHeldOn(on))
                .toList();
        Map<UUID, Student> students =
                rosters.students(programId, seats.stream().map(Seat::studentId).collect(Collectors.toSet()));
        Set<UUID> away = queries.find(programId, List.of(classId), on).getOrDefault(classId, Set.of());
        return seats.stream()
                .sorted(Comparator.<Seat>comparingInt(
                                seat -> catalog.withCode(seat.instrument()).scoreRank())
                        .thenComparing(Seat::division)
                        .thenComparing(seat -> students.get(seat.studentId()).sortName())
                        .thenComparing(Seat::studentId))
                .map(seat -> new Listed(
                        students.get(seat.studentId()),
                        catalog.withCode(seat.instrument()).name(),
                        away.contains(seat.studentId())))
                .toList();
    }

    /**
     * Notes that a student is away, or is there after all. Sent again under its id it changes nothing, whatever was noted
     * in between.
     *
     * @throws Problem when the student has no seat in that class on that day, or is out of reach
     */
    @Transactional
    void note(SignedIn person, UUID id, UUID classId, UUID studentId, LocalDate on, boolean away) {
        UUID programId = person.programId();
        if (!writes.isFirst(programId, "absence", id, classId, studentId, on, away)) {
            return;
        }
        Seat seat = rosters.seatsOf(programId, studentId).stream()
                .filter(s -> s.classId().equals(classId) && s.isHeldOn(on))
                .findFirst()
                .orElseThrow(() -> Problem.input("classId", "This student has no seat in that class on that day."));
        if (!reaches.of(person, on).holds(seat, catalog)) {
            throw Problem.notAllowed("This student sits in none of your sections.");
        }
        if (away) {
            queries.insert(programId, classId, on, studentId, person.accountId());
        } else {
            queries.delete(programId, classId, on, studentId);
        }
    }

    /** A student was called and is not there. */
    @Transactional
    public void called(UUID programId, UUID classId, UUID studentId, LocalDate on, UUID accountId) {
        queries.insert(programId, classId, on, studentId, accountId);
    }

    /** That a student was away was taken back. */
    @Transactional
    public void thereAfterAll(UUID programId, UUID classId, UUID studentId, LocalDate on) {
        queries.delete(programId, classId, on, studentId);
    }
}
