package vividroster.formats.csv;

/** A file that cannot be read at all; the message is a sentence for the person who chose it. */
public final class UnreadableFileException extends Exception {

    private static final long serialVersionUID = 1L;

    public UnreadableFileException(String sentence) {
        super(sentence);
    }
}
