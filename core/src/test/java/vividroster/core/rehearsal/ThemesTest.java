package vividroster.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Range;
import vividroster.core.music.Part;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.Ladder.Group;
import vividroster.core.rehearsal.Ladder.Grouping;
import vividroster.core.rehearsal.Ladder.Kind;
import vividroster.core.rehearsal.Ladder.Step;
import vividroster.core.rehearsal.Themes.Stretch;
import vividroster.core.rehearsal.Themes.Theme;

class ThemesTest {

    private static final Range STAGE = Range.parse("C4-C5");

    private static List<Stretch> of(Theme theme, String line, Grouping grouping) {
        Part part = Lines.notes("C major", "4/4", line);
        return Themes.of(theme, Lines.reading(part, STAGE, FingeringChart.NONE), grouping);
    }

    @Test
    void slursTakeTheNotesBetweenThemAlong() {
        String line = "C4 D4 E4 F4 | (C4/2 D4/2) E4/2 F4/2 (G4/2 A4/2) G4 | (C4*2 D4*2) | E4*4";
        assertThat(of(Theme.SLURS, line, Grouping.CONSECUTIVE))
                .containsExactly(
                        new Stretch(1, 1, List.of(new Group(0, 3), new Group(4, 5))),
                        // the whole measure is one slur
                        new Stretch(2, 2, List.of()));
        assertThat(of(Theme.SLURS, line, Grouping.OVERLAPPING).getFirst().groups())
                .containsExactly(new Group(0, 4), new Group(4, 5));
    }

    @Test
    void aSlurOverTheBarLineIsTakenWithBothMeasures() {
        assertThat(of(Theme.SLURS, "C4 D4 E4 (F4 | G4) F4 (E4 D4) | C4*4", Grouping.CONSECUTIVE))
                .containsExactly(new Stretch(0, 1, List.of()));
    }

    @Test
    void accidentalsAreTakenFromWhereTheyArePrinted() {
        assertThat(of(Theme.CARRIED_ACCIDENTALS, "C4 F#4 G4 F#4 | F#4 G4 A4 G4 | F4*4", Grouping.CONSECUTIVE))
                .containsExactly(new Stretch(0, 0, List.of(new Group(1, 3))));
    }

    @Test
    void everyPlaceOfANewNoteComesWithItsNeighbours() {
        Part part = Lines.notes("C major", "4/4", "C4 D4 E4 G4 | E4 D4 C4 D4 | G4 C4 D4 E4");
        Vocabulary met = Vocabulary.of(TimedView.of(Lines.notes("C major", "4/4", "C4 D4 E4 C4")));
        Reading reading = Lines.reading(part, STAGE, FingeringChart.NONE, Optional.of(met));
        assertThat(Themes.of(Theme.NEW_NOTES, reading, Grouping.CONSECUTIVE))
                .containsExactly(
                        new Stretch(0, 0, List.of(new Group(2, 3))), new Stretch(2, 2, List.of(new Group(0, 1))));
    }

    @Test
    void whatMustBeCountedIsTakenAsLongAsItIsHeld() {
        assertThat(of(Theme.COUNTS, "C4 D4 E4 F4 | G4*4~ | G4*4 | C4/2 D4 E4/2 F4*2", Grouping.CONSECUTIVE))
                .containsExactly(new Stretch(1, 2, List.of()), new Stretch(3, 3, List.of()));
    }

    @Test
    void aThemedLadderGoesThroughItsPlacesInOrderAndThenTheWhole() {
        Part part = Lines.notes("C major", "4/4", "C4 (D4 E4) F4 | C4 D4 E4 F4 | (C4 D4) E4 F4");
        Ladder.Line line = Ladder.Line.of(TimedView.of(part));
        List<Stretch> stretches =
                Themes.of(Theme.SLURS, Lines.reading(part, STAGE, FingeringChart.NONE), Grouping.CONSECUTIVE);

        Ladder ladder = ThemedLadder.of(line, Theme.SLURS, stretches, 20);

        assertThat(ladder.steps())
                .extracting(Step::kind)
                .containsExactly(
                        Kind.LOOK, Kind.GROUPS, Kind.ISOLATE, Kind.GROUPS, Kind.ISOLATE, Kind.WHOLE_SLOW, Kind.WHOLE);
        assertThat(ladder.steps().get(1).listen()).contains(Listen.UNBROKEN_SLUR);
        assertThat(ThemedLadder.of(line, Theme.SLURS, stretches, 1).seconds()).isLessThanOrEqualTo(60);
        assertThat(ThemedLadder.of(line, Theme.NEW_NOTES, List.of(), 20).steps())
                .as("a line without it is played")
                .extracting(Step::kind)
                .containsExactly(Kind.LOOK, Kind.WHOLE);
    }
}
