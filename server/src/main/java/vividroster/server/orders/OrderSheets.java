package vividroster.server.orders;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Spelling;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Carried;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.server.checks.Checks;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** The week's orders on one sheet, as each section reads them. */
@Service
class OrderSheets {

    private final Orders orders;
    private final Office office;
    private final Rosters rosters;
    private final Library library;
    private final Checks checks;
    private final InstrumentCatalog catalog;

    OrderSheets(
            Orders orders, Office office, Rosters rosters, Library library, Checks checks, InstrumentCatalog catalog) {
        this.orders = orders;
        this.office = office;
        this.rosters = rosters;
        this.library = library;
        this.checks = checks;
        this.catalog = catalog;
    }

    /** @param line page and number of the line that is ordered or carried; writtenKey in this section's key */
    record SheetItemView(
            MilestoneKind kind,
            String title,
            LocalDate dueOn,
            @Absent String line,
            @Absent String writtenKey,
            @Absent String place,
            @Absent String pattern,
            @Absent String drill) {}

    record SheetPartView(
            InstrumentCode instrument, String name, String division, int students, List<SheetItemView> items) {}

    record SheetView(String className, LocalDate monday, LocalDate friday, List<SheetPartView> parts) {}

    /** What each section of a class has for the week of a day. */
    @Transactional(readOnly = true)
    SheetView of(UUID programId, UUID classId, LocalDate day) {
        SchoolYear.Week week = office.year(programId, day).weekOf(day);
        SchoolClass schoolClass = rosters.schoolClass(programId, classId);
        List<MilestoneOrder> inWeek = MilestoneOrder.byDueDay(orders.reaching(programId, List.of(classId), day).stream()
                .filter(o -> !o.setOn().isAfter(week.friday()) && !o.dueOn().isBefore(week.monday()))
                .toList());
        List<UUID> lineIds = inWeek.stream()
                .flatMap(o -> java.util.stream.Stream.concat(
                        java.util.stream.Stream.of(o.milestoneId()),
                        o.carried().stream().flatMap(c -> c.lineId().stream())))
                .toList();
        Map<UUID, Milestone> milestones = library.milestones(programId, lineIds).stream()
                .collect(Collectors.toMap(Milestone::id, Function.identity()));
        Map<UUID, LineFacts> lines = library.lines(programId, lineIds);
        Map<Integer, Map<String, List<Seat>>> parts = new TreeMap<>();
        rosters.seatsOfStudentsIn(programId, new SectionScope.Tutti(classId), week.friday()).stream()
                .filter(seat -> seat.classId().equals(classId) && seat.isHeldOn(week.friday()))
                .forEach(seat -> parts.computeIfAbsent(
                                catalog.withCode(seat.instrument()).scoreRank(), rank -> new TreeMap<>())
                        .computeIfAbsent(seat.division(), d -> new java.util.ArrayList<>())
                        .add(seat));
        Spelling spelling = checks.spelling(programId);
        return new SheetView(
                schoolClass.name(),
                week.monday(),
                week.friday(),
                parts.values().stream()
                        .flatMap(byDivision -> byDivision.values().stream())
                        .map(seats -> part(seats, inWeek, milestones, lines, spelling))
                        .toList());
    }

    private SheetPartView part(
            List<Seat> seats,
            List<MilestoneOrder> inWeek,
            Map<UUID, Milestone> milestones,
            Map<UUID, LineFacts> lines,
            Spelling spelling) {
        Seat seat = seats.getFirst();
        Instrument instrument = catalog.withCode(seat.instrument());
        Map<UUID, SheetItemView> items = new LinkedHashMap<>();
        inWeek.stream()
                .filter(order ->
                        milestones.get(order.milestoneId()).isFor(instrument.code()) && order.reaches(seat, catalog))
                .forEach(order -> items.putIfAbsent(
                        order.milestoneId(),
                        item(order, milestones.get(order.milestoneId()), seat, instrument, lines, spelling)));
        return new SheetPartView(
                instrument.code(), instrument.plural(), seat.division(), seats.size(), List.copyOf(items.values()));
    }

    private SheetItemView item(
            MilestoneOrder order,
            Milestone milestone,
            Seat seat,
            Instrument instrument,
            Map<UUID, LineFacts> lines,
            Spelling spelling) {
        Optional<Carried> carried = Carried.closest(order.carried(), seat, catalog);
        Optional<LineFacts> line = carried.flatMap(Carried::lineId)
                .map(lines::get)
                .or(() -> Optional.ofNullable(lines.get(milestone.id())));
        return new SheetItemView(
                milestone.kind(),
                milestone.title(),
                order.dueOn(),
                line.map(l -> "page " + l.page() + ", line " + l.number()).orElse(null),
                line.filter(l -> instrument.pitched())
                        .map(l ->
                                instrument.writtenKey(l.concertKey(), spelling).name())
                        .orElse(null),
                carried.map(Carried::place).filter(t -> !t.isEmpty()).orElse(null),
                carried.map(Carried::pattern).filter(t -> !t.isEmpty()).orElse(null),
                carried.map(Carried::drill).filter(t -> !t.isEmpty()).orElse(null));
    }
}
