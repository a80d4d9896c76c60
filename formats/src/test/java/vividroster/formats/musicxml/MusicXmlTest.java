package vividroster.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.reading.Roadmap;
import vividroster.formats.Read;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.musicxml.MusicXmlReader.Options;
import vividroster.formats.score.LineFileException;

class MusicXmlTest {

    private static final InstrumentCatalog CATALOG = InstrumentCatalogFile.shipped();
    private static final Options STRICT = new Options(false);

    private static Score read(String xml) {
        return read(xml, STRICT);
    }

    private static Score read(String xml, Options options) {
        return Read.xml(xml.getBytes(StandardCharsets.UTF_8), options.topLine());
    }

    private static String partwise(String measures) {
        return partwise("", measures);
    }

    private static String partwise(String attributes, String measures) {
        return "<?xml version=\"1.0\"?><!DOCTYPE score-partwise PUBLIC \"-//Recordare//DTD MusicXML 4.0 Partwise//EN\""
                + " \"http://www.musicxml.org/dtds/partwise.dtd\"><score-partwise version=\"4.0\"><part-list><score-part"
                + " id=\"P1\"><part-name>Trumpet</part-name></score-part></part-list><part id=\"P1\"><measure"
                + " number=\"1\"><attributes><divisions>2</divisions><key><fifths>0</fifths></key><time><beats>4</beats>"
                + "<beat-type>4</beat-type></time>" + attributes + "</attributes>" + measures
                + "</part></score-partwise>";
    }

    private static String note(String step, int octave, int duration, String more) {
        return "<note>" + (more.contains("<chord/>") ? "<chord/>" : "") + "<pitch><step>" + step + "</step><octave>"
                + octave + "</octave></pitch><duration>" + duration + "</duration>" + more.replace("<chord/>", "")
                + "</note>";
    }

    /** Lines with everything that a round trip must keep. */
    static Stream<String> lines() {
        String head = "X:1\nT:Round trip\nM:4/4\nL:1/4\nQ:1/4=84\nK:Eb\n";
        return Stream.of(
                head + "B|e f g a|(b2 a) .g|Lf !tenuto!d !marcato!e2|z2 !fermata!e2|]",
                head + "|:e f g a|[1b4:|[2e4|]",
                head + "!segno!e4|f4 !tocoda!|g4 !D.S.alcoda!|!coda!a4|]",
                head + "e4|f4 !fine!|g4 !D.C.alfine!|]",
                head + "=e ^f f =e|^f2- f2|f4|]",
                head + "(3efg (3e/f/g/ a3/2 g/|e>f g<a|{g}a b/c'/b/a/ z|]",
                head + "\"^softly\"e4|[K:D][M:3/4]f2 a|[Q:1/4=120]d3|]",
                head + "u e v f e3/2 f/|c4-|c2 z2|Z|]",
                head + "e2:|:f2 g2|a4:|b4|]");
    }

    private static List<Object> kept(Score score) {
        Part part = score.sounding();
        return List.of(
                score.title(),
                part.key(),
                part.meter(),
                part.tempo(),
                part.measures().stream()
                        .map(m -> List.of(m.number(), m.notes(), m.signs(), m.key(), m.meter(), m.tempos(), m.words()))
                        .toList());
    }

    @ParameterizedTest
    @MethodSource("lines")
    void aRoundTripKeepsEverything(String abc) {
        Score score = Read.abc(abc);
        Score back = read(MusicXmlWriter.writeConcert(score.title(), score.sounding()));
        assertThat(kept(back)).isEqualTo(kept(score));
        assertThat(Roadmap.of(back.sounding(), Roadmap.Options.USUAL))
                .isEqualTo(Roadmap.of(score.sounding(), Roadmap.Options.USUAL));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "flute",
                "clarinet",
                "bass-clarinet",
                "alto-saxophone",
                "baritone-saxophone",
                "trumpet",
                "horn",
                "tuba",
                "mallets",
                "viola",
                "double-bass"
            })
    void writtenForAnInstrumentItSoundsTheSame(String code) {
        Instrument instrument = CATALOG.withCode(new InstrumentCode(code));
        Part sounding = Read.abc("M:4/4\nL:1/4\nK:Bb\nB c d e|^f f =e2|").sounding();
        Part written = sounding.writtenFor(instrument.transposition());
        Score back = read(MusicXmlWriter.write("x", written, instrument));
        assertThat(back.sounding().pitches().stream().map(Pitch::midi))
                .isEqualTo(sounding.pitches().stream().map(Pitch::midi).toList());
        assertThat(back.sounding().key()).isEqualTo(sounding.key());
    }

    @Test
    void aTransposingPartIsTurnedToConcertPitch() {
        Score score = read(partwise(
                "<transpose><diatonic>-1</diatonic><chromatic>-2</chromatic></transpose>",
                note("C", 5, 8, "") + "</measure>"));
        assertThat(score.sounding().pitches()).containsExactly(Pitch.named("Bb4"));
        assertThat(score.sounding().key().name()).isEqualTo("B-flat major");
    }

    @Test
    void aSecondVoiceIsRefusedWithItsMeasureOrReducedOnRequest() {
        String two = partwise(note("C", 5, 8, "<voice>1</voice>") + "<backup><duration>8</duration></backup>"
                + note("E", 4, 8, "<voice>2</voice>") + "</measure>");
        assertThatThrownBy(() -> read(two))
                .hasMessage(
                        "Measure 1 of \"Trumpet\" has a second voice; a line of a method book is one voice. Keep the"
                                + " top line, or choose another file.");
        assertThat(read(two, new Options(true)).sounding().pitches()).containsExactly(Pitch.named("C5"));
    }

    @Test
    void aChordIsRefusedOrItsTopNoteKept() {
        String chord = partwise(note("C", 4, 8, "") + note("G", 4, 8, "<chord/>") + "</measure>");
        assertThatThrownBy(() -> read(chord)).hasMessageStartingWith("Measure 1 of \"Trumpet\" has a chord;");
        assertThat(read(chord, new Options(true)).sounding().pitches()).containsExactly(Pitch.named("G4"));
    }

    @Test
    void graceNotesAreKeptForDisplayAndCueNotesLeftOut() {
        Score score = read(partwise("<note><grace/><pitch><step>D</step><octave>5</octave></pitch></note>"
                + note("C", 5, 8, "") + "<note><cue/><pitch><step>A</step><octave>4</octave></pitch>"
                + "<duration>8</duration></note></measure>"));
        Note only = score.sounding().measures().getFirst().notes().getFirst();
        assertThat(only.graces()).containsExactly(Pitch.named("D5"));
        assertThat(score.sounding().pitches()).hasSize(1);
    }

    @Test
    void aMeasureIsAsLongAsItsContentAndImplicitOnesAreNotCounted() {
        Score score = read(partwise(note("C", 5, 8, "") + "</measure><measure number=\"X1\" implicit=\"yes\">"
                + note("D", 5, 4, "") + "</measure><measure number=\"2\">" + note("E", 5, 8, "") + "</measure>"));
        assertThat(score.sounding().measures()).extracting(Measure::number).containsExactly(1, 1, 2);
    }

    @Test
    void wordsAreAJumpOnlyAsWholePhrases() {
        String words = "<direction><direction-type><words>%s</words></direction-type></direction>";
        assertThat(read(partwise(note("C", 5, 8, "") + words.formatted("Da Capo al Fine") + "</measure>"))
                        .sounding()
                        .measures()
                        .getFirst()
                        .signs()
                        .jump()
                        .orElseThrow()
                        .words())
                .isEqualTo("D.C. al Fine");
        Measure ordinary = read(partwise(
                        note("C", 5, 8, "") + words.formatted("a fine day at the coda") + "</measure>"))
                .sounding()
                .measures()
                .getFirst();
        assertThat(ordinary.signs().fine()).isFalse();
        assertThat(ordinary.words()).isEqualTo("a fine day at the coda");
    }

    @Test
    void aDottedBeatUnitIsADottedBeatUnit() {
        String mark = "<direction><direction-type><metronome><beat-unit>quarter</beat-unit><beat-unit-dot/>"
                + "<per-minute>60</per-minute></metronome></direction-type></direction>";
        assertThat(read(partwise(mark + note("C", 5, 8, "") + "</measure>"))
                        .sounding()
                        .tempo()
                        .orElseThrow()
                        .bpm()
                        .value())
                .isEqualTo(90);
        String sounded = mark.replace("</direction>", "<sound tempo=\"72\"/></direction>");
        assertThat(read(partwise(sounded + note("C", 5, 8, "") + "</measure>"))
                        .sounding()
                        .tempo()
                        .orElseThrow()
                        .bpm()
                        .value())
                .as("the sound element decides")
                .isEqualTo(72);
    }

    private static byte[] zipped(String... namesAndTexts) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (int i = 0; i < namesAndTexts.length; i += 2) {
                zip.putNextEntry(new ZipEntry(namesAndTexts[i]));
                zip.write(namesAndTexts[i + 1].getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return bytes.toByteArray();
    }

    @Test
    void aCompressedFileIsOpenedWhereItsContainerSays() throws IOException {
        String xml = partwise(note("C", 5, 8, "") + "</measure>");
        byte[] mxl = zipped(
                "META-INF/container.xml",
                "<container><rootfiles><rootfile full-path=\"inner/line.xml\"/></rootfiles></container>",
                "other.xml",
                "<html/>",
                "inner/line.xml",
                xml);
        assertThat(Read.xml(mxl, false).sounding().pitches()).hasSize(1);
        assertThatThrownBy(() -> Read.xml(zipped("readme.txt", "hello"), false))
                .hasMessage("The compressed file holds no MusicXML.");
    }

    @Test
    void hostileFilesAreRefused() {
        String bomb = "<?xml version=\"1.0\"?><!DOCTYPE l [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;\">]>"
                + "<score-partwise><work><work-title>&b;</work-title></work></score-partwise>";
        assertThatThrownBy(() -> read(bomb)).isInstanceOf(LineFileException.class);
        assertThatThrownBy(() -> read("<score-partwise><part>" + "<a>".repeat(100) + "</a>".repeat(100)))
                .hasMessageContaining("nested deeper than 40");
        assertThatThrownBy(() -> read("<html><body/></html>")).isInstanceOf(LineFileException.class);
        assertThatThrownBy(() -> read("not xml at all"))
                .hasMessageStartingWith("The file is no MusicXML that can be read");
        assertThatThrownBy(() -> Read.xml(new byte[4 * 1024 * 1024 + 1], false))
                .hasMessageContaining("larger than 4 MB");
        String outside = "<?xml version=\"1.0\"?><!DOCTYPE s [<!ENTITY x SYSTEM \"file:///etc/hostname\">]>"
                + "<score-partwise><work><work-title>&x;</work-title></work><part-list/></score-partwise>";
        assertThatThrownBy(() -> read(outside)).hasMessage("The file has no part with notes.");
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13})
    void aDamagedFileIsReadOrRefusedInWords(long seed) {
        Score line = Read.abc(
                "X:1\nT:Damaged\nM:4/4\nL:1/4\nQ:1/4=84\nK:Eb\n|:e f (3g/a/b/ .a|[1b4:|[2{c}e4-|e2 !fine!z2|]\n");
        byte[] whole =
                MusicXmlWriter.writeConcert(line.title(), line.sounding()).getBytes(StandardCharsets.UTF_8);
        Random random = new Random(seed);
        int refused = 0;
        for (int i = 0; i < 400; i++) {
            byte[] file = random.nextInt(4) == 0 ? Arrays.copyOf(whole, random.nextInt(whole.length)) : whole.clone();
            for (int slips = random.nextInt(4); slips > 0 && file.length > 0; slips--) {
                file[random.nextInt(file.length)] = (byte) "0123456789-<>/abcXYZ&;\u0000".charAt(random.nextInt(22));
            }
            try {
                Read.xml(file, false);
            } catch (LineFileException e) {
                refused++;
                assertThat(e.getMessage()).isNotBlank().doesNotContain("null", "Exception");
            }
        }
        assertThat(refused).isPositive();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "<step>C</step>; <step>H</step>; no letter from A to G",
                "<octave>5</octave>; <octave>77</octave>; octave must be in 0..9",
                "<beats>4</beats>; <beats>four</beats>; a meter is written like",
                "<beat-type>4</beat-type>; <beat-type>0</beat-type>; cannot be read",
                "<duration>8</duration>; <duration>99999999999</duration>; cannot be read"
            })
    void aValueThatNoMusicHasIsToldWithItsMeasure(String right, String wrong, String sentence) {
        String file = partwise(note("C", 5, 8, "") + "</measure>").replace(right, wrong);
        assertThatThrownBy(() -> read(file))
                .isInstanceOf(LineFileException.class)
                .hasMessageStartingWith("Measure 1 of \"Trumpet\"")
                .hasMessageContaining(sentence);
    }
}
