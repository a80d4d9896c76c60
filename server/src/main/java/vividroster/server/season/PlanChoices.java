package vividroster.server.season;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
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
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.Pacing;
import vividroster.core.plan.PlanClass;
import vividroster.core.plan.PlanItem;
import vividroster.core.roster.SectionScope;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Checks.FirstCheck;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.library.TestFacts;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.PlanYearQueries.ClassPacing;

/** Choosing what a class is to do in a year; it stands in no week until it is planned. */
@Service
class PlanChoices {

    static final int MOST_PARTS = 20;
    static final int MOST_ITEMS = 5_000;

    private final PlanYears plans;
    private final SeasonPlans season;
    private final PlanItemQueries items;
    private final PlanYearQueries years;
    private final Library library;
    private final Checks checks;
    private final HearingRuns runs;
    private final BeltChoices belts;

    PlanChoices(
            PlanYears plans,
            SeasonPlans season,
            PlanItemQueries items,
            PlanYearQueries years,
            Library library,
            Checks checks,
            HearingRuns runs,
            BeltChoices belts) {
        this.belts = belts;
        this.runs = runs;
        this.plans = plans;
        this.season = season;
        this.items = items;
        this.years = years;
        this.library = library;
        this.checks = checks;
    }

    /** Lines of a book. @param fromPage inclusive, as {@code toPage}; empty for its ends */
    record Pages(UUID bookId, Optional<Integer> fromPage, Optional<Integer> toPage) {}

    /**
     * The preparation of a concert piece, in stretches of whole weeks before its day.
     *
     * @param id made by the client, so that sending twice chooses once
     * @param minutes of each stretch
     */
    record Piece(UUID id, String title, int minutes, int parts, LocalDate dueBy) {}

    /** Minutes kept in one week by hand. */
    record CatchUp(UUID id, LocalDate monday, int minutes) {}

    /** @param beltIds belts chosen one by one, each with all that fills its slots for the instruments of the class */
    record YearChoice(
            UUID classId,
            Optional<Pages> pages,
            boolean firstChecks,
            boolean tests,
            boolean belts,
            List<UUID> beltIds,
            Optional<Piece> piece,
            Optional<CatchUp> catchUp) {}

    /** @return how many things were added; what is chosen or ordered already is passed over */
    @Transactional
    int choose(SignedIn person, YearChoice choice) {
        UUID programId = person.programId();
        season.hold(programId);
        SeasonYear year = plans.of(programId, List.of(choice.classId()));
        Set<InstrumentCode> instruments = instruments(year, choice.classId());
        if (instruments.isEmpty()) {
            throw Problem.input("classId", "Nobody sits in this class yet; bring the roster in first.");
        }
        Map<PlanItem.Kind, List<UUID>> wanted = new LinkedHashMap<>();
        Set<UUID> heardAlone = new HashSet<>();
        if (choice.firstChecks()) {
            wanted.put(PlanItem.Kind.TECHNIQUE_CHECK, firstChecks(person, instruments));
        }
        choice.pages().ifPresent(pages -> {
            List<LineFacts> lines = lines(programId, pages);
            heardAlone.addAll(heardAlone(year, choice.classId(), lastOfEachPage(lines)));
            wanted.put(
                    PlanItem.Kind.LINE,
                    lines.stream().map(LineFacts::milestoneId).toList());
        });
        if (choice.tests()) {
            wanted.put(PlanItem.Kind.PLAYING_TEST, tests(programId, year, wanted));
        }
        if (choice.belts()) {
            wanted.put(PlanItem.Kind.BELT, belts.of(programId, instruments));
        }
        Map<UUID, Set<InstrumentCode>> reached =
                belts.withSlots(year, choice.classId(), choice.beltIds(), instruments, wanted, heardAlone);
        List<KeptItem> made = new ArrayList<>();
        int ordinal = year.items().stream()
                        .flatMap(item -> item.kept().stream())
                        .mapToInt(KeptItem::ordinal)
                        .max()
                        .orElse(0)
                + 1;
        Set<UUID> there = there(year, choice.classId());
        Set<UUID> retired = library.retired(programId);
        for (Map.Entry<PlanItem.Kind, List<UUID>> kind : wanted.entrySet()) {
            for (Milestone milestone : library.milestones(programId, kind.getValue()).stream()
                    .sorted(Comparator.comparingInt(
                            (Milestone m) -> kind.getValue().indexOf(m.id())))
                    .toList()) {
                if (!there.contains(milestone.id()) && !retired.contains(milestone.id())) {
                    boolean alone = kind.getKey().isHeardAlone() || heardAlone.contains(milestone.id());
                    List<InstrumentCode> own = instruments.stream()
                            .filter(milestone::isFor)
                            .filter(code -> reached.getOrDefault(milestone.id(), instruments)
                                    .contains(code))
                            .toList();
                    made.addAll(passed(
                            year,
                            choice.classId(),
                            own,
                            own.size() == instruments.size(),
                            kind.getKey(),
                            milestone,
                            ordinal++,
                            alone));
                }
            }
        }
        choice.piece().ifPresent(piece -> made.addAll(TypedItems.piece(year, choice.classId(), piece)));
        choice.catchUp().ifPresent(catchUp -> made.add(TypedItems.catchUp(year, choice.classId(), catchUp)));
        if (year.items().size() + made.size() > MOST_ITEMS) {
            throw Problem.input("pages", "A plan holds at most " + MOST_ITEMS + " things.");
        }
        if (!made.isEmpty()) {
            items.insert(programId, year.yearId(), made);
            years.nextRevision(programId, year.yearId());
        }
        return made.size();
    }

    private static Set<InstrumentCode> instruments(SeasonYear year, UUID classId) {
        return year.sections().stream()
                .filter(section -> section.classId().equals(classId))
                .map(section -> section.instrument().code())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static Set<UUID> there(SeasonYear year, UUID classId) {
        Set<String> own = year.sections().stream()
                .filter(section -> section.classId().equals(classId))
                .map(SeasonYear.Section::id)
                .collect(Collectors.toSet());
        return year.items().stream()
                .filter(item -> item.item().sections().stream().anyMatch(own::contains))
                .flatMap(item -> item.item().milestone().stream())
                .map(UUID::fromString)
                .collect(Collectors.toSet());
    }

    private List<UUID> firstChecks(SignedIn person, Set<InstrumentCode> instruments) {
        return checks.firstChecks(person.programId(), instruments).stream()
                .map((FirstCheck check) -> check.milestoneId()
                        .orElseGet(() -> checks.take(
                                person.programId(),
                                person.accountId(),
                                check.check().key())))
                .toList();
    }

    private List<LineFacts> lines(UUID programId, Pages pages) {
        library.book(programId, pages.bookId());
        if (pages.fromPage().isPresent()
                && pages.toPage().isPresent()
                && pages.toPage().get() < pages.fromPage().get()) {
            throw Problem.input("toPage", "The last page comes before the first.");
        }
        List<LineFacts> lines = library.linesOf(programId, pages.bookId()).stream()
                .filter(line ->
                        pages.fromPage().map(from -> line.page() >= from).orElse(true)
                                && pages.toPage().map(to -> line.page() <= to).orElse(true))
                .sorted(Comparator.comparingInt(LineFacts::number))
                .toList();
        if (lines.isEmpty()) {
            throw Problem.input("fromPage", "There is no line on these pages.");
        }
        return lines;
    }

    /** The one of a page that is heard alone; the others are played by the section together. (domain.md, 3.5.) */
    private static List<UUID> lastOfEachPage(List<LineFacts> lines) {
        Map<Integer, UUID> last = new LinkedHashMap<>();
        lines.forEach(line -> last.put(line.page(), line.milestoneId()));
        return List.copyOf(last.values());
    }

    /** Those that can be heard from everybody in a usual week; in a large class a long line is played together. */
    private List<UUID> heardAlone(SeasonYear year, UUID classId, List<UUID> lines) {
        int students = year.sections().stream()
                .filter(section -> section.classId().equals(classId))
                .mapToInt(SeasonYear.Section::students)
                .sum();
        int weekMinutes = year.problem().classes().stream()
                .filter(one -> one.id().equals(classId.toString()))
                .mapToInt(PlanClass::usualMinutes)
                .sum();
        Map<UUID, Duration> each = runs.perStudent(year.programId(), library.milestones(year.programId(), lines));
        return lines.stream()
                .filter(line -> PlanItem.fitsAlone((int) each.get(line).toSeconds(), students, weekMinutes))
                .toList();
    }

    /** Tests of lines that are chosen, now or before. */
    private List<UUID> tests(UUID programId, SeasonYear year, Map<PlanItem.Kind, List<UUID>> wanted) {
        Set<UUID> lines = new HashSet<>(wanted.getOrDefault(PlanItem.Kind.LINE, List.of()));
        year.items().stream()
                .filter(item -> item.item().kind() == PlanItem.Kind.LINE)
                .flatMap(item -> item.item().milestone().stream())
                .forEach(id -> lines.add(UUID.fromString(id)));
        List<UUID> all = library.allMilestones(programId).stream()
                .filter(milestone -> milestone.kind() == MilestoneKind.PLAYING_TEST)
                .map(Milestone::id)
                .toList();
        Map<UUID, TestFacts> facts = library.tests(programId, all);
        return all.stream()
                .filter(test -> Optional.ofNullable(facts.get(test))
                        .flatMap(TestFacts::lineId)
                        .map(lines::contains)
                        .orElse(false))
                .toList();
    }

    /** @param own whom it is for, and all of the class where that is everybody in it */
    private static List<KeptItem> passed(
            SeasonYear year,
            UUID classId,
            List<InstrumentCode> own,
            boolean all,
            PlanItem.Kind kind,
            Milestone milestone,
            int ordinal,
            boolean heardAlone) {
        List<List<SectionScope>> scopes = new ArrayList<>();
        ClassPacing pacing = year.pacingOf(classId);
        if (pacing.pacing() == Pacing.MASTERY) {
            own.forEach(code -> scopes.add(List.of(section(classId, code))));
        } else if (all) {
            scopes.add(List.of(new SectionScope.Tutti(classId)));
        } else if (!own.isEmpty()) {
            scopes.add(own.stream()
                    .map(code -> (SectionScope) section(classId, code))
                    .toList());
        }
        return scopes.stream()
                .map(scope -> new KeptItem(
                        Ids.next(),
                        ordinal,
                        kind,
                        Optional.of(milestone.id()),
                        "",
                        kind.usualValue,
                        false,
                        kind.usualMinutes,
                        heardAlone,
                        Optional.empty(),
                        Optional.empty(),
                        0,
                        Optional.empty(),
                        false,
                        scope))
                .toList();
    }

    static SectionScope section(UUID classId, InstrumentCode code) {
        return new SectionScope.Section(classId, code, Optional.empty());
    }

    /**
     * How a class keeps its sections together. Where they go their own ways, what is not ordered yet becomes one thing for
     * each section, in its week; where they go in step again, those of one milestone become one, in the first of their weeks.
     */
    @Transactional
    long pace(UUID programId, UUID classId, ClassPacing pacing) {
        season.hold(programId);
        SeasonYear year = plans.of(programId, List.of(classId));
        boolean apart = pacing.pacing() == Pacing.MASTERY;
        boolean wereApart = year.pacingOf(classId).pacing() == Pacing.MASTERY;
        years.putPacing(programId, year.yearId(), classId, pacing);
        if (apart != wereApart) {
            Set<InstrumentCode> instruments = instruments(year, classId);
            List<KeptItem> open = year.items().stream()
                    .filter(item -> item.orders().isEmpty())
                    .flatMap(item -> item.kept().stream())
                    .filter(item -> item.milestoneId().isPresent() && isAllOf(item, classId))
                    .toList();
            items.delete(programId, open.stream().map(KeptItem::id).toList());
            items.insert(
                    programId,
                    year.yearId(),
                    apart ? apart(year, classId, instruments, open) : inStep(classId, instruments, open));
        }
        return years.nextRevision(programId, year.yearId());
    }

    private static boolean isAllOf(KeptItem item, UUID classId) {
        return item.scopes().stream().allMatch(scope -> switch (scope) {
            case SectionScope.Tutti tutti -> tutti.classId().equals(classId);
            case SectionScope.FamilyOfClass family -> family.classId().equals(classId);
            case SectionScope.Section section ->
                section.classId().equals(classId) && section.division().isEmpty();
            case SectionScope.Newcomers newcomers -> false;
            case SectionScope.InstrumentAcrossClasses all -> false;
        });
    }

    private static List<KeptItem> apart(
            SeasonYear year, UUID classId, Set<InstrumentCode> instruments, List<KeptItem> open) {
        List<KeptItem> parts = new ArrayList<>();
        for (KeptItem item : open) {
            Set<String> asked =
                    year.item(item.id().toString()).orElseThrow().item().sections();
            instruments.stream()
                    .filter(code -> year.sections().stream()
                            .anyMatch(section -> asked.contains(section.id())
                                    && section.instrument().code().equals(code)))
                    .forEach(code -> parts.add(item.forSections(Ids.next(), List.of(section(classId, code)))));
        }
        return parts;
    }

    private static List<KeptItem> inStep(UUID classId, Set<InstrumentCode> instruments, List<KeptItem> open) {
        Map<UUID, List<KeptItem>> byMilestone = open.stream()
                .collect(Collectors.groupingBy(
                        item -> item.milestoneId().orElseThrow(), LinkedHashMap::new, Collectors.toList()));
        return byMilestone.values().stream()
                .map(parts -> {
                    Set<SectionScope> scopes = new LinkedHashSet<>();
                    parts.forEach(part -> scopes.addAll(part.scopes()));
                    Optional<LocalDate> monday = parts.stream()
                            .flatMap(part -> part.monday().stream())
                            .min(Comparator.naturalOrder());
                    boolean everybody = instruments.stream().allMatch(code -> scopes.contains(section(classId, code)));
                    return parts.getFirst()
                            .forSections(
                                    Ids.next(),
                                    everybody ? List.of(new SectionScope.Tutti(classId)) : List.copyOf(scopes))
                            .standing(
                                    monday, monday.isPresent() && parts.stream().anyMatch(KeptItem::pinned));
                })
                .toList();
    }
}
