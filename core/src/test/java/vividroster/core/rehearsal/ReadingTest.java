package vividroster.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.hands.Demand;
import vividroster.core.hands.Demand.Kind;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Range;
import vividroster.core.music.Beats;
import vividroster.core.music.Meter;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Accidentals;
import vividroster.core.reading.Lines;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Timeline;
import vividroster.core.reading.Timeline.Sounding;
import vividroster.core.reading.Traps;
import vividroster.core.reading.Traps.HiddenSkip;
import vividroster.core.reading.Traps.MustBeCounted;
import vividroster.core.reading.Traps.NeverAsSigned;
import vividroster.core.reading.Traps.StillAltered;
import vividroster.core.rehearsal.Echoes.Echo;
import vividroster.core.rehearsal.Echoes.Likeness;

/** What a part asks of whoever reads it. */
class ReadingTest {

    private static Timeline timeline(Part part) {
        return TimedView.of(part).timeline();
    }

    @Test
    void accidentalsHoldToTheBarLineOnTheirPlaceAlone() {
        Part part = Lines.notes("C major", "4/4", "F#4 F#4 F#5 F4 | F4 F#4*2~ G4 | F#4~ F#4 F#4 G4");
        assertThat(Accidentals.of(TimedView.of(part)).toString())
                .isEqualTo("[[PRINTED, CARRIED, PRINTED, PRINTED], [BY_KEY, PRINTED, BY_KEY],"
                        + " [PRINTED, TIED, CARRIED, BY_KEY]]");
    }

    @Test
    void aTieCarriesAnAccidentalOverTheBarLineToTheTiedNoteAlone() {
        Part part = Lines.notes("C major", "4/4", "F#4*4~ | F#4*2 F#4 F4");
        assertThat(Accidentals.of(TimedView.of(part)).get(1).toString()).isEqualTo("[TIED, PRINTED, PRINTED]");
    }

    @Test
    void everyNoteAlteredByCarryOverAloneIsATrap() {
        Part part = Lines.notes("B-flat major", "4/4", "E4 G4 E4 Eb4 | Eb4*4");
        assertThat(Traps.of(TimedView.of(part))).containsExactly(new StillAltered(0, 2, Pitch.named("E4")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"C4/2 D4/2 E4/2 G4/2 A4/2 B4/2 C5; G4", "C5/2 B4/2 A4/2 F4/2 E4/2 D4/2 C4; F4"})
    void aSkipInARunThatLooksLikeAScaleIsATrap(String run, String at) {
        assertThat(Traps.of(Lines.timed("C major", "4/4", run)))
                .hasSize(1)
                .first()
                .isInstanceOfSatisfying(
                        HiddenSkip.class, s -> assertThat(s.to()).isEqualTo(Pitch.named(at)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                // a scale, an arpeggio, a short run, a run with two skips, a leap in plain sight
                "C4 D4 E4 F4 | G4 A4 B4 C5",
                "C4 E4 G4 C5",
                "C4 D4 F4 G4",
                "C4 E4 F4 A4 | B4 C5*3",
                "C4 D4 E4 A4 | B4 C5*3"
            })
    void whatTheEyeSeesIsNoTrap(String notes) {
        assertThat(Traps.of(Lines.timed("C major", "4/4", notes))).isEmpty();
    }

    @Test
    void aNoteHeldTwoMeasuresMustBeCounted() {
        assertThat(Traps.of(Lines.timed("C major", "3/4", "C4 D4 E4~ | E4*3~ | E4*2 r")))
                .containsExactly(new MustBeCounted(0, 2, Beats.of(6), 2));
        assertThat(Traps.of(Lines.timed("C major", "3/4", "C4 D4 E4~ | E4*3 "))).isEmpty();
    }

    @Test
    void aLetterThatIsNeverAsTheKeySaysIsTold() {
        assertThat(Traps.of(Lines.timed("D minor", "4/4", "D4 E4 F4 G4 | A4 B4 C#5 D5 | C#5 B4 A4*2")))
                .contains(new NeverAsSigned(1, 'B', Pitch.named("B4")), new NeverAsSigned(1, 'C', Pitch.named("C#5")))
                .hasSize(2);
    }

    @Test
    void tiesJoinForwardsAndNeverBack() {
        Part part = Lines.notes("C major", "4/4", "C4*4~ | C4*4 | D4*4");
        assertThat(timeline(part).notes()).extracting(s -> s.length().value()).containsExactly(8.0, 4.0);
        Part back = new Part(
                part.key(),
                part.meter(),
                part.tempo(),
                List.of(part.measures()
                        .getFirst()
                        .withSigns(Lines.roadmap("A:|").measures().getFirst().signs())));
        assertThat(timeline(back).notes())
                .as("a repeated tied note is struck again")
                .hasSize(2);
    }

    @Test
    void onsetsSecondsAndTotalAreTold() {
        Part part = Lines.notes("C major", "4/4", "C4 r E4*2 | G4*4");
        Timeline timeline = timeline(part);
        assertThat(timeline.notes()).extracting(Sounding::onset).containsExactly(Beats.ZERO, Beats.of(2), Beats.of(4));
        assertThat(timeline.notes()).extracting(Sounding::seconds).containsExactly(0.0, 2.0, 4.0);
        assertThat(timeline.total()).isEqualTo(Beats.of(8));
        assertThat(timeline.seconds()).as("eight beats at 60").isEqualTo(8);
    }

    @Test
    void theRoadmapIsAsLongAsTheMeasuresPlayed() {
        Part part = Lines.roadmap("|:A [1B:|] [2C] D,F E,DCF");
        Roadmap roadmap = Roadmap.of(part, Roadmap.Options.USUAL);
        Beats sum = roadmap.indices().stream()
                .map(i -> part.measures().get(i).length())
                .reduce(Beats.ZERO, Beats::plus);
        assertThat(timeline(part).total()).isEqualTo(sum);
    }

    @Test
    void demandIsAProfileWithTheMeasureWhereEachPeaks() {
        Part part = Lines.notes("C major", "4/4", "C4 D4 E4*2 | C4/2 D4/2 E4 C5*2 | F#4 r A4*2");
        List<Demand.Peak> peaks =
                Lines.reading(part, Range.parse("C4-A4"), FingeringChart.NONE).demand();
        assertThat(peaks)
                .contains(
                        new Demand.Peak(Kind.NOTES_PER_SECOND, 2, 1),
                        new Demand.Peak(Kind.LEAP, 5, 1),
                        new Demand.Peak(Kind.ABOVE_RANGE, 3, 1),
                        new Demand.Peak(Kind.BELOW_RANGE, 0, 0),
                        new Demand.Peak(Kind.ALTERED, 1, 2),
                        new Demand.Peak(Kind.BREATH_SECONDS, 4, 0));
    }

    @Test
    void whatWasPlayedBeforeIsFound() {
        Part part =
                Lines.notes("C major", "4/4", "C4 D4 E4*2 | G4 A4 B4*2 | C4 D4 E4*2 | E4 C4 D4*2 | r*4 | C4*4 | D4*4");
        assertThat(Echoes.within(TimedView.of(part)))
                .containsExactly(
                        new Echo(1, 0, Likeness.SAME_RHYTHM_OTHER_PLACE),
                        new Echo(2, 0, Likeness.SAME),
                        new Echo(3, 0, Likeness.SAME_RHYTHM));
    }

    @Test
    void atMostFiveLikenessesAreWorthSaying() {
        Part part = Lines.notes(
                "C major",
                "4/4",
                "C4 D4 E4*2 | G4 A4 B4*2 | C4 D4 E4*2 | E4 C4 D4*2 | D4 E4 F4*2 | F4 D4 E4*2 | C4 D4 E4*2 | C4*4 | C4*4");
        assertThat(Echoes.within(TimedView.of(part))).hasSize(6);
        assertThat(Echoes.worthSaying(TimedView.of(part)))
                .containsExactly(
                        new Echo(1, 0, Likeness.SAME_RHYTHM_OTHER_PLACE),
                        new Echo(2, 0, Likeness.SAME),
                        new Echo(4, 0, Likeness.SAME_RHYTHM_OTHER_PLACE),
                        new Echo(5, 3, Likeness.SAME_RHYTHM_OTHER_PLACE),
                        new Echo(6, 0, Likeness.SAME));
    }

    @Test
    void aMeasureWithTheSameNotesIsRecalledFromTheFirstOfThem() {
        Part part = Lines.notes(
                "C major", "4/4", "C4 D4 E4 F4 | G4*4 | C4 D4 E4 F4 | C4 D4 E4*2 | C4 D4 E4 F4 | r*4 | r*4");
        assertThat(Echoes.recalled(TimedView.of(part)))
                .containsExactly(new Echo(2, 0, Likeness.SAME_BUT_SLURS), new Echo(4, 0, Likeness.SAME_BUT_SLURS));
    }

    @Test
    void everyMeasurePlayedBeginsWhereTheOneBeforeEnds() {
        Part part = Lines.notes("C major", "4/4", "C4*4 | D4*2 E4*2 | F4*4");
        assertThat(timeline(part).begins()).containsExactly(0.0, 4.0, 8.0);
        assertThat(Timeline.NONE.begins()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"4/4,1", "3/4,1", "2/2,2", "6/8,1.5", "9/8,1.5", "12/8,1.5", "3/8,0.5", "5/8,0.5", "6/16,0.75", "6/4,1"
    })
    void theFootTapsThePulse(String meter, double beats) {
        assertThat(Meter.parse(meter).pulse().value()).isEqualTo(beats);
    }
}
