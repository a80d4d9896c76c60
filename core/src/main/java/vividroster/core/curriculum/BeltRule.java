package vividroster.core.curriculum;

/** How many slots of a belt have to be filled. A belt never asks an instrument for more slots than reach it. */
public sealed interface BeltRule {

    /** Every slot: the default. */
    record EverySlot() implements BeltRule {}

    /** So many of the slots, whichever. @param slots at least 1 */
    record AtLeast(int slots) implements BeltRule {
        public AtLeast {
            if (slots < 1) {
                throw new IllegalArgumentException("slots must be at least 1, was " + slots);
            }
        }
    }

    /** Every slot that is a must, and so many of the others. @param free 0 or more */
    record MustsAndFree(int free) implements BeltRule {
        public MustsAndFree {
            if (free < 0) {
                throw new IllegalArgumentException("free must be 0 or more, was " + free);
            }
        }
    }

    BeltRule EVERY_SLOT = new EverySlot();
}
