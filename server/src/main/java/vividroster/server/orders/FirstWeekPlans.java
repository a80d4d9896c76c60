package vividroster.server.orders;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
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
import vividroster.core.curriculum.Prerequisites;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.ClassTimes;
import vividroster.core.season.FirstWeeks;
import vividroster.core.season.FirstWeeks.Piece;
import vividroster.core.season.FirstWeeks.Placed;
import vividroster.core.season.FirstWeeks.Proposal;
import vividroster.core.season.FirstWeeks.Room;
import vividroster.core.season.FirstWeeks.TooEarly;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.Newcomers;
import vividroster.core.season.SchoolYear;
import vividroster.core.season.SchoolYear.Week;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Checks.FirstCheck;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** The first weeks of a class, proposed and then ordered in one press. */
@Service
class FirstWeekPlans {

    static final int MOST_WEEKS = 12;
    private static final int MOST_LINES = 20;

    private final Checks checks;
    private final Orders orders;
    private final Library library;
    private final Rosters rosters;
    private final Office office;
    private final InstrumentCatalog catalog;

    FirstWeekPlans(
            Checks checks, Orders orders, Library library, Rosters rosters, Office office, InstrumentCatalog catalog) {
        this.checks = checks;
        this.orders = orders;
        this.library = library;
        this.rosters = rosters;
        this.office = office;
        this.catalog = catalog;
    }

    /**
     * What is asked for.
     *
     * @param from any day of the first week; empty for the next Monday, or the year's first week before it begins
     * @param bookId whose lines begin; empty for no lines
     */
    record Wish(UUID classId, Optional<LocalDate> from, int weeks, Optional<UUID> bookId, int linesAWeek) {

        Wish {
            if (weeks < 1 || weeks > MOST_WEEKS) {
                throw Problem.input("weeks", "Choose 1 to " + MOST_WEEKS + " weeks.");
            }
            if (linesAWeek < 1 || linesAWeek > MOST_LINES) {
                throw Problem.input("linesAWeek", "Choose 1 to " + MOST_LINES + " lines a week.");
            }
        }
    }

    /** @param sections of the class that it is for; empty where it is for all of them */
    record PlannedCheck(FirstCheck check, Placed<UUID> placed, List<InstrumentCode> sections) {}

    /**
     * @param setOn first meeting of the week
     * @param dueOn last meeting of the week
     */
    record PlannedWeek(
            Week week,
            LocalDate setOn,
            LocalDate dueOn,
            int minutes,
            int secondsWanted,
            List<PlannedCheck> checks,
            List<Milestone> lines) {}

    /** Who came after what the class was set. @param since the first day one of them sits there */
    record NewStudents(LocalDate since, List<String> names, int milestones) {}

    record Planned(
            SchoolClass schoolClass,
            List<PlannedWeek> weeks,
            List<FirstCheck> left,
            int ordered,
            Map<UUID, String> titles,
            Optional<NewStudents> newcomers) {}

    @Transactional(readOnly = true)
    Planned propose(UUID programId, Wish wish) {
        SchoolClass schoolClass = rosters.schoolClass(programId, wish.classId());
        LocalDate today = office.today(programId);
        LocalDate from =
                wish.from().orElseGet(() -> office.year(programId, today).nextMonday(today));
        SchoolYear year = office.year(programId, from);
        ClassTimes times = schoolClass.times();
        List<Week> weeks = first(times.weeksFrom(year, from), wish.weeks());
        if (weeks.isEmpty()) {
            throw Problem.input(
                    "from", schoolClass.name() + " does not meet from then on: look at its times and at the year.");
        }
        LocalDate first = times.daysIn(year, weeks.getFirst()).getFirst();
        Map<InstrumentCode, Integer> students = students(programId, wish.classId(), first);
        if (students.isEmpty()) {
            throw Problem.input("classId", "Nobody sits in " + schoolClass.name() + " yet; bring the roster in first.");
        }
        Set<UUID> ordered = orderedFor(programId, wish.classId(), from);
        List<FirstCheck> shelf = checks.firstChecks(programId, students.keySet());
        Map<UUID, FirstCheck> byId = new LinkedHashMap<>();
        shelf.forEach(check -> byId.put(check.id(), check));
        Prerequisites<UUID> needs = Checks.inOrder(shelf);
        Proposal<UUID> proposal = FirstWeeks.of(
                shelf.stream()
                        .filter(check -> check.milestoneId()
                                .map(id -> !ordered.contains(id))
                                .orElse(true))
                        .map(check -> piece(check, needs))
                        .toList(),
                students,
                weeks.stream()
                        .map(week -> new Room(week.monday(), times.methodMinutes(year, week)))
                        .toList());
        List<List<Milestone>> lines = FirstWeeks.lines(
                wish.bookId().map(book -> lines(programId, book, ordered)).orElse(List.of()),
                weeks.size(),
                proposal.firstLine(),
                wish.linesAWeek());
        List<PlannedWeek> planned = new ArrayList<>();
        for (int i = 0; i < weeks.size(); i++) {
            int at = i;
            List<LocalDate> days = times.daysIn(year, weeks.get(i));
            planned.add(new PlannedWeek(
                    weeks.get(i),
                    days.getFirst(),
                    days.getLast(),
                    times.methodMinutes(year, weeks.get(i)),
                    proposal.secondsWanted().get(i),
                    proposal.placed().stream()
                            .filter(placed -> placed.week() == at)
                            .map(placed -> new PlannedCheck(
                                    byId.get(placed.piece().key()), placed, sections(placed.piece(), students)))
                            .toList(),
                    lines.get(i)));
        }
        Map<UUID, String> titles = new HashMap<>();
        shelf.forEach(check -> titles.put(check.id(), check.check().title()));
        return new Planned(
                schoolClass,
                planned,
                proposal.left().stream().map(piece -> byId.get(piece.key())).toList(),
                (int) shelf.stream()
                        .filter(check ->
                                check.milestoneId().map(ordered::contains).orElse(false))
                        .count(),
                titles,
                newStudents(programId, schoolClass.id(), today));
    }

    /**
     * A week as a director left it.
     *
     * @param secondsWanted by its checks
     * @param tooEarly by check the title of what it needs that comes later
     */
    record LookedAt(int secondsWanted, Map<UUID, String> tooEarly) {}

    /**
     * What the weeks of a proposal want once they are laid otherwise.
     *
     * @param from any day of the first week
     * @param weeks ids of the checks of each; what is no check of this class is passed over
     */
    @Transactional(readOnly = true)
    List<LookedAt> look(UUID programId, UUID classId, LocalDate from, List<List<UUID>> weeks) {
        SchoolClass schoolClass = rosters.schoolClass(programId, classId);
        LocalDate first = schoolClass
                .next(office.year(programId, from), from)
                .orElseThrow(() -> Problem.input("from", schoolClass.name() + " does not meet from then on."));
        Map<InstrumentCode, Integer> students = students(programId, classId, first);
        List<FirstCheck> shelf = checks.firstChecks(programId, students.keySet());
        Prerequisites<UUID> needs = Checks.inOrder(shelf);
        Map<UUID, FirstCheck> byId = shelf.stream().collect(Collectors.toMap(FirstCheck::id, check -> check));
        return FirstWeeks.look(
                        weeks.stream()
                                .map(week -> week.stream()
                                        .distinct()
                                        .filter(byId::containsKey)
                                        .map(id -> piece(byId.get(id), needs))
                                        .toList())
                                .toList(),
                        students)
                .stream()
                .map(look -> new LookedAt(
                        look.seconds(),
                        look.tooEarly().stream()
                                .collect(Collectors.toMap(
                                        TooEarly::key,
                                        early ->
                                                byId.get(early.needed()).check().title()))))
                .toList();
    }

    private static Piece<UUID> piece(FirstCheck first, Prerequisites<UUID> needs) {
        TechniqueCheck check = first.check();
        return new Piece<>(
                first.id(),
                check.topic(),
                check.instruments(),
                needs.directlyBefore(first.id()),
                check.steps().size(),
                check.criteria().size(),
                check.passRule());
    }

    private List<InstrumentCode> sections(Piece<UUID> piece, Map<InstrumentCode, Integer> students) {
        List<InstrumentCode> own = catalog.inScoreOrder().stream()
                .map(i -> i.code())
                .filter(code -> students.containsKey(code)
                        && (piece.instruments().isEmpty() || piece.instruments().contains(code)))
                .toList();
        return own.size() == students.size() ? List.of() : own;
    }

    private static List<Week> first(List<Week> weeks, int most) {
        return weeks.subList(0, Math.min(most, weeks.size()));
    }

    private Map<InstrumentCode, Integer> students(UUID programId, UUID classId, LocalDate on) {
        return rosters.seatsOfStudentsIn(programId, List.of(classId), on).stream()
                .filter(seat -> seat.classId().equals(classId) && seat.isHeldOn(on))
                .collect(Collectors.groupingBy(Seat::instrument, Collectors.summingInt(seat -> 1)));
    }

    /** What is set for the whole class or a part of it this year. */
    private Set<UUID> orderedFor(UUID programId, UUID classId, LocalDate on) {
        return wholeOrders(programId, classId, on).stream()
                .map(MilestoneOrder::milestoneId)
                .collect(Collectors.toSet());
    }

    private List<MilestoneOrder> wholeOrders(UUID programId, UUID classId, LocalDate on) {
        return orders.reaching(programId, List.of(classId), on).stream()
                .filter(order -> order.scopes().stream().anyMatch(scope -> scope instanceof SectionScope.Tutti))
                .toList();
    }

    private List<Milestone> lines(UUID programId, UUID bookId, Set<UUID> ordered) {
        library.book(programId, bookId);
        Map<UUID, LineFacts> facts =
                library.linesOf(programId, bookId).stream().collect(Collectors.toMap(LineFacts::milestoneId, f -> f));
        Set<UUID> retired = library.retired(programId);
        return library.milestones(programId, facts.keySet()).stream()
                .filter(line -> !ordered.contains(line.id()) && !retired.contains(line.id()))
                .sorted(Comparator.comparingInt(
                        (Milestone line) -> facts.get(line.id()).number()))
                .toList();
    }

    private Optional<NewStudents> newStudents(UUID programId, UUID classId, LocalDate today) {
        Newcomers newcomers = newcomers(programId, classId, today);
        return newcomers
                .since()
                .map(since -> new NewStudents(
                        since,
                        rosters.students(programId, newcomers.students()).values().stream()
                                .map(student -> student.name())
                                .sorted()
                                .toList(),
                        newcomers.missed().size()));
    }

    private Newcomers newcomers(UUID programId, UUID classId, LocalDate today) {
        List<Seat> ever = rosters.seatsOfStudentsIn(programId, List.of(classId), today).stream()
                .filter(seat -> seat.classId().equals(classId))
                .toList();
        return Newcomers.of(
                checkOrders(programId, classId, today),
                orders.reaching(programId, List.of(classId), today),
                ever.stream().filter(seat -> seat.isHeldOn(today)).toList(),
                ever,
                catalog);
    }

    /** Checks on the shelf that the whole class was set. */
    private List<MilestoneOrder> checkOrders(UUID programId, UUID classId, LocalDate on) {
        List<MilestoneOrder> whole = wholeOrders(programId, classId, on);
        Set<UUID> retired = library.retired(programId);
        Set<UUID> kinds = library
                .milestones(
                        programId,
                        whole.stream().map(MilestoneOrder::milestoneId).collect(Collectors.toSet()))
                .stream()
                .filter(milestone ->
                        milestone.kind() == MilestoneKind.TECHNIQUE_CHECK && !retired.contains(milestone.id()))
                .map(Milestone::id)
                .collect(Collectors.toSet());
        return whole.stream()
                .filter(order -> kinds.contains(order.milestoneId()))
                .toList();
    }

    /** One check or line on its week, as the director leaves it. @param starterKey of a check that is not on the shelf yet */
    record Wanted(
            UUID orderId, Optional<String> starterKey, Optional<UUID> milestoneId, LocalDate setOn, LocalDate dueOn) {}

    /**
     * Takes the checks that are not on the shelf yet, and orders everything for the whole class, all of it or nothing.
     *
     * @return how many orders there are
     */
    @Transactional
    int order(SignedIn person, UUID classId, Collection<Wanted> wanted) {
        SectionScope tutti = new SectionScope.Tutti(
                rosters.schoolClass(person.programId(), classId).id());
        List<MilestoneOrder> made = wanted.stream()
                .map(one -> {
                    UUID milestoneId = one.milestoneId()
                            .orElseGet(() -> checks.take(
                                    person.programId(),
                                    person.accountId(),
                                    one.starterKey()
                                            .orElseThrow(
                                                    () -> Problem.input("checks", "Say which check or line it is."))));
                    if (one.dueOn().isBefore(one.setOn())) {
                        throw Problem.input("dueOn", "The due day comes on or after the day it is set.");
                    }
                    return new MilestoneOrder(
                            one.orderId(),
                            milestoneId,
                            one.setOn(),
                            one.dueOn(),
                            Evidence.countingByDefault(),
                            List.of(tutti));
                })
                .toList();
        orders.set(person.programId(), person.accountId(), made);
        return made.size();
    }

    /**
     * Sets for those who are new what the class was set before they came, from the next Monday on.
     *
     * @return how many orders were made; 0 where it was done before
     */
    @Transactional
    int orderForNewcomers(SignedIn person, UUID classId) {
        UUID programId = person.programId();
        LocalDate today = office.today(programId);
        SchoolClass schoolClass = rosters.schoolClass(programId, classId);
        SchoolYear year = office.year(programId, today);
        List<Week> weeks = first(schoolClass.times().weeksFrom(year, year.nextMonday(today)), MOST_WEEKS);
        if (weeks.isEmpty()) {
            throw Problem.input("classId", schoolClass.name() + " does not meet any more this year.");
        }
        List<MilestoneOrder> made =
                newcomers(programId, classId, today).setAgain(classId, schoolClass.times(), year, weeks);
        orders.set(programId, person.accountId(), made);
        return made.size();
    }
}
