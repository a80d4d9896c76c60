package vividroster.server.switching;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
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
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.HandsKept;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.InstrumentSwitch;
import vividroster.core.progress.InstrumentSwitch.Between;
import vividroster.core.progress.InstrumentSwitch.Track;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SeatChange;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Assignment;
import vividroster.core.season.CatchUp;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.lines.HandsOnLines;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.roster.Seating;
import vividroster.server.roster.Student;
import vividroster.server.season.NewNotesAWeek;
import vividroster.server.switching.SwitchRequest.SwitchWanted;
import vividroster.server.switching.SwitchViews.SwitchedView;
import vividroster.server.switching.SwitchViews.SwitchesView;

/** Changes of instrument: told before they are done, and done for several students in one act. */
@Service
class Switches {

    private final Rosters rosters;
    private final Seating seating;
    private final Progress progress;
    private final HandsOnLines hands;
    private final Orders orders;
    private final NewNotesAWeek newNotes;
    private final Office office;
    private final InstrumentCatalog catalog;
    private final SwitchWording wording;

    Switches(
            Rosters rosters,
            Seating seating,
            Progress progress,
            HandsOnLines hands,
            Orders orders,
            NewNotesAWeek newNotes,
            Office office,
            InstrumentCatalog catalog,
            SwitchWording wording) {
        this.rosters = rosters;
        this.seating = seating;
        this.progress = progress;
        this.hands = hands;
        this.orders = orders;
        this.newNotes = newNotes;
        this.office = office;
        this.catalog = catalog;
        this.wording = wording;
    }

    /** A section that somebody comes to, as far as the music divides it. */
    private record Section(UUID classId, InstrumentCode instrument, String division) {}

    /** One student who can change. @param after the seats in that class as they will be held */
    private record Change(SwitchWanted wanted, Student student, InstrumentCode from, List<Seat> after) {

        Player old() {
            return new Player(student.id(), from);
        }

        Player fresh() {
            return new Player(student.id(), wanted.instrument());
        }

        Section to() {
            return new Section(wanted.classId(), wanted.instrument(), Switches.division(wanted));
        }
    }

    /** @param told by student and class, in the order wanted; a problem where somebody cannot change */
    record Told(
            Map<SwitchWanted, Told.One> told,
            List<SectionTrack> tracks,
            Map<UUID, Milestone> milestones,
            LocalDate from) {

        /** One student: either what the change means, or why it cannot be. */
        record One(
                Optional<Student> student,
                Optional<InstrumentCode> from,
                Optional<InstrumentSwitch> means,
                Map<UUID, LocalDate> dueWithSection,
                Set<UUID> keepsOldIn,
                Optional<Problem> refused) {

            static One refused(Student student, Problem problem) {
                return new One(
                        Optional.ofNullable(student),
                        Optional.empty(),
                        Optional.empty(),
                        Map.of(),
                        Set.of(),
                        Optional.of(problem));
            }
        }
    }

    /** The track of those who come to one section. */
    record SectionTrack(UUID classId, InstrumentCode instrument, List<Student> students, CatchUp catchUp) {}

    @Transactional(readOnly = true)
    SwitchesView preview(UUID programId, SwitchRequest request) {
        return wording.view(programId, tell(programId, request));
    }

    /** @throws Problem where one of them cannot change; then nobody does */
    @Transactional
    SwitchedView change(SignedIn person, SwitchRequest request) {
        UUID programId = person.programId();
        if (request.catchUp() && request.until() != null) {
            throw Problem.input("catchUp", "A borrowed instrument has no track to catch up on; it goes back.");
        }
        Told told = tell(programId, request);
        told.told().values().stream()
                .filter(one -> one.refused().isPresent())
                .findFirst()
                .ifPresent(one -> {
                    Problem problem = one.refused().get();
                    throw Problem.input(
                            problem.field().orElse(""),
                            one.student().map(student -> student.name() + ": ").orElse("") + problem.getMessage());
                });
        request.students().forEach(wanted -> seating.seat(programId, seat(wanted, request.from(), request.until())));
        List<MilestoneOrder> made = request.catchUp()
                ? told.tracks().stream()
                        .flatMap(track -> track.catchUp().orders().stream())
                        .toList()
                : List.of();
        orders.set(programId, person.accountId(), made);
        return new SwitchedView(request.students().size(), made.size());
    }

    private static String division(SwitchWanted wanted) {
        return wanted.division() == null ? "" : wanted.division().strip();
    }

    private static Seat seat(SwitchWanted wanted, LocalDate from, LocalDate until) {
        return new Seat(
                wanted.studentId(),
                wanted.classId(),
                wanted.instrument(),
                division(wanted),
                from,
                Optional.ofNullable(until));
    }

    private Told tell(UUID programId, SwitchRequest request) {
        if (request.until() != null && request.until().isBefore(request.from())) {
            throw Problem.input("until", "The last day comes on or after the first.");
        }
        Set<List<UUID>> seats = new HashSet<>();
        if (!request.students().stream().allMatch(wanted -> seats.add(List.of(wanted.studentId(), wanted.classId())))) {
            throw Problem.input("students", "Somebody is there twice for the same class.");
        }
        LocalDate from = request.from();
        SchoolYear year = office.year(programId, from);
        Map<UUID, Student> students = rosters.students(
                programId,
                request.students().stream().map(SwitchWanted::studentId).toList());
        Map<UUID, List<Seat>> held =
                rosters.seatsOf(programId, students.keySet()).stream().collect(Collectors.groupingBy(Seat::studentId));
        Map<UUID, SchoolClass> classes =
                rosters.classes(programId).stream().collect(Collectors.toMap(SchoolClass::id, Function.identity()));
        Map<SwitchWanted, Told.One> told = new LinkedHashMap<>();
        List<Change> changes = new ArrayList<>();
        for (SwitchWanted wanted : request.students()) {
            Student student = students.get(wanted.studentId());
            try {
                changes.add(change(
                        programId,
                        request,
                        year,
                        classes.get(wanted.classId()),
                        student,
                        held.getOrDefault(wanted.studentId(), List.of()),
                        wanted));
                told.put(wanted, null);
            } catch (Problem problem) {
                told.put(wanted, Told.One.refused(student, problem));
            }
        }
        Facts facts = facts(programId, changes, held, year);
        Map<Change, InstrumentSwitch> means = new LinkedHashMap<>();
        changes.forEach(change -> means.put(change, means(programId, change, facts, from)));
        means.forEach((change, meaning) -> told.put(
                change.wanted(),
                new Told.One(
                        Optional.of(change.student()),
                        Optional.of(change.from()),
                        Optional.of(meaning),
                        dueWithSection(change, facts),
                        keepsOldIn(change, facts, from),
                        Optional.empty())));
        List<SectionTrack> tracks = request.until() == null ? tracks(programId, means, facts, from, year) : List.of();
        return new Told(told, tracks, facts.sheet().milestones(), from);
    }

    private Change change(
            UUID programId,
            SwitchRequest request,
            SchoolYear year,
            SchoolClass schoolClass,
            Student student,
            List<Seat> seats,
            SwitchWanted wanted) {
        if (student == null) {
            throw Problem.input("students", "There is no such student any more.");
        }
        if (schoolClass == null) {
            throw Problem.input("classId", "There is no such class any more.");
        }
        LocalDate from = request.from();
        if (from.isBefore(year.first()) || from.isAfter(year.last())) {
            throw Problem.input("from", "The school year is from " + year.first() + " to " + year.last() + ".");
        }
        Seat before = SeatChange.from(seats, wanted.classId(), wanted.instrument(), from)
                .orElseThrow(() -> Problem.input(
                        "from",
                        "No seat on another instrument is held in " + schoolClass.name()
                                + " on that day to change from."));
        Seating.Planned planned = seating.planned(programId, schoolClass, seats, seat(wanted, from, request.until()));
        planned.refused().ifPresent(problem -> {
            throw problem;
        });
        return new Change(wanted, student, before.instrument(), planned.after());
    }

    /**
     * What is asked once for all of them.
     *
     * @param seats all of each student, as they will be held after all changes
     * @param track what somebody who had been there the whole year would have been set, by section, in the order met
     */
    private record Facts(Sheet sheet, Map<UUID, List<Seat>> seats, Map<Section, Map<UUID, Assignment>> track) {}

    private Facts facts(UUID programId, List<Change> changes, Map<UUID, List<Seat>> before, SchoolYear year) {
        Map<Section, Player> always = new LinkedHashMap<>();
        Map<UUID, List<Seat>> after = new HashMap<>();
        Set<UUID> heard = new HashSet<>();
        changes.forEach(change -> {
            // Somebody made up who sat in the section from the first day shows what it was set.
            always.computeIfAbsent(change.to(), section -> new Player(UUID.randomUUID(), section.instrument()));
            List<Seat> held = after.computeIfAbsent(
                    change.student().id(), id -> new ArrayList<>(before.getOrDefault(id, List.of())));
            held.removeIf(seat -> seat.classId().equals(change.wanted().classId()));
            held.addAll(change.after());
            heard.addAll(progress.heardOn(programId, change.student().id()).keySet());
        });
        List<Seat> seats =
                new ArrayList<>(after.values().stream().flatMap(List::stream).toList());
        always.forEach((section, player) -> seats.add(new Seat(
                player.studentId(),
                section.classId(),
                section.instrument(),
                section.division(),
                year.first(),
                Optional.empty())));
        // What is ordered ahead is asked too, to the year's last day.
        Sheet sheet = progress.sheet(
                programId,
                Question.of(seats, year.last()).withBelts().also(heard).forEverybody());
        Map<Section, Map<UUID, Assignment>> track = new HashMap<>();
        always.forEach((section, player) -> track.put(section, inOrder(sheet.assigned(player), sheet)));
        return new Facts(sheet, after, track);
    }

    /** By due day, then by the day it was set, then as on the shelf. */
    private static Map<UUID, Assignment> inOrder(Map<UUID, Assignment> assigned, Sheet sheet) {
        Map<UUID, Assignment> ordered = new LinkedHashMap<>();
        sheet.milestones().values().stream()
                .filter(m -> m.kind() != MilestoneKind.BELT && assigned.containsKey(m.id()))
                .map(m -> assigned.get(m.id()))
                .sorted(Comparator.comparing(Assignment::dueOn).thenComparing(Assignment::setOn))
                .forEach(assignment -> ordered.put(assignment.milestoneId(), assignment));
        return ordered;
    }

    private InstrumentSwitch means(UUID programId, Change change, Facts facts, LocalDate from) {
        Sheet sheet = facts.sheet();
        Map<UUID, Milestone> milestones = sheet.milestones().entrySet().stream()
                .filter(entry -> entry.getValue().kind() != MilestoneKind.BELT)
                .collect(Collectors.toMap(
                        Map.Entry::getKey, Map.Entry::getValue, (one, other) -> one, LinkedHashMap::new));
        Map<UUID, Assignment> whole = facts.track().get(change.to());
        Set<UUID> own = sheet.assigned(change.fresh()).keySet();
        List<UUID> missed =
                whole.keySet().stream().filter(id -> !own.contains(id)).toList();
        List<UUID> withSection = whole.keySet().stream().filter(own::contains).toList();
        InstrumentCode to = change.wanted().instrument();
        UUID classId = change.wanted().classId();
        List<UUID> lines = lines(whole.keySet(), milestones);
        List<UUID> passed = lines(milestones.keySet(), milestones).stream()
                .filter(id -> sheet.standing(change.old(), id).isPassed())
                .toList();
        Set<Pitch> known = hands.notes(programId, classId, passed, change.from()).values().stream()
                .flatMap(Collection::stream)
                .collect(Collectors.toSet());
        return InstrumentSwitch.of(
                new Between(
                        change.from(),
                        to,
                        sheet.standings().getOrDefault(change.old(), Map.of()),
                        sheet.standings().getOrDefault(change.fresh(), Map.of()),
                        !keepsOldIn(change, facts, from).isEmpty()),
                milestones,
                new Track(missed, withSection, hands.notes(programId, classId, lines, to)),
                sheet.belts(),
                HandsKept.of(hands.chart(programId, change.from()), hands.chart(programId, to), known),
                newNotes.of(programId));
    }

    private static List<UUID> lines(Collection<UUID> ids, Map<UUID, Milestone> milestones) {
        return ids.stream()
                .filter(id -> milestones.containsKey(id) && milestones.get(id).kind() == MilestoneKind.LINE)
                .toList();
    }

    /** Classes in which the old instrument is played on a day all the same. */
    private static Set<UUID> keepsOldIn(Change change, Facts facts, LocalDate day) {
        return facts.seats().get(change.student().id()).stream()
                .filter(seat -> seat.isHeldOn(day) && seat.instrument().equals(change.from()))
                .map(Seat::classId)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static Map<UUID, LocalDate> dueWithSection(Change change, Facts facts) {
        return facts.sheet().assigned(change.fresh()).values().stream()
                .collect(Collectors.toMap(Assignment::milestoneId, Assignment::dueOn));
    }

    private List<SectionTrack> tracks(
            UUID programId, Map<Change, InstrumentSwitch> means, Facts facts, LocalDate from, SchoolYear year) {
        int notes = newNotes.of(programId);
        Map<SectionScope.Newcomers, List<Change>> coming = new LinkedHashMap<>();
        means.keySet()
                .forEach(change -> coming.computeIfAbsent(
                                new SectionScope.Newcomers(
                                        change.wanted().classId(),
                                        Optional.of(change.wanted().instrument()),
                                        from),
                                whom -> new ArrayList<>())
                        .add(change));
        List<SectionTrack> tracks = new ArrayList<>();
        coming.forEach((whom, changes) -> {
            Map<UUID, Assignment> whole = new LinkedHashMap<>();
            changes.forEach(change -> facts.track().get(change.to()).forEach(whole::putIfAbsent));
            Set<UUID> missed = changes.stream()
                    .flatMap(change -> means.get(change).catchUp().stream())
                    .flatMap(List::stream)
                    .collect(Collectors.toSet());
            Map<UUID, Set<Evidence>> evidence = new HashMap<>();
            whole.forEach((id, assignment) -> evidence.put(id, assignment.evidence()));
            tracks.add(new SectionTrack(
                    whom.classId(),
                    whom.instrument().orElseThrow(),
                    changes.stream().map(Change::student).toList(),
                    CatchUp.of(
                            whom,
                            InstrumentSwitch.together(
                                    whole.keySet().stream()
                                            .filter(missed::contains)
                                            .toList(),
                                    changes.stream().map(means::get).toList(),
                                    notes),
                            evidence,
                            rosters.schoolClass(programId, whom.classId()).times(),
                            year,
                            Ids::next)));
        });
        return tracks;
    }
}
