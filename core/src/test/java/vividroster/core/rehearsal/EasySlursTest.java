package vividroster.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.core.instrument.BrassChart;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.Range;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Pitch;
import vividroster.core.music.Transposition;
import vividroster.core.rehearsal.WarmUpMusic.Player;

/** The same partials through one length of tube after another, each spelled in the key of its tube. */
class EasySlursTest {

    private static final BrassChart SLIDE = BrassChart.slide(Pitch.named("Bb1"));

    private static Player trombone(Set<Integer> met) {
        Instrument instrument = new Instrument(
                new InstrumentCode("trombone"),
                "Trombone",
                "Trombones",
                Family.BRASS,
                Clef.BASS,
                new Transposition(0, 0),
                1,
                true,
                List.of());
        return new Player(instrument, Range.parse("E2-D4"), SLIDE, met, Map.of(), Optional.empty());
    }

    /** Names of the different notes of each figure of two measures, in the order played. */
    private static List<List<String>> figures(Player player, int lengths, int budget) {
        List<Measure> measures = new ArrayList<>();
        EasySlurs.write(player, lengths, budget, measures);
        List<List<String>> figures = new ArrayList<>();
        for (int i = 0; i + 1 < measures.size(); i += 2) {
            Set<String> names = new java.util.LinkedHashSet<>();
            for (Measure measure : measures.subList(i, i + 2)) {
                for (Note note : measure.notes()) {
                    note.pitch().map(Pitch::name).ifPresent(names::add);
                }
            }
            figures.add(List.copyOf(names));
        }
        return figures;
    }

    @ParameterizedTest
    @ValueSource(ints = {5, 7})
    void everyLengthHasItsFigureAndTheLowerNotesGoDownByASemitone(int lengths) {
        List<List<String>> figures = figures(trombone(Set.of()), lengths, 99);
        assertThat(figures).hasSize(lengths).allMatch(notes -> notes.size() == 2);
        for (int i = 1; i < 5; i++) {
            assertThat(lowest(figures.get(i))).isEqualTo(lowest(figures.get(i - 1)) - 1);
        }
    }

    private static int lowest(List<String> notes) {
        return notes.stream().mapToInt(name -> Pitch.named(name).midi()).min().orElseThrow();
    }

    /** Partials 2 to 6 of one tube are a major chord: spelled by letter they lie a third, fourth or fifth apart. */
    @Test
    void theNotesOfATubeAreSpelledInItsOwnKey() {
        for (List<String> notes : figures(trombone(Set.of()), 7, 99)) {
            List<Pitch> pitches = notes.stream().map(Pitch::named).toList();
            int steps = Math.abs(pitches.getFirst().step() - pitches.getLast().step());
            int semitones =
                    Math.abs(pitches.getFirst().midi() - pitches.getLast().midi());
            assertThat(Map.of(7, 4, 5, 3, 4, 2, 3, 2, 12, 7))
                    .as("%s lie %d semitones and %d letters apart", notes, semitones, steps)
                    .containsEntry(semitones, steps);
        }
    }

    @Test
    void aThirdPartialComesOnlyWhereItWasMet() {
        Set<Integer> met = new HashSet<>();
        for (String name : List.of("Bb2", "F3", "Bb3")) {
            met.add(Pitch.named(name).midi());
        }
        assertThat(figures(trombone(met), 5, 99).getFirst()).hasSize(3);
        met.remove(Pitch.named("Bb3").midi());
        assertThat(figures(trombone(met), 5, 99).getFirst()).hasSize(2);
    }

    @Test
    void inFewMeasuresThereAreFewFigures() {
        assertThat(figures(trombone(Set.of()), 7, 4)).hasSize(2);
        assertThat(figures(trombone(Set.of()), 7, 0)).as("never none").hasSize(1);
    }

    @Test
    void aWoodwindWithoutChartSlursNeighbours() {
        Instrument flute = new Instrument(
                new InstrumentCode("flute"),
                "Flute",
                "Flutes",
                Family.WOODWIND,
                Clef.TREBLE,
                new Transposition(0, 0),
                1,
                true,
                List.of());
        List<List<String>> figures = figures(new Player(flute, Range.parse("D4-C6"), FingeringChart.NONE), 7, 4);
        assertThat(figures).isNotEmpty();
        for (List<String> notes : figures) {
            List<Integer> steps = notes.stream()
                    .map(name -> Pitch.named(name).step())
                    .sorted()
                    .toList();
            assertThat(steps.getLast() - steps.getFirst()).isLessThanOrEqualTo(4);
        }
    }
}
