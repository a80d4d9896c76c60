package vividroster.server.podium;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.Capped;
import vividroster.core.progress.Pressing;
import vividroster.core.progress.Pressing.Asked;
import vividroster.core.progress.Pressing.Pressed;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.season.Assignment;
import vividroster.core.season.MeetingPattern.Meeting;
import vividroster.core.season.SchoolYear;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.podium.Deciding.DecideView;
import vividroster.server.podium.LookingAfter.After;
import vividroster.server.podium.LookingAfter.DueReview;
import vividroster.server.podium.LookingAfter.LookAfterView;
import vividroster.server.podium.LookingAfter.PainNote;
import vividroster.server.podium.LookingAfter.RepairView;
import vividroster.server.podium.LookingAfter.WatchView;
import vividroster.server.podium.Periods.PeriodView;
import vividroster.server.podium.Rails.SectionView;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** What a director sees before the first class: every class of a day, from one reading of where everybody stands. */
@Service
class Podiums {

    private final Progress progress;
    private final HearingRuns runs;
    private final Rosters rosters;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;
    private final LookingAfter lookingAfter;
    private final Deciding deciding;
    private final Rails rails;

    Podiums(
            Progress progress,
            HearingRuns runs,
            Rosters rosters,
            Library library,
            Office office,
            InstrumentCatalog catalog,
            LookingAfter lookingAfter,
            Deciding deciding,
            Rails rails) {
        this.rails = rails;
        this.deciding = deciding;
        this.lookingAfter = lookingAfter;
        this.progress = progress;
        this.runs = runs;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
    }

    /** @param concertKey absent for what is no line */
    record TeachView(
            UUID milestoneId,
            MilestoneKind kind,
            String shortName,
            String title,
            LocalDate dueOn,
            @Absent String concertKey,
            int asked) {}

    /** @param open students whom a run would call on that day; seconds to hear them all */
    record HearView(
            UUID milestoneId,
            MilestoneKind kind,
            String shortName,
            String title,
            LocalDate dueOn,
            int open,
            int passed,
            int asked,
            int seconds,
            boolean fits) {}

    /**
     * @param away students who are not there on that day
     * @param moreToHear how many more there are than shown, as the other two
     */
    record PodiumClass(
            UUID classId,
            String name,
            String campus,
            String startsAt,
            int period,
            int minutes,
            int students,
            int away,
            List<SectionView> sections,
            List<TeachView> teach,
            List<HearView> hear,
            int moreToHear,
            int carriedOver,
            List<LookAfterView> lookAfter,
            int moreToLookAfter,
            List<PainNote> pain,
            List<DueReview> reviews,
            int moreReviews,
            List<WatchView> watch,
            List<RepairView> repairs,
            List<DecideView> decide,
            PeriodView plan) {}

    /**
     * @param rotation letter of the day; nextDay the next day any class meets, when none does on this one
     * @param turnedTo the class that goes on, or comes next; of another day its first; absent where none meets
     * @param minute of its period; absent where it does not go on
     */
    record PodiumView(
            LocalDate on,
            @Absent String rotation,
            boolean schoolDay,
            @Absent String closedFor,
            @Absent LocalDate nextDay,
            @Absent UUID turnedTo,
            @Absent Integer minute,
            List<PodiumClass> classes) {}

    private record MeetingClass(SchoolClass schoolClass, Meeting at) {}

    /**
     * What one class of the day is drawn from.
     *
     * @param asked what is set for anybody in it, in any class, in shelf order
     * @param own which of it this class was set, by the day it is due there
     */
    private record OfClass(
            MeetingClass meeting,
            List<Seated> rows,
            List<Asked> asked,
            Map<UUID, LocalDate> own,
            Capped<Pressed> toHear) {

        /** What this class is taught this week, by the day it is due here. */
        List<Asked> current(LocalDate day) {
            return asked.stream()
                    .filter(one ->
                            own.containsKey(one.milestoneId()) && Pressing.isCurrent(own.get(one.milestoneId()), day))
                    .map(one -> new Asked(one.milestoneId(), own.get(one.milestoneId()), one.standings()))
                    .sorted(Comparator.comparing(Asked::dueOn))
                    .toList();
        }
    }

    /** What is known of the students and milestones of all classes of the day. */
    private record OfDay(
            LocalDate day,
            Sheet sheet,
            Map<UUID, LineFacts> lines,
            Map<UUID, Duration> perStudent,
            LookingAfter.Known after,
            HearingRuns.Today calling,
            Deciding.Known decisions) {}

    @Transactional(readOnly = true)
    public PodiumView podium(UUID programId, Optional<LocalDate> on, Reach reach) {
        LocalDate day = on.orElseGet(() -> office.today(programId));
        SchoolYear year = office.year(programId, day);
        List<SchoolClass> all = rosters.classes(programId);
        List<MeetingClass> meeting = all.stream()
                .flatMap(c -> c.on(year, day).map(at -> new MeetingClass(c, at)).stream())
                .sorted(Comparator.comparing((MeetingClass c) -> c.at().startsAt()))
                .toList();
        Optional<LocalDate> next = meeting.isEmpty()
                ? all.stream()
                        .flatMap(c -> c.next(year, day.plusDays(1)).stream())
                        .min(Comparator.naturalOrder())
                : Optional.empty();
        boolean isToday = day.equals(office.today(programId));
        LocalTime now = isToday ? office.timeOfDay(programId) : LocalTime.MIN;
        OptionalInt turnedTo =
                Meeting.turnedTo(meeting.stream().map(MeetingClass::at).toList(), now);
        OptionalInt minute =
                turnedTo.isPresent() ? meeting.get(turnedTo.getAsInt()).at().minuteAt(now) : OptionalInt.empty();
        return new PodiumView(
                day,
                year.rotationOn(day).orElse(null),
                year.isSchoolDay(day),
                year.closedFor(day).orElse(null),
                next.orElse(null),
                turnedTo.isPresent()
                        ? meeting.get(turnedTo.getAsInt()).schoolClass().id()
                        : null,
                isToday && minute.isPresent() ? minute.getAsInt() : null,
                meeting.isEmpty() ? List.of() : classes(programId, meeting, day, reach));
    }

    private List<PodiumClass> classes(UUID programId, List<MeetingClass> meeting, LocalDate day, Reach reach) {
        List<Seat> seats = reach.of(
                rosters.seatsOfStudentsIn(
                        programId,
                        meeting.stream().map(c -> c.schoolClass().id()).toList(),
                        day),
                catalog);
        Sheet sheet = progress.sheet(programId, Question.of(seats, day));
        Map<UUID, List<Seated>> rows = runs.seatedByClass(programId, seats, day);
        List<OfClass> classes = meeting.stream()
                .filter(c -> reach == Reach.EVERYBODY
                        || rows.containsKey(c.schoolClass().id()))
                .map(c -> ofClass(c, rows.getOrDefault(c.schoolClass().id(), List.of()), sheet, day))
                .toList();
        OfDay known = ofDay(programId, classes, sheet, day, reach);
        return classes.stream().map(c -> view(c, known)).toList();
    }

    private static OfClass ofClass(MeetingClass c, List<Seated> rows, Sheet sheet, LocalDate day) {
        List<Asked> asked = sheet.asked(rows.stream().map(Seated::player).toList());
        List<Pressed> open = Pressing.of(asked, day).stream()
                .filter(pressed -> !(pressed.reason() instanceof Pressing.AllHeard))
                .toList();
        Map<UUID, LocalDate> own = Assignment.ofClass(
                c.schoolClass().id(), rows.stream().flatMap(row -> sheet.assigned(row.player()).values().stream()));
        return new OfClass(c, rows, asked, own, Capped.of(open, Pressing.ON_PODIUM));
    }

    private OfDay ofDay(UUID programId, List<OfClass> classes, Sheet sheet, LocalDate day, Reach reach) {
        Map<UUID, String> names = new LinkedHashMap<>();
        classes.forEach(c -> c.rows()
                .forEach(row -> names.put(row.student().id(), row.student().name())));
        Set<UUID> taught = classes.stream()
                .flatMap(c -> c.current(day).stream())
                .map(Asked::milestoneId)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Set<UUID> heard = classes.stream()
                .flatMap(c -> c.toHear().shown().stream())
                .map(pressed -> pressed.asked().milestoneId())
                .collect(Collectors.toSet());
        List<Seated> everybody =
                classes.stream().flatMap(c -> c.rows().stream()).toList();
        return new OfDay(
                day,
                sheet,
                library.lines(programId, taught),
                runs.perStudent(
                        programId, heard.stream().map(sheet.milestones()::get).toList()),
                lookingAfter.known(programId, names, everybody, sheet, reach),
                runs.today(programId, everybody, day),
                deciding.known(
                        programId,
                        reach == Reach.EVERYBODY ? names.keySet() : Set.of(),
                        classes.stream()
                                .map(c -> c.meeting().schoolClass().id())
                                .toList(),
                        classes.stream()
                                .flatMap(c -> c.asked().stream())
                                .map(Asked::milestoneId)
                                .collect(Collectors.toSet()),
                        day));
    }

    private PodiumClass view(OfClass c, OfDay known) {
        Map<UUID, Seated> students = new LinkedHashMap<>();
        c.rows().forEach(row -> students.put(row.student().id(), row));
        Set<UUID> away =
                known.calling().away().getOrDefault(c.meeting().schoolClass().id(), Set.of());
        After after = lookingAfter.of(c.rows(), away, known.sheet(), known.after());
        List<HearView> hear = c.toHear().shown().stream()
                .map(pressed -> hearView(
                        pressed.asked(),
                        known.calling()
                                .toCall(known.sheet(), c.rows(), pressed.asked().milestoneId()),
                        known,
                        c.meeting().at()))
                .toList();
        return new PodiumClass(
                c.meeting().schoolClass().id(),
                c.meeting().schoolClass().name(),
                c.meeting().at().campus(),
                c.meeting().at().startsAt().toString(),
                c.meeting().at().period(),
                c.meeting().at().minutes(),
                c.rows().size(),
                (int) students.keySet().stream().filter(away::contains).count(),
                rails.sections(c.rows(), known.sheet()),
                c.current(known.day()).stream()
                        .map(asked -> teachView(asked, known))
                        .toList(),
                hear,
                c.toHear().more(),
                (int) c.asked().stream()
                        .flatMap(asked -> asked.standings().stream())
                        .filter(Standing::carriedOver)
                        .count(),
                after.tried().shown(),
                after.tried().more(),
                after.pain(),
                after.reviews().shown(),
                after.reviews().more(),
                after.watch(),
                after.repairs(),
                deciding.of(c.meeting().schoolClass().id(), c.rows(), c.asked(), known.sheet(), known.decisions()),
                Periods.of(
                        c.meeting().at().minutes(),
                        c.current(known.day()).stream()
                                .map(asked -> known.sheet().milestones().get(asked.milestoneId()))
                                .toList(),
                        hear,
                        id -> (int) known.perStudent().get(id).toSeconds()));
    }

    private static TeachView teachView(Asked asked, OfDay known) {
        Milestone milestone = known.sheet().milestones().get(asked.milestoneId());
        return new TeachView(
                milestone.id(),
                milestone.kind(),
                milestone.shortName(),
                milestone.title(),
                asked.dueOn(),
                Optional.ofNullable(known.lines().get(milestone.id()))
                        .map(line -> line.concertKey().name())
                        .orElse(null),
                asked.asked());
    }

    private static HearView hearView(Asked asked, int open, OfDay known, Meeting at) {
        Milestone milestone = known.sheet().milestones().get(asked.milestoneId());
        int seconds =
                (int) known.perStudent().get(milestone.id()).multipliedBy(open).toSeconds();
        return new HearView(
                milestone.id(),
                milestone.kind(),
                milestone.shortName(),
                milestone.title(),
                asked.dueOn(),
                open,
                asked.passed(),
                asked.asked(),
                seconds,
                seconds <= at.minutes() * 60);
    }
}
