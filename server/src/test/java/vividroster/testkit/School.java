package vividroster.testkit;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import vividroster.core.access.Role;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear;
import vividroster.server.account.Accounts;
import vividroster.server.library.Book;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.library.TestFacts;
import vividroster.server.office.Office;
import vividroster.server.platform.Ids;
import vividroster.server.roster.ClassShape;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/**
 * A small programme of its own for one test: two classes, seven students, one milestone of each kind. It stands still on
 * {@link #TODAY}, a Wednesday.
 */
public final class School {

    public static final LocalDate TODAY = LocalDate.of(2026, 10, 7);
    public static final LocalDate FIRST = LocalDate.of(2026, 8, 17);
    public static final String PASSWORD = "a-long-enough-word";
    private static final AtomicInteger COUNT = new AtomicInteger();

    private final RunningServer server;
    private final String word;
    private final UUID programId;
    private final Map<String, UUID> ids = new HashMap<>();

    private School(RunningServer server, String word, UUID programId) {
        this.server = server;
        this.word = word;
        this.programId = programId;
    }

    /**
     * Ids by name: classes "Winds" and "Jazz"; students "Ana Reed" and "Bo Lund" (flute, Winds), "Cy Moor" (clarinet,
     * Winds, first part), "Di Vale" (clarinet, Winds, second part), "Ed Stone" (trumpet, Winds and Jazz), "Flo Hart"
     * (trumpet, Winds), "Gus Pike" (left Winds in September); milestones "line", "line 2", "check", "sound" (2 of the
     * last 3), "test" and "belt".
     */
    public static School open(RunningServer server) {
        String word = "school" + COUNT.incrementAndGet();
        Office office = server.bean(Office.class);
        UUID programId = office.open("Programme " + word, ZoneId.of("America/New_York"), TODAY);
        School school = new School(server, word, programId);
        office.layYear(
                programId,
                "2026–2027",
                new SchoolYear(
                        FIRST,
                        LocalDate.of(2027, 6, 11),
                        List.of(new SchoolYear.Entry(
                                SchoolYear.EntryKind.BREAK,
                                "Harvest break",
                                LocalDate.of(2026, 11, 23),
                                LocalDate.of(2026, 11, 27))),
                        List.of()),
                List.of());
        Accounts accounts = server.bean(Accounts.class);
        accounts.add(programId, word + "-director", "Director " + word, Role.DIRECTOR, PASSWORD);
        accounts.add(programId, word + "-assistant", "Assistant " + word, Role.ASSISTANT, PASSWORD);
        school.fillRoster();
        school.fillLibrary();
        return school;
    }

    public UUID programId() {
        return programId;
    }

    public UUID id(String name) {
        return Optional.ofNullable(ids.get(name)).orElseThrow(() -> new IllegalArgumentException(name));
    }

    public String directorName() {
        return word + "-director";
    }

    public String assistantName() {
        return word + "-assistant";
    }

    /** Where its server is. */
    public String address() {
        return server.address();
    }

    public ApiClient director() {
        return server.visitor().signIn(directorName(), PASSWORD);
    }

    /** The director at another server over the same database. */
    public ApiClient directorAt(String address) {
        return new ApiClient(address).signIn(directorName(), PASSWORD);
    }

    public ApiClient assistant() {
        return server.visitor().signIn(assistantName(), PASSWORD);
    }

    /** A coach of these sections. */
    public ApiClient coach(SectionScope... sections) {
        server.bean(Accounts.class)
                .add(programId, word + "-coach", "Coach " + word, Role.SECTION_COACH, List.of(sections), PASSWORD);
        return server.visitor().signIn(word + "-coach", PASSWORD);
    }

    public ApiClient substitute() {
        server.bean(Accounts.class)
                .add(programId, word + "-substitute", "Sub " + word, Role.SUBSTITUTE_TEACHER, PASSWORD);
        return server.visitor().signIn(word + "-substitute", PASSWORD);
    }

    /** The body of an attempt: an outcome for a student with a milestone, in Winds. */
    public Map<String, Object> attempt(String student, String milestone, String outcome) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("id", Ids.next());
        body.put("studentId", id(student));
        body.put("milestoneId", id(milestone));
        body.put("classId", id("Winds"));
        body.put("outcome", outcome);
        return body;
    }

    /** The body of an order of milestones for scopes, set a week ago and due on Friday. */
    public Map<String, Object> order(List<Map<String, Object>> scopes, String... milestones) {
        Map<String, Object> body = new LinkedHashMap<>();
        List<Map<String, Object>> wanted = new ArrayList<>();
        for (String milestone : milestones) {
            wanted.add(Map.of("orderId", Ids.next(), "milestoneId", id(milestone)));
        }
        body.put("milestones", wanted);
        body.put("scopes", scopes);
        body.put("setOn", TODAY.minusDays(7).toString());
        body.put("dueOn", TODAY.plusDays(2).toString());
        body.put("substituteAccepted", false);
        body.put("partnerCheckPasses", false);
        return body;
    }

    public Map<String, Object> tutti() {
        return Map.of("classId", id("Winds"));
    }

    public Map<String, Object> section(String instrument) {
        return Map.of("classId", id("Winds"), "instrument", instrument);
    }

    /** The body of a class that meets for 40 minutes at a time, on these letters or every day. */
    public static Map<String, Object> classOf(String name, String startsAt, String... letters) {
        return Map.of(
                "name",
                name,
                "campus",
                "",
                "shape",
                "LIKE_INSTRUMENT",
                "meets",
                List.of(time(List.of(), List.of(letters), 3, startsAt, 40)),
                "wanted",
                List.of());
    }

    /** One time of meeting in the body of a class. */
    public static Map<String, Object> time(
            List<String> weekdays, List<String> letters, int period, String startsAt, int minutes) {
        return Map.of(
                "weekdays", weekdays,
                "letters", letters,
                "period", period,
                "startsAt", startsAt,
                "minutes", minutes,
                "campus", "");
    }

    private void fillRoster() {
        Rosters rosters = server.bean(Rosters.class);
        for (String name : List.of("Winds", "Jazz")) {
            SchoolClass added = new SchoolClass(
                    Ids.next(), name, "", ClassShape.FULL_ENSEMBLE, Optional.empty(), 2, LocalTime.of(9, 0), 45);
            rosters.addClass(programId, added);
            ids.put(name, added.id());
        }
        student("Ana Reed", "flute", "", Optional.empty(), "Winds");
        student("Bo Lund", "flute", "", Optional.empty(), "Winds");
        student("Cy Moor", "clarinet", "First", Optional.empty(), "Winds");
        student("Di Vale", "clarinet", "Second", Optional.empty(), "Winds");
        student("Ed Stone", "trumpet", "", Optional.empty(), "Winds", "Jazz");
        student("Flo Hart", "trumpet", "", Optional.empty(), "Winds");
        student("Gus Pike", "trumpet", "", Optional.of(LocalDate.of(2026, 9, 11)), "Winds");
    }

    /** One more in Winds. */
    public void seat(String name, String instrument) {
        student(name, instrument, "", Optional.empty(), "Winds");
    }

    private void student(
            String name, String instrument, String division, Optional<LocalDate> endsOn, String... classes) {
        ids.put(
                name,
                server.bean(Rosters.class)
                        .addStudent(
                                programId,
                                name,
                                studentId -> List.of(classes).stream()
                                        .map(c -> new Seat(
                                                studentId,
                                                id(c),
                                                new InstrumentCode(instrument),
                                                division,
                                                FIRST,
                                                endsOn))
                                        .toList()));
    }

    private void fillLibrary() {
        Library library = server.bean(Library.class);
        Book book = new Book(Ids.next(), "Tideline Method", "Winds", true);
        library.addBook(programId, book);
        line(library, book, "line", 1, "First light");
        line(library, book, "line 2", 2, "Two gulls");
        library.addCheck(
                programId,
                milestone(
                        "check", MilestoneKind.TECHNIQUE_CHECK, "Body", new PassRule.AllCriteria(), 1, "Feet", "Back"),
                3);
        library.addCheck(
                programId,
                milestone("sound", MilestoneKind.TECHNIQUE_CHECK, "Sound", new PassRule.KOfLastN(2, 3), 1),
                4);
        Milestone test = milestone(
                "test", MilestoneKind.PLAYING_TEST, "Test 1", new PassRule.ScoreAtLeast(7), 5, "Sound", "Notes");
        library.addTest(programId, test, new TestFacts(test.id(), Optional.of(id("line")), "alone"), 5);
        Milestone belt = milestone("belt", MilestoneKind.BELT, "Driftwood", new PassRule.AllSlots(), 1);
        library.addBelt(
                programId,
                belt,
                new Belt(
                        belt.id(),
                        "winds",
                        1,
                        "Driftwood",
                        List.of(
                                new BeltSlot(1, "Line", Map.of(BeltSlot.ANY, id("line"))),
                                new BeltSlot(
                                        2,
                                        "Sound",
                                        Map.of(
                                                new InstrumentCode("flute"),
                                                id("sound"),
                                                new InstrumentCode("trumpet"),
                                                id("check"))))),
                new BeltLook("#B79B78", "diagonal", 1),
                6);
    }

    private void line(Library library, Book book, String key, int number, String title) {
        Milestone line = new Milestone(
                Ids.next(),
                MilestoneKind.LINE,
                String.valueOf(number),
                title,
                false,
                Set.of(),
                1,
                new PassRule.OneGoodTry(),
                List.of());
        ids.put(key, line.id());
        library.addLine(
                programId,
                line,
                new LineFacts(
                        line.id(),
                        book.id(),
                        4,
                        number,
                        Key.named("B-flat major"),
                        new Meter(4, 4),
                        new Bpm(72),
                        4,
                        OptionalInt.of(8)),
                number);
    }

    private Milestone milestone(
            String key, MilestoneKind kind, String name, PassRule rule, int points, String... criteria) {
        List<Criterion> list = new ArrayList<>();
        for (String criterion : criteria) {
            OptionalInt floor = points > 1 && list.isEmpty() ? OptionalInt.of(2) : OptionalInt.empty();
            list.add(new Criterion(list.size() + 1, criterion, points, floor));
        }
        Milestone made = new Milestone(Ids.next(), kind, name, name, false, Set.of(), 1, rule, list);
        ids.put(key, made.id());
        return made;
    }
}
