package vividroster.formats.score;

/** A line in a file or typed that cannot be taken: a sentence for whoever sent it, and where it stands. */
public final class LineFileException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;
    private static final int LONGEST = 400;

    private final int line;
    private final int column;

    /** @param line and column from 1; 0 where the place is not known, as for a whole file */
    public LineFileException(int line, int column, String sentence) {
        super(shortened(sentence));
        this.line = line;
        this.column = column;
    }

    public LineFileException(int line, int column, String sentence, Exception cause) {
        super(shortened(sentence), cause);
        this.line = line;
        this.column = column;
    }

    /** What was sent is not sent back whole. */
    private static String shortened(String sentence) {
        return sentence.length() > LONGEST ? sentence.substring(0, LONGEST) + "…" : sentence;
    }

    /** Of a whole file. */
    public LineFileException(String sentence) {
        this(0, 0, sentence);
    }

    public int line() {
        return line;
    }

    public int column() {
        return column;
    }

    /** For example "line 3, column 7"; empty where the place is not known. */
    public String place() {
        return line < 1 ? "" : "line " + line + ", column " + column;
    }

    /** A rule's message as a sentence: begun large and closed with a full stop. */
    public static String sentence(RuntimeException e) {
        String rule =
                e.getMessage() == null || e instanceof NumberFormatException ? "This cannot be read" : e.getMessage();
        return Character.toUpperCase(rule.charAt(0)) + rule.substring(1) + (rule.endsWith(".") ? "" : ".");
    }
}
