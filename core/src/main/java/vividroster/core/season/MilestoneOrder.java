package vividroster.core.season;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;

/**
 * A milestone set for whole sections.
 *
 * @param dueOn inclusive, on or after {@code setOn}
 * @param evidence which evidence can make the pass
 * @param carried what the same milestone carries for each part of the sections
 */
public record MilestoneOrder(
        UUID id,
        UUID milestoneId,
        LocalDate setOn,
        LocalDate dueOn,
        Set<Evidence> evidence,
        List<SectionScope> scopes,
        List<Carried> carried) {

    public MilestoneOrder {
        if (dueOn.isBefore(setOn)) {
            throw new IllegalArgumentException("an order is due on or after " + setOn + ", was " + dueOn);
        }
        if (scopes.isEmpty()) {
            throw new IllegalArgumentException("an order needs at least one section");
        }
        evidence = Set.copyOf(evidence);
        scopes = List.copyOf(scopes);
        carried = List.copyOf(carried);
        if (carried.stream().map(Carried::whom).distinct().count() < carried.size()) {
            throw new IllegalArgumentException("a section carries one thing in one order, here two");
        }
    }

    /** An order that carries nothing beside its milestone. */
    public MilestoneOrder(
            UUID id,
            UUID milestoneId,
            LocalDate setOn,
            LocalDate dueOn,
            Set<Evidence> evidence,
            List<SectionScope> scopes) {
        this(id, milestoneId, setOn, dueOn, evidence, scopes, List.of());
    }

    /** By the day they are due, then by the day they were set: in the order a section comes to them. */
    public static List<MilestoneOrder> byDueDay(Collection<MilestoneOrder> orders) {
        return orders.stream()
                .sorted(Comparator.comparing(MilestoneOrder::dueOn).thenComparing(MilestoneOrder::setOn))
                .toList();
    }

    /**
     * Whether the holder of this seat has the order: in one of its scopes, at some day between set and due. Who joins
     * after the due day starts without it, who left before it was set never had it.
     */
    public boolean reaches(Seat seat, InstrumentCatalog catalog) {
        return seat.overlaps(setOn, dueOn) && scopes.stream().anyMatch(scope -> scope.holds(seat, catalog));
    }
}
