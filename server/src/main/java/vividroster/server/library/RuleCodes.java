package vividroster.server.library;

import vividroster.core.curriculum.BeltRule;

/** A belt's rule as it is kept: its name, and how many slots it counts. */
final class RuleCodes {

    private RuleCodes() {}

    static BeltRule rule(String name, int slots) {
        return switch (name) {
            case "EVERY_SLOT" -> BeltRule.EVERY_SLOT;
            case "AT_LEAST" -> new BeltRule.AtLeast(slots);
            case "MUSTS_AND_FREE" -> new BeltRule.MustsAndFree(slots);
            default -> throw new IllegalStateException("unknown belt rule " + name);
        };
    }

    static String name(BeltRule rule) {
        return switch (rule) {
            case BeltRule.EverySlot every -> "EVERY_SLOT";
            case BeltRule.AtLeast some -> "AT_LEAST";
            case BeltRule.MustsAndFree free -> "MUSTS_AND_FREE";
        };
    }

    static int slots(BeltRule rule) {
        return switch (rule) {
            case BeltRule.EverySlot every -> 0;
            case BeltRule.AtLeast some -> some.slots();
            case BeltRule.MustsAndFree free -> free.free();
        };
    }
}
