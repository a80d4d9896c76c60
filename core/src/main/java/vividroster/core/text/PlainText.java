package vividroster.core.text;

import java.text.Normalizer;
import java.util.Optional;

/** Text as a person typed it, in the one form in which it is kept and compared. */
public final class PlainText {

    /** The longest text of any kind, in UTF-16 units; fields set narrower limits of their own. */
    public static final int LONGEST = 20_000;

    private PlainText() {}

    /** Why a text is none. */
    public enum Fault {
        /** A control character other than a tab or the end of a line; U+0000 among them. */
        CONTROL_CHARACTER,
        /** Half of a character beyond U+FFFF, or a code point that is no character. */
        BROKEN_CHARACTER,
        TOO_LONG
    }

    /** @param longest in UTF-16 units */
    public static Optional<Fault> fault(String text, int longest) {
        if (text.length() > longest) {
            return Optional.of(Fault.TOO_LONG);
        }
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t') {
                return Optional.of(Fault.CONTROL_CHARACTER);
            }
            if (Character.isHighSurrogate(c) && i + 1 < text.length() && Character.isLowSurrogate(text.charAt(i + 1))) {
                i++;
            } else if (Character.isSurrogate(c) || c == '\uFFFE' || c == '\uFFFF') {
                return Optional.of(Fault.BROKEN_CHARACTER);
            }
        }
        return Optional.empty();
    }

    /** In composed form (NFC) and without blanks around it; what has no fault stays a text without fault. */
    public static String normal(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFC).strip();
    }
}
