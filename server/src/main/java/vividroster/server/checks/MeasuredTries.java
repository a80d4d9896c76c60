package vividroster.server.checks;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Guide.Measured;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Measurements;
import vividroster.core.progress.Measurements.Measurement;
import vividroster.core.roster.Seat;
import vividroster.server.checks.MeasurementQueries.Taken;
import vividroster.server.office.Office;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** Criteria that are an amount: recorded with every try and kept over the weeks. */
@Service
class MeasuredTries {

    private final ClientWrites writes;
    private final MeasurementQueries queries;
    private final Checks checks;
    private final Rosters rosters;
    private final Office office;

    MeasuredTries(MeasurementQueries queries, Checks checks, Rosters rosters, Office office, ClientWrites writes) {
        this.writes = writes;
        this.queries = queries;
        this.checks = checks;
        this.rosters = rosters;
        this.office = office;
    }

    /** @param taken in the order taken */
    record Reached(
            UUID studentId,
            UUID milestoneId,
            InstrumentCode instrument,
            String title,
            Measured measured,
            Measurements all,
            List<Measurement> taken) {}

    /** @throws Problem when the check measures nothing, the student has no seat there, or the id stands for another */
    @Transactional
    void keep(SignedIn person, UUID milestoneId, UUID id, UUID studentId, UUID classId, double value) {
        UUID programId = person.programId();
        if (!writes.isFirst(programId, "measurement", id, studentId, milestoneId, classId, value)) {
            return;
        }
        TechniqueCheck check =
                checks.check(programId, milestoneId).orElseThrow(() -> Problem.notFound("There is no such check."));
        if (check.guide().measured().isEmpty()) {
            throw Problem.input("milestoneId", "\"" + check.title() + "\" measures nothing.");
        }
        Seat seat = rosters.seatsOf(programId, studentId).stream()
                .filter(s -> s.classId().equals(classId))
                .reduce((first, second) -> second)
                .orElseThrow(() -> Problem.input("classId", "This student has no seat in that class."));
        double rounded = Math.round(value * 10) / 10.0;
        queries.insert(
                programId,
                new Taken(id, studentId, milestoneId, seat.instrument(), rounded, office.today(programId)),
                person.accountId());
    }

    /** By student, check and instrument. */
    @Transactional(readOnly = true)
    List<Reached> of(UUID programId, Collection<UUID> students) {
        record Of(UUID studentId, UUID milestoneId, InstrumentCode instrument) {}
        Map<Of, List<Measurement>> taken = new LinkedHashMap<>();
        queries.findOf(programId, students)
                .forEach(t -> taken.computeIfAbsent(
                                new Of(t.studentId(), t.milestoneId(), t.instrument()), k -> new ArrayList<>())
                        .add(new Measurement(t.on(), t.value())));
        List<Reached> reached = new ArrayList<>();
        taken.forEach((of, values) -> {
            Optional<TechniqueCheck> check = checks.check(programId, of.milestoneId());
            check.flatMap(c -> c.guide().measured())
                    .ifPresent(measured -> reached.add(new Reached(
                            of.studentId(),
                            of.milestoneId(),
                            of.instrument(),
                            check.orElseThrow().title(),
                            measured,
                            Measurements.of(values).orElseThrow(),
                            values)));
        });
        return reached;
    }

    @Transactional
    void takeBack(UUID programId, UUID id) {
        if (!queries.delete(programId, id)) {
            throw Problem.notFound("That measurement is not here any more.");
        }
    }
}
