package vividroster.core.curriculum;

import java.util.List;
import java.util.regex.Pattern;

/**
 * How a belt is drawn: its own colour, its own weave and its own number of knots, so that it reads without colour.
 *
 * @param color as #RRGGBB, capital letters
 * @param weave one of {@link #WEAVES}
 * @param knots 1 to {@link #MOST_KNOTS}
 */
public record BeltLook(String color, String weave, int knots) {

    /** Ours; the screen and the printed sheet draw each of them. */
    public static final List<String> WEAVES =
            List.of("diagonal", "scallop", "wave", "diamond", "check", "chevron", "cross", "herringbone");

    public static final int MOST_KNOTS = 9;

    private static final Pattern COLOR = Pattern.compile("#[0-9A-F]{6}");

    public BeltLook {
        if (!COLOR.matcher(color).matches()) {
            throw new IllegalArgumentException("color must be #RRGGBB in capital letters, was " + color);
        }
        if (!WEAVES.contains(weave)) {
            throw new IllegalArgumentException("weave must be one of " + WEAVES + ", was " + weave);
        }
        if (knots < 1 || knots > MOST_KNOTS) {
            throw new IllegalArgumentException("knots must be in 1.." + MOST_KNOTS + ", was " + knots);
        }
    }

    /** Whether the two cannot be told apart in greyscale. */
    public boolean looksLike(BeltLook other) {
        return weave.equals(other.weave) && knots == other.knots;
    }
}
