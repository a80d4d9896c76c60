package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.LineFault;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.formats.catalog.InstrumentCatalogFile;

class LineFaultsTest {

    private static final InstrumentCatalog CATALOG = InstrumentCatalogFile.shipped();

    private static Instrument instrument(String code) {
        return CATALOG.withCode(new InstrumentCode(code));
    }

    @Test
    void everyInstrumentHasAtMostNineSoThatEachHasADigit() {
        for (Instrument instrument : CATALOG.inScoreOrder()) {
            for (boolean signs : new boolean[] {true, false}) {
                assertThat(LineFault.of(instrument, signs))
                        .as(instrument.name())
                        .hasSizeBetween(5, 9)
                        .doesNotHaveDuplicates()
                        .contains(LineFault.RHYTHM, LineFault.STOPS);
            }
        }
    }

    @Test
    void theyBelongToTheInstrument() {
        Instrument unpitched = CATALOG.inScoreOrder().stream()
                .filter(instrument -> !instrument.pitched())
                .findFirst()
                .orElseThrow();
        assertThat(LineFault.of(instrument("trombone"), true)).contains(LineFault.SLIDE, LineFault.KEY_FORGOTTEN);
        assertThat(LineFault.of(instrument("violin"), false))
                .contains(LineFault.BOWING, LineFault.ACCIDENTAL_FORGOTTEN)
                .doesNotContain(LineFault.BREATH, LineFault.KEY_FORGOTTEN);
        assertThat(LineFault.of(unpitched, true))
                .contains(LineFault.STICKING)
                .doesNotContain(LineFault.WRONG_NOTES, LineFault.KEY_FORGOTTEN);
    }
}
