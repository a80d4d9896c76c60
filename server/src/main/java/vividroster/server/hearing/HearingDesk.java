package vividroster.server.hearing;

import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.LineFault;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Spelling;
import vividroster.core.progress.BeltReach;
import vividroster.core.progress.Outlook;
import vividroster.core.progress.Pressing;
import vividroster.core.progress.Pressing.Asked;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Carried;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.testing.HearingPace;
import vividroster.core.testing.HearingQueue;
import vividroster.core.testing.HearingQueue.LeftOut;
import vividroster.server.checks.Checks;
import vividroster.server.hearing.HearingRuns.Queue;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.library.MilestoneView;
import vividroster.server.library.TestFacts;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** What a director needs to hear a section: what can be heard, and whom with it. */
@Service
class HearingDesk {

    private final Rosters rosters;
    private final Progress progress;
    private final HearingRuns runs;
    private final Library library;
    private final Office office;
    private final Orders orders;
    private final Checks checks;
    private final InstrumentCatalog catalog;
    private final BlindListening blind;

    HearingDesk(
            Rosters rosters,
            Progress progress,
            HearingRuns runs,
            Library library,
            Office office,
            Orders orders,
            Checks checks,
            InstrumentCatalog catalog,
            BlindListening blind) {
        this.blind = blind;
        this.rosters = rosters;
        this.progress = progress;
        this.runs = runs;
        this.library = library;
        this.office = office;
        this.orders = orders;
        this.checks = checks;
        this.catalog = catalog;
    }

    /** @param open players whom a run would call today */
    record Choice(
            UUID milestoneId,
            MilestoneKind kind,
            String shortName,
            String title,
            LocalDate dueOn,
            int open,
            int passed,
            int asked) {}

    /**
     * @param writtenKey the key this instrument reads; absent where there is no line
     * @param faults what usually goes wrong in it on this instrument, by its sign
     * @param leftOut why the student is not called; absent for those in the queue
     */
    record PlayerView(
            UUID studentId,
            String name,
            UUID classId,
            InstrumentCode instrument,
            String instrumentName,
            String division,
            List<String> alsoIn,
            @Absent String writtenKey,
            @Absent Integer daysSinceHeard,
            @Absent CarriedView carried,
            List<String> faults,
            @Absent LeftOut leftOut,
            StandingView standing,
            OutlookView outlook) {}

    /** What the check carries for this player's section. */
    record CarriedView(@Absent String line, String place, String pattern, String drill) {}

    /**
     * @param queue whom to hear, in fair order
     * @param players everybody in the scope who can take it, in score order
     */
    record RunView(
            MilestoneView milestone,
            int secondsPerStudent,
            int countInMeasures,
            List<UUID> queue,
            List<PlayerView> players) {}

    /** What can be heard in a scope today, the most pressing first. */
    @Transactional(readOnly = true)
    public List<Choice> choices(UUID programId, SectionScope scope, Reach reach) {
        LocalDate today = office.today(programId);
        List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, scope, today), catalog);
        List<Seated> rows = runs.seated(programId, seats, scope, today);
        Sheet sheet = progress.sheet(programId, Question.of(seats, today));
        HearingRuns.Today calling = runs.today(programId, rows, today);
        return Pressing.of(sheet.asked(rows.stream().map(Seated::player).toList()), today).stream()
                .filter(pressed -> reach.seesGrades()
                        || !isGraded(sheet.milestones().get(pressed.asked().milestoneId())))
                .map(pressed -> choice(
                        sheet.milestones().get(pressed.asked().milestoneId()),
                        pressed.asked(),
                        calling.toCall(sheet, rows, pressed.asked().milestoneId())))
                .toList();
    }

    private static boolean isGraded(Milestone milestone) {
        return milestone.kind().isGraded();
    }

    private static Choice choice(Milestone milestone, Asked asked, int toCall) {
        return new Choice(
                milestone.id(),
                milestone.kind(),
                milestone.shortName(),
                milestone.title(),
                asked.dueOn(),
                toCall,
                asked.passed(),
                asked.asked());
    }

    /**
     * Who is to be heard with a milestone, in fair order.
     *
     * @param scopes at least one; who sits in several is heard once
     */
    @Transactional(readOnly = true)
    public RunView run(SignedIn person, UUID milestoneId, List<SectionScope> scopes, Reach reach) {
        UUID programId = person.programId();
        LocalDate today = office.today(programId);
        Milestone milestone = library.milestone(programId, milestoneId);
        if (isGraded(milestone) && !reach.seesGrades()) {
            throw Problem.notAllowed("Playing tests are heard by a director or an assistant.");
        }
        Called called = called(programId, milestone, scopes, today, reach);
        List<Seated> rows = called.rows();
        Sheet sheet = progress.sheet(programId, Question.of(called.seats(), today, milestoneId));
        Queue queue = runs.queue(programId, rows, milestone, sheet);
        Set<UUID> waiting = blind.waitingFor(
                person, milestone, rows.stream().map(row -> row.student().id()).toList(), today);
        List<UUID> order = new ArrayList<>(rows.stream()
                .map(row -> row.student().id())
                .filter(waiting::contains)
                .toList());
        queue.called().order().stream().filter(id -> !waiting.contains(id)).forEach(order::add);
        Map<UUID, String> classNames =
                rosters.classes(programId).stream().collect(Collectors.toMap(SchoolClass::id, SchoolClass::name));
        Map<UUID, TestFacts> tests = library.tests(programId, List.of(milestoneId));
        UUID lineId = Optional.ofNullable(tests.get(milestoneId))
                .flatMap(TestFacts::lineId)
                .orElse(milestoneId);
        Map<UUID, LineFacts> lines = library.lines(programId, List.of(lineId));
        List<MilestoneOrder> reaching = orders.of(programId, List.of(milestoneId), today);
        Map<UUID, String> carriedLines = titlesOfCarried(programId, reaching);
        Spelling spelling = checks.spelling(programId);
        List<String> ofCheck = checks.faults(programId, milestone);
        return new RunView(
                worded(programId, MilestoneView.of(milestone, lines, tests, library.books(programId))),
                (int) runs.perStudent(programId, milestone).toSeconds(),
                runs.countInMeasures(programId),
                order,
                rows.stream()
                        .map(row -> playerView(
                                row,
                                BlindListening.standing(sheet, row.player(), milestoneId, waiting, today),
                                sheet.outlook(row.player(), milestoneId),
                                waiting.contains(row.student().id())
                                        ? null
                                        : queue.called()
                                                .leftOut()
                                                .get(row.student().id()),
                                queue.lastHeardOn().get(row.student().id()),
                                today,
                                lines.get(lineId),
                                spelling,
                                carried(reaching, row.seat(), carriedLines),
                                ofCheck,
                                classNames))
                        .toList());
    }

    /** @param seats of everybody in the scopes; rows who can take the milestone, each once, scope by scope */
    private record Called(List<Seat> seats, List<Seated> rows) {}

    private Called called(
            UUID programId, Milestone milestone, List<SectionScope> scopes, LocalDate today, Reach reach) {
        Map<UUID, Seated> rows = new LinkedHashMap<>();
        Set<Seat> all = new LinkedHashSet<>();
        for (SectionScope scope : scopes) {
            List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, scope, today), catalog);
            all.addAll(seats);
            runs.seated(programId, seats, scope, today).stream()
                    .filter(row -> milestone.isFor(row.seat().instrument()))
                    .forEach(row -> rows.putIfAbsent(row.student().id(), row));
        }
        return new Called(List.copyOf(all), List.copyOf(rows.values()));
    }

    /** A student whom this milestone can bring a belt within the week. @param missing what the belt still asks */
    record BeltReachView(UUID studentId, String belt, List<String> missing) {}

    /** Who of these scopes can reach a belt this week with a milestone. */
    @Transactional(readOnly = true)
    public List<BeltReachView> beltsInReach(UUID programId, UUID milestoneId, List<SectionScope> scopes, Reach reach) {
        LocalDate today = office.today(programId);
        Called called = called(programId, library.milestone(programId, milestoneId), scopes, today, reach);
        Sheet sheet = progress.sheet(
                programId, Question.of(called.seats(), today).withBelts().also(Set.of(milestoneId)));
        return called.rows().stream()
                .flatMap(row -> BeltReach.of(
                        sheet.ladders(),
                        row.seat().instrument(),
                        sheet.standings().getOrDefault(row.player(), Map.of()),
                        sheet.assigned(row.player()).keySet(),
                        milestoneId)
                        .map(found -> new BeltReachView(
                                row.student().id(),
                                found.belt().name(),
                                found.missing().stream()
                                        .map(id -> sheet.milestones().get(id).title())
                                        .toList()))
                        .stream())
                .toList();
    }

    /** Where a student stands now, and whether they are still to be called. */
    record PositionView(UUID studentId, @Absent LeftOut leftOut, StandingView standing, OutlookView outlook) {}

    /** Where students of a run stand now, since somebody else heard them; those out of reach are left out. */
    @Transactional(readOnly = true)
    public List<PositionView> positions(SignedIn person, UUID milestoneId, Set<UUID> studentIds, Reach reach) {
        UUID programId = person.programId();
        LocalDate today = office.today(programId);
        Milestone milestone = library.milestone(programId, milestoneId);
        if (isGraded(milestone) && !reach.seesGrades()) {
            throw Problem.notAllowed("Playing tests are heard by a director or an assistant.");
        }
        List<Seat> seats = reach.of(rosters.seatsOf(programId, studentIds), catalog);
        Map<UUID, Seat> playing = new LinkedHashMap<>();
        seats.stream()
                .filter(seat -> seat.isHeldOn(today) && milestone.isFor(seat.instrument()))
                .forEach(seat -> playing.putIfAbsent(seat.studentId(), seat));
        Sheet sheet = progress.sheet(programId, Question.of(seats, today, milestoneId));
        HearingQueue.Policy policy = checks.calling(programId);
        Set<UUID> waiting = blind.waitingFor(person, milestone, playing.keySet(), today);
        return playing.values().stream()
                .map(seat -> new Player(seat.studentId(), seat.instrument()))
                .map(player -> new PositionView(
                        player.studentId(),
                        waiting.contains(player.studentId())
                                ? null
                                : HearingQueue.leftOut(sheet.call(player, milestoneId), false, false, policy)
                                        .orElse(null),
                        StandingView.of(BlindListening.standing(sheet, player, milestoneId, waiting, today)),
                        OutlookView.of(sheet.outlook(player, milestoneId))))
                .toList();
    }

    /**
     * Whether a run fits before the bell.
     *
     * @param secondsPerStudent as planned, drawn towards what was measured
     * @param learntFrom how many students it was measured on
     * @param secondsToBell absent where no class goes on
     * @param inTime how many of those left are heard before the bell
     */
    record RunPaceView(
            int secondsPerStudent,
            int learntFrom,
            int neededSeconds,
            @Absent Integer secondsToBell,
            int inTime,
            boolean fits) {}

    /** @param classId empty where the run spans classes, which have no bell in common */
    @Transactional(readOnly = true)
    public RunPaceView pace(SignedIn person, UUID milestoneId, Optional<UUID> classId, int left) {
        UUID programId = person.programId();
        LocalDate today = office.today(programId);
        List<SchoolClass> classes = rosters.classes(programId).stream()
                .filter(c -> classId.map(c.id()::equals).orElse(true))
                .toList();
        Optional<Duration> toBell = classId.isEmpty()
                ? Optional.empty()
                : classes.stream()
                        .flatMap(c -> c.on(office.year(programId, today), today).stream())
                        .flatMap(at -> at.toBell(office.timeOfDay(programId)).stream())
                        .findFirst();
        HearingPace pace = runs.pace(
                person,
                classes.stream().map(SchoolClass::id).toList(),
                library.milestone(programId, milestoneId),
                today);
        HearingPace.Fit fit = pace.fit(left, toBell);
        return new RunPaceView(
                (int) pace.perStudent().toSeconds(),
                pace.learntFrom(),
                (int) fit.needed().toSeconds(),
                toBell.map(time -> (int) time.toSeconds()).orElse(null),
                fit.inTime(),
                fit.fits());
    }

    /** A check as the programme's schools word it. */
    private MilestoneView worded(UUID programId, MilestoneView view) {
        return view.kind() == MilestoneKind.TECHNIQUE_CHECK
                ? checks.criteria(programId, view.id()).map(view::worded).orElse(view)
                : view;
    }

    private Map<UUID, String> titlesOfCarried(UUID programId, List<MilestoneOrder> reaching) {
        Set<UUID> ids = reaching.stream()
                .flatMap(order -> order.carried().stream())
                .flatMap(carried -> carried.lineId().stream())
                .collect(Collectors.toSet());
        return ids.isEmpty()
                ? Map.of()
                : library.milestones(programId, ids).stream()
                        .collect(Collectors.toMap(Milestone::id, Milestone::title));
    }

    private CarriedView carried(List<MilestoneOrder> reaching, Seat seat, Map<UUID, String> titles) {
        return reaching.stream()
                .filter(order -> order.reaches(seat, catalog))
                .flatMap(order -> Carried.closest(order.carried(), seat, catalog).stream())
                .findFirst()
                .map(carried -> new CarriedView(
                        carried.lineId().map(titles::get).orElse(null),
                        carried.place(),
                        carried.pattern(),
                        carried.drill()))
                .orElse(null);
    }

    private PlayerView playerView(
            Seated row,
            Standing standing,
            Outlook outlook,
            LeftOut leftOut,
            LocalDate lastHeardOn,
            LocalDate today,
            LineFacts line,
            Spelling spelling,
            CarriedView carried,
            List<String> ofCheck,
            Map<UUID, String> classNames) {
        Instrument instrument = catalog.withCode(row.seat().instrument());
        Optional<Key> written = Optional.ofNullable(line)
                .filter(l -> instrument.pitched())
                .map(l -> instrument.writtenKey(l.concertKey(), spelling));
        return new PlayerView(
                row.student().id(),
                row.student().name(),
                row.seat().classId(),
                instrument.code(),
                instrument.name(),
                row.seat().division(),
                row.otherClasses().stream().map(classNames::get).sorted().toList(),
                written.map(Key::name).orElse(null),
                lastHeardOn == null ? null : (int) ChronoUnit.DAYS.between(lastHeardOn, today),
                carried,
                ofCheck.isEmpty()
                        ? LineFault.of(
                                        instrument,
                                        written.map(key -> key.fifths() != 0).orElse(false))
                                .stream()
                                .map(LineFault::sign)
                                .toList()
                        : ofCheck,
                leftOut,
                StandingView.of(standing),
                OutlookView.of(outlook));
    }
}
