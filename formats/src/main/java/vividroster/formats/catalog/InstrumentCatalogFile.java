package vividroster.formats.catalog;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Transposition;

/** The instrument catalog as it ships: {@code instruments.csv}, one instrument a row. */
public final class InstrumentCatalogFile {

    private static final CSVFormat FORMAT =
            CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).get();

    private InstrumentCatalogFile() {}

    public static InstrumentCatalog shipped() {
        try (Reader reader = new InputStreamReader(
                Objects.requireNonNull(
                        InstrumentCatalogFile.class.getResourceAsStream("/vividroster/catalog/instruments.csv")),
                StandardCharsets.UTF_8)) {
            return new InstrumentCatalog(FORMAT.parse(reader).stream()
                    .map(InstrumentCatalogFile::instrument)
                    .toList());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Instrument instrument(CSVRecord row) {
        List<String> aliases = Arrays.stream(row.get("aliases").split("\\|"))
                .filter(alias -> !alias.isBlank())
                .toList();
        return new Instrument(
                row.get("code"),
                row.get("name"),
                row.get("plural"),
                Family.valueOf(row.get("family")),
                Clef.valueOf(row.get("clef")),
                new Transposition(Integer.parseInt(row.get("steps")), Integer.parseInt(row.get("semitones"))),
                Integer.parseInt(row.get("scoreRank")),
                row.get("pitched").equals("yes"),
                aliases);
    }
}
