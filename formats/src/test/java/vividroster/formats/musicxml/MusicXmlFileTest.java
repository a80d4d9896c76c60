package vividroster.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividroster.formats.musicxml.XmlPage.direction;
import static vividroster.formats.musicxml.XmlPage.file;
import static vividroster.formats.musicxml.XmlPage.head;
import static vividroster.formats.musicxml.XmlPage.leftOut;
import static vividroster.formats.musicxml.XmlPage.measure;
import static vividroster.formats.musicxml.XmlPage.names;
import static vividroster.formats.musicxml.XmlPage.note;
import static vividroster.formats.musicxml.XmlPage.read;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.music.Voice;
import vividroster.core.reading.Strokes;
import vividroster.core.reading.TimedView;
import vividroster.formats.Read;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFile.Choices;
import vividroster.formats.score.LineFileException;

/** MusicXML as people's programs really write it. */
class MusicXmlFileTest {

    @Test
    void aCueNoteIsLeftOutAndItsTimeStaysAsARest() {
        LineFile file = Read.xmlFile(
                file(
                        "Flute",
                        measure(1, head(""), note("C5", 4), note("D5", 4, "<cue/>"), note("E5", 8))
                                + measure(2, note("C5", 12), note("D5", 4, "<cue/>"))),
                false);
        assertThat(names(file.score().sounding())).isEqualTo("C5*4 r*4 E5*8 | C5*12 r*4");
        assertThat(leftOut(file)).containsExactly("cue notes in 1, 2");
    }

    @Test
    void aMeasureIsAsLongAsItsContentReaches() {
        assertThat(names(read(measure(1, head(""), note("C5", 4), "<forward><duration>12</duration></forward>"))))
                .isEqualTo("C5*4 r*12");
    }

    @Test
    void aTranspositionAndAKeyInsideAPartHoldFromTheirPlaceOn() {
        String toA = "<attributes><key><fifths>-1</fifths></key><transpose><diatonic>-2</diatonic>"
                + "<chromatic>-3</chromatic></transpose></attributes>";
        String flat = "<transpose><diatonic>-1</diatonic><chromatic>-2</chromatic></transpose>";
        Part part = read(measure(1, head(flat), note("D5", 16))
                + measure(2, toA, note("F5", 16))
                + measure(3, "<attributes><key><fifths>1</fifths></key></attributes>", note("F#5", 16)));
        assertThat(names(part)).isEqualTo("C5*16 | D5*16 | D#5*16");
        assertThat(List.of(
                        part.keyAt(0).fifths(),
                        part.keyAt(1).fifths(),
                        part.keyAt(2).fifths()))
                .containsExactly(-2, 2, 4);
        String inside =
                "<attributes><transpose><diatonic>0</diatonic><chromatic>0</chromatic></transpose></attributes>";
        assertThat(names(read(measure(1, head(flat), note("D5", 8), inside, note("D5", 8)))))
                .isEqualTo("C5*8 D5*8");
    }

    @Test
    void aKeyInsideAMeasureCutsItForAll() {
        String key = "<attributes><key><fifths>2</fifths></key></attributes>";
        Score score = Read.xmlFile(
                        file(
                                "Flute",
                                measure(1, head(""), note("C5", 8), key, note("F#5", 8)),
                                "Oboe",
                                measure(1, head(""), note("C5", 16))),
                        false)
                .score();
        assertThat(names(score.sounding())).isEqualTo("C5*8 | F#5*8");
        assertThat(score.sounding().keyAt(1).fifths()).isEqualTo(2);
        assertThat(score.sounding().measures()).extracting(Measure::number).containsExactly(1, 1);
        assertThat(TimedView.of(score.partOf(new InstrumentCode("oboe")))
                        .timeline()
                        .notes())
                .hasSize(1);
    }

    @ParameterizedTest
    @CsvSource({
        "<double/>,C4,the doubling an octave higher in 1",
        "<double above=\"yes\"/>,C6,the doubling an octave lower in 1"
    })
    void ofADoublingOneOctaveIsRead(String doubled, String sounding, String said) {
        String transpose = "<transpose><diatonic>0</diatonic><chromatic>0</chromatic>" + doubled + "</transpose>";
        LineFile file = Read.xmlFile(file("Flute", measure(1, head(transpose), note("C5", 16))), false);
        assertThat(names(file.score().sounding())).isEqualTo(sounding + "*16");
        assertThat(leftOut(file)).containsExactly(said);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "<duration>16</duration>; <duration>-4</duration>; a duration is a number not below 0, was \"-4\"",
                "<duration>16</duration>; <duration>long</duration>; a duration is a number not below 0, was \"long\"",
                "<duration>16</duration>; <duration>NaN</duration>; a duration is a number not below 0",
                "<duration>16</duration>; <duration/>; a duration is a number not below 0",
                "<duration>16</duration>; ; a note has no duration",
                "<duration>16</duration>; <duration>0</duration>; a note lasts no time",
                "<divisions>4</divisions>; ; stands before the divisions",
                "<divisions>4</divisions>; <divisions>0</divisions>; divisions are a number above 0",
                "<octave>5</octave>; ; a note has no octave",
                "<step>C</step>; ; a note has no letter",
                "<fifths>0</fifths>; <fifths>9</fifths>; a key has at most seven signs",
                "<duration>16</duration>; <duration>16000000</duration>; at most 64 beats",
                "<octave>5</octave>; <octave>9</octave>; a note sounds from A 0 to C 8",
                "<beats>4</beats>; <beats>2</beats><beat-type>4</beat-type><beats>3</beats>; two meters in one"
            })
    void valuesThatNoMusicHasAreRefusedWithTheMeasure(String right, String wrong, String sentence) {
        String whole = file("Flute", measure(1, head(""), note("C5", 16)));
        String broken = whole.replaceFirst(right, wrong == null ? "" : wrong);
        assertThatThrownBy(() -> Read.xmlFile(broken, false).score())
                .isInstanceOf(LineFileException.class)
                .hasMessageStartingWith("Measure 1 of \"Flute\"")
                .hasMessageContaining(sentence);
    }

    @ParameterizedTest
    @CsvSource({"1000", "0", "-3", "many"})
    void absurdTimesAreRefused(String times) {
        String bar = "<barline location=\"right\"><repeat direction=\"backward\" times=\"" + times + "\"/></barline>";
        assertThatThrownBy(() -> read(measure(1, head(""), note("C5", 16), bar)))
                .isInstanceOfSatisfying(LineFileException.class, e -> {
                    assertThat(e).hasMessageContaining("a repeat plays 2 to 32 times, was \"" + times + "\"");
                    assertThat(e.line()).isPositive();
                });
    }

    @Test
    void aCompositeMeterKeepsItsGroups() {
        String xml = file("Flute", measure(1, head("").replace("<beats>4", "<beats>3+2"), note("C5", 20)));
        assertThat(Read.xmlFile(xml, false).score().sounding().meter()).hasToString("3+2/4");
    }

    private static final String TIED = "<tie type=\"start\"/><notations><tied type=\"start\"/></notations>";

    @Test
    void theTopLineOfChordsKeepsItsOwnTies() {
        String xml = file(
                "Flute",
                measure(1, head(""), note("C5", 8, TIED), note("E5", 8, "<chord/>"), note("C5", 4), note("G4", 4))
                        + measure(2, note("C5", 16), note("G5", 16, "<chord/>", TIED))
                        + measure(3, note("G5", 16)));
        LineFile file = Read.xmlFile(xml, true);
        Part part = file.score().sounding();
        assertThat(names(part)).isEqualTo("E5*8 C5*4 G4*4 | G5*16 | G5*16");
        assertThat(part.measures().getFirst().notes().getFirst().tied()).isFalse();
        assertThat(TimedView.of(part).timeline().notes().getLast().length().value())
                .isEqualTo(8);
        assertThat(leftOut(file)).containsExactly("lower notes of chords in 1, 2");
        assertThatThrownBy(() -> Read.xmlFile(xml, false).score())
                .hasMessage(
                        "Measure 1 of \"Flute\" has a chord; a line of a method book is one voice. Keep the top line,"
                                + " or choose another file.");
    }

    @Test
    void ofTwoVoicesTheTopOneIsKept() {
        String back = "<backup><duration>16</duration></backup>";
        String xml = file(
                "Flute",
                measure(1, head(""), note("C4", 16, "<voice>2</voice>"), back, note("E5", 16, "<voice>1</voice>"))
                        + measure(2, note("F5", 16, "<voice>1</voice>"), back, note("D4", 16, "<voice>2</voice>")));
        assertThat(names(Read.xmlFile(xml, true).score().sounding())).isEqualTo("E5*16 | F5*16");
        assertThat(leftOut(Read.xmlFile(xml, true))).containsExactly("further voices in 1, 2");
        assertThatThrownBy(() -> Read.xmlFile(xml, false).score()).hasMessageContaining("has a second voice");
        String unnamed = file("Flute", measure(1, head(""), note("C4", 16), back, note("E5", 16)));
        assertThat(names(Read.xmlFile(unnamed, true).score().sounding())).isEqualTo("E5*16");
        String resting = file("Flute", measure(1, head(""), note("C4", 16), back, note("r", 16, "<voice>2</voice>")));
        assertThat(names(Read.xmlFile(resting, false).score().sounding()))
                .as("a rest is no voice")
                .isEqualTo("C4*16");
    }

    @Test
    void partsAreListedAndTheirChordsMatterOnlyWhereTheyAreUsed() {
        String chord = measure(1, head(""), note("C4", 16), note("E4", 16, "<chord/>"));
        LineFile file = Read.xmlFile(
                file(
                        "Flute 1", measure(1, head(""), note("C5", 16)),
                        "Flute 2", measure(1, head(""), note("A4", 16)),
                        "Piano", chord,
                        "Violin", chord.replace("<chord/>", "").replaceFirst("<note>.*?</note>", "")),
                false);
        Score score = file.score();
        assertThat(score.own())
                .containsOnlyKeys(
                        new Voice(new InstrumentCode("flute"), 1),
                        new Voice(new InstrumentCode("flute"), 2),
                        Voice.of(new InstrumentCode("violin")));
        assertThat(names(score.partOf(new InstrumentCode("flute")))).isEqualTo("C5*16");
        assertThat(names(score.partOf(new InstrumentCode("flute"), 2))).isEqualTo("A4*16");
        assertThat(leftOut(file)).containsExactly("the part Piano");
        assertThat(file.parts()).extracting(p -> p.refused().isPresent()).containsExactly(false, false, true, false);
        assertThatThrownBy(() -> file.score(new Choices(Map.of("P3", "tuba")))).hasMessageContaining("has a chord");
        assertThat(file.score(new Choices(Map.of("P2", "oboe", "P4", "nobody"))).own())
                .containsOnlyKeys(new Voice(new InstrumentCode("flute"), 1), Voice.of(new InstrumentCode("oboe")));
        assertThat(names(file.only("P2").sounding())).isEqualTo("A4*16");
        assertThat(names(file.only("violin").sounding())).isEqualTo("E4*16");
        LineFile twins = Read.xmlFile(
                file("Flute", measure(1, head(""), note("C5", 16)), "Flute", measure(1, head(""), note("A4", 16))),
                false);
        assertThat(twins.score().own())
                .containsOnlyKeys(new Voice(new InstrumentCode("flute"), 1), new Voice(new InstrumentCode("flute"), 2));
    }

    @Test
    void aPartOfAnotherLengthIsNotDroppedInSilence() {
        String one = measure(1, head(""), note("C5", 16));
        LineFile file = Read.xmlFile(file("Flute", one, "Oboe", one + measure(2, note("C5", 16))), false);
        assertThatThrownBy(file::score)
                .hasMessage(
                        "The part \"Oboe\" has 2 measures, the part for everybody 1; leave one out, or choose another"
                                + " file.");
        assertThat(file.score(new Choices(Map.of("P2", "nobody"))).own()).hasSize(1);
    }

    @Test
    void roundedGroupsOfThreeAreGroupsOfThree() {
        String triplet = "<type>eighth</type><time-modification><actual-notes>3</actual-notes>"
                + "<normal-notes>2</normal-notes></time-modification>";
        String head = head("").replace("<divisions>4", "<divisions>256");
        Part part = read(measure(
                1, head, note("C5", 85, triplet), note("D5", 85, triplet), note("E5", 86, triplet), note("F5", 768)));
        assertThat(part.measures().getFirst().notes()).hasSize(4);
        assertThat(part.measures().getFirst().length().value()).isEqualTo(4);
    }

    @Test
    void everythingLeftOutIsNamed() {
        String ornament = "<notations><ornaments><trill-mark/></ornaments></notations>";
        String tremolo = "<notations><ornaments><tremolo type=\"start\">3</tremolo></ornaments></notations>";
        String verses = "<lyric number=\"1\"><text>la</text></lyric><lyric number=\"2\"><text>li</text></lyric>";
        LineFile file = Read.xmlFile(
                file(
                        "Flute",
                        measure(1, head(""), direction("<dynamics><mf/></dynamics>", ""), note("C5", 16, ornament))
                                + measure(2, direction("<wedge type=\"crescendo\"/>", ""), note("C5", 16, tremolo))
                                + measure(3, direction("<dynamics><p/></dynamics>", ""), note("C5", 16, verses))
                                + measure(
                                        4,
                                        direction("<rehearsal>A</rehearsal>", ""),
                                        note(
                                                "C5",
                                                16,
                                                "<notations>"
                                                        + "<technical><fingering>1</fingering></technical></notations>")),
                        "Piano",
                        measure(1, head(""), note("C5", 16))),
                false);
        assertThat(leftOut(file))
                .containsExactly(
                        "dynamics in 1, 3",
                        "ornaments in 1",
                        "hairpins in 2",
                        "tremolos in 2",
                        "further verses in 3",
                        "rehearsal marks in 4",
                        "fingerings in 4",
                        "the part Piano");
    }

    @Test
    void modesAndHalvesOfSplitMeasuresAreKept() {
        String cut = "<barline location=\"right\"><repeat direction=\"backward\"/></barline>";
        String dorian = head("").replace("</fifths>", "</fifths><mode>dorian</mode>");
        Part part = read(measure(0, dorian, note("C5", 4))
                + measure(1, note("C5", 16))
                + measure(2, note("C5", 12), cut)
                + measure(3, note("C5", 4))
                + measure(4, note("C5", 16)));
        assertThat(part.key().name()).isEqualTo("D dorian");
        assertThat(part.measures()).extracting(Measure::number).containsExactly(0, 1, 2, 2, 3);
        Part again = Read.xmlFile(MusicXmlWriter.writeConcert("T", part), false)
                .score()
                .sounding();
        assertThat(again.measures()).extracting(Measure::number).containsExactly(0, 1, 2, 2, 3);
        assertThat(again.key()).isEqualTo(part.key());
    }

    /** A place on the staff instead of a pitch, no key, and a roll as a tremolo; and back. */
    @Test
    void unpitchedPercussionIsWrittenAndReadAgain() {
        Part strokes = Strokes.of(
                TimedView.of(Read.abc("K:Bb\nM:4/4\nL:1/4\nB, C D2|F4|").sounding()), true);
        String xml = MusicXmlWriter.write("Strokes", strokes, Read.CATALOG.withCode(new InstrumentCode("percussion")));
        assertThat(xml)
                .contains("<sign>percussion</sign>", "<display-step>B</display-step><display-octave>4</display-octave>")
                .contains("<tremolo type=\"single\">3</tremolo>")
                .doesNotContain("<key>", "<pitch>");
        assertThat(Read.xml(xml.getBytes(StandardCharsets.UTF_8), false)
                        .partOf(new InstrumentCode("percussion"))
                        .measures())
                .extracting(Measure::notes)
                .isEqualTo(strokes.measures().stream().map(Measure::notes).toList());
    }
}
