package vividroster.server.testing;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MeetingPattern.Meeting;
import vividroster.core.season.SchoolYear;
import vividroster.core.testing.HeardTogether;
import vividroster.core.testing.HeardTogether.Waiting;
import vividroster.core.testing.HearingPace;
import vividroster.core.testing.HearingQueue.LeftOut;
import vividroster.core.testing.HearingTime;
import vividroster.core.testing.TestDays;
import vividroster.core.testing.TestDays.Slot;
import vividroster.core.testing.TestDays.Unit;
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
     */
    record Wish(UUID milestoneId, SectionScope scope, Optional<LocalDate> from, int minutes, int together) {}

    /** A meeting of a class with room for the test. @param begins when the first is heard */
    private record Room(String id, SchoolClass schoolClass, LocalDate on, Meeting at, LocalTime begins, int seconds) {}

    /** @throws Problem where the milestone is a belt, or the sections are empty */
    @Transactional(readOnly = true)
    TestDayView plan(SignedIn person, Wish wish) {
        UUID programId = person.programId();
        Milestone milestone = library.milestone(programId, wish.milestoneId());
        if (milestone.kind() == vividroster.core.curriculum.MilestoneKind.BELT) {
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
        List<Room> rooms = rooms(programId, classIds, wish, today);
        List<Waiting> waiting = queue.called().order().stream()
                .map(byId::get)
                .map(row -> new Waiting(
                        row.student().id(), row.seat().classId(), row.seat().instrument()))
                .toList();
        Plan plan = plan(waiting, wish.together(), rooms, pace, planned);
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
                periods(plan, rooms, byId, office.year(programId, today), today),
                leftOut(rows, queue, DONE).map(this::student).toList(),
                makeUp(rows, queue, plan, byId),
                plan.days().bound(),
                plan.days().proven(),
                sooner(waiting, wish.together(), plan, rooms, pace, planned));
    }

    /** @param groups by the id of their unit */
    private record Plan(TestDays days, Map<String, List<Waiting>> groups, Map<String, Integer> seconds) {

        long periodsUsed() {
            return days.slots().stream().map(Slot::period).distinct().count();
        }

        List<UUID> withoutRoom() {
            return days.left().stream()
                    .flatMap(id -> groups.get(id).stream())
                    .map(Waiting::studentId)
                    .toList();
        }
    }

    private Plan plan(List<Waiting> waiting, int together, List<Room> rooms, HearingPace pace, Duration planned) {
        Map<String, List<Waiting>> groups = new LinkedHashMap<>();
        Map<String, Integer> seconds = new HashMap<>();
        List<Unit> units = new ArrayList<>();
        for (List<Waiting> group : HeardTogether.of(waiting, together)) {
            String id = group.getFirst().studentId().toString();
            groups.put(id, group);
            int takes = (int) pace.stretched(planned, time.together(planned, group.size()))
                    .toSeconds();
            seconds.put(id, takes);
            units.add(new Unit(
                    id,
                    group.stream().map(one -> one.studentId().toString()).toList(),
                    takes,
                    rooms.stream()
                            .filter(room -> room.schoolClass()
                                    .id()
                                    .equals(group.getFirst().classId()))
                            .map(Room::id)
                            .collect(Collectors.toSet())));
        }
        // Whose class does not meet any more is tied to no period; that must not read as to any.
        List<Unit> possible =
                units.stream().filter(unit -> !unit.periods().isEmpty()).toList();
        TestDays days = TestDays.of(
                rooms.stream()
                        .map(room -> new TestDays.Period(room.id(), room.seconds()))
                        .toList(),
                possible);
        List<String> left = new ArrayList<>(days.left());
        units.stream().filter(unit -> unit.periods().isEmpty()).map(Unit::id).forEach(left::add);
        return new Plan(new TestDays(days.slots(), left, days.bound(), days.proven()), groups, seconds);
    }

    /** The coming meetings of these classes, the earliest first; of the one that goes on what is left of it. */
    private List<Room> rooms(UUID programId, Set<UUID> classIds, Wish wish, LocalDate today) {
        LocalDate from = wish.from().filter(day -> day.isAfter(today)).orElse(today);
        SchoolYear year = office.year(programId, today);
        if (from.isAfter(year.last())) {
            throw Problem.input("from", "The school year ends on " + year.last() + "; nobody is heard after it.");
        }
        LocalTime now = office.timeOfDay(programId);
        List<Room> rooms = new ArrayList<>();
        for (SchoolClass schoolClass : rosters.classes(programId)) {
            if (!classIds.contains(schoolClass.id())) {
                continue;
            }
            from.datesUntil(from.plusDays(DAYS_AHEAD))
                    .forEach(day -> schoolClass
                            .on(year, day)
                            .flatMap(at ->
                                    room(schoolClass, day, at, wish.minutes(), day.equals(today) ? now : LocalTime.MIN))
                            .ifPresent(rooms::add));
        }
        rooms.sort(
                Comparator.comparing(Room::on).thenComparing(room -> room.at().startsAt()));
        return rooms.stream().limit(MOST_PERIODS).toList();
    }

    private static Optional<Room> room(SchoolClass schoolClass, LocalDate day, Meeting at, int minutes, LocalTime now) {
        LocalTime ends = at.startsAt().plusMinutes(at.minutes());
        LocalTime begins = at.startsAt().plusMinutes(Math.max(0, at.minutes() - minutes));
        LocalTime first = now.isAfter(begins) ? now.truncatedTo(ChronoUnit.MINUTES) : begins;
        if (!first.isBefore(ends)) {
            return Optional.empty();
        }
        return Optional.of(new Room(schoolClass.id() + "@" + day, schoolClass, day, at, first, (int)
                Duration.between(first, ends).toSeconds()));
    }

    private List<TestPeriodView> periods(
            Plan plan, List<Room> rooms, Map<UUID, Seated> byId, SchoolYear year, LocalDate today) {
        Map<String, List<Slot>> slots = plan.days().slots().stream()
                .collect(Collectors.groupingBy(Slot::period, LinkedHashMap::new, Collectors.toList()));
        return rooms.stream()
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
                                .mapToInt(slot -> plan.seconds().get(slot.unit()))
                                .sum(),
                        slots.get(room.id()).stream()
                                .map(slot -> slot(slot, plan, room, byId))
                                .toList()))
                .toList();
    }

    private TestSlotView slot(Slot slot, Plan plan, Room room, Map<UUID, Seated> byId) {
        return new TestSlotView(
                room.begins()
                        .plusSeconds(slot.startSecond())
                        .truncatedTo(ChronoUnit.MINUTES)
                        .toString(),
                plan.seconds().get(slot.unit()),
                plan.groups().get(slot.unit()).stream()
                        .map(one -> student(byId.get(one.studentId())))
                        .toList());
    }

    private TestStudentView student(Seated row) {
        return new TestStudentView(
                row.student().id(),
                row.student().name(),
                catalog.withCode(row.seat().instrument()).name());
    }

    private static java.util.stream.Stream<Seated> leftOut(List<Seated> rows, Queue queue, Set<LeftOut> why) {
        return rows.stream().filter(row -> {
            LeftOut because = queue.called().leftOut().get(row.student().id());
            return because != null && why.contains(because);
        });
    }

    private List<MakeUpView> makeUp(List<Seated> rows, Queue queue, Plan plan, Map<UUID, Seated> byId) {
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

    /** The fewest heard together that end it in fewer periods, or that leave fewer without room. */
    private SoonerView sooner(
            List<Waiting> waiting, int together, Plan plan, List<Room> rooms, HearingPace pace, Duration planned) {
        for (int more = together + 1; more <= HeardTogether.MOST; more++) {
            Plan other = plan(waiting, more, rooms, pace, planned);
            boolean fewerLeft = other.withoutRoom().size() < plan.withoutRoom().size();
            boolean earlier =
                    other.withoutRoom().size() == plan.withoutRoom().size() && other.periodsUsed() < plan.periodsUsed();
            if (fewerLeft || earlier) {
                return new SoonerView(more, (int) other.periodsUsed());
            }
        }
        return null;
    }

    /** By id. */
    Map<UUID, SchoolClass> classes(UUID programId) {
        return rosters.classes(programId).stream().collect(Collectors.toMap(SchoolClass::id, Function.identity()));
    }
}
