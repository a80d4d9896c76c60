package vividroster.server.season;

import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.Belt;
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.PlanItem;
import vividroster.server.library.Library;
import vividroster.server.platform.Problem;

/** Belts chosen for a year, with what fills their slots for the instruments of a class. */
@Component
class BeltChoices {

    private final Library library;

    BeltChoices(Library library) {
        this.library = library;
    }

    /** Every belt that asks something of these instruments, ladder by ladder from the lowest. */
    List<UUID> of(UUID programId, Set<InstrumentCode> instruments) {
        return library.belts(programId, instruments).stream()
                .filter(belt -> instruments.stream()
                        .anyMatch(code -> !belt.milestonesFor(code).isEmpty()))
                .sorted(Comparator.comparing(Belt::ladder).thenComparingInt(Belt::rank))
                .map(Belt::id)
                .toList();
    }

    /**
     * Puts belts and what fills their slots among what is wanted; what fills a slot is heard from each alone.
     *
     * @param wanted by kind, in order; what was wanted before stays as it was
     * @throws Problem where one of the belts is gone, or none asks anything of these instruments
     * @return of what was added whom it reaches
     */
    Map<UUID, Set<InstrumentCode>> withSlots(
            UUID programId,
            List<UUID> beltIds,
            Set<InstrumentCode> instruments,
            Map<PlanItem.Kind, List<UUID>> wanted,
            Set<UUID> heardAlone) {
        Map<UUID, Set<InstrumentCode>> reached = new LinkedHashMap<>();
        List<Belt> belts = library.belts(programId, instruments).stream()
                .filter(belt -> beltIds.contains(belt.id()))
                .sorted(Comparator.comparing(Belt::ladder).thenComparingInt(Belt::rank))
                .toList();
        if (belts.size() < Set.copyOf(beltIds).size()) {
            throw Problem.input("beltIds", "One of these belts is not in the library any more; choose again.");
        }
        for (Belt belt : belts) {
            for (InstrumentCode code : instruments) {
                List<UUID> slots = belt.milestonesFor(code);
                slots.forEach(id ->
                        reached.computeIfAbsent(id, one -> new HashSet<>()).add(code));
                if (!slots.isEmpty()) {
                    reached.computeIfAbsent(belt.id(), one -> new HashSet<>()).add(code);
                }
            }
        }
        if (!belts.isEmpty() && reached.isEmpty()) {
            throw Problem.input("beltIds", "These belts ask nothing of the instruments of this class.");
        }
        Set<UUID> before = wanted.values().stream().flatMap(List::stream).collect(Collectors.toSet());
        reached.keySet().removeAll(before);
        library.milestones(programId, reached.keySet())
                .forEach(milestone -> wanted.merge(
                        PlanItem.Kind.valueOf(milestone.kind().name()),
                        List.of(milestone.id()),
                        (there, more) ->
                                Stream.concat(there.stream(), more.stream()).toList()));
        heardAlone.addAll(reached.keySet());
        return reached;
    }
}
