package vividroster.server.office;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.season.SchoolYear;
import vividroster.server.office.ProgramQueries.ProgramRow;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;

/** A programme, its school year and its time of day. */
@Service
public class Office {

    private final ProgramQueries queries;
    private final Clock clock;
    /** Name, zone and fixed day of a programme never change while it is there. */
    private final Map<UUID, ProgramRow> programs = new ConcurrentHashMap<>();

    Office(ProgramQueries queries) {
        this.queries = queries;
        this.clock = Clock.systemUTC();
    }

    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return !queries.anyProgram();
    }

    /** @param fixedToday the day a demo stands still on, or null */
    @Transactional
    public UUID open(String name, ZoneId zone, LocalDate fixedToday) {
        UUID id = Ids.next();
        queries.insertProgram(id, name, zone.getId(), fixedToday);
        return id;
    }

    @Transactional
    public void layYear(UUID programId, String name, SchoolYear year, List<String> rotation) {
        UUID yearId = Ids.next();
        queries.insertYear(programId, yearId, name, year.first(), year.last(), rotation);
        year.entries().forEach(entry -> queries.insertEntry(programId, Ids.next(), yearId, entry));
    }

    public String name(UUID programId) {
        return program(programId).name();
    }

    public boolean isDemo(UUID programId) {
        return program(programId).fixedToday() != null;
    }

    public ZoneId zone(UUID programId) {
        return ZoneId.of(program(programId).zone());
    }

    /** Today at the school; in the demo the day it stands still on. */
    public LocalDate today(UUID programId) {
        ProgramRow program = program(programId);
        return program.fixedToday() != null ? program.fixedToday() : LocalDate.now(clock.withZone(zone(programId)));
    }

    /** This moment at the school; in the demo the fixed day at the real time of day. */
    public Instant now(UUID programId) {
        ProgramRow program = program(programId);
        if (program.fixedToday() == null) {
            return clock.instant();
        }
        ZoneId zone = zone(programId);
        return program.fixedToday()
                .atTime(LocalTime.now(clock.withZone(zone)))
                .atZone(zone)
                .toInstant();
    }

    @Transactional(readOnly = true)
    public SchoolYear year(UUID programId) {
        return queries.findYear(programId, today(programId))
                .orElseThrow(() -> Problem.notFound("This programme has no school year yet."));
    }

    private ProgramRow program(UUID programId) {
        return programs.computeIfAbsent(programId, queries::find);
    }
}
