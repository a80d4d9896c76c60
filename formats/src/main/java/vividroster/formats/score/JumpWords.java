package vividroster.formats.score;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Signs.Jump;
import vividroster.core.music.Signs.Until;

/**
 * What printed words say of the way through a line. Whole phrases count, with remarks in brackets, full stops, doubled
 * blanks, a sign or a number; ordinary text that happens to hold such a word says nothing. Source: the rules of notation.
 */
public final class JumpWords {

    private static final Pattern JUMP = Pattern.compile("(d ?c|da ?capo|d ?s|dal ?segno)( ?(\\d))?"
            + "( ?(?:e ?poi|al|alla|to|then) ?(?:the )?(fine|coda)( ?(\\d))?)?");
    private static final Pattern TO_CODA = Pattern.compile("(?:to|al|alla) ?(?:the )?coda ?(\\d)?");
    private static final Pattern CODA = Pattern.compile("coda ?(\\d)?");
    private static final Pattern SEGNO = Pattern.compile("segno ?(\\d)?");

    private JumpWords() {}

    /** What is said. */
    public sealed interface Said {
        record Jumps(Jump jump) implements Said {}

        record Fine() implements Said {}

        record ToCoda(String name) implements Said {}

        /** Here the coda begins. */
        record Coda(String name) implements Said {}

        /** Here the segno stands. */
        record Segno(String name) implements Said {}
    }

    /** Empty for words that say nothing of the way. */
    public static Optional<Said> in(String text) {
        if (text.length() > 80) {
            return Optional.empty();
        }
        String plain = text.replaceAll("\\([^)]*\\)|\\[[^\\]]*\\]", " ")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", " ")
                .strip();
        Matcher jump = JUMP.matcher(plain);
        if (jump.matches()) {
            Until until = jump.group(5) == null ? Until.END : jump.group(5).equals("fine") ? Until.FINE : Until.CODA;
            boolean capo = jump.group(1).endsWith("c") || jump.group(1).endsWith("capo");
            Jump made = capo ? Jump.daCapo(until) : Jump.dalSegno(number(jump.group(3)), until);
            return Optional.of(new Said.Jumps(until == Until.CODA ? made.toCoda(number(jump.group(7))) : made));
        }
        if (plain.equals("fine") || plain.equals("al fine")) {
            return plain.equals("fine") ? Optional.of(new Said.Fine()) : Optional.empty();
        }
        Matcher toCoda = TO_CODA.matcher(plain);
        if (toCoda.matches()) {
            return Optional.of(new Said.ToCoda(number(toCoda.group(1))));
        }
        Matcher coda = CODA.matcher(plain);
        if (coda.matches()) {
            return Optional.of(new Said.Coda(number(coda.group(1))));
        }
        Matcher segno = SEGNO.matcher(plain);
        return segno.matches() ? Optional.of(new Said.Segno(number(segno.group(1)))) : Optional.empty();
    }

    private static String number(String group) {
        return group == null ? "" : group;
    }

    /** A name a file gives a segno or coda; "" where it only says what it is. */
    public static String name(String given) {
        return given == null ? "" : given.strip().toLowerCase(Locale.ROOT).replaceFirst("^(segno|coda|yes)[ _-]*", "");
    }
}
