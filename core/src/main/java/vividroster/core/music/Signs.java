package vividroster.core.music;

import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a measure says about the way through the music.
 *
 * @param forwardRepeat opens a repeat before it
 * @param repeatTimes plays in all of the repeat that closes after it; 0 where none closes
 * @param endingBegins passes on which the bracket that begins here is taken; empty where none begins
 * @param endingStops whether a bracket ends with it
 * @param segno name of the segno before it
 * @param coda name of the coda before it
 * @param toCoda name of the coda that is gone to after it, once a jump was made
 * @param fine whether it ends here, once a jump was made
 * @param jump acted on after it
 */
public record Signs(
        boolean forwardRepeat,
        int repeatTimes,
        Set<Integer> endingBegins,
        boolean endingStops,
        Optional<String> segno,
        Optional<String> coda,
        Optional<String> toCoda,
        boolean fine,
        Optional<Jump> jump) {

    /** Of a repeat's plays and of an ending's number. Source: the rules of notation. */
    public static final int MOST_TIMES = 32;

    /** Numbers of one bracket. Source: the same. */
    public static final int MOST_NUMBERS = 16;

    public static final Signs NONE = new Signs(
            false, 0, Set.of(), false, Optional.empty(), Optional.empty(), Optional.empty(), false, Optional.empty());

    /** Where the music goes on until. */
    public enum Until {
        END,
        FINE,
        CODA
    }

    /**
     * @param segno name of the segno, "" where it bears none; empty for a jump to the beginning
     * @param coda name of the coda it means, "" where it names none
     */
    public record Jump(Optional<String> segno, Until until, String coda) {
        public static Jump daCapo(Until until) {
            return new Jump(Optional.empty(), until, "");
        }

        public static Jump dalSegno(String name, Until until) {
            return new Jump(Optional.of(name), until, "");
        }

        public Jump toCoda(String name) {
            return new Jump(segno, until, name);
        }

        /** As it is printed, for example "D.S. al Coda". */
        public String words() {
            String from = segno.isPresent() ? "D.S." : "D.C.";
            return switch (until) {
                case END -> from;
                case FINE -> from + " al Fine";
                case CODA -> from + " al Coda" + (coda.isEmpty() ? "" : " " + coda);
            };
        }
    }

    public Signs {
        if (repeatTimes < 0 || repeatTimes == 1 || repeatTimes > MOST_TIMES) {
            throw new IllegalArgumentException("a repeat plays 2 to " + MOST_TIMES + " times, was " + repeatTimes);
        }
        if (endingBegins.size() > MOST_NUMBERS) {
            throw new IllegalArgumentException(
                    "an ending has at most " + MOST_NUMBERS + " numbers, here are " + endingBegins.size());
        }
        endingBegins = Set.copyOf(endingBegins);
        for (int number : endingBegins) {
            if (number < 1 || number > MOST_TIMES) {
                throw new IllegalArgumentException(
                        "an ending's number must be in 1.." + MOST_TIMES + ", was " + number);
            }
        }
    }

    public boolean closesRepeat() {
        return repeatTimes > 0;
    }

    /** For example "1, 2."; empty where no bracket begins. */
    public String endingLabel() {
        return endingBegins.isEmpty()
                ? ""
                : String.join(
                                ", ",
                                new TreeSet<>(endingBegins)
                                        .stream().map(String::valueOf).toList())
                        + ".";
    }

    /** Both together, as when signs of any part hold for all. */
    public Signs with(Signs other) {
        Set<Integer> endings = new TreeSet<>(endingBegins);
        endings.addAll(other.endingBegins);
        return new Signs(
                forwardRepeat || other.forwardRepeat,
                Math.max(repeatTimes, other.repeatTimes),
                endings,
                endingStops || other.endingStops,
                segno.or(() -> other.segno),
                coda.or(() -> other.coda),
                toCoda.or(() -> other.toCoda),
                fine || other.fine,
                jump.or(() -> other.jump));
    }
}
