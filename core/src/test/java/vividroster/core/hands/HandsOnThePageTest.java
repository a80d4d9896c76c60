package vividroster.core.hands;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.hands.Rolls.Roll;
import vividroster.core.instrument.BrassChart;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.KeyChart;
import vividroster.core.music.Key;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Lines;
import vividroster.core.reading.Styles;
import vividroster.core.reading.Styles.Style;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Vocabulary;

class HandsOnThePageTest {

    /** E, F-sharp, G and A of a clarinet, as charts have them: F-sharp is the first finger alone, G nothing, A its key. */
    private static final FingeringChart CLARINET = new KeyChart(Map.of(
            midi("E4"), List.of(keys("T 1", 0b11)),
            midi("F#4"), List.of(keys("1", 0b10)),
            midi("G4"), List.of(keys("open", 0)),
            midi("A4"), List.of(keys("A", 0, "A"))));

    private static int midi(String pitch) {
        return Pitch.named(pitch).midi();
    }

    private static Fingering keys(String label, int holes, String... keys) {
        return new Keys(holes, Set.of(keys), "low", label);
    }

    @Test
    void aClarinetRollsBetweenTheKeyAndTheHole() {
        TimedView view = Lines.timed("C major", "4/4", "E4 A4 F#4 G4 | A4 r E4 A4 | E4 r r r");

        assertThat(Rolls.of(view, Fingers.of(view, CLARINET, FourthFinger.EARLY)))
                .containsExactly(
                        new Roll(0, 1, true), new Roll(0, 2, false), new Roll(1, 3, true), new Roll(2, 0, false));
    }

    @ParameterizedTest(name = "{0} from {1}: {2} down, {3} up")
    @CsvSource({
        // Trumpet: open is partial 3 and 4 of C3; A4 is 1-2, F4 1, F-sharp 2.
        "C major, F4, F#4, 2, 1",
        "C major, G4, A4, 1 2, ''",
        "F major, C5, Bb4, 1, ''"
    })
    void aNewNoteIsToldByTheNearestThatWasMet(String key, String met, String note, String added, String lifted) {
        FingeringChart trumpet = BrassChart.valves(Pitch.named("C3"), false);
        Pitch now = Pitch.named(note);
        Vocabulary known = Vocabulary.of(TimedView.of(Lines.notes(key, "4/4", met + "*4")));

        FingeringChange change = FingeringChange.of(now, trumpet.of(now).getFirst(), trumpet, known, Key.named(key))
                .orElseThrow();

        assertThat(change.from()).isEqualTo(Pitch.named(met));
        assertThat(String.join(" ", change.added())).isEqualTo(added);
        assertThat(String.join(" ", change.lifted())).isEqualTo(lifted);
    }

    @Test
    void aSlideIsToldByThePositionsItGoes() {
        FingeringChart trombone = BrassChart.slide(Pitch.named("Bb1"));
        Pitch now = Pitch.named("C3");
        Vocabulary known = Vocabulary.of(Lines.timed("B-flat major", "4/4", "Bb2*2 D3*2"));

        FingeringChange change = FingeringChange.of(
                        now, trombone.of(now).getFirst(), trombone, known, Key.named("B-flat major"))
                .orElseThrow();

        assertThat(change.from()).as("as near as B-flat, and lower first").isEqualTo(Pitch.named("Bb2"));
        assertThat(change.positions()).isEqualTo(5);
    }

    @Test
    void nothingNearTellsNothing() {
        FingeringChart trumpet = BrassChart.valves(Pitch.named("C3"), false);
        Pitch now = Pitch.named("G4");
        Vocabulary known = Vocabulary.of(Lines.timed("C major", "4/4", "C4*4"));
        assertThat(FingeringChange.of(now, trumpet.of(now).getFirst(), trumpet, known, Key.named("C major")))
                .isEmpty();
        assertThat(FingeringChange.of(
                        now, trumpet.of(now).getFirst(), trumpet, Vocabulary.NOTHING, Key.named("C major")))
                .isEmpty();
    }

    @Test
    void marksDecideHowANoteIsStarted() {
        Part part = Lines.with(
                Lines.notes("C major", "4/4", "C4 D4 E4 r | (F4 G4) A4~ A4"),
                0,
                m -> m.withNotes(List.of(
                        m.notes().get(0).withMarks(Set.of(Mark.ACCENT)),
                        m.notes().get(1).withMarks(Set.of(Mark.STACCATO)),
                        m.notes().get(2).withMarks(Set.of(Mark.TENUTO)),
                        m.notes().get(3))));
        assertThat(Styles.of(TimedView.of(part)))
                .containsExactly(
                        List.of(Style.ACCENTED, Style.SHORT, Style.SOFT, Style.NONE),
                        List.of(Style.NEUTRAL, Style.SLURRED, Style.NEUTRAL, Style.NONE));
    }
}
