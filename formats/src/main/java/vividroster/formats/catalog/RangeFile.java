package vividroster.formats.catalog;

import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;
import vividroster.core.instrument.HomeOctave;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.Ranges;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;

/**
 * How far each instrument goes, by stage, and the octave it reads a book in: {@code ranges.csv}, written pitches, one
 * instrument a row. The home octave is given by the note where everybody's first five begin, {@code concert} as the
 * book writes it.
 */
public final class RangeFile {

    private RangeFile() {}

    /** By instrument code, in score order. */
    public static Map<InstrumentCode, Ranges> shipped() {
        Map<InstrumentCode, Ranges> ranges = new LinkedHashMap<>();
        InstrumentCatalog catalog = InstrumentCatalogFile.shipped();
        CatalogRows.of("ranges.csv")
                .forEach(row -> ranges.put(
                        new InstrumentCode(row.get("instrument")),
                        new Ranges(
                                home(row, catalog),
                                Range.parse(row.get("beginner")),
                                Range.parse(row.get("first year")),
                                Range.parse(row.get("full")))));
        return ranges;
    }

    private static HomeOctave home(CSVRecord row, InstrumentCatalog catalog) {
        return row.get("home").isEmpty()
                ? HomeOctave.AS_WRITTEN
                : HomeOctave.of(
                        Pitch.named(row.get("concert")),
                        Pitch.named(row.get("home")),
                        catalog.withCode(new InstrumentCode(row.get("instrument")))
                                .transposition());
    }
}
