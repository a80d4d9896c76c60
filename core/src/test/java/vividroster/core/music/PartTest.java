package vividroster.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PartTest {

    private static Part part(Key key, Pitch... pitches) {
        return new Part(
                key,
                new Meter(4, 4),
                Optional.empty(),
                List.of(Measure.of(
                        1,
                        List.of(pitches).stream()
                                .map(p -> Note.of(p, Beats.of(1)))
                                .toList())));
    }

    @ParameterizedTest
    @CsvSource({
        // concert B-flat is C for B-flat instruments, G for E-flat, F for F; the sounding B-flat 4 as each writes it
        "B-flat major, Bb4, -1, -2, C major, C5",
        "B-flat major, Bb4, -5, -9, G major, G5",
        "B-flat major, Bb4, -4, -7, F major, F5",
        "B-flat major, Bb4, 0, 0, B-flat major, Bb4",
        "B-flat major, Bb4, 14, 24, B-flat major, Bb2",
        // minor keys and accidentals keep their degree
        "G minor, F#4, -1, -2, A minor, G#4",
        // beyond six signs key and notes are respelled together: concert E for alto saxophone is C-sharp, so D-flat
        "E major, E4, -5, -9, D-flat major, Db5",
        "D-flat major, F4, -1, -2, E-flat major, G4"
    })
    void anInstrumentReadsItsOwnKey(String key, String pitch, int steps, int semitones, String written, String reads) {
        Part read = part(Key.named(key), Pitch.named(pitch)).writtenFor(new Transposition(steps, semitones));
        assertThat(read.key().name()).isEqualTo(written);
        assertThat(read.pitches().getFirst()).isEqualTo(Pitch.named(reads));
    }

    @Property
    void toAnyInstrumentAndBackSoundsTheSame(
            @ForAll @IntRange(min = -6, max = 6) int fifths,
            @ForAll @IntRange(min = 21, max = 40) int step,
            @ForAll @IntRange(min = -1, max = 1) int alter,
            @ForAll @IntRange(min = 0, max = 8) int which) {
        int[][] catalog = {{0, 0}, {-1, -2}, {-8, -14}, {-5, -9}, {-12, -21}, {-4, -7}, {14, 24}, {-7, -12}, {-2, -3}};
        Transposition transposition = new Transposition(catalog[which][0], catalog[which][1]);
        Pitch pitch = new Pitch("CDEFGAB".charAt(step % 7), alter, step / 7);
        Part sounding = part(new Key(fifths, Mode.MAJOR), pitch);
        Part back = sounding.writtenFor(transposition).soundingOn(transposition);
        assertThat(back.pitches().getFirst().midi()).isEqualTo(pitch.midi());
        assertThat(Math.floorMod(back.key().fifths() - fifths, 12)).isZero();
        assertThat(sounding.writtenFor(transposition).pitches().getFirst().midi())
                .isEqualTo(pitch.midi() - transposition.semitones());
    }

    @Test
    void keysChangeOnTheWayAndAreMovedToo() {
        Part changing = new Part(
                Key.named("C major"),
                new Meter(4, 4),
                Optional.empty(),
                List.of(
                        Measure.of(1, List.of(Note.of(Pitch.named("C4"), Beats.of(4)))),
                        Measure.of(2, List.of(Note.of(Pitch.named("B4"), Beats.of(4))))
                                .withKey(Optional.of(Key.named("E major")))));
        Part alto = changing.writtenFor(new Transposition(-5, -9));
        assertThat(alto.keyAt(0).name()).isEqualTo("A major");
        assertThat(alto.keyAt(1).name()).isEqualTo("D-flat major");
        assertThat(alto.pitches().get(1))
                .as("G-sharp as the key of D-flat spells it")
                .isEqualTo(Pitch.named("Ab5"));
    }

    @Test
    void lengthsAreExact() {
        assertThat(Beats.of(1, 3).plus(Beats.of(1, 3)).plus(Beats.of(1, 3))).isEqualTo(Beats.of(1));
        assertThat(Beats.of(new Meter(6, 8))).isEqualTo(Beats.of(3));
        assertThat(Beats.of(3).times(1, 2).value()).isEqualTo(1.5);
        assertThatThrownBy(() -> Note.rest(Beats.ZERO)).hasMessageContaining("must be more than nothing");
        assertThatThrownBy(() -> Beats.of(1, 0)).hasMessage("a length's denominator must be positive, was 0");
    }

    @Test
    void aKeySignsItsLetters() {
        Key flats = Key.named("E-flat major");
        assertThat(List.of(flats.alterOf('B'), flats.alterOf('E'), flats.alterOf('A'), flats.alterOf('D')))
                .containsExactly(-1, -1, -1, 0);
        assertThat(Key.named("D major").alterOf('F')).isEqualTo(1);
        assertThat(Key.named("D major").alterOf('G')).isZero();
    }

    @Test
    void aPartOfItsOwnStandsMeasureByMeasureBesideTheOthers() {
        Part all = part(Key.named("C major"), Pitch.named("C4"));
        Score score = new Score(
                "Foghorn",
                all,
                Map.of(Voice.of(new InstrumentCode("tuba")), part(Key.named("C major"), Pitch.named("C2"))));
        assertThat(score.partOf(new InstrumentCode("tuba")).pitches()).containsExactly(Pitch.named("C2"));
        assertThat(score.partOf(new InstrumentCode("flute"))).isEqualTo(all);
        Part longer = new Part(
                all.key(),
                all.meter(),
                Optional.empty(),
                List.of(all.measures().getFirst(), all.measures().getFirst()));
        assertThatThrownBy(() -> new Score("x", all, Map.of(Voice.of(new InstrumentCode("tuba")), longer)))
                .hasMessage("the part of the tuba has 2 measures, the others 1");
    }

    @Test
    void aDividedSectionHasFirstAndSecondParts() {
        Part all = part(Key.named("C major"), Pitch.named("C4"));
        Part first = part(Key.named("C major"), Pitch.named("G4"));
        Part second = part(Key.named("C major"), Pitch.named("E4"));
        Score score = new Score(
                "Duet",
                all,
                Map.of(
                        new Voice(new InstrumentCode("flute"), 1),
                        first,
                        new Voice(new InstrumentCode("flute"), 2),
                        second));
        assertThat(score.partOf(new InstrumentCode("flute"))).isEqualTo(first);
        assertThat(score.partOf(new InstrumentCode("flute"), 2)).isEqualTo(second);
        assertThat(score.partOf(new InstrumentCode("flute"), 3))
                .as("thirds read the second where there is no third")
                .isEqualTo(second);
        assertThat(score.partOf(new InstrumentCode("oboe"), 2)).isEqualTo(all);
        Score whole = new Score("Unison", all, Map.of(Voice.of(new InstrumentCode("flute")), first));
        assertThat(whole.partOf(new InstrumentCode("flute"), 2)).isEqualTo(first);
    }
}
