package vividroster.server.season;

import java.util.Comparator;
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
import vividroster.core.progress.BeltsToSet;
import vividroster.core.roster.Seat;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;

/** Belts chosen for a year, with what fills their slots for the instruments of a class. */
@Component
class BeltChoices {

    private final Library library;
    private final Rosters rosters;
    private final Progress progress;

    BeltChoices(Library library, Rosters rosters, Progress progress) {
        this.library = library;
        this.rosters = rosters;
        this.progress = progress;
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
     * Puts belts and what fills their slots among what is wanted, see {@link BeltsToSet}; what fills a slot is heard from each
     * alone.
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
        Map<UUID, Set<InstrumentCode>> reached = toSet(year, classId, belts, instruments);
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

    private Map<UUID, Set<InstrumentCode>> toSet(
            SeasonYear year, UUID classId, List<Belt> belts, Set<InstrumentCode> instruments) {
        List<Seat> seats = rosters.seatsOfStudentsIn(year.programId(), List.of(classId), year.today());
        Sheet sheet = progress.sheet(
                year.programId(), Question.of(seats, year.today()).withBelts());
        return BeltsToSet.of(
                belts,
                instruments,
                sheet.ladders(),
                seats.stream()
                        .filter(seat -> seat.classId().equals(classId) && seat.isHeldOn(year.today()))
                        .map(seat -> new Player(seat.studentId(), seat.instrument()))
                        .map(player -> new BeltsToSet.Player(
                                player.instrument(),
                                sheet.assigned(player).keySet(),
                                sheet.standings().getOrDefault(player, Map.of())))
                        .toList());
    }
}
