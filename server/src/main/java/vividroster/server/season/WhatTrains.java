package vividroster.server.season;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.Plan;
import vividroster.core.plan.PlanItem;
import vividroster.core.plan.Planner;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.testing.HearingTime;
import vividroster.core.testing.TrainingTopics;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Checks.FirstCheck;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;
import vividroster.server.season.PlanViews.PlanClassView;
import vividroster.server.season.PlanViews.PlanWeekView;

/** The technique check that trains what a section is weakest in, with its minutes and a week that has them. */
@Service
class WhatTrains {

    private final Library library;
    private final Checks checks;
    private final Rosters rosters;
    private final Progress progress;
    private final HearingRuns runs;
    private final PlanYears plans;
    private final Office office;
    private final InstrumentCatalog catalog;

    WhatTrains(
            Library library,
            Checks checks,
            Rosters rosters,
            Progress progress,
            HearingRuns runs,
            PlanYears plans,
            Office office,
            InstrumentCatalog catalog) {
        this.library = library;
        this.checks = checks;
        this.rosters = rosters;
        this.progress = progress;
        this.runs = runs;
        this.plans = plans;
        this.office = office;
        this.catalog = catalog;
    }

    /**
     * @param passed students of the section who have it already; of students
     * @param minutes of teaching it once and hearing everybody
     * @param monday of the first week after this one that has them; empty where none has
     */
    record Training(Milestone check, int passed, int students, int minutes, Optional<LocalDate> monday) {}

    /** @param ordinal of the criterion; empty where no check on the shelf trains it */
    @Transactional(readOnly = true)
    Optional<Training> of(UUID programId, UUID testId, int ordinal, UUID classId, InstrumentCode instrument) {
        Milestone test = library.milestone(programId, testId);
        Criterion criterion = test.criteria().stream()
                .filter(one -> one.ordinal() == ordinal)
                .findFirst()
                .orElseThrow(() -> Problem.input("ordinal", "The test has no criterion " + ordinal + "."));
        List<CheckTopic> topics =
                TrainingTopics.of(criterion.name(), catalog.withCode(instrument).family());
        LocalDate today = office.today(programId);
        List<Seat> seats = rosters
                .seatsOfStudentsIn(programId, new SectionScope.Section(classId, instrument, Optional.empty()), today)
                .stream()
                .filter(seat ->
                        seat.classId().equals(classId) && seat.instrument().equals(instrument) && seat.isHeldOn(today))
                .toList();
        List<Milestone> training = checks.firstChecks(programId, List.of(instrument)).stream()
                .filter(one -> one.milestoneId().isPresent()
                        && topics.contains(one.check().topic())
                        && (one.check().instruments().isEmpty()
                                || one.check().instruments().contains(instrument)))
                .sorted(Comparator.comparingInt(
                        one -> topics.indexOf(one.check().topic())))
                .map(FirstCheck::milestoneId)
                .flatMap(Optional::stream)
                .map(id -> library.milestone(programId, id))
                .toList();
        if (training.isEmpty() || seats.isEmpty()) {
            return Optional.empty();
        }
        Progress.Sheet sheet = progress.sheet(
                programId,
                Progress.Question.of(seats, today)
                        .also(training.stream().map(Milestone::id).toList()));
        Milestone check = training.stream()
                .filter(one -> passed(sheet, seats, one) * 2 < seats.size())
                .findFirst()
                .orElseGet(() -> training.stream()
                        .min(Comparator.comparingInt(one -> passed(sheet, seats, one)))
                        .orElseThrow());
        int minutes = PlanItem.Kind.TECHNIQUE_CHECK.usualMinutes
                + HearingTime.wholeMinutes(runs.perStudent(programId, check).toSeconds() * seats.size());
        return Optional.of(new Training(
                check, passed(sheet, seats, check), seats.size(), minutes, week(programId, classId, minutes)));
    }

    private static int passed(Progress.Sheet sheet, List<Seat> seats, Milestone check) {
        return (int) seats.stream()
                .filter(seat -> sheet.standing(new Player(seat.studentId(), seat.instrument()), check.id())
                        .isPassed())
                .count();
    }

    /** The first week from the next one on with so many minutes left. */
    private Optional<LocalDate> week(UUID programId, UUID classId, int minutes) {
        SeasonYear season = plans.of(programId, List.of(classId));
        Plan plan = Planner.look(season.problem(), season.problem().today());
        PlanPictures picture = new PlanPictures(season, plan, Map.of());
        List<PlanWeekView> weeks = picture.weeks();
        PlanClassView one = picture.classes().getFirst();
        LocalDate today = office.today(programId);
        for (int i = 0; i < weeks.size() && i < one.minutes().size(); i++) {
            if (weeks.get(i).monday().isAfter(today)
                    && !weeks.get(i).closed()
                    && one.minutes().get(i).there() - one.minutes().get(i).wanted() >= minutes) {
                return Optional.of(weeks.get(i).monday());
            }
        }
        return Optional.empty();
    }
}
