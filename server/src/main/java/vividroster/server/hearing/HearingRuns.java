package vividroster.server.hearing;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.AttemptLedger;
import vividroster.core.progress.Trail;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.testing.HearingPace;
import vividroster.core.testing.HearingQueue;
import vividroster.core.testing.HearingTime;
import vividroster.core.testing.PlayingTest;
import vividroster.server.attendance.Absences;
import vividroster.server.checks.Checks;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.library.TestFacts;
import vividroster.server.lines.LineTimes;
import vividroster.server.lines.LineTimes.Timed;
import vividroster.server.platform.SignedIn;
import vividroster.server.playingtests.PlayingTests;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.Student;
import vividroster.server.wellbeing.PainReports;

/** Who is heard in a run, in which order, and how long it takes. */
@Service
public class HearingRuns {

    /** A paper is written by everybody at once; handing it in takes a moment. Ours, to be tuned. */
    private static final Duration COLLECTED = Duration.ofSeconds(5);

    /** A look at one criterion of a technique check. */
    private static final int SECONDS_PER_CRITERION = 6;

    private final AttemptQueries queries;
    private final TrailQueries trails;
    private final Rosters rosters;
    private final Library library;
    private final InstrumentCatalog catalog;
    private final HearingTime time;
    private final LineTimes lineTimes;
    private final PlayingTests playingTests;
    private final Checks checks;
    private final Absences absences;
    private final PainReports pain;

    HearingRuns(
            AttemptQueries queries,
            TrailQueries trails,
            Rosters rosters,
            Library library,
            InstrumentCatalog catalog,
            HearingTime time,
            LineTimes lineTimes,
            PlayingTests playingTests,
            Checks checks,
            Absences absences,
            PainReports pain) {
        this.absences = absences;
        this.pain = pain;
        this.checks = checks;
        this.lineTimes = lineTimes;
        this.playingTests = playingTests;
        this.queries = queries;
        this.trails = trails;
        this.rosters = rosters;
        this.library = library;
        this.catalog = catalog;
        this.time = time;
    }

    /** A student in a scope with the seat that brought them there and the other classes they sit in. */
    public record Seated(Student student, Seat seat, Set<UUID> otherClasses) {
        public Player player() {
            return new Player(student.id(), seat.instrument());
        }
    }

    /** The students of a scope in score order, each once, although some sit in two of its classes. */
    @Transactional(readOnly = true)
    public List<Seated> seated(UUID programId, List<Seat> seats, SectionScope scope, LocalDate on) {
        Set<UUID> ids = seats.stream().map(Seat::studentId).collect(Collectors.toSet());
        return seated(rosters.students(programId, ids), seats, scope, on);
    }

    private List<Seated> seated(Map<UUID, Student> students, List<Seat> seats, SectionScope scope, LocalDate on) {
        Map<UUID, List<Seat>> byStudent =
                seats.stream().filter(seat -> seat.isHeldOn(on)).collect(Collectors.groupingBy(Seat::studentId));
        Comparator<Seated> scoreOrder = Comparator.<Seated>comparingInt(
                        s -> catalog.withCode(s.seat().instrument()).scoreRank())
                .thenComparing(s -> s.seat().division())
                .thenComparing(s -> s.student().sortName())
                .thenComparing(s -> s.student().id());
        return byStudent.entrySet().stream()
                .flatMap(entry -> entry.getValue().stream()
                        .filter(seat -> scope.holds(seat, catalog))
                        .min(Comparator.comparing(Seat::startsOn).thenComparing(Seat::classId))
                        .map(seat -> new Seated(
                                students.get(entry.getKey()),
                                seat,
                                entry.getValue().stream()
                                        .map(Seat::classId)
                                        .filter(id -> !id.equals(seat.classId()))
                                        .collect(Collectors.toSet())))
                        .stream())
                .sorted(scoreOrder)
                .toList();
    }

    /** The students of each class in score order; who sits in two classes stands in both. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Seated>> seatedByClass(UUID programId, List<Seat> seats, LocalDate on) {
        Map<UUID, Student> students =
                rosters.students(programId, seats.stream().map(Seat::studentId).collect(Collectors.toSet()));
        return seats.stream()
                .map(Seat::classId)
                .distinct()
                .collect(Collectors.toMap(id -> id, id -> seated(students, seats, new SectionScope.Tutti(id), on)));
    }

    /** @param lastHeardOn last day each student played for anyone, students never heard left out */
    public record Queue(HearingQueue called, Map<UUID, LocalDate> lastHeardOn) {}

    /**
     * What keeps students from being called today, whatever is heard.
     *
     * @param away students away, by class
     * @param resting who does not play the instrument until somebody has asked
     */
    public record Today(Map<UUID, Set<UUID>> away, Set<Player> resting, HearingQueue.Policy policy) {

        private boolean isAway(Seated seated) {
            return away.getOrDefault(seated.seat().classId(), Set.of())
                    .contains(seated.student().id());
        }

        /** How many of them a run with a milestone would call. */
        public int toCall(Sheet sheet, Collection<Seated> rows, UUID milestoneId) {
            return (int) rows.stream()
                    .filter(seated -> !HearingQueue.isSettled(sheet.standing(seated.player(), milestoneId)))
                    .filter(seated -> HearingQueue.leftOut(
                                    sheet.call(seated.player(), milestoneId),
                                    isAway(seated),
                                    resting.contains(seated.player()),
                                    policy)
                            .isEmpty())
                    .count();
        }
    }

    @Transactional(readOnly = true)
    public Today today(UUID programId, Collection<Seated> rows, LocalDate on) {
        Set<UUID> classIds = rows.stream().map(row -> row.seat().classId()).collect(Collectors.toSet());
        Set<UUID> studentIds = rows.stream().map(row -> row.student().id()).collect(Collectors.toSet());
        return new Today(
                absences.on(programId, classIds, on),
                pain.open(programId, studentIds).stream()
                        .map(report -> new Player(report.studentId(), report.instrument()))
                        .collect(Collectors.toSet()),
                checks.calling(programId));
    }

    /** Who is called with a milestone. */
    @Transactional(readOnly = true)
    public Queue queue(UUID programId, List<Seated> inSeating, Milestone milestone, Sheet sheet) {
        Today today = today(programId, inSeating, sheet.on());
        List<UUID> ids = inSeating.stream().map(s -> s.student().id()).toList();
        Map<UUID, List<Trail>> ofStudents = trails.findAll(programId, ids);
        Map<UUID, LocalDate> lastHeard = lastHeard(ofStudents, sheet.on());
        Optional<UUID> firstLastTime = firstOfLastRun(programId, ofStudents, sheet.on());
        return new Queue(
                HearingQueue.of(
                        inSeating.stream()
                                .map(seated -> new HearingQueue.Candidate(
                                        seated.student().id(),
                                        sheet.call(seated.player(), milestone.id()),
                                        Optional.ofNullable(
                                                lastHeard.get(seated.student().id())),
                                        firstLastTime.equals(
                                                Optional.of(seated.student().id())),
                                        today.isAway(seated),
                                        today.resting().contains(seated.player())))
                                .toList(),
                        today.policy()),
                lastHeard);
    }

    /** The last day up to a day on which each of these students played for anyone; who never did is left out. */
    @Transactional(readOnly = true)
    public Map<UUID, LocalDate> lastHeard(UUID programId, Collection<UUID> studentIds, LocalDate on) {
        return lastHeard(trails.findAll(programId, studentIds), on);
    }

    private static Map<UUID, LocalDate> lastHeard(Map<UUID, List<Trail>> trails, LocalDate on) {
        Map<UUID, LocalDate> last = new HashMap<>();
        trails.forEach((student, ofStudent) -> ofStudent.stream()
                .flatMap(trail -> trail.lastTriedOn(on).stream())
                .max(Comparator.naturalOrder())
                .ifPresent(day -> last.put(student, day)));
        return last;
    }

    /** Who of these students was heard first on the last day before a day when any of them was heard. */
    private Optional<UUID> firstOfLastRun(UUID programId, Map<UUID, List<Trail>> ofStudents, LocalDate before) {
        return lastHeard(ofStudents, before.minusDays(1)).values().stream()
                .max(Comparator.naturalOrder())
                .flatMap(day -> AttemptLedger.standing(queries.findOnDay(programId, ofStudents.keySet(), day)).stream()
                        .filter(attempt -> attempt.outcome().isTry())
                        .findFirst()
                        .map(Attempt::studentId));
    }

    /** 1 or 2, as the programme counts in. */
    @Transactional(readOnly = true)
    public int countInMeasures(UUID programId) {
        return lineTimes.countInMeasures(programId);
    }

    /** How long students take with a milestone today, as this listener goes on. */
    @Transactional(readOnly = true)
    public HearingPace pace(SignedIn person, Collection<UUID> classIds, Milestone milestone, LocalDate on) {
        return HearingPace.of(
                perStudent(person.programId(), milestone),
                queries.findMoments(person.programId(), classIds, on, milestone.id(), person.accountId()));
    }

    /** How long one student takes with this milestone. */
    @Transactional(readOnly = true)
    public Duration perStudent(UUID programId, Milestone milestone) {
        return perStudent(programId, List.of(milestone)).get(milestone.id());
    }

    /** How long one student takes with each of these milestones, by id. */
    @Transactional(readOnly = true)
    public Map<UUID, Duration> perStudent(UUID programId, Collection<Milestone> milestones) {
        Map<UUID, TestFacts> tests =
                library.tests(programId, milestones.stream().map(Milestone::id).toList());
        Map<UUID, UUID> lineIds = milestones.stream()
                .collect(Collectors.toMap(
                        Milestone::id,
                        m -> Optional.ofNullable(tests.get(m.id()))
                                .flatMap(TestFacts::lineId)
                                .orElse(m.id())));
        Map<UUID, PlayingTest> built = tests.isEmpty() ? Map.of() : playingTests.of(programId, tests);
        Set<UUID> played = new HashSet<>(lineIds.values());
        built.values().forEach(test -> test.parts().forEach(part -> played.add(part.milestoneId())));
        Map<UUID, LineFacts> lines = library.lines(programId, played);
        Map<UUID, Timed> timed = lineTimes.timed(programId, lines.keySet());
        int countIn = timed.isEmpty()
                ? lineTimes.countInMeasures(programId)
                : timed.values().iterator().next().countInMeasures();
        return milestones.stream().collect(Collectors.toMap(Milestone::id, m -> {
            if (built.containsKey(m.id())) {
                return time.ofPlaying(PlayingTests.seconds(built.get(m.id()), lines, timed));
            }
            if (m.kind() == MilestoneKind.WRITTEN_CHECK) {
                return COLLECTED;
            }
            LineFacts line = lines.get(lineIds.get(m.id()));
            if (line == null) {
                return time.ofCheck(Math.max(1, m.criteria().size()), SECONDS_PER_CRITERION);
            }
            Optional<Double> seconds =
                    Optional.ofNullable(timed.get(line.milestoneId())).flatMap(Timed::playingSeconds);
            return seconds.map(time::ofPlaying)
                    .orElseGet(() -> time.ofFacts(line.played(), line.meter(), line.tempo(), countIn));
        }));
    }
}
