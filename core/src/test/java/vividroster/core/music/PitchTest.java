package vividroster.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PitchTest {

    @ParameterizedTest
    @CsvSource({
        // MIDI numbers: middle C is 60 by convention
        "C4, 60, C 4",
        "A4, 69, A 4",
        "Bb2, 46, B-flat 2",
        "F#5, 78, F-sharp 5",
        "B-flat 2, 46, B-flat 2",
        "Cb5, 71, C-flat 5",
        "B#3, 60, B-sharp 3",
        "Ebb4, 62, E-double-flat 4",
        "f##4, 67, F-double-sharp 4"
    })
    void writtenPitches(String text, int midi, String name) {
        Pitch pitch = Pitch.named(text);
        assertThat(pitch.midi()).isEqualTo(midi);
        assertThat(pitch.name()).isEqualTo(name);
        assertThat(Pitch.named(pitch.toString())).isEqualTo(pitch);
    }

    @ParameterizedTest
    @CsvSource({"A4, 440, 440", "A5, 440, 880", "A3, 442, 221", "C4, 440, 261.6256", "Bb1, 440, 58.2705"})
    void equalTemperament(String text, double tuning, double hertz) {
        assertThat(Pitch.named(text).hertz(tuning)).isCloseTo(hertz, within(0.001));
    }

    @Property
    void anOctaveDoublesTheFrequency(
            @ForAll @IntRange(min = 0, max = 6) int letter,
            @ForAll @IntRange(min = -2, max = 2) int alter,
            @ForAll @IntRange(min = 0, max = 8) int octave) {
        Pitch low = new Pitch("CDEFGAB".charAt(letter), alter, octave);
        Pitch high = new Pitch(low.letter(), alter, octave + 1);
        assertThat(high.midi() - low.midi()).isEqualTo(12);
        assertThat(high.hertz(440) / low.hertz(440)).isCloseTo(2, within(1e-9));
    }

    @Test
    void whatIsNoPitch() {
        assertThatThrownBy(() -> Pitch.named("H4")).hasMessage("a pitch is written like F4 or Bb2, was \"H4\"");
        assertThatThrownBy(() -> Pitch.named("F")).hasMessageContaining("written like F4");
        assertThatThrownBy(() -> new Pitch('X', 0, 4)).hasMessage("a pitch's letter must be A to G, was X");
        assertThatThrownBy(() -> new Pitch('C', 3, 4)).hasMessage("a pitch's alter must be in -2..2, was 3");
        assertThatThrownBy(() -> new Pitch('C', 0, 10)).hasMessage("a pitch's octave must be in 0..9, was 10");
    }
}
