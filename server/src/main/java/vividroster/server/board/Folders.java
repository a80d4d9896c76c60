package vividroster.server.board;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BeltLadder;
import vividroster.core.progress.Capped;
import vividroster.core.progress.FaultCounts;
import vividroster.core.progress.RubricScore;
import vividroster.core.progress.Standing;
import vividroster.core.progress.TimeLine;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SeatChange;
import vividroster.core.season.Assignment;
import vividroster.server.board.FolderViews.DonePage;
import vividroster.server.board.FolderViews.EarnedView;
import vividroster.server.board.FolderViews.FolderInstrument;
import vividroster.server.board.FolderViews.FolderMilestone;
import vividroster.server.board.FolderViews.FolderSeat;
import vividroster.server.board.FolderViews.FolderSwitch;
import vividroster.server.board.FolderViews.FolderView;
import vividroster.server.board.FolderViews.HeardFaultView;
import vividroster.server.board.FolderViews.MomentView;
import vividroster.server.board.FolderViews.RecurringView;
import vividroster.server.board.FolderViews.TryView;
import vividroster.server.board.SectionBoards.Belting;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Hearing;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.hearing.StandingView;
import vividroster.server.library.BeltView;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.roster.Student;

/** What one student passed and tried, on every instrument, in every class. */
@Service
class Folders {

    /** Milestones that are done, on one page. */
    static final int DONE_ON_PAGE = 30;
    /** Tries shown beside a milestone before more are asked for. */
    private static final int LATEST_TRIES = 3;
    /** Tries of one milestone that are answered at most. */
    private static final int MOST_TRIES = 200;

    private final Rosters rosters;
    private final Hearing hearing;
    private final Progress progress;
    private final SectionBoards boards;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;

    Folders(
            Rosters rosters,
            Hearing hearing,
            Progress progress,
            SectionBoards boards,
            Library library,
            Office office,
            InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.hearing = hearing;
        this.progress = progress;
        this.boards = boards;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
    }

    @Transactional(readOnly = true)
    public FolderView folder(UUID programId, UUID studentId) {
        Student student = rosters.student(programId, studentId);
        List<Seat> seats = rosters.seatsOf(programId, studentId);
        Map<UUID, String> classNames = classNames(programId);
        Known known = known(programId, studentId, seats);
        Sheet sheet = known.sheet();
        Map<UUID, BeltLook> looks = library.beltLooks(programId);
        LocalDate begins = office.year(programId, sheet.on()).first();
        Map<Player, List<FolderMilestone>> open = new LinkedHashMap<>();
        Map<Player, Capped<FolderMilestone>> done = new HashMap<>();
        seats.stream()
                .map(Seat::instrument)
                .distinct()
                .sorted(Comparator.comparing((InstrumentCode code) -> !isPlayed(code, seats, sheet.on()))
                        .thenComparingInt(code -> catalog.withCode(code).scoreRank()))
                .map(instrument -> new Player(studentId, instrument))
                .forEach(player -> {
                    List<FolderMilestone> all = milestones(player, known);
                    open.put(player, all.stream().filter(Folders::isOpen).toList());
                    done.put(
                            player,
                            Capped.of(all.stream().filter(m -> !isOpen(m)).toList(), DONE_ON_PAGE));
                });
        Map<Player, List<FolderMilestone>> shown = withTries(
                programId,
                open.entrySet().stream()
                        .collect(Collectors.toMap(
                                Map.Entry::getKey,
                                entry -> Stream.concat(
                                                entry.getValue().stream(), done.get(entry.getKey()).shown().stream())
                                        .toList())),
                sheet,
                classNames);
        return new FolderView(
                student.id(),
                student.name(),
                seats.stream()
                        .map(seat -> new FolderSeat(
                                seat.classId(),
                                classNames.get(seat.classId()),
                                catalog.withCode(seat.instrument()).name(),
                                seat.division(),
                                seat.startsOn(),
                                seat.endsOn().orElse(null)))
                        .toList(),
                SeatChange.lasting(seats).stream()
                        .map(one -> new FolderSwitch(
                                one.after().classId(),
                                classNames.get(one.after().classId()),
                                catalog.withCode(one.before().instrument()).name(),
                                one.after().instrument(),
                                catalog.withCode(one.after().instrument()).name(),
                                one.after().division(),
                                one.after().startsOn()))
                        .toList(),
                open.keySet().stream()
                        .map(player -> instrument(
                                player,
                                known,
                                shown.get(player),
                                done.get(player).more(),
                                looks,
                                begins))
                        .toList(),
                FaultCounts.recurring(hearing.faulty(programId, List.of(studentId), begins)).stream()
                        .map(counted -> new RecurringView(
                                counted.sign(),
                                counted.tries(),
                                counted.lastOn(),
                                counted.measure().isPresent()
                                        ? counted.measure().getAsInt()
                                        : null))
                        .toList());
    }

    /** More of what is done on one instrument. @param from how many are shown already, at least 0 */
    @Transactional(readOnly = true)
    public DonePage done(UUID programId, UUID studentId, InstrumentCode instrument, int from) {
        rosters.student(programId, studentId);
        List<Seat> seats = rosters.seatsOf(programId, studentId);
        Known known = known(programId, studentId, seats);
        Player player = new Player(studentId, instrument);
        Capped<FolderMilestone> page = Capped.of(
                milestones(player, known).stream()
                        .filter(m -> !isOpen(m))
                        .skip(from)
                        .toList(),
                DONE_ON_PAGE);
        return new DonePage(
                withTries(programId, Map.of(player, page.shown()), known.sheet(), classNames(programId))
                        .get(player),
                page.more());
    }

    /** The tries of a student with one milestone on one instrument, latest first, corrections among them. */
    @Transactional(readOnly = true)
    public List<TryView> tries(UUID programId, UUID studentId, UUID milestoneId, InstrumentCode instrument) {
        rosters.student(programId, studentId);
        Milestone milestone = library.milestone(programId, milestoneId);
        Player player = new Player(studentId, instrument);
        List<HeardAttempt> heard = hearing.latest(programId, Map.of(player, Set.of(milestoneId)), MOST_TRIES);
        return views(programId, heard, milestone, hearing.namesOfHearers(programId, heard), classNames(programId));
    }

    private Map<UUID, String> classNames(UUID programId) {
        return rosters.classes(programId).stream().collect(Collectors.toMap(SchoolClass::id, SchoolClass::name));
    }

    /** @param heardOn instruments by milestone, for all the student was ever heard with */
    private record Known(Sheet sheet, Map<UUID, List<InstrumentCode>> heardOn) {}

    private Known known(UUID programId, UUID studentId, List<Seat> seats) {
        Map<UUID, List<InstrumentCode>> heardOn = progress.heardOn(programId, studentId);
        return new Known(
                progress.sheet(
                        programId,
                        Question.of(seats, office.today(programId)).withBelts().also(heardOn.keySet())),
                heardOn);
    }

    /** Every milestone set, heard or passed on an instrument, the latest due first; tries are still to be put in. */
    private List<FolderMilestone> milestones(Player player, Known known) {
        Sheet sheet = known.sheet();
        return sheet.milestones().values().stream()
                .filter(m -> m.kind() != MilestoneKind.BELT)
                .filter(m -> sheet.assigned(player).containsKey(m.id())
                        || known.heardOn().getOrDefault(m.id(), List.of()).contains(player.instrument())
                        || sheet.standing(player, m.id()).isPassed())
                .map(m -> {
                    Assignment assignment = sheet.assigned(player).get(m.id());
                    return new FolderMilestone(
                            m.id(),
                            m.kind(),
                            m.shortName(),
                            m.title(),
                            assignment == null ? null : assignment.setOn(),
                            assignment == null ? null : assignment.dueOn(),
                            StandingView.of(sheet.standing(player, m.id())),
                            List.of(),
                            false);
                })
                .sorted(Comparator.comparing(
                        FolderMilestone::dueOn,
                        Comparator.nullsLast(
                                Comparator.<LocalDate>naturalOrder().reversed())))
                .toList();
    }

    /** Whether it is still played, or will be; what is past comes after it. */
    private static boolean isPlayed(InstrumentCode instrument, List<Seat> seats, LocalDate on) {
        return seats.stream()
                .anyMatch(seat -> seat.instrument().equals(instrument)
                        && seat.endsOn().map(end -> !end.isBefore(on)).orElse(true));
    }

    private static boolean isOpen(FolderMilestone milestone) {
        return milestone.standing().state().isOpen();
    }

    private Map<Player, List<FolderMilestone>> withTries(
            UUID programId, Map<Player, List<FolderMilestone>> shown, Sheet sheet, Map<UUID, String> classNames) {
        Map<Player, Set<UUID>> asked = new HashMap<>();
        shown.forEach((player, milestones) -> asked.put(
                player, milestones.stream().map(FolderMilestone::milestoneId).collect(Collectors.toSet())));
        List<HeardAttempt> heard = hearing.latest(programId, asked, LATEST_TRIES + 1);
        Map<UUID, String> hearers = hearing.namesOfHearers(programId, heard);
        Map<Player, Map<UUID, List<HeardAttempt>>> byPlayer = heard.stream()
                .collect(Collectors.groupingBy(
                        h -> new Player(h.attempt().studentId(), h.attempt().instrument()),
                        Collectors.groupingBy(h -> h.attempt().milestoneId())));
        Map<Player, List<FolderMilestone>> with = new HashMap<>();
        shown.forEach((player, milestones) -> with.put(
                player,
                milestones.stream()
                        .map(m -> {
                            List<HeardAttempt> own =
                                    byPlayer.getOrDefault(player, Map.of()).getOrDefault(m.milestoneId(), List.of());
                            List<TryView> tries =
                                    views(programId, own, sheet.milestones().get(m.milestoneId()), hearers, classNames);
                            Capped<TryView> latest = Capped.of(tries, LATEST_TRIES);
                            return new FolderMilestone(
                                    m.milestoneId(),
                                    m.kind(),
                                    m.shortName(),
                                    m.title(),
                                    m.setOn(),
                                    m.dueOn(),
                                    m.standing(),
                                    latest.shown(),
                                    latest.more() > 0);
                        })
                        .toList()));
        return with;
    }

    private FolderInstrument instrument(
            Player player,
            Known known,
            List<FolderMilestone> milestones,
            int moreDone,
            Map<UUID, BeltLook> looks,
            LocalDate begins) {
        Sheet sheet = known.sheet();
        Belting belting = boards.belting(player, sheet);
        List<Standing> standings = milestones(player, known).stream()
                .map(m -> sheet.standing(player, m.milestoneId()))
                .toList();
        return new FolderInstrument(
                player.instrument(),
                catalog.withCode(player.instrument()).name(),
                belting.worn().map(belt -> belt(belt, looks)).orElse(null),
                belting.next().map(belt -> belt(belt, looks)).orElse(null),
                belting.missing().stream().map(Milestone::title).toList(),
                (int) standings.stream().filter(Standing::isPassed).count(),
                (int) standings.stream().filter(Standing::isOpen).count(),
                milestones,
                moreDone,
                sheet.moments(player, begins).stream()
                        .map(moment -> momentView(moment, sheet))
                        .toList(),
                sheet.ladders().stream()
                        .flatMap(ladder -> new BeltLadder(ladder)
                                .earned(player.instrument(), sheet.standings().getOrDefault(player, Map.of())).stream())
                        .flatMap(earned ->
                                earned.on().map(day -> new EarnedView(day, belt(earned.belt(), looks))).stream())
                        .toList());
    }

    private static MomentView momentView(TimeLine.Moment moment, Sheet sheet) {
        Milestone milestone = sheet.milestones().get(moment.milestoneId());
        return new MomentView(
                moment.on(),
                milestone.kind(),
                milestone.kind() == MilestoneKind.LINE ? milestone.shortName() : milestone.title(),
                moment.outcome(),
                moment.madeThePass());
    }

    private List<TryView> views(
            UUID programId,
            List<HeardAttempt> heard,
            Milestone milestone,
            Map<UUID, String> hearers,
            Map<UUID, String> classNames) {
        Set<UUID> corrected =
                heard.stream().flatMap(h -> h.attempt().corrects().stream()).collect(Collectors.toSet());
        return heard.stream()
                .map(h -> tryView(
                        h,
                        asHeard(programId, milestone, h.attempt().milestoneVersion()),
                        corrected,
                        hearers,
                        classNames))
                .toList();
    }

    /** A test is scored by the rubric it was heard against. */
    private Milestone asHeard(UUID programId, Milestone newest, int version) {
        return !newest.kind().isGraded() || version == newest.version()
                ? newest
                : library.milestone(programId, newest.id(), version);
    }

    private static BeltView belt(Belt belt, Map<UUID, BeltLook> looks) {
        return BeltView.of(belt, looks.get(belt.id()));
    }

    private static TryView tryView(
            HeardAttempt heard,
            Milestone asHeard,
            Set<UUID> corrected,
            Map<UUID, String> hearers,
            Map<UUID, String> classNames) {
        var attempt = heard.attempt();
        boolean scored = asHeard.kind().isGraded() && !attempt.marks().isEmpty();
        return new TryView(
                attempt.id(),
                attempt.heardOn(),
                attempt.recordedAt().atOffset(java.time.ZoneOffset.UTC),
                attempt.outcome(),
                attempt.evidence(),
                classNames.getOrDefault(attempt.classId(), ""),
                hearers.getOrDefault(heard.heardBy(), "") + (heard.asSubstitute() ? ", substitute teacher" : ""),
                scored
                        ? (Double) RubricScore.of(asHeard.criteria(), attempt.marks())
                                .points()
                        : null,
                heard.reason(),
                heard.beside().note(),
                heard.beside().faults().stream()
                        .map(fault -> HeardFaultView.of(fault.sign(), fault.measure()))
                        .toList(),
                heard.beside().tempoBpm().orElse(null),
                Optional.of(heard.beside().substitute())
                        .filter(piece -> !piece.isEmpty())
                        .orElse(null),
                corrected.contains(attempt.id()),
                attempt.corrects().orElse(null),
                heard.deviceSaid()
                        .map(at -> at.atOffset(java.time.ZoneOffset.UTC))
                        .orElse(null));
    }
}
