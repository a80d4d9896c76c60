package vividroster.formats.roster;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import vividroster.core.roster.RosterColumn;
import vividroster.core.roster.RosterRow;
import vividroster.core.text.Wording;
import vividroster.formats.csv.CsvSheet;

/**
 * A roster as a CSV file: comma, semicolon or tab separated, quoted or not, UTF-8, UTF-16 or Windows Western, with a
 * heading row. Columns may come in any order and under the usual headings; others are ignored and named.
 */
public final class RosterFile {

    public static final int MOST_BYTES = 5 * 1024 * 1024;
    public static final int MOST_ROWS = 20_000;

    private static final Map<String, RosterColumn> HEADINGS = Map.ofEntries(
            Map.entry("name", RosterColumn.NAME),
            Map.entry("student", RosterColumn.NAME),
            Map.entry("student name", RosterColumn.NAME),
            Map.entry("full name", RosterColumn.NAME),
            Map.entry("class", RosterColumn.CLASS),
            Map.entry("class name", RosterColumn.CLASS),
            Map.entry("course", RosterColumn.CLASS),
            Map.entry("ensemble", RosterColumn.CLASS),
            Map.entry("instrument", RosterColumn.INSTRUMENT),
            Map.entry("division", RosterColumn.DIVISION),
            Map.entry("part", RosterColumn.DIVISION),
            Map.entry("start date", RosterColumn.START_DATE),
            Map.entry("start", RosterColumn.START_DATE),
            Map.entry("starts on", RosterColumn.START_DATE),
            Map.entry("student number", RosterColumn.STUDENT_NUMBER),
            Map.entry("student id", RosterColumn.STUDENT_NUMBER),
            Map.entry("number", RosterColumn.STUDENT_NUMBER),
            Map.entry("id", RosterColumn.STUDENT_NUMBER));

    private RosterFile() {}

    /**
     * @param separator what separates the cells, as a word
     * @param ignoredHeadings columns the file has and a roster does not use
     * @param notices what the reader should know about how the file was read
     */
    public record Read(List<RosterRow> rows, String separator, List<String> ignoredHeadings, List<String> notices) {}

    /** @throws UnreadableFileException with a sentence, when no row can be told */
    public static Read read(byte[] bytes) throws UnreadableFileException {
        if (bytes.length > MOST_BYTES) {
            throw new UnreadableFileException("The file is larger than 5 MB, more than any school's roster. Choose the"
                    + " CSV with the student list only; nothing was changed.");
        }
        TextSniffer.Decoded decoded = TextSniffer.decode(bytes);
        if (decoded.text().isBlank()) {
            throw new UnreadableFileException(
                    "The file is empty. It needs a heading row (name, class, instrument) and a"
                            + " row for each student.");
        }
        unclosedQuote(decoded.text());
        char separator = separatorOf(decoded.text());
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .setIgnoreSurroundingSpaces(true)
                .get();
        List<RosterRow> rows = new ArrayList<>();
        List<String> ignored = new ArrayList<>();
        try (CSVParser parser = format.parse(new StringReader(decoded.text()))) {
            var records = parser.iterator();
            Layout layout = Layout.of(records.next(), ignored);
            Lines lines = new Lines(decoded.text());
            while (records.hasNext()) {
                CSVRecord record = records.next();
                if (Stream.of(record.values()).allMatch(String::isBlank)) {
                    continue;
                }
                if (rows.size() == MOST_ROWS) {
                    throw new UnreadableFileException("The file has more than " + MOST_ROWS
                            + " rows. Split it and take the parts one after another; nothing was changed.");
                }
                rows.add(layout.row(record, lines.at(record.getCharacterPosition())));
            }
        } catch (IOException | UncheckedIOException e) {
            throw new UnreadableFileException("A quoted cell is written wrongly: after its closing quote mark something"
                    + " other than the separator follows. " + lineIn(e) + "Nothing was changed.");
        }
        if (rows.isEmpty()) {
            throw new UnreadableFileException("The file has its heading row but no students below it.");
        }
        return new Read(
                List.copyOf(rows),
                word(separator),
                List.copyOf(ignored),
                decoded.notice().stream().toList());
    }

    /** A file that {@link #read} reads back to the same rows; line numbers are not looked at. */
    public static String write(List<RosterRow> rows) {
        return CsvSheet.of(
                List.of("name", "class", "instrument", "division", "start date", "student number"),
                rows.stream()
                        .map(row -> List.of(
                                row.name(),
                                row.className(),
                                row.instrument(),
                                row.division(),
                                row.startDate(),
                                row.studentNumber()))
                        .toList());
    }

    private static String lineIn(Exception e) {
        var found = java.util.regex.Pattern.compile("line:? *(\\d+)").matcher(String.valueOf(e.getMessage()));
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

    /** Where each column stands; a name may also come in two columns, first and last. */
    private record Layout(Map<RosterColumn, Integer> at, OptionalInt firstName, OptionalInt lastName) {

        static Layout of(CSVRecord heading, List<String> ignored) throws UnreadableFileException {
            Map<RosterColumn, Integer> at = new EnumMap<>(RosterColumn.class);
            OptionalInt first = OptionalInt.empty();
            OptionalInt last = OptionalInt.empty();
            for (int i = 0; i < heading.size(); i++) {
                String folded = Wording.fold(heading.get(i));
                RosterColumn column = HEADINGS.get(folded);
                if (column != null) {
                    if (at.putIfAbsent(column, i) != null) {
                        throw new UnreadableFileException("Two columns are headed as the " + column.heading()
                                + ". Keep one of them and choose the file again; nothing was changed.");
                    }
                } else if (folded.equals("first name") || folded.equals("given name")) {
                    first = OptionalInt.of(i);
                } else if (folded.equals("last name") || folded.equals("family name")) {
                    last = OptionalInt.of(i);
                } else if (!folded.isEmpty()) {
                    ignored.add(heading.get(i));
                }
            }
            boolean named = at.containsKey(RosterColumn.NAME) || (first.isPresent() && last.isPresent());
            List<String> missing = Stream.of(RosterColumn.NAME, RosterColumn.CLASS, RosterColumn.INSTRUMENT)
                    .filter(column -> column == RosterColumn.NAME ? !named : !at.containsKey(column))
                    .map(RosterColumn::heading)
                    .toList();
            if (!missing.isEmpty()) {
                throw new UnreadableFileException(
                        "The heading row (line " + heading.getRecordNumber() + ") has no column for "
                                + missing.stream().map(m -> "\"" + m + "\"").collect(Collectors.joining(" and "))
                                + ". A roster needs name, class and instrument; division, start date and student number may"
                                + " follow. Nothing was changed.");
            }
            return new Layout(at, first, last);
        }

        RosterRow row(CSVRecord record, int line) {
            String name = Optional.of(cell(record, RosterColumn.NAME))
                    .filter(n -> !n.isBlank())
                    .orElseGet(() -> familyFirst(record));
            return new RosterRow(
                    line,
                    name,
                    cell(record, RosterColumn.STUDENT_NUMBER),
                    cell(record, RosterColumn.CLASS),
                    cell(record, RosterColumn.INSTRUMENT),
                    cell(record, RosterColumn.DIVISION),
                    cell(record, RosterColumn.START_DATE));
        }

        private String familyFirst(CSVRecord record) {
            String first = firstName.isPresent() ? cell(record, firstName.getAsInt()) : "";
            String last = lastName.isPresent() ? cell(record, lastName.getAsInt()) : "";
            return first.isBlank() || last.isBlank() ? first + last : last + ", " + first;
        }

        private String cell(CSVRecord record, RosterColumn column) {
            Integer index = at.get(column);
            return index == null ? "" : cell(record, index);
        }

        private static String cell(CSVRecord record, int index) {
            return index < record.size() ? record.get(index) : "";
        }
    }
}
