package vividroster.server.demo;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** The demo scenario's data files. */
final class DemoFiles {

    private static final CSVFormat FORMAT =
            CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).get();

    private DemoFiles() {}

    static List<CSVRecord> rows(String name) {
        try (Reader reader = new InputStreamReader(
                Objects.requireNonNull(DemoFiles.class.getResourceAsStream("/demo/" + name + ".csv"), name),
                StandardCharsets.UTF_8)) {
            return FORMAT.parse(reader).getRecords();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static List<String> split(String cell) {
        return cell.isBlank() ? List.of() : List.of(cell.split("\\|"));
    }
}
