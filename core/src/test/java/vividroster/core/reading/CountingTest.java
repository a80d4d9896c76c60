package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.Beats;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.rehearsal.Likeness;
import vividroster.core.rehearsal.Likeness.Borrowed;
import vividroster.core.rehearsal.Likeness.Kind;
import vividroster.core.rehearsal.Likeness.Like;

/** Counting, coming in, and what a line repeats of an earlier one. */
class CountingTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "4/4; C4 C4 C4 C4; 1 2 3 4",
                "4/4; C4*2 r C4; 1 (2) [3] 4",
                "4/4; C4/2 C4/2 C4/4 C4/4 C4/4 C4/4 C4*2; 1 & 2 e & a 3 (4)",
                "4/4; C4/2 C4 C4/2 C4*2; 1 & (2) & 3 (4)",
                "4/4; r*4; [1] [2] [3] [4]",
                "2/4; C4/3 C4/3 C4/3 C4; 1 la li 2",
                "6/8; C4/2 C4/2 C4/2 C4 C4/2; 1 la li 2 li"
            })
    void aMeasureIsCountedAloud(String meter, String notes, String spoken) {
        Part part = Lines.notes("C major", meter, notes);
        assertThat(Counting.spoken(TimedView.of(part), 0)).isEqualTo(spoken);
    }

    private static Part withPickUp(String notes) {
        Part part = Lines.notes("C major", "4/4", notes);
        List<Measure> measures = new java.util.ArrayList<>(part.measures());
        for (int m = 0; m < measures.size(); m++) {
            measures.set(m, Measure.of(m, measures.get(m).notes()));
        }
        return new Part(part.key(), part.meter(), part.tempo(), measures);
    }

    @Test
    void aPickUpIsCountedWhereItStands() {
        Part part = withPickUp("G4/2 G4/2 | C4*4");
        assertThat(Counting.spoken(TimedView.of(part), 0)).isEqualTo("4 &");
        Entry entry = Entry.of(TimedView.of(part), 1).orElseThrow();
        assertThat(entry.counted()).containsExactly("1", "2", "3");
        assertThat(entry.entersOn()).isEqualTo("4");
        assertThat(entry.countInBeats()).isEqualTo(Beats.of(3));
        assertThat(Entry.of(TimedView.of(part), 2).orElseThrow().counted())
                .containsExactly("1", "2", "3", "4", "1", "2", "3");
    }

    @Test
    void oneBreathesOnTheLastPulseBeforeTheEntry() {
        assertThat(Entry.of(Lines.timed("C major", "4/4", "C4*4"), 1)
                        .orElseThrow()
                        .counted())
                .containsExactly("1", "2", "3", "4");
        Entry late = Entry.of(Lines.timed("C major", "3/4", "r*3 | r E4 D4"), 1).orElseThrow();
        assertThat(late.counted()).containsExactly("1", "2", "3", "1", "2", "3", "1");
        assertThat(late.first()).isEqualTo(Pitch.named("E4"));
        assertThat(late.measure()).isEqualTo(1);
        assertThat(late.entersOn()).isEqualTo("2");
        assertThat(Entry.of(Lines.timed("C major", "4/4", "r*4"), 1)).isEmpty();
        assertThatThrownBy(() -> Entry.countIn(Lines.timed("C major", "4/4", "r*4"), 3))
                .hasMessage("a count-in has 1 or 2 measures, was 3");
    }

    @Test
    void aPickUpMayBeNumbered() {
        Part part = withPickUp("G4 | C4*4 | D4*4");
        assertThat(Numbering.USUAL.of(part, 1)).isEqualTo(1);
        assertThat(new Numbering(true).of(part, 0)).isEqualTo(1);
        assertThat(new Numbering(true).of(part, 1)).isEqualTo(2);
        assertThat(new Numbering(true).of(Lines.notes("C major", "4/4", "C4*4"), 0))
                .isEqualTo(1);
        assertThat(Numbering.printed(part)).isEqualTo(2);
        assertThat(Numbering.played(part, Roadmap.of(part, Roadmap.Options.USUAL)))
                .isEqualTo(2);
    }

    private static final Part EARLIER = Lines.notes("C major", "4/4", "C4 D4 E4 F4 | G4*2 E4*2 | C4*4");

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "C4 D4 E4 F4 | G4*2 E4*2 | C4*4; SAME",
                "C5 D5 E5 F5 | G5*2 E5*2 | C5*4; OTHER_OCTAVE",
                "F4 G4 A4 Bb4 | C5*2 A4*2 | F4*4; OTHER_KEY",
                "C4 D4 Eb4 F4 | G4*2 Eb4*2 | C4*4; OTHER_MODE",
                "C4/2 D4/2 E4/2 F4/2 G4 E4 | C4*4; OTHER_RHYTHM",
                "C4 D4 E4 G4 | G4*2 E4*2 | C4*4;"
            })
    void aLineThatIsAnEarlierOneIsFound(String notes, Kind kind) {
        assertThat(Likeness.of(Lines.notes("C major", "4/4", notes), List.of(EARLIER)))
                .isEqualTo(Optional.ofNullable(kind).map(k -> new Like(0, k)));
    }

    @Test
    void theNearestAndThenTheLatestIsNamed() {
        Part octave = Lines.notes("C major", "4/4", "C5 D5 E5 F5 | G5*2 E5*2 | C5*4");
        assertThat(Likeness.of(EARLIER, List.of(octave, EARLIER, EARLIER, octave)))
                .contains(new Like(2, Kind.SAME));
        Part slurred = new Part(
                EARLIER.key(),
                EARLIER.meter(),
                EARLIER.tempo(),
                EARLIER.measures().stream()
                        .map(m -> m.withNotes(m.notes().stream()
                                .map(n -> new Note(
                                        n.pitch(),
                                        n.length(),
                                        n.tied(),
                                        new Note.Slurs(1, 1),
                                        n.marks(),
                                        n.graces(),
                                        n.lyric()))
                                .toList()))
                        .toList());
        assertThat(Likeness.of(slurred, List.of(EARLIER))).contains(new Like(0, Kind.OTHER_SLURS));
        assertThat(Likeness.of(Lines.notes("C major", "4/4", "C4*4"), List.of(Lines.notes("C major", "4/4", "C4*4"))))
                .as("short lines are alike by chance")
                .isEmpty();
    }

    @Test
    void measuresOfEarlierLinesAreFound() {
        Part line = Lines.notes("C major", "4/4", "G4*4 | C4 D4 E4 F4 | C4*4");
        assertThat(Likeness.measures(line, List.of(EARLIER))).containsExactly(new Borrowed(1, 0, 0));
    }

    @Test
    void aMeterOfElevenIsCountedToo() {
        Part odd = Lines.notes("C major", "5/8", "C4/2 C4/2 C4/2 C4");
        assertThat(Counting.spoken(TimedView.of(odd), 0)).isEqualTo("1 2 3 4 (5)");
    }
}
