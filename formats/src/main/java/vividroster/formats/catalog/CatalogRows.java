package vividroster.formats.catalog;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** The catalog's tables as they ship. */
final class CatalogRows {

    private CatalogRows() {}

    static List<CSVRecord> of(String file) {
        try (Reader reader = new InputStreamReader(
                Objects.requireNonNull(CatalogRows.class.getResourceAsStream("/vividroster/catalog/" + file)),
                StandardCharsets.UTF_8)) {
            return CSVFormat.DEFAULT
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(reader)
                    .getRecords();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
