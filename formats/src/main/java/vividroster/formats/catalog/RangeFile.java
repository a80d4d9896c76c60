package vividroster.formats.catalog;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.Ranges;

/** How far each instrument goes, by stage: {@code ranges.csv}, written pitches, one instrument a row. */
public final class RangeFile {

    private RangeFile() {}

    /** By instrument code, in score order. */
    public static Map<String, Ranges> shipped() {
        try (Reader reader = new InputStreamReader(
                Objects.requireNonNull(RangeFile.class.getResourceAsStream("/vividroster/catalog/ranges.csv")),
                StandardCharsets.UTF_8)) {
            Map<String, Ranges> ranges = new LinkedHashMap<>();
            CSVFormat.DEFAULT
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(reader)
                    .forEach(row -> ranges.put(
                            row.get("instrument"),
                            new Ranges(
                                    Range.parse(row.get("beginner")),
                                    Range.parse(row.get("first year")),
                                    Range.parse(row.get("full")))));
            return ranges;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
