package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.HandsKept;
import vividroster.core.instrument.HandsKept.Kept;
import vividroster.core.instrument.Ranges;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.formats.catalog.FingeringFile;
import vividroster.formats.catalog.RangeFile;

/** Switches of instrument as directors make them, with the charts that ship. */
class HandsKeptTest {

    private static final Map<InstrumentCode, FingeringChart> CHARTS = FingeringFile.shipped();
    private static final Map<InstrumentCode, Ranges> RANGES = RangeFile.shipped();

    /** Every natural of the first year on an instrument. */
    private static List<Pitch> firstYear(String instrument) {
        List<Pitch> notes = new ArrayList<>();
        for (int octave = 0; octave < 9; octave++) {
            for (char letter : "CDEFGAB".toCharArray()) {
                Pitch pitch = new Pitch(letter, 0, octave);
                if (RANGES.get(new InstrumentCode(instrument)).firstYear().holds(pitch)) {
                    notes.add(pitch);
                }
            }
        }
        return notes;
    }

    private static HandsKept kept(String from, String to, List<Pitch> known) {
        return HandsKept.of(CHARTS.get(new InstrumentCode(from)), CHARTS.get(new InstrumentCode(to)), known);
    }

    @ParameterizedTest
    @CsvSource({
        "clarinet, bass-clarinet",
        "clarinet, e-flat-clarinet",
        "alto-saxophone, tenor-saxophone",
        "trumpet, flugelhorn",
        "trumpet, euphonium-treble",
        "trumpet, baritone-treble",
    })
    void everythingIsKept(String from, String to) {
        HandsKept kept = kept(from, to, firstYear(from));
        assertThat(kept.notes()).hasSizeGreaterThan(8);
        assertThat(kept.notes()).as("%s to %s", from, to).allMatch(note -> note.kept() == Kept.ALIKE);
        assertThat(kept.keepsAll()).isTrue();
    }

    /**
     * By the harmonic series: the horn plays the same written notes an octave higher in it, so that no note is known. As both
     * are taught, C, F, G, A, B-flat and B have the same valves; D is 1-3 and 1, E is 1-2 and open.
     */
    @Test
    void fromTrumpetToHornTheFingersOfSomeNotesAreTheSameAndNoNoteIsKnown() {
        HandsKept kept = kept("trumpet", "horn", firstYear("trumpet"));
        assertThat(kept.with(Kept.ALIKE)).isEmpty();
        assertThat(kept.with(Kept.SAME_FINGERS))
                .contains(
                        Pitch.named("C4"),
                        Pitch.named("F4"),
                        Pitch.named("G4"),
                        Pitch.named("A4"),
                        Pitch.named("B4"),
                        Pitch.named("C5"))
                .doesNotContain(Pitch.named("D4"), Pitch.named("E4"));
        assertThat(kept.keepsAll()).isFalse();
    }

    /** It has no foot joint for the low C. */
    @Test
    void thePiccoloKeepsTheFluteFromItsLowestNoteUp() {
        HandsKept kept = kept("flute", "piccolo", firstYear("flute"));
        assertThat(kept.with(Kept.NEW))
                .allMatch(note -> note.midi() < Pitch.named("D4").midi());
        assertThat(kept.with(Kept.ALIKE)).contains(Pitch.named("D4"), Pitch.named("D5"));
    }

    @Test
    void betweenFamiliesNothingIsKept() {
        assertThat(kept("flute", "trumpet", firstYear("flute")).with(Kept.NEW))
                .isEqualTo(firstYear("flute").stream().distinct().toList());
        assertThat(kept("violin", "trombone", firstYear("violin")).keepsAll()).isFalse();
    }

    /** The strings G, D and A are on both; the violin's upper string is not. */
    @Test
    void theViolaTakesTheViolinsLowerStringsAlike() {
        HandsKept kept = kept(
                "violin", "viola", List.of(Pitch.named("D4"), Pitch.named("E4"), Pitch.named("B4"), Pitch.named("F5")));
        assertThat(kept.with(Kept.ALIKE)).containsExactly(Pitch.named("D4"), Pitch.named("E4"), Pitch.named("B4"));
        assertThat(kept.with(Kept.ALIKE)).doesNotContain(Pitch.named("F5"));
    }

    @Test
    void notesBeyondTheNewInstrumentAreNew() {
        HandsKept kept = kept("clarinet", "trumpet", List.of(Pitch.named("E3")));
        assertThat(kept.notes()).singleElement().satisfies(note -> {
            assertThat(note.is()).isEmpty();
            assertThat(note.kept()).isEqualTo(Kept.NEW);
        });
    }

    @Test
    void whoKnewNothingKeepsNothing() {
        assertThat(kept("trumpet", "flugelhorn", List.of()).keepsAll()).isFalse();
        assertThat(kept("percussion", "trumpet", List.of(Pitch.named("C4"))).notes())
                .as("what is struck has no fingerings")
                .isEmpty();
    }
}
