package vividroster.server.season;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MilestoneOrder;
import vividroster.formats.calendar.CalendarWriter;
import vividroster.formats.calendar.CalendarWriter.Entry;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Words;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** The days on which a class has something due, for other calendars. */
@Service
class DueCalendars {

    private final Orders orders;
    private final Library library;
    private final Rosters rosters;
    private final Office office;
    private final InstrumentCatalog catalog;
    private final HearingRuns runs;
    private final Clock clock;

    DueCalendars(
            Orders orders,
            Library library,
            Rosters rosters,
            Office office,
            InstrumentCatalog catalog,
            HearingRuns runs,
            Clock clock) {
        this.runs = runs;
        this.orders = orders;
        this.library = library;
        this.rosters = rosters;
        this.office = office;
        this.catalog = catalog;
        this.clock = clock;
    }

    /** @param fileName without its ending */
    record DueCalendar(String fileName, byte[] file) {}

    /** This year's orders of a class, each on the day it is due. */
    @Transactional(readOnly = true)
    DueCalendar of(UUID programId, UUID classId) {
        SchoolClass schoolClass = rosters.schoolClass(programId, classId);
        LocalDate today = office.today(programId);
        List<MilestoneOrder> set = MilestoneOrder.byDueDay(orders.reaching(programId, List.of(classId), today));
        Map<UUID, Milestone> milestones =
                library
                        .milestones(
                                programId,
                                set.stream().map(MilestoneOrder::milestoneId).toList())
                        .stream()
                        .collect(Collectors.toMap(Milestone::id, Function.identity()));
        List<Entry> entries = new ArrayList<>();
        for (MilestoneOrder order : set) {
            Milestone milestone = milestones.get(order.milestoneId());
            String what = milestone.kind() == MilestoneKind.PLAYING_TEST ? "Playing test: " : "Due: ";
            entries.add(new Entry(
                    order.id().toString(),
                    order.dueOn(),
                    what + milestone.title() + ", " + schoolClass.name(),
                    whom(order)));
        }
        entries.addAll(hearingDays(programId, schoolClass, set, milestones.values()));
        return new DueCalendar(
                schoolClass.name() + ", due days", CalendarWriter.write(schoolClass.name(), clock.instant(), entries));
    }

    /** The days on which something is due that every student is heard on, with about how long it takes. */
    private List<Entry> hearingDays(
            UUID programId, SchoolClass schoolClass, List<MilestoneOrder> set, Collection<Milestone> milestones) {
        List<Milestone> heard = milestones.stream()
                .filter(milestone -> milestone.kind() != MilestoneKind.BELT && milestone.kind() != MilestoneKind.LINE)
                .toList();
        Map<UUID, Duration> each = runs.perStudent(programId, heard);
        Map<LocalDate, Duration> days = new TreeMap<>();
        for (MilestoneOrder order : set) {
            Duration one = each.get(order.milestoneId());
            if (one != null) {
                long students = order.scopes().stream()
                        .flatMap(scope -> rosters.seatsOfStudentsIn(programId, scope, order.dueOn()).stream())
                        .filter(seat -> seat.classId().equals(schoolClass.id()) && order.reaches(seat, catalog))
                        .map(Seat::studentId)
                        .distinct()
                        .count();
                days.merge(order.dueOn(), one.multipliedBy(students), Duration::plus);
            }
        }
        return days.entrySet().stream()
                .map(day -> new Entry(
                        "hearing-" + schoolClass.id() + "-" + day.getKey(),
                        day.getKey(),
                        "Hearing: " + schoolClass.name() + ", about "
                                + Words.counted(Math.ceilDiv(day.getValue().toSeconds(), 60), "minute"),
                        ""))
                .toList();
    }

    private String whom(MilestoneOrder order) {
        return order.scopes().stream().map(this::whom).distinct().collect(Collectors.joining(", "));
    }

    private String whom(SectionScope scope) {
        return switch (scope) {
            case SectionScope.Tutti tutti -> "Tutti";
            case SectionScope.FamilyOfClass family ->
                family.family().name().charAt(0)
                        + family.family().name().substring(1).toLowerCase();
            case SectionScope.Section section ->
                catalog.withCode(section.instrument()).name()
                        + section.division().map(division -> " " + division).orElse("");
            case SectionScope.InstrumentAcrossClasses across ->
                catalog.withCode(across.instrument()).name();
            case SectionScope.Newcomers newcomers ->
                newcomers
                                .instrument()
                                .map(code -> catalog.withCode(code).name() + ": who")
                                .orElse("Who") + " joined since " + newcomers.since();
        };
    }
}
