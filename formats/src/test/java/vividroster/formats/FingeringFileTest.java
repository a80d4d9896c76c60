package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.formats.catalog.FingeringFile;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.catalog.RangeFile;

class FingeringFileTest {

    private static final Map<InstrumentCode, FingeringChart> CHARTS = FingeringFile.shipped();
    private static final InstrumentCatalog CATALOG = InstrumentCatalogFile.shipped();

    /** Both spellings a reader may meet. */
    private static List<Pitch> spellings(int midi) {
        List<Pitch> spellings = new ArrayList<>();
        for (char letter : "CDEFGAB".toCharArray()) {
            for (int alter = -1; alter <= 1; alter++) {
                for (int octave = 0; octave < 9; octave++) {
                    Pitch pitch = new Pitch(letter, alter, octave);
                    if (pitch.midi() == midi && !(alter != 0 && "BE".indexOf(letter) >= 0 && alter == 1)) {
                        spellings.add(pitch);
                    }
                }
            }
        }
        return spellings;
    }

    @Test
    void everyNoteOfEverySchoolRangeHasAFingering() {
        RangeFile.shipped().forEach((code, ranges) -> {
            if (CHARTS.get(code) == FingeringChart.NONE) {
                return;
            }
            for (int midi = ranges.full().low().midi();
                    midi <= ranges.full().high().midi();
                    midi++) {
                int note = midi;
                assertThat(spellings(midi))
                        .as(code + " " + midi)
                        .anySatisfy(pitch -> assertThat(CHARTS.get(code).of(pitch))
                                .as(code + " " + pitch + " " + note)
                                .isNotEmpty());
            }
        });
    }

    @Test
    void everyInstrumentOfTheCatalogHasAChart() {
        assertThat(CHARTS.keySet())
                .containsExactlyElementsOf(
                        CATALOG.inScoreOrder().stream().map(i -> i.code()).toList());
    }

    @Test
    void noTwoNotesOfAWoodwindShareAFingering() {
        RangeFile.shipped().forEach((code, ranges) -> {
            List<String> seen = new ArrayList<>();
            for (int midi = ranges.full().low().midi();
                    midi <= ranges.full().high().midi();
                    midi++) {
                CHARTS.get(code).of(spellings(midi).getFirst()).stream()
                        .filter(Keys.class::isInstance)
                        .map(f -> f.label() + " in " + ((Keys) f).register())
                        .forEach(seen::add);
            }
            assertThat(seen).as(code.value()).doesNotHaveDuplicates();
        });
    }

    /** Expected fingerings: the usual chart of each instrument. */
    @ParameterizedTest
    @CsvSource({
        "trumpet,C4,open",
        "trumpet,D4,1-3",
        "trumpet,Eb4,2-3",
        "trumpet,E4,1-2",
        "trumpet,A4,1-2",
        "trumpet,D5,1",
        "trumpet,F#3,1-2-3",
        "trumpet,C6,open",
        "horn,C4,open",
        "horn,F4,1",
        "horn,G4,open",
        "horn,A4,T 1-2",
        "horn,Bb4,T 1",
        "horn,B4,T 2",
        "horn,C5,T open",
        "horn,C#5,T 2-3",
        "horn,D5,T 1-2",
        "horn,Ab5,T 2-3",
        "horn,A5,T 1-2",
        "flugelhorn,E4,1-2",
        "baritone,Eb3,1",
        "baritone-treble,D4,1-3",
        "horn,D4,1",
        "trombone,Bb2,1",
        "trombone,C3,6",
        "trombone,D3,4",
        "trombone,F3,1",
        "trombone,Ab3,3",
        "trombone,D4,1",
        "trombone,G3,4",
        "euphonium,Eb3,1",
        "euphonium,C3,1-3",
        "euphonium-treble,D4,1-3",
        "tuba,Bb1,open",
        "tuba,F2,open",
        "tuba,E1,1-2-3",
        "clarinet,E4,T 1",
        "clarinet,Eb4,T 12| side1",
        "clarinet,Bb5,reg T 12| side1",
        "bass-clarinet,Eb4,T 12| side1",
        "bass-clarinet,Bb5,reg T 12| side1",
        "bass-clarinet,C#6,reg T h 23|45",
        "bass-clarinet,D6,reg T h 23|4 RAb",
        "e-flat-clarinet,D5,reg T 123|456",
        "baritone-saxophone,A3,low-A 123|456 C",
        "baritone-saxophone,G4,123",
        "soprano-saxophone,D4,123|456",
        "piccolo,D4,T 123|456",
        "english-horn,B3,123 B|456 C",
        "bassoon,Bb1,tBb tB tC tD 123|tE 456 F",
        "bassoon,Bb2,w 123|rBb 45",
        "bassoon,A3,flA 123|45",
        "bassoon,Bb3,flC 123|rBb 45",
        "bassoon,B3,flC 123|4",
        "bassoon,C4,flC 123",
        "bassoon,D4,flD 12",
        "clarinet,G4,open",
        "clarinet,D5,reg T 123|456",
        "flute,C#5,Eb",
        "alto-saxophone,G4,123",
        "alto-saxophone,C#5,open",
        "oboe,C5,1|4",
        "bassoon,F3,w",
        "violin,G3,0",
        "violin,F#4,2",
        "violin,F4,L2",
        "violin,G#4,H3",
        "violin,B4,1",
        "violin,D#4,L1",
        "violin,Ab4,L4",
        "viola,D4,0",
        "cello,D3,0",
        "cello,E3,1",
        "cello,F3,2",
        "cello,F#3,3",
        "cello,G3,4",
        "double-bass,F2,1",
        "double-bass,F#2,1",
        "double-bass,B2,1",
        "double-bass,A3,1"
    })
    void theUsualWayComesFirst(InstrumentCode instrument, String note, String fingering) {
        assertThat(CHARTS.get(instrument).of(Pitch.named(note)).getFirst().label())
                .isEqualTo(fingering);
    }

    /** Alternates a director asks for by name. */
    @ParameterizedTest
    @CsvSource({
        "trombone,F3,6",
        "trombone,D4,4",
        "trombone,Bb3,5",
        "trumpet,E4,3",
        "tuba,C2,4",
        "horn,A4,1-2",
        "horn,D4,T 1-2",
        "trombone,G4,+2",
        "trombone,F#4,+3",
        "clarinet,Bb4,A| side3",
        "alto-saxophone,F6,reg front-F 2",
        "alto-saxophone,E6,reg front-F 23",
        "clarinet,C5,reg T 123 LF|456",
        "clarinet,Eb4,T 1|4",
        "alto-saxophone,Bb4,1 bis",
        "flute,Bb4,Tb 1| Eb",
        "violin,A4,4",
        "violin,D5,3",
        "cello,A3,4"
    })
    void alternatesFollow(InstrumentCode instrument, String note, String fingering) {
        assertThat(CHARTS.get(instrument).of(Pitch.named(note)).stream().map(Fingering::label))
                .contains(fingering);
    }

    @Test
    void aFourthFingerStandsOnTheLowerString() {
        OnString fourth = CHARTS.get(new InstrumentCode("violin")).of(Pitch.named("A4")).stream()
                .map(OnString.class::cast)
                .filter(f -> f.finger() == 4)
                .findFirst()
                .orElseThrow();
        assertThat(fourth.string()).isEqualTo("D");
        assertThat(fourth.position()).isEqualTo(1);
    }

    @Test
    void beyondTheChartThereIsNothing() {
        assertThat(CHARTS.get(new InstrumentCode("trumpet")).of(Pitch.named("C1")))
                .isEmpty();
        assertThat(CHARTS.get(new InstrumentCode("violin")).of(Pitch.named("C3")))
                .isEmpty();
        assertThat(CHARTS.get(new InstrumentCode("mallets")).of(Pitch.named("C4")))
                .isEmpty();
    }

    /** Expected: the charts of a horn with one side, and of a trombone with the attachment. */
    @ParameterizedTest
    @CsvSource({
        "horn,single-f,C#5,1-2,2",
        "horn,single-f,D5,1,open",
        "horn,single-f,A4,1-2,3",
        "horn,single-f,E5,open,1-2",
        "horn,single-b-flat,A4,1-2,open",
        "horn,single-b-flat,F4,open,2-3",
        "horn,single-b-flat,C5,open,1-3",
        "trombone,attachment,C3,T1,6",
        "trombone,attachment,B2,T2,7",
        "trombone,attachment,F2,T1,6",
        "trombone,attachment,F3,1,6"
    })
    void anInstrumentBuiltOtherwiseHasItsOwnChart(
            InstrumentCode instrument, String choice, String note, String first, String alternate) {
        List<String> labels =
                FingeringFile.charts().get(instrument).byChoice().get(choice).of(Pitch.named(note)).stream()
                        .map(Fingering::label)
                        .toList();
        assertThat(labels.getFirst()).isEqualTo(first);
        assertThat(labels).contains(alternate);
    }

    /** No seventh partial but where it can be raised into tune. */
    @Test
    void aTromboneTakesTheSeventhPartialRaisedAlone() {
        for (int midi = 40; midi < 80; midi++) {
            for (Pitch pitch : spellings(midi)) {
                CHARTS.get(new InstrumentCode("trombone")).of(pitch).stream()
                        .map(Fingering::label)
                        .filter(label -> label.startsWith("+"))
                        .forEach(label -> assertThat(pitch.midi() + " " + label).isIn("67 +2", "66 +3"));
            }
        }
    }

    /** Positions in the order a teacher prefers them: data of the instrument. */
    @ParameterizedTest
    @CsvSource({"violin,E5,0 1 3 5 2 4", "cello,F3,1 4", "cello,G3,1 2 3", "double-bass,C3,1 0"})
    void positionsArePreferredInTheInstrumentsOrder(InstrumentCode instrument, String note, String positions) {
        List<String> order = CHARTS.get(instrument).of(Pitch.named(note)).stream()
                .map(f -> String.valueOf(((OnString) f).position()))
                .distinct()
                .toList();
        assertThat(order).containsSubsequence(List.of(positions.split(" ")));
    }
}
