package vividroster.server.season;

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
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.ChosenYear;
import vividroster.core.plan.PlanClass;
import vividroster.core.plan.PlanItem;
import vividroster.core.plan.PlanItem.Hold;
import vividroster.core.plan.PlanMilestone.Deadline;
import vividroster.core.plan.TeachingWeeks;
import vividroster.core.plan.TiedClasses;
import vividroster.core.reading.Vocabulary;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.LinePages;
import vividroster.server.lines.LinePages.Asked;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.season.PlanYearQueries.ClassPacing;
import vividroster.server.season.PlanYearQueries.SectionOf;
import vividroster.server.season.PlanYearQueries.Settings;
import vividroster.server.season.PlanYearQueries.WeekOf;

/** Brings together what the plan of a year is made from: what was chosen, what was ordered, who sits where, what pages ask. */
@Component
class PlanYears {

    private final PlanItemQueries items;
    private final PlanYearQueries years;
    private final PlanWants wants;
    private final Office office;
    private final Rosters rosters;
    private final Orders orders;
    private final Library library;
    private final HearingRuns runs;
    private final LinePages pages;
    private final InstrumentCatalog catalog;

    PlanYears(
            PlanItemQueries items,
            PlanYearQueries years,
            PlanWants wants,
            Office office,
            Rosters rosters,
            Orders orders,
            Library library,
            HearingRuns runs,
            LinePages pages,
            InstrumentCatalog catalog) {
        this.items = items;
        this.years = years;
        this.wants = wants;
        this.office = office;
        this.rosters = rosters;
        this.orders = orders;
        this.library = library;
        this.runs = runs;
        this.pages = pages;
        this.catalog = catalog;
    }

    /** @throws Problem where no school year is laid */
    UUID yearId(UUID programId) {
        return office.yearId(programId, office.today(programId))
                .orElseThrow(() -> Problem.input("year", "Lay the school year in Office first; a plan stands on it."));
    }

    /** The plan of some classes, and of those they hang together with by what was chosen for both. */
    @Transactional(readOnly = true)
    SeasonYear of(UUID programId, Collection<UUID> classIds) {
        return of(programId, classIds, office.today(programId));
    }

    /** The same as if it were another day of this year: what is past then, and who sits there. */
    @Transactional(readOnly = true)
    SeasonYear of(UUID programId, Collection<UUID> classIds, LocalDate today) {
        UUID yearId = yearId(programId);
        SchoolYear year = office.year(programId, today);
        List<SchoolClass> every = rosters.classes(programId);
        classIds.forEach(id -> rosters.schoolClass(programId, id));
        Map<SectionOf, Integer> paces = years.findPaces(programId, yearId);
        List<SeasonYear.Section> everySection = sections(programId, every, year, today, paces);
        List<KeptItem> kept = items.findAll(programId, yearId);
        Map<UUID, Set<UUID>> classesOf = new HashMap<>();
        kept.forEach(item -> classesOf.put(
                item.id(),
                everySection.stream()
                        .filter(section -> asks(item.scopes(), section))
                        .map(SeasonYear.Section::classId)
                        .collect(Collectors.toSet())));
        Set<UUID> together = TiedClasses.with(classIds, classesOf.values());
        List<SchoolClass> classes =
                every.stream().filter(one -> together.contains(one.id())).toList();
        List<SeasonYear.Section> sections = everySection.stream()
                .filter(section -> together.contains(section.classId()))
                .toList();
        List<KeptItem> own = kept.stream()
                .filter(item -> classesOf.get(item.id()).stream().anyMatch(together::contains)
                        || item.scopes().stream().anyMatch(scope -> isOf(scope, together)))
                .toList();
        List<MilestoneOrder> set = orders.reaching(programId, together, today);
        Map<UUID, Milestone> milestones = library
                .milestones(
                        programId,
                        Stream.concat(
                                        own.stream().flatMap(item -> item.milestoneId().stream()),
                                        set.stream().map(MilestoneOrder::milestoneId))
                                .collect(Collectors.toSet()))
                .stream()
                .collect(Collectors.toMap(Milestone::id, m -> m, (a, b) -> a, LinkedHashMap::new));
        Read read = new Read(programId, year, today, sections, milestones, seconds(programId, milestones.values()));
        List<SeasonYear.Item> found = read.items(own, set);
        Map<UUID, ClassPacing> pacing = years.findPacing(programId, yearId);
        Settings settings = years.findSettings(programId);
        int firstFree = year.weekOfNextSchoolDay(today);
        ChosenYear.Made made = problem(programId, year, classes, sections, found, pacing, settings, firstFree);
        Set<String> reached = found.stream().map(SeasonYear.Item::id).collect(Collectors.toSet());
        return new SeasonYear(
                programId,
                yearId,
                year,
                today,
                years.findRevision(programId, yearId),
                classes,
                sections,
                found,
                firstFree,
                settings,
                pacing,
                made.problem(),
                made.newNotes(),
                made.crowded(),
                ensembleBelts(programId, found),
                milestones,
                own.stream()
                        .filter(item -> !reached.contains(item.id().toString()))
                        .toList());
    }

    private Set<String> ensembleBelts(UUID programId, List<SeasonYear.Item> found) {
        return found.stream().noneMatch(item -> item.item().kind() == PlanItem.Kind.BELT)
                ? Set.of()
                : Belt.lastOfEachLadder(library.allBelts(programId)).stream()
                        .map(belt -> belt.id().toString())
                        .collect(Collectors.toSet());
    }

    private static boolean isOf(SectionScope scope, Set<UUID> classIds) {
        return switch (scope) {
            case SectionScope.Tutti tutti -> classIds.contains(tutti.classId());
            case SectionScope.FamilyOfClass family -> classIds.contains(family.classId());
            case SectionScope.Section section -> classIds.contains(section.classId());
            case SectionScope.Newcomers newcomers -> classIds.contains(newcomers.classId());
            case SectionScope.InstrumentAcrossClasses all -> false;
        };
    }

    private static boolean asks(List<SectionScope> scopes, SeasonYear.Section section) {
        return scopes.stream()
                .anyMatch(scope -> scope.asks(section.classId(), section.instrument(), section.division()));
    }

    private List<SeasonYear.Section> sections(
            UUID programId,
            List<SchoolClass> classes,
            SchoolYear year,
            LocalDate today,
            Map<SectionOf, Integer> paces) {
        LocalDate on = today.isBefore(year.first()) ? year.first() : today;
        record Place(UUID classId, InstrumentCode instrument, String division) {}
        Map<Place, Integer> students = new HashMap<>();
        for (Seat seat : rosters.seatsOfStudentsIn(
                programId, classes.stream().map(SchoolClass::id).toList(), on)) {
            if (seat.isHeldOn(on)) {
                students.merge(new Place(seat.classId(), seat.instrument(), seat.division()), 1, Integer::sum);
            }
        }
        List<UUID> inOrder = classes.stream().map(SchoolClass::id).toList();
        return students.entrySet().stream()
                .filter(e -> inOrder.contains(e.getKey().classId()))
                .map(e -> new SeasonYear.Section(
                        e.getKey().classId() + "/" + e.getKey().instrument().value() + "/"
                                + e.getKey().division(),
                        e.getKey().classId(),
                        catalog.withCode(e.getKey().instrument()),
                        e.getKey().division(),
                        e.getValue(),
                        paces.getOrDefault(
                                new SectionOf(e.getKey().classId(), e.getKey().instrument()), 100)))
                .sorted(Comparator.comparingInt((SeasonYear.Section s) -> inOrder.indexOf(s.classId()))
                        .thenComparingInt(s -> s.instrument().scoreRank())
                        .thenComparing(SeasonYear.Section::division))
                .toList();
    }

    private Map<UUID, Integer> seconds(UUID programId, Collection<Milestone> milestones) {
        Map<UUID, Integer> seconds = new HashMap<>();
        runs.perStudent(programId, milestones)
                .forEach((id, each) -> seconds.put(id, (int) Math.ceil(each.toMillis() / 1000.0)));
        return seconds;
    }

    private ChosenYear.Made problem(
            UUID programId,
            SchoolYear year,
            List<SchoolClass> classes,
            List<SeasonYear.Section> sections,
            List<SeasonYear.Item> found,
            Map<UUID, ClassPacing> pacing,
            Settings settings,
            int firstFree) {
        Map<WeekOf, Integer> extra = years.findExtraMinutes(programId);
        List<PlanClass> planned = classes.stream()
                .map(one -> new PlanClass(
                        one.id().toString(),
                        minutes(year, one, pacing.getOrDefault(one.id(), ClassPacing.USUAL), extra)))
                .toList();
        Set<UUID> lineIds = found.stream()
                .filter(item -> item.item().kind() == PlanItem.Kind.LINE)
                .flatMap(item -> item.item().milestone().stream())
                .map(UUID::fromString)
                .collect(Collectors.toSet());
        Map<UUID, LineFacts> facts = library.lines(programId, lineIds);
        Map<UUID, List<LineFacts>> byBook =
                facts.values().stream().collect(Collectors.groupingBy(LineFacts::bookId, Collectors.toList()));
        List<List<String>> books = byBook.values().stream()
                .map(lines -> lines.stream()
                        .sorted(Comparator.comparingInt(LineFacts::number))
                        .map(line -> line.milestoneId().toString())
                        .toList())
                .sorted(Comparator.comparing(List::toString))
                .toList();
        Map<String, Map<String, Set<Vocabulary.Thing>>> uses = new HashMap<>();
        Map<String, Map<String, Map<Integer, String>>> names = new HashMap<>();
        Map<String, Set<Vocabulary.Thing>> known = new HashMap<>();
        for (SchoolClass one : classes) {
            List<SeasonYear.Section> own =
                    sections.stream().filter(s -> s.classId().equals(one.id())).toList();
            Set<InstrumentCode> instruments =
                    own.stream().map(s -> s.instrument().code()).collect(Collectors.toSet());
            Map<InstrumentCode, Set<Vocabulary.Thing>> before = pages.known(programId, one.id(), instruments);
            own.forEach(section -> known.put(
                    section.id(), before.getOrDefault(section.instrument().code(), Set.of())));
            Map<UUID, Map<InstrumentCode, Asked>> asked =
                    pages.of(programId, one.id(), linesOf(found, own), instruments);
            asked.forEach((lineId, byInstrument) -> own.forEach(section -> {
                Asked page = byInstrument.get(section.instrument().code());
                uses.computeIfAbsent(lineId.toString(), none -> new HashMap<>())
                        .put(section.id(), page.vocabulary().things());
                names.computeIfAbsent(lineId.toString(), none -> new HashMap<>())
                        .put(section.id(), page.noteNames());
            }));
        }
        ChosenYear<Vocabulary.Thing> chosen = new ChosenYear<>(
                new TeachingWeeks(year.weeks().stream()
                        .map(week -> week.schoolDays().isEmpty())
                        .toList()),
                planned,
                sections.stream()
                        .map(s -> new ChosenYear.Section(s.id(), s.classId().toString(), s.students(), s.pacePercent()))
                        .toList(),
                found.stream().map(SeasonYear.Item::item).toList(),
                books,
                uses,
                known,
                wants.of(programId, sections, found, books),
                firstFree);
        return chosen.problem(
                settings.rules(),
                settings.prices(),
                (milestone, section, thing) -> thing instanceof Vocabulary.NewNote note
                        ? Optional.ofNullable(names.get(milestone).get(section).get(note.midi()))
                        : Optional.empty());
    }

    private static Set<UUID> linesOf(List<SeasonYear.Item> found, List<SeasonYear.Section> sections) {
        Set<String> ids = sections.stream().map(SeasonYear.Section::id).collect(Collectors.toSet());
        return found.stream()
                .filter(item -> item.item().kind() == PlanItem.Kind.LINE
                        && item.item().sections().stream().anyMatch(ids::contains))
                .map(item -> UUID.fromString(item.item().milestone().orElseThrow()))
                .collect(Collectors.toSet());
    }

    private static List<Integer> minutes(
            SchoolYear year, SchoolClass one, ClassPacing pacing, Map<WeekOf, Integer> extra) {
        return year.weeks().stream()
                .map(week -> pacing.pacing().left(one.times().methodMinutes(year, week), pacing.reservePercent())
                        + (week.schoolDays().isEmpty()
                                ? 0
                                : extra.getOrDefault(new WeekOf(one.id(), week.monday()), 0)))
                .toList();
    }

    /** What was chosen and what was ordered, as items of one plan. */
    private record Read(
            UUID programId,
            SchoolYear year,
            LocalDate today,
            List<SeasonYear.Section> sections,
            Map<UUID, Milestone> milestones,
            Map<UUID, Integer> seconds) {

        List<SeasonYear.Item> items(List<KeptItem> kept, List<MilestoneOrder> set) {
            List<SeasonYear.Item> found = new ArrayList<>();
            Set<UUID> told = new HashSet<>();
            for (KeptItem item : kept) {
                Set<String> asked = sectionsOf(item.scopes(), item.milestoneId());
                if (asked.isEmpty()) {
                    continue;
                }
                List<MilestoneOrder> own = MilestoneOrder.byDueDay(set.stream()
                        .filter(order -> item.milestoneId()
                                        .map(order.milestoneId()::equals)
                                        .orElse(false)
                                && sectionsOf(order.scopes(), item.milestoneId()).stream()
                                        .anyMatch(asked::contains))
                        .toList());
                own.forEach(order -> told.add(order.id()));
                found.add(item(item, asked, own));
            }
            for (MilestoneOrder order : MilestoneOrder.byDueDay(set)) {
                Set<String> asked = sectionsOf(order.scopes(), Optional.of(order.milestoneId()));
                if (!told.contains(order.id())
                        && !asked.isEmpty()
                        && order.scopes().stream().noneMatch(scope -> scope instanceof SectionScope.Newcomers)) {
                    found.add(ordered(order, asked));
                }
            }
            return found;
        }

        private Set<String> sectionsOf(List<SectionScope> scopes, Optional<UUID> milestoneId) {
            Optional<Milestone> milestone = milestoneId.map(milestones::get);
            return sections.stream()
                    .filter(section -> asks(scopes, section)
                            && milestone
                                    .map(m -> m.isFor(section.instrument().code()))
                                    .orElse(true))
                    .map(SeasonYear.Section::id)
                    .collect(Collectors.toCollection(LinkedHashSet::new));
        }

        private SeasonYear.Item item(KeptItem item, Set<String> asked, List<MilestoneOrder> own) {
            Optional<Integer> given = own.stream().findFirst().flatMap(order -> SeasonYear.number(year, order.dueOn()));
            OptionalInt stands = boxed(given.or(() -> item.monday().flatMap(day -> SeasonYear.number(year, day))));
            Hold hold =
                    given.isPresent() ? Hold.ORDERED : item.pinned() && stands.isPresent() ? Hold.PINNED : Hold.FREE;
            return new SeasonYear.Item(
                    new PlanItem(
                            item.id().toString(),
                            item.kind(),
                            item.milestoneId().map(UUID::toString),
                            asked,
                            item.value(),
                            item.essential(),
                            item.teachMinutes(),
                            item.heardAlone(),
                            seconds(item.kind(), item.milestoneId()),
                            boxed(item.notBefore().flatMap(this::atLeast)),
                            item.dueBy()
                                    .flatMap(day -> SeasonYear.number(year, day))
                                    .map(week -> new Deadline(week, item.marginWeeks())),
                            stands,
                            hold),
                    Optional.of(item),
                    own,
                    PlanNames.of(item.kind(), item.milestoneId().map(milestones::get), item.title()));
        }

        /** A day before the year asks for nothing; one after it for its last week. */
        private Optional<Integer> atLeast(LocalDate day) {
            return day.isAfter(year.last()) ? Optional.of(year.weeks().size()) : SeasonYear.number(year, day);
        }

        private SeasonYear.Item ordered(MilestoneOrder order, Set<String> asked) {
            Milestone milestone = milestones.get(order.milestoneId());
            PlanItem.Kind kind = PlanItem.Kind.valueOf(milestone.kind().name());
            OptionalInt stands = boxed(SeasonYear.number(year, order.dueOn()));
            return new SeasonYear.Item(
                    new PlanItem(
                            order.id().toString(),
                            kind,
                            Optional.of(order.milestoneId().toString()),
                            asked,
                            kind.usualValue,
                            false,
                            kind.usualMinutes,
                            kind.isHeardAlone(),
                            seconds(kind, Optional.of(order.milestoneId())),
                            OptionalInt.empty(),
                            Optional.empty(),
                            stands,
                            stands.isPresent() ? Hold.ORDERED : Hold.FREE),
                    Optional.empty(),
                    List.of(order),
                    PlanNames.of(kind, Optional.of(milestone), ""));
        }

        private int seconds(PlanItem.Kind kind, Optional<UUID> milestoneId) {
            return kind.isPassed() && kind != PlanItem.Kind.BELT && kind != PlanItem.Kind.WRITTEN_CHECK
                    ? milestoneId.map(seconds::get).orElse(0)
                    : 0;
        }

        private static OptionalInt boxed(Optional<Integer> week) {
            return week.isPresent() ? OptionalInt.of(week.get()) : OptionalInt.empty();
        }
    }
}
