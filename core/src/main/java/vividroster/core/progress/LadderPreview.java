package vividroster.core.progress;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Ladder;
import vividroster.core.music.InstrumentCode;

/**
 * What a ladder would ask of each instrument, and where today's students would stand on it.
 *
 * @param sections by instrument, in the order given
 */
public record LadderPreview(List<OfSection> sections) {

    /**
     * One slot of a belt for one instrument.
     *
     * @param milestoneId empty where nothing fills it for this instrument
     * @param toHear of the section's students how many have still to pass it
     */
    public record Asked(String name, Optional<UUID> milestoneId, boolean must, int toHear) {}

    /**
     * One belt for one instrument.
     *
     * @param slots every slot of it, empty ones too
     * @param needed how many of the filled ones it takes; 0 where it asks nothing and is not shown
     * @param teachMinutes of all that is asked
     * @param hearSeconds to hear everybody of the section who has still to pass it
     * @param wearers students who would wear it as their highest
     */
    public record OfBelt(
            Belt belt, List<Asked> slots, int needed, int teachMinutes, long hearSeconds, List<UUID> wearers) {}

    /** @param without students who would wear none yet */
    public record OfSection(InstrumentCode instrument, int students, List<OfBelt> belts, List<UUID> without) {}

    /** @param standings by milestone, everything any version of the ladder names */
    public record Student(UUID id, InstrumentCode instrument, Map<UUID, Standing> standings) {}

    /** What one milestone costs. @param teachMinutes of the class; hearSeconds of one student */
    public record Cost(int teachMinutes, long hearSeconds) {
        public static final Cost NOTHING = new Cost(0, 0);
    }

    /** @param ladder with its earlier versions, so that nobody would lose what was earned */
    public static LadderPreview of(
            Ladder ladder, List<InstrumentCode> instruments, Collection<Student> students, Map<UUID, Cost> costs) {
        List<OfSection> sections = new ArrayList<>();
        for (InstrumentCode instrument : instruments) {
            List<Student> own = students.stream()
                    .filter(student -> student.instrument().equals(instrument))
                    .toList();
            Map<UUID, List<UUID>> wearers = new LinkedHashMap<>();
            List<UUID> without = new ArrayList<>();
            own.forEach(student -> new BeltLadder(ladder)
                    .worn(instrument, student.standings())
                    .worn()
                    .ifPresentOrElse(
                            belt -> wearers.computeIfAbsent(belt.id(), id -> new ArrayList<>())
                                    .add(student.id()),
                            () -> without.add(student.id())));
            sections.add(new OfSection(
                    instrument,
                    own.size(),
                    ladder.belts().stream()
                            .map(belt ->
                                    ofBelt(belt, instrument, own, costs, wearers.getOrDefault(belt.id(), List.of())))
                            .toList(),
                    without));
        }
        return new LadderPreview(sections);
    }

    private static OfBelt ofBelt(
            Belt belt, InstrumentCode instrument, List<Student> students, Map<UUID, Cost> costs, List<UUID> wearers) {
        BeltProgress progress = BeltProgress.of(belt, instrument, id -> false);
        List<Asked> slots = belt.slots().stream()
                .map(slot -> {
                    Optional<UUID> id = belt.filling(slot, instrument);
                    boolean must = progress.slots().stream()
                            .anyMatch(state -> state.slot().equals(slot) && state.must());
                    int open = id.map(one -> (int) students.stream()
                                    .filter(student -> !student.standings()
                                            .getOrDefault(one, Standing.NOTHING)
                                            .fillsSlot())
                                    .count())
                            .orElse(0);
                    return new Asked(slot.name(), id, must, open);
                })
                .toList();
        int minutes = 0;
        long seconds = 0;
        for (Asked slot : slots) {
            Cost cost = slot.milestoneId()
                    .map(id -> costs.getOrDefault(id, Cost.NOTHING))
                    .orElse(Cost.NOTHING);
            minutes += cost.teachMinutes();
            seconds += cost.hearSeconds() * slot.toHear();
        }
        return new OfBelt(belt, slots, progress.needed(), minutes, seconds, wearers);
    }
}
