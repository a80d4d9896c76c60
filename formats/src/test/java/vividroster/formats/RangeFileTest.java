package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.Ranges;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.music.Spelling;
import vividroster.core.reading.Fitted;
import vividroster.core.reading.Fitted.Compass;
import vividroster.core.reading.TimedView;
import vividroster.formats.catalog.FingeringFile;
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
                assertThat(semitones(ranges)).as(code.value()).isGreaterThanOrEqualTo(9);
            }
        });
    }

    private static int semitones(Ranges ranges) {
        return ranges.beginner().high().midi() - ranges.beginner().low().midi();
    }

    /** Where the five notes of concert B-flat, or of D on strings, begin; from the table of what beginners begin on. */
    @ParameterizedTest
    @CsvSource({
        "flute,Bb4",
        "oboe,Bb4",
        "mallets,Bb4",
        "clarinet,C4",
        "bass-clarinet,C4",
        "tenor-saxophone,C4",
        "alto-saxophone,G4",
        "baritone-saxophone,G4",
        "trumpet,C4",
        "flugelhorn,C4",
        "euphonium-treble,C4",
        "baritone-treble,C4",
        "horn,F4",
        "trombone,Bb2",
        "euphonium,Bb2",
        "baritone,Bb2",
        "bassoon,Bb2",
        "tuba,Bb1",
        "violin,D4",
        "viola,D4",
        "cello,D3",
        "double-bass,D3"
    })
    void theWholeBookIsReadInOneOctave(String code, String written) {
        Instrument instrument = InstrumentCatalogFile.shipped().withCode(new InstrumentCode(code));
        Ranges ranges = RangeFile.shipped().get(new InstrumentCode(code));
        String concert = instrument.family() == Family.STRING ? "D4" : "Bb3";
        Fitted fitted = Fitted.of(
                TimedView.of(Read.abc("K:" + (concert.equals("D4") ? "D\nD E F G|A4|" : "Bb\nB, C D E|F4|"))
                        .sounding()),
                instrument.transposition(),
                ranges.home(),
                new Compass(ranges.beginner(), ranges.full()),
                Spelling.FLATS_AT_SIX);
        assertThat(fitted.part().pitches().getFirst()).isEqualTo(Pitch.named(written));
        assertThat(fitted.moves()).isEmpty();
        assertThat(fitted.outside()).isEmpty();
    }

    /** The lowest notes there are for want of a foot joint or a key; from the catalog of instruments. */
    @ParameterizedTest
    @CsvSource({"piccolo,D4", "english-horn,B3", "e-flat-clarinet,E3", "bass-clarinet,Eb3", "baritone-saxophone,A3"})
    void theLowestNoteIsTheInstruments(String code, String lowest) {
        Pitch low = Pitch.named(lowest);
        assertThat(RangeFile.shipped().get(new InstrumentCode(code)).full().low())
                .isEqualTo(low);
        FingeringChart chart = FingeringFile.shipped().get(new InstrumentCode(code));
        assertThat(chart.of(low)).isNotEmpty();
        assertThat(chart.of(low.moved(0, -1))).isEmpty();
        assertThat(chart.of(low.moved(-1, -2))).isEmpty();
    }
}
