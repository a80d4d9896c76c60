package vividroster.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.plan.Plan;
import vividroster.core.plan.PlanMilestone;
import vividroster.core.plan.PlanMoves;
import vividroster.core.plan.PlanReason;
import vividroster.core.plan.PlanReasons;
import vividroster.core.plan.Planner;
import vividroster.core.roster.Seat;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.season.PlanViews.PlanView;
import vividroster.server.season.PlanViews.PointsView;
import vividroster.server.season.PlanViews.SharedClassView;
import vividroster.server.season.PlanViews.TargetView;
import vividroster.server.season.PlanYearQueries.SectionOf;
import vividroster.server.season.PlanYearQueries.Settings;

/** The plan of a year as a director looks at it and changes it by hand. */
@Service
class SeasonPlans {

    private final PlanYears plans;
    private final PlanItemQueries items;
    private final PlanYearQueries years;
    private final ProposalQueries proposals;
    private final Rosters rosters;
    private final Locks locks;
    private final Progress progress;

    SeasonPlans(
            PlanYears plans,
            PlanItemQueries items,
            PlanYearQueries years,
            ProposalQueries proposals,
            Rosters rosters,
            Locks locks,
            Progress progress) {
        this.progress = progress;
        this.plans = plans;
        this.items = items;
        this.years = years;
        this.proposals = proposals;
        this.rosters = rosters;
        this.locks = locks;
    }

    @Transactional(readOnly = true)
    PlanView view(UUID programId, Collection<UUID> classIds) {
        SeasonYear season = plans.of(programId, classIds);
        Plan plan = Planner.look(season.problem(), season.problem().today());
        PlanPictures picture = new PlanPictures(season, plan, carried(programId, season));
        return new PlanView(
                season.revision(),
                season.monday(season.firstFree()),
                season.settings().rules().maxNewNotes(),
                season.settings().rules().fullPercent(),
                picture.weeks(),
                picture.classes(),
                picture.items(),
                new PointsView(plan.points().total(), plan.points().parts()),
                picture.problems(),
                shared(programId, season),
                proposals.findWaiting(
                        programId,
                        season.yearId(),
                        season.classes().stream().map(SchoolClass::id).toList()));
    }

    /** How many milestones the students of each section carry over, by the rule that carries them: open past their due day. */
    private Map<SectionOf, Integer> carried(UUID programId, SeasonYear season) {
        List<Seat> seats = rosters.seatsOfStudentsIn(
                programId, season.classes().stream().map(SchoolClass::id).toList(), season.today());
        Progress.Sheet sheet = progress.sheet(programId, Progress.Question.of(seats, season.today()));
        Map<SectionOf, Integer> carried = new HashMap<>();
        for (Seat seat : seats) {
            if (seat.isHeldOn(season.today())) {
                int open = (int) sheet.setFor(new Player(seat.studentId(), seat.instrument())).values().stream()
                        .filter(standing -> standing.carriedOver() && standing.isOpen())
                        .count();
                carried.merge(new SectionOf(seat.classId(), seat.instrument()), open, Integer::sum);
            }
        }
        return carried;
    }

    /** Other classes in which students of these sit too. */
    private List<SharedClassView> shared(UUID programId, SeasonYear season) {
        Set<UUID> shown = season.classes().stream().map(SchoolClass::id).collect(Collectors.toSet());
        List<Seat> seats = rosters.seatsOn(programId, season.today());
        Set<UUID> students = seats.stream()
                .filter(seat -> shown.contains(seat.classId()))
                .map(Seat::studentId)
                .collect(Collectors.toSet());
        Map<UUID, Set<UUID>> others = new HashMap<>();
        seats.stream()
                .filter(seat -> !shown.contains(seat.classId()) && students.contains(seat.studentId()))
                .forEach(seat -> others.computeIfAbsent(seat.classId(), none -> new HashSet<>())
                        .add(seat.studentId()));
        return rosters.classes(programId).stream()
                .filter(one -> others.containsKey(one.id()))
                .map(one -> new SharedClassView(
                        one.id(), one.name(), others.get(one.id()).size()))
                .toList();
    }

    /** @param monday empty where it is taken out of the year */
    record Move(UUID itemId, Optional<LocalDate> monday, boolean pinned) {}

    /**
     * Puts things into other weeks, all of them or none.
     *
     * @param evenIfBroken also where a hard rule forbids it; the plan then says so
     * @return the revision after it
     * @throws Problem where the plan was changed since, or a rule forbids it
     */
    @Transactional
    long move(UUID programId, UUID classId, long revision, List<Move> moves, boolean evenIfBroken) {
        hold(programId);
        SeasonYear season = plans.of(programId, List.of(classId));
        if (isDone(season, moves)) {
            return season.revision();
        }
        refuseOther(season, revision);
        Map<String, Integer> after = new LinkedHashMap<>(season.problem().today());
        for (Move move : moves) {
            SeasonYear.Item item = movable(season, move.itemId());
            if (move.monday().isEmpty()) {
                after.remove(item.id());
                continue;
            }
            int week = season.weekOf(move.monday().get())
                    .orElseThrow(() -> Problem.input("monday", "That week is not of this school year."));
            after.put(item.id(), week);
        }
        if (!evenIfBroken) {
            List<String> moved = moves.stream()
                    .filter(move -> move.monday().isPresent() && !move.pinned())
                    .map(move -> move.itemId().toString())
                    .toList();
            PlanSentences sentences = new PlanSentences(season, after);
            PlanMoves.firstBroken(season.problem(), season.problem().today(), after, moved)
                    .ifPresent(broken -> {
                        throw Problem.input(
                                "monday",
                                PlanNames.capital(sentences.name(broken.milestone()) + " cannot stand there: "
                                        + sentences.of(broken.milestone(), broken.rule()) + "."));
                    });
        }
        moves.forEach(move -> items.updateWeek(
                programId,
                move.itemId(),
                move.monday()
                        .map(day -> season.monday(season.weekOf(day).orElseThrow()))
                        .orElse(null),
                move.pinned() && move.monday().isPresent()));
        return years.nextRevision(programId, season.yearId());
    }

    private static boolean isDone(SeasonYear season, List<Move> moves) {
        return moves.stream()
                .allMatch(move -> season.item(move.itemId().toString())
                        .flatMap(SeasonYear.Item::kept)
                        .filter(kept -> kept.monday().equals(move.monday()) && kept.pinned() == move.pinned())
                        .isPresent());
    }

    private static SeasonYear.Item movable(SeasonYear season, UUID itemId) {
        SeasonYear.Item item = season.item(itemId.toString())
                .filter(one -> one.kept().isPresent())
                .orElseThrow(() -> Problem.notFound("That is not in the plan any more; look at it anew."));
        if (!item.orders().isEmpty()) {
            throw Problem.conflict(PlanNames.capital(item.name())
                    + " is ordered already, and its order stays. Withdraw the order to plan it anew.");
        }
        return item;
    }

    void refuseOther(SeasonYear season, long revision) {
        if (season.revision() != revision) {
            throw Problem.conflict("The plan was changed meanwhile; it is shown as it is now. Make your change again.");
        }
    }

    void hold(UUID programId) {
        locks.hold(programId, "plan");
    }

    /** What a director says of one thing. @param value null and so on where it stays as it is */
    record ItemChange(
            Integer value,
            Boolean essential,
            Integer teachMinutes,
            Boolean heardAlone,
            Optional<LocalDate> notBefore,
            Optional<LocalDate> dueBy,
            int marginWeeks) {}

    @Transactional
    long change(UUID programId, UUID classId, UUID itemId, ItemChange change) {
        hold(programId);
        SeasonYear season = plans.of(programId, List.of(classId));
        KeptItem kept = season.item(itemId.toString())
                .flatMap(SeasonYear.Item::kept)
                .orElseThrow(() -> Problem.notFound("That is not in the plan any more; look at it anew."));
        if (change.notBefore().isPresent()
                && change.dueBy().isPresent()
                && change.dueBy().get().isBefore(change.notBefore().get())) {
            throw Problem.input("dueBy", "It is to be done before it may begin.");
        }
        items.updateSettings(
                programId,
                new KeptItem(
                        kept.id(),
                        kept.ordinal(),
                        kept.kind(),
                        kept.milestoneId(),
                        kept.title(),
                        change.value(),
                        change.essential(),
                        change.teachMinutes(),
                        change.heardAlone(),
                        change.notBefore(),
                        change.dueBy(),
                        change.marginWeeks(),
                        kept.monday(),
                        kept.pinned(),
                        kept.scopes()));
        return years.nextRevision(programId, season.yearId());
    }

    /** Takes things out of what was chosen; what was ordered stays ordered. */
    @Transactional
    long remove(UUID programId, List<UUID> itemIds) {
        hold(programId);
        items.delete(programId, itemIds);
        return years.nextRevision(programId, plans.yearId(programId));
    }

    /** For every week whether some things of a plan may stand there, the first leading, and why not. */
    @Transactional(readOnly = true)
    List<TargetView> targets(UUID programId, UUID classId, List<UUID> itemIds) {
        SeasonYear season = plans.of(programId, List.of(classId));
        List<String> moved =
                itemIds.stream().map(id -> movable(season, id).id()).distinct().toList();
        Map<String, Integer> today = season.problem().today();
        List<TargetView> targets = new ArrayList<>();
        for (PlanMoves.Target target :
                PlanMoves.targets(season.problem().withMilestones(freed(season, moved)), today, moved)) {
            PlanSentences sentences = new PlanSentences(
                    season,
                    PlanMoves.after(season.problem().weeks(), today, moved, target.week())
                            .orElse(today));
            targets.add(new TargetView(
                    season.monday(target.week()),
                    target.broken().isEmpty(),
                    target.broken()
                            .map(broken -> PlanNames.capital(sentences.of(broken.milestone(), broken.rule())
                                    + (moved.size() > 1 ? " (" + sentences.name(broken.milestone()) + ")" : "") + "."))
                            .orElse(null),
                    target.difference().total()));
        }
        return targets;
    }

    /** A pinned one may be moved by whoever pinned it. */
    private static List<PlanMilestone> freed(SeasonYear season, List<String> moved) {
        return season.problem().milestones().stream()
                .map(m -> moved.contains(m.id())
                        ? m.unfixed().notBefore(Math.max(m.earliestWeek(), season.firstFree()))
                        : m)
                .toList();
    }

    /** Why one stands where it stands and not a week earlier or later; of one that stands nowhere, why it does not. */
    @Transactional(readOnly = true)
    List<String> why(UUID programId, UUID classId, String itemId) {
        SeasonYear season = plans.of(programId, List.of(classId));
        SeasonYear.Item item = season.item(itemId)
                .orElseThrow(() -> Problem.notFound("That is not in the plan any more; look at it anew."));
        Plan plan = Planner.look(season.problem(), season.problem().today());
        PlanSentences sentences = new PlanSentences(season, plan.weeks());
        PlanReasons reasons = new PlanReasons(plan);
        return (plan.weeks().containsKey(item.id()) ? reasons.of(item.id()) : List.of(reasons.whyLeftOut(item.id())))
                .stream()
                        .filter(reason -> !(reason instanceof PlanReason.Stays))
                        .map(reason -> PlanNames.capital(sentences.of(item.id(), reason)) + ".")
                        .toList();
    }

    @Transactional
    long pace(UUID programId, SectionOf section, int pacePercent) {
        hold(programId);
        rosters.schoolClass(programId, section.classId());
        UUID yearId = plans.yearId(programId);
        years.putPace(programId, yearId, section, pacePercent);
        return years.nextRevision(programId, yearId);
    }

    @Transactional
    long set(UUID programId, Settings settings) {
        hold(programId);
        years.putSettings(programId, settings);
        return years.nextRevision(programId, plans.yearId(programId));
    }

    @Transactional
    long addMinutes(UUID programId, UUID classId, LocalDate monday, int minutes) {
        hold(programId);
        SeasonYear season = plans.of(programId, List.of(classId));
        int week = season.weekOf(monday)
                .orElseThrow(() -> Problem.input("monday", "That week is not of this school year."));
        years.addExtraMinutes(programId, new PlanYearQueries.WeekOf(classId, season.monday(week)), minutes);
        return years.nextRevision(programId, season.yearId());
    }

    @Transactional(readOnly = true)
    Settings settings(UUID programId) {
        return years.findSettings(programId);
    }
}
