package vividroster.server.demo;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.access.Role;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.SectionJudgement.Verdict;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Carried;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.OrderBook;
import vividroster.core.season.SchoolYear;
import vividroster.core.season.SchoolYear.Entry;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.server.account.Accounts;
import vividroster.server.account.Programmes;
import vividroster.server.checks.Checks;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Hearing;
import vividroster.server.library.Library;
import vividroster.server.lines.LineNotations;
import vividroster.server.lines.LineRemarks;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Ids;
import vividroster.server.platform.SignedIn;
import vividroster.server.playingtests.PlayingTests;
import vividroster.server.podium.Decisions;
import vividroster.server.roster.ClassShape;
import vividroster.server.roster.Classes;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.writtenchecks.WrittenChecks;

/** Loads the demo scenario from its data files, all of it or nothing. */
@Component
public class DemoLoader {

    private final Office office;
    private final Accounts accounts;
    private final Programmes programmes;
    private final Rosters rosters;
    private final Library library;
    private final Checks checks;
    private final LineNotations notations;
    private final LineRemarks remarks;
    private final PlayingTests tests;
    private final WrittenChecks written;
    private final Orders orders;
    private final Hearing hearing;
    private final DemoFirstWeeks firstWeeks;
    private final DemoSeason season;
    private final DemoHabits habits;
    private final Decisions decisions;
    private final DemoBelts belts;
    private final Classes wantedInClasses;
    private final DemoPlacing placing;
    private final InstrumentCatalog catalog;

    DemoLoader(
            Office office,
            Accounts accounts,
            Programmes programmes,
            Rosters rosters,
            Library library,
            Checks checks,
            LineNotations notations,
            LineRemarks remarks,
            PlayingTests tests,
            WrittenChecks written,
            Orders orders,
            Hearing hearing,
            DemoFirstWeeks firstWeeks,
            DemoSeason season,
            DemoHabits habits,
            Decisions decisions,
            DemoBelts belts,
            Classes wantedInClasses,
            DemoPlacing placing,
            InstrumentCatalog catalog) {
        this.placing = placing;
        this.wantedInClasses = wantedInClasses;
        this.belts = belts;
        this.decisions = decisions;
        this.season = season;
        this.habits = habits;
        this.office = office;
        this.accounts = accounts;
        this.programmes = programmes;
        this.rosters = rosters;
        this.library = library;
        this.checks = checks;
        this.notations = notations;
        this.remarks = remarks;
        this.tests = tests;
        this.written = written;
        this.orders = orders;
        this.hearing = hearing;
        this.firstWeeks = firstWeeks;
        this.catalog = catalog;
    }

    /** The demo as a programme of its own, with the sign-in names that are published. */
    @Transactional
    public UUID load() {
        CSVRecord program = DemoFiles.rows("program").getFirst();
        UUID programId = office.open(program.get("name"), zone(program), today(program));
        return load(programId, program, row -> row.get("sign-in"), row -> row.get("password"));
    }

    /** The demo beside a real programme: nobody can sign in to it, one looks around from there. */
    @Transactional
    public UUID loadAside(UUID realId) {
        CSVRecord program = DemoFiles.rows("program").getFirst();
        UUID programId = office.openAside(realId, program.get("name"), zone(program), today(program));
        return load(programId, program, row -> row.get("sign-in") + " " + programId, row -> programmes.newPassword());
    }

    /**
     * The passwords that are published work on this machine alone: where others can reach it, accounts that have them get
     * others, which nobody is told; {@code ./vivid reset-password} gives new ones.
     */
    @Transactional
    public void closePublished(boolean onThisMachineAlone) {
        if (!onThisMachineAlone) {
            DemoFiles.rows("people")
                    .forEach(row -> accounts.replacePublished(
                            row.get("sign-in"), row.get("password"), programmes.newPassword()));
        }
    }

    private static LocalDate today(CSVRecord program) {
        return LocalDate.parse(program.get("today"));
    }

    private static ZoneId zone(CSVRecord program) {
        return ZoneId.of(program.get("zone"));
    }

    private UUID load(
            UUID programId,
            CSVRecord program,
            Function<CSVRecord, String> signInName,
            Function<CSVRecord, String> password) {
        LocalDate today = today(program);
        ZoneId zone = zone(program);
        SchoolYear year = year(programId, program);
        List<UUID> people = people(programId, signInName, password);
        Map<String, SchoolClass> classes = classes(programId);
        Map<UUID, String> names = new LinkedHashMap<>();
        List<Seat> seats = seats(programId, classes, names);
        Map<String, Milestone> milestones = DemoLibrary.load(
                library, checks, notations, remarks, tests, written, catalog, programId, people.getFirst());
        List<MilestoneOrder> set = new ArrayList<>(orders(classes, milestones));
        set.addAll(DemoSeason.orders(year, today, classes, milestones));
        orders.load(programId, people.getFirst(), set);

        Map<UUID, SchoolClass> byId = new HashMap<>();
        classes.values().forEach(c -> byId.put(c.id(), c));
        OrderBook book = new OrderBook(set, milestones.values(), library.allBelts(programId), catalog);
        List<HeardAttempt> history = new DemoHistory(
                        year,
                        today,
                        zone,
                        byId,
                        names,
                        milestones,
                        people,
                        catalog,
                        twoListeners(programId, milestones))
                .of(seats, book);
        hearing.load(programId, history);
        habits.load(programId, people.getFirst(), history, byId, milestones.values(), year, today);
        belts.load(programId, people.getFirst(), today);
        placing.load(programId, people.getFirst(), names);
        DemoFiles.rows("wanted").stream()
                .collect(Collectors.groupingBy(row -> row.get("class")))
                .forEach((name, rows) -> wantedInClasses.loadWanted(
                        programId,
                        classes.get(name).id(),
                        rows.stream()
                                .collect(Collectors.toMap(
                                        row -> new InstrumentCode(row.get("instrument")),
                                        row -> Integer.parseInt(row.get("students"))))));
        DemoFiles.rows("decisions")
                .forEach(row -> decisions.load(
                        programId,
                        people.getFirst(),
                        new Decisions.On(
                                classes.get(row.get("class")).id(),
                                Optional.of(new InstrumentCode(row.get("instrument"))),
                                milestones.get(row.get("milestone")).id()),
                        Verdict.valueOf(row.get("advised")),
                        new Decisions.Decided(Verdict.valueOf(row.get("decided")), LocalDate.parse(row.get("on")))));
        firstWeeks.load(
                new DemoFirstWeeks.Loaded(programId, people.getFirst(), zone, classes, names, seats, milestones));
        season.plan(new SignedIn(programId, people.getFirst(), "", Role.DIRECTOR, 0), classes, milestones);
        return programId;
    }

    private SchoolYear year(UUID programId, CSVRecord program) {
        List<Entry> entries = DemoFiles.rows("calendar").stream()
                .map(row -> new Entry(
                        EntryKind.valueOf(row.get("kind")),
                        row.get("name"),
                        LocalDate.parse(row.get("first")),
                        LocalDate.parse(row.get("last"))))
                .toList();
        List<String> rotation = DemoFiles.split(program.get("rotation"));
        SchoolYear year = new SchoolYear(
                LocalDate.parse(program.get("first")), LocalDate.parse(program.get("last")), entries, rotation);
        office.layYear(programId, year.first().getYear() + "–" + year.last().getYear(), year, rotation);
        return year;
    }

    private List<UUID> people(
            UUID programId, Function<CSVRecord, String> signInName, Function<CSVRecord, String> password) {
        return DemoFiles.rows("people").stream()
                .map(row -> accounts.add(
                        programId,
                        signInName.apply(row),
                        row.get("name"),
                        Role.valueOf(row.get("role")),
                        password.apply(row)))
                .toList();
    }

    private Map<String, SchoolClass> classes(UUID programId) {
        Map<String, SchoolClass> classes = new LinkedHashMap<>();
        for (CSVRecord row : DemoFiles.rows("classes")) {
            SchoolClass added = new SchoolClass(
                    Ids.next(),
                    row.get("name"),
                    row.get("campus"),
                    ClassShape.valueOf(row.get("shape")),
                    Optional.of(row.get("rotation")),
                    Integer.parseInt(row.get("period")),
                    LocalTime.parse(row.get("starts")),
                    Integer.parseInt(row.get("minutes")));
            rosters.addClass(programId, added);
            classes.put(added.name(), added);
        }
        return classes;
    }

    private List<Seat> seats(UUID programId, Map<String, SchoolClass> classes, Map<UUID, String> names) {
        Map<String, List<CSVRecord>> byName = new LinkedHashMap<>();
        DemoFiles.rows("roster")
                .forEach(row -> byName.computeIfAbsent(row.get("name"), n -> new ArrayList<>())
                        .add(row));
        List<Seat> seats = new ArrayList<>();
        byName.forEach((name, rows) -> {
            UUID id = rosters.addStudent(programId, name, studentId -> {
                List<Seat> own =
                        rows.stream().map(row -> seat(studentId, classes, row)).toList();
                seats.addAll(own);
                return own;
            });
            names.put(id, name);
        });
        return seats;
    }

    private static Seat seat(UUID studentId, Map<String, SchoolClass> classes, CSVRecord row) {
        return new Seat(
                studentId,
                classes.get(row.get("class")).id(),
                new InstrumentCode(row.get("instrument")),
                row.get("division"),
                LocalDate.parse(row.get("start date")),
                Optional.of(row.get("end date")).filter(end -> !end.isEmpty()).map(LocalDate::parse));
    }

    private static List<MilestoneOrder> orders(Map<String, SchoolClass> classes, Map<String, Milestone> milestones) {
        return DemoFiles.rows("orders").stream()
                .map(row -> {
                    Set<Evidence> evidence = Evidence.countingByDefault();
                    if (row.get("substitute").equals("yes")) {
                        evidence = EnumSet.copyOf(evidence);
                        evidence.add(Evidence.SUBSTITUTE);
                    }
                    return new MilestoneOrder(
                            Ids.next(),
                            milestones.get(row.get("milestone")).id(),
                            LocalDate.parse(row.get("set")),
                            LocalDate.parse(row.get("due")),
                            evidence,
                            List.of(scope(classes, row)),
                            carried(row, milestones));
                })
                .toList();
    }

    /** What an order's check carries, by the milestone and class of the order. */
    private static List<Carried> carried(CSVRecord order, Map<String, Milestone> milestones) {
        return DemoFiles.rows("carries").stream()
                .filter(row -> row.get("milestone").equals(order.get("milestone"))
                        && row.get("class").equals(order.get("class")))
                .map(row -> new Carried(
                        row.get("instrument").isEmpty()
                                ? new Carried.OfFamily(Family.valueOf(row.get("family")))
                                : new Carried.OfSection(
                                        new InstrumentCode(row.get("instrument")),
                                        Optional.of(row.get("division")).filter(d -> !d.isEmpty())),
                        Optional.of(row.get("line"))
                                .filter(key -> !key.isEmpty())
                                .map(key -> milestones.get(key).id()),
                        row.get("place"),
                        row.get("pattern"),
                        row.get("drill")))
                .toList();
    }

    private static SectionScope scope(Map<String, SchoolClass> classes, CSVRecord row) {
        if (row.get("class").isEmpty()) {
            return new SectionScope.InstrumentAcrossClasses(new InstrumentCode(row.get("instrument")));
        }
        UUID classId = classes.get(row.get("class")).id();
        if (!row.get("family").isEmpty()) {
            return new SectionScope.FamilyOfClass(classId, Family.valueOf(row.get("family")));
        }
        if (!row.get("instrument").isEmpty()) {
            return new SectionScope.Section(
                    classId,
                    new InstrumentCode(row.get("instrument")),
                    Optional.of(row.get("division")).filter(d -> !d.isEmpty()));
        }
        return new SectionScope.Tutti(classId);
    }

    private Set<UUID> twoListeners(UUID programId, Map<String, Milestone> milestones) {
        return tests
                .of(programId, milestones.values().stream().map(Milestone::id).toList())
                .entrySet()
                .stream()
                .filter(test -> test.getValue().listeners() == 2)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }
}
