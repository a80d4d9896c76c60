package vividroster.server.orders;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.platform.Clashes;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;

/** Setting milestones for whole sections. */
@Service
public class Orders {

    private final OrderQueries queries;
    private final Library library;
    private final Rosters rosters;
    private final Office office;
    private final InstrumentCatalog catalog;

    Orders(OrderQueries queries, Library library, Rosters rosters, Office office, InstrumentCatalog catalog) {
        this.queries = queries;
        this.library = library;
        this.rosters = rosters;
        this.office = office;
        this.catalog = catalog;
    }

    /** Orders of a day's school year that can reach seats in these classes; a board shows nothing of other years. */
    @Transactional(readOnly = true)
    public List<MilestoneOrder> reaching(UUID programId, Collection<UUID> classIds, LocalDate on) {
        return office.yearId(programId, on)
                .map(year -> queries.findReaching(programId, year, classIds))
                .orElse(List.of());
    }

    /** Orders of every school year that can reach seats in these classes: what was set stays met. */
    @Transactional(readOnly = true)
    public List<MilestoneOrder> ever(UUID programId, Collection<UUID> classIds) {
        return queries.findReaching(programId, null, classIds);
    }

    /** Orders of a day's school year of any of these milestones. */
    @Transactional(readOnly = true)
    public List<MilestoneOrder> of(UUID programId, Collection<UUID> milestoneIds, LocalDate on) {
        return office.yearId(programId, on)
                .map(year -> queries.findOf(programId, year, milestoneIds))
                .orElse(List.of());
    }

    /**
     * Records orders, all of them or none. Sending them again records nothing.
     *
     * @throws Problem when an order reaches nobody, repeats one, falls outside the school year, or has the id of another
     */
    @Transactional
    public void set(UUID programId, UUID accountId, List<MilestoneOrder> orders) {
        Set<UUID> retired = library.retired(programId);
        for (MilestoneOrder order : orders) {
            Optional<MilestoneOrder> before = queries.find(programId, order.id());
            if (before.isPresent()) {
                sameAs(before.get(), order);
                continue;
            }
            Milestone milestone = library.milestone(programId, order.milestoneId());
            if (retired.contains(milestone.id())) {
                throw Problem.conflict("\"" + milestone.title()
                        + "\" was taken off the shelf; put it back in the library to order it.");
            }
            allowed(programId, order, milestone);
            if (!write(programId, accountId, order, milestone)) {
                sameAs(queries.find(programId, order.id()).orElseThrow(), order);
            }
        }
    }

    private static void sameAs(MilestoneOrder before, MilestoneOrder sent) {
        boolean same = before.milestoneId().equals(sent.milestoneId())
                && before.setOn().equals(sent.setOn())
                && before.dueOn().equals(sent.dueOn())
                && before.evidence().equals(sent.evidence())
                && Set.copyOf(before.scopes()).equals(Set.copyOf(sent.scopes()))
                && Set.copyOf(before.carried()).equals(Set.copyOf(sent.carried()));
        if (!same) {
            throw Problem.conflict("Another order has this id already; nothing was changed.");
        }
    }

    private void allowed(UUID programId, MilestoneOrder order, Milestone milestone) {
        order.scopes().forEach(scope -> known(programId, scope));
        SchoolYear year = office.year(programId, order.setOn());
        if (order.setOn().isBefore(year.first()) || order.dueOn().isAfter(year.last())) {
            throw Problem.input(
                    "dueOn", "An order lies within the school year, " + year.first() + " to " + year.last() + ".");
        }
        order.carried().stream()
                .flatMap(carried -> carried.lineId().stream())
                .filter(lineId -> library.milestone(programId, lineId).kind() != MilestoneKind.LINE)
                .findFirst()
                .ifPresent(lineId -> {
                    throw Problem.input("carries", "A check carries a line of a book, nothing else.");
                });
        if (!reachesSomebody(programId, order, milestone)) {
            throw Problem.input(
                    "scopes",
                    "Nobody in the sections chosen can take \"" + milestone.title()
                            + "\": it is for other instruments, or the sections are empty.");
        }
        Set<SectionScope> scopes = Set.copyOf(order.scopes());
        of(programId, List.of(order.milestoneId()), order.setOn()).stream()
                .filter(before -> !before.id().equals(order.id())
                        && Set.copyOf(before.scopes()).equals(scopes))
                .findFirst()
                .ifPresent(before -> {
                    throw Problem.conflict("\"" + milestone.title() + "\" is set for these sections already, due "
                            + before.dueOn() + ". Withdraw that order to set it anew.");
                });
    }

    /** False when an order with this id is there already. */
    private boolean write(UUID programId, UUID accountId, MilestoneOrder order, Milestone milestone) {
        UUID yearId = office.yearId(programId, order.setOn()).orElseThrow();
        return Clashes.told(
                "milestone_order_set_once",
                "\"" + milestone.title() + "\" was set for these sections just now; load the page again.",
                () -> queries.insert(programId, yearId, order, accountId));
    }

    /** Puts down orders as they are; for data that was checked where it was made. */
    @Transactional
    public void load(UUID programId, UUID accountId, List<MilestoneOrder> orders) {
        orders.forEach(order -> queries.insert(
                programId, office.yearId(programId, order.setOn()).orElseThrow(), order, accountId));
    }

    @Transactional
    public void withdraw(UUID programId, UUID accountId, UUID orderId) {
        if (!queries.withdraw(programId, orderId, accountId)) {
            throw Problem.notFound("There is no such order any more; perhaps it was withdrawn before.");
        }
    }

    private void known(UUID programId, SectionScope scope) {
        switch (scope) {
            case SectionScope.Tutti tutti -> rosters.schoolClass(programId, tutti.classId());
            case SectionScope.FamilyOfClass family -> rosters.schoolClass(programId, family.classId());
            case SectionScope.Section section -> rosters.schoolClass(programId, section.classId());
            case SectionScope.Newcomers newcomers -> rosters.schoolClass(programId, newcomers.classId());
            case SectionScope.InstrumentAcrossClasses all -> {}
        }
    }

    private boolean reachesSomebody(UUID programId, MilestoneOrder order, Milestone milestone) {
        return order.scopes().stream()
                .flatMap(scope -> rosters.seatsOfStudentsIn(programId, scope, order.dueOn()).stream())
                .anyMatch((Seat seat) -> milestone.isFor(seat.instrument()) && order.reaches(seat, catalog));
    }
}
