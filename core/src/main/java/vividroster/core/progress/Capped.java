package vividroster.core.progress;

import java.util.List;

/**
 * The first of a list, and how many more there are, so that nothing is cut off without a word.
 *
 * @param more 0 where all are shown
 */
public record Capped<T>(List<T> shown, int more) {

    public Capped {
        shown = List.copyOf(shown);
    }

    /** @param most at least 0 */
    public static <T> Capped<T> of(List<T> all, int most) {
        return new Capped<>(all.subList(0, Math.min(most, all.size())), Math.max(0, all.size() - most));
    }
}
