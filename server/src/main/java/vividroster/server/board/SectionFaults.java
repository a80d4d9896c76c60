package vividroster.server.board;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.FaultCounts;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.server.hearing.Hearing;
import vividroster.server.office.Office;
import vividroster.server.roster.Rosters;

/** What goes wrong in a section, counted over the school year. */
@Service
class SectionFaults {

    private final Rosters rosters;
    private final Hearing hearing;
    private final Office office;
    private final InstrumentCatalog catalog;

    SectionFaults(Rosters rosters, Hearing hearing, Office office, InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.hearing = hearing;
        this.office = office;
        this.catalog = catalog;
    }

    /** What most students of a scope do first; of students in reach only. */
    @Transactional(readOnly = true)
    List<FaultCounts.Counted> of(UUID programId, SectionScope scope, Reach reach) {
        LocalDate today = office.today(programId);
        Set<UUID> students = reach.of(rosters.seatsOfStudentsIn(programId, scope, today), catalog).stream()
                .filter(seat -> scope.holds(seat, catalog))
                .map(Seat::studentId)
                .collect(Collectors.toSet());
        return FaultCounts.of(hearing.faulty(
                programId, students, office.year(programId, today).first()));
    }
}
