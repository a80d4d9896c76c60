package vividroster.core.reading;

import java.util.List;
import java.util.Set;
import vividroster.core.music.Signs;

/** The brackets over a strain's last measures: which group a measure belongs to and how many passes the group asks for. */
final class Endings {

    private final List<Signs> signs;

    Endings(List<Signs> signs) {
        this.signs = signs;
    }

    /** Index of the last measure of the bracket that begins here. */
    private int lastOf(int begins) {
        for (int i = begins; i < signs.size(); i++) {
            boolean nextBegins =
                    i + 1 < signs.size() && !signs.get(i + 1).endingBegins().isEmpty();
            if (signs.get(i).endingStops() || signs.get(i).closesRepeat() || nextBegins) {
                return i;
            }
        }
        // Without a sign of its end a bracket covers its own measure.
        return begins;
    }

    private boolean begins(int index) {
        return index < signs.size() && !signs.get(index).endingBegins().isEmpty();
    }

    /** The first measure after the bracket that begins here. */
    int after(int begins) {
        return lastOf(begins) + 1;
    }

    /** The measure where the bracket over this one begins, or -1. */
    private int bracketOver(int at) {
        for (int i = at; i >= 0; i--) {
            if (begins(i)) {
                return lastOf(i) >= at ? i : -1;
            }
        }
        return -1;
    }

    /** How often the strain is played by the numbers of the group that a bracket belongs to. */
    int passesOf(int begins) {
        int first = begins;
        boolean earlier = true;
        while (earlier) {
            int before = first - 1;
            int bracket = before < 0 ? -1 : bracketOver(before);
            earlier = bracket >= 0 && lastOf(bracket) == before;
            if (earlier) {
                first = bracket;
            }
        }
        int most = 0;
        for (int i = first; begins(i); i = after(i)) {
            most = Math.max(most, most(signs.get(i).endingBegins()));
        }
        return most;
    }

    private static int most(Set<Integer> numbers) {
        return numbers.stream().mapToInt(Integer::intValue).max().orElse(0);
    }

    /** The same for a measure under a bracket; 0 for one under none. */
    int passesAt(int at) {
        int bracket = bracketOver(at);
        return bracket < 0 ? 0 : passesOf(bracket);
    }

    /** Whether another bracket of the group follows the one over this measure. */
    boolean goOnAfter(int at) {
        int bracket = bracketOver(at);
        return bracket >= 0 && begins(after(bracket)) && lastOf(bracket) == at;
    }

    /** Whether the last bracket of a group ends with this measure. */
    boolean lastEndsAt(int at) {
        int bracket = bracketOver(at);
        return bracket >= 0 && lastOf(bracket) == at && !begins(at + 1);
    }
}
