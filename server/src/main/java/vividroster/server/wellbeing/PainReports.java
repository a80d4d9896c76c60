package vividroster.server.wellbeing;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.Seat;
import vividroster.server.account.Reaches;
import vividroster.server.office.Office;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** Reports of pain, and what was done about them. */
@Service
public class PainReports {

    private final ClientWrites writes;
    private final PainQueries queries;
    private final Rosters rosters;
    private final Office office;
    private final Reaches reaches;
    private final InstrumentCatalog catalog;

    PainReports(
            PainQueries queries,
            Rosters rosters,
            Office office,
            ClientWrites writes,
            Reaches reaches,
            InstrumentCatalog catalog) {
        this.reaches = reaches;
        this.catalog = catalog;
        this.writes = writes;
        this.queries = queries;
        this.rosters = rosters;
        this.office = office;
    }

    /**
     * Keeps a report. Sending it again keeps it once; another under its id is a conflict.
     *
     * @throws Problem when the student has no seat in that class
     */
    @Transactional
    public void report(SignedIn person, UUID id, UUID studentId, UUID classId, String place, String since) {
        UUID programId = person.programId();
        if (!writes.isFirst(programId, "report", id, studentId, classId, place, since)) {
            return;
        }
        LocalDate today = office.today(programId);
        Seat seat = rosters.seatsOf(programId, studentId).stream()
                .filter(s -> s.classId().equals(classId))
                .reduce((first, second) -> second)
                .orElseThrow(() -> Problem.input("classId", "This student has no seat in that class."));
        if (!reaches.of(person).holds(seat, catalog)) {
            throw Problem.notAllowed("This student is none of yours; tell a director at once.");
        }
        queries.insert(
                programId,
                new PainReport(
                        id,
                        studentId,
                        classId,
                        seat.instrument(),
                        place.strip(),
                        since.strip(),
                        today,
                        person.displayName(),
                        Optional.empty(),
                        Optional.empty()),
                person.accountId());
    }

    /** Puts down a report as it is; for data that was checked where it was made. */
    @Transactional
    public void load(UUID programId, UUID accountId, PainReport report) {
        queries.insert(programId, report, accountId);
        report.followUp().ifPresent(note -> queries.insertFollowUp(programId, report.id(), note, accountId));
    }

    @Transactional
    public void followUp(SignedIn person, UUID reportId, String note) {
        if (!queries.insertFollowUp(person.programId(), reportId, note.strip(), person.accountId())) {
            throw Problem.conflict("This report is not there or was followed up already; load the folder again.");
        }
    }

    @Transactional(readOnly = true)
    public List<PainReport> ofStudent(UUID programId, UUID studentId) {
        rosters.student(programId, studentId);
        return queries.findOfStudent(programId, studentId);
    }

    /** Reports of these students that nobody followed up yet, oldest first. */
    @Transactional(readOnly = true)
    public List<PainReport> open(UUID programId, Collection<UUID> studentIds) {
        return queries.findOpen(programId, studentIds);
    }
}
