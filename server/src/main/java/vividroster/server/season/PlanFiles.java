package vividroster.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.plan.PlanItem;
import vividroster.core.plan.TeachingWeeks;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.core.text.Lengths;
import vividroster.formats.plan.PlanFile.Row;
import vividroster.server.library.Book;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Ids;

/** A plan by names and teaching weeks: written out, and laid onto a class of this year. */
@Service
class PlanFiles {

    private final PlanYears plans;
    private final SeasonPlans season;
    private final PlanItemQueries items;
    private final PlanYearQueries years;
    private final Library library;
    private final Orders orders;
    private final Office office;
    private final InstrumentCatalog catalog;

    PlanFiles(
            PlanYears plans,
            SeasonPlans season,
            PlanItemQueries items,
            PlanYearQueries years,
            Library library,
            Orders orders,
            Office office,
            InstrumentCatalog catalog) {
        this.orders = orders;
        this.office = office;
        this.plans = plans;
        this.season = season;
        this.items = items;
        this.years = years;
        this.library = library;
        this.catalog = catalog;
    }

    /** The plan of a class with what was ordered, in the order of its weeks. */
    @Transactional(readOnly = true)
    List<Row> rows(UUID programId, UUID classId) {
        SeasonYear year = plans.of(programId, List.of(classId));
        return rows(
                programId,
                classId,
                year.year(),
                year.items().stream()
                        .map(item -> item.kept()
                                .map(kept -> item.orders().isEmpty() ? kept : kept.standing(due(item.orders()), false))
                                .orElseGet(() ->
                                        ordered(year.milestones(), item.orders().getFirst())))
                        .toList());
    }

    private static Optional<LocalDate> due(List<MilestoneOrder> orders) {
        return orders.stream().map(MilestoneOrder::dueOn).min(Comparator.naturalOrder());
    }

    /** What was ordered without a plan, as if it had been planned for the week it was due. */
    private static KeptItem ordered(Map<UUID, Milestone> milestones, MilestoneOrder order) {
        PlanItem.Kind kind =
                PlanItem.Kind.valueOf(milestones.get(order.milestoneId()).kind().name());
        return new KeptItem(
                order.id(),
                0,
                kind,
                Optional.of(order.milestoneId()),
                "",
                kind.usualValue,
                false,
                kind.usualMinutes,
                kind.isHeardAlone(),
                Optional.empty(),
                Optional.empty(),
                0,
                Optional.of(order.dueOn()),
                false,
                order.scopes());
    }

    private List<Row> rows(UUID programId, UUID classId, SchoolYear year, List<KeptItem> kept) {
        List<KeptItem> own = kept.stream()
                .filter(item -> item.scopes().stream().anyMatch(scope -> ScopesOf.reach(scope, classId)))
                .toList();
        Set<UUID> ids =
                own.stream().flatMap(item -> item.milestoneId().stream()).collect(Collectors.toSet());
        Map<UUID, Milestone> milestones =
                library.milestones(programId, ids).stream().collect(Collectors.toMap(Milestone::id, m -> m));
        Map<UUID, LineFacts> lines = library.lines(programId, ids);
        Map<UUID, Book> books = library.books(programId);
        TeachingWeeks weeks = new TeachingWeeks(
                year.weeks().stream().map(week -> week.schoolDays().isEmpty()).toList());
        return own.stream()
                .map(item -> row(year, weeks, item, milestones, lines, books))
                .sorted(Comparator.comparingInt((Row row) -> row.week().orElse(Integer.MAX_VALUE)))
                .toList();
    }

    private static Row row(
            SchoolYear year,
            TeachingWeeks weeks,
            KeptItem item,
            Map<UUID, Milestone> milestones,
            Map<UUID, LineFacts> lines,
            Map<UUID, Book> books) {
        Optional<LineFacts> line = item.milestoneId().map(lines::get);
        return new Row(
                0,
                item.kind().name(),
                line.map(facts -> title(books.get(facts.bookId()))).orElse(""),
                line.map(LineFacts::number).orElse(0),
                item.milestoneId().map(id -> milestones.get(id).title()).orElse(item.title()),
                item.scopes().stream().flatMap(scope -> section(scope).stream()).toList(),
                item.value(),
                item.essential(),
                item.teachMinutes(),
                item.heardAlone(),
                item.notBefore().flatMap(day -> taught(year, weeks, day)),
                item.dueBy().flatMap(day -> taught(year, weeks, day)),
                item.marginWeeks(),
                item.monday().flatMap(day -> taught(year, weeks, day)),
                item.pinned());
    }

    /** Teaching weeks up to and including a day's; empty outside the year. */
    private static Optional<Integer> taught(SchoolYear year, TeachingWeeks weeks, LocalDate day) {
        return SeasonYear.number(year, day).map(week -> Math.max(1, weeks.taughtBy(week)));
    }

    private static String title(Book book) {
        return book.volume().isEmpty() ? book.title() : book.title() + ", " + book.volume();
    }

    /** Empty for everybody. */
    private static Optional<String> section(SectionScope scope) {
        return switch (scope) {
            case SectionScope.Tutti tutti -> Optional.empty();
            case SectionScope.FamilyOfClass family ->
                Optional.of(family.family().name());
            case SectionScope.Section section ->
                Optional.of(section.instrument().value()
                        + section.division().map(division -> "/" + division).orElse(""));
            case SectionScope.Newcomers newcomers -> Optional.empty();
            case SectionScope.InstrumentAcrossClasses all ->
                Optional.of(all.instrument().value());
        };
    }

    /** A row that is not laid. @param why as a sentence */
    record Refused(int row, String title, String why) {}

    /** @param known rows whose things the class has this year already */
    record Laid(int added, int known, List<Refused> refused) {}

    /**
     * Lays rows onto a class of this year: the nth teaching week is the nth teaching week. What the class has already is
     * passed over; what this programme does not know is told. Weeks that are past or that the year does not have leave a
     * thing without a week.
     */
    @Transactional
    Laid lay(UUID programId, UUID classId, List<Row> rows) {
        season.hold(programId);
        SeasonYear year = plans.of(programId, List.of(classId));
        Shelf shelf = shelf(programId);
        Set<String> there = year.items().stream()
                .map(item -> item.item().milestone().orElse(item.name()))
                .collect(Collectors.toCollection(HashSet::new));
        List<KeptItem> made = new ArrayList<>();
        List<Refused> refused = new ArrayList<>();
        int known = 0;
        int ordinal = year.items().stream()
                .flatMap(item -> item.kept().stream())
                .mapToInt(KeptItem::ordinal)
                .max()
                .orElse(0);
        for (Row row : rows) {
            Optional<String> why = whyNot(shelf, row);
            if (why.isPresent()) {
                refused.add(new Refused(row.row(), row.title(), why.get()));
                continue;
            }
            PlanItem.Kind kind = PlanItem.Kind.valueOf(row.kind());
            Optional<UUID> milestone = kind.isPassed() ? shelf.find(kind, row) : Optional.empty();
            String name = milestone.map(UUID::toString).orElse("“" + row.title() + "”");
            if (there.contains(name) && row.sections().isEmpty()) {
                known++;
                continue;
            }
            there.add(name);
            made.add(kept(year, classId, row, kind, milestone, ++ordinal));
        }
        if (!made.isEmpty()) {
            items.insert(programId, year.yearId(), made);
            years.nextRevision(programId, year.yearId());
        }
        return new Laid(made.size(), known, refused);
    }

    private Optional<String> whyNot(Shelf shelf, Row row) {
        Optional<PlanItem.Kind> kind = Arrays.stream(PlanItem.Kind.values())
                .filter(one -> one.name().equals(row.kind()))
                .findFirst();
        if (kind.isEmpty()) {
            return Optional.of("There is no kind \"" + row.kind() + "\".");
        }
        if (row.title().isBlank() || row.title().length() > Lengths.TITLE) {
            return Optional.of("It needs a title of at most " + Lengths.TITLE + " letters.");
        }
        if (kind.get().isPassed() && shelf.find(kind.get(), row).isEmpty()) {
            return Optional.of("The library has no such " + words(kind.get()) + ".");
        }
        return row.sections().stream()
                .filter(section -> scope(null, section).isEmpty())
                .findFirst()
                .map(section -> "There is no instrument or family \"" + section + "\".");
    }

    private static String words(PlanItem.Kind kind) {
        return kind.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private KeptItem kept(
            SeasonYear year, UUID classId, Row row, PlanItem.Kind kind, Optional<UUID> milestone, int ordinal) {
        Optional<Integer> week = row.week().flatMap(nth -> week(year, nth)).filter(at -> at >= year.firstFree());
        List<SectionScope> scopes = row.sections().isEmpty()
                ? List.of(new SectionScope.Tutti(classId))
                : row.sections().stream()
                        .flatMap(section -> scope(classId, section).stream())
                        .toList();
        return new KeptItem(
                Ids.next(),
                ordinal,
                kind,
                milestone,
                milestone.isPresent() ? "" : row.title(),
                row.value() < 0 ? kind.usualValue : row.value(),
                row.essential(),
                row.minutes() < 0 ? kind.usualMinutes : row.minutes(),
                row.heardAlone(),
                row.notBefore().flatMap(nth -> week(year, nth)).map(year::monday),
                row.by().flatMap(nth -> week(year, nth)).map(at -> year.week(at).friday()),
                row.weeksToSpare(),
                week.map(year::monday),
                row.pinned() && week.isPresent(),
                scopes);
    }

    /** The nth teaching week of the year; empty where it has fewer. */
    private static Optional<Integer> week(SeasonYear year, int nth) {
        return year.problem().weeks().taught(nth);
    }

    /** @param classId null to ask only whether it is one */
    private Optional<SectionScope> scope(UUID classId, String section) {
        Optional<Family> family = Arrays.stream(Family.values())
                .filter(one -> one.name().equalsIgnoreCase(section))
                .findFirst();
        if (family.isPresent()) {
            return Optional.of(new SectionScope.FamilyOfClass(classId, family.get()));
        }
        String[] parts = section.split("/", 2);
        return catalog.inScoreOrder().stream()
                .filter(instrument -> instrument.code().value().equalsIgnoreCase(parts[0].strip()))
                .findFirst()
                .map(instrument -> new SectionScope.Section(
                        classId,
                        instrument.code(),
                        parts.length == 2 && !parts[1].isBlank() ? Optional.of(parts[1].strip()) : Optional.empty()));
    }

    /** What the library has, by how a row names it. */
    private record Shelf(Map<String, UUID> byTitle, Map<String, UUID> byLine) {

        Optional<UUID> find(PlanItem.Kind kind, Row row) {
            return Optional.ofNullable(byLine.get(line(row.book(), row.line())))
                    .filter(found -> kind == PlanItem.Kind.LINE && row.line() > 0)
                    .or(() -> Optional.ofNullable(byTitle.get(title(kind.name(), row.title()))));
        }

        static String title(String kind, String title) {
            return kind + "/" + title.strip().toLowerCase(Locale.ROOT);
        }

        static String line(String book, int number) {
            return book.strip().toLowerCase(Locale.ROOT) + "/" + number;
        }
    }

    private Shelf shelf(UUID programId) {
        Collection<Milestone> all = library.allMilestones(programId);
        Map<String, UUID> byTitle = new LinkedHashMap<>();
        all.forEach(m -> byTitle.putIfAbsent(Shelf.title(m.kind().name(), m.title()), m.id()));
        Map<UUID, Book> books = library.books(programId);
        Map<String, UUID> byLine = new LinkedHashMap<>();
        library.lines(programId, all.stream().map(Milestone::id).toList())
                .forEach((id, line) ->
                        byLine.putIfAbsent(Shelf.line(title(books.get(line.bookId())), line.number()), id));
        return new Shelf(byTitle, byLine);
    }

    /** What a class had in the year before, with what was ordered then, as rows. Empty where there was no year. */
    @Transactional(readOnly = true)
    List<Row> lastYear(UUID programId, UUID classId) {
        Optional<LocalDate> last = office.lastDayOfYearBefore(programId);
        Optional<UUID> yearId = last.flatMap(day -> office.yearId(programId, day));
        if (yearId.isEmpty()) {
            return List.of();
        }
        List<KeptItem> kept = new ArrayList<>(items.findAll(programId, yearId.get()));
        Set<UUID> planned =
                kept.stream().flatMap(item -> item.milestoneId().stream()).collect(Collectors.toSet());
        List<MilestoneOrder> set = orders.reaching(programId, List.of(classId), last.get());
        Map<UUID, Milestone> milestones = library
                .milestones(
                        programId, set.stream().map(MilestoneOrder::milestoneId).collect(Collectors.toSet()))
                .stream()
                .collect(Collectors.toMap(Milestone::id, m -> m));
        set.stream()
                .filter(order -> !planned.contains(order.milestoneId()))
                .forEach(order -> kept.add(ordered(milestones, order)));
        return rows(programId, classId, office.year(programId, last.get()), kept);
    }
}
