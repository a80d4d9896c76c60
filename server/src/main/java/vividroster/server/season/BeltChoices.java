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
import vividroster.server.season.AlreadyHad.Had;

/** Belts chosen for a year, with what fills their slots for the instruments of a class. */
@Component
class BeltChoices {

    private final Library library;
    private final AlreadyHad alreadyHad;

    BeltChoices(Library library, AlreadyHad alreadyHad) {
        this.library = library;
        this.alreadyHad = alreadyHad;
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
     * Puts belts and what fills their slots among what is wanted; what fills a slot is heard from each alone. A section whose
     * every player was set something already, in any class, or has it, is not set it once more.
     *
     * @param wanted by kind, in order; what was wanted before stays as it was
     * @throws Problem where one of the belts is gone, or none asks anything of these instruments
     * @return of what was added whom it reaches
     */
    Map<UUID, Set<InstrumentCode>> withSlots(
            SeasonYear year,
            UUID classId,
            List<UUID> beltIds,
            Set<InstrumentCode> instruments,
            Map<PlanItem.Kind, List<UUID>> wanted,
            Set<UUID> heardAlone) {
        if (beltIds.isEmpty()) {
            return Map.of();
        }
        List<Belt> belts = library.belts(year.programId(), instruments).stream()
                .filter(belt -> beltIds.contains(belt.id()))
                .sorted(Comparator.comparing(Belt::ladder).thenComparingInt(Belt::rank))
                .toList();
        if (belts.size() < Set.copyOf(beltIds).size()) {
            throw Problem.input("beltIds", "One of these belts is not in the library any more; choose again.");
        }
        if (belts.stream().noneMatch(belt -> instruments.stream().anyMatch(belt::asks))) {
            throw Problem.input("beltIds", "These belts ask nothing of the instruments of this class.");
        }
        Had had = alreadyHad.of(
                year,
                classId,
                belts.stream()
                        .flatMap(belt -> instruments.stream().flatMap(code -> belt.milestonesFor(code).stream()))
                        .distinct()
                        .toList());
        Map<UUID, Set<InstrumentCode>> reached = new LinkedHashMap<>();
        for (Belt belt : belts) {
            for (InstrumentCode code : instruments) {
                if (belt.asks(code) && !had.by(code, belt.id())) {
                    Stream.concat(belt.milestonesFor(code).stream(), Stream.of(belt.id()))
                            .filter(id -> !had.by(code, id))
                            .forEach(id -> reached.computeIfAbsent(id, one -> new HashSet<>())
                                    .add(code));
                }
            }
        }
        Set<UUID> before = wanted.values().stream().flatMap(List::stream).collect(Collectors.toSet());
        reached.keySet().removeAll(before);
        library.milestones(year.programId(), reached.keySet())
                .forEach(milestone -> wanted.merge(
                        PlanItem.Kind.valueOf(milestone.kind().name()),
                        List.of(milestone.id()),
                        (there, more) ->
                                Stream.concat(there.stream(), more.stream()).toList()));
        heardAlone.addAll(reached.keySet());
        return reached;
    }
}
