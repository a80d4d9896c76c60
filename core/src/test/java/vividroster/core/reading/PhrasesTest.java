package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.Part;
import vividroster.core.music.Signs;

/** Where a line takes breath by its own shape. */
class PhrasesTest {

    private static List<Integer> sizes(Part part) {
        return Phrases.of(TimedView.of(part)).stream().map(List::size).toList();
    }

    /** Expected sizes are counted in notes and rests by hand. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "all alike; C4*4 | D4*4 | E4*4 | C4*4; 4",
                "a rest of a beat ends one; C4 D4 E4 r | C4 D4 E4*2; 4 3",
                "a short rest does not; C4 D4/2 r/2 E4 F4 | G4 A4 B4 C5; 9",
                "rests go with what is before; C4 D4 r*2 | r*4 | C4 D4 E4 F4; 4 4",
                "a long note at a bar line does; C4 D4 E4 F4 | G4*4 | C4 D4 E4 F4 | C4*4; 5 5",
                "but not after one measure; C4 D4 E4*2 | C4 D4 E4 F4 | G4*4 | C4 D4 E4 F4 | C4*4; 8 5",
                "inside a measure it does not; C4*2 D4 E4 | F4 G4 A4 B4 | C5 B4 A4 G4; 11",
                "with two attacks it does not; C4*2 D4*2 | E4 F4 G4 A4 | B4 C5 D5 E5; 10",
                "a tie is not cut; C4 D4 E4*2~ | E4*4 | C4 D4 E4 F4; 4 4",
                "a slur is not cut; C4 D4 (E4*2 | F4) G4 A4 B4 | C4 D4 E4 F4; 11"
            })
    void aPhraseEndsWhereTheLineBreathes(String what, String notes, String expected) {
        assertThat(sizes(Lines.notes("C major", "4/4", notes)))
                .as(what)
                .isEqualTo(List.of(expected.split(" ")).stream()
                        .map(Integer::valueOf)
                        .toList());
    }

    @Test
    void aLongNoteBeforeAPickUpEndsOneToo() {
        Part part = Lines.numbered(
                Lines.notes("C major", "4/4", "G4 | C4 D4 E4 F4 | G4*3 G4 | C4 D4 E4 F4 | C4*3"), 0, 1, 2, 3, 4);
        assertThat(sizes(part)).containsExactly(6, 6);
    }

    @Test
    void aStrainEndsOne() {
        Part part = Lines.notes("C major", "4/4", "C4 D4 E4 F4 | G4 F4 E4 D4 | C4 D4 E4 C4");
        assertThat(sizes(Lines.with(part, 1, m -> m.withSigns(repeated())))).containsExactly(8, 4);
    }

    private static Signs repeated() {
        return Lines.roadmap("A:|").measures().getFirst().signs();
    }
}
