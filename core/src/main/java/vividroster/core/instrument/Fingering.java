package vividroster.core.instrument;

import java.util.List;
import java.util.Set;

/** How one written note is taken on an instrument. */
public sealed interface Fingering {

    /** As a finger-number view shows it, for example {@code 1-3}, {@code open}, {@code T123|4} or {@code D2}. */
    String label();

    /**
     * @param down valves pressed, in order; none for open
     * @param thumb on a double horn's second side
     * @param partial of the harmonic series the note is
     */
    record Valves(List<Integer> down, boolean thumb, int partial) implements Fingering {
        public Valves {
            down = List.copyOf(down);
        }

        @Override
        public String label() {
            String valves = down.isEmpty()
                    ? "open"
                    : String.join("-", down.stream().map(String::valueOf).toList());
            return thumb ? "T " + valves : valves;
        }
    }

    /**
     * @param position of the slide, 1 in to 7 out; partial of the harmonic series the note is
     * @param attachment whether the attachment is pressed that lowers it by a fourth
     */
    record Slide(int position, int partial, boolean attachment) implements Fingering {
        public Slide {
            if (position < 1 || position > 7) {
                throw new IllegalArgumentException("a slide has positions 1 to 7, was " + position);
            }
        }

        public Slide(int position, int partial) {
            this(position, partial, false);
        }

        /** A little nearer than the position, since the seventh partial is low. */
        public boolean isRaised() {
            return partial == Partial.SEVENTH;
        }

        @Override
        public String label() {
            return (attachment ? "T" : isRaised() ? "+" : "") + position;
        }
    }

    /**
     * @param holes covered, as bits: 0 the left thumb, 1 to 3 the left hand, 4 to 6 the right
     * @param keys pressed beside, by the note they give; {@code L} and {@code R} before it tell the little fingers
     *     apart, {@code reg} is a register or octave key, {@code h} a half-covered first hole
     * @param register by name; crossing to another is a break
     */
    record Keys(int holes, Set<String> keys, String register, String label) implements Fingering {
        public Keys {
            keys = Set.copyOf(keys);
        }

        /** Fingers that must move to take the other. */
        public int movedTo(Keys other) {
            int moved = Integer.bitCount(holes ^ other.holes);
            for (String key : keys) {
                moved += other.keys.contains(key) ? 0 : 1;
            }
            for (String key : other.keys) {
                moved += keys.contains(key) ? 0 : 1;
            }
            return moved;
        }

        /** Whether one little finger would have to slide from key to key. */
        public boolean slidesTo(Keys other) {
            for (String key : keys) {
                for (String next : other.keys) {
                    char hand = key.charAt(0);
                    if ((hand == 'L' || hand == 'R') && next.charAt(0) == hand && !key.equals(next)) {
                        return true;
                    }
                }
            }
            return false;
        }
    }

    /** How the hand reaches for a finger. */
    enum Reach {
        USUAL,
        /** Drawn back a semitone. */
        LOW,
        /** Raised a semitone. */
        HIGH,
        /** The hand opens: an extension. */
        STRETCHED
    }

    /**
     * @param string its letter
     * @param place of the string from the lowest, 0
     * @param finger 0 for open
     * @param position of the hand, 1 at the scroll; 0 for open and for the bass's half position
     */
    record OnString(String string, int place, int finger, int position, Reach reach) implements Fingering {
        public OnString {
            if (finger < 0 || finger > 4) {
                throw new IllegalArgumentException("a finger is 0 to 4, was " + finger);
            }
        }

        public boolean isOpen() {
            return finger == 0;
        }

        @Override
        public String label() {
            String sign = switch (reach) {
                case LOW -> "L";
                case HIGH -> "H";
                case STRETCHED -> "x";
                case USUAL -> "";
            };
            return sign + finger;
        }
    }
}
