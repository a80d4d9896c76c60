package vividroster.core.music;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A length as note values on paper.
 *
 * @param halvings of a whole note: 0 whole, 1 half, 2 quarter, to 7 for a 128th
 * @param dots 0 to 2
 * @param actual notes of a group that take the time of {@code normal}; 1 and 1 outside a group
 */
public record Notated(int halvings, int dots, int actual, int normal) {

    private static final int WHOLE = 4 * Beats.PER_BEAT;
    private static final int[][] GROUPS = {{1, 1}, {3, 2}, {5, 4}, {7, 4}, {2, 3}, {4, 3}, {6, 4}};

    private static final List<String> NAMES =
            List.of("whole", "half", "quarter", "eighth", "16th", "32nd", "64th", "128th");

    /** For example "dotted quarter" or "eighth triplet". */
    public String name() {
        String before = dots == 2 ? "double-dotted " : dots == 1 ? "dotted " : "";
        String group = actual == 1 ? "" : actual == 3 ? " triplet" : " in a group of " + actual;
        return before + NAMES.get(halvings) + group;
    }

    /** The inverse of {@link #name()}. */
    public static Notated named(String name) {
        for (int[] group : GROUPS) {
            for (int dots = 0; dots <= 2; dots++) {
                for (int halvings = 0; halvings < NAMES.size(); halvings++) {
                    Notated value = new Notated(halvings, dots, group[0], group[1]);
                    if (value.name().equals(name)) {
                        return value;
                    }
                }
            }
        }
        throw new IllegalArgumentException("a note value is named like \"dotted quarter\", was \"" + name + "\"");
    }

    public Beats length() {
        long base = (long) WHOLE >> halvings;
        long dotted = dots == 2 ? base * 7 / 4 : dots == 1 ? base * 3 / 2 : base;
        return new Beats((int) (dotted * normal / actual));
    }

    /** One note value, or several tied ones where none alone is so long; longest first. */
    public static List<Notated> of(Beats length) {
        List<Notated> values = new ArrayList<>();
        int left = length.ticks();
        while (left > 0) {
            Notated next = exact(left);
            if (next == null) {
                next = longestWithin(left);
            }
            values.add(next);
            left -= next.length().ticks();
        }
        return values;
    }

    /** So many tied values stand for one length at most; more is no rhythm anybody writes. */
    private static final int MOST_VALUES = 6;

    /** Whether a length can be written, as one value or a few tied ones. */
    public static boolean canWrite(Beats length) {
        if (EXACT.containsKey(length.ticks())) {
            return true;
        }
        try {
            return length.ticks() > 0
                    && length.ticks() <= MOST_VALUES * WHOLE * 2
                    && of(length).size() <= MOST_VALUES;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    /** Single values by their ticks; of several as long the plainest. */
    private static final Map<Integer, Notated> EXACT = singleValues();

    private static Map<Integer, Notated> singleValues() {
        Map<Integer, Notated> values = new HashMap<>();
        for (int[] group : GROUPS) {
            for (int dots = 0; dots <= 2; dots++) {
                for (int halvings = 0; halvings <= 7; halvings++) {
                    Notated value = new Notated(halvings, dots, group[0], group[1]);
                    values.putIfAbsent(value.length().ticks(), value);
                }
            }
        }
        return Map.copyOf(values);
    }

    private static Notated exact(int ticks) {
        return EXACT.get(ticks);
    }

    private static Notated longestWithin(int ticks) {
        for (int halvings = 0; halvings <= 7; halvings++) {
            Notated value = new Notated(halvings, 0, 1, 1);
            if (value.length().ticks() <= ticks) {
                return value;
            }
        }
        throw new IllegalArgumentException("a length of " + ticks + " ticks is too short to be written");
    }
}
