package vividroster.formats.abc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.Beats;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.music.Voice;
import vividroster.core.reading.Roadmap;
import vividroster.formats.Read;
import vividroster.formats.score.LineFileException;

class AbcReaderTest {

    private static Score read(String body) {
        return Read.abc("X:1\nT:First light\nM:4/4\nL:1/4\nK:Bb\n" + body);
    }

    private static String notes(Measure measure) {
        return measure.notes().stream()
                .map(n -> (n.isRest() ? "r" : n.pitch().orElseThrow().toString()) + "*"
                        + (n.length().value() == Math.rint(n.length().value())
                                ? String.valueOf((int) n.length().value())
                                : String.valueOf(Math.round(n.length().value() * 1000) / 1000.0)))
                .collect(Collectors.joining(" "));
    }

    private static String all(String body) {
        return read(body).sounding().measures().stream()
                .map(AbcReaderTest::notes)
                .collect(Collectors.joining(" | "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                // the key signs B and E; lengths are in quarters
                "B, C D E|; Bb3*1 C4*1 D4*1 Eb4*1",
                "B2 c/ d/ e|; Bb4*2 C5*0.5 D5*0.5 Eb5*1",
                "B3/2 A/ z2|; Bb4*1.5 A4*0.5 r*2",
                "b'4|; Bb6*4",
                // an accidental holds to the bar line on its place, and no further
                "^F F f F|F4|; F#4*1 F#4*1 F5*1 F#4*1 | F4*4",
                "=E E _E E|; E4*1 E4*1 Eb4*1 Eb4*1",
                // a tie carries it to the tied note alone
                "B2 ^F2-|F2 F2|; Bb4*2 F#4*2 | F#4*2 F4*2",
                // dotted pairs and triplets
                "B>c B<c|; Bb4*1.5 C5*0.5 Bb4*0.5 C5*1.5",
                "(3BcB (3B/c/B/ z|; Bb4*0.667 C5*0.667 Bb4*0.667 Bb4*0.333 C5*0.333 Bb4*0.333 r*1",
                "Z|B4|; r*4 | Bb4*4",
                "Z2|; r*4 | r*4",
                // a chord symbol and a comment are left aside
                "\"Bb\"B4| % the end; Bb4*4"
            })
    void notesAndLengths(String body, String notes) {
        assertThat(all(body)).isEqualTo(notes);
    }

    private static String played(String body) {
        Part part = read(body).sounding();
        return Roadmap.of(part, Roadmap.Options.USUAL).indices().stream()
                .map(i -> part.measures()
                                .get(i)
                                .notes()
                                .getFirst()
                                .pitch()
                                .orElseThrow()
                                .letter() + "")
                .collect(Collectors.joining());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "C4|D4:|; CDCD",
                "C4|:D4|E4:|F4|]; CDEDEF",
                "|:C4|[1D4:|[2E4|]; CDCE",
                "|:C4|1D4|E4:|2F4|G4|]; CDECFG",
                "|:C4|D4::E4|F4:|; CDCDEFEF",
                "!segno!C4|D4 !fine!|E4 !D.S.alfine!|; CDECD",
                "C4|D4 !tocoda!|E4 !D.C.alcoda!|!coda!F4|]; CDECDF",
                "C4|!fine!D4|E4!D.C.alfine!|; CDECD"
            })
    void theWayThroughTheMeasures(String body, String order) {
        assertThat(played(body)).isEqualTo(order);
    }

    @Test
    void aPickUpIsMeasureNoughtAndASplitMeasureSharesItsNumber() {
        assertThat(read("B|c4|d4|e3|]").sounding().measures())
                .extracting(Measure::number)
                .containsExactly(0, 1, 2, 3);
        assertThat(read("c4|d2:|:d2|e4|]").sounding().measures())
                .extracting(Measure::number)
                .containsExactly(1, 2, 2, 3);
    }

    @Test
    void marksSlursTiesGracesAndWords() {
        Part part = read("!fermata!B .c (d e)|{g}L f u d v c !breath! \"^softly\" B|")
                .sounding();
        List<Note> first = part.measures().getFirst().notes();
        assertThat(first.get(0).marks()).containsExactly(Mark.FERMATA);
        assertThat(first.get(1).marks()).containsExactly(Mark.STACCATO);
        assertThat(first.get(2).slurs()).isEqualTo(new Note.Slurs(1, 0));
        assertThat(first.get(3).slurs()).isEqualTo(new Note.Slurs(0, 1));
        List<Note> second = part.measures().get(1).notes();
        assertThat(second.get(0).graces()).hasSize(1);
        assertThat(second.get(0).marks()).containsExactly(Mark.ACCENT);
        assertThat(second.get(2).marks()).containsExactlyInAnyOrder(Mark.DOWN_BOW, Mark.BREATH);
        assertThat(part.measures().get(1).words()).isEqualTo("softly");
    }

    @Test
    void pluckingHoldsUntilTheBowAndAGlideGoesToTheNextNote() {
        Part part = read("\"^pizz.\"B c d z|e \"^arco\"f !~(!c !~)!B|").sounding();

        assertThat(part.measures().stream().flatMap(m -> m.notes().stream()).map(Note::marks))
                .containsExactly(
                        Set.of(Mark.PIZZICATO),
                        Set.of(Mark.PIZZICATO),
                        Set.of(Mark.PIZZICATO),
                        Set.of(),
                        Set.of(Mark.PIZZICATO),
                        Set.of(),
                        Set.of(Mark.GLISSANDO),
                        Set.of());
        assertThat(part.measures()).extracting(Measure::words).containsOnly("");
    }

    @Test
    void headsChangeOnTheWay() {
        Part part = Read.abc("T:Turn\nM:6/8\nL:1/8\nQ:3/8=60\nK:Gm\nG3 A3|[M:2/4][K:D]F2 F2|[Q:1/4=100]F4|")
                .sounding();
        assertThat(part.key().name()).isEqualTo("G minor");
        assertThat(part.tempo().orElseThrow().bpm().value())
                .as("a dotted quarter is one and a half")
                .isEqualTo(90);
        assertThat(part.keyAt(1).name()).isEqualTo("D major");
        assertThat(part.meterAt(1).toString()).isEqualTo("2/4");
        assertThat(part.measures()
                        .get(1)
                        .notes()
                        .getFirst()
                        .pitch()
                        .orElseThrow()
                        .toString())
                .isEqualTo("F#4");
        assertThat(part.measures().get(2).tempos().getFirst().tempo().bpm().value())
                .isEqualTo(100);
        assertThat(part.measures().getFirst().length()).isEqualTo(Beats.of(3));
    }

    @Test
    void aVoiceNamedAfterAnInstrumentIsItsOwnPart() {
        Score score = read("V:all\nB4|c4|\nV:percussion\nB B B B|z4|\n");
        assertThat(score.own()).containsOnlyKeys(Voice.of(new InstrumentCode("percussion")));
        assertThat(score.partOf(new InstrumentCode("percussion"))
                        .measures()
                        .getFirst()
                        .notes())
                .hasSize(4);
        assertThat(score.title()).isEqualTo("First light");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "B c d w|; 6; 7; \"w\" is no note, rest or sign of ABC.",
                "B [ce] d|; 6; 3; A chord stands here; a line of a method book is one voice. Keep its top note.",
                "\"Bb B c|; 6; 1; A word in quotes is never closed.",
                "-B|; 6; 1; This belongs to a note before it, and there is none in this measure.",
                "z-|; 6; 2; A rest cannot be tied.",
                "B0|; 6; 1; A length is written like 2, /2 or 3/2."
            })
    void whatIsWrongIsToldByLineAndColumn(String body, int line, int column, String sentence) {
        String whole = sentence.startsWith("A chord")
                ? "A chord stands here; a line of a method book is one voice. Keep its top note."
                : sentence;
        assertThatThrownBy(() -> read(body)).isInstanceOfSatisfying(LineFileException.class, e -> {
            assertThat(e).hasMessage(whole);
            assertThat(e.line()).isEqualTo(line);
            assertThat(e.column()).isEqualTo(column);
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "K:H; 1; A key is written like Bb or Gm, was \"H\".",
                "M:three; 1; A meter is written like 3/4, was \"three\".",
                "L:1/5; 1; A unit length is written like 1/8, was \"1/5\".",
                "Q:fast; 1; A tempo is written like 1/4=80, was \"fast\".",
                "B c; 1; The notes begin before the key is given. Write K: first.",
                "K:Bb; 1; There are no notes yet."
            })
    void aHeadThatCannotBeRead(String text, int line, String sentence) {
        assertThatThrownBy(() -> Read.abc(text)).isInstanceOfSatisfying(LineFileException.class, e -> {
            assertThat(e.getMessage()).isEqualTo(sentence);
            assertThat(e.line()).isEqualTo(line);
        });
    }
}
