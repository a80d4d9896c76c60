package vividroster.server.testing;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MeetingPattern.Meeting;
import vividroster.core.season.SchoolYear;
import vividroster.core.testing.HeardTogether.Waiting;
import vividroster.core.testing.HearingPace;
import vividroster.core.testing.HearingQueue.LeftOut;
import vividroster.core.testing.HearingTime;
import vividroster.core.testing.TestDayPlan;
import vividroster.core.testing.TestDayPlan.Room;
import vividroster.core.testing.TestDayPlan.Terms;
import vividroster.core.testing.TestDays.Slot;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Queue;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.testing.TestDayViews.MakeUpView;
import vividroster.server.testing.TestDayViews.SoonerView;
import vividroster.server.testing.TestDayViews.TakesView;
import vividroster.server.testing.TestDayViews.TestDayView;
import vividroster.server.testing.TestDayViews.TestPeriodView;
import vividroster.server.testing.TestDayViews.TestSlotView;
import vividroster.server.testing.TestDayViews.TestStudentView;

/**
 * Who is heard with a milestone in which of the coming periods. Nothing of it is kept: asked again it is told from who was
 * heard since and from how long they really took, so that a day that runs late plans itself anew.
 */
@Service
class TestDayPlans {

    /** Days looked at, so many at most. */
    private static final int DAYS_AHEAD = 42;
    /** Periods looked at, so many at most. */
    private static final int MOST_PERIODS = 20;

    private static final Set<LeftOut> DONE = EnumSet.of(LeftOut.PASSED, LeftOut.TRIED_TODAY);
    private static final Set<LeftOut> MAKES_UP = EnumSet.of(LeftOut.ABSENT, LeftOut.EXCUSED, LeftOut.RESTING);

    private final HearingRuns runs;
    private final Progress progress;
    private final Rosters rosters;
    private final Library library;
    private final Office office;
    private final HearingTime time;
    private final InstrumentCatalog catalog;

    TestDayPlans(
            HearingRuns runs,
            Progress progress,
            Rosters rosters,
            Library library,
            Office office,
            HearingTime time,
            InstrumentCatalog catalog) {
        this.runs = runs;
        this.progress = progress;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
        this.time = time;
        this.catalog = catalog;
    }

    /**
     * What a director asks.
     *
     * @param from first day that may be used; a day before today is today
     * @param minutes of each period for the test, at its end; less where a period has fewer
     * @param together in 1..4
     * @param tied id of the period by student, of whom is put there by hand
     */
    record Wish(
            UUID milestoneId,
            SectionScope scope,
            Optional<LocalDate> from,
            int minutes,
            int together,
            Map<UUID, String> tied) {}

    /** A meeting of a class with room for the test. @param begins when the first is heard */
    private record Held(String id, SchoolClass schoolClass, LocalDate on, Meeting at, LocalTime begins, int seconds) {

        Room room() {
            return new Room(id, schoolClass.id(), seconds);
        }
    }

    /** @throws Problem where the milestone is a belt, or the sections are empty */
    @Transactional(readOnly = true)
    TestDayView plan(SignedIn person, Wish wish) {
        UUID programId = person.programId();
        Milestone milestone = library.milestone(programId, wish.milestoneId());
        if (milestone.kind() == MilestoneKind.BELT) {
            throw Problem.input("milestoneId", "A belt is not heard; what fills it is.");
        }
        LocalDate today = office.today(programId);
        List<Seat> seats = rosters.seatsOfStudentsIn(programId, wish.scope(), today);
        List<Seated> rows = runs.seated(programId, seats, wish.scope(), today).stream()
                .filter(row -> milestone.isFor(row.seat().instrument()))
                .toList();
        if (rows.isEmpty()) {
            throw Problem.input("scope", "Nobody there can take this: it is for other instruments.");
        }
        Sheet sheet = progress.sheet(programId, Question.of(seats, today, milestone.id()));
        Queue queue = runs.queue(programId, rows, milestone, sheet);
        Map<UUID, Seated> byId = new LinkedHashMap<>();
        rows.forEach(row -> byId.put(row.student().id(), row));
        Set<UUID> classIds = rows.stream().map(row -> row.seat().classId()).collect(Collectors.toSet());
        Duration planned = runs.perStudent(programId, milestone);
        HearingPace pace = runs.pace(person, classIds, milestone, today);
        List<Held> meetings = meetings(programId, classIds, wish, today);
        List<Room> rooms = meetings.stream().map(Held::room).toList();
        Terms terms = new Terms(planned, pace, time);
        List<Waiting> waiting = queue.called().order().stream()
                .map(byId::get)
                .map(row -> new Waiting(
                        row.student().id(), row.seat().classId(), row.seat().instrument()))
                .toList();
        TestDayPlan plan = TestDayPlan.of(waiting, wish.together(), rooms, terms);
        return new TestDayView(
                milestone.id(),
                milestone.kind(),
                milestone.title(),
                new TakesView(
                        (int) planned.toSeconds() - time.feedbackSeconds() - time.changeoverSeconds(),
                        time.feedbackSeconds(),
                        time.changeoverSeconds(),
                        (int) planned.toSeconds(),
                        (int) pace.perStudent().toSeconds(),
                        pace.learntFrom()),
                periods(plan, meetings, byId, office.year(programId, today), today),
                leftOut(rows, queue, DONE).map(this::student).toList(),
                makeUp(rows, queue, plan, byId),
                plan.days().bound(),
                plan.days().proven(),
                plan.sooner(waiting, wish.together(), rooms, terms)
                        .map(sooner -> new SoonerView(sooner.together(), sooner.periods()))
                        .orElse(null));
    }

    /** The coming meetings of these classes, the earliest first; of the one that goes on what is left of it. */
    private List<Held> meetings(UUID programId, Set<UUID> classIds, Wish wish, LocalDate today) {
        LocalDate from = wish.from().filter(day -> day.isAfter(today)).orElse(today);
        SchoolYear year = office.year(programId, today);
        if (from.isAfter(year.last())) {
            throw Problem.input("from", "The school year ends on " + year.last() + "; nobody is heard after it.");
        }
        LocalTime now = office.timeOfDay(programId);
        List<Held> meetings = new ArrayList<>();
        for (SchoolClass schoolClass : rosters.classes(programId)) {
            if (!classIds.contains(schoolClass.id())) {
                continue;
            }
            from.datesUntil(from.plusDays(DAYS_AHEAD))
                    .forEach(day -> schoolClass
                            .on(year, day)
                            .flatMap(at -> at.lastMinutes(wish.minutes(), day.equals(today) ? now : LocalTime.MIN)
                                    .map(end -> new Held(
                                            schoolClass.id() + "@" + day,
                                            schoolClass,
                                            day,
                                            at,
                                            end.begins(),
                                            end.seconds())))
                            .ifPresent(meetings::add));
        }
        meetings.sort(
                Comparator.comparing(Held::on).thenComparing(held -> held.at().startsAt()));
        return meetings.stream().limit(MOST_PERIODS).toList();
    }

    private List<TestPeriodView> periods(
            TestDayPlan plan, List<Held> meetings, Map<UUID, Seated> byId, SchoolYear year, LocalDate today) {
        Map<String, List<Slot>> slots = plan.days().slots().stream()
                .collect(Collectors.groupingBy(Slot::period, LinkedHashMap::new, Collectors.toList()));
        return meetings.stream()
                .filter(room -> slots.containsKey(room.id()))
                .map(room -> new TestPeriodView(
                        room.id(),
                        room.schoolClass().id(),
                        room.schoolClass().name(),
                        room.on(),
                        room.at().period(),
                        room.begins().toString(),
                        room.on().equals(today),
                        year.rotationOn(room.on()).orElse(null),
                        room.at().minutes(),
                        room.seconds() / 60,
                        slots.get(room.id()).stream()
                                .mapToInt(slot -> plan.groups().get(slot.unit()).seconds())
                                .sum(),
                        slots.get(room.id()).stream()
                                .map(slot -> slot(slot, plan, room, byId))
                                .toList()))
                .toList();
    }

    private TestSlotView slot(Slot slot, TestDayPlan plan, Held room, Map<UUID, Seated> byId) {
        return new TestSlotView(
                room.begins()
                        .plusSeconds(slot.startSecond())
                        .truncatedTo(ChronoUnit.MINUTES)
                        .toString(),
                plan.groups().get(slot.unit()).seconds(),
                plan.groups().get(slot.unit()).students().stream()
                        .map(one -> student(byId.get(one.studentId())))
                        .toList());
    }

    private TestStudentView student(Seated row) {
        return new TestStudentView(
                row.student().id(),
                row.student().name(),
                catalog.withCode(row.seat().instrument()).name());
    }

    private static Stream<Seated> leftOut(List<Seated> rows, Queue queue, Set<LeftOut> why) {
        return rows.stream().filter(row -> {
            LeftOut because = queue.called().leftOut().get(row.student().id());
            return because != null && why.contains(because);
        });
    }

    private List<MakeUpView> makeUp(List<Seated> rows, Queue queue, TestDayPlan plan, Map<UUID, Seated> byId) {
        Map<UUID, LeftOut> because = new LinkedHashMap<>();
        leftOut(rows, queue, MAKES_UP)
                .forEach(row -> because.put(
                        row.student().id(),
                        queue.called().leftOut().get(row.student().id())));
        Set<UUID> all = new LinkedHashSet<>(because.keySet());
        all.addAll(plan.withoutRoom());
        return all.stream()
                .map(byId::get)
                .map(row -> new MakeUpView(
                        row.student().id(),
                        row.student().name(),
                        catalog.withCode(row.seat().instrument()).name(),
                        because.get(row.student().id())))
                .toList();
    }
}
