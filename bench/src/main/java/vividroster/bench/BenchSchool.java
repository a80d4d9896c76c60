package vividroster.bench;

import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

/** A programme with a class of 12 trumpets and 40 lines set for them, among many other students. */
final class BenchSchool {

    static final int STUDENTS = 12;
    static final int MILESTONES = 40;
    private static final int OTHERS = 2_000;
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 9);
    private static final LocalDate FIRST = LocalDate.of(2026, 8, 17);
    private static final String PASSWORD = "a-long-enough-word";

    final UUID programId;
    /** The class whose board is loaded, and another whose students are heard, so that the board stays as it is. */
    final UUID classId = Ids.next();

    final UUID heardClassId = Ids.next();
    final UUID accountId;
    final List<UUID> students = new ArrayList<>();
    final List<UUID> heardStudents = new ArrayList<>();
    final List<UUID> milestones = new ArrayList<>();
    private final RunningServer server;

    private BenchSchool(RunningServer server) {
        this.server = server;
        Office office = server.bean(Office.class);
        programId = office.open("Bench", ZoneId.of("America/New_York"), TODAY);
        office.layYear(
                programId,
                "2026–2027",
                new SchoolYear(FIRST, LocalDate.of(2027, 6, 11), List.of(), List.of()),
                List.of());
        accountId = server.bean(Accounts.class).add(programId, "bench", "Bench", Role.DIRECTOR, PASSWORD);
    }

    static BenchSchool open(RunningServer server) {
        BenchSchool school = new BenchSchool(server);
        school.fillRoster();
        school.fillLibrary();
        return school;
    }

    BlockingClient director() throws IOException {
        return new BlockingClient(server.address()).signIn("bench", PASSWORD);
    }

    String boardAddress() {
        return "/api/board?classId=" + classId + "&instrument=trumpet";
    }

    Map<String, Object> attempt(int n) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("id", Ids.next());
        body.put("studentId", heardStudents.get(n % STUDENTS));
        body.put("milestoneId", milestones.get(n / STUDENTS % MILESTONES));
        body.put("classId", heardClassId);
        body.put("outcome", n % 3 == 0 ? "PASS" : "NOT_YET");
        return body;
    }

    private void fillRoster() {
        Rosters rosters = server.bean(Rosters.class);
        for (UUID id : List.of(classId, heardClassId)) {
            rosters.addClass(
                    programId,
                    new SchoolClass(
                            id,
                            "Class " + id,
                            "",
                            ClassShape.LIKE_INSTRUMENT,
                            Optional.empty(),
                            1,
                            LocalTime.of(9, 0),
                            45));
        }
        for (int i = 0; i < STUDENTS; i++) {
            students.add(student(rosters, "Player " + i, classId));
            heardStudents.add(student(rosters, "Heard " + i, heardClassId));
        }
    }

    private UUID student(Rosters rosters, String name, UUID inClass) {
        return rosters.addStudent(
                programId,
                name,
                id -> List.of(new Seat(id, inClass, new InstrumentCode("trumpet"), "", FIRST, Optional.empty())));
    }

    private void fillLibrary() {
        Library library = server.bean(Library.class);
        Book book = new Book(Ids.next(), "Tideline Method", "Winds", true);
        library.addBook(programId, book);
        List<MilestoneOrder> orders = new ArrayList<>();
        for (int i = 1; i <= MILESTONES; i++) {
            milestones.add(BenchLines.add(library, programId, book.id(), i));
            orders.add(new MilestoneOrder(
                    Ids.next(),
                    milestones.getLast(),
                    FIRST.plusDays(i),
                    FIRST.plusDays(i + 7),
                    Evidence.countingByDefault(),
                    List.of(new SectionScope.Tutti(classId), new SectionScope.Tutti(heardClassId))));
        }
        server.bean(Orders.class).load(programId, accountId, orders);
    }

    /**
     * Two attempts for each mark of the board, then attempts of other students until there are so many. All sizes
     * lie in one table of one programme, spread over the year as they would come in.
     */
    void fillUpTo(Connection connection, int attempts) throws SQLException {
        try (var statement = connection.createStatement()) {
            statement.execute("alter table attempt disable trigger attempt_trail_follows");
            statement.execute("""
                    insert into student (program_id, id, name, sort_name)
                    select '%s', md5('other' || n)::uuid, 'Other ' || n, 'Other ' || n from generate_series(1, %d) n
                    on conflict do nothing
                    """.formatted(programId, OTHERS));
            statement.execute("""
                    insert into attempt (program_id, id, student_id, milestone_id, milestone_version, instrument, class_id,
                                         heard_by, heard_on, heard_at, evidence, outcome)
                    select '%1$s', md5(s.id::text || m.id || n)::uuid, s.id, m.id, 1, 'trumpet', '%2$s', '%3$s',
                           date '2026-10-01', timestamptz '2026-10-01 14:00Z' + n * interval '1 minute', 'LIVE_ALONE',
                           case when n = 2 then 'PASS' else 'NOT_YET' end
                    from student s, milestone m, generate_series(1, 2) n
                    where s.program_id = '%1$s' and s.name like 'Player %%' and m.program_id = '%1$s'
                    on conflict do nothing
                    """.formatted(programId, classId, accountId));
            statement.execute("""
                    insert into attempt (program_id, id, student_id, milestone_id, milestone_version, instrument, class_id,
                                         heard_by, heard_on, heard_at, evidence, outcome)
                    select '%1$s', gen_random_uuid(), md5('other' || (1 + n %% %2$d))::uuid, (array[%3$s]::uuid[])[1 + n %% %4$d], 1,
                           'trumpet', '%5$s', '%6$s', date '2026-08-17' + (n %% 100)::int,
                           timestamptz '2026-08-17 14:00Z' + (n %% 100) * interval '1 day', 'LIVE_ALONE',
                           case when n %% 3 = 0 then 'PASS' else 'NOT_YET' end
                    from generate_series((select count(*) from attempt) + 1, %7$d) n
                    """.formatted(
                    programId,
                    OTHERS,
                    String.join(
                            ",", milestones.stream().map(id -> "'" + id + "'").toList()),
                    MILESTONES,
                    classId,
                    accountId,
                    attempts));
            statement.execute("alter table attempt enable trigger attempt_trail_follows");
            statement.execute("select rebuild_attempt_trails('%s', null, null)".formatted(programId));
            statement.execute("vacuum analyze");
        }
    }
}
