package vividroster.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Spelling;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Carried;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.core.testing.TestStages;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Checks.FirstCheck;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.LineBriefs;
import vividroster.server.lines.LineBriefs.Brief;
import vividroster.server.lines.LineBriefs.Briefs;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Absent;
import vividroster.server.playingtests.TestPages;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** The week's orders on one sheet, as each section reads them. */
@Service
class WeekSheets {

    private final Orders orders;
    private final Office office;
    private final Rosters rosters;
    private final Library library;
    private final Checks checks;
    private final InstrumentCatalog catalog;

    private static final int MOST_CARRIED = 5;

    private final LineBriefs briefs;
    private final Progress progress;
    private final PlanItemQueries items;
    private final TestPages testPages;

    WeekSheets(
            Orders orders,
            Office office,
            Rosters rosters,
            Library library,
            Checks checks,
            InstrumentCatalog catalog,
            LineBriefs briefs,
            Progress progress,
            PlanItemQueries items,
            TestPages testPages) {
        this.testPages = testPages;
        this.briefs = briefs;
        this.progress = progress;
        this.items = items;
        this.orders = orders;
        this.office = office;
        this.rosters = rosters;
        this.library = library;
        this.checks = checks;
        this.catalog = catalog;
    }

    /**
     * @param lineId of the line it is, plays or carries
     * @param line page and number of the line that is ordered or carried; writtenKey in this section's key
     * @param heard whether every student of the section is heard on it
     * @param news what the section meets for the first time, with fingerings
     * @param traps sentences of places where the page misleads
     * @param fingers what each finger meets in the place, on strings
     * @param comingIn the note it begins with, with its fingering
     * @param roadmap measures in the order played, where it is not as printed
     * @param rehearsed this week's stages of a playing test
     * @param applies to retakes and what is late, of a playing test
     */
    record SheetItemView(
            UUID milestoneId,
            MilestoneKind kind,
            String title,
            LocalDate dueOn,
            boolean heard,
            boolean substituteAccepted,
            @Absent UUID lineId,
            @Absent String line,
            @Absent String writtenKey,
            List<String> news,
            List<String> traps,
            @Absent String comingIn,
            @Absent String roadmap,
            @Absent String tip,
            @Absent String trouble,
            @Absent String place,
            List<String> fingers,
            @Absent String pattern,
            @Absent String drill,
            List<String> rehearsed,
            List<String> applies) {}

    /** @param students that carry it over from an earlier week */
    record CarriedOverView(String title, int students) {}

    /** @param care of the instrument this week, from the programme's checks */
    record SheetPartView(
            InstrumentCode instrument,
            String name,
            String division,
            int students,
            List<SheetItemView> items,
            List<CarriedOverView> carriedOver,
            @Absent String care) {}

    /** @param week teaching week; absent in a break */
    record SheetView(
            String className, @Absent Integer week, LocalDate monday, LocalDate friday, List<SheetPartView> parts) {}

    /** What of a week every section's part is made from. */
    private record OfWeek(
            List<MilestoneOrder> orders,
            Map<UUID, Milestone> milestones,
            Map<UUID, LineFacts> lines,
            Map<UUID, Briefs> briefs,
            Set<UUID> heard,
            Progress.Sheet progress,
            List<TechniqueCheck> care,
            int number,
            Spelling spelling,
            Map<UUID, List<String>> rehearsed,
            Map<UUID, List<String>> applies) {}

    /** What each section of a class has for the week of a day. */
    @Transactional(readOnly = true)
    SheetView of(UUID programId, UUID classId, LocalDate day) {
        SchoolYear.Week week = office.year(programId, day).weekOf(day);
        SchoolClass schoolClass = rosters.schoolClass(programId, classId);
        List<Seat> all = rosters.seatsOfStudentsIn(programId, new SectionScope.Tutti(classId), week.friday());
        Map<Integer, Map<String, List<Seat>>> parts = new TreeMap<>();
        all.stream()
                .filter(seat -> seat.classId().equals(classId) && seat.isHeldOn(week.friday()))
                .forEach(seat -> parts.computeIfAbsent(
                                catalog.withCode(seat.instrument()).scoreRank(), rank -> new TreeMap<>())
                        .computeIfAbsent(seat.division(), d -> new ArrayList<>())
                        .add(seat));
        OfWeek ofWeek = week(programId, classId, day, week, all);
        return new SheetView(
                schoolClass.name(),
                week.number().orElse(null),
                week.monday(),
                week.friday(),
                parts.values().stream()
                        .flatMap(byDivision -> byDivision.values().stream())
                        .map(seats -> part(seats, ofWeek))
                        .toList());
    }

    private OfWeek week(UUID programId, UUID classId, LocalDate day, SchoolYear.Week week, List<Seat> seats) {
        List<MilestoneOrder> inWeek = MilestoneOrder.byDueDay(orders.reaching(programId, List.of(classId), day).stream()
                .filter(o -> !o.setOn().isAfter(week.friday()) && !o.dueOn().isBefore(week.monday()))
                .toList());
        Set<UUID> ids = inWeek.stream()
                .flatMap(o -> Stream.concat(
                        Stream.of(o.milestoneId()), o.carried().stream().flatMap(c -> c.lineId().stream())))
                .collect(Collectors.toCollection(LinkedHashSet::new));
        LocalDate today = office.today(programId);
        Progress.Sheet progress = this.progress.sheet(
                programId, Progress.Question.of(seats, week.friday().isBefore(today) ? week.friday() : today));
        Map<UUID, Milestone> milestones = new LinkedHashMap<>(progress.milestones());
        library.milestones(programId, ids).forEach(m -> milestones.put(m.id(), m));
        Map<UUID, LineFacts> lines = library.lines(programId, ids);
        Set<InstrumentCode> instruments = seats.stream().map(Seat::instrument).collect(Collectors.toSet());
        Set<UUID> tests = inWeek.stream()
                .map(MilestoneOrder::milestoneId)
                .filter(id -> milestones.get(id).kind() == MilestoneKind.PLAYING_TEST)
                .collect(Collectors.toSet());
        Map<UUID, TestPages.Announced> announced = tests.isEmpty() ? Map.of() : testPages.announced(programId, tests);
        return new OfWeek(
                inWeek,
                milestones,
                lines,
                briefs.of(programId, classId, lines.keySet(), instruments),
                heard(programId, classId, day, inWeek, milestones, lines),
                progress,
                checks.firstChecks(programId, instruments).stream()
                        .map(FirstCheck::check)
                        .filter(check -> check.topic() == CheckTopic.CARE)
                        .toList(),
                week.number().orElse(0),
                checks.spelling(programId),
                rehearsed(programId, day, week, inWeek, announced),
                announced.entrySet().stream()
                        .collect(Collectors.toMap(
                                Map.Entry::getKey, entry -> entry.getValue().retakes())));
    }

    /**
     * What every student is heard on: as it was planned; what was not planned, if it is no line, or the last line of those
     * due on a day. (domain.md, 3.5: one of them the one that is heard.)
     */
    private Set<UUID> heard(
            UUID programId,
            UUID classId,
            LocalDate day,
            List<MilestoneOrder> inWeek,
            Map<UUID, Milestone> milestones,
            Map<UUID, LineFacts> lines) {
        Map<UUID, Boolean> planned = new HashMap<>();
        office.yearId(programId, day)
                .ifPresent(year -> items.findAll(programId, year).stream()
                        .filter(item -> item.scopes().stream().anyMatch(scope -> ScopesOf.reach(scope, classId)))
                        .forEach(item -> item.milestoneId().ifPresent(id -> planned.put(id, item.heardAlone()))));
        Map<LocalDate, Integer> last = new HashMap<>();
        inWeek.stream()
                .filter(order -> lines.containsKey(order.milestoneId()) && !planned.containsKey(order.milestoneId()))
                .forEach(order ->
                        last.merge(order.dueOn(), lines.get(order.milestoneId()).number(), Math::max));
        Set<UUID> heard = new HashSet<>();
        for (MilestoneOrder order : inWeek) {
            UUID id = order.milestoneId();
            boolean alone = planned.containsKey(id)
                    ? planned.get(id)
                    : milestones.get(id).kind() != MilestoneKind.LINE
                            || lines.get(id).number() == last.get(order.dueOn());
            if (alone && milestones.get(id).kind() != MilestoneKind.BELT) {
                heard.add(id);
            }
        }
        return heard;
    }

    private SheetPartView part(List<Seat> seats, OfWeek week) {
        Seat seat = seats.getFirst();
        Instrument instrument = catalog.withCode(seat.instrument());
        Map<UUID, SheetItemView> items = new LinkedHashMap<>();
        week.orders().stream()
                .filter(order -> week.milestones().get(order.milestoneId()).isFor(instrument.code())
                        && order.reaches(seat, catalog))
                .forEach(order -> items.putIfAbsent(order.milestoneId(), item(order, seat, instrument, week)));
        return new SheetPartView(
                instrument.code(),
                instrument.plural(),
                seat.division(),
                seats.size(),
                List.copyOf(items.values()),
                carriedOver(seats, items.keySet(), week),
                care(instrument, week));
    }

    /** By how many carry it over, most first. */
    private static List<CarriedOverView> carriedOver(List<Seat> seats, Set<UUID> ofThisWeek, OfWeek week) {
        Map<UUID, Integer> students = new HashMap<>();
        for (Seat seat : seats) {
            week.progress()
                    .setFor(new Player(seat.studentId(), seat.instrument()))
                    .forEach((id, standing) -> {
                        if (standing.carriedOver()
                                && standing.isOpen()
                                && !ofThisWeek.contains(id)
                                && week.milestones().get(id).kind() != MilestoneKind.BELT) {
                            students.merge(id, 1, Integer::sum);
                        }
                    });
        }
        return students.entrySet().stream()
                .sorted(Map.Entry.<UUID, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(e -> week.milestones().get(e.getKey()).title()))
                .limit(MOST_CARRIED)
                .map(e -> new CarriedOverView(spoken(week.milestones().get(e.getKey())), e.getValue()))
                .toList();
    }

    private static String spoken(Milestone milestone) {
        return milestone.kind() == MilestoneKind.LINE ? "line " + milestone.shortName() : milestone.title();
    }

    /** Another one each week, in turn. */
    private static String care(Instrument instrument, OfWeek week) {
        List<TechniqueCheck> own = week.care().stream()
                .filter(check -> check.isFor(instrument.code()))
                .toList();
        return own.isEmpty() ? null : own.get(week.number() % own.size()).title();
    }

    private SheetItemView item(MilestoneOrder order, Seat seat, Instrument instrument, OfWeek week) {
        Milestone milestone = week.milestones().get(order.milestoneId());
        Optional<Carried> carried = Carried.closest(order.carried(), seat, catalog);
        Optional<LineFacts> line = carried.flatMap(Carried::lineId)
                .map(week.lines()::get)
                .or(() -> Optional.ofNullable(week.lines().get(milestone.id())));
        Optional<Briefs> briefs = line.map(l -> week.briefs().get(l.milestoneId()));
        Optional<Brief> brief = briefs.map(b -> b.bySection().get(instrument.code()));
        return new SheetItemView(
                milestone.id(),
                milestone.kind(),
                milestone.title(),
                order.dueOn(),
                week.heard().contains(milestone.id()),
                order.evidence().contains(Evidence.SUBSTITUTE),
                line.map(LineFacts::milestoneId).orElse(null),
                line.map(l -> "page " + l.page() + ", line " + l.number()).orElse(null),
                line.filter(l -> instrument.pitched())
                        .map(l -> instrument
                                .writtenKey(l.concertKey(), week.spelling())
                                .name())
                        .orElse(null),
                brief.map(Brief::news).orElse(List.of()),
                brief.map(Brief::traps).orElse(List.of()),
                // In another place it begins otherwise.
                carried.filter(c -> !c.place().isEmpty()).isPresent()
                        ? null
                        : brief.flatMap(b -> said(b.comingIn())).orElse(null),
                briefs.flatMap(b -> said(b.roadmap())).orElse(null),
                brief.flatMap(b -> said(b.tip())).orElse(null),
                brief.flatMap(b -> said(b.trouble())).orElse(null),
                carried.flatMap(c -> said(c.place())).orElse(null),
                carried.flatMap(c -> brief.map(b -> b.fingersIn(c.place()))).orElse(List.of()),
                carried.flatMap(c -> said(c.pattern())).orElse(null),
                carried.flatMap(c -> said(c.drill())).orElse(null),
                week.rehearsed().getOrDefault(order.id(), List.of()),
                week.applies().getOrDefault(milestone.id(), List.of()));
    }

    /** Stages of playing tests by order. */
    private Map<UUID, List<String>> rehearsed(
            UUID programId,
            LocalDate day,
            SchoolYear.Week week,
            List<MilestoneOrder> inWeek,
            Map<UUID, TestPages.Announced> tests) {
        if (tests.isEmpty()) {
            return Map.of();
        }
        List<LocalDate> mondays = office.year(programId, day).weeks().stream()
                .filter(one -> one.number().isPresent())
                .map(SchoolYear.Week::monday)
                .toList();
        return inWeek.stream()
                .filter(order -> tests.containsKey(order.milestoneId()))
                .collect(Collectors.toMap(
                        MilestoneOrder::id,
                        order -> TestStages.inWeek(
                                        tests.get(order.milestoneId()).stages(),
                                        mondays,
                                        order.setOn(),
                                        order.dueOn(),
                                        week.monday())
                                .stream()
                                .map(stage -> stage.name() + ": " + stage.measures())
                                .toList()));
    }

    private static Optional<String> said(String text) {
        return text.isEmpty() ? Optional.empty() : Optional.of(text);
    }
}
