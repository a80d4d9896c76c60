package vividroster.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.rehearsal.WrittenMusic.Level;
import vividroster.core.rehearsal.WrittenMusic.Values;

class WrittenMusicTest {

    private static final Bpm TEMPO = new Bpm(72);

    private static String pitches(Part part) {
        return part.measures().stream()
                .map(measure -> measure.notes().stream()
                        .map(note -> note.pitch().orElseThrow().toString())
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
    }

    /** By the key signatures; the tonic lies where books of beginners begin. */
    @ParameterizedTest
    @CsvSource({
        "B-flat major, Bb3 C4 D4 Eb4 | F4 G4 A4 Bb4 | A4 G4 F4 Eb4 | D4 C4 Bb3",
        "D major, D4 E4 F#4 G4 | A4 B4 C#5 D5 | C#5 B4 A4 G4 | F#4 E4 D4",
        "G minor, G3 A3 Bb3 C4 | D4 Eb4 F4 G4 | F4 Eb4 D4 C4 | Bb3 A3 G3"
    })
    void aScaleGoesUpAndDownInItsKey(String key, String expected) {
        Part part = WrittenMusic.scale(Key.named(key), 1, Values.QUARTERS, TEMPO);
        assertThat(pitches(part)).isEqualTo(expected);
        assertThat(part.measures().getLast().notes().getLast().length()).isEqualTo(Beats.of(2));
    }

    /** Two octaves in eighths: 29 notes, 28 of half a beat and the last two beats: four measures. */
    @Test
    void everyMeasureIsFull() {
        Part part = WrittenMusic.scale(Key.named("F major"), 2, Values.EIGHTHS, TEMPO);
        assertThat(part.measures())
                .hasSize(4)
                .allMatch(measure -> measure.length().equals(Beats.of(4)));
        assertThatThrownBy(() -> WrittenMusic.scale(Key.named("F major"), 3, Values.EIGHTHS, TEMPO))
                .hasMessage("octaves must be in 1..2, was 3");
    }

    @Property(tries = 200)
    void aRhythmFillsItsMeasuresBeginsWithANoteAndEndsWithOne(
            @ForAll long seed,
            @ForAll @IntRange(min = 2, max = 16) int measures,
            @ForAll Level level,
            @ForAll @IntRange(max = 3) int which) {
        Meter meter = List.of(new Meter(4, 4), new Meter(3, 4), new Meter(6, 8), new Meter(2, 2))
                .get(which);
        Part part = WrittenMusic.rhythm(Key.named("B-flat major"), meter, measures, level, TEMPO, seed);
        assertThat(part.measures())
                .hasSize(measures)
                .allMatch(measure -> measure.length().equals(Beats.of(meter)));
        assertThat(part.measures()).noneMatch(Measure::isSilent);
        assertThat(part.measures().getFirst().notes().getFirst().isRest()).isFalse();
        assertThat(part.measures().getLast().notes().getLast().isRest()).isFalse();
        assertThat(WrittenMusic.rhythm(Key.named("B-flat major"), meter, measures, level, TEMPO, seed))
                .isEqualTo(part);
        if (level == Level.PULSES) {
            assertThat(part.measures().stream().flatMap(measure -> measure.notes().stream()))
                    .extracting(Note::length)
                    .allMatch(length -> length.ticks() % meter.pulse().ticks() == 0);
        }
    }

    @Test
    void aRhythmOfOneMeasureOrOnePulseIsRefused() {
        Key key = Key.named("C major");
        assertThatThrownBy(() -> WrittenMusic.rhythm(key, new Meter(4, 4), 1, Level.PULSES, TEMPO, 1))
                .hasMessage("measures must be in 2..16, was 1");
        assertThatThrownBy(() -> WrittenMusic.rhythm(key, new Meter(1, 4), 4, Level.PULSES, TEMPO, 1))
                .hasMessageContaining("two pulses");
    }
}
