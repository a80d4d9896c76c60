package vividroster.core.curriculum;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * One goal of a belt.
 *
 * @param ordinal place in the belt, from 1
 * @param fillings milestone by instrument code; {@link #ANY} fills it for every instrument not named
 */
public record BeltSlot(int ordinal, String name, Map<String, UUID> fillings) {

    public static final String ANY = "any";

    public BeltSlot {
        fillings = Map.copyOf(fillings);
    }

    public Optional<UUID> milestoneFor(String instrument) {
        UUID own = fillings.get(instrument);
        return Optional.ofNullable(own != null ? own : fillings.get(ANY));
    }
}
