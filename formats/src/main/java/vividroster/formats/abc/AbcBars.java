package vividroster.formats.abc;

import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Signs;

/** A bar line as it is typed, with the numbers of a bracket behind it. */
record AbcBars(int letters, boolean closes, int times, boolean opens, boolean isDouble, Set<Integer> ending) {

    private static final Pattern BAR =
            Pattern.compile("(?:(:*)(?:\\[?\\|+\\]?|\\|?\\[\\|)(:*)|(::+)|(\\[)(?=\\d))(?:(\\[)?(\\d[\\d,-]*))?");
    private static final Pattern ONE = Pattern.compile("(\\d{1,9})(?:-(\\d{1,9}))?");

    /** The bar line that begins at a place, or null when none does. */
    static AbcBars at(String text, int at) {
        char c = text.charAt(at);
        if (c != '|' && c != ':' && c != '[') {
            return null;
        }
        Matcher m = BAR.matcher(text).region(at, text.length()).useTransparentBounds(true);
        if (!m.lookingAt()) {
            return null;
        }
        boolean both = m.group(3) != null;
        int before = both ? 1 : m.group(1) == null ? 0 : m.group(1).length();
        int after = both ? 1 : m.group(2) == null ? 0 : m.group(2).length();
        String bar = text.substring(at, m.group(6) == null ? m.end() : m.start(6));
        return new AbcBars(
                m.end() - at,
                before > 0,
                before > 0 ? Math.min(before + 1, Signs.MOST_TIMES) : 0,
                after > 0,
                both || bar.contains("||") || bar.contains("]") || bar.contains("[|"),
                m.group(6) == null ? Set.of() : numbers(m.group(6).replaceAll("[,-]+$", "")));
    }

    /** A plain one. */
    static AbcBars plain() {
        return new AbcBars(0, false, 0, false, false, Set.of());
    }

    /** For brackets typed as numbers, like 1,3 or 1-3. @throws IllegalArgumentException for too many, or too high ones */
    static Set<Integer> numbers(String text) {
        Set<Integer> numbers = new TreeSet<>();
        for (String part : text.split(",", Signs.MOST_NUMBERS + 2)) {
            Matcher m = ONE.matcher(part);
            if (!m.matches()) {
                throw new IllegalArgumentException(
                        "a bracket's numbers are written like 1,3 or 1-3, was \"" + text + "\"");
            }
            int from = Integer.parseInt(m.group(1));
            int to = m.group(2) == null ? from : Integer.parseInt(m.group(2));
            if (from < 1 || to > Signs.MOST_TIMES || from > to) {
                throw new IllegalArgumentException(
                        "a bracket's numbers go up from 1 to " + Signs.MOST_TIMES + ", were " + part);
            }
            for (int n = from; n <= to; n++) {
                numbers.add(n);
            }
            if (numbers.size() > Signs.MOST_NUMBERS) {
                throw new IllegalArgumentException("a bracket has at most " + Signs.MOST_NUMBERS + " numbers");
            }
        }
        return numbers;
    }
}
