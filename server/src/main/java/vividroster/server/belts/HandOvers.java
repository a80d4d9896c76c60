package vividroster.server.belts;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BeltLadder.Earned;
import vividroster.core.progress.BeltProgress;
import vividroster.core.progress.HandOver;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Seat;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Hearing;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.office.Office;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.Student;

/** The director says that belts were put round somebody; only what is earned can be. */
@Service
public class HandOvers {

    private final HandOverQueries queries;
    private final Rosters rosters;
    private final Progress progress;
    private final Hearing hearing;
    private final Office office;

    HandOvers(HandOverQueries queries, Rosters rosters, Progress progress, Hearing hearing, Office office) {
        this.queries = queries;
        this.rosters = rosters;
        this.progress = progress;
        this.hearing = hearing;
        this.office = office;
    }

    /**
     * All of them or none. What was handed over before stays as it was.
     *
     * @throws Problem where a belt is not earned, the day is to come or long ago, or another hand-over has one of the ids
     */
    @Transactional
    void handOver(SignedIn person, List<HandOver> belts, LocalDate on) {
        UUID programId = person.programId();
        LocalDate today = office.today(programId);
        if (on.isAfter(today)) {
            throw Problem.input("handedOn", "A belt is handed over today or was on an earlier day.");
        }
        if (on.isBefore(today.minusYears(1))) {
            throw Problem.input("handedOn", "That is more than a year ago.");
        }
        Set<UUID> ids = belts.stream().map(HandOver::studentId).collect(Collectors.toSet());
        Map<UUID, Student> students = rosters.students(programId, ids);
        List<Seat> seats = rosters.seatsOf(programId, ids);
        Sheet sheet = progress.sheet(programId, Question.of(seats, today).withBelts());
        for (int i = 0; i < belts.size(); i++) {
            HandOver one = belts.get(i);
            if (!students.containsKey(one.studentId())) {
                throw Problem.input("belts[" + i + "].studentId", "There is no such student.");
            }
            Belt belt = sheet.belts().stream()
                    .filter(there -> there.id().equals(one.beltId()))
                    .findFirst()
                    .orElseThrow(() -> Problem.notFound("There is no such belt."));
            Player player = new Player(one.studentId(), one.instrument());
            if (BeltBoards.earned(player, sheet).stream()
                    .noneMatch(earned -> earned.belt().id().equals(belt.id()))) {
                String lacking = BeltProgress.of(
                                belt, player.instrument(), sheet.standings().getOrDefault(player, Map.of()))
                        .missing()
                        .stream()
                        .map(id -> BeltBoards.name(sheet.milestones().get(id)))
                        .collect(Collectors.joining(", "));
                throw Problem.input(
                        "belts[" + i + "].beltId",
                        students.get(one.studentId()).name() + " has not earned " + belt.name()
                                + (lacking.isEmpty() ? "." : ": " + lacking + " to go.")
                                + " Nothing was handed over.");
            }
        }
        belts.forEach(one -> keep(programId, one, person.accountId()));
    }

    private void keep(UUID programId, HandOver handOver, UUID accountId) {
        if (!queries.insert(programId, handOver, accountId)
                && queries.findOne(programId, handOver.id())
                        .filter(there -> !there.equals(handOver))
                        .isPresent()) {
            throw Problem.conflict("Another hand-over has this id already; nothing was changed.");
        }
    }

    /** Says that it was not handed over after all; what was earned stays. */
    @Transactional
    void takeBack(UUID programId, UUID id) {
        if (!queries.delete(programId, id)) {
            throw Problem.notFound("This was taken back already.");
        }
    }

    /** What everybody had earned by a day was handed over on the Friday after; for data that was checked where it was made. */
    @Transactional
    public void loadEarnedBy(UUID programId, UUID accountId, LocalDate until) {
        LocalDate today = office.today(programId);
        List<Seat> seats = rosters.seatsOn(programId, today);
        Sheet sheet = progress.sheet(programId, Question.of(seats, today).withBelts());
        sheet.standings()
                .keySet()
                .forEach(player -> BeltBoards.earned(player, sheet).stream()
                        .filter(earned ->
                                earned.on().map(on -> !on.isAfter(until)).orElse(false))
                        .forEach(earned -> queries.insert(
                                programId,
                                new HandOver(
                                        Ids.next(),
                                        player.studentId(),
                                        earned.belt().id(),
                                        player.instrument(),
                                        earned.on().orElseThrow().with(TemporalAdjusters.nextOrSame(DayOfWeek.FRIDAY)),
                                        "end of class"),
                                accountId)));
    }

    /** @param handed whether it was put round the student */
    record Touched(Earned earned, boolean handed) {}

    /** Belts a student would no longer have earned were an attempt taken back, from the lowest up. */
    @Transactional(readOnly = true)
    List<Touched> touchedBy(UUID programId, UUID attemptId) {
        HeardAttempt heard = hearing.attempt(programId, attemptId);
        UUID studentId = heard.attempt().studentId();
        UUID milestoneId = heard.attempt().milestoneId();
        InstrumentCode instrument = heard.attempt().instrument();
        Player player = new Player(studentId, instrument);
        Sheet sheet = progress.sheet(
                programId,
                Question.of(rosters.seatsOf(programId, studentId), office.today(programId))
                        .withBelts()
                        .also(Set.of(milestoneId)));
        Standing without = sheet.standingOf(
                player,
                milestoneId,
                hearing.standing(programId, Set.of(studentId), milestoneId).stream()
                        .map(HeardAttempt::attempt)
                        .filter(attempt -> !attempt.id().equals(attemptId))
                        .toList());
        Set<UUID> left = BeltBoards.earned(player, sheet.with(player, milestoneId, without)).stream()
                .map(earned -> earned.belt().id())
                .collect(Collectors.toCollection(HashSet::new));
        Set<UUID> handed = queries.find(programId, Set.of(studentId)).stream()
                .filter(one -> one.instrument().equals(instrument))
                .map(HandOver::beltId)
                .collect(Collectors.toSet());
        return BeltBoards.earned(player, sheet).stream()
                .filter(earned -> !left.contains(earned.belt().id()))
                .map(earned -> new Touched(earned, handed.contains(earned.belt().id())))
                .toList();
    }
}
