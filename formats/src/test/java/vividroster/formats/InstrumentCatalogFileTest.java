package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Spelling;
import vividroster.formats.catalog.InstrumentCatalogFile;

class InstrumentCatalogFileTest {

    private final InstrumentCatalog catalog = InstrumentCatalogFile.shipped();

    /** The written key of each instrument when the concert key is B-flat major, by the usual transpositions. */
    @ParameterizedTest
    @CsvSource({
        "flute, B-flat major",
        "oboe, B-flat major",
        "bassoon, B-flat major",
        "clarinet, C major",
        "bass-clarinet, C major",
        "alto-saxophone, G major",
        "tenor-saxophone, C major",
        "baritone-saxophone, G major",
        "trumpet, C major",
        "horn, F major",
        "trombone, B-flat major",
        "euphonium, B-flat major",
        "euphonium-treble, C major",
        "tuba, B-flat major",
        "mallets, B-flat major",
        "piccolo, B-flat major",
        "english-horn, F major",
        "e-flat-clarinet, G major",
        "soprano-saxophone, C major",
        "flugelhorn, C major",
        "baritone, B-flat major",
        "baritone-treble, C major",
        "xylophone, B-flat major",
        "marimba, B-flat major",
        "violin, B-flat major",
        "viola, B-flat major",
        "cello, B-flat major",
        "double-bass, B-flat major",
    })
    void writtenKeyForConcertBFlat(String code, String written) {
        assertThat(catalog.withCode(new InstrumentCode(code))
                        .writtenKey(Key.named("B-flat major"), Spelling.FLATS_AT_SIX)
                        .name())
                .isEqualTo(written);
    }

    @ParameterizedTest
    @CsvSource({
        "alto sax, alto-saxophone",
        "French Horn, horn",
        "B♭ Clarinet, clarinet",
        "Snare Drum, percussion",
        "Violoncello, cello",
        "Double Basses, double-bass",
        "bari sax, baritone-saxophone",
        "cornet, trumpet",
        "Euphonium T.C., euphonium-treble",
        "Baritone, baritone",
        "baritone horn, baritone",
        "Baritone T.C., baritone-treble",
        "cor anglais, english-horn",
        "Eb clarinet, e-flat-clarinet",
        "soprano sax, soprano-saxophone",
        "flugel, flugelhorn",
        "xylo, xylophone",
        "Marimbas, marimba",
        "picc, piccolo",
    })
    void spellingsOnRosters(String spelled, String code) {
        assertThat(catalog.spelled(spelled).map(Instrument::code)).contains(new InstrumentCode(code));
    }

    @Test
    void scoreOrderRunsFromPiccoloToDoubleBass() {
        assertThat(catalog.inScoreOrder()).hasSize(29);
        assertThat(catalog.inScoreOrder().getFirst().code()).isEqualTo(new InstrumentCode("piccolo"));
        assertThat(catalog.inScoreOrder().getLast().code()).isEqualTo(new InstrumentCode("double-bass"));
    }

    /** Concert A has six signs for an instrument in E-flat: the programme says which. */
    @ParameterizedTest
    @CsvSource({"FLATS_AT_SIX, G-flat major", "SHARPS_AT_SIX, F-sharp major"})
    void sixSignsAreSpelledAsTheProgrammeChose(Spelling spelling, String written) {
        assertThat(catalog.withCode(new InstrumentCode("alto-saxophone"))
                        .writtenKey(Key.named("A major"), spelling)
                        .name())
                .isEqualTo(written);
        assertThat(catalog.withCode(new InstrumentCode("percussion"))
                        .writtenKey(Key.named("A major"), spelling)
                        .name())
                .isEqualTo("A major");
    }
}
