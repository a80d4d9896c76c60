package vividroster.core.hands;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.hands.Breaths.Breath;
import vividroster.core.music.Part;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;

/** Where a line is breathed. All lines here go at 60, a beat a second. */
class BreathsTest {

    private static List<Double> seconds(Part part, double most) {
        return Breaths.of(TimedView.of(part), most).stream()
                .map(Breath::seconds)
                .toList();
    }

    /** Expected seconds are counted by hand. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "rests are breaths; C4 D4 E4 r | F4 G4 A4 r; 3 3",
                "so is a short one; C4 D4 E4/2 r/2 F4 | G4*4; 2.5 5",
                "a phrase of two measures is parted at the bar line; C4 D4 E4 F4 | G4 F4 E4 D4; 4 4",
                "where the rhythm comes again; C4 D4 E4*2 | F4 G4 F4 E4 | D4 E4 F4*2 | E4 D4 C4 D4; 4 4 4 4",
                "a slur is not cut; (C4 D4 E4 F4 | G4 F4 E4 D4); 8",
                "nor is a tie; C4 D4 E4*2~ | E4*4 | C4*4; 2 6 4",
                "a long tone is one breath; C4*4~ | C4*4; 8",
                "within a measure where there is no bar line; C4*4 C4*4; 4 4"
            })
    void nobodyIsAskedForMoreThanABreath(String what, String notes, String expected) {
        assertThat(seconds(Lines.at(60, Lines.notes("C major", "4/4", notes)), 6))
                .as(what)
                .isEqualTo(List.of(expected.split(" ")).stream()
                        .map(Double::valueOf)
                        .toList());
    }

    /** The second measure repeats the first, yet a breath after one measure of four is none a teacher would ask for. */
    @Test
    void aRhythmThatComesAtOnceAgainDoesNotPartAPhraseAtItsBeginning() {
        Part bell = Lines.notes("C major", "4/4", "C4*2 E4*2 | C4*2 E4*2 | D4 E4 F4 E4 | C4*2 r*2");
        assertThat(seconds(Lines.at(60, bell), 9)).containsExactly(8.0, 6.0);
    }

    @Test
    void whatSaysSoAndWhatDoesNotAreTold() {
        List<Breath> breaths = Breaths.of(Lines.timed("C major", "4/4", "C4 D4 E4 r | F4 G4 A4 B4 | C5 B4 A4 G4"), 6);
        assertThat(breaths).extracting(Breath::endsAsWritten).containsExactly(true, false, false);
        assertThatThrownBy(() -> Breaths.of(Lines.timed("C major", "4/4", "C4*4"), 0))
                .hasMessage("a breath must be more than 0 seconds, was 0.0");
    }

    @Property
    void everyNoteIsInOneBreathAndNoneIsLongerThanNeedBe(
            @ForAll @Size(min = 1, max = 30) List<@IntRange(min = 1, max = 4) Integer> lengths,
            @ForAll @IntRange(min = 4, max = 12) int most) {
        StringBuilder notes = new StringBuilder();
        lengths.forEach(length ->
                notes.append(notes.isEmpty() ? "" : " | ").append("C4*").append(length));
        TimedView view = Lines.timed("C major", "4/4", notes.toString());
        List<Breath> breaths = Breaths.of(view, most);
        assertThat(breaths.stream().flatMap(b -> b.notes().stream()).toList())
                .isEqualTo(view.notes().stream().flatMap(List::stream).toList());
        assertThat(breaths).allSatisfy(b -> assertThat(b.seconds()).isLessThanOrEqualTo(most));
    }
}
