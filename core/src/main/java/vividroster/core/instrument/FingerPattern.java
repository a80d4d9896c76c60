package vividroster.core.instrument;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * How the fingers of the left hand stand to one another on a string, under the name a class gives it.
 *
 * @param close the lower finger of each neighbouring pair that stands close, 1 to 3; the others are a whole step apart
 */
public record FingerPattern(String name, Set<Integer> close) {

    /** What every hand meets in its first year, by what it looks like. */
    public static final List<FingerPattern> USUAL = List.of(of(2), of(1), of(3), of());

    public FingerPattern {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a finger pattern has a name");
        }
        for (int finger : close) {
            if (finger < 1 || finger > 3) {
                throw new IllegalArgumentException("fingers 1 to 3 stand close to the next, was " + finger);
            }
        }
        close = Set.copyOf(close);
    }

    private static FingerPattern of(Integer... close) {
        return new FingerPattern(words(Set.of(close)), Set.of(close));
    }

    /** "2 and 3 close", "1 and 2, 3 and 4 close", "all apart". */
    public static String words(Set<Integer> close) {
        return close.isEmpty()
                ? "all apart"
                : new TreeSet<>(close)
                                .stream()
                                        .map(finger -> finger + " and " + (finger + 1))
                                        .collect(Collectors.joining(", "))
                        + " close";
    }

    /** From the first finger. */
    public List<Integer> closeInOrder() {
        return close.stream().sorted().toList();
    }

    /** As it is told to whoever does not know the class's name for it. */
    public String described() {
        String words = words(close);
        return name.equals(words) ? words : name + " (" + words + ")";
    }
}
