package vividroster.formats.catalog;

import java.util.LinkedHashMap;
import java.util.Map;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.Ranges;

/** How far each instrument goes, by stage: {@code ranges.csv}, written pitches, one instrument a row. */
public final class RangeFile {

    private RangeFile() {}

    /** By instrument code, in score order. */
    public static Map<String, Ranges> shipped() {
        Map<String, Ranges> ranges = new LinkedHashMap<>();
        CatalogRows.of("ranges.csv")
                .forEach(row -> ranges.put(
                        row.get("instrument"),
                        new Ranges(
                                Range.parse(row.get("beginner")),
                                Range.parse(row.get("first year")),
                                Range.parse(row.get("full")))));
        return ranges;
    }
}
