package vividroster.core.hands;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.hands.Sticking.Hand;
import vividroster.core.hands.Sticking.School;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.reading.Lines;
import vividroster.core.reading.Strokes;
import vividroster.core.reading.TimedView;

/** Unpitched percussion: what is struck, and by which hand. */
class StickingTest {

    private static String hands(Part part, School school) {
        return Sticking.of(TimedView.of(part), school).stream()
                .map(row -> row.stream()
                        .map(hand -> hand.map(Hand::letter).orElse("-"))
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
    }

    /** Expected hands from the two schools, as they are taught: what falls on the count is right where the right leads. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "4/4; C4 C4 C4 C4; R R R R; R L R L",
                "4/4; C4 C4/2 C4/2 C4 r; R R L R -; R L R L -",
                "4/4; C4/4 C4/4 C4/4 C4/4 C4/2 C4/2 C4*2; R L R L R L R; R L R L R L R",
                "4/4; C4/2 C4/4 C4/4 C4/4 C4/4 C4/2 C4*2; R R L R L R R; R L R L R L R",
                "4/4; r/2 C4/2 r/2 C4/2 C4*2; - L - L R; - R - L R",
                "2/4; C4/3 C4/3 C4/3 C4; R L R R; R L R L",
                "6/8; C4/2 C4/2 C4/2 C4/2 C4/2 C4/2; R L R L R L; R L R L R L",
                "3/8; C4/2 C4/2 C4/2; R L R; R L R",
                "2/2; C4 C4 C4 C4; R L R L; R L R L",
                "4/4; C4*2 C4 C4~ | C4 C4 C4*2; R R R | - R R; R L R | - L R"
            })
    void theHandsFollowTheSchool(String meter, String notes, String rightLead, String alternate) {
        Part part = Lines.notes("C major", meter, notes);
        assertThat(hands(part, School.RIGHT_LEAD)).isEqualTo(rightLead);
        assertThat(hands(part, School.ALTERNATE)).isEqualTo(alternate);
    }

    @Test
    void turnsBeginAnewWithAStrain() {
        Part part = Lines.notes("C major", "3/4", "C4 C4 C4 | C4 C4 C4");
        Part repeated = Lines.with(
                part,
                0,
                m -> m.withSigns(Lines.roadmap("A:|").measures().getFirst().signs()));
        assertThat(hands(part, School.ALTERNATE)).isEqualTo("R L R | L R L");
        assertThat(hands(repeated, School.ALTERNATE)).isEqualTo("R L R | R L R");
    }

    @Test
    void aPickUpIsStruckWhereItStandsInItsMeasure() {
        Part part = Lines.numbered(Lines.notes("C major", "4/4", "C4/2 | C4 C4 C4 C4"), 0, 1);
        assertThat(hands(part, School.RIGHT_LEAD)).isEqualTo("L | R R R R");
    }

    @Test
    void aLongNoteIsOneStrokeUntilRollsAreMetAndThenARollTiedToItsEnd() {
        TimedView tune = Lines.timed("B-flat major", "4/4", "(Bb3 C4) D4*2 | F4*4~ | F4*2 Eb4 r");
        Part strokes = Strokes.of(tune, false);
        assertThat(strokes.pitches()).hasSize(6).allMatch(p -> p.toString().equals("B4"));
        assertThat(strokes.key().fifths()).isZero();
        assertThat(strokes.measures())
                .allSatisfy(m -> assertThat(m.notes())
                        .allMatch(n -> n.marks().isEmpty() && n.slurs().begin() == 0));
        assertThat(strokes.measures().get(1).notes().getFirst().tied()).isTrue();
        Part rolled = Strokes.of(tune, true);
        assertThat(rolled.measures().stream()
                        .map(m -> m.notes().stream()
                                .map(n -> n.marks().contains(Mark.TREMOLO) ? "roll" : n.isRest() ? "rest" : "stroke")
                                .collect(Collectors.joining(" ")))
                        .collect(Collectors.joining(" | ")))
                .isEqualTo("stroke stroke roll | roll | roll stroke rest");
        assertThat(rolled.measures().get(1).notes().getFirst().tied()).isTrue();
    }
}
