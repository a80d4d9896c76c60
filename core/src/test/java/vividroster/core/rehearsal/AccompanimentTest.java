package vividroster.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.music.Signs;
import vividroster.core.music.Voice;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;
import vividroster.core.rehearsal.Accompaniment.Below;
import vividroster.core.rehearsal.Accompaniment.Motion;
import vividroster.core.rehearsal.Accompaniment.ToldApart;

class AccompanimentTest {

    private static final Part TUNE = Lines.notes("C major", "4/4", "C4 D4 E4 F4 | G4*4 | C4 D4 E4 F4 | C4*4");

    @Test
    void everyStrainSaysWhatLiesBelowIt() {
        Part under = Lines.notes("C major", "4/4", "C3*4 | G2*4 | C3/2 E3/2 G3/2 E3/2 C3/2 E3/2 G3/2 E3/2 | r*4");
        Part repeated = Lines.with(
                TUNE,
                1,
                m -> m.withSigns(new Signs(
                        false,
                        2,
                        Set.of(),
                        false,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        false,
                        Optional.empty())));

        Accompaniment found = Accompaniment.of(TimedView.of(repeated), TimedView.of(under));

        assertThat(found.strains()).hasSize(2);
        assertThat(found.strains().get(0))
                .isEqualTo(new Below(0, 1, Motion.HELD, List.of(Pitch.named("C3"), Pitch.named("G2"))));
        assertThat(found.strains().get(1).motion()).isEqualTo(Motion.MOVING);
        assertThat(found.strains().get(1).notes()).hasSize(8);
    }

    @Test
    void equalMeasuresOverSomethingElseAreToldApart() {
        Part under = Lines.notes("C major", "4/4", "C3*4 | G2*4 | F3*4 | C3*4");
        assertThat(Accompaniment.of(TimedView.of(TUNE), TimedView.of(under)).toldApart())
                .containsExactly(new ToldApart(2, 0));
        Part alike = Lines.notes("C major", "4/4", "C3*4 | G2*4 | C3*4 | C3*4");
        assertThat(Accompaniment.of(TimedView.of(TUNE), TimedView.of(alike)).toldApart())
                .isEmpty();
    }

    @Test
    void nothingBelowIsSaid() {
        Part silent = Lines.notes("C major", "4/4", "r*4 | r*4 | r*4 | r*4");
        assertThat(Accompaniment.of(TimedView.of(TUNE), TimedView.of(silent)).strains())
                .extracting(Below::motion)
                .containsExactly(Motion.SILENT);
    }

    @Test
    void aDivisionIsReadAsTheSectionsPart() {
        Part first = Lines.notes("C major", "4/4", "E4*4 | E4*4 | E4*4 | E4*4");
        Part second = Lines.notes("C major", "4/4", "r*4 | C4*4 | C4*4 | C4*4");
        Score score = new Score(
                "",
                TUNE,
                Map.of(
                        new Voice(new InstrumentCode("trumpet"), 1),
                        first,
                        new Voice(new InstrumentCode("trumpet"), 2),
                        second));
        assertThat(score.inDivision(new InstrumentCode("trumpet"), 2).partOf(new InstrumentCode("trumpet")))
                .isEqualTo(second);
        assertThat(score.inDivision(new InstrumentCode("trumpet"), 1).partOf(new InstrumentCode("trumpet")))
                .isEqualTo(first);
        assertThat(score.inDivision(new InstrumentCode("flute"), 2).partOf(new InstrumentCode("flute")))
                .isEqualTo(TUNE);
        assertThatThrownBy(() -> new Score("", TUNE, Map.of(), Optional.of(Lines.notes("C major", "4/4", "C3*4"))))
                .hasMessage("the accompaniment has 1 measures, the others 4");
    }
}
