package vividroster.core.curriculum;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;

/**
 * A ladder as a director writes it. It may be anything; {@link LadderFault#of} says what is wrong with it.
 *
 * @param instruments whom it is for; empty means everybody
 */
public record LadderDraft(String name, Set<InstrumentCode> instruments, List<BeltDraft> belts) {

    public LadderDraft {
        instruments = Set.copyOf(instruments);
        belts = List.copyOf(belts);
    }

    /** @param id of a belt that is on the ladder already; empty for a new one */
    public record BeltDraft(Optional<UUID> id, String name, BeltLook look, BeltRule rule, List<SlotDraft> slots) {
        public BeltDraft {
            slots = List.copyOf(slots);
        }
    }

    /** @param must matters where the belt asks musts and free ones */
    public record SlotDraft(String name, boolean must, List<ForWhom.Filling> fillings) {
        public SlotDraft {
            fillings = List.copyOf(fillings);
        }
    }

    /**
     * One belt of it as it will be asked.
     *
     * @param index place in the draft, from 0
     * @param id of the belt's milestone
     * @param onlyFor of milestones that are not for everybody the instruments they are for
     */
    public Belt belt(int index, UUID id, Map<UUID, Set<InstrumentCode>> onlyFor, InstrumentCatalog catalog) {
        BeltDraft draft = belts.get(index);
        return new Belt(
                id,
                name,
                index + 1,
                draft.name(),
                IntStream.range(0, draft.slots().size())
                        .mapToObj(slot -> slot(slot + 1, draft.slots().get(slot), onlyFor, catalog))
                        .toList(),
                draft.rule(),
                instruments);
    }

    private static BeltSlot slot(
            int ordinal, SlotDraft slot, Map<UUID, Set<InstrumentCode>> onlyFor, InstrumentCatalog catalog) {
        Map<InstrumentCode, UUID> fillings = ForWhom.byInstrument(slot.fillings(), catalog);
        Map<UUID, Set<InstrumentCode>> only = new java.util.HashMap<>();
        fillings.values().forEach(id -> only.put(id, onlyFor.getOrDefault(id, Set.of())));
        return new BeltSlot(ordinal, slot.name(), fillings, only, slot.must());
    }
}
