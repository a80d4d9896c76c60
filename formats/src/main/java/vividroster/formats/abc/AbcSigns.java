package vividroster.formats.abc;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Measure;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;
import vividroster.core.music.Signs.Until;

/** Bar lines, brackets and jumps on their way to the measures they belong to. */
final class AbcSigns {

    private static final Pattern BAR =
            Pattern.compile("(?:::|:\\|:|\\|:|:\\|+|\\[\\||\\|\\||\\|\\]|\\||\\[(?=\\d))(?:(\\[)?(\\d[\\d,-]*))?");

    /** For the measure that comes next. */
    private boolean forward;

    private Set<Integer> ending = Set.of();
    private Optional<String> segno = Optional.empty();
    private Optional<String> coda = Optional.empty();
    /** For the measure being read. */
    private Optional<String> toCoda = Optional.empty();

    private boolean fine;
    private Optional<Jump> jump = Optional.empty();
    private boolean lastClosed;

    /** Letters of the bar line that begins a text, with the number of a bracket behind it; 0 when none does. */
    static int barLength(String text) {
        Matcher m = BAR.matcher(text);
        return m.lookingAt() ? m.end() : 0;
    }

    /** @throws IllegalArgumentException for a decoration that is none */
    void decoration(String name) {
        switch (name.toLowerCase().replaceAll("[ .]", "")) {
            case "segno" -> segno = Optional.of("");
            case "coda" -> coda = Optional.of("");
            case "tocoda" -> toCoda = Optional.of("");
            case "fine" -> fine = true;
            case "dc", "dacapo" -> jump = Optional.of(Jump.daCapo(Until.END));
            case "dcalfine", "dacapoalfine" -> jump = Optional.of(Jump.daCapo(Until.FINE));
            case "dcalcoda", "dacapoalcoda" -> jump = Optional.of(Jump.daCapo(Until.CODA));
            case "ds", "dalsegno" -> jump = Optional.of(Jump.dalSegno("", Until.END));
            case "dsalfine", "dalsegnoalfine" -> jump = Optional.of(Jump.dalSegno("", Until.FINE));
            case "dsalcoda", "dalsegnoalcoda" -> jump = Optional.of(Jump.dalSegno("", Until.CODA));
            default -> throw new IllegalArgumentException("\"!" + name + "!\" is no decoration that is known here");
        }
    }

    private record Token(boolean closes, boolean opens, Set<Integer> ending) {
        static Token of(String text) {
            Matcher m = BAR.matcher(text);
            m.lookingAt();
            Set<Integer> numbers =
                    m.group(2) == null ? Set.of() : AbcVoice.numbers(m.group(2).replaceAll("[,-]$", ""));
            String bar = text.substring(0, m.group(2) == null ? text.length() : m.start(2));
            return new Token(bar.startsWith(":"), bar.startsWith("::") || bar.contains("|:"), numbers);
        }
    }

    /** Whether the measure before ended with a repeat, so that a short one may be its other half. */
    boolean afterRepeatWithin() {
        return lastClosed || forward;
    }

    /** The signs of the measure that ends with this bar; what the bar opens is kept for the next. */
    Signs take(String text) {
        Token token = Token.of(text);
        Signs signs = new Signs(forward, token.closes() ? 2 : 0, ending, false, segno, coda, toCoda, fine, jump);
        forward = token.opens();
        ending = token.ending();
        segno = Optional.empty();
        coda = Optional.empty();
        toCoda = Optional.empty();
        fine = false;
        jump = Optional.empty();
        lastClosed = token.closes();
        return signs;
    }

    /** A second bar line behind the same measure. */
    Signs more(Signs had, String text) {
        Token token = Token.of(text);
        forward |= token.opens();
        ending = token.ending().isEmpty() ? ending : token.ending();
        Signs late = new Signs(
                false, token.closes() ? 2 : 0, Set.of(), false, Optional.empty(), Optional.empty(), toCoda, fine, jump);
        toCoda = Optional.empty();
        fine = false;
        jump = Optional.empty();
        return had.with(late);
    }

    /** A bar line before the first note. */
    void before(String text) {
        Token token = Token.of(text);
        forward |= token.opens();
        ending = token.ending().isEmpty() ? ending : token.ending();
    }

    /**
     * Brackets end where ABC ends them: at a closing repeat, before the next bracket, or with the last one's own
     * measure; and a bracket asks for as many plays as its highest number.
     */
    List<Measure> closed(List<Measure> measures) {
        List<Measure> all = new ArrayList<>(measures);
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).signs().endingBegins().isEmpty()) {
                continue;
            }
            int last = i;
            while (last + 1 < all.size()
                    && !all.get(last).signs().closesRepeat()
                    && all.get(last + 1).signs().endingBegins().isEmpty()
                    && hasRepeatBefore(all, last + 1)) {
                last++;
            }
            Signs s = all.get(last).signs();
            all.set(
                    last,
                    all.get(last)
                            .withSigns(new Signs(
                                    s.forwardRepeat(),
                                    s.repeatTimes(),
                                    s.endingBegins(),
                                    true,
                                    s.segno(),
                                    s.coda(),
                                    s.toCoda(),
                                    s.fine(),
                                    s.jump())));
        }
        return all;
    }

    /** Whether a closing repeat comes before any new strain, so that a first bracket may be longer than a measure. */
    private static boolean hasRepeatBefore(List<Measure> all, int from) {
        for (int i = from; i < all.size(); i++) {
            if (all.get(i).signs().forwardRepeat()
                    || !all.get(i).signs().endingBegins().isEmpty()) {
                return false;
            }
            if (all.get(i).signs().closesRepeat()) {
                return true;
            }
        }
        return false;
    }
}
