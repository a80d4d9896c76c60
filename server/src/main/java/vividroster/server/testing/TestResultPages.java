package vividroster.server.testing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.AttemptLedger;
import vividroster.core.progress.Capped;
import vividroster.core.progress.CriterionMark;
import vividroster.core.progress.FaultCounts;
import vividroster.core.progress.FaultCounts.FaultyTry;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Assignment;
import vividroster.core.testing.CountedScore;
import vividroster.core.testing.PlayingTest;
import vividroster.core.testing.ScoredTries;
import vividroster.core.testing.TestComparison;
import vividroster.core.testing.TestResults;
import vividroster.core.testing.TestResults.Heard;
import vividroster.core.testing.TestResults.OfCriterion;
import vividroster.core.testing.TestResults.OfStudent;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Hearing;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.library.TestFacts;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.playingtests.PlayingTests;
import vividroster.server.playingtests.TestWording;
import vividroster.server.roster.Rosters;
import vividroster.server.testing.TestResultViews.ComparedView;
import vividroster.server.testing.TestResultViews.ComparisonView;
import vividroster.server.testing.TestResultViews.CriterionResultView;
import vividroster.server.testing.TestResultViews.FailedView;
import vividroster.server.testing.TestResultViews.PointsCountView;
import vividroster.server.testing.TestResultViews.StudentResultView;
import vividroster.server.testing.TestResultViews.TestResultsView;

/** How sections stand in a test: told from the tries that stand, the last of each student. */
@Service
class TestResultPages {

    /** Tries of one student with one test that are looked at. */
    private static final int MOST_TRIES = 12;
    /** Places where it failed that are shown. */
    private static final int MOST_FAILED = 6;

    private final Hearing hearing;
    private final HearingRuns runs;
    private final Progress progress;
    private final Rosters rosters;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;
    private final TestScores scores;
    private final PlayingTests tests;
    private final ResultListeners listeners;

    TestResultPages(
            Hearing hearing,
            HearingRuns runs,
            Progress progress,
            Rosters rosters,
            Library library,
            Office office,
            InstrumentCatalog catalog,
            TestScores scores,
            PlayingTests tests,
            ResultListeners listeners) {
        this.listeners = listeners;
        this.scores = scores;
        this.tests = tests;
        this.hearing = hearing;
        this.runs = runs;
        this.progress = progress;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
    }

    /**
     * What is known of everybody in the class.
     *
     * @param tries with marks that stand, by student, in the order heard
     * @param waiting names of those whom the other listener has still to hear, who have no tries here
     * @param all attempts by id, corrected ones among them
     */
    private record Known(
            Milestone milestone,
            List<Seated> rows,
            Sheet sheet,
            Map<UUID, List<HeardAttempt>> tries,
            Map<TestScores.Of, TestScores.Score> scores,
            List<String> waiting,
            Map<UUID, HeardAttempt> all) {

        List<Heard> heard(Collection<Seated> of) {
            return of.stream()
                    .filter(row -> tries.containsKey(row.student().id()))
                    .map(row -> new Heard(
                            row.student().id(),
                            tries.get(row.student().id()).getLast().attempt().marks(),
                            sheet.standing(row.player(), milestone.id()).isPassed()))
                    .toList();
        }

        int mark() {
            return milestone.passRule() instanceof PassRule.ScoreAtLeast score ? score.mark() : 0;
        }

        TestResults results(Collection<Seated> of) {
            return TestResults.of(milestone.criteria(), mark(), heard(of));
        }
    }

    /** @throws Problem where it has no criteria, or is for nobody there */
    @Transactional(readOnly = true)
    TestResultsView of(SignedIn person, UUID milestoneId, SectionScope scope) {
        UUID programId = person.programId();
        Milestone milestone = library.milestone(programId, milestoneId);
        if (milestone.kind() == MilestoneKind.BELT || milestone.criteria().isEmpty()) {
            throw Problem.input(
                    "milestoneId", "It is heard by ear alone, without criteria; the board shows who has it.");
        }
        LocalDate today = office.today(programId);
        Known known = known(person, milestone, wholeClass(scope), today);
        List<Seated> rows = known.rows().stream()
                .filter(row -> scope.holds(row.seat(), catalog))
                .toList();
        if (rows.isEmpty()) {
            throw Problem.input("scope", "Nobody there can take this: it is for other instruments.");
        }
        TestResults results = known.results(rows);
        TestResults ofClass = known.results(known.rows());
        Map<UUID, Seated> byId = known.rows().stream()
                .collect(Collectors.toMap(row -> row.student().id(), Function.identity()));
        List<HeardAttempt> counted = rows.stream()
                .flatMap(row ->
                        Optional.ofNullable(known.tries().get(row.student().id())).stream())
                .map(List::getLast)
                .toList();
        return new TestResultsView(
                milestone.id(),
                milestone.kind(),
                milestone.title(),
                Optional.ofNullable(
                                library.tests(programId, List.of(milestoneId)).get(milestoneId))
                        .flatMap(TestFacts::lineId)
                        .orElse(null),
                scope instanceof SectionScope.Section section ? section.instrument() : null,
                known.mark() == 0 ? null : known.mark(),
                milestone.criteria().stream().mapToInt(Criterion::topPoints).sum(),
                results.students().size(),
                results.passed(),
                rows.size() - results.students().size(),
                criteria(milestone, results, ofClass),
                results.weakest().isPresent() ? results.weakest().getAsInt() : null,
                weakestToo(known, rows, results.weakest()),
                results.students().stream()
                        .map(one -> student(one, byId.get(one.studentId()), known))
                        .toList(),
                failed(counted),
                listeners.agreement(programId, milestone, heardOf(rows, known), byId),
                distribution(known, results, ofClass),
                compared(known, rows),
                known.waiting(),
                listeners.toAgree(programId, milestone, heardOf(rows, known), byId));
    }

    /** The class of a part of it; where the part is of several classes, all of them. */
    private static SectionScope wholeClass(SectionScope scope) {
        return switch (scope) {
            case SectionScope.Tutti tutti -> tutti;
            case SectionScope.FamilyOfClass family -> new SectionScope.Tutti(family.classId());
            case SectionScope.Section section -> new SectionScope.Tutti(section.classId());
            case SectionScope.Newcomers newcomers -> new SectionScope.Tutti(newcomers.classId());
            case SectionScope.InstrumentAcrossClasses across -> across;
        };
    }

    private Known known(SignedIn person, Milestone milestone, SectionScope scope, LocalDate today) {
        UUID programId = person.programId();
        List<Seat> seats = rosters.seatsOfStudentsIn(programId, scope, today);
        List<Seated> rows = runs.seated(programId, seats, scope, today).stream()
                .filter(row -> milestone.isFor(row.seat().instrument()))
                .toList();
        Map<Player, Set<UUID>> asked = new HashMap<>();
        rows.forEach(row -> asked.put(row.player(), Set.of(milestone.id())));
        Map<UUID, HeardAttempt> all = hearing.latest(programId, asked, MOST_TRIES).stream()
                .collect(Collectors.toMap(h -> h.attempt().id(), Function.identity()));
        Map<Integer, Boolean> alike = new HashMap<>();
        Map<UUID, List<HeardAttempt>> tries =
                AttemptLedger.standing(
                                all.values().stream().map(HeardAttempt::attempt).toList())
                        .stream()
                        .filter(attempt -> attempt.outcome().isTry()
                                && !attempt.marks().isEmpty()
                                && alike.computeIfAbsent(
                                        attempt.milestoneVersion(), version -> isAlike(programId, milestone, version)))
                        .map(attempt -> all.get(attempt.id()))
                        .collect(Collectors.groupingBy(h -> h.attempt().studentId()));
        int listeners =
                tests.of(programId, milestone.id()).map(PlayingTest::listeners).orElse(1);
        List<String> waiting = new ArrayList<>();
        for (Seated row : rows) {
            List<HeardAttempt> own = tries.getOrDefault(row.student().id(), List.of());
            if (!own.isEmpty() && waits(own, all, person.accountId(), listeners, today)) {
                waiting.add(row.student().name());
                tries.remove(row.student().id());
            }
        }
        Sheet sheet = progress.sheet(programId, Question.of(seats, today, milestone.id()));
        Map<TestScores.Of, Optional<LocalDate>> dueOn = new HashMap<>();
        rows.forEach(row -> dueOn.put(
                new TestScores.Of(row.player(), milestone.id()),
                Optional.ofNullable(sheet.assigned(row.player()).get(milestone.id()))
                        .map(Assignment::dueOn)));
        return new Known(
                milestone,
                rows,
                sheet,
                tries,
                scores.of(programId, dueOn, Map.of(milestone.id(), milestone), today),
                waiting,
                all);
    }

    /** Whether somebody else scored the playing of today, and this person has still to. */
    private static boolean waits(
            List<HeardAttempt> tries, Map<UUID, HeardAttempt> all, UUID listener, int listeners, LocalDate today) {
        return ScoredTries.waitsFor(
                tries.stream()
                        .filter(heard -> heard.attempt().heardOn().equals(today))
                        .map(heard -> heard.listener(all))
                        .toList(),
                listener,
                listeners);
    }

    private static List<CriterionResultView> criteria(Milestone milestone, TestResults results, TestResults ofClass) {
        List<CriterionResultView> views = new ArrayList<>();
        for (int i = 0; i < milestone.criteria().size(); i++) {
            Criterion criterion = milestone.criteria().get(i);
            OfCriterion of = results.criteria().get(i);
            views.add(new CriterionResultView(
                    criterion.ordinal(),
                    criterion.name(),
                    criterion.topPoints(),
                    criterion.floorPoints().isPresent()
                            ? criterion.floorPoints().getAsInt()
                            : null,
                    of.counts(),
                    ofClass.criteria().get(i).counts(),
                    of.underFloor()));
        }
        return views;
    }

    private List<String> weakestToo(Known known, List<Seated> rows, OptionalInt weakest) {
        if (weakest.isEmpty()) {
            return List.of();
        }
        Map<InstrumentCode, List<Seated>> sections = known.rows().stream()
                .filter(row -> !rows.contains(row))
                .collect(
                        Collectors.groupingBy(row -> row.seat().instrument(), LinkedHashMap::new, Collectors.toList()));
        return sections.entrySet().stream()
                .filter(entry -> known.results(entry.getValue()).weakest().equals(weakest))
                .map(entry -> catalog.withCode(entry.getKey()).plural())
                .toList();
    }

    private StudentResultView student(OfStudent one, Seated row, Known known) {
        CountedScore score = known.scores()
                .get(new TestScores.Of(row.player(), known.milestone().id()))
                .counted();
        Map<Integer, Integer> points = known.tries().get(one.studentId()).getLast().attempt().marks().stream()
                .collect(Collectors.toMap(CriterionMark::ordinal, CriterionMark::points));
        List<Criterion> criteria = known.milestone().criteria();
        return new StudentResultView(
                one.studentId(),
                row.student().name(),
                catalog.withCode(row.seat().instrument()).name(),
                criteria.stream()
                        .map(criterion -> points.getOrDefault(criterion.ordinal(), 0))
                        .toList(),
                one.points(),
                one.passed(),
                one.missing(),
                criteria.stream()
                        .filter(criterion -> one.underFloor().contains(criterion.ordinal()))
                        .map(Criterion::name)
                        .toList(),
                score.share().isPresent() ? (Double) (Math.round(score.share().getAsDouble() * 1000) / 10.0) : null,
                known.milestone().kind() == MilestoneKind.PLAYING_TEST ? TestWording.standing(score) : "");
    }

    private static List<PointsCountView> distribution(Known known, TestResults results, TestResults ofClass) {
        int top = known.milestone().criteria().stream()
                .mapToInt(Criterion::topPoints)
                .sum();
        return IntStream.rangeClosed(0, top)
                .mapToObj(
                        points -> new PointsCountView(points, withPoints(results, points), withPoints(ofClass, points)))
                .filter(count -> count.ofClass() > 0)
                .toList();
    }

    private static int withPoints(TestResults results, int points) {
        return (int) results.students().stream()
                .filter(student -> (int) student.points() == points)
                .count();
    }

    /** First try beside the last of another day, of those heard again; null where there are none. */
    private static ComparisonView compared(Known known, List<Seated> rows) {
        List<TestComparison.Twice> twice = new ArrayList<>();
        for (Seated row : rows) {
            List<HeardAttempt> own = known.tries().getOrDefault(row.student().id(), List.of());
            if (!own.isEmpty()
                    && !own.getFirst()
                            .attempt()
                            .heardOn()
                            .equals(own.getLast().attempt().heardOn())) {
                twice.add(new TestComparison.Twice(
                        row.student().id(),
                        own.getFirst().attempt().marks(),
                        own.getLast().attempt().marks()));
            }
        }
        if (twice.isEmpty()) {
            return null;
        }
        TestComparison told = TestComparison.of(known.milestone().criteria(), twice);
        return new ComparisonView(
                told.students(),
                told.better(),
                told.worse(),
                told.criteria().stream()
                        .map(one -> new ComparedView(one.ordinal(), tenths(one.before()), tenths(one.after())))
                        .toList());
    }

    private static double tenths(double number) {
        return Math.round(number * 10) / 10.0;
    }

    private static List<FailedView> failed(List<HeardAttempt> counted) {
        return Capped.of(
                        FaultCounts.places(counted.stream()
                                .map(heard -> new FaultyTry(
                                        heard.attempt().studentId(),
                                        heard.attempt().milestoneId(),
                                        heard.attempt().heardOn(),
                                        heard.beside().faults()))
                                .toList()),
                        MOST_FAILED)
                .shown()
                .stream()
                .map(place -> new FailedView(
                        place.measure().isPresent() ? place.measure().getAsInt() : null,
                        place.sign(),
                        place.students()))
                .toList();
    }

    /** What was heard of those shown, corrected attempts among it. */
    private static ResultListeners.HeardOf heardOf(List<Seated> rows, Known known) {
        Map<UUID, List<HeardAttempt>> tries = new LinkedHashMap<>();
        rows.forEach(row -> Optional.ofNullable(known.tries().get(row.student().id()))
                .ifPresent(own -> tries.put(row.student().id(), own)));
        return new ResultListeners.HeardOf(tries, known.all());
    }

    /** Whether an earlier version is scored as the newest: then an edit of anything else hides no result. */
    private boolean isAlike(UUID programId, Milestone newest, int version) {
        if (version == newest.version()) {
            return true;
        }
        Milestone earlier = library.milestone(programId, newest.id(), version);
        return earlier.criteria().equals(newest.criteria())
                && earlier.passRule().equals(newest.passRule());
    }
}
