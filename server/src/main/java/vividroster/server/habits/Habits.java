package vividroster.server.habits;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.MostHelped;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.HabitWatch;
import vividroster.core.progress.HabitWatch.Finding;
import vividroster.core.progress.HabitWatch.Habit;
import vividroster.core.progress.HabitWatch.Look;
import vividroster.core.progress.HabitWatch.Watching;
import vividroster.core.roster.Seat;
import vividroster.server.account.Reaches;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Remedies;
import vividroster.server.habits.HabitQueries.Key;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.office.Office;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** Passed habits that are looked at again while the others play. */
@Service
public class Habits {

    private final HabitQueries queries;
    private final Progress progress;
    private final Checks checks;
    private final Remedies remedies;
    private final Rosters rosters;
    private final Reaches reaches;
    private final Office office;
    private final InstrumentCatalog catalog;
    private final ClientWrites writes;

    Habits(
            HabitQueries queries,
            Progress progress,
            Checks checks,
            Remedies remedies,
            Rosters rosters,
            Reaches reaches,
            Office office,
            InstrumentCatalog catalog,
            ClientWrites writes) {
        this.queries = queries;
        this.progress = progress;
        this.checks = checks;
        this.remedies = remedies;
        this.rosters = rosters;
        this.reaches = reaches;
        this.office = office;
        this.catalog = catalog;
        this.writes = writes;
    }

    /**
     * Habits of several classes on a day.
     *
     * @param of passed habits by student, of what is set for the player
     * @param helped what helped with the lost ones, latest first, by check
     */
    public record Known(
            HabitWatch.Terms terms,
            LocalDate on,
            Map<Player, List<Habit>> of,
            Map<UUID, List<MostHelped.Helped>> helped) {

        /** Whom of a class to look at on the day. */
        public List<Watching> today(Collection<Seated> rows, Set<UUID> away) {
            return HabitWatch.today(habits(rows), terms, on, away);
        }

        /** Habits of a class that were lost and not yet repaired, the longest lost first. */
        public List<Habit> lost(Collection<Seated> rows) {
            return HabitWatch.lost(habits(rows), terms, on);
        }

        /** What to try first to win a lost habit back; empty where nothing is known to have helped. */
        public Optional<String> firstToTry(Habit lost) {
            return MostHelped.firstToTry(lost.studentId(), helped.getOrDefault(lost.milestoneId(), List.of()));
        }

        private List<Habit> habits(Collection<Seated> rows) {
            return rows.stream()
                    .flatMap(row -> of.getOrDefault(row.player(), List.of()).stream())
                    .toList();
        }
    }

    /** @param rows of all classes asked about, who are on the sheet */
    @Transactional(readOnly = true)
    public Known known(UUID programId, Collection<Seated> rows, Sheet sheet) {
        HabitWatch.Terms terms = checks.habitWatch(programId);
        if (terms.weeks().isEmpty() || rows.isEmpty()) {
            return new Known(terms, sheet.on(), Map.of(), Map.of());
        }
        Set<UUID> watched = checks.habits(
                programId,
                sheet.milestones().values().stream()
                        .filter(milestone -> milestone.kind() == MilestoneKind.TECHNIQUE_CHECK)
                        .map(milestone -> milestone.id())
                        .toList());
        Set<Player> players = rows.stream().map(Seated::player).collect(Collectors.toSet());
        Map<Key, List<Look>> looks = queries.find(
                programId, players.stream().map(Player::studentId).collect(Collectors.toSet()), sheet.on());
        Map<Player, List<Habit>> habits = players.stream().collect(Collectors.toMap(player -> player, player -> {
            List<Habit> own = new ArrayList<>();
            for (UUID milestoneId : sheet.assigned(player).keySet()) {
                if (watched.contains(milestoneId)) {
                    sheet.habit(player, milestoneId, looks.getOrDefault(new Key(player, milestoneId), List.of()))
                            .ifPresent(own::add);
                }
            }
            return own;
        }));
        Set<UUID> lost =
                HabitWatch.lost(habits.values().stream().flatMap(List::stream).toList(), terms, sheet.on()).stream()
                        .map(Habit::milestoneId)
                        .collect(Collectors.toSet());
        Map<UUID, List<MostHelped.Helped>> helped = remedies.ofChecks(programId, lost).stream()
                .collect(Collectors.groupingBy(
                        Remedies.Helped::milestoneId,
                        Collectors.mapping(
                                one -> new MostHelped.Helped(one.studentId(), one.sign(), one.remedy()),
                                Collectors.toList())));
        return new Known(terms, sheet.on(), habits, helped);
    }

    /** A habit of a student that was looked at again. @param looks in the order made */
    record LookedAt(Key habit, List<Look> looks) {}

    /** Every habit of a student that was looked at again, the latest looked at first. */
    @Transactional(readOnly = true)
    List<LookedAt> ofStudent(UUID programId, UUID studentId) {
        rosters.student(programId, studentId);
        return queries.find(programId, List.of(studentId), office.today(programId)).entrySet().stream()
                .map(entry -> new LookedAt(entry.getKey(), entry.getValue()))
                .sorted(Comparator.comparing(
                                (LookedAt one) -> one.looks().getLast().on())
                        .reversed())
                .toList();
    }

    /**
     * Keeps what a look found; of one day the last one counts. Sent again under its id it changes nothing.
     *
     * @throws Problem when the student has no seat in that class on that day, is out of reach, or has not passed the check
     */
    @Transactional
    void looked(
            SignedIn person, UUID id, UUID studentId, UUID milestoneId, UUID classId, LocalDate on, Finding finding) {
        UUID programId = person.programId();
        if (!writes.isFirst(programId, "look", id, studentId, milestoneId, classId, on, finding)) {
            return;
        }
        if (on.isAfter(office.today(programId))) {
            throw Problem.input("on", "That day is still to come; nobody can have looked.");
        }
        List<Seat> seats = rosters.seatsOf(programId, studentId);
        Seat seat = seats.stream()
                .filter(s -> s.classId().equals(classId) && s.isHeldOn(on))
                .findFirst()
                .orElseThrow(() -> Problem.input("classId", "This student has no seat in that class on that day."));
        if (!reaches.of(person, on).holds(seat, catalog)) {
            throw Problem.notAllowed("This student sits in none of your sections.");
        }
        if (checks.habits(programId, List.of(milestoneId)).isEmpty()) {
            throw Problem.input("milestoneId", "That is no check of a habit.");
        }
        Player player = new Player(studentId, seat.instrument());
        Sheet sheet = progress.sheet(programId, Question.of(seats, on, milestoneId));
        if (!sheet.standing(player, milestoneId).isPassed()) {
            throw Problem.input(
                    "milestoneId",
                    "\"" + sheet.milestones().get(milestoneId).title()
                            + "\" is not passed yet: hear it, then it can be watched.");
        }
        queries.insert(programId, id, new Key(player, milestoneId), classId, on, finding, person.accountId());
    }

    /** Puts down a look as it is; for data that was checked where it was made. */
    @Transactional
    public void load(UUID programId, Player player, UUID milestoneId, UUID classId, Look look, UUID accountId) {
        queries.insert(
                programId,
                UUID.randomUUID(),
                new Key(player, milestoneId),
                classId,
                look.on(),
                look.finding(),
                accountId);
    }
}
