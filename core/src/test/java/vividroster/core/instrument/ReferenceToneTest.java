package vividroster.core.instrument;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.music.Transposition;

/** With all instruments of the catalog it is tested over HTTP; here its choice of the octave. */
class ReferenceToneTest {

    private static Instrument instrument(Transposition transposition, boolean pitched) {
        return new Instrument(
                new InstrumentCode("any"),
                "Any",
                "Any",
                Family.BRASS,
                Clef.TREBLE,
                transposition,
                1,
                pitched,
                List.of());
    }

    private static final Instrument TRUMPET = instrument(new Transposition(-1, -2), true);

    @Test
    void isWrittenInTheOctaveNearestToTheMiddleOfTheRange() {
        // Concert B-flat is written C; of C4, C5 and C6 the middle of G3 to G5 (midi 67) has C5 (72) and C4 (60): C5.
        assertThat(ReferenceTone.of(Pitch.named("Bb3"), TRUMPET, Range.parse("G3-G5"), written -> List.of()))
                .contains(Pitch.named("C5"));
        assertThat(ReferenceTone.of(Pitch.named("Bb3"), TRUMPET, Range.parse("D4-B4"), written -> List.of()))
                .as("no C in it")
                .isEmpty();
    }

    @Test
    void anOpenStringGoesBeforeThatAndADrumHasNone() {
        FingeringChart open = written ->
                written.midi() == 57 ? List.of(new Fingering.OnString("A", 3, 0, 0, Fingering.Reach.USUAL)) : List.of();
        Optional<Pitch> tone = ReferenceTone.of(
                Pitch.named("A4"), instrument(Transposition.CONCERT, true), Range.parse("C3-A5"), open);
        assertThat(tone).contains(Pitch.named("A3"));
        assertThat(ReferenceTone.of(
                        Pitch.named("A4"), instrument(Transposition.CONCERT, false), Range.parse("C3-A5"), open))
                .isEmpty();
    }
}
