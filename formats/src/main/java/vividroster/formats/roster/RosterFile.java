package vividroster.formats.roster;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vividroster.core.roster.RosterColumn;
import vividroster.core.roster.RosterRow;
import vividroster.core.text.Wording;
import vividroster.formats.csv.CsvSheet;
import vividroster.formats.csv.CsvTable;
import vividroster.formats.csv.UnreadableFileException;

/**
 * A roster as a CSV file: comma, semicolon or tab separated, quoted or not, UTF-8, UTF-16 or Windows Western, with a
 * heading row. Columns may come in any order and under the usual headings; others are ignored and named.
 */
public final class RosterFile {

    public static final int MOST_BYTES = CsvTable.MOST_BYTES;
    public static final int MOST_ROWS = CsvTable.MOST_ROWS;

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
        CsvTable table = CsvTable.read(bytes, "roster");
        if (table.rows().isEmpty()) {
            throw new UnreadableFileException(
                    "The file is empty. It needs a heading row (name, class, instrument) and a"
                            + " row for each student.");
        }
        List<String> ignored = new ArrayList<>();
        Layout layout = Layout.of(table.rows().getFirst(), ignored);
        List<RosterRow> rows = table.rows().stream().skip(1).map(layout::row).toList();
        if (rows.isEmpty()) {
            throw new UnreadableFileException("The file has its heading row but no students below it.");
        }
        return new Read(
                rows,
                table.separator(),
                List.copyOf(ignored),
                table.notice().stream().toList());
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

    /** Where each column stands; a name may also come in two columns, first and last. */
    private record Layout(Map<RosterColumn, Integer> at, OptionalInt firstName, OptionalInt lastName) {

        static Layout of(CsvTable.Row heading, List<String> ignored) throws UnreadableFileException {
            Map<RosterColumn, Integer> at = new EnumMap<>(RosterColumn.class);
            OptionalInt first = OptionalInt.empty();
            OptionalInt last = OptionalInt.empty();
            for (int i = 0; i < heading.cells().size(); i++) {
                String folded = Wording.fold(heading.cell(i));
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
                    ignored.add(heading.cell(i));
                }
            }
            boolean named = at.containsKey(RosterColumn.NAME) || (first.isPresent() && last.isPresent());
            List<String> missing = Stream.of(RosterColumn.NAME, RosterColumn.CLASS, RosterColumn.INSTRUMENT)
                    .filter(column -> column == RosterColumn.NAME ? !named : !at.containsKey(column))
                    .map(RosterColumn::heading)
                    .toList();
            if (!missing.isEmpty()) {
                throw new UnreadableFileException("The heading row (line " + heading.line() + ") has no column for "
                        + missing.stream().map(m -> "\"" + m + "\"").collect(Collectors.joining(" and "))
                        + ". A roster needs name, class and instrument; division, start date and student number may"
                        + " follow. Nothing was changed.");
            }
            return new Layout(at, first, last);
        }

        RosterRow row(CsvTable.Row record) {
            String name = Optional.of(cell(record, RosterColumn.NAME))
                    .filter(n -> !n.isBlank())
                    .orElseGet(() -> familyFirst(record));
            return new RosterRow(
                    record.line(),
                    name,
                    cell(record, RosterColumn.STUDENT_NUMBER),
                    cell(record, RosterColumn.CLASS),
                    cell(record, RosterColumn.INSTRUMENT),
                    cell(record, RosterColumn.DIVISION),
                    cell(record, RosterColumn.START_DATE));
        }

        private String familyFirst(CsvTable.Row record) {
            String first = firstName.isPresent() ? record.cell(firstName.getAsInt()) : "";
            String last = lastName.isPresent() ? record.cell(lastName.getAsInt()) : "";
            return first.isBlank() || last.isBlank() ? first + last : last + ", " + first;
        }

        private String cell(CsvTable.Row record, RosterColumn column) {
            Integer index = at.get(column);
            return index == null ? "" : record.cell(index);
        }
    }
}
