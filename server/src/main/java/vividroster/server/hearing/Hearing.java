package vividroster.server.hearing;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.AttemptLedger;
import vividroster.core.progress.CriterionMark;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.FaultCounts.FaultyTry;
import vividroster.core.progress.FaultHeard;
import vividroster.core.progress.HeardMoment;
import vividroster.core.progress.Outcome;
import vividroster.core.progress.Outlook;
import vividroster.core.progress.PassJudge;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.server.account.Reaches;
import vividroster.server.attendance.Absences;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** Recording what was heard. */
@Service
public class Hearing {

    private final AttemptQueries queries;
    private final Progress progress;
    private final Library library;
    private final Rosters rosters;
    private final Office office;
    private final Reaches reaches;
    private final InstrumentCatalog catalog;
    private final Absences absences;

    Hearing(
            AttemptQueries queries,
            Progress progress,
            Library library,
            Rosters rosters,
            Office office,
            Reaches reaches,
            InstrumentCatalog catalog,
            Absences absences) {
        this.absences = absences;
        this.reaches = reaches;
        this.catalog = catalog;
        this.queries = queries;
        this.progress = progress;
        this.library = library;
        this.rosters = rosters;
        this.office = office;
    }

    /**
     * What someone heard.
     *
     * @param id made by the client
     * @param milestoneVersion the version on the hearer's screen; empty for the newest
     * @param heardAt empty for now
     * @param marks points by criterion; empty for a line
     */
    public record Heard(
            UUID id,
            UUID studentId,
            UUID milestoneId,
            Optional<Integer> milestoneVersion,
            UUID classId,
            Outcome outcome,
            Evidence evidence,
            List<CriterionMark> marks,
            boolean waived,
            String reason,
            Beside beside,
            Optional<Instant> heardAt) {}

    /** An attempt that is on record, and where it leaves the student. */
    public record Recorded(HeardAttempt heard, Standing standing, Outlook outlook) {}

    /**
     * Records attempts, all of them or none. Sending them again answers the same and records nothing.
     *
     * @param sentAt when it was sent, by the clock of the device; empty where it does not say
     * @throws Problem when a student, class or milestone is not there, or the outcome does not fit the milestone
     */
    @Transactional
    public List<Recorded> record(SignedIn person, List<Heard> heard, Optional<Instant> sentAt) {
        Map<UUID, Milestone> milestones = new HashMap<>();
        List<Recorded> recorded = new ArrayList<>();
        for (Heard one : heard) {
            Milestone newest =
                    milestones.computeIfAbsent(one.milestoneId(), id -> library.milestone(person.programId(), id));
            Milestone seen =
                    asHeard(person.programId(), newest, one.milestoneVersion().orElse(newest.version()));
            recorded.add(record(person, one, sentAt, seen, newest));
        }
        return recorded;
    }

    /** @param milestone in the version that was seen when it was heard */
    private Recorded record(
            SignedIn person, Heard heard, Optional<Instant> sentAt, Milestone milestone, Milestone newest) {
        UUID programId = person.programId();
        List<Seat> seats = rosters.seatsOf(programId, heard.studentId());
        Instant now = office.now(programId);
        Optional<Instant> said = heard.heardAt().map(Hearing::keptAs);
        HeardMoment moment = HeardMoment.of(said, sentAt.map(Hearing::keptAs), now, office.yearBegins(programId));
        LocalDate heardOn = moment.at().atZone(office.zone(programId)).toLocalDate();
        Seat seat = seatIn(seats, heard.classId(), heardOn);
        Reach reach = reaches.of(person, heardOn);
        mayHear(reach, seat, milestone);
        if (!milestone.isFor(seat.instrument())) {
            throw Problem.input("milestoneId", "\"" + milestone.title() + "\" is not for this student's instrument.");
        }
        if (milestone.kind() == MilestoneKind.BELT) {
            throw Problem.input("milestoneId", "A belt is earned by its slots; hear one of them.");
        }
        List<CriterionMark> marks = marks(milestone, heard);
        Outcome outcome = judged(milestone, heard.outcome(), marks);
        if (outcome == Outcome.EXCUSED && heard.reason().isBlank()) {
            throw Problem.input("reason", "Say why the student is excused.");
        }
        HeardAttempt attempt = new HeardAttempt(
                new Attempt(
                        heard.id(),
                        heard.studentId(),
                        milestone.id(),
                        milestone.version(),
                        seat.instrument(),
                        heard.classId(),
                        heardOn,
                        moment.at(),
                        now,
                        heard.evidence(),
                        outcome,
                        marks,
                        heard.waived() && outcome == Outcome.EXCUSED,
                        Optional.empty()),
                person.accountId(),
                heard.reason().strip(),
                beside(heard, milestone),
                moment.deviceSaid(),
                reach.isSubstitute());
        if (!queries.insert(programId, attempt)) {
            attempt = sameAsRecorded(programId, attempt, said);
        } else if (outcome == Outcome.ABSENT) {
            absences.called(programId, heard.classId(), heard.studentId(), heardOn, person.accountId());
        }
        return recorded(programId, seats, attempt, newest);
    }

    /** Only a try has faults and a tempo, and only a piece that is not the set one is named. */
    private static Beside beside(Heard heard, Milestone milestone) {
        boolean ownPiece = heard.evidence() == Evidence.SUBSTITUTE || milestone.kind() == MilestoneKind.FREE_CHOICE;
        Beside said = heard.beside();
        boolean played = heard.outcome().isTry();
        return new Beside(
                said.note().strip(),
                played ? said.faults() : List.of(),
                played ? said.tempoBpm() : Optional.empty(),
                ownPiece ? said.substitute().strip() : "");
    }

    private void mayHear(Reach reach, Seat seat, Milestone milestone) {
        if (!reach.holds(seat, catalog)) {
            throw Problem.notAllowed(
                    reach.isSubstitute()
                            ? "A substitute teacher hears the classes of the day; this student sits in none of them."
                            : "This student sits in none of your sections.");
        }
        if (milestone.kind().isGraded() && !reach.seesGrades()) {
            throw Problem.notAllowed("Playing tests are heard by a director or an assistant.");
        }
    }

    /** @param deviceSaid the moment of hearing, where the device said one */
    private HeardAttempt sameAsRecorded(UUID programId, HeardAttempt sent, Optional<Instant> deviceSaid) {
        HeardAttempt before = queries.find(programId, sent.attempt().id())
                .orElseThrow(() -> Problem.conflict("This attempt was corrected in the meantime; look again."));
        Attempt a = before.attempt();
        Attempt b = sent.attempt();
        if (!a.studentId().equals(b.studentId())
                || !a.milestoneId().equals(b.milestoneId())
                || !a.classId().equals(b.classId())
                || a.outcome() != b.outcome()
                || a.evidence() != b.evidence()
                || a.waived() != b.waived()
                || !Set.copyOf(a.marks()).equals(Set.copyOf(b.marks()))
                || !before.reason().equals(sent.reason())
                || !before.beside().equals(sent.beside())
                || !a.corrects().equals(b.corrects())
                || !deviceSaid
                        .map(before.deviceSaid().orElse(a.heardAt())::equals)
                        .orElse(true)) {
            throw Problem.conflict("Another attempt has this id already; nothing was changed.");
        }
        return before;
    }

    /** As the database keeps it: microseconds, within a calendar of ours. */
    private static Instant keptAs(Instant moment) {
        return AttemptQueries.kept(moment).toInstant().truncatedTo(ChronoUnit.MICROS);
    }

    /**
     * Corrects an attempt by a later entry.
     *
     * @param outcome {@link Outcome#UNDONE} when it did not happen at all
     * @param faults in place of those noted before; empty leaves them
     * @throws Problem when there is no such attempt, or it was corrected already
     */
    @Transactional
    public Recorded correct(
            SignedIn person,
            UUID attemptId,
            UUID id,
            Outcome outcome,
            List<CriterionMark> points,
            Optional<List<FaultHeard>> faults,
            String reason) {
        UUID programId = person.programId();
        HeardAttempt before = queries.find(programId, attemptId)
                .orElseThrow(() -> Problem.notFound("There is no such attempt to correct."));
        Attempt old = before.attempt();
        Reach reach = reaches.of(person);
        if (reach != Reach.EVERYBODY && !before.heardBy().equals(person.accountId())) {
            throw Problem.notAllowed("Somebody else heard this; a director or an assistant can correct it.");
        }
        if (reason.isBlank()) {
            throw Problem.input("reason", "A correction says why.");
        }
        Milestone newest = library.milestone(programId, old.milestoneId());
        Milestone milestone = asHeard(programId, newest, old.milestoneVersion());
        List<CriterionMark> marks = outcome.isTry() && !points.isEmpty() ? checked(milestone, points) : List.of();
        if (outcome.isTry() && marks.isEmpty() && !milestone.criteria().isEmpty() && needsMarks(milestone)) {
            throw Problem.input("marks", "Give the points again with the correction.");
        }
        HeardAttempt correction = new HeardAttempt(
                new Attempt(
                        id,
                        old.studentId(),
                        old.milestoneId(),
                        old.milestoneVersion(),
                        old.instrument(),
                        old.classId(),
                        old.heardOn(),
                        old.heardAt(),
                        office.now(programId),
                        old.evidence(),
                        judged(milestone, outcome, marks),
                        marks,
                        false,
                        Optional.of(old.id())),
                person.accountId(),
                reason.strip(),
                outcome.isTry()
                        ? new Beside(
                                before.beside().note(),
                                faults.orElse(before.beside().faults()),
                                before.beside().tempoBpm(),
                                before.beside().substitute())
                        : Beside.NOTHING,
                Optional.empty(),
                reach.isSubstitute());
        if (!queries.insert(programId, correction)) {
            Optional<HeardAttempt> mine = queries.find(programId, id);
            if (mine.isEmpty()) {
                throw Problem.conflict(
                        "This attempt was corrected already. Look at the student's folder for what stands.");
            }
            correction = sameAsRecorded(programId, correction, Optional.empty());
        } else if (old.outcome() == Outcome.ABSENT && outcome != Outcome.ABSENT) {
            absences.thereAfterAll(programId, old.classId(), old.studentId(), old.heardOn());
        }
        return recorded(programId, rosters.seatsOf(programId, old.studentId()), correction, newest);
    }

    /** Puts down attempts as they are; for data that was checked where it was made. */
    @Transactional
    public void load(UUID programId, List<HeardAttempt> heard) {
        queries.insertAll(programId, heard);
    }

    /** @throws Problem when there is none */
    @Transactional(readOnly = true)
    public HeardAttempt attempt(UUID programId, UUID attemptId) {
        return queries.find(programId, attemptId).orElseThrow(() -> Problem.notFound("There is no such attempt."));
    }

    /** The tries of students with one milestone that stand after corrections, in the order heard. */
    @Transactional(readOnly = true)
    public List<HeardAttempt> standing(UUID programId, Collection<UUID> studentIds, UUID milestoneId) {
        Map<UUID, HeardAttempt> heard = queries.findHeard(programId, studentIds, milestoneId).stream()
                .collect(Collectors.toMap(h -> h.attempt().id(), h -> h));
        return AttemptLedger.standing(
                        heard.values().stream().map(HeardAttempt::attempt).toList())
                .stream()
                .map(attempt -> heard.get(attempt.id()))
                .toList();
    }

    /** Who was heard in classes within days, in the order heard; what was undone and what partners saw is left out. */
    @Transactional(readOnly = true)
    public List<Turn> turns(UUID programId, Collection<UUID> classIds, LocalDate from, LocalDate to) {
        return queries.findTurns(programId, classIds, from, to);
    }

    /** The latest attempts of each player with each of these milestones, corrections among them, latest first. */
    @Transactional(readOnly = true)
    public List<HeardAttempt> latest(UUID programId, Map<Player, Set<UUID>> asked, int most) {
        return queries.findLatest(programId, asked, most);
    }

    /** Tries of these students with faults from a day on that stand, in the order heard. */
    @Transactional(readOnly = true)
    public List<FaultyTry> faulty(UUID programId, Collection<UUID> studentIds, LocalDate from) {
        Map<UUID, HeardAttempt> noted = queries.findFaultyAndCorrecting(programId, studentIds, from).stream()
                .collect(Collectors.toMap(h -> h.attempt().id(), h -> h));
        return AttemptLedger.standing(
                        noted.values().stream().map(HeardAttempt::attempt).toList())
                .stream()
                .filter(attempt -> !noted.get(attempt.id()).beside().faults().isEmpty())
                .map(attempt -> new FaultyTry(
                        attempt.studentId(),
                        attempt.milestoneId(),
                        attempt.heardOn(),
                        noted.get(attempt.id()).beside().faults()))
                .toList();
    }

    @Transactional(readOnly = true)
    public Map<UUID, String> namesOfHearers(UUID programId, List<HeardAttempt> heard) {
        Set<UUID> ids = heard.stream().map(HeardAttempt::heardBy).collect(Collectors.toSet());
        return queries.findNames(programId, ids);
    }

    private Recorded recorded(UUID programId, List<Seat> seats, HeardAttempt heard, Milestone milestone) {
        Player player = new Player(heard.attempt().studentId(), heard.attempt().instrument());
        Progress.Position position = progress.position(programId, seats, player, milestone, office.today(programId));
        return new Recorded(heard, position.standing(), position.outlook());
    }

    private Milestone asHeard(UUID programId, Milestone newest, int version) {
        return version == newest.version() ? newest : library.milestone(programId, newest.id(), version);
    }

    /** The seat the student was heard in: the one held that day, else the last one in that class. */
    private static Seat seatIn(List<Seat> seats, UUID classId, LocalDate on) {
        List<Seat> inClass =
                seats.stream().filter(seat -> seat.classId().equals(classId)).toList();
        return inClass.stream()
                .filter(seat -> seat.isHeldOn(on))
                .findFirst()
                .or(() -> inClass.isEmpty() ? Optional.empty() : Optional.of(inClass.getLast()))
                .orElseThrow(() -> Problem.input("classId", "This student has no seat in that class."));
    }

    private static boolean needsMarks(Milestone milestone) {
        return milestone.kind() == MilestoneKind.PLAYING_TEST;
    }

    /**
     * A check passed at one press was seen in every criterion, unless a partner saw it, who watches a few points only;
     * a test needs its points.
     */
    private static List<CriterionMark> marks(Milestone milestone, Heard heard) {
        if (!heard.outcome().isTry()) {
            return List.of();
        }
        if (!heard.marks().isEmpty()) {
            return checked(milestone, heard.marks());
        }
        if (needsMarks(milestone)) {
            throw Problem.input(
                    "marks", "\"" + milestone.title() + "\" is a playing test: give points for each criterion.");
        }
        return heard.outcome() == Outcome.PASS && heard.evidence() != Evidence.PARTNER_CHECK
                ? milestone.criteria().stream()
                        .map(c -> new CriterionMark(c.ordinal(), c.topPoints()))
                        .toList()
                : List.of();
    }

    private static List<CriterionMark> checked(Milestone milestone, List<CriterionMark> marks) {
        Map<Integer, Criterion> criteria =
                milestone.criteria().stream().collect(Collectors.toMap(Criterion::ordinal, c -> c));
        Set<Integer> seen = marks.stream().map(CriterionMark::ordinal).collect(Collectors.toSet());
        if (seen.size() != marks.size()) {
            throw Problem.input("marks", "A criterion is marked twice.");
        }
        for (CriterionMark mark : marks) {
            Criterion criterion = criteria.get(mark.ordinal());
            if (criterion == null) {
                throw Problem.input("marks", "\"" + milestone.title() + "\" has no criterion " + mark.ordinal() + ".");
            }
            if (mark.points() > criterion.topPoints()) {
                throw Problem.input(
                        "marks",
                        criterion.name() + " has at most " + criterion.topPoints() + " points, not " + mark.points()
                                + ".");
            }
        }
        if (needsMarks(milestone) && !seen.equals(criteria.keySet())) {
            String missing = milestone.criteria().stream()
                    .filter(c -> !seen.contains(c.ordinal()))
                    .map(Criterion::name)
                    .collect(Collectors.joining(", "));
            throw Problem.input("marks", "Points are missing for " + missing + ".");
        }
        return marks;
    }

    /** Whether a try with marks is good is the rule's to say, not the sender's. */
    private static Outcome judged(Milestone milestone, Outcome sent, List<CriterionMark> marks) {
        if (!sent.isTry() || marks.isEmpty()) {
            return sent;
        }
        return PassJudge.isGood(milestone, sent, marks) ? Outcome.PASS : Outcome.NOT_YET;
    }
}
