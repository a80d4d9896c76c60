package vividroster.server.checks;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;
import vividroster.server.office.Office;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** From symptom to remedy: what was tried and helped. */
@Service
public class Remedies {

    private final ClientWrites writes;
    private final RemedyQueries queries;
    private final Checks checks;
    private final Rosters rosters;
    private final Office office;

    Remedies(RemedyQueries queries, Checks checks, Rosters rosters, Office office, ClientWrites writes) {
        this.writes = writes;
        this.queries = queries;
        this.checks = checks;
        this.rosters = rosters;
        this.office = office;
    }

    /** A remedy that helped a student against a fault, by the sign it is known by. */
    public record Helped(
            UUID id,
            UUID studentId,
            UUID milestoneId,
            InstrumentCode instrument,
            String sign,
            String remedy,
            LocalDate helpedOn) {}

    /**
     * Keeps what helped. Sending it again keeps it once.
     *
     * @throws Problem when the check does not know this fault or remedy, or the student has no seat in that class
     */
    @Transactional
    public void helped(
            SignedIn person, UUID id, UUID studentId, UUID milestoneId, UUID classId, String sign, String remedy) {
        UUID programId = person.programId();
        if (!writes.isFirst(programId, "remedy", id, studentId, milestoneId, classId, sign, remedy)) {
            return;
        }
        TechniqueCheck check =
                checks.check(programId, milestoneId).orElseThrow(() -> Problem.notFound("There is no such check."));
        boolean known = check.faults().stream()
                .anyMatch(f -> f.sign().equals(sign) && f.remedies().contains(remedy));
        if (!known) {
            throw Problem.input(
                    "remedy", "\"" + check.title() + "\" does not name that remedy any more; load the page again.");
        }
        Seat seat = rosters.seatsOf(programId, studentId).stream()
                .filter(s -> s.classId().equals(classId))
                .reduce((first, second) -> second)
                .orElseThrow(() -> Problem.input("classId", "This student has no seat in that class."));
        queries.insert(
                programId,
                new Helped(id, studentId, milestoneId, seat.instrument(), sign, remedy, office.today(programId)),
                person.accountId());
    }

    @Transactional
    public void notHelped(UUID programId, UUID id) {
        queries.delete(programId, id);
    }

    /** Puts down what helped as it is; for data that was checked where it was made. */
    @Transactional
    public void load(UUID programId, UUID accountId, Helped helped) {
        queries.insert(programId, helped, accountId);
    }

    /** What helped these students with a check, latest first. */
    @Transactional(readOnly = true)
    public List<Helped> ofCheck(UUID programId, UUID milestoneId, Collection<UUID> studentIds) {
        return queries.findOfCheck(programId, milestoneId, studentIds);
    }

    /** What helped anybody with these checks, latest first. */
    @Transactional(readOnly = true)
    public List<Helped> ofChecks(UUID programId, Collection<UUID> milestoneIds) {
        return milestoneIds.isEmpty() ? List.of() : queries.findOfChecks(programId, milestoneIds);
    }

    @Transactional(readOnly = true)
    public List<Helped> ofStudent(UUID programId, UUID studentId) {
        return queries.findOfStudent(programId, studentId);
    }
}
