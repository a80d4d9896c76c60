package vividroster.formats.abc;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.music.Part;
import vividroster.formats.score.LineFileException;

/** The order of parts in a head's P:, as ABA, A2B3 or (AB)2C; dots and blanks divide. */
final class AbcOrder {

    private static final int DEEPEST = 4;
    private static final int MOST_TIMES = 32;

    private final String text;
    private final int line;
    private int at;

    private AbcOrder(String text, int line) {
        this.text = text.replaceAll("[\\s.]", "");
        this.line = line;
    }

    /** The letters in the order played. @throws LineFileException for what is no order, or a very long one */
    static List<String> of(String text, int line) {
        AbcOrder order = new AbcOrder(text, line);
        List<String> letters = order.group(0);
        if (order.at < order.text.length()) {
            throw order.wrong();
        }
        return letters;
    }

    private LineFileException wrong() {
        return new LineFileException(
                line, 1, "An order of parts is written like ABA, A2B or (AB)2C, was \"" + text + "\".");
    }

    private List<String> group(int depth) {
        if (depth > DEEPEST) {
            throw wrong();
        }
        List<String> letters = new ArrayList<>();
        while (at < text.length() && text.charAt(at) != ')') {
            List<String> one;
            if (text.charAt(at) == '(') {
                at++;
                one = group(depth + 1);
                if (at >= text.length()) {
                    throw wrong();
                }
                at++;
            } else if (Character.isLetter(text.charAt(at))) {
                one = List.of(text.substring(at, at + 1));
                at++;
            } else {
                throw wrong();
            }
            int times = times();
            if (letters.size() + one.size() * times > Part.MOST_STRETCHES) {
                throw new LineFileException(line, 1, "An order of parts has at most " + Part.MOST_STRETCHES + ".");
            }
            for (int i = 0; i < times; i++) {
                letters.addAll(one);
            }
        }
        return letters;
    }

    private int times() {
        int from = at;
        while (at < text.length() && Character.isDigit(text.charAt(at))) {
            at++;
        }
        if (from == at) {
            return 1;
        }
        int times = at - from > 2 ? 0 : Integer.parseInt(text.substring(from, at));
        if (times < 1 || times > MOST_TIMES) {
            throw wrong();
        }
        return times;
    }
}
