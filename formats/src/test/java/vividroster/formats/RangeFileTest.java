package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.Ranges;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.catalog.RangeFile;

class RangeFileTest {

    @Test
    void everyInstrumentHasItsRanges() {
        assertThat(RangeFile.shipped().keySet())
                .containsExactlyElementsOf(InstrumentCatalogFile.shipped().inScoreOrder().stream()
                        .map(Instrument::code)
                        .toList());
    }

    @Test
    void aBeginnerOnAPitchedInstrumentHasFiveNotesAtLeast() {
        RangeFile.shipped().forEach((code, ranges) -> {
            if (InstrumentCatalogFile.shipped().withCode(code).pitched()) {
                assertThat(semitones(ranges)).as(code).isGreaterThanOrEqualTo(9);
            }
        });
    }

    private static int semitones(Ranges ranges) {
        return ranges.beginner().high().midi() - ranges.beginner().low().midi();
    }
}
