package vividroster.formats.abc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.music.Voice;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.formats.Read;
import vividroster.formats.musicxml.MusicXmlWriter;
import vividroster.formats.score.LeftOut;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFile.Choices;
import vividroster.formats.score.LineFileException;

/** ABC as people really type and save it. */
class AbcFileTest {

    private static final String HEAD = "X:1\nT:Test\nM:4/4\nL:1/4\nK:C\n";

    private static Part part(String text) {
        return Read.abc(text).sounding();
    }

    private static String names(Part part) {
        return part.pitches().stream().map(Pitch::toString).collect(Collectors.joining(" "));
    }

    private static List<String> leftOut(String text) {
        return Read.abcFile(text).leftOut(Choices.NONE).stream()
                .map(LeftOut::words)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "F#,6,F-sharp major",
        "C#m,4,C-sharp minor",
        "D dorian,0,D dorian",
        "D Dor,0,D dorian",
        "Ddor,0,D dorian",
        "A Mix,2,A mixolydian",
        "Gmix,0,G mixolydian",
        "G mixolydian,0,G mixolydian",
        "E phr,0,E phrygian",
        "F Lydian,0,F lydian",
        "Bloc,0,B locrian",
        "A aeolian,0,A minor",
        "C ionian,0,C major",
        "Bbm,-5,B-flat minor",
        "Bb major,-2,B-flat major",
        "F#m,3,F-sharp minor",
        "Gm,-2,G minor",
        "G minor,-2,G minor",
        "GM,1,G major",
        "Eb,-3,E-flat major",
        "none,0,C major",
        "G clef=bass,1,G major",
        "D treble,2,D major"
    })
    void everyKeyAndMode(String key, int fifths, String name) {
        Part part = part("X:1\nM:4/4\nL:1/4\nK:" + key + "\nC D E F|\n");
        assertThat(part.key().fifths()).isEqualTo(fifths);
        assertThat(part.key().name()).isEqualTo(name);
    }

    @ParameterizedTest
    @ValueSource(strings = {"H", "Cmod", "D exp _b", "C ^f", "C octave=-1", "C transpose=2", "C#####", "G treble-8"})
    void aKeyThatIsNoneOrMovesThePitchesIsRefused(String key) {
        assertThatThrownBy(() -> part("X:1\nM:4/4\nL:1/4\nK:" + key + "\nC D E F|\n"))
                .isInstanceOfSatisfying(LineFileException.class, e -> {
                    assertThat(e.line()).isEqualTo(4);
                    assertThat(e.getMessage()).doesNotContain("null");
                });
    }

    @ParameterizedTest
    @CsvSource({
        "M:2/4,0.25",
        "M:3/8,0.25",
        "M:3/4,0.5",
        "M:4/4,0.5",
        "M:6/8,0.5",
        "M:C|,0.5",
        "M:none,0.5",
        "'',0.5",
        "M:5/8,0.25"
    })
    void withoutAUnitTheMeterSaysIt(String meter, double beats) {
        Part part = part("X:1\n" + (meter.isEmpty() ? "" : meter + "\n") + "K:C\nC D|\n");
        assertThat(part.measures().getFirst().notes().getFirst().length().value())
                .isEqualTo(beats);
    }

    @Test
    void aLaterMeterDoesNotChangeTheUnitAndAUnitInsideDoes() {
        Part part = part("X:1\nM:4/4\nK:C\nC8|\nM:2/4\nC4|\nL:1/4\nC2|[L:1/8]C4|\n");
        assertThat(part.measures()).extracting(m -> m.length().value()).containsExactly(4.0, 2.0, 2.0, 2.0);
    }

    @Test
    void anOrderOfPartsIsPlayed() {
        Part part = part("X:1\nM:4/4\nL:1/4\nP:ABA\nK:C\nP:A\nC4|D4|\nP:B\nE4|F4|\n");
        assertThat(part.measures()).hasSize(4);
        assertThat(Roadmap.of(part, Roadmap.Options.USUAL).indices()).containsExactly(0, 1, 2, 3, 0, 1);
        Part twice = part("X:1\nM:4/4\nL:1/4\nP:(AB)2A2\nK:C\n[P:A]C4|[P:B]E4|\n");
        assertThat(Roadmap.of(twice, Roadmap.Options.USUAL).indices()).containsExactly(0, 1, 0, 1, 0, 0);
        assertThat(TimedView.of(twice).timeline().notes()).hasSize(6);
        assertThat(part.measures()).extracting(Measure::words).containsExactly("Play ABA A", "", "B", "");
        Part out = Read.xmlFile(MusicXmlWriter.writeConcert("T", part), false)
                .score()
                .sounding();
        assertThat(names(out)).as("written out for other programs").isEqualTo("C4 D4 E4 F4 C4 D4");
        assertThat(out.measures()).extracting(Measure::number).containsExactly(1, 2, 3, 4, 5, 6);
    }

    @Test
    void labelsAloneAreNamedAndAnOrderThatCannotBeIsRefused() {
        assertThat(leftOut(HEAD + "P:A\nC4|\nP:B\nD4|\n"))
                .containsExactly("the label of part A", "the label of part B");
        assertThat(leftOut("X:1\nM:4/4\nL:1/4\nP:AB\nK:C\nC4|\n"))
                .containsExactly("the order of parts (P:), since no part is labelled");
        assertThatThrownBy(() -> part("X:1\nM:4/4\nL:1/4\nP:ABC\nK:C\nP:A\nC4|\nP:B\nD4|\n"))
                .hasMessage("P: names part C, and none is labelled so.");
        assertThatThrownBy(() -> part("X:1\nM:4/4\nL:1/4\nP:A\nK:C\nP:A\nC4!D.C.!|\n"))
                .hasMessageContaining("do not go together");
        assertThatThrownBy(() -> part("X:1\nM:4/4\nL:1/4\nP:((((((A32)32)32)32)32)32\nK:C\nP:A\nC4|\n"))
                .isInstanceOf(LineFileException.class);
    }

    @Test
    void eachXBeginsALineOfItsOwn() {
        String two = HEAD + "C4|\n\nX:2\nT:Second\nM:4/4\nL:1/4\nK:F\nB4|\n";
        assertThatThrownBy(() -> part(two)).isInstanceOfSatisfying(LineFileException.class, e -> {
            assertThat(e.line()).isEqualTo(8);
            assertThat(e).hasMessageContaining("Another line begins here");
        });
        assertThat(AbcBook.tunes(two)).extracting(AbcBook.Tune::number).containsExactly(1, 2);
        assertThat(AbcBook.tunes("M:3/4\nL:1/8\n\nX: 7 % seven\nK:C\nC6|\nX:\nK:C\nD6|\n"))
                .extracting(AbcBook.Tune::number)
                .containsExactly(7, 0);
        Part headed =
                part(AbcBook.tunes("M:3/4\nL:1/8\n\nX:7\nK:C\nC6|\n").getFirst().text());
        assertThat(headed.meter()).hasToString("3/4");
        AbcBook.Tune tune = AbcBook.tunes("M:3/4\n\nX:7\nK:C\nw|\n").getFirst();
        assertThatThrownBy(() -> part(tune.text()))
                .isInstanceOfSatisfying(
                        LineFileException.class,
                        e -> assertThat(tune.firstLine() + e.line() - 1).isEqualTo(5));
    }

    private static String played(String body) {
        Part part = part(HEAD + body);
        return Roadmap.of(part, Roadmap.Options.USUAL).indices().stream()
                .map(i -> part.measures()
                        .get(i)
                        .notes()
                        .getFirst()
                        .pitch()
                        .orElseThrow()
                        .letter())
                .map(String::valueOf)
                .collect(Collectors.joining());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "C4|D4:|]; CDCD",
                "C4||:D4:|E4|]; CDDE",
                "C4:||:D4:|; CCDD",
                "C4::D4:|; CCDD",
                "|:C4|1D4:|2E4|]; CDCE",
                "|:C4|[1 D4:|[2 E4||F4|]; CDCEF",
                "|:C4|[1,2 D4:|[3 E4|]; CDCDCE",
                "|:C4|[1-2 D4:|[3 E4|]; CDCDCE",
                "C4 ::| D4|; CCCD",
                "[|C4|D4[|]; CD",
                "C2 .| C2|D4|; CD",
                "C4|D4!dacoda!|E4!D.C.alcoda!|!coda!F4|; CDECDF",
                "C4|D4!dacoda!|E4\"^D.C. al Coda\"|!coda!F4|; CDECDF",
                "SC4|D4!fine!|E4\"^D.S. al Fine\"|; CDECD",
                "C4|D4 \"^Fine.\"|E4 +D.C.alfine+|; CDECD"
            })
    void barLinesAndJumpsAsTheyAreTyped(String body, String order) {
        assertThat(played(body)).isEqualTo(order);
    }

    @Test
    void whatIsNotKeptIsNamedWithItsMeasure() {
        assertThat(leftOut(HEAD + "C4|!mf!D4|T~E4|!<(!F4!<)!|!3!G4|!wedge!A4|\"Am\"A4|!p!C4|\nw:one two\nW:more\n"))
                .containsExactly(
                        "dynamics in 2, 8",
                        "ornaments in 3",
                        "hairpins in 4",
                        "fingerings in 5",
                        "\"wedge\" in 6",
                        "chord symbols in 7",
                        "lyrics",
                        "words under the tune");
        assertThat(leftOut("%%MIDI program 56\nX:1\nC:Somebody\nM:4/4\nL:1/4\nK:C\nC4|\n"))
                .containsExactly("directives (%%MIDI)", "what is told about the tune (C:)");
        assertThat(leftOut(HEAD + "C4|\n")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "1/4=96; 96; 96; ''",
                "1/4=96-104; 100; 96–104; ''",
                "3/8=60; 90; 60; ''",
                "1/4=ca. 72; 72; 72; ''",
                "1/4=66.5; 66.5; 66.5; ''",
                "120; 120; 120; ''",
                "\"Andante\" 1/4=76; 76; 76; Andante",
                "1/4=76 \"Andante\"; 76; 76; Andante",
                "1/4 1/8=40; 60; 40; ''"
            })
    void temposAreKeptAsTheyAreTyped(String field, double bpm, String numbers, String words) {
        Part part = part("X:1\nM:4/4\nL:1/4\nQ:" + field + "\nK:C\nC4|\n");
        assertThat(part.tempo().orElseThrow().bpm().value()).isEqualTo(bpm);
        assertThat(part.tempo().orElseThrow().numbers()).isEqualTo(numbers);
        assertThat(part.measures().getFirst().words()).isEqualTo(words);
    }

    @Test
    void wordsAloneAreKeptAsWords() {
        Part part = part("X:1\nM:4/4\nL:1/4\nQ:\"Andante\"\nK:C\nC4|[Q:\"faster\"]D4|\n");
        assertThat(part.tempo()).isEmpty();
        assertThat(part.measures()).extracting(Measure::words).containsExactly("Andante", "faster");
        assertThat(TimedView.of(part).tempo().value()).isEqualTo(100);
    }

    @Test
    void aTempoInsideAMeasureOrInAnotherVoiceHoldsFromItsPlaceForAll() {
        Score score = Read.abc(HEAD + "V:all\nC4|D4|\nV:Trumpet\nC2[Q:1/4=120]C2|D4|\n");
        assertThat(TimedView.of(score.sounding()).timeline().seconds())
                .as("two beats at 100, six at 120")
                .isCloseTo(1.2 + 3, org.assertj.core.api.Assertions.within(1e-9));
    }

    @Test
    void aVoiceFindsItsInstrument() {
        LineFile file =
                Read.abcFile("X:1\nM:4/4\nL:1/4\nV:all\nV:Trumpet\nV:c2 name=\"Bb Clarinet 2\"\nV:x nm=Piano\nK:C\n"
                        + "V:all\nC4|\nV:Trumpet\nE4|\nV:c2\nG4|\nV:x\n[CEG]4|\n");
        Score score = file.score();
        assertThat(score.own())
                .containsOnlyKeys(
                        Voice.of(new InstrumentCode("trumpet")), new Voice(new InstrumentCode("clarinet"), 2));
        assertThat(score.partOf(new InstrumentCode("trumpet")).pitches()).containsExactly(Pitch.named("E4"));
        assertThat(file.leftOut(Choices.NONE)).extracting(LeftOut::words).containsExactly("the part Piano");
        assertThatThrownBy(() -> file.score(new Choices(Map.of("x", "tuba"))))
                .as("its chords matter where it is used")
                .hasMessageContaining("A chord stands here");
        assertThat(file.score(new Choices(Map.of("Trumpet", "everybody", "all", "nobody")))
                        .sounding()
                        .pitches())
                .containsExactly(Pitch.named("E4"));
        assertThat(file.only("c2").sounding().pitches()).containsExactly(Pitch.named("G4"));
        assertThat(file.only("bb clarinet 2").sounding().pitches()).containsExactly(Pitch.named("G4"));
        assertThatThrownBy(() -> file.only("oboe"))
                .hasMessage("The file has no part \"oboe\"; it has all, Trumpet, Bb Clarinet 2, Piano.");
    }

    @Test
    void voicesMayChangeInsideALineOfText() {
        Score score = Read.abc(HEAD + "[V:a]C4|[V:Horn]E4|\n[V:a]D4|\n[V:Horn]F4|\n");
        assertThat(names(score.sounding())).isEqualTo("C4 D4");
        assertThat(names(score.partOf(new InstrumentCode("horn")))).isEqualTo("E4 F4");
    }

    @Test
    void aKeyThatChangesInsideAMeasureHoldsFromItsPlaceForEverybodyAlike() {
        Score score = Read.abc(HEAD + "V:all\nC2 F [K:D]F|F4|\nV:Horn\nz2 C2|C4|\n");
        Part part = score.sounding();
        assertThat(names(part)).isEqualTo("C4 F4 F#4 F#4");
        assertThat(part.measures()).extracting(Measure::number).containsExactly(1, 1, 2);
        assertThat(part.keyAt(0).fifths()).isZero();
        assertThat(part.keyAt(1).fifths()).isEqualTo(2);
        TimedView horn = TimedView.of(score.partOf(new InstrumentCode("horn")));
        assertThat(horn.timeline().notes()).extracting(n -> n.length().value()).containsExactly(2.0, 4.0);
        assertThat(TimedView.of(part).bars())
                .extracting(b -> b.begins().value())
                .containsExactly(0.0, 3.0, 0.0);
    }

    @Test
    void aMeasureCutByADoubleBarIsOne() {
        Part part = part(HEAD + "G|C4|C2 D||G|C4|C3|]\n");
        assertThat(part.measures()).extracting(Measure::number).containsExactly(0, 1, 2, 2, 3, 4);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "(9:7:9CDEFGABcd z|; cannot be written.",
                "(3CD|E4|; A group of 3 notes ends in its measure; 1 is missing.",
                "Z20000000|; A line has at most 2000 measures.",
                "|:C4|[1-100000000 D4:|; A bracket's numbers go up from 1 to 32, were 1-100000000.",
                "C999999999999999999999|; no note",
                "C,,,,,|; A note sounds from A 0 to C 8",
                "m:~n=x|; Macros (m:) are not read here.",
                "[M:2/4+3/8]C4|; Two meters in one"
            })
    void whatCannotBeWrittenIsRefusedWithItsPlace(String body, String sentence) {
        assertThatThrownBy(() -> part(HEAD + body)).isInstanceOfSatisfying(LineFileException.class, e -> {
            assertThat(e.line()).isEqualTo(6);
            assertThat(e.getMessage()).contains(sentence.equals("no note") ? "" : sentence);
        });
    }

    @Test
    void aCompositeMeterKeepsItsGroups() {
        assertThat(part("X:1\nM:3+2/8\nL:1/8\nK:C\nCDEFG|\n").meter()).hasToString("3+2/8");
        assertThat(part("X:1\nM:(2+3)/8\nL:1/8\nK:C\nCDEFG|\n").meter()).hasToString("2+3/8");
    }
}
