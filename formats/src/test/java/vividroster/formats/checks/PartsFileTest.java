package vividroster.formats.checks;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.InstrumentCode;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.checks.PartsFile.Part;
import vividroster.formats.checks.PartsFile.Parts;

class PartsFileTest {

    private static final Map<InstrumentCode, Parts> PARTS = PartsFile.shipped();

    @Test
    void everyInstrumentHasItsPartsOnOneOfNineDrawings() {
        for (Instrument instrument : InstrumentCatalogFile.shipped().inScoreOrder()) {
            assertThat(PARTS).as(instrument.name()).containsKey(instrument.code());
            assertThat(PARTS.get(instrument.code()).parts())
                    .as(instrument.name())
                    .hasSizeBetween(7, 10);
            assertThat(PARTS.get(instrument.code()).parts())
                    .as(instrument.name())
                    .extracting(Part::name)
                    .doesNotHaveDuplicates();
        }
        assertThat(PARTS.values().stream().map(Parts::kind).distinct()).hasSize(9);
    }

    @Test
    void whatIsNeverTouchedIsAmongThem() {
        assertThat(PARTS.get(new InstrumentCode("violin")).parts())
                .filteredOn(Part::never)
                .extracting(Part::name)
                .containsExactly("peg", "bridge", "fine tuner");
        assertThat(PARTS.get(new InstrumentCode("double-bass")).parts())
                .extracting(Part::number)
                .as("no fine tuner")
                .doesNotContain(7);
    }
}
