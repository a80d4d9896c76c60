package vividroster.server.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.LineFault;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.curriculum.Rubric;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.CriterionMark;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.FaultHeard;
import vividroster.core.progress.Outcome;
import vividroster.core.progress.PassJudge;
import vividroster.core.roster.Seat;
import vividroster.core.season.Assignment;
import vividroster.core.season.OrderBook;
import vividroster.core.season.SchoolYear;
import vividroster.server.demo.DemoStories.Effect;
import vividroster.server.hearing.Beside;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Player;
import vividroster.server.platform.Ids;
import vividroster.server.roster.SchoolClass;

/** Lives through the demo's first weeks: the same students, the same tries, every time. */
final class DemoHistory {

    private static final int TRIES_WITHOUT_END = 60;
    private static final int SECONDS_A_TURN = 45;
    private static final int SECONDS_CUT = 30;

    private final SchoolYear year;
    private final LocalDate today;
    private final ZoneId zone;
    private final Map<UUID, SchoolClass> classes;
    private final Map<UUID, String> names;
    private final Map<UUID, String> milestoneKeys;
    private final Map<UUID, Milestone> milestones;
    private final List<UUID> hearers;
    private final InstrumentCatalog catalog;
    private final Set<UUID> twoListeners;
    private final DemoStories stories = new DemoStories();
    private final Map<String, Integer> minuteOfDay = new HashMap<>();
    private final List<HeardAttempt> history = new ArrayList<>();

    DemoHistory(
            SchoolYear year,
            LocalDate today,
            ZoneId zone,
            Map<UUID, SchoolClass> classes,
            Map<UUID, String> names,
            Map<String, Milestone> byKey,
            List<UUID> hearers,
            InstrumentCatalog catalog,
            Set<UUID> twoListeners) {
        this.catalog = catalog;
        this.twoListeners = twoListeners;
        this.year = year;
        this.today = today;
        this.zone = zone;
        this.classes = classes;
        this.names = names;
        this.milestoneKeys = new HashMap<>();
        this.milestones = new HashMap<>();
        byKey.forEach((key, milestone) -> {
            milestoneKeys.put(milestone.id(), key);
            milestones.put(milestone.id(), milestone);
        });
        this.hearers = hearers;
    }

    List<HeardAttempt> of(List<Seat> seats, OrderBook book) {
        Map<Player, List<Seat>> byPlayer = new LinkedHashMap<>();
        seats.forEach(seat -> byPlayer.computeIfAbsent(
                        new Player(seat.studentId(), seat.instrument()), k -> new ArrayList<>())
                .add(seat));
        Map<UUID, Set<UUID>> instrumentFreeDone = new HashMap<>();
        byPlayer.values().forEach(held -> {
            Map<UUID, Assignment> assigned = book.assignments(held, today);
            assigned.values().forEach(assignment -> {
                Milestone milestone = milestones.get(assignment.milestoneId());
                boolean again = milestone.instrumentFree()
                        && !instrumentFreeDone
                                .computeIfAbsent(held.getFirst().studentId(), s -> new HashSet<>())
                                .add(milestone.id());
                if (milestone.kind() != MilestoneKind.BELT && !again) {
                    live(held, assignment, milestone);
                }
            });
        });
        return history;
    }

    private void live(List<Seat> held, Assignment assignment, Milestone milestone) {
        Seat seat = held.getFirst();
        SchoolClass schoolClass = classes.get(seat.classId());
        String student = names.get(seat.studentId());
        String key = milestoneKeys.get(milestone.id());
        String section = schoolClass.name() + "/" + seat.instrument();
        if (stories.about(student, section, key, Effect.UNHEARD).isPresent()) {
            return;
        }
        Random dice = new Random((student + "|" + key + "|" + seat.instrument()).hashCode());
        double pace = stories.about(student, section, key, Effect.PACE)
                .map(Double::parseDouble)
                .orElse(0.6 + 0.36 * new Random(student.hashCode() * 31L).nextDouble());
        boolean stuck = stories.about(student, section, key, Effect.STUCK).isPresent();
        Optional<String> excuse = stories.about(student, section, key, Effect.EXCUSED);
        Optional<String> substitute = stories.about(student, section, key, Effect.SUBSTITUTE);

        LocalDate notSince = stories.about(student, section, key, Effect.NOT_HEARD_SINCE)
                .map(LocalDate::parse)
                .orElse(LocalDate.MAX);
        LocalDate fadesFrom = stories.about(student, section, key, Effect.FADES_FROM)
                .map(LocalDate::parse)
                .orElse(LocalDate.MAX);
        List<LocalDate> meetings = assignment
                .setOn()
                .datesUntil(
                        today.isBefore(assignment.dueOn().plusDays(15))
                                ? today
                                : assignment.dueOn().plusDays(15))
                .filter(day -> schoolClass.on(year, day).isPresent() && seat.isHeldOn(day) && day.isBefore(notSince))
                .toList();
        List<Attempt> tries = new ArrayList<>();
        for (LocalDate day : meetings) {
            boolean late = day.isAfter(assignment.dueOn());
            boolean fresh = !assignment.dueOn().isBefore(today);
            if (dice.nextDouble() > (fresh ? 0.26 : late ? 0.45 : 0.68)) {
                continue;
            }
            if (excuse.isPresent()) {
                hear(seat, milestone, day, Outcome.EXCUSED, Evidence.LIVE_ALONE, List.of(), excuse.get());
                return;
            }
            if (dice.nextDouble() < 0.05) {
                hear(seat, milestone, day, Outcome.ABSENT, Evidence.LIVE_ALONE, List.of(), "");
                continue;
            }
            if (substitute.isPresent()) {
                hear(seat, milestone, day, Outcome.PASS, Evidence.SUBSTITUTE, List.of(), "");
                return;
            }
            if (tryOn(
                    seat,
                    milestone,
                    day,
                    dice,
                    stuck || !day.isBefore(fadesFrom) ? -1 : pace + 0.12 * tries.size(),
                    tries)) {
                return;
            }
            if (stuck && tries.size() >= 3) {
                return;
            }
        }
    }

    /** One visit; a rule of several good tries takes several in a row. True when the milestone is passed. */
    private boolean tryOn(
            Seat seat, Milestone milestone, LocalDate day, Random dice, double pace, List<Attempt> tries) {
        int most = milestone.passRule() instanceof PassRule.KOfLastN rule ? rule.n() : 1;
        for (int i = 0; i < most && tries.size() < TRIES_WITHOUT_END; i++) {
            List<CriterionMark> marks = new ArrayList<>();
            boolean good = dice.nextDouble() < pace;
            for (Criterion criterion : milestone.criteria()) {
                boolean fine = good || dice.nextDouble() < 0.65;
                int points = criterion.topPoints() == 1
                        ? (fine ? 1 : 0)
                        : criterion.topPoints() > Rubric.MOST_POINTS
                                ? criterion.topPoints() * (good ? 3 : 2) / 4
                                        + dice.nextInt(criterion.topPoints() / 4 + 1)
                                : Math.min(criterion.topPoints(), (fine ? 3 : 2) + dice.nextInt(good ? 3 : 2));
                marks.add(new CriterionMark(criterion.ordinal(), points));
            }
            if (!good && !marks.isEmpty() && marks.getFirst().points() == 1) {
                marks.set(0, new CriterionMark(marks.getFirst().ordinal(), 0));
            }
            Outcome heard = good ? Outcome.PASS : Outcome.NOT_YET;
            Outcome outcome = marks.isEmpty()
                    ? heard
                    : PassJudge.isGood(milestone, heard, marks) ? Outcome.PASS : Outcome.NOT_YET;
            Evidence evidence =
                    dice.nextInt(6) == 0 && marks.isEmpty() ? Evidence.LIVE_WITH_SECTION : Evidence.LIVE_ALONE;
            tries.add(hear(seat, milestone, day, outcome, evidence, marks, ""));
            if (twoListeners.contains(milestone.id())) {
                hearToo(tries.getLast(), milestone);
            }
            if (passed(milestone, tries)) {
                return true;
            }
        }
        return false;
    }

    private static boolean passed(Milestone milestone, List<Attempt> tries) {
        int needed = milestone.passRule() instanceof PassRule.KOfLastN rule ? rule.k() : 1;
        int window = milestone.passRule() instanceof PassRule.KOfLastN rule ? rule.n() : 1;
        return tries.subList(Math.max(0, tries.size() - window), tries.size()).stream()
                        .filter(t -> t.outcome() == Outcome.PASS)
                        .count()
                >= needed;
    }

    private Attempt hear(
            Seat seat,
            Milestone milestone,
            LocalDate day,
            Outcome outcome,
            Evidence evidence,
            List<CriterionMark> marks,
            String reason) {
        SchoolClass schoolClass = classes.get(seat.classId());
        int turn = minuteOfDay.merge(seat.classId() + "|" + day, 1, Integer::sum);
        // Now and then somebody is called off after a few measures.
        int second = turn * SECONDS_A_TURN - (turn % 13 == 0 ? SECONDS_CUT : 0);
        Instant at = day.atTime(schoolClass.usualStart())
                .plusSeconds(second)
                .atZone(zone)
                .toInstant();
        UUID hearer = hearers.get(Math.floorMod(seat.instrument().hashCode() + day.getDayOfYear(), 5) == 0 ? 1 : 0);
        Attempt attempt = new Attempt(
                Ids.next(),
                seat.studentId(),
                milestone.id(),
                milestone.version(),
                seat.instrument(),
                seat.classId(),
                day,
                at,
                at,
                evidence,
                outcome,
                marks,
                false,
                Optional.empty());
        history.add(new HeardAttempt(attempt, hearer, reason, Beside.heard(faults(attempt, milestone))));
        return attempt;
    }

    /** The other listener's score of the same playing: mostly alike, now and then a point or two apart. */
    private void hearToo(Attempt first, Milestone milestone) {
        Random dice = new Random((names.get(first.studentId()) + "|too|" + first.heardOn()).hashCode());
        List<CriterionMark> marks = first.marks().stream()
                .map(mark -> {
                    int apart = dice.nextInt(10) < 6 ? 0 : dice.nextInt(5) - 2;
                    int top = milestone.criteria().get(mark.ordinal() - 1).topPoints();
                    return new CriterionMark(mark.ordinal(), Math.clamp(mark.points() + apart, 0, top));
                })
                .toList();
        UUID heardBy = history.getLast().heardBy();
        Attempt second = new Attempt(
                Ids.next(),
                first.studentId(),
                first.milestoneId(),
                first.milestoneVersion(),
                first.instrument(),
                first.classId(),
                first.heardOn(),
                first.heardAt().plusSeconds(1),
                first.recordedAt().plusSeconds(1),
                first.evidence(),
                PassJudge.isGood(milestone, Outcome.NOT_YET, marks) ? Outcome.PASS : Outcome.NOT_YET,
                marks,
                false,
                Optional.empty());
        history.add(new HeardAttempt(
                second, heardBy.equals(hearers.getFirst()) ? hearers.get(1) : hearers.getFirst(), "", Beside.NOTHING));
    }

    /** What went wrong where it was not yet good: one fault a student tends to, and now and then another. */
    private List<FaultHeard> faults(Attempt attempt, Milestone milestone) {
        if (attempt.outcome() != Outcome.NOT_YET || milestone.kind() == MilestoneKind.TECHNIQUE_CHECK) {
            return List.of();
        }
        List<LineFault> known = LineFault.of(catalog.withCode(attempt.instrument()), true);
        Random dice = new Random(names.get(attempt.studentId()).hashCode() * 31L
                + attempt.heardOn().toEpochDay());
        int own = Math.floorMod(names.get(attempt.studentId()).hashCode(), known.size());
        int other = dice.nextInt(known.size());
        int measure = 1 + dice.nextInt(6);
        List<FaultHeard> faults = new ArrayList<>();
        faults.add(new FaultHeard(known.get(own).sign(), OptionalInt.of(measure)));
        if (other != own && dice.nextInt(3) == 0) {
            faults.add(new FaultHeard(known.get(other).sign(), OptionalInt.empty()));
        }
        return faults;
    }
}
