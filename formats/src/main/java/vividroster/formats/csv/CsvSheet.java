package vividroster.formats.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A table as CSV text for a spreadsheet: UTF-8 with byte order mark, comma separated, CRLF. */
public final class CsvSheet {

    private CsvSheet() {}

    /** Cells that a spreadsheet would run as a formula are made plain text with a leading apostrophe. */
    public static String of(List<String> heading, List<List<String>> rows) {
        StringBuilder out = new StringBuilder("\uFEFF");
        try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
            printer.printRecord(heading.stream().map(CsvSheet::harmless).toList());
            for (List<String> row : rows) {
                printer.printRecord(row.stream().map(CsvSheet::harmless).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static String harmless(String cell) {
        return !cell.isEmpty() && "=+-@\t\r".indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }
}
