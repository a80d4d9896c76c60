package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.HomeOctave;
import vividroster.core.instrument.Range;
import vividroster.core.music.Beats;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.music.Spelling;
import vividroster.core.music.Transposition;
import vividroster.core.music.Voice;
import vividroster.core.reading.Fitted.Compass;
import vividroster.core.reading.Fitted.Move;
import vividroster.core.reading.Fitted.Why;

/** The octave a section reads in, and when a phrase leaves it. */
class FittedTest {

    private static final Transposition B_FLAT = new Transposition(-1, -2);
    private static final Pitch CONCERT = Pitch.named("Bb3");
    private static final HomeOctave TRUMPET = HomeOctave.of(CONCERT, Pitch.named("C4"), B_FLAT);
    private static final Compass BEGINNER = new Compass(Range.parse("C4-Bb4"), Range.parse("F#3-C6"));

    private static Fitted trumpet(String notes) {
        return Fitted.of(Lines.timed("B-flat major", "4/4", notes), B_FLAT, TRUMPET, BEGINNER, Spelling.FLATS_AT_SIX);
    }

    private static String names(Fitted fitted) {
        return fitted.part().measures().stream()
                .map(m -> m.notes().stream()
                        .map(n -> n.pitch().map(Pitch::toString).orElse("r"))
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
    }

    /** Where concert B-flat is written; from the table of what beginners begin on. */
    @ParameterizedTest
    @CsvSource({
        "Bb4,0,0,1",
        "C4,-1,-2,0",
        "C4,-8,-14,-1",
        "G4,-5,-9,0",
        "G4,-12,-21,-1",
        "F4,-4,-7,0",
        "Bb2,0,0,-1",
        "Bb1,0,0,-2",
        "Bb4,14,24,3"
    })
    void theHomeOctaveFollowsFromWhereTheFiveNotesBegin(String written, int steps, int semitones, int octaves) {
        assertThat(HomeOctave.of(CONCERT, Pitch.named(written), new Transposition(steps, semitones))
                        .octaves())
                .isEqualTo(octaves);
    }

    @Test
    void aHomeOctaveIsAnOctaveOfTheConcertNote() {
        assertThatThrownBy(() -> HomeOctave.of(CONCERT, Pitch.named("D4"), B_FLAT))
                .hasMessage("a home octave is so many octaves from Bb3, but D4 is written for another note");
    }

    @ParameterizedTest
    @CsvSource({"Bb3,0", "Eb3,0", "A4,0", "Bb4,1", "D3,-1", "Bb2,-1", "Eb2,-1", "D2,-2", "C6,2"})
    void aLineWrittenElsewhereIsReadAtHomeAllTheSame(String lowest, int register) {
        assertThat(TRUMPET.register(Pitch.named(lowest).midi())).isEqualTo(register);
    }

    @ParameterizedTest
    @CsvSource({"2", "3", "4", "5"})
    void theFiveNotesAreReadInOneOctaveWhereverThePageHasThem(int octave) {
        String page = "Bb%1$d C%2$d D%2$d Eb%2$d | F%2$d*4".formatted(octave, octave + 1);
        Fitted fitted = trumpet(page);
        assertThat(names(fitted)).as(page).isEqualTo("C4 D4 E4 F4 | G4");
        assertThat(fitted.register()).isEqualTo(octave - 3);
        assertThat(fitted.moves()).isEmpty();
    }

    /** Second phrase D5 E5 F5 D5 lies above the stage and fits whole an octave lower; the others stay. */
    @Test
    void aWholePhraseLeavesTheHomeOctaveWhereTheStageDemandsIt() {
        Fitted fitted = trumpet("Bb3 C4 D4 r | C5 D5 Eb5 r | Bb3 C4 Bb3*2");
        assertThat(names(fitted)).isEqualTo("C4 D4 E4 r | D4 E4 F4 r | C4 D4 C4");
        assertThat(fitted.moves()).containsExactly(new Move(1, 1, -1, Why.ABOVE_STAGE));
        assertThat(fitted.octaves()).isZero();
        assertThat(fitted.firstOctaves()).isZero();
        assertThat(fitted.outside()).isEmpty();
    }

    @Test
    void neighboursThatGoTogetherAreOneMove() {
        Fitted fitted = trumpet("C5 D5 Eb5 r | C5 D5 C5 r | Bb3 C4 D4 r | C5 D5 Eb5 r");
        assertThat(fitted.moves())
                .containsExactly(new Move(0, 1, -1, Why.ABOVE_STAGE), new Move(3, 3, -1, Why.ABOVE_STAGE));
    }

    @Test
    void aPhraseThatFitsNowhereStaysAtHomeAndIsNamed() {
        Fitted fitted = trumpet("Bb3 D4 F4 Bb4 | D5*4");
        assertThat(names(fitted)).isEqualTo("C4 E4 G4 C5 | E5");
        assertThat(fitted.moves()).isEmpty();
        assertThat(fitted.outside()).containsExactly(Pitch.named("C5"), Pitch.named("E5"));
    }

    @Test
    void whatTheInstrumentCannotPlayAtAllIsMovedEvenWhereTheStageIsPassed() {
        Fitted fitted = trumpet("Bb3 C4 D4 r | Eb3 Bb3 F4 Bb4 | F4 D4 Bb3 r");
        assertThat(fitted.moves()).containsExactly(new Move(1, 2, 1, Why.BELOW_INSTRUMENT));
        assertThat(names(fitted)).startsWith("C4 D4 E4 r | F4 C5 G5 C6");
    }

    @Test
    void theFirstPhraseTellsWhereTheLineBegins() {
        assertThat(trumpet("C5 D5 Eb5 r | Bb3 C4 D4 r").firstOctaves()).isEqualTo(-1);
    }

    @Test
    void aVoiceWrittenForTheInstrumentStaysWhereItIs() {
        Fitted fitted = Fitted.of(
                Lines.timed("B-flat major", "4/4", "Bb4 C5 D5 Eb5"),
                B_FLAT,
                HomeOctave.AS_WRITTEN,
                BEGINNER,
                Spelling.FLATS_AT_SIX);
        assertThat(names(fitted)).isEqualTo("C5 D5 E5 F5");
        assertThat(fitted.moves()).isEmpty();
        assertThat(fitted.outside()).as("beyond the stage, and said").hasSize(4);
    }

    @Test
    void tiesAndSlursAreNeverCut() {
        Fitted fitted = trumpet("Bb3 C4 D4 r | C5 D5 C5*2~ | C5*4 | Bb3 C4 D4 r");
        assertThat(names(fitted)).isEqualTo("C4 D4 E4 r | D4 E4 D4 | D4 | C4 D4 E4 r");
        assertThat(fitted.moves()).containsExactly(new Move(1, 2, -1, Why.ABOVE_STAGE));
    }

    @Test
    void aLineThatCannotBeWrittenIsRefused() {
        assertThatThrownBy(() -> trumpet("C0 A9 A9 A9"))
                .hasMessage("the line reaches farther than can be written for one instrument");
    }

    /** Nothing but octaves, whole phrases, and home wherever that is within the stage. */
    @Property(tries = 300)
    void whateverIsReadItSoundsTheSameButForOctaves(
            @ForAll @Size(min = 1, max = 24) List<@IntRange(min = 30, max = 90) Integer> midis,
            @ForAll @IntRange(min = 0, max = 7) int rests) {
        List<Measure> measures = new ArrayList<>();
        for (int i = 0; i < midis.size(); i++) {
            Pitch pitch = named(midis.get(i));
            boolean rest = rests > 0 && i % (rests + 1) == rests;
            measures.add(Measure.of(
                    i + 1,
                    List.of(Note.of(pitch, Beats.of(2)), rest ? Note.rest(Beats.of(2)) : Note.of(pitch, Beats.of(2)))));
        }
        TimedView view = TimedView.of(new Part(new Key(0, Mode.MAJOR), new Meter(4, 4), Optional.empty(), measures));
        Fitted fitted = Fitted.of(view, B_FLAT, TRUMPET, BEGINNER, Spelling.FLATS_AT_SIX);
        List<Pitch> sounding = view.part().pitches();
        List<Pitch> written = fitted.part().pitches();
        for (int i = 0; i < sounding.size(); i++) {
            int apart = written.get(i).midi() - 2 - sounding.get(i).midi();
            assertThat(apart % 12).isZero();
        }
        for (List<TimedView.At> phrase : Phrases.of(view)) {
            List<Integer> octaves = phrase.stream()
                    .filter(at -> !at.isRest())
                    .map(at -> (fitted.part()
                                            .measures()
                                            .get(at.measure())
                                            .notes()
                                            .get(at.index())
                                            .pitch()
                                            .orElseThrow()
                                            .midi()
                                    - at.note().pitch().orElseThrow().midi()
                                    - 2)
                            / 12)
                    .distinct()
                    .toList();
            assertThat(octaves).hasSizeLessThanOrEqualTo(1);
            boolean fitsAtHome = phrase.stream()
                    .filter(at -> !at.isRest())
                    .map(at -> at.note().pitch().orElseThrow().midi() + 2 + 12 * fitted.octaves())
                    .allMatch(m -> m >= BEGINNER.stage().low().midi()
                            && m <= BEGINNER.stage().high().midi());
            if (fitsAtHome && !octaves.isEmpty()) {
                assertThat(octaves).containsExactly(fitted.octaves());
            }
        }
    }

    private static Pitch named(int midi) {
        return Pitch.named(List.of("C", "C#", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B")
                        .get(midi % 12)
                + (midi / 12 - 1));
    }

    /** Everybody's line and one of the horns' own below it. */
    @Test
    void hornsReadTheirOwnLineWhereTheyBeginLow() {
        Part everybody = Lines.notes("B-flat major", "4/4", "Bb3 C4 D4*2");
        Part low = Lines.notes("B-flat major", "4/4", "F3 G3 A3*2");
        Score score = new Score("", everybody, Map.of(Voice.of(new InstrumentCode("horn")), low));
        assertThat(OwnVoice.read(score, new InstrumentCode("horn"), true)).isSameAs(low);
        assertThat(OwnVoice.read(score, new InstrumentCode("horn"), false)).isSameAs(everybody);
        assertThat(OwnVoice.read(score, new InstrumentCode("trumpet"), true)).isSameAs(everybody);
        assertThat(OwnVoice.has(score, new InstrumentCode("horn"))).isTrue();
        assertThat(OwnVoice.has(score, new InstrumentCode("trumpet"))).isFalse();
    }

    @Test
    void aHornPartAmongOthersAndAMeasureForHornsAloneAreReadByAll() {
        Part everybody = Lines.notes("B-flat major", "4/4", "Bb3 C4 D4*2 | r*4");
        Part horn = Lines.notes("B-flat major", "4/4", "r*4 | F3 G3 A3*2");
        assertThat(OwnVoice.read(
                        new Score("", everybody, Map.of(Voice.of(new InstrumentCode("horn")), horn)),
                        new InstrumentCode("horn"),
                        false))
                .isSameAs(horn);
        Part steady = Lines.notes("B-flat major", "4/4", "F3 G3 A3*2 | r*4");
        Score full = new Score(
                "",
                everybody,
                Map.of(Voice.of(new InstrumentCode("horn")), steady, Voice.of(new InstrumentCode("flute")), everybody));
        assertThat(OwnVoice.read(full, new InstrumentCode("horn"), false)).isSameAs(steady);
    }
}
