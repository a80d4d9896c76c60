package vividroster.formats.csv;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table as a file or as it is pasted: comma, semicolon or tab separated, quoted or not, UTF-8, UTF-16 or Windows Western.
 * Rows that hold nothing are left out.
 *
 * @param separator what separates the cells, as a word
 * @param notice what the reader should know about how the text was read
 */
public record CsvTable(List<Row> rows, String separator, Optional<String> notice) {

    public static final int MOST_BYTES = 5 * 1024 * 1024;
    public static final int MOST_ROWS = 20_000;

    /** @param line in the file, from 1 */
    public record Row(int line, List<String> cells) {

        /** Empty where the row is shorter. */
        public String cell(int index) {
            return index < cells.size() ? cells.get(index) : "";
        }
    }

    /**
     * @param what the file should be, as a sentence names it: "roster"
     * @throws UnreadableFileException with a sentence, when no row can be told
     */
    public static CsvTable read(byte[] bytes, String what) throws UnreadableFileException {
        if (bytes.length > MOST_BYTES) {
            throw new UnreadableFileException("The file is larger than 5 MB, more than any school's " + what
                    + ". Choose the CSV with the list only; nothing was changed.");
        }
        TextSniffer.Decoded decoded = TextSniffer.decode(bytes, what);
        return of(decoded.text(), decoded.notice());
    }

    private static CsvTable of(String text, Optional<String> notice) throws UnreadableFileException {
        unclosedQuote(text);
        char separator = separatorOf(text);
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .setIgnoreSurroundingSpaces(true)
                .get();
        List<Row> rows = new ArrayList<>();
        try (CSVParser parser = format.parse(new StringReader(text))) {
            Lines lines = new Lines(text);
            for (CSVRecord record : parser) {
                if (Stream.of(record.values()).allMatch(String::isBlank)) {
                    continue;
                }
                if (rows.size() > MOST_ROWS) {
                    throw new UnreadableFileException("The file has more than " + MOST_ROWS
                            + " rows. Split it and take the parts one after another; nothing was changed.");
                }
                rows.add(new Row(lines.at(record.getCharacterPosition()), List.of(record.values())));
            }
        } catch (IOException | UncheckedIOException e) {
            throw new UnreadableFileException("A quoted cell is written wrongly: after its closing quote mark something"
                    + " other than the separator follows. " + lineIn(e) + "Nothing was changed.");
        }
        return new CsvTable(List.copyOf(rows), word(separator), notice);
    }

    private static String lineIn(Exception e) {
        var found = Pattern.compile("line:? *(\\d+)").matcher(String.valueOf(e.getMessage()));
        return found.find() ? "Look at line " + found.group(1) + ". " : "";
    }

    /** Names the line where a quote mark opens a cell and never closes. */
    private static void unclosedQuote(String text) throws UnreadableFileException {
        int line = 1;
        int openedAt = 0;
        boolean open = false;
        boolean cellStart = true;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '\n') {
                line++;
            }
            if (open) {
                open = c != '"';
            } else if (c == '"' && (cellStart || (i > 0 && text.charAt(i - 1) == '"'))) {
                open = true;
                openedAt = cellStart ? line : openedAt;
            }
            if (!open) {
                cellStart = c == ',' || c == ';' || c == '\t' || c == '\n' || c == '\r' || (cellStart && c == ' ');
            }
        }
        if (open) {
            throw new UnreadableFileException("The quote mark that opens in line " + openedAt
                    + " is never closed, so the rest of the file cannot be told apart. Close it and choose the file"
                    + " again; nothing was changed.");
        }
    }

    /** The separator that the heading row uses most. */
    private static char separatorOf(String text) {
        String heading =
                text.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
        char best = ',';
        for (char candidate : new char[] {';', '\t'}) {
            if (count(heading, candidate) > count(heading, best)) {
                best = candidate;
            }
        }
        return best;
    }

    private static long count(String text, char sought) {
        return text.chars().filter(c -> c == sought).count();
    }

    private static String word(char separator) {
        return switch (separator) {
            case ';' -> "semicolon";
            case '\t' -> "tab";
            default -> "comma";
        };
    }

    /** Line numbers of ever later places in a text. */
    private static final class Lines {
        private final String text;
        private int line = 1;
        private int at;

        Lines(String text) {
            this.text = text;
        }

        int at(long position) {
            int end = (int) Math.min(position, text.length());
            while (at < end || (at < text.length() && (text.charAt(at) == '\n' || text.charAt(at) == '\r'))) {
                if (text.charAt(at++) == '\n') {
                    line++;
                }
            }
            return line;
        }
    }
}
