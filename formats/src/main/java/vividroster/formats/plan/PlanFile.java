package vividroster.formats.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import vividroster.formats.csv.CsvSheet;
import vividroster.formats.csv.CsvTable;
import vividroster.formats.csv.UnreadableFileException;

/**
 * The plan of a class as a table, by names and teaching weeks, so that it can be laid onto another year or another school.
 * Weeks are the class's teaching weeks, counted from 1.
 */
public final class PlanFile {

    public static final int MOST_ROWS = 5_000;

    private static final List<String> HEADING = List.of(
            "kind",
            "book",
            "line",
            "title",
            "sections",
            "value",
            "essential",
            "minutes",
            "heard alone",
            "not before week",
            "by week",
            "weeks to spare",
            "week",
            "pinned");

    /**
     * One thing of a plan.
     *
     * @param row in the file, from 1; 0 where it is of no file
     * @param kind LINE, TECHNIQUE_CHECK, PLAYING_TEST, BELT, PIECE or CATCH_UP
     * @param book title and volume of a line's book; empty for others
     * @param line number of a line; 0 for others
     * @param sections codes of instruments or families, with a division after a slash; empty for everybody
     * @param notBefore empty for any week
     * @param week empty while it stands nowhere
     */
    public record Row(
            int row,
            String kind,
            String book,
            int line,
            String title,
            List<String> sections,
            int value,
            boolean essential,
            int minutes,
            boolean heardAlone,
            Optional<Integer> notBefore,
            Optional<Integer> by,
            int weeksToSpare,
            Optional<Integer> week,
            boolean pinned) {

        public Row {
            sections = List.copyOf(sections);
        }
    }

    private PlanFile() {}

    public static String csv(List<Row> rows) {
        return CsvSheet.of(
                HEADING,
                rows.stream()
                        .map(row -> List.of(
                                row.kind(),
                                row.book(),
                                row.line() == 0 ? "" : String.valueOf(row.line()),
                                row.title(),
                                String.join("; ", row.sections()),
                                String.valueOf(row.value()),
                                yes(row.essential()),
                                String.valueOf(row.minutes()),
                                yes(row.heardAlone()),
                                number(row.notBefore()),
                                number(row.by()),
                                String.valueOf(row.weeksToSpare()),
                                number(row.week()),
                                yes(row.pinned())))
                        .toList());
    }

    private static String yes(boolean is) {
        return is ? "yes" : "no";
    }

    private static String number(Optional<Integer> week) {
        return week.map(String::valueOf).orElse("");
    }

    /**
     * @throws UnreadableFileException with a sentence that names the row, where a cell cannot be read; a column that is
     *     missing counts as empty, but for kind and title
     */
    public static List<Row> readCsv(byte[] bytes) throws UnreadableFileException {
        CsvTable table = CsvTable.read(bytes, "plan");
        if (table.rows().isEmpty()) {
            throw new UnreadableFileException("The file holds no row.");
        }
        Map<String, Integer> columns = new HashMap<>();
        List<String> first = table.rows().getFirst().cells();
        for (int i = 0; i < first.size(); i++) {
            columns.putIfAbsent(first.get(i).strip().toLowerCase(Locale.ROOT), i);
        }
        if (!columns.containsKey("kind") || !columns.containsKey("title")) {
            throw new UnreadableFileException("The first row names the columns: at least kind and title.");
        }
        if (table.rows().size() - 1 > MOST_ROWS) {
            throw new UnreadableFileException("A plan holds at most " + MOST_ROWS + " things.");
        }
        List<Row> rows = new ArrayList<>();
        for (CsvTable.Row row : table.rows().subList(1, table.rows().size())) {
            rows.add(new Cells(row, columns).read());
        }
        return rows;
    }

    private record Cells(CsvTable.Row row, Map<String, Integer> columns) {

        Row read() throws UnreadableFileException {
            return new Row(
                    row.line(),
                    text("kind").toUpperCase(Locale.ROOT).replace(' ', '_'),
                    text("book"),
                    number("line", 100_000).orElse(0),
                    text("title"),
                    sections(),
                    number("value", 100_000).orElse(-1),
                    is("essential"),
                    number("minutes", 600).orElse(-1),
                    is("heard alone"),
                    number("not before week", 60),
                    number("by week", 60),
                    number("weeks to spare", 60).orElse(0),
                    number("week", 60),
                    is("pinned"));
        }

        private String text(String column) {
            Integer at = columns.get(column);
            String cell = at == null ? "" : row.cell(at).strip();
            return cell.startsWith("'") ? cell.substring(1) : cell;
        }

        private List<String> sections() {
            String cell = text("sections");
            return cell.isEmpty() ? List.of() : List.of(cell.split("\\s*;\\s*"));
        }

        private boolean is(String column) throws UnreadableFileException {
            return switch (text(column).toLowerCase(Locale.ROOT)) {
                case "", "no" -> false;
                case "yes" -> true;
                default -> throw wrong(column, "is yes or no");
            };
        }

        private Optional<Integer> number(String column, int most) throws UnreadableFileException {
            String cell = text(column);
            if (cell.isEmpty()) {
                return Optional.empty();
            }
            try {
                int number = Integer.parseInt(cell);
                if (number < 0 || number > most) {
                    throw wrong(column, "is in 0.." + most);
                }
                return Optional.of(number);
            } catch (NumberFormatException e) {
                throw wrong(column, "is a whole number");
            }
        }

        private UnreadableFileException wrong(String column, String is) {
            String cell = text(column);
            return new UnreadableFileException("Row " + row.line() + ": \"" + column + "\" " + is + ", was \""
                    + (cell.length() > 40 ? cell.substring(0, 40) + "…" : cell) + "\".");
        }
    }
}
