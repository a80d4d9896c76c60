package vividroster.formats.abc;

/** Something typed that is no ABC of ours; tells where. */
public final class AbcException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;
    private final int line;
    private final int column;

    AbcException(int line, int column, String sentence) {
        super(sentence);
        this.line = line;
        this.column = column;
    }

    /** From 1. */
    public int line() {
        return line;
    }

    /** From 1. */
    public int column() {
        return column;
    }
}
