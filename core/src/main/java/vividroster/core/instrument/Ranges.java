package vividroster.core.instrument;

/**
 * How far an instrument is asked to go, written, by stage.
 *
 * @param home the octave the whole book is read in
 * @param beginner the first weeks
 * @param firstYear by the end of the first year
 * @param full of school use
 */
public record Ranges(HomeOctave home, Range beginner, Range firstYear, Range full) {

    public Ranges {
        within("the beginner range", beginner, firstYear);
        within("the first year's range", firstYear, full);
    }

    private static void within(String what, Range inner, Range outer) {
        if (!outer.holds(inner.low()) || !outer.holds(inner.high())) {
            throw new IllegalArgumentException(what + " " + inner.low() + " to " + inner.high() + " goes beyond "
                    + outer.low() + " to " + outer.high());
        }
    }
}
