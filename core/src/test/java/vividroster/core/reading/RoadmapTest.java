package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.reading.Roadmap.Fault;
import vividroster.core.reading.Roadmap.Options;
import vividroster.core.reading.Roadmap.RoadmapException;

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
                // Fine and To Coda say nothing before the jump
                "A,F B,> C,O; ABC"
            })
    void inTheOrderReallyPlayed(String signs, String order) {
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
            value = {
                "A B,DS; NO_SEGNO; \"D.S.\" finds no segno to go to",
                "A B,DCF; NO_FINE; \"D.C. al Fine\" finds no Fine to end at",
                "A B,DCC; NO_CODA; \"D.C. al Coda\" finds no sign that leads to a coda",
                "A,> B,DCC; NO_CODA; the coda that is gone to is not there"
            })
    void aJumpWithoutATargetIsNamed(String signs, Fault fault, String message) {
        assertThatThrownBy(() -> Lines.played(signs, Options.USUAL))
                .isInstanceOfSatisfying(
                        RoadmapException.class, e -> assertThat(e.fault()).isEqualTo(fault))
                .hasMessage(message);
    }

    @Test
    void theFaultTellsItsMeasureAsCounted() {
        assertThatThrownBy(() -> Lines.played("a B C,DS", Options.USUAL))
                .isInstanceOfSatisfying(
                        RoadmapException.class, e -> assertThat(e.measure()).isEqualTo(2));
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
}
