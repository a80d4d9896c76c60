package vividroster.formats.catalog;

import java.util.Arrays;
import java.util.List;
import org.apache.commons.csv.CSVRecord;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Transposition;

/** The instrument catalog as it ships: {@code instruments.csv}, one instrument a row. */
public final class InstrumentCatalogFile {

    private InstrumentCatalogFile() {}

    public static InstrumentCatalog shipped() {
        return new InstrumentCatalog(CatalogRows.of("instruments.csv").stream()
                .map(InstrumentCatalogFile::instrument)
                .toList());
    }

    private static Instrument instrument(CSVRecord row) {
        List<String> aliases = Arrays.stream(row.get("aliases").split("\\|"))
                .filter(alias -> !alias.isBlank())
                .toList();
        return new Instrument(
                new InstrumentCode(row.get("code")),
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
