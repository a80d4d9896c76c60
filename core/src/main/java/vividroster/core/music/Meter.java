package vividroster.core.music;

import java.util.ArrayList;
import java.util.List;

/**
 * A time signature.
 *
 * @param count beats in a measure as printed, in 1..32
 * @param unit note value of one of them: 1, 2, 4, 8 or 16
 * @param groups how a composite meter is printed, for example 3 and 2 of 3+2/8; empty for any other
 */
public record Meter(int count, int unit, List<Integer> groups) {

    public Meter {
        groups = List.copyOf(groups);
        if (count < 1 || count > 32) {
            throw new IllegalArgumentException("count must be in 1..32, was " + count);
        }
        if (unit != 1 && unit != 2 && unit != 4 && unit != 8 && unit != 16) {
            throw new IllegalArgumentException("unit must be 1, 2, 4, 8 or 16, was " + unit);
        }
        if (groups.size() == 1
                || groups.stream().anyMatch(g -> g < 1)
                || (!groups.isEmpty() && groups.stream().mapToInt(g -> g).sum() != count)) {
            throw new IllegalArgumentException("the groups of a meter make its count, were " + groups + " of " + count);
        }
    }

    public Meter(int count, int unit) {
        this(count, unit, List.of());
    }

    /** Length of one full measure in beats, a beat being a quarter note. */
    public double beatsPerMeasure() {
        return count * 4.0 / unit;
    }

    /** Whether three units make a pulse, as in 6/8. */
    public boolean isCompound() {
        return groups.isEmpty() && unit >= 8 && count > 3 && count % 3 == 0;
    }

    /** What the foot taps: a dotted quarter in 6/8, 9/8 and 12/8 (a dotted eighth in sixteenths), else the unit. */
    public Beats pulse() {
        return Beats.of(isCompound() ? 12 : 4, unit);
    }

    /** As printed on one line, for example "3/4" or "3+2/8". */
    @Override
    public String toString() {
        return counted() + "/" + unit;
    }

    /** What stands above: "3", or "3+2" of a composite meter. */
    public String counted() {
        return groups.isEmpty()
                ? String.valueOf(count)
                : String.join("+", groups.stream().map(String::valueOf).toList());
    }

    /** @param text for example {@code 3/4}, {@code 3+2/8} or {@code (3+2)/8}; two meters in one are refused */
    public static Meter parse(String text) {
        String plain = text.strip().replace(" ", "");
        if (!plain.matches("\\(?\\d{1,3}(\\+\\d{1,3}){0,7}\\)?/\\d{1,3}")) {
            throw new IllegalArgumentException(
                    plain.matches(".*/.*\\+.*/.*")
                            ? "two meters in one, \"" + text.strip() + "\", are not read here"
                            : "a meter is written like \"3/4\", was \"" + text + "\"");
        }
        String[] parts = plain.replaceAll("[()]", "").split("/");
        List<Integer> groups = new ArrayList<>();
        for (String group : parts[0].split("\\+")) {
            groups.add(Integer.valueOf(group));
        }
        int count = groups.stream().mapToInt(g -> g).sum();
        return new Meter(count, Integer.parseInt(parts[1]), groups.size() == 1 ? List.of() : groups);
    }
}
