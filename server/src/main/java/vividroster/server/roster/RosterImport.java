package vividroster.server.roster;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.Roster;
import vividroster.core.roster.RosterPlan;
import vividroster.core.roster.RosterPlan.PlannedRow;
import vividroster.core.roster.RosterRow;
import vividroster.core.roster.RowOutcome;
import vividroster.core.roster.RowOutcome.SeatWanted;
import vividroster.core.roster.Seat;
import vividroster.core.season.SchoolYear;
import vividroster.formats.csv.UnreadableFileException;
import vividroster.formats.roster.RosterFile;
import vividroster.server.office.Office;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.roster.RosterQueries.NewSeat;
import vividroster.server.roster.RosterQueries.NewStudent;

/** Takes a roster file: first a preview that changes nothing, then all good rows in one transaction or none. */
@Service
class RosterImport {

    private static final int MOST_LISTED = 20;

    private final ClassQueries classes;
    private final RosterQueries roster;
    private final InstrumentCatalog catalog;
    private final Office office;

    RosterImport(ClassQueries classes, RosterQueries roster, InstrumentCatalog catalog, Office office) {
        this.classes = classes;
        this.roster = roster;
        this.catalog = catalog;
        this.office = office;
    }

    /** @param fingerprint of what the plan would do; taking it demands the same one */
    record Planned(RosterFile.Read file, List<PlannedRow> rows, String fingerprint) {

        long count(Class<? extends RowOutcome> kind) {
            return rows.stream().filter(row -> kind.isInstance(row.outcome())).count();
        }
    }

    @Transactional(readOnly = true)
    Planned plan(UUID programId, byte[] bytes) {
        RosterFile.Read file = read(bytes);
        SchoolYear year = office.year(programId);
        LocalDate today = office.today(programId);
        Roster now = new Roster(
                classes.findAll(programId).stream()
                        .filter(c -> c.lastDay().isEmpty())
                        .map(c -> new Roster.SchoolClass(c.id(), c.name()))
                        .toList(),
                roster.findRosterStudents(programId),
                Seat.lasting(roster.findSeatsNotEndedBefore(programId, today)),
                year.first(),
                year.last());
        List<PlannedRow> rows = RosterPlan.of(file.rows(), now, catalog, today);
        return new Planned(file, rows, fingerprint(rows));
    }

    @Transactional
    Planned take(UUID programId, UUID accountId, String fileName, byte[] bytes, String fingerprint) {
        roster.lockRoster(programId);
        Planned planned = plan(programId, bytes);
        if (!planned.fingerprint().equals(fingerprint)) {
            throw Problem.conflict(
                    "The roster or the file changed since the preview. Look at the new preview, then take it;"
                            + " nothing was changed.");
        }
        List<NewStudent> students = new ArrayList<>();
        List<NewSeat> seats = new ArrayList<>();
        Map<String, UUID> newIds = new HashMap<>();
        for (PlannedRow row : planned.rows()) {
            switch (row.outcome()) {
                case RowOutcome.NewStudent student -> {
                    UUID id = newIds.computeIfAbsent(student.studentKey(), key -> {
                        UUID made = Ids.next();
                        students.add(new NewStudent(
                                made,
                                row.name().shown(),
                                row.name().sorted(),
                                student.studentNumber().orElse(null)));
                        return made;
                    });
                    seats.add(seat(id, student.seat()));
                }
                case RowOutcome.NewSeat seat -> {
                    seat.studentNumber().ifPresent(number -> roster.giveNumber(programId, seat.studentId(), number));
                    seats.add(seat(seat.studentId(), seat.seat()));
                }
                case RowOutcome.Move move -> {
                    LocalDate lastDay = move.seat().startsOn().minusDays(1);
                    if (!roster.endSeat(programId, move.studentId(), move.seat().classId(), lastDay)) {
                        throw Problem.conflict(row.name().shown()
                                + "'s seat changed in the meantime. Look at the preview again; nothing was changed.");
                    }
                    seats.add(seat(move.studentId(), move.seat()));
                }
                case RowOutcome.Unchanged unchanged -> {}
                case RowOutcome.Refused refused -> {}
            }
        }
        roster.insertStudents(programId, students);
        roster.insertSeats(programId, seats);
        roster.insertImport(
                programId,
                Ids.next(),
                fileName,
                accountId,
                seats.size(),
                (int) planned.count(RowOutcome.Unchanged.class),
                (int) planned.count(RowOutcome.Refused.class));
        return planned;
    }

    @Transactional(readOnly = true)
    List<RosterQueries.ImportRow> taken(UUID programId) {
        return roster.findImports(programId, MOST_LISTED);
    }

    /** The roster as a file that could be taken again: seats held today or beginning later, for each class the one that stays. */
    @Transactional(readOnly = true)
    String asFile(UUID programId) {
        Map<UUID, String> classNames =
                classes.findAll(programId).stream().collect(Collectors.toMap(c -> c.id(), c -> c.name()));
        Map<UUID, Roster.Student> students =
                roster.findRosterStudents(programId).stream().collect(Collectors.toMap(Roster.Student::id, s -> s));
        return RosterFile.write(
                Seat.lasting(roster.findSeatsNotEndedBefore(programId, office.today(programId))).stream()
                        .sorted(Comparator.comparing((Seat seat) -> classNames.get(seat.classId()))
                                .thenComparing(seat ->
                                        catalog.withCode(seat.instrument()).scoreRank())
                                .thenComparing(Seat::division)
                                .thenComparing(
                                        seat -> students.get(seat.studentId()).name()))
                        .map(seat -> new RosterRow(
                                0,
                                students.get(seat.studentId()).name(),
                                students.get(seat.studentId()).number().orElse(""),
                                classNames.get(seat.classId()),
                                catalog.withCode(seat.instrument()).name(),
                                seat.division(),
                                seat.startsOn().toString()))
                        .toList());
    }

    private static RosterFile.Read read(byte[] bytes) {
        try {
            return RosterFile.read(bytes);
        } catch (UnreadableFileException e) {
            throw Problem.input("file", e.getMessage());
        }
    }

    private static NewSeat seat(UUID studentId, SeatWanted wanted) {
        return new NewSeat(
                Ids.next(),
                new Seat(
                        studentId,
                        wanted.classId(),
                        wanted.instrument(),
                        wanted.division(),
                        wanted.startsOn(),
                        Optional.empty()));
    }

    private static String fingerprint(List<PlannedRow> rows) {
        try {
            String text = rows.stream()
                    .map(row -> row.row().line() + " " + row.name() + " " + row.outcome())
                    .collect(Collectors.joining("\n"));
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest, 0, 16);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
