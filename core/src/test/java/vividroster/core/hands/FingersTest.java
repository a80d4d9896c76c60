package vividroster.core.hands;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.hands.Demand.Hardest;
import vividroster.core.hands.Demand.Kind;
import vividroster.core.hands.Demand.Peak;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.hands.Fingers.Marked;
import vividroster.core.instrument.BrassChart;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.KeyChart;
import vividroster.core.instrument.Partial;
import vividroster.core.instrument.Partial.Tendency;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.StringChart;
import vividroster.core.instrument.StringChart.Hand;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.HotSpots.Reason;
import vividroster.core.rehearsal.Reading;

/** How the hands find their way through a part. */
class FingersTest {

    private static final Range WIDE = Range.parse("C1-C7");
    private static final FingeringChart TROMBONE = BrassChart.slide(Pitch.named("Bb1"));
    private static final FingeringChart VIOLIN = new StringChart(
            List.of(Pitch.named("G3"), Pitch.named("D4"), Pitch.named("A4"), Pitch.named("E5")),
            Hand.BY_LETTER,
            List.of(1, 3, 5, 2, 4));
    private static final FingeringChart CELLO = new StringChart(
            List.of(Pitch.named("C2"), Pitch.named("G2"), Pitch.named("D3"), Pitch.named("A3")),
            Hand.CELLO,
            List.of(1, 4, 2, 3));
    private static final FingeringChart BASS = new StringChart(
            List.of(Pitch.named("E2"), Pitch.named("A2"), Pitch.named("D3"), Pitch.named("G3")),
            Hand.BASS,
            List.of(1, 0, 3, 2, 4));

    private static String labels(Part part, FingeringChart chart, int bpm, FourthFinger fourth) {
        return labels(Fingers.of(TimedView.of(Lines.at(bpm, part)), chart, fourth));
    }

    private static String labels(Fingers fingers) {
        return fingers.taken().stream()
                .map(measure -> measure.stream()
                        .map(t -> t.map(x -> x.fingering().label()
                                        + (x.marked() == Marked.FOURTH_FINGER
                                                ? "!"
                                                : x.marked() == Marked.ALTERNATE ? "*" : ""))
                                .orElse("-"))
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
    }

    /** Positions from the slide chart every trombonist learns; alternates only where the notes are fast. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "Bb2 C3 D3 F3; 60; 1 6 4 1",
                "C3 F3 C3 F3; 60; 6 1 6 1",
                "C3/4 F3/4 C3/4 F3/4; 100; 6 6* 6 6*",
                "C3*4 F3/4; 100; 6 6*",
                "F3*4 C3/4; 100; 1 6"
            })
    void heldNotesKeepUsualPositionsAndFastOnesSaveTravel(String notes, int bpm, String positions) {
        assertThat(labels(Lines.notes("B-flat major", "4/4", notes), TROMBONE, bpm, FourthFinger.EARLY))
                .isEqualTo(positions);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                // up the scale the open string is met anyway; between two notes of the lower string it is not
                "D4 E4 F#4 G4 | A4 B4 C#5 D5; EARLY; 0 1 2 3 | 0 1 2 3",
                "G4 A4 G4 F#4; EARLY; 3 4! 3 2",
                "G4 A4 G4 F#4; LATER; 3 0 3 2",
                "G4 A4 r F4; EARLY; 3 0 - L2"
            })
    void theFourthFingerStandsWhereTheBowWouldCrossAndComeBack(String notes, FourthFinger fourth, String fingers) {
        assertThat(labels(Lines.notes("D major", "4/4", notes), VIOLIN, 80, fourth))
                .isEqualTo(fingers);
    }

    /** Fingers are set one after the other: first, second, third, then the fourth; plucking crosses no string. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "D4 A4; 3 0 3 2",
                "D4 E4 F#4 A4; 3 0 3 2",
                "D4 E4 F#4 G4 A4; 3 4! 3 2",
                // the third finger of another string is no help
                "D4 A4 D5; 3 0 3 2"
            })
    void theFourthFingerComesAfterTheThirdOfItsString(String met, String fingers) {
        Part part = Lines.notes("D major", "4/4", "G4 A4 G4 F#4");
        Vocabulary before = Vocabulary.of(TimedView.of(Lines.notes("D major", "5/4", met)));
        Fingers taken = Fingers.of(TimedView.of(part), VIOLIN, FourthFinger.EARLY, Optional.of(before));
        assertThat(labels(taken)).isEqualTo(fingers);
    }

    @Test
    void whatIsPluckedKeepsTheOpenString() {
        Part plucked = Lines.with(
                Lines.notes("D major", "4/4", "G4 A4 G4 F#4"),
                0,
                m -> m.withNotes(m.notes().stream()
                        .map(note -> note.withMarks(Set.of(Mark.PIZZICATO)))
                        .toList()));
        assertThat(labels(plucked, VIOLIN, 80, FourthFinger.EARLY)).isEqualTo("3 0 3 2");
    }

    @Test
    void theCelloOpensItsHandAndShiftsOnlyWhereItMust() {
        assertThat(labels(Lines.notes("D major", "4/4", "D3 E3 F3 F#3 | G3 A3 Bb3 D4"), CELLO, 80, FourthFinger.EARLY))
                .isEqualTo("0 1 2 3 | 4 0 x1 4");
        Reading high = Lines.reading(Lines.notes("D major", "4/4", "A3 B3 E4 B3"), WIDE, CELLO);
        assertThat(high.hotSpots().getFirst().reasons()).contains(Reason.SHIFT);
        assertThat(high.demand()).contains(new Peak(Kind.SHIFTS, 2, 0));
    }

    @Test
    void theBassKeepsItsHandWhileOneHoldsAllNotes() {
        assertThat(labels(Lines.notes("F major", "4/4", "F2 G2 Bb2 G2"), BASS, 80, FourthFinger.EARLY))
                .startsWith("1 ");
        assertThatThrownBy(() -> new Fingering.OnString("E", 0, 5, 1, Fingering.Reach.USUAL))
                .hasMessage("a finger is 0 to 4, was 5");
        assertThatThrownBy(() -> new Slide(8, 2)).hasMessage("a slide has positions 1 to 7, was 8");
    }

    @Test
    void aLittleFingerDoesNotSlideFromKeyToKey() {
        Keys right = new Keys(0b1111111, Set.of("RF"), "low", "RF");
        Keys left = new Keys(0b1111111, Set.of("LF"), "low", "LF");
        Keys sharp = new Keys(0b1111111, Set.of("RAb"), "low", "RAb");
        FingeringChart chart = new KeyChart(Map.of(
                Pitch.named("F3").midi(), List.of(right, left),
                Pitch.named("Ab3").midi(), List.of(sharp)));
        assertThat(labels(Lines.notes("F minor", "4/4", "F3 Ab3 F3"), chart, 80, FourthFinger.EARLY))
                .isEqualTo("LF RAb LF");
        assertThat(right.movedTo(sharp)).isEqualTo(2);
        assertThat(right.slidesTo(sharp)).isTrue();
        assertThat(left.slidesTo(sharp)).isFalse();
    }

    @Test
    void demandCountsWhatEachFamilyDoes() {
        Part fourth = Lines.notes("B-flat major", "4/4", "Bb2 C3 D3 F3 | Bb2*4");
        assertThat(Lines.reading(fourth, WIDE, TROMBONE).demand())
                .as("positions 1 6 4 1: ten travelled in four seconds")
                .contains(new Peak(Kind.SLIDE_A_SECOND, 2.5, 0))
                .noneMatch(p -> p.kind() == Kind.CROSSINGS || p.kind() == Kind.FINGERS_A_SECOND);
        Part strings = Lines.notes("D major", "4/4", "D4 B4 D4 B4 | F5 G3 r*2");
        assertThat(Lines.reading(strings, WIDE, VIOLIN).demand())
                .as("within the measure and from it: A to E, E to G and back from none")
                .contains(new Peak(Kind.CROSSINGS, 4, 1));
        FingeringChart trumpet = BrassChart.valves(Pitch.named("C3"), false);
        assertThat(Lines.reading(Lines.notes("C major", "4/4", "C4 D4 E4 F4"), WIDE, trumpet)
                        .demand())
                .as("open, 1-3, 1-2, 1: five valves changed in four seconds")
                .contains(new Peak(Kind.FINGERS_A_SECOND, 5 / 4.0, 0));
    }

    @Test
    void aNewNoteIsAskedOfTheOneSectionThatHasNotMetIt() {
        Part line = Lines.notes("C major", "4/4", "C4 D4 E4 F4 | G4*4 | E4*4");
        Vocabulary met = Vocabulary.of(Lines.timed("C major", "4/4", "C4 D4 E4*2"));
        Reading reading = Lines.reading(line, WIDE, FingeringChart.NONE, Optional.of(met));
        assertThat(reading.demand()).contains(new Peak(Kind.NEW_NOTES, 1, 0));
        assertThat(reading.hotSpots().getFirst().reasons()).contains(Reason.NEW_NOTE);
        assertThat(Lines.reading(line, WIDE, FingeringChart.NONE).demand())
                .as("of a section whose track is not known nothing is said")
                .noneMatch(p -> p.kind() == Kind.NEW_NOTES);
    }

    @Test
    void theOneWithMostOfAKindHasTheHardOne() {
        List<Peak> easy = List.of(new Peak(Kind.LEAP, 2, 0), new Peak(Kind.ALTERED, 1, 3));
        List<Peak> hard = List.of(new Peak(Kind.LEAP, 4, 2), new Peak(Kind.ALTERED, 1, 1));
        assertThat(Demand.hardest(List.of(easy, hard), r -> r))
                .containsExactly(new Hardest<>(Kind.LEAP, hard, new Peak(Kind.LEAP, 4, 2), 2));
        assertThat(Demand.hardest(List.of(hard), r -> r))
                .as("alone there is nobody to compare with")
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"2,TRUE", "4,TRUE", "5,LOW", "6,HIGH", "8,TRUE", "10,LOW"})
    void nobodyIsBlamedForThePartial(int partial, Tendency tendency) {
        assertThat(Partial.tendency(partial)).isEqualTo(tendency);
    }
}
