package vividroster.server.office;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import vividroster.core.season.SchoolYear;
import vividroster.core.season.SchoolYears;
import vividroster.core.season.YearDraft;
import vividroster.server.office.ProgramQueries.ProgramRow;
import vividroster.server.office.ProgramQueries.YearRow;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;

/** A programme, its school year and its time of day. */
@Service
public class Office {

    private final ProgramQueries queries;
    private final YearQueries years;
    private final Clock clock;

    Office(ProgramQueries queries, YearQueries years, Clock clock) {
        this.years = years;
        this.queries = queries;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return !queries.anyProgram();
    }

    @Transactional(readOnly = true)
    public List<UUID> all() {
        return queries.findPrograms();
    }

    /** @param fixedToday the day a demo stands still on, or null */
    @Transactional
    public UUID open(String name, ZoneId zone, LocalDate fixedToday) {
        UUID id = Ids.next();
        queries.insertProgram(id, name, zone.getId(), fixedToday, null, true);
        return id;
    }

    /** A made-up programme beside a real one, which may be thrown away. @param fixedToday the day it stands still on */
    @Transactional
    public UUID openAside(UUID realId, String name, ZoneId zone, LocalDate fixedToday) {
        UUID id = Ids.next();
        queries.insertProgram(id, name, zone.getId(), fixedToday, realId, true);
        return id;
    }

    /** A programme whose director has said nothing of it yet. */
    @Transactional
    public UUID openUnnamed(String name, ZoneId zone) {
        UUID id = Ids.next();
        queries.insertProgram(id, name, zone.getId(), null, null, false);
        return id;
    }

    @Transactional(readOnly = true)
    public Optional<UUID> aside(UUID programId) {
        return queries.findAside(programId);
    }

    /** Takes the made-up programme beside a real one away, with everything in it; nothing where there is none. */
    @Transactional
    public void throwAsideAway(UUID programId) {
        queries.findAside(programId).ifPresent(queries::throwAway);
    }

    /** Whether a director has said what the school is called. */
    public boolean isNamed(UUID programId) {
        return program(programId).named();
    }

    /** Whether it is made up and stands beside a real one. */
    public boolean isAside(UUID programId) {
        return program(programId).asideOf().isPresent();
    }

    /** In the order they are shown; empty where there is one. */
    public List<String> campuses(UUID programId) {
        return program(programId).campuses();
    }

    /** What a director says of the school. */
    @Transactional
    public void describe(UUID programId, String name, ZoneId zone, List<String> campuses) {
        queries.putProgram(programId, name, zone.getId(), campuses);
    }

    @Transactional
    public void layYear(UUID programId, String name, SchoolYear year, List<String> rotation) {
        years.put(programId, Ids.next(), YearDraft.of(name, year, rotation));
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
        return program.fixedToday() != null
                ? program.fixedToday()
                : clock.instant().atZone(zone(programId)).toLocalDate();
    }

    /** Today; before the year begins its first day, from which everybody sits. */
    @Transactional(readOnly = true)
    public LocalDate firstDayOf(UUID programId) {
        LocalDate today = today(programId);
        return yearAt(programId, today)
                .map(year -> year.span().first())
                .filter(today::isBefore)
                .orElse(today);
    }

    /** This moment at the school; in the demo the fixed day at the real time of day. */
    public Instant now(UUID programId) {
        ProgramRow program = program(programId);
        if (program.fixedToday() == null) {
            return clock.instant();
        }
        ZoneId zone = zone(programId);
        return program.fixedToday()
                .atTime(clock.instant().atZone(zone).toLocalTime())
                .atZone(zone)
                .toInstant();
    }

    /** The time of day at the school. */
    public LocalTime timeOfDay(UUID programId) {
        return now(programId).atZone(zone(programId)).toLocalTime();
    }

    /** The school year of today. */
    @Transactional(readOnly = true)
    public SchoolYear year(UUID programId) {
        return year(programId, today(programId));
    }

    /** The school year a day belongs to. @throws Problem where no year is laid */
    @Transactional(readOnly = true)
    public SchoolYear year(UUID programId, LocalDate day) {
        return anyYear(programId, day).orElseThrow(Office::noYear);
    }

    /** The school year a day belongs to; empty where no year is laid. */
    @Transactional(readOnly = true)
    public Optional<SchoolYear> anyYear(UUID programId, LocalDate day) {
        return yearAt(programId, day).map(year -> queries.whole(programId, year, years.bells(programId, year.id())));
    }

    /** The first moment of today's school year; the beginning of time where no year is laid. */
    @Transactional(readOnly = true)
    public Instant yearBegins(UUID programId) {
        return yearAt(programId, today(programId))
                .map(year -> year.span().first().atStartOfDay(zone(programId)).toInstant())
                .orElse(Instant.MIN);
    }

    /** The id of the school year a day belongs to; empty where no year is laid. */
    @Transactional(readOnly = true)
    public Optional<UUID> yearId(UUID programId, LocalDate day) {
        return yearAt(programId, day).map(YearRow::id);
    }

    /** The last day of the school year before today's; empty where there was none. */
    @Transactional(readOnly = true)
    public Optional<LocalDate> lastDayOfYearBefore(UUID programId) {
        return yearAt(programId, today(programId))
                .flatMap(now -> SchoolYears.before(
                        program(programId).years(), YearRow::span, now.span().first()))
                .map(before -> before.span().last());
    }

    private Optional<YearRow> yearAt(UUID programId, LocalDate day) {
        return SchoolYears.at(program(programId).years(), YearRow::span, day);
    }

    private static Problem noYear() {
        return Problem.notFound("This programme has no school year yet.");
    }

    /** With its years; read once in a request and kept no longer, since another instance may change it. */
    private ProgramRow program(UUID programId) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request == null) {
            return queries.find(programId);
        }
        String key = "program " + programId;
        if (request.getAttribute(key, RequestAttributes.SCOPE_REQUEST) instanceof ProgramRow known) {
            return known;
        }
        ProgramRow read = queries.find(programId);
        request.setAttribute(key, read, RequestAttributes.SCOPE_REQUEST);
        return read;
    }
}
