package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.Part;
import vividroster.core.music.Part.Stretch;
import vividroster.core.music.Signs;
import vividroster.core.reading.Roadmap.Options;
import vividroster.core.reading.RoadmapException.Fault;

/** Every row is a rule of notation; the order was written out by hand. */
class RoadmapTest {

    @ParameterizedTest(name = "{0} is played {1}")
    @CsvSource(
            delimiter = ';',
            value = {
                // straight through, and repeats
                "A B C; ABC",
                "A B:|; ABAB",
                "A |:B C:| D; ABCBCD",
                "A B:| C D:| E; ABABCDCDE",
                "A B:|3 C; ABABABC",
                "A |:B C D; ABCD",
                "a B C:| D; aBCaBCD",
                "a |:B C:|; aBCBC",
                // one repeat inside another
                "|:A |:B C:| D:|; ABCBCDABCBCD",
                // endings: brackets, more than two passes, groups of numbers
                "|:A B [1C:|] [2D]; ABCABD",
                "A B [1C:|] [2D] E; ABCABDE",
                "|:A [12B:|] [3C] D; ABABACD",
                "|:A [1B:|] [2C:|] [3D] E; ABACADE",
                "|:A [1B C:|] [2D E] F; ABCADEF",
                "|:A [1B:|] [2C] |:D [1E:|] [2F]; ABACDEDF",
                "A [1B:|] [2C] D:|; ABACDD",
                // jumps
                "A B,F C D,DC; ABCDAB",
                "A B,F C D,DCF; ABCDAB",
                "A B,$ C,F D,DSF; ABCDBC",
                "A B,> C D,DCC E,O F; ABCDABEF",
                "A B,$ C,> D,DSC E,O F; ABCDBCEF",
                "A B,DC C; ABABC",
                // after a jump repeats are not taken and last endings are
                "|:A B:| C,F D,DCF; ABABCDABC",
                "|:A [1B:|] [2C] D,F E,DCF; ABACDEACD",
                "|:A B:| C,> D,DCC |:E,O F:|; ABABCDABCEFEF",
                // a jump under a repeat is made on the last pass
                "A,F |:B C,DCF:|; ABCBCA",
                "A,F B,DCF:|; ABABA",
                "A,F |:B [1C:|] [2D,DCF]; ABCBDA",
                // only a first bracket: the second pass goes past it
                "|:A [1B:|] C; ABAC",
                // a coda that is repeated without a sign never holds the jump that leads to it
                "A B,> C,DCC D,O E:|; ABCABDEDE",
                "|:A:| B,$ C,> D,DSC E,O F:|; AABCDBCEFEF",
                "A:| B,> C,DCC D,O E:|; AABCABDEDE",
                // a later closing repeat begins after what was closed last, and holds the jump in it
                "A:| B,F C,DCF D:|; AABCDBCAB",
                "A [1B:|] [2C] D,F E,DCF F:|; ABACDEFDEACD",
                // under a bracket that is not taken again the jump is made, not lost
                "A B,$ [1C,DS:|] [2D]; ABCBD",
                "A,F B [1C,DCF] [2D]; ABCA",
                // two codas: named, else the first after the jump's place
                "A B,> C,DCC D,O E,DCC F,O; ABCABDEABF",
                "A B,>1 C,DCC2 D,O1 E,O2; !TO_CODA_NOT_REACHED",
                "A,>1 B,>2 C,DCC2 D,O1 E,O2; ABCABE",
                "A,>1 B,>2 C,DCC1 D,O1 E,O2; ABCADE",
                "A,>1 B,>2 C,DCC D,O1 E,O2; ABCADE",
                // of two nameless segnos the nearest before the jump
                "A,$ B,$ C,DS D; ABCBCD",
                "A,$1 B,$2 C,DS1 D; ABCABCD",
                // what the way after the jump never comes to is named
                "|:A [1B,F:|] [2C] D,DCF; !FINE_NOT_REACHED",
                "A,F B,$ C,DSF D; !FINE_NOT_REACHED",
                "A,F B,$ C,DS D; !FINE_NOT_REACHED",
                "A,> B,$ C,DSC D,O; !TO_CODA_NOT_REACHED",
                "A [2B] C; !ENDING_NOT_REACHED",
                // Fine and To Coda say nothing before the jump
                "A,F B,> C,O; ABC"
            })
    void inTheOrderReallyPlayed(String signs, String order) {
        if (order.startsWith("!")) {
            assertThatThrownBy(() -> Lines.played(signs, Options.USUAL))
                    .isInstanceOfSatisfying(
                            RoadmapException.class,
                            e -> assertThat(e.fault().name()).isEqualTo(order.substring(1)));
            return;
        }
        assertThat(Lines.played(signs, Options.USUAL)).isEqualTo(order);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"|:A B:| C,F D,DCF; ABABCDABABC", "|:A [1B:|] [2C] D,F E,DCF; ABACDEABACD"})
    void repeatsAfterAJumpAreTakenWhereThatIsTheCustom(String signs, String order) {
        assertThat(Lines.played(signs, new Options(true))).isEqualTo(order);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"A B,DS; NO_SEGNO; 1", "A B,DCF; NO_FINE; 1", "A B,DCC; NO_CODA; 1", "A,> B,DCC; NO_CODA; 0"})
    void aJumpWithoutATargetIsNamed(String signs, Fault fault, int index) {
        assertThatThrownBy(() -> Lines.played(signs, Options.USUAL))
                .isInstanceOfSatisfying(RoadmapException.class, e -> {
                    assertThat(e.fault()).isEqualTo(fault);
                    assertThat(e.index()).isEqualTo(index);
                });
    }

    @Test
    void theFaultTellsItsMeasureAsCounted() {
        assertThatThrownBy(() -> Lines.played("a B C,DS", Options.USUAL))
                .isInstanceOfSatisfying(
                        RoadmapException.class, e -> assertThat(e.index()).isEqualTo(2));
    }

    @Test
    void passesAndJumpsAreTold() {
        Roadmap roadmap = Roadmap.of(Lines.roadmap("|:A:| B,F C,DCF"), Options.USUAL);
        assertThat(roadmap.played()).extracting(Roadmap.Played::pass).containsExactly(1, 2, 1, 1, 1, 1);
        assertThat(roadmap.played())
                .extracting(Roadmap.Played::afterJump)
                .containsExactly(false, false, false, false, true, true);
    }

    @Test
    void whatWouldNotEndIsRefused() {
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 1500; i++) {
            many.append("|:A:|20 ");
        }
        assertThatThrownBy(() -> Lines.played(many.toString(), Options.USUAL))
                .isInstanceOfSatisfying(
                        RoadmapException.class, e -> assertThat(e.fault()).isEqualTo(Fault.NO_END));
    }

    @Test
    void anOrderOfPartsIsPlayed() {
        Part part = Lines.roadmap("A B:| C D");
        Part ordered = new Part(
                part.key(),
                part.meter(),
                part.tempo(),
                part.measures(),
                List.of(new Stretch(0, 1), new Stretch(2, 3), new Stretch(0, 1)));
        assertThat(Roadmap.of(ordered, Options.USUAL).indices()).containsExactly(0, 1, 0, 1, 2, 3, 0, 1, 0, 1);
    }

    @Test
    void halvesOfASplitMeasureCountOnce() {
        // G|C C C C|C C C:|:G|C C C C|C C C:|
        Part part = Lines.notes("C major", "4/4", "G4 | C4 C4 C4 C4 | C4 C4 C4 | G4 | C4 C4 C4 C4 | C4 C4 C4");
        Part numbered = Lines.numbered(part, 0, 1, 2, 2, 3, 4);
        Part signed = Lines.with(
                Lines.with(numbered, 2, m -> m.withSigns(repeat(false, 2))), 3, m -> m.withSigns(repeat(true, 0)));
        Part whole = Lines.with(signed, 5, m -> m.withSigns(repeat(false, 2)));
        Roadmap way = Roadmap.of(whole, Options.USUAL);
        assertThat(way.played()).hasSize(12);
        assertThat(Numbering.played(whole, way)).isEqualTo(8);
        assertThat(Numbering.printed(whole)).isEqualTo(4);
    }

    private static Signs repeat(boolean forward, int times) {
        return new Signs(
                forward,
                times,
                Set.of(),
                false,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                Optional.empty());
    }
}
