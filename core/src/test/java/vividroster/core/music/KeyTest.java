package vividroster.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KeyTest {

    private static final Transposition B_FLAT = new Transposition(-1, -2);

    /** Expected keys: a B-flat instrument reads a major second higher, E-flat a major sixth, F a perfect fifth. */
    @ParameterizedTest
    @CsvSource({
        "B-flat major, -1, -2, C major",
        "B-flat major, -5, -9, G major",
        "B-flat major, -4, -7, F major",
        "B-flat major, -8, -14, C major",
        "B-flat major, -12, -21, G major",
        "B-flat major, 14, 24, B-flat major",
        "B-flat major, -7, -12, B-flat major",
        "E-flat major, -1, -2, F major",
        "C minor, -1, -2, D minor",
        "G minor, -5, -9, E minor",
    })
    void writtenKey(String concert, int steps, int semitones, String written) {
        assertThat(Key.named(concert)
                        .writtenFor(new Transposition(steps, semitones))
                        .name())
                .isEqualTo(written);
    }

    @Test
    void neverMoreThanSixSigns() {
        assertThat(Key.named("B major").writtenFor(B_FLAT).name()).isEqualTo("D-flat major");
        assertThat(Key.named("A major").writtenFor(new Transposition(-5, -9)).name())
                .isEqualTo("G-flat major");
    }

    @Property
    void writtenKeyStaysWithinSixSignsAndKeepsItsMode(
            @ForAll @IntRange(min = -6, max = 6) int fifths,
            @ForAll @IntRange(min = -36, max = 0) int semitones,
            @ForAll Mode mode) {
        Key written = new Key(fifths, mode).writtenFor(new Transposition(semitones == 0 ? 0 : -1, semitones));
        assertThat(written.fifths()).isBetween(-6, 6);
        assertThat(written.mode()).isEqualTo(mode);
    }

    @Property
    void aNameReadsBackAsItsKey(@ForAll @IntRange(min = -7, max = 7) int fifths, @ForAll Mode mode) {
        Key key = new Key(fifths, mode);
        assertThat(Key.named(key.name())).isEqualTo(key);
    }

    @Test
    void saysWhatIsWrong() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Key.named("H major"))
                .withMessage("a key is written like \"B-flat major\", was \"H major\"");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Key(8, Mode.MAJOR))
                .withMessage("fifths must be in -7..7, was 8");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Bpm(900))
                .withMessage("tempoBpm must be in 20..400, was 900");
        assertThatIllegalArgumentException().isThrownBy(() -> Meter.parse("4/3"));
        assertThatIllegalArgumentException().isThrownBy(() -> Meter.parse("waltz"));
        assertThatIllegalArgumentException().isThrownBy(() -> new Transposition(1, -2));
    }

    @ParameterizedTest
    @CsvSource({
        "C major,C",
        "G major,G",
        "F major,F",
        "B-flat major,B",
        "D-flat major,D",
        "A minor,A",
        "E minor,E",
        "C minor,C",
        "F-sharp minor,F"
    })
    void theTonicIsTheLetterOfTheName(String key, char tonic) {
        assertThat(Key.named(key).tonic()).isEqualTo(tonic);
    }

    @Test
    void aScaleIsSignedWithinItsBounds() {
        assertThat(Key.named("B-flat major")
                        .scale(Pitch.named("Bb3"), Pitch.named("F4"))
                        .toString())
                .isEqualTo("[Bb3, C4, D4, Eb4, F4]");
        assertThat(Key.named("G-flat major")
                        .scale(Pitch.named("Bb3"), Pitch.named("C4"))
                        .toString())
                .as("C-flat 4 is the key below C 4")
                .isEqualTo("[Bb3, Cb4]");
    }

    @Property
    void aKeyOfSixSignsIsSpelledAsOneLikes(@ForAll @IntRange(min = -11, max = 11) int fifths) {
        int flats = Spelling.FLATS_AT_SIX.settle(fifths);
        int sharps = Spelling.SHARPS_AT_SIX.settle(fifths);
        assertThat(flats).isBetween(-6, 5);
        assertThat(sharps).isBetween(-5, 6);
        assertThat(Math.floorMod(flats, 12)).isEqualTo(Math.floorMod(fifths, 12));
        assertThat(Math.floorMod(sharps, 12)).isEqualTo(Math.floorMod(fifths, 12));
    }

    @ParameterizedTest
    @CsvSource({"whole", "dotted quarter", "double-dotted half", "eighth triplet", "16th", "quarter in a group of 5"})
    void aNoteValueReadsBackFromItsName(String name) {
        assertThat(Notated.named(name).name()).isEqualTo(name);
    }

    @Test
    void whatNamesNoNoteValueIsRefused() {
        assertThatThrownBy(() -> Notated.named("crotchet"))
                .hasMessage("a note value is named like \"dotted quarter\", was \"crotchet\"");
    }

    @ParameterizedTest
    @CsvSource({
        "D,0,DORIAN,0,D dorian",
        "A,0,MIXOLYDIAN,2,A mixolydian",
        "F,0,LYDIAN,0,F lydian",
        "E,0,PHRYGIAN,0,E phrygian",
        "B,0,LOCRIAN,0,B locrian",
        "F,1,MAJOR,6,F-sharp major",
        "C,1,MINOR,4,C-sharp minor",
        "B,-1,MINOR,-5,B-flat minor",
        "C,-1,MAJOR,-7,C-flat major",
        "G,0,DORIAN,-1,G dorian"
    })
    void everyModeHasItsSignatureAndName(char tonic, int alter, Mode mode, int fifths, String name) {
        Key key = Key.of(tonic, alter, mode);
        assertThat(key).isEqualTo(new Key(fifths, mode));
        assertThat(key.name()).isEqualTo(name);
        assertThat(Key.named(name)).isEqualTo(key);
        assertThat(key.tonic()).isEqualTo(tonic);
    }

    @ParameterizedTest
    @CsvSource({"3+2/8,5,8,3+2/8", "(2+3)/8,5,8,2+3/8", "6/8,6,8,6/8", "4/4,4,4,4/4"})
    void compositeMetersKeepTheirGroups(String text, int count, int unit, String said) {
        Meter meter = Meter.parse(text);
        assertThat(meter.count()).isEqualTo(count);
        assertThat(meter.unit()).isEqualTo(unit);
        assertThat(meter).hasToString(said);
        assertThat(Meter.parse(meter.toString())).isEqualTo(meter);
    }

    @Test
    void twoMetersInOneAreRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Meter.parse("2/4+3/8"))
                .withMessage("two meters in one, \"2/4+3/8\", are not read here");
    }

    @Test
    void aSpanOfTemposIsPlayedInItsMiddle() {
        Tempo span = Tempo.printed(Beats.of(3, 2), 60, 64);
        assertThat(span.bpm()).isEqualTo(new Bpm(93));
        assertThat(span.numbers()).isEqualTo("60–64");
        assertThat(Tempo.of(66.5).numbers()).isEqualTo("66.5");
        assertThatIllegalArgumentException().isThrownBy(() -> Tempo.printed(Beats.of(1), 90, 80));
    }

    @Test
    void whatCannotBeWrittenIsTold() {
        assertThat(Notated.canWrite(Beats.of(5, 2))).isTrue();
        assertThat(Notated.canWrite(Beats.of(1, 3))).isTrue();
        assertThat(Notated.canWrite(new Beats(4480)))
                .as("a ninth of four beats")
                .isFalse();
        assertThat(Notated.canWrite(new Beats(7))).isFalse();
        assertThatIllegalArgumentException().isThrownBy(() -> Beats.exact(4, 11));
        assertThat(Beats.exact(2, 3)).isEqualTo(Beats.of(2, 3));
    }
}
