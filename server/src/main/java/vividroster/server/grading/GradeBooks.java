package vividroster.server.grading;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
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
import vividroster.core.grading.Grade;
import vividroster.core.grading.Grade.Item;
import vividroster.core.grading.Grade.Result;
import vividroster.core.grading.GradeScheme;
import vividroster.core.grading.MarkingPeriod;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Seat;
import vividroster.core.season.MilestoneOrder;
import vividroster.server.grading.GradeQueries.PeriodRow;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.Student;
import vividroster.server.testing.TestScores;
import vividroster.server.testing.TestScores.Of;
import vividroster.server.testing.TestScores.Score;

/** The grades of a class in a marking period, each with how it came about. */
@Service
class GradeBooks {

    private final Grading grading;
    private final Orders orders;
    private final Rosters rosters;
    private final Progress progress;
    private final TestScores scores;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;

    GradeBooks(
            Grading grading,
            Orders orders,
            Rosters rosters,
            Progress progress,
            TestScores scores,
            Library library,
            Office office,
            InstrumentCatalog catalog) {
        this.grading = grading;
        this.orders = orders;
        this.rosters = rosters;
        this.progress = progress;
        this.scores = scores;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
    }

    /**
     * @param dueOn of the order in this class
     * @param score of a test by its retakes; empty of what has no points
     * @param elsewhere name of the class in which it counts instead
     */
    record GradedItem(Milestone milestone, LocalDate dueOn, Optional<Score> score, Optional<String> elsewhere) {}

    /** @param items in the order of {@link Grade#items()} */
    record GradedStudent(Student student, Seat seat, Grade grade, List<GradedItem> items) {}

    /** @param on day up to which it is told */
    record GradeBook(
            String className, PeriodRow period, LocalDate on, GradeScheme scheme, List<GradedStudent> students) {}

    @Transactional(readOnly = true)
    GradeBook of(UUID programId, UUID classId, UUID periodId) {
        String className = rosters.schoolClass(programId, classId).name();
        PeriodRow row = grading.period(programId, periodId);
        MarkingPeriod period = new MarkingPeriod(row.name(), row.firstOn(), row.lastOn());
        LocalDate today = office.today(programId);
        LocalDate on = today.isBefore(period.last()) ? today : period.last();
        GradeSettings settings = grading.settings(programId);
        GradeScheme scheme = settings.toScheme();
        List<MilestoneOrder> due = orders.reaching(programId, List.of(classId), on).stream()
                .filter(order -> period.holds(order.dueOn()))
                .toList();
        Map<UUID, Milestone> milestones = library
                .milestones(
                        programId, due.stream().map(MilestoneOrder::milestoneId).collect(Collectors.toSet()))
                .stream()
                .filter(milestone -> scheme.weights().containsKey(milestone.kind()))
                .collect(Collectors.toMap(Milestone::id, m -> m));
        List<Seat> all = rosters.seatsOfStudentsIn(programId, List.of(classId), on);
        Map<UUID, Seat> seats = new LinkedHashMap<>();
        all.stream()
                .filter(seat -> seat.classId().equals(classId) && seat.isHeldOn(on))
                .forEach(seat -> seats.putIfAbsent(seat.studentId(), seat));
        Map<UUID, Student> students = rosters.students(programId, seats.keySet());
        Sheet sheet = progress.sheet(programId, Question.of(all, on).also(milestones.keySet()));
        Map<UUID, Map<UUID, LocalDate>> asked = new HashMap<>();
        Map<Of, Optional<LocalDate>> scored = new HashMap<>();
        for (Seat seat : seats.values()) {
            Map<UUID, LocalDate> own = new LinkedHashMap<>();
            for (MilestoneOrder order : MilestoneOrder.byDueDay(due)) {
                Milestone milestone = milestones.get(order.milestoneId());
                if (milestone != null && milestone.isFor(seat.instrument()) && order.reaches(seat, catalog)) {
                    own.putIfAbsent(milestone.id(), order.dueOn());
                }
            }
            asked.put(seat.studentId(), own);
            own.forEach((id, day) -> {
                if (isScored(milestones.get(id))) {
                    scored.put(new Of(player(seat), id), Optional.of(day));
                }
            });
        }
        Map<Of, Score> counted = scores.of(programId, scored, milestones, on);
        Elsewhere elsewhere = settings.bothClasses() ? Elsewhere.NOWHERE : elsewhere(programId, classId, all, on);
        return new GradeBook(
                className,
                row,
                on,
                scheme,
                seats.values().stream()
                        .sorted(Comparator.comparing(
                                (Seat seat) -> students.get(seat.studentId()).sortName()))
                        .map(seat -> student(
                                students.get(seat.studentId()),
                                seat,
                                asked.get(seat.studentId()),
                                milestones,
                                sheet,
                                counted,
                                elsewhere,
                                scheme,
                                on))
                        .toList());
    }

    /** Orders of the students' other classes, by class. */
    private record Elsewhere(
            UUID classId, Map<UUID, String> names, Map<UUID, List<MilestoneOrder>> orders, List<Seat> seats) {

        static final Elsewhere NOWHERE = new Elsewhere(null, Map.of(), Map.of(), List.of());

        /** The other class in which it was heard and which set it too. */
        Optional<String> of(UUID studentId, UUID milestoneId, Optional<UUID> heardIn, InstrumentCatalog catalog) {
            return heardIn.filter(other -> classId != null && !other.equals(classId))
                    .filter(other -> orders.getOrDefault(other, List.of()).stream()
                            .anyMatch(order -> order.milestoneId().equals(milestoneId)
                                    && seats.stream()
                                            .anyMatch(seat -> seat.studentId().equals(studentId)
                                                    && seat.classId().equals(other)
                                                    && order.reaches(seat, catalog))))
                    .map(names::get);
        }
    }

    private Elsewhere elsewhere(UUID programId, UUID classId, List<Seat> all, LocalDate on) {
        Set<UUID> others = all.stream()
                .map(Seat::classId)
                .filter(id -> !id.equals(classId))
                .collect(Collectors.toSet());
        Map<UUID, List<MilestoneOrder>> byClass = new HashMap<>();
        others.forEach(id -> byClass.put(id, orders.reaching(programId, List.of(id), on)));
        Map<UUID, String> names = new HashMap<>();
        rosters.classes(programId).forEach(one -> names.put(one.id(), one.name()));
        return new Elsewhere(classId, names, byClass, all);
    }

    private static boolean isScored(Milestone milestone) {
        return milestone.kind().isGraded();
    }

    private static Player player(Seat seat) {
        return new Player(seat.studentId(), seat.instrument());
    }

    private GradedStudent student(
            Student student,
            Seat seat,
            Map<UUID, LocalDate> asked,
            Map<UUID, Milestone> milestones,
            Sheet sheet,
            Map<Of, Score> counted,
            Elsewhere elsewhere,
            GradeScheme scheme,
            LocalDate on) {
        List<Item> items = new ArrayList<>();
        List<GradedItem> told = new ArrayList<>();
        asked.forEach((id, dueOn) -> {
            Milestone milestone = milestones.get(id);
            Optional<Score> score = Optional.ofNullable(counted.get(new Of(player(seat), id)));
            Optional<String> other = elsewhere.of(student.id(), id, score.flatMap(Score::heardIn), catalog);
            Result result = other.isPresent()
                    ? new Grade.CountsElsewhere()
                    : result(milestone.kind(), sheet.standing(player(seat), id), score);
            if (dueOn.isAfter(on) && (result instanceof Grade.NeverHeard || result instanceof Grade.NotYet)) {
                return;
            }
            items.add(new Item(id, milestone.kind(), result));
            told.add(new GradedItem(milestone, dueOn, score, other));
        });
        return new GradedStudent(student, seat, Grade.of(scheme, items), told);
    }

    private static Result result(MilestoneKind kind, Standing standing, Optional<Score> score) {
        if (score.isPresent() && score.get().counted().share().isPresent()) {
            return new Grade.Scored(score.get().counted().share().getAsDouble());
        }
        if (kind == MilestoneKind.PLAYING_TEST) {
            // A pass without a score that counts, as by a substitute piece, is no score.
            return standing.state() == Standing.State.EXCUSED ? new Grade.Excused() : new Grade.NeverHeard();
        }
        return switch (standing.state()) {
            case PASSED, PASSED_BY_SUBSTITUTE -> new Grade.Passed();
            case TRIED -> new Grade.NotYet();
            case EXCUSED -> new Grade.Excused();
            case SET, NOT_SET, RECORDING_WAITING -> new Grade.NeverHeard();
        };
    }
}
