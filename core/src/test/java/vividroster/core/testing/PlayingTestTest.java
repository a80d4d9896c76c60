package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.reading.Excerpt;
import vividroster.core.testing.PlayingTest.Part;
import vividroster.core.testing.PlayingTest.Variant;
import vividroster.core.testing.TestConditions.Accompaniment;
import vividroster.core.testing.TestConditions.FermataEnd;
import vividroster.core.testing.TestConditions.TempoHeard;

class PlayingTestTest {

    private static final InstrumentCode VIOLIN = new InstrumentCode("violin");
    private static final Excerpt ALL = new Excerpt(1, 8, false);
    private static final Excerpt FIRST = new Excerpt(1, 4, false);
    private static final Excerpt SECOND = new Excerpt(5, 8, false);

    private static Variant variant(String division, Excerpt excerpt, int octaves) {
        return new Variant(VIOLIN, division, Optional.ofNullable(excerpt), octaves, "", "");
    }

    @Test
    void aDivisionsVariantGoesBeforeThatOfTheWholeSection() {
        Part part = new Part(
                new UUID(0, 1), Optional.of(ALL), List.of(variant("second", SECOND, 0), variant("", FIRST, 0)));
        assertThat(part.excerptOf(VIOLIN, "second")).contains(SECOND);
        assertThat(part.excerptOf(VIOLIN, "first")).contains(FIRST);
        assertThat(part.excerptOf(new InstrumentCode("cello"), "")).contains(ALL);
        Part higher = new Part(new UUID(0, 1), Optional.of(ALL), List.of(variant("", null, 1)));
        assertThat(higher.excerptOf(VIOLIN, ""))
                .as("an octave leaves the measures")
                .contains(ALL);
        assertThat(Part.of(new UUID(0, 1)).excerptOf(VIOLIN, "")).isEmpty();
    }

    @Test
    void whatIsNoTestIsRefused() {
        assertThatThrownBy(() -> variant("", null, 0)).hasMessageContaining("violin has none");
        assertThatThrownBy(() -> variant("", null, 3)).hasMessageContaining("-2..2, was 3");
        assertThatThrownBy(() -> new Part(
                        new UUID(0, 1), Optional.empty(), List.of(variant("", FIRST, 0), variant("", SECOND, 0))))
                .hasMessageContaining("violin has two");
        assertThatThrownBy(() -> new PlayingTest(List.of(), TestConditions.usual(), RetakePolicy.usual(), 1))
                .hasMessageContaining("parts must be 1..6, were 0");
        List<Part> seven = Collections.nCopies(7, Part.of(new UUID(0, 1)));
        assertThatThrownBy(() -> new PlayingTest(seven, TestConditions.usual(), RetakePolicy.usual(), 1))
                .hasMessageContaining("were 7");
        assertThatThrownBy(() -> new PlayingTest(
                        List.of(Part.of(new UUID(0, 1))), TestConditions.usual(), RetakePolicy.usual(), 3))
                .hasMessage("listeners must be 1 or 2, was 3");
    }

    private static TestConditions conditions(
            double tempo, int tolerance, int countIn, Accompaniment accompaniment, FermataEnd end) {
        return new TestConditions(
                Optional.of(new Bpm(tempo)), tolerance, Optional.empty(), countIn, true, accompaniment, false, end, "");
    }

    /** At 80 with a tenth of tolerance 72 and 88 are the ends, both still in it. */
    @ParameterizedTest
    @CsvSource({"80, IN_TOLERANCE", "72, IN_TOLERANCE", "71.9, TOO_SLOW", "88, IN_TOLERANCE", "88.1, TOO_FAST"})
    void theEndsOfTheToleranceAreInIt(double heard, TempoHeard told) {
        assertThat(TestConditions.usual().heard(heard, 80)).isEqualTo(told);
    }

    @Test
    void conditionsThatContradictEachOtherAreRefused() {
        assertThatThrownBy(() -> conditions(900, 10, 1, Accompaniment.ALONE, FermataEnd.STUDENT))
                .hasMessage("tempoBpm must be in 20..400, was 900");
        assertThatThrownBy(() -> conditions(0, 10, 1, Accompaniment.ALONE, FermataEnd.STUDENT))
                .hasMessage("tempoBpm must be in 20..400, was 0");
        assertThatThrownBy(() -> conditions(80, 51, 1, Accompaniment.ALONE, FermataEnd.STUDENT))
                .hasMessageContaining("0..50, was 51");
        assertThatThrownBy(() -> conditions(80, 10, 3, Accompaniment.ALONE, FermataEnd.STUDENT))
                .hasMessageContaining("0..2, was 3");
        assertThatThrownBy(() -> conditions(80, 10, 1, Accompaniment.FIXED_TRACK, FermataEnd.ACCOMPANIST))
                .hasMessageContaining("only where one follows");
        assertThatThrownBy(() -> conditions(80, 10, 0, Accompaniment.FIXED_TRACK, FermataEnd.STUDENT))
                .hasMessageContaining("fixed track");
        assertThat(conditions(80, 10, 0, Accompaniment.FOLLOWS, FermataEnd.ACCOMPANIST)
                        .countInMeasures())
                .isZero();
    }
}
