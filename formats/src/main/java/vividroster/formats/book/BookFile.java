package vividroster.formats.book;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividroster.core.curriculum.BookTable;
import vividroster.core.curriculum.BookTable.Column;
import vividroster.core.curriculum.BookTable.Line;
import vividroster.core.curriculum.BookTable.Row;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.text.Wording;
import vividroster.formats.csv.CsvSheet;
import vividroster.formats.csv.CsvTable;
import vividroster.formats.csv.UnreadableFileException;

/**
 * The facts of a book's lines as CSV, or as pasted from a spreadsheet. With a heading row columns may come in any order, and
 * what is new for an instrument stands in a column of that instrument's name; without one the order is page, number, title,
 * key, meter, measures, tempo.
 */
public final class BookFile {

    private static final Map<String, Column> HEADINGS = Map.ofEntries(
            Map.entry("page", Column.PAGE),
            Map.entry("pages", Column.PAGE),
            Map.entry("p", Column.PAGE),
            Map.entry("number", Column.NUMBER),
            Map.entry("no", Column.NUMBER),
            Map.entry("line", Column.NUMBER),
            Map.entry("lines", Column.NUMBER),
            Map.entry("title", Column.TITLE),
            Map.entry("name", Column.TITLE),
            Map.entry("key", Column.KEY),
            Map.entry("concert key", Column.KEY),
            Map.entry("meter", Column.METER),
            Map.entry("time", Column.METER),
            Map.entry("time signature", Column.METER),
            Map.entry("measures", Column.MEASURES),
            Map.entry("bars", Column.MEASURES),
            Map.entry("tempo", Column.TEMPO),
            Map.entry("bpm", Column.TEMPO));

    private static final List<Column> USUAL =
            List.of(Column.PAGE, Column.NUMBER, Column.TITLE, Column.KEY, Column.METER, Column.MEASURES, Column.TEMPO);

    private BookFile() {}

    /** @param ignoredHeadings columns that are none of a book's */
    public record Read(List<Row> rows, List<String> ignoredHeadings, Optional<String> notice) {}

    /** @throws UnreadableFileException with a sentence, when no row can be told */
    public static Read read(byte[] bytes, InstrumentCatalog catalog) throws UnreadableFileException {
        CsvTable table = CsvTable.read(bytes, "book");
        if (table.rows().isEmpty()) {
            throw new UnreadableFileException("Nothing was pasted; a row holds page, number and title of a line.");
        }
        List<String> ignored = new ArrayList<>();
        Layout layout = Layout.of(table.rows().getFirst(), ignored, catalog);
        List<Row> rows = table.rows().stream()
                .skip(layout.headed() ? 1 : 0)
                .map(layout::row)
                .toList();
        if (rows.isEmpty()) {
            throw new UnreadableFileException("There is a heading row but no line below it.");
        }
        if (rows.size() > BookTable.MOST_LINES) {
            throw new UnreadableFileException("There are more than " + BookTable.MOST_LINES
                    + " rows. Take a book in parts; nothing was changed.");
        }
        return new Read(rows, List.copyOf(ignored), table.notice());
    }

    /** A file that {@link #read} reads back to the same lines; in the order of the book. */
    public static String write(List<Line> lines, InstrumentCatalog catalog) {
        List<Instrument> instruments = catalog.inScoreOrder().stream()
                .filter(i -> BookTable.instruments(lines).contains(i.code()))
                .toList();
        List<String> heading =
                new ArrayList<>(List.of("page", "number", "title", "concert key", "meter", "measures", "tempo"));
        instruments.forEach(instrument -> heading.add(instrument.name()));
        return CsvSheet.of(
                heading,
                lines.stream()
                        .sorted(Comparator.comparingInt(Line::number))
                        .map(line -> cells(line, instruments))
                        .toList());
    }

    private static List<String> cells(Line line, List<Instrument> instruments) {
        List<String> cells = new ArrayList<>(List.of(
                String.valueOf(line.page()),
                String.valueOf(line.number()),
                line.title(),
                line.key().name(),
                line.meter().toString(),
                String.valueOf(line.measures()),
                String.valueOf(line.tempo().value())));
        instruments.forEach(instrument -> cells.add(line.news().getOrDefault(instrument.code(), "")));
        return cells;
    }

    private record Layout(boolean headed, Map<Column, Integer> at, Map<Integer, InstrumentCode> news) {

        static Layout of(CsvTable.Row first, List<String> ignored, InstrumentCatalog catalog)
                throws UnreadableFileException {
            Map<Column, Integer> at = new EnumMap<>(Column.class);
            Map<Integer, InstrumentCode> news = new HashMap<>();
            List<String> others = new ArrayList<>();
            for (int i = 0; i < first.cells().size(); i++) {
                String folded = Wording.fold(first.cell(i)).replaceFirst("^new ", "");
                Column column = HEADINGS.get(folded);
                int place = i;
                if (column != null) {
                    if (at.putIfAbsent(column, i) != null) {
                        throw new UnreadableFileException("Two columns are headed \"" + first.cell(i)
                                + "\". Keep one of them; nothing was changed.");
                    }
                } else if (!folded.isEmpty()) {
                    catalog.spelled(folded)
                            .ifPresentOrElse(
                                    instrument -> news.put(place, instrument.code()),
                                    () -> others.add(first.cell(place)));
                }
            }
            if (at.isEmpty()) {
                for (int i = 0; i < USUAL.size(); i++) {
                    at.put(USUAL.get(i), i);
                }
                return new Layout(false, at, Map.of());
            }
            ignored.addAll(others);
            return new Layout(true, at, news);
        }

        Row row(CsvTable.Row read) {
            Map<InstrumentCode, String> words = new LinkedHashMap<>();
            news.forEach((place, instrument) -> words.put(instrument, read.cell(place)));
            words.values().removeIf(String::isBlank);
            return new Row(
                    read.line(),
                    cell(read, Column.PAGE),
                    cell(read, Column.NUMBER),
                    cell(read, Column.TITLE),
                    cell(read, Column.KEY),
                    cell(read, Column.METER),
                    cell(read, Column.MEASURES),
                    cell(read, Column.TEMPO),
                    words);
        }

        private String cell(CsvTable.Row read, Column column) {
            return at.containsKey(column) ? read.cell(at.get(column)) : "";
        }
    }
}
