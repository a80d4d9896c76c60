package vividroster.core.curriculum;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/**
 * One goal of a belt.
 *
 * @param ordinal place in the belt, from 1
 * @param fillings milestone by instrument code; {@link #ANY} fills it for every instrument not named
 * @param onlyFor of fillings that are not for everybody the instruments they are for, by milestone
 * @param must whether it is one of those a belt cannot be earned without; matters to {@link BeltRule.MustsAndFree} alone
 */
public record BeltSlot(
        int ordinal,
        String name,
        Map<InstrumentCode, UUID> fillings,
        Map<UUID, Set<InstrumentCode>> onlyFor,
        boolean must) {

    /** No instrument's code. */
    public static final InstrumentCode ANY = new InstrumentCode("any");

    public BeltSlot {
        fillings = Map.copyOf(fillings);
        Map<UUID, Set<InstrumentCode>> copied = new HashMap<>();
        onlyFor.forEach((milestone, instruments) -> {
            if (!instruments.isEmpty()) {
                copied.put(milestone, Set.copyOf(instruments));
            }
        });
        onlyFor = Map.copyOf(copied);
    }

    /** Of a belt that asks every slot. */
    public BeltSlot(
            int ordinal, String name, Map<InstrumentCode, UUID> fillings, Map<UUID, Set<InstrumentCode>> onlyFor) {
        this(ordinal, name, fillings, onlyFor, false);
    }

    /** Filled by milestones that are for everybody. */
    public BeltSlot(int ordinal, String name, Map<InstrumentCode, UUID> fillings) {
        this(ordinal, name, fillings, Map.of(), false);
    }

    /**
     * What the slot asks of an instrument; empty where it cannot reach it, since nothing fills it or what does is for
     * others. Ordering and earning both ask here, so that a slot is never required of somebody who cannot be set it.
     */
    public Optional<UUID> milestoneFor(InstrumentCode instrument) {
        return Optional.ofNullable(fillings.get(instrument))
                .filter(milestone -> reaches(milestone, instrument))
                .or(() -> Optional.ofNullable(fillings.get(ANY)).filter(milestone -> reaches(milestone, instrument)));
    }

    private boolean reaches(UUID milestone, InstrumentCode instrument) {
        Set<InstrumentCode> only = onlyFor.get(milestone);
        return only == null || only.contains(instrument);
    }
}
