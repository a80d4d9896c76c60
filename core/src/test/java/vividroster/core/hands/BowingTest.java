package vividroster.core.hands;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.hands.Bowing.Bow;
import vividroster.core.hands.Bowing.Clash;
import vividroster.core.hands.Bowing.Disagreement;
import vividroster.core.hands.Bowing.Follows;
import vividroster.core.hands.Bowing.Stroke;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;

/** Expected bows are what the usual rules of bowing give; D down, U up, "'" retaken, "+" in the same bow. */
class BowingTest {

    @ParameterizedTest(name = "{0}: {3}")
    @CsvSource(textBlock = """
            bows take turns from a first beat,            4/4, D4 E4 F#4 G4 | A4 G4 F#4 E4,             D U D U | D U D U
            halves as well,                                4/4, D4*2 E4*2 | F#4*2 G4*2,                  D U | D U
            a slur is one bow,                             4/4, (D4 E4) (F#4 G4) | A4*4,                 D - U - | D
            a slur over the bar line goes on,              4/4, D4 E4 F#4 (G4 | A4) G4 F#4 E4,           D U D U | - D U D
            three do not come out: two go in one bow,      4/4, D4*2 E4 F#4 | G4*4,                      D U U+ | D
            in three-four as well,                         3/4, D4 E4 F#4 | G4 F#4 E4 | D4*3,            D U U+ | D U U+ | D
            a slur is no half of a pair,                   4/4, D4*2 (E4/2 F#4/2) G4 | A4 G4 F#4*2 | D4*4, D U - D | U D U | D
            lifted at a rest,                              4/4, D4*2 r E4 | F#4*4,                       D - U | D
            taken again after it,                          4/4, D4 r E4 F#4 | G4*4,                      D - D' U | D
            nothing is lifted where it comes out,          4/4, D4 E4 r F#4 | G4*4,                      D U - U' | D
            an entry leads to the next first beat,         4/4, r r D4 E4 | F#4*4,                       - - D U | D
            a tie is no new bow,                           4/4, D4 E4 F#4 G4~ | G4 F#4 E4 D4 | D4*4,     D U D U | - D U U+ | D
            whole notes take turns,                        4/4, D4*4 | E4*4 | F#4*4,                     D | U | D
            """)
    void theBowsOf(String what, String meter, String line, String bows) {
        assertThat(told(Lines.timed("D major", meter, line))).isEqualTo(bows.replaceAll("\\s+", " "));
    }

    @ParameterizedTest(name = "pick-up {0}: {1}")
    @CsvSource(textBlock = """
            A4 | D4*4,                U | D
            A4 G4 | D4*4,             D U | D
            A4/2 G4/2 F#4 | D4*4,     U D U | D
            (A4/2 G4/2) | D4*4,       U - | D
            """)
    void aPickUpTakesTheBowThatBringsTheFirstBeatDown(String line, String bows) {
        Part part = Lines.numbered(Lines.notes("D major", "4/4", line), 0, 1);
        assertThat(told(TimedView.of(part))).isEqualTo(bows.replaceAll("\\s+", " "));
    }

    @Test
    void theSecondHalfOfASplitMeasureIsNoFirstBeat() {
        Part part = Lines.numbered(Lines.notes("D major", "4/4", "D4 E4 F#4 | G4 | A4 G4 F#4 E4"), 1, 1, 2);

        assertThat(told(TimedView.of(part))).isEqualTo("D U D | U | D U D U");
    }

    @Test
    void whatIsPluckedHasNoBow() {
        Part part = marked("D4 E4 F#4 G4 | A4 G4 F#4 E4", 0, Mark.PIZZICATO, 1, Mark.PIZZICATO);

        assertThat(told(TimedView.of(part))).isEqualTo("- - D U | D U D U");
    }

    @Test
    void printedMarksWin() {
        Bowing bowing = Bowing.of(TimedView.of(marked("D4 E4 F#4 G4 | A4*4", 2, Mark.UP_BOW)));

        assertThat(told(bowing)).isEqualTo("D D+ U U+ | D");
        assertThat(bowing.strokes().get(0).get(2)).contains(new Stroke(Bow.UP, Follows.TURNING, true));
        assertThat(bowing.clashes()).isEmpty();
    }

    @Test
    void aPrintedUpOnAFirstBeatIsPlayedAndShown() {
        Part part = marked("D4 E4 F#4 G4 | A4 G4 F#4 E4", 0, Mark.UP_BOW);

        Bowing bowing = Bowing.of(TimedView.of(part));

        assertThat(told(bowing)).isEqualTo("U D U U+ | D U D U");
        assertThat(bowing.clashes()).containsExactly(new Clash(0, 0, Disagreement.FIRST_BEAT_PRINTED_UP));
    }

    @Test
    void twoPrintedUpsAreOneBowTwoPrintedDownsNeedARest() {
        Bowing ups = Bowing.of(TimedView.of(
                marked("D4 E4 F#4 G4 | A4*4", 2, Mark.UP_BOW, 3, Mark.UP_BOW, 1, Mark.DOWN_BOW, 0, Mark.UP_BOW)));
        assertThat(told(ups)).isEqualTo("U D U U+ | D");

        Bowing downs = Bowing.of(TimedView.of(marked("D4 E4 F#4 G4 | A4*4", 1, Mark.DOWN_BOW)));
        assertThat(downs.clashes()).containsExactly(new Clash(0, 1, Disagreement.NO_TIME_TO_LIFT));
        Bowing rested = Bowing.of(TimedView.of(marked("D4 r F#4 G4 | A4*4", 2, Mark.DOWN_BOW)));
        assertThat(rested.clashes()).isEmpty();
        assertThat(told(rested)).isEqualTo("D - D' U | D");
    }

    @Test
    void aMarkUnderASlurAndTwoAtOneNoteAreShown() {
        Bowing slurred = Bowing.of(TimedView.of(marked("(D4 E4) F#4 G4 | A4*4", 1, Mark.UP_BOW)));
        assertThat(slurred.clashes()).contains(new Clash(0, 1, Disagreement.UNDER_SLUR));
        Part both = Lines.with(
                Lines.notes("D major", "4/4", "D4 E4 F#4 G4 | A4*4"),
                0,
                m -> m.withNotes(List.of(
                        m.notes().get(0).withMarks(EnumSet.of(Mark.UP_BOW, Mark.DOWN_BOW)),
                        m.notes().get(1),
                        m.notes().get(2),
                        m.notes().get(3))));
        assertThat(Bowing.of(TimedView.of(both)).clashes()).containsExactly(new Clash(0, 0, Disagreement.BOTH_PRINTED));
    }

    @Test
    void aFirstBeatThatComesUpIsSaid() {
        assertThat(Bowing.of(Lines.timed("D major", "4/4", "D4*4 | E4*4 | F#4*4"))
                        .clashes())
                .containsExactly(new Clash(1, 0, Disagreement.FIRST_BEAT_COMES_UP));
    }

    @Test
    void marksAreWrittenIntoThePart() {
        Part part = Lines.notes("D major", "4/4", "D4 E4 r F#4 | G4*4");

        Part bowed = Bowing.of(TimedView.of(part)).on(part);

        assertThat(bowed.measures().getFirst().notes().stream().map(Note::marks))
                .containsExactly(Set.of(Mark.DOWN_BOW), Set.of(Mark.UP_BOW), Set.of(), Set.of(Mark.UP_BOW));
        assertThat(Bowing.of(TimedView.of(bowed)).strokes().stream()
                        .flatMap(List::stream)
                        .flatMap(Optional::stream)
                        .map(Stroke::bow))
                .containsExactly(Bow.DOWN, Bow.UP, Bow.UP, Bow.DOWN);
    }

    @Provide
    Arbitrary<List<String>> measures() {
        return Arbitraries.of(
                        "D4 E4 F#4 G4",
                        "D4*2 E4 F#4",
                        "(D4 E4) F#4 G4",
                        "D4*4",
                        "r D4 E4 F#4",
                        "D4 r E4*2",
                        "D4/2 E4/2 F#4/2 G4/2 A4*2",
                        "r r r A4")
                .list()
                .ofMinSize(1)
                .ofMaxSize(8);
    }

    /** The bow turns at every stroke but where it is said that it does not, and it is said wherever a first beat is up. */
    @Property
    void theBowTurnsUnlessItIsSaid(@ForAll("measures") List<String> measures) {
        TimedView view = Lines.timed("D major", "4/4", String.join(" | ", measures));
        Bowing bowing = Bowing.of(view);
        Bow before = null;
        for (int m = 0; m < measures.size(); m++) {
            for (int n = 0; n < bowing.strokes().get(m).size(); n++) {
                Optional<Stroke> stroke = bowing.strokes().get(m).get(n);
                if (stroke.isEmpty()) {
                    continue;
                }
                if (before != null) {
                    assertThat(stroke.get().bow() == before)
                            .isEqualTo(stroke.get().follows() != Follows.TURNING);
                }
                boolean up = view.notes().get(m).get(n).beat().isZero()
                        && stroke.get().bow() == Bow.UP;
                assertThat(up).isEqualTo(bowing.clashes().contains(new Clash(m, n, Disagreement.FIRST_BEAT_COMES_UP)));
                before = stroke.get().bow();
            }
        }
    }

    /** @param placed note of the first measure and its mark, in turn */
    private static Part marked(String line, Object... placed) {
        return Lines.with(Lines.notes("D major", "4/4", line), 0, m -> {
            List<Note> notes = new ArrayList<>(m.notes());
            for (int i = 0; i < placed.length; i += 2) {
                int at = (Integer) placed[i];
                notes.set(at, notes.get(at).withMarks(Set.of((Mark) placed[i + 1])));
            }
            return m.withNotes(notes);
        });
    }

    private static String told(TimedView view) {
        return told(Bowing.of(view));
    }

    private static String told(Bowing bowing) {
        return bowing.strokes().stream()
                .map(row -> row.stream()
                        .map(s -> s.map(BowingTest::told).orElse("-"))
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
    }

    private static String told(Stroke stroke) {
        return (stroke.bow() == Bow.DOWN ? "D" : "U")
                + switch (stroke.follows()) {
                    case TURNING -> "";
                    case RETAKEN -> "'";
                    case SAME_BOW -> "+";
                };
    }
}
