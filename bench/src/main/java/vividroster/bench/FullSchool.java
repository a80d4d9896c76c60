package vividroster.bench;

import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.access.Role;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.server.account.Accounts;
import vividroster.server.library.Book;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Ids;
import vividroster.server.roster.ClassShape;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.testkit.RunningServer;

/**
 * A whole school in its fifth year: 300 students in 5 classes of 6 sections, 150 lines, and 200 orders in every year, 40
 * for each class. Attempts are spread evenly over students, lines and the days of all five years.
 */
final class FullSchool {

    static final int CLASSES = 5;
    static final int STUDENTS = 300;
    static final int MILESTONES = 150;
    static final int ORDERS_OF_CLASS = 40;
    static final int YEARS = 5;
    static final LocalDate TODAY = LocalDate.of(2026, 12, 9);
    static final List<String> INSTRUMENTS = List.of("flute", "clarinet", "trumpet", "trombone", "euphonium", "tuba");
    private static final LocalDate FIRST = LocalDate.of(2022, 8, 15);
    private static final String PASSWORD = "a-long-enough-word";

    final UUID programId;
    final UUID accountId;
    final List<UUID> classes = new ArrayList<>();
    final List<UUID> students = new ArrayList<>();
    final List<UUID> milestones = new ArrayList<>();
    private final RunningServer server;

    private FullSchool(RunningServer server) {
        this.server = server;
        Office office = server.bean(Office.class);
        programId = office.open("Full school", ZoneId.of("America/New_York"), TODAY);
        for (int year = 0; year < YEARS; year++) {
            LocalDate first = FIRST.plusYears(year);
            office.layYear(
                    programId,
                    "Year " + (year + 1),
                    new SchoolYear(first, first.plusDays(298), List.of(), List.of()),
                    List.of());
        }
        accountId = server.bean(Accounts.class).add(programId, "full", "Full", Role.DIRECTOR, PASSWORD);
    }

    static FullSchool open(RunningServer server) {
        FullSchool school = new FullSchool(server);
        school.fillRoster();
        school.fillLibrary();
        return school;
    }

    BlockingClient director() throws IOException {
        return new BlockingClient(server.address()).signIn("full", PASSWORD);
    }

    private void fillRoster() {
        Rosters rosters = server.bean(Rosters.class);
        for (int c = 0; c < CLASSES; c++) {
            UUID classId = Ids.next();
            classes.add(classId);
            rosters.addClass(
                    programId,
                    new SchoolClass(
                            classId,
                            "Class " + c,
                            "",
                            ClassShape.FULL_ENSEMBLE,
                            Optional.empty(),
                            c + 1,
                            LocalTime.of(8 + c, 0),
                            45));
        }
        for (int i = 0; i < STUDENTS; i++) {
            String instrument = INSTRUMENTS.get(i / CLASSES % INSTRUMENTS.size());
            UUID classId = classes.get(i % CLASSES);
            students.add(rosters.addStudent(
                    programId,
                    "Player " + i,
                    id -> List.of(new Seat(id, classId, new InstrumentCode(instrument), "", FIRST, Optional.empty()))));
        }
    }

    private void fillLibrary() {
        Library library = server.bean(Library.class);
        Book book = new Book(Ids.next(), "Tideline Method", "Full", true);
        library.addBook(programId, book);
        for (int i = 1; i <= MILESTONES; i++) {
            milestones.add(BenchLines.add(library, programId, book.id(), i));
        }
        List<MilestoneOrder> orders = new ArrayList<>();
        for (int year = 0; year < YEARS; year++) {
            for (int c = 0; c < CLASSES; c++) {
                for (int i = 0; i < ORDERS_OF_CLASS; i++) {
                    LocalDate setOn = FIRST.plusYears(year).plusDays(3L * i);
                    orders.add(new MilestoneOrder(
                            Ids.next(),
                            milestones.get((c * 30 + year * 13 + i) % MILESTONES),
                            setOn,
                            setOn.plusDays(7),
                            Evidence.countingByDefault(),
                            List.of(new SectionScope.Tutti(classes.get(c)))));
                }
            }
        }
        server.bean(Orders.class).load(programId, accountId, orders);
    }

    /** The n-th attempt is of a student, a line and a day that all go round, so that any number is spread evenly. */
    void fillUpTo(Connection connection, int attempts) throws SQLException {
        String insert = """
                insert into attempt (program_id, id, student_id, milestone_id, milestone_version, instrument, class_id,
                                     heard_by, heard_on, heard_at, evidence, outcome)
                select '%1$s', gen_random_uuid(), s.id, m.id, 1, s.instrument, s.class_id, '%2$s',
                       date '%3$s' + d.day, timestamptz '%3$s 14:00Z' + d.day * interval '1 day' + n * interval '1 ms',
                       'LIVE_ALONE', case when n %% 7 = 0 then 'PASS' else 'NOT_YET' end
                from generate_series((select count(*) from attempt where program_id = '%1$s'), %4$d - 1) n
                cross join lateral (select (n * 7919 %% 1571)::int as day) d
                join (select (row_number() over (order by student_id)) - 1 as i, student_id as id, instrument, class_id
                      from seat where program_id = '%1$s') s on s.i = n %% %5$d
                join (select (row_number() over (order by id)) - 1 as i, id
                      from milestone where program_id = '%1$s') m on m.i = n / %5$d %% %6$d
                """.formatted(programId, accountId, FIRST, attempts, STUDENTS, MILESTONES);
        try (var statement = connection.createStatement()) {
            statement.execute("alter table attempt disable trigger attempt_trail_follows");
            statement.execute(insert);
            statement.execute("alter table attempt enable trigger attempt_trail_follows");
            statement.execute("select rebuild_attempt_trails('%s', null, null)".formatted(programId));
            statement.execute("vacuum analyze");
        }
    }
}
