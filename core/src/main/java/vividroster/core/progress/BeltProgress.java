package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltRule;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.music.InstrumentCode;

/**
 * How far one player is with one belt.
 *
 * @param slots those that reach the instrument, in order
 * @param needed how many more have to be filled at least; never more than can be
 */
public record BeltProgress(List<SlotState> slots, int needed) {

    /** @param must whether the belt cannot be earned without it */
    public record SlotState(BeltSlot slot, UUID milestoneId, boolean must, boolean filled) {}

    public BeltProgress {
        slots = List.copyOf(slots);
    }

    /** @param filled whether a milestone fills its slot */
    public static BeltProgress of(Belt belt, InstrumentCode instrument, Predicate<UUID> filled) {
        List<SlotState> slots = new ArrayList<>();
        for (BeltSlot slot : belt.slots()) {
            belt.filling(slot, instrument)
                    .ifPresent(id -> slots.add(new SlotState(slot, id, isMust(belt.rule(), slot), filled.test(id))));
        }
        return new BeltProgress(slots, needed(belt.rule(), slots));
    }

    public static BeltProgress of(Belt belt, InstrumentCode instrument, Map<UUID, Standing> standings) {
        return of(
                belt,
                instrument,
                id -> standings.getOrDefault(id, Standing.NOTHING).fillsSlot());
    }

    private static boolean isMust(BeltRule rule, BeltSlot slot) {
        return switch (rule) {
            case BeltRule.EverySlot every -> true;
            case BeltRule.AtLeast some -> false;
            case BeltRule.MustsAndFree musts -> slot.must();
        };
    }

    private static int needed(BeltRule rule, List<SlotState> slots) {
        int musts = (int) slots.stream().filter(SlotState::must).count();
        int filledMusts = (int)
                slots.stream().filter(slot -> slot.must() && slot.filled()).count();
        int others = slots.size() - musts;
        int filledOthers = (int)
                slots.stream().filter(slot -> !slot.must() && slot.filled()).count();
        int wanted = switch (rule) {
            case BeltRule.EverySlot every -> 0;
            case BeltRule.AtLeast some -> Math.min(some.slots(), others);
            // Where no must reaches the instrument one of the others has to be filled: no belt is given for nothing.
            case BeltRule.MustsAndFree free -> Math.min(Math.max(free.free(), musts == 0 ? 1 : 0), others);
        };
        return musts - filledMusts + Math.max(0, wanted - filledOthers);
    }

    /** Never where no slot reaches the instrument. */
    public boolean isEarned() {
        return !slots.isEmpty() && needed == 0;
    }

    /** Slots that are filled; of more than the rule asks, all. */
    public int filled() {
        return (int) slots.stream().filter(SlotState::filled).count();
    }

    /** How many slots it takes: those that are filled towards it and those needed. */
    public int asked(Belt belt) {
        List<SlotState> none = slots.stream()
                .map(slot -> new SlotState(slot.slot(), slot.milestoneId(), slot.must(), false))
                .toList();
        return needed(belt.rule(), none);
    }

    /** What is not filled and would bring the belt nearer, in slot order; empty once it is earned. */
    public List<UUID> missing() {
        boolean othersHelp = needed > missingMusts();
        return slots.stream()
                .filter(slot -> !slot.filled() && (slot.must() || othersHelp))
                .map(SlotState::milestoneId)
                .toList();
    }

    private int missingMusts() {
        return (int)
                slots.stream().filter(slot -> slot.must() && !slot.filled()).count();
    }

    /**
     * The day the rule was met, as far as days are known.
     *
     * @param standings of the player
     * @param until days after it do not count; empty for none
     * @return outer empty where it is not met; inner empty where days are not known
     */
    static Optional<Optional<LocalDate>> metOn(
            Belt belt, InstrumentCode instrument, Map<UUID, Standing> standings, Optional<LocalDate> until) {
        Predicate<UUID> filled =
                id -> standings.getOrDefault(id, Standing.NOTHING).fillsSlotBy(until);
        BeltProgress whole = of(belt, instrument, filled);
        if (!whole.isEarned()) {
            return Optional.empty();
        }
        // Without what came last it may have been met already: the earliest day on which it was.
        List<LocalDate> days = whole.slots().stream()
                .filter(SlotState::filled)
                .flatMap(slot -> standings.get(slot.milestoneId()).filledOn().stream())
                .distinct()
                .sorted(Comparator.naturalOrder())
                .toList();
        Predicate<UUID> undated =
                id -> filled.test(id) && standings.get(id).filledOn().isEmpty();
        if (of(belt, instrument, undated).isEarned()) {
            return Optional.of(Optional.empty());
        }
        for (LocalDate day : days) {
            if (of(belt, instrument, id -> filled.test(id) && standings.get(id).fillsSlotBy(Optional.of(day)))
                    .isEarned()) {
                return Optional.of(Optional.of(day));
            }
        }
        return Optional.of(Optional.empty());
    }
}
