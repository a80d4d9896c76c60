package vividroster.core.music;

/**
 * The short stable word for an instrument of the catalog, for example {@code alto-saxophone}: lower-case words with
 * hyphens. A code may be of no catalog; the edge where codes come in asks that.
 */
public record InstrumentCode(String value) implements Comparable<InstrumentCode> {

    /** @throws IllegalArgumentException when it is not lower-case words with hyphens */
    public InstrumentCode {
        if (!isWritten(value)) {
            throw new IllegalArgumentException("code must be lower-case words with hyphens, was \"" + value + "\"");
        }
    }

    /** Whether a text is written like a code. Pages make thousands of them. */
    public static boolean isWritten(String text) {
        boolean inWord = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean letter = c >= 'a' && c <= 'z';
            if (!letter && !(c == '-' && inWord)) {
                return false;
            }
            inWord = letter;
        }
        return inWord;
    }

    /** By the alphabet; score order is the catalog's. */
    @Override
    public int compareTo(InstrumentCode other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
