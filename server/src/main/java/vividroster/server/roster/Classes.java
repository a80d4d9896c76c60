package vividroster.server.roster;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.ClassMerge;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SeatChange;
import vividroster.server.office.Office;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.roster.ClassQueries.Wanted;

/** Classes as directors set them up: when they meet, whom they want, and how they end. */
@Service
public class Classes {

    private final ClassQueries classes;
    private final RosterQueries roster;
    private final InstrumentCatalog catalog;
    private final Office office;
    private final Locks locks;

    Classes(ClassQueries classes, RosterQueries roster, InstrumentCatalog catalog, Office office, Locks locks) {
        this.classes = classes;
        this.roster = roster;
        this.catalog = catalog;
        this.office = office;
        this.locks = locks;
    }

    /**
     * A section of a class, with whom it has and whom a director wants.
     *
     * @param wanted empty where nobody said
     */
    record SectionOfClass(InstrumentCode instrument, String division, int students, Optional<Integer> wanted) {}

    /** Sections of every class in score order, also those that are wanted and have nobody yet. */
    @Transactional(readOnly = true)
    Map<UUID, List<SectionOfClass>> sections(UUID programId) {
        LocalDate today = office.today(programId);
        Map<UUID, Map<Place, SectionOfClass>> sections = new TreeMap<>();
        roster.findSeatsNotEndedBefore(programId, today)
                .forEach(seat -> add(
                        sections,
                        seat.classId(),
                        new SectionOfClass(seat.instrument(), seat.division(), 1, Optional.empty())));
        classes.findWanted(programId)
                .forEach(want -> add(
                        sections,
                        want.classId(),
                        new SectionOfClass(want.instrument(), want.division(), 0, Optional.of(want.students()))));
        Map<UUID, List<SectionOfClass>> ordered = new TreeMap<>();
        sections.forEach((classId, of) -> ordered.put(
                classId,
                of.values().stream()
                        .sorted(Comparator.comparingInt((SectionOfClass s) ->
                                        catalog.withCode(s.instrument()).scoreRank())
                                .thenComparing(SectionOfClass::division))
                        .toList()));
        return ordered;
    }

    /** How many a director wants on each instrument of a class, its divisions together; those nobody spoke of left out. */
    @Transactional(readOnly = true)
    public Map<InstrumentCode, Integer> wanted(UUID programId, UUID classId) {
        return wanted(programId).getOrDefault(classId, Map.of());
    }

    /** The same of every class; classes nobody spoke of are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<InstrumentCode, Integer>> wanted(UUID programId) {
        Map<UUID, Map<InstrumentCode, Integer>> wanted = new HashMap<>();
        classes.findWanted(programId)
                .forEach(one -> wanted.computeIfAbsent(one.classId(), id -> new HashMap<>())
                        .merge(one.instrument(), one.students(), Integer::sum));
        return wanted;
    }

    /** Puts down how many are wanted as they are; for data that was checked where it was made. */
    @Transactional
    public void loadWanted(UUID programId, UUID classId, Map<InstrumentCode, Integer> students) {
        classes.putWanted(
                programId,
                classId,
                students.entrySet().stream()
                        .map(one -> new Wanted(classId, one.getKey(), "", one.getValue()))
                        .toList());
    }

    private record Place(InstrumentCode instrument, String division) {}

    private static void add(Map<UUID, Map<Place, SectionOfClass>> sections, UUID classId, SectionOfClass added) {
        sections.computeIfAbsent(classId, id -> new HashMap<>())
                .merge(
                        new Place(added.instrument(), added.division()),
                        added,
                        (a, b) -> new SectionOfClass(
                                a.instrument(),
                                a.division(),
                                a.students() + b.students(),
                                b.wanted().or(a::wanted)));
    }

    /**
     * Keeps a class as it was typed, a new one where the id is new. The same again changes nothing.
     *
     * @throws Problem with a sentence for the first thing that stands in the way
     */
    @Transactional
    void keep(UUID programId, SchoolClass typed, List<Wanted> wanted) {
        locks.hold(programId, "classes");
        nameIsFree(programId, typed.id(), typed.name());
        List<String> letters = office.anyYear(programId, office.today(programId))
                .map(year -> year.rotation())
                .orElse(List.of());
        typed.meets().faults(letters).stream().findFirst().ifPresent(fault -> {
            throw Problem.input(MeetingWording.field(fault), MeetingWording.sentence(fault));
        });
        long different = wanted.stream()
                .map(w -> new Place(w.instrument(), w.division()))
                .distinct()
                .count();
        if (different < wanted.size()) {
            throw Problem.input("wanted", "A section is there twice; say once how many you want.");
        }
        classes.put(programId, typed);
        classes.putWanted(programId, typed.id(), wanted);
    }

    private void nameIsFree(UUID programId, UUID id, String name) {
        boolean taken = classes.findAll(programId).stream()
                .anyMatch(other -> !other.id().equals(id)
                        && other.lastDay().isEmpty()
                        && other.name().equalsIgnoreCase(name));
        if (taken) {
            throw Problem.input("name", "There is a class called \"" + name + "\" already.");
        }
    }

    private SchoolClass running(UUID programId, UUID classId) {
        SchoolClass found =
                classes.findOne(programId, classId).orElseThrow(() -> Problem.notFound("There is no such class."));
        if (found.lastDay().isPresent()) {
            throw Problem.conflict(found.name() + " ended on " + found.lastDay().get() + " already.");
        }
        return found;
    }

    /**
     * Ends a class with its seats; what was set, heard and passed stays.
     *
     * @param lastDay inclusive
     */
    @Transactional
    void end(UUID programId, UUID classId, LocalDate lastDay) {
        locks.hold(programId, "classes");
        SchoolClass ended = running(programId, classId);
        List<Seat> open = open(programId, classId);
        Map<UUID, List<Seat>> seats =
                roster
                        .findSeatsOfStudents(
                                programId, open.stream().map(Seat::studentId).toList())
                        .stream()
                        .collect(Collectors.groupingBy(Seat::studentId));
        open.forEach(seat -> {
            // Who only comes back from a borrowed instrument later sat there before.
            SeatChange.Reseated left = SeatChange.leaving(seats.get(seat.studentId()), classId, lastDay)
                    .orElseThrow(() -> Problem.input(
                            "lastDay",
                            "Somebody joins " + ended.name() + " on " + seat.startsOn()
                                    + "; it cannot end before that."));
            roster.reseat(programId, left.before(), left.after());
        });
        classes.putLastDay(programId, classId, lastDay);
    }

    /** A class that ended goes on, with those who sat in it to the end. */
    @Transactional
    void goOn(UUID programId, UUID classId) {
        locks.hold(programId, "classes");
        SchoolClass ended =
                classes.findOne(programId, classId).orElseThrow(() -> Problem.notFound("There is no such class."));
        nameIsFree(programId, classId, ended.name());
        ended.lastDay().ifPresent(lastDay -> {
            roster.reopenSeats(programId, classId, lastDay);
            classes.putLastDay(programId, classId, null);
        });
    }

    private List<Seat> open(UUID programId, UUID classId) {
        return roster.findOpenSeats(programId, classId);
    }

    /**
     * Everybody of one class sits in another from a day; the first one ends the day before.
     *
     * @return how many moved
     */
    @Transactional
    int merge(UUID programId, UUID classId, UUID into, LocalDate from) {
        locks.hold(programId, "classes");
        if (classId.equals(into)) {
            throw Problem.input("into", "Choose another class to merge with.");
        }
        running(programId, classId);
        running(programId, into);
        ClassMerge merge = ClassMerge.of(open(programId, classId), open(programId, into), into, from);
        if (merge.tooEarly().isPresent()) {
            throw Problem.input(
                    "from",
                    "Somebody joins on " + merge.tooEarly().get().startsOn() + "; merge from the day after at the"
                            + " earliest.");
        }
        end(programId, classId, from.minusDays(1));
        roster.insertSeats(
                programId,
                merge.added().stream()
                        .map(seat -> new RosterQueries.NewSeat(Ids.next(), seat))
                        .toList());
        return merge.added().size();
    }
}
