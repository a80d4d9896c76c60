package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividroster.core.hands.Demand;
import vividroster.core.hands.Demand.Kind;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.StringChart;
import vividroster.core.instrument.StringChart.Hand;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Tempo;
import vividroster.core.music.TempoMark;
import vividroster.core.reading.Timeline.Pace;
import vividroster.core.reading.Timeline.Sounding;
import vividroster.core.reading.Traps.MustBeCounted;
import vividroster.core.reading.Traps.NeverAsSigned;
import vividroster.core.rehearsal.HotSpots;
import vividroster.core.rehearsal.HotSpots.HotSpot;
import vividroster.core.rehearsal.HotSpots.Reason;

/** What crosses a bar line: pick-ups, split measures, ties, slurs, key and tempo changes. */
class TimedViewTest {

    private static final Range WIDE = Range.parse("C1-C7");
    private static final FingeringChart VIOLIN = new StringChart(
            List.of(Pitch.named("G3"), Pitch.named("D4"), Pitch.named("A4"), Pitch.named("E5")),
            Hand.BY_LETTER,
            List.of(1, 3, 5, 2, 4));

    private static List<String> spoken(Part part) {
        TimedView view = TimedView.of(part);
        return view.bars().stream()
                .map(bar -> Counting.spoken(view, bar.index()))
                .toList();
    }

    @Test
    void whatIsTiedOverTheBarLineIsHeldOn() {
        assertThat(spoken(Lines.notes("C major", "4/4", "C4*4~ | C4*2 D4*2")))
                .containsExactly("1 (2) (3) (4)", "(1) (2) 3 (4)");
    }

    @Test
    void theSecondHalfOfASplitMeasureGoesOnCounting() {
        Part split = Lines.numbered(Lines.notes("C major", "4/4", "G4 | C4*2 D4 | E4/2 F4/2 | C4*4"), 0, 1, 1, 2);
        assertThat(spoken(split)).containsExactly("4", "1 (2) 3", "4 &", "1 (2) (3) (4)");
        TimedView view = TimedView.of(split);
        assertThat(view.bars()).extracting(bar -> bar.begins().value()).containsExactly(3.0, 0.0, 3.0, 0.0);
        assertThat(view.notes().get(2).get(1).beat()).isEqualTo(Beats.of(7, 2));
        assertThat(view.notes().get(2).get(1).place()).isEqualTo(Beats.of(1, 2));
    }

    @Test
    void aTieIntoARestHoldsNothing() {
        Part part = Lines.notes("C major", "4/4", "C4*4~ | r*4 | C4*4");
        assertThat(Traps.of(TimedView.of(part))).isEmpty();
        Part other = Lines.notes("C major", "4/4", "C4*4~ | D4*4");
        assertThat(Traps.of(TimedView.of(other))).as("another pitch is no tie").isEmpty();
    }

    @Test
    void ofANoteHeldOverTwoBarsBothAreIsolated() {
        Part part = Lines.notes("C major", "4/4", "C4 D4 E4 F4 | G4*4~ | G4*4 | E4*4");
        assertThat(Traps.of(TimedView.of(part))).containsExactly(new MustBeCounted(1, 0, Beats.of(8), 2));
        assertThat(Lines.reading(part, WIDE, FingeringChart.NONE).hotSpots())
                .filteredOn(spot -> spot.reasons().contains(Reason.TRAP))
                .extracting(HotSpot::measure)
                .containsExactly(1, 2);
    }

    private static List<Integer> measuresWith(Reason reason, Part part) {
        return Lines.reading(part, WIDE, VIOLIN).hotSpots().stream()
                .filter(spot -> spot.reasons().contains(reason))
                .map(HotSpots.HotSpot::measure)
                .toList();
    }

    @Test
    void whatTheHandsDoOverABarLineIsSeen() {
        assertThat(measuresWith(Reason.WIDE_LEAP, Lines.notes("C major", "4/4", "D4*4 | A4*4")))
                .containsExactly(1);
        assertThat(measuresWith(Reason.STRING_CROSSING, Lines.notes("C major", "4/4", "G3*4 | A4*4")))
                .as("over two strings")
                .containsExactly(1);
        assertThat(measuresWith(Reason.FALLING_SLUR, Lines.notes("C major", "4/4", "E4 (F4*3 | E4) D4*3")))
                .containsExactly(1);
        assertThat(measuresWith(Reason.WIDE_LEAP, Lines.notes("C major", "4/4", "D4*4 | r A4*3")))
                .as("not over a rest")
                .isEmpty();
    }

    @Test
    void straySlursSayNothing() {
        Part never = Lines.notes("C major", "4/4", "(E4 F4 G4 A4 | B4 A4 G4 F4 | E4*4");
        assertThat(measuresWith(Reason.FALLING_SLUR, never))
                .as("begun and never ended")
                .isEmpty();
        Part stray = Lines.notes("C major", "4/4", "E4) F4 G4 A4 | (C5 B4) G4 F4 | E4*4");
        assertThat(measuresWith(Reason.FALLING_SLUR, stray))
                .as("ended and never begun")
                .containsExactly(1);
        assertThat(TimedView.of(stray).slurs()).hasSize(1);
        assertThat(Lines.reading(never, WIDE, VIOLIN).demand())
                .extracting(Demand.Peak::kind)
                .doesNotContain(Kind.SLUR_SECONDS);
    }

    @Test
    void slursThatMeetAtANoteAreTwo() {
        Part part = Lines.notes("C major", "4/4", "(C4*2 D4*2 | E4*4)");
        assertThat(TimedView.of(part).slurs())
                .singleElement()
                .satisfies(slur -> assertThat(slur).hasSize(3));
        Part chained = Lines.with(
                part,
                0,
                m -> m.withNotes(List.of(
                        m.notes().get(0), m.notes().get(1).withSlurs(new vividroster.core.music.Note.Slurs(1, 1)))));
        assertThat(TimedView.of(chained).slurs()).extracting(List::size).containsExactly(2, 2);
    }

    @Test
    void everyLetterHeedsTheKeyWhereItStands() {
        Part part = Lines.notes("C major", "4/4", "C4 D4 E4 G4 | F#4 G4 F#4*2 | F#4*4 | F#4*4");
        assertThat(Traps.of(TimedView.of(part))).contains(new NeverAsSigned(1, 'F', Pitch.named("F#4")));
        Part changed = Lines.with(part, 2, m -> m.withKey(Optional.of(Key.named("G major"))));
        assertThat(Traps.of(TimedView.of(changed)))
                .as("from the third measure on the key signs it")
                .noneMatch(NeverAsSigned.class::isInstance);
    }

    @Test
    void aSecondEndingIsHeardAfterWhatStandsBeforeTheFirst() {
        Part notes = Lines.notes("C major", "4/4", "F#4*4~ | F#4*4 | F#4*2 D5*2");
        Part part = Lines.roadmap("|:A [1B:|] [2C]");
        for (int m = 0; m < 3; m++) {
            int at = m;
            part = Lines.with(
                    part,
                    m,
                    measure -> measure.withNotes(notes.measures().get(at).notes()));
        }
        TimedView view = TimedView.of(part);
        assertThat(view.bars()).extracting(TimedView.Bar::before).containsExactly(-1, 0, 0);
        assertThat(view.notes().get(2).getFirst().tiedIn()).isTrue();
        assertThat(Accidentals.of(view).get(2).toString()).isEqualTo("[TIED, BY_KEY]");
        assertThat(view.timeline().notes()).extracting(n -> n.length().value()).containsExactly(8.0, 6.0, 2.0);
    }

    private static Part tempoAt(Part part, int measure, Beats at, double tempo) {
        return Lines.with(part, measure, m -> m.withTempos(List.of(new TempoMark(at, Tempo.of(tempo)))));
    }

    @Test
    void aTempoHoldsFromItsPlaceOn() {
        Part part = tempoAt(Lines.notes("C major", "4/4", "C4*4 | C4 D4 E4*2 | C4*4"), 1, Beats.of(3), 120);
        TimedView view = TimedView.of(part);
        assertThat(view.bars()).extracting(bar -> bar.tempo().value()).containsExactly(60.0, 60.0, 120.0);
        assertThat(view.notes().get(1).get(2).seconds())
                .as("a half note, its second beat twice as fast")
                .isCloseTo(1.5, within(1e-9));
        Timeline timeline = view.timeline();
        assertThat(timeline.begins()).containsExactly(0.0, 4.0, 7.5);
        assertThat(timeline.seconds()).isCloseTo(9.5, within(1e-9));
        assertThat(timeline.paces()).containsExactly(new Pace(Beats.ZERO, 1), new Pace(Beats.of(7), 0.5));
        assertThat(Entry.countInSeconds(view, 1)).isEqualTo(4);
        assertThat(Lines.reading(tempoAt(part, 2, Beats.ZERO, 240), WIDE, FingeringChart.NONE)
                        .demand())
                .filteredOn(p -> p.kind() == Kind.NOTES_PER_SECOND)
                .extracting(Demand.Peak::value)
                .containsExactly(1.0);
    }

    @Test
    void aFermataIsCountedAsOneLikesAndNeverSlowsTheCountIn() {
        Part part = Lines.notes("C major", "4/4", "C4 D4 E4*2^ | C4*4");
        TimedView view = TimedView.of(part);
        assertThat(view.timeline().seconds()).isEqualTo(8);
        assertThat(view.timeline(2).seconds()).isEqualTo(10);
        assertThat(view.timeline(2).notes()).extracting(Sounding::lasts).containsExactly(1.0, 1.0, 4.0, 4.0);
        TimedView stretched = TimedView.of(part, new TimedView.Options(Roadmap.Options.USUAL, new Bpm(100), 1.5));
        assertThat(stretched.timeline().seconds()).isEqualTo(9);
        assertThat(stretched.timeline(1).seconds()).isEqualTo(8);
        PlayPlan plan = PlayPlan.of(view, 1, 2);
        assertThat(plan.places().getFirst().countInSeconds()).isEqualTo(4);
        assertThat(plan.places().getFirst().clicks())
                .extracting(PlayPlan.Click::seconds)
                .containsExactly(0.0, 1.0, 2.0, 4.0);
        assertThatThrownBy(() -> new TimedView.Options(Roadmap.Options.USUAL, new Bpm(100), 0))
                .hasMessage("fermata must be in 1..8, was 0.0");
    }

    @Test
    void theMetronomeClicksOnThePulsesOfTheFullMeasure() {
        Part part = Lines.numbered(Lines.notes("C major", "4/4", "G4/2 | C4*2 D4 | E4/2 F4/2 | C4*4"), 0, 1, 1, 2);
        PlayPlan plan = PlayPlan.of(TimedView.of(part), 1, 2);
        assertThat(plan.places().get(0).clicks())
                .as("half a beat before the bar line")
                .isEmpty();
        assertThat(plan.places().get(0).countIn()).hasSize(4);
        assertThat(plan.places().get(0).countInSeconds()).isEqualTo(3.5);
        assertThat(plan.places().get(1).clicks())
                .extracting(PlayPlan.Click::strong)
                .containsExactly(true, false, false);
        assertThat(plan.places().get(2).clicks())
                .extracting(PlayPlan.Click::strong)
                .containsExactly(false);
        assertThat(plan.places().get(2).countInSeconds()).as("to begin on four").isEqualTo(3);
        assertThat(plan.places().get(3).countIn())
                .extracting(PlayPlan.Click::strong)
                .containsExactly(true, false, false, false);
    }

    @Test
    void theCountInIsOfTheFirstFullMeasure() {
        Part part = Lines.with(
                Lines.numbered(Lines.notes("C major", "4/4", "G4 | C4 D4 E4"), 0, 1),
                1,
                m -> new vividroster.core.music.Measure(
                        1, m.notes(), m.signs(), m.key(), Optional.of(new Meter(3, 4)), m.tempos(), ""));
        assertThat(Entry.countIn(TimedView.of(part), 1)).isEqualTo(Beats.of(2));
    }

    @Test
    void theSameTimeHoldsForWhateverAnInstrumentReads() {
        Part part = Lines.notes("B-flat major", "4/4", "Bb3*4~ | Bb3*2 (C4 D4)");
        Part written = part.writtenFor(new vividroster.core.music.Transposition(-1, -2));
        TimedView moved = TimedView.of(part).reading(written);
        TimedView own = TimedView.of(written);
        assertThat(moved.notes()).isEqualTo(own.notes());
        assertThat(moved.bars()).isEqualTo(own.bars());
    }

    @Test
    void aLetterThatSoundsOnUnderAnotherNameIsCountedToo() {
        Part part = Lines.notes("C major", "4/4", "Cb5*4~ | B4*4 | B#4*2 B#4*2");
        assertThat(Traps.of(TimedView.of(part))).noneMatch(NeverAsSigned.class::isInstance);
    }
}
