package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.Notated;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Vocabulary.First;
import vividroster.core.reading.Vocabulary.NewKey;
import vividroster.core.reading.Vocabulary.NewMeter;
import vividroster.core.reading.Vocabulary.NewNote;
import vividroster.core.reading.Vocabulary.NewSign;
import vividroster.core.reading.Vocabulary.NewValue;
import vividroster.core.reading.Vocabulary.Sign;

/** What a section has met, and what is new to it. */
class VocabularyTest {

    private static List<Sign> signs(Part part) {
        return Vocabulary.NOTHING.newIn(TimedView.of(part)).stream()
                .map(First::thing)
                .filter(NewSign.class::isInstance)
                .map(t -> ((NewSign) t).sign())
                .toList();
    }

    @Test
    void newIsWhatTheTrackHasNotBroughtWhereverItStands() {
        TimedView met = Lines.timed("C major", "4/4", "C4 D4 E4*2");
        TimedView line = Lines.timed("C major", "4/4", "C4 D4 F4*2 | C4 F4 E4*2 | F#4*4");
        assertThat(Vocabulary.of(met).newIn(line))
                .containsExactly(
                        new First(new NewNote(65), 0, 2, Pitch.named("F4")),
                        new First(new NewValue(new Notated(0, 0, 1, 1), false), 2, 0, null),
                        new First(new NewSign(Sign.SHARP), 2, 0, null),
                        new First(new NewNote(66), 2, 0, Pitch.named("F#4")));
    }

    @Test
    void anotherSpellingIsNoNewNote() {
        Vocabulary met = Vocabulary.of(Lines.timed("C major", "4/4", "F#4*4"));
        assertThat(met.knows(Pitch.named("Gb4"))).isTrue();
        assertThat(met.knows(Pitch.named("G4"))).isFalse();
    }

    @Test
    void aNewKeyOrMeterIsTold() {
        Vocabulary met = Vocabulary.of(Lines.timed("C major", "4/4", "C4*4"));
        assertThat(met.newIn(Lines.timed("F major", "3/4", "C4 C4 C4")).stream().map(First::thing))
                .anyMatch(t -> t instanceof NewKey key && key.fifths() == -1)
                .anyMatch(t -> t instanceof NewMeter);
    }

    @Test
    void whatOneHasMetGrows() {
        Vocabulary one = Vocabulary.of(Lines.timed("C major", "4/4", "C4*4"));
        Vocabulary both = one.plus(Vocabulary.of(Lines.timed("C major", "4/4", "D4*4")));
        assertThat(both.newIn(Lines.timed("C major", "4/4", "C4*4 | D4*4"))).isEmpty();
        assertThat(one.newIn(Lines.timed("C major", "4/4", "C4*4 | D4*4"))).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "|:A B:|; REPEAT",
                "|:A [1B:|] [2C]; REPEAT,ENDINGS",
                "A,F B,DCF; FINE,DA_CAPO",
                "A,$ B,> C,DSC D,O; CODA,DAL_SEGNO",
                "a B; PICK_UP"
            })
    void signsOfTheWayAreTold(String roadmap, String expected) {
        assertThat(signs(Lines.roadmap(roadmap)).stream().map(Sign::name).toList())
                .containsExactly(expected.split(","));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "C4/2 D4 D4 D4/2 E4; SYNCOPATION",
                "C4 D4 E4 F4/2 G4/2~ | G4*4; TIE,SYNCOPATION",
                "C4~ C4 r*2; TIE",
                "Eb4 E4 E4*2; FLAT,NATURAL",
                "C4 D4 E4 F4;"
            })
    void signsOfNotesAreTold(String notes, String expected) {
        assertThat(signs(Lines.notes("C major", "4/4", notes)).stream().map(Sign::name))
                .containsExactly(expected == null ? new String[0] : expected.split(","));
    }

    @Test
    void aPickUpOfAnEighthIsNoSyncopation() {
        Part part = Lines.numbered(Lines.notes("C major", "4/4", "G4/2 | C4*4"), 0, 1);
        assertThat(signs(part)).containsExactly(Sign.PICK_UP);
        Part split = Lines.numbered(Lines.notes("C major", "4/4", "C4*2 D4 E4/2 | F4/2 | C4*4"), 1, 1, 2);
        assertThat(signs(split)).as("the second half of a split measure").isEmpty();
    }
}
