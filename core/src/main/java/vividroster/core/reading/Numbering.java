package vividroster.core.reading;

import vividroster.core.music.Part;

/**
 * How measures are numbered for people. By custom a pick-up is not counted and measure 1 is the first full one; some
 * number the pick-up as 1.
 */
public record Numbering(boolean pickUpCounts) {

    public static final Numbering USUAL = new Numbering(false);

    /** @param index in the part */
    public int of(Part part, int index) {
        return part.measures().get(index).number() + (pickUpCounts && part.hasPickUp() ? 1 : 0);
    }

    /** Printed measures, a pick-up left out; the halves of a split one are one. */
    public static int printed(Part part) {
        return (int) part.measures().stream()
                .map(m -> m.number())
                .filter(n -> n > 0)
                .distinct()
                .count();
    }

    /** Measures really played, a pick-up left out; the halves of a split one are one. */
    public static int played(Part part, Roadmap roadmap) {
        return (int) roadmap.indices().stream()
                .filter(i -> part.measures().get(i).number() > 0)
                .filter(i -> i == 0
                        || part.measures().get(i - 1).number()
                                != part.measures().get(i).number())
                .count();
    }
}
