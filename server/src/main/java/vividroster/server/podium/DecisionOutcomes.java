package vividroster.server.podium;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.DecisionOutcome;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.office.Office;
import vividroster.server.podium.DecisionQueries.Kept;
import vividroster.server.roster.Rosters;

/** What was decided about sections, and how it turned out. */
@Service
class DecisionOutcomes {

    /** The latest are looked back at; ours. */
    private static final int MOST = 20;

    private final DecisionQueries queries;
    private final Rosters rosters;
    private final HearingRuns runs;
    private final Progress progress;
    private final Office office;
    private final InstrumentCatalog catalog;

    DecisionOutcomes(
            DecisionQueries queries,
            Rosters rosters,
            HearingRuns runs,
            Progress progress,
            Office office,
            InstrumentCatalog catalog) {
        this.queries = queries;
        this.rosters = rosters;
        this.runs = runs;
        this.progress = progress;
        this.office = office;
        this.catalog = catalog;
    }

    /** @param stillBehind names of those who have not passed yet */
    record TurnedOut(Kept kept, Milestone milestone, DecisionOutcome outcome, List<String> stillBehind) {}

    /** Of a class this school year, the latest first. */
    @Transactional(readOnly = true)
    List<TurnedOut> of(UUID programId, UUID classId, Reach reach) {
        rosters.schoolClass(programId, classId);
        LocalDate on = office.today(programId);
        List<Kept> decided =
                queries.findSince(programId, classId, office.year(programId, on).first(), MOST);
        if (decided.isEmpty()) {
            return List.of();
        }
        SectionScope whole = new SectionScope.Tutti(classId);
        List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, whole, on), catalog);
        List<Seated> rows = runs.seated(programId, seats, whole, on);
        Sheet sheet = progress.sheet(
                programId,
                Question.of(seats, on)
                        .also(decided.stream()
                                .map(one -> one.on().milestoneId())
                                .collect(Collectors.toSet())));
        Map<UUID, Milestone> milestones = sheet.milestones();
        return decided.stream()
                .filter(one -> milestones.containsKey(one.on().milestoneId())
                        && milestones.get(one.on().milestoneId()).kind() != MilestoneKind.BELT)
                .map(one -> turnedOut(one, rows, sheet))
                .toList();
    }

    private static TurnedOut turnedOut(Kept kept, List<Seated> rows, Sheet sheet) {
        UUID milestoneId = kept.on().milestoneId();
        Milestone milestone = sheet.milestones().get(milestoneId);
        LocalDate day = kept.decided().on();
        List<Seated> players = rows.stream()
                .filter(row -> kept.on()
                        .instrument()
                        .map(row.seat().instrument()::equals)
                        .orElse(true))
                .filter(row -> milestone.isFor(row.seat().instrument()))
                .filter(row -> !row.seat().startsOn().isAfter(day))
                .toList();
        List<Standing> then = players.stream()
                .map(row -> sheet.standingOn(row.player(), milestoneId, day))
                .toList();
        List<Standing> since = players.stream()
                .map(row -> sheet.standing(row.player(), milestoneId))
                .toList();
        return new TurnedOut(
                kept,
                milestone,
                DecisionOutcome.of(kept.advised(), kept.decided().verdict(), then, since, day, sheet.on()),
                players.stream()
                        .filter(row ->
                                !sheet.standing(row.player(), milestoneId).fillsSlot())
                        .map(row -> row.student().name())
                        .toList());
    }
}
