package vividroster.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.StringChart;
import vividroster.core.music.Bpm;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;
import vividroster.core.rehearsal.HotSpots.HotSpot;
import vividroster.core.rehearsal.HotSpots.Reason;
import vividroster.core.rehearsal.Ladder.Group;
import vividroster.core.rehearsal.Ladder.Grouping;
import vividroster.core.rehearsal.Ladder.Habit;
import vividroster.core.rehearsal.Ladder.Kind;
import vividroster.core.rehearsal.Ladder.Step;
import vividroster.core.rehearsal.Ladder.Wish;

class LadderTest {

    private static final Range STAGE = Range.parse("C4-A4");
    private static final Part LINE =
            Lines.notes("C major", "4/4", "C4 D4 E4*2 | F#4 G4 F#4*2 | C4 G4 C4*2 | C4 D4 E4*2 | F#4 G4 F#4*2 | E4*4");

    private static List<HotSpot> spots() {
        return spots(LINE);
    }

    private static List<HotSpot> spots(Part part) {
        return Lines.reading(part, STAGE, FingeringChart.NONE).hotSpots();
    }

    private static Ladder ladder(Bpm tempo, Habit habit, double minutes) {
        return Ladder.of(
                Ladder.Line.of(TimedView.of(Lines.at(tempo.value(), LINE))),
                spots(),
                new Wish(habit, Grouping.OVERLAPPING),
                minutes);
    }

    @Test
    void hotSpotsTellWhyAndTheMostRewardingComesFirst() {
        assertThat(spots()).extracting(HotSpot::measure).containsExactly(1, 2, 4);
        assertThat(spots().getFirst().reasons()).containsExactly(Reason.TRAP, Reason.ALTERED);
        assertThat(spots().get(1).reasons()).containsExactly(Reason.WIDE_LEAP);
        assertThat(spots().get(2).recalls()).as("measure 5 is measure 2 again").hasValue(1);
    }

    @Test
    void fastNotesAndNotesBeyondTheStageAreReasons() {
        Part part = Lines.notes("C major", "4/4", "C4/4 D4/4 E4/4 F4/4 G4 B4 C4 | G4 F4 E4 D4");
        assertThat(spots(part).getFirst().reasons()).contains(Reason.FAST, Reason.BEYOND_RANGE);
        assertThat(spots(Lines.notes("C major", "4/4", "C4 D4 E4 F4"))).isEmpty();
    }

    /** Fast is half as fast again as the line's usual note, and over 2.5 a second here. */
    @Test
    void fastIsWhatStandsOutOfTheLine() {
        assertThat(spots(Lines.notes(
                        "C major", "4/4", "C4/4 D4/4 E4/4 F4/4 G4/4 F4/4 E4/4 D4/4 C4/4 D4/4 E4/4 F4/4 G4")))
                .as("all alike")
                .isEmpty();
        assertThat(spots(Lines.notes("C major", "4/4", "C4 D4/2 E4/2 F4 G4 | F4 E4 D4 C4")))
                .as("two a second are not fast for this stage")
                .isEmpty();
    }

    @Test
    void aRhythmThatComesAgainAndAgainIsOneSpot() {
        String quick = "C4/4 D4/4 E4/4 F4/4 G4 F4 E4";
        Part part = Lines.notes(
                "C major",
                "4/4",
                String.join(" | ", quick, "G4 F4 E4 D4", "D4/4 E4/4 F4/4 G4/4 A4 G4 F4", "F4 E4 D4 C4", quick, "C4*4"));
        assertThat(spots(part)).extracting(HotSpot::measure).containsExactly(0);
    }

    @Test
    void aNoteThatIsAsSignedAgainAfterTheBarLineIsAReason() {
        assertThat(spots(Lines.notes("C major", "4/4", "G4 F#4 G4*2 | F4 E4 D4 C4 | D4 E4 F4*2")))
                .extracting(HotSpot::measure, HotSpot::reasons)
                .containsExactly(tuple(0, Set.of(Reason.ALTERED)), tuple(1, Set.of(Reason.AS_SIGNED_AGAIN)));
    }

    @Test
    void aMeasureIsRecalledOnlyFromOneThatIsASpotItself() {
        // Measure 2 is a leap away from what is heard before it; the first time the same notes begin the line.
        Part part = Lines.notes("C major", "4/4", "A4 G4 F4 E4 | D4 C4 D4 E4 | A4 G4 F4 E4 | D4 C4 D4 E4");
        assertThat(spots(part))
                .extracting(HotSpot::measure, h -> h.recalls().isPresent())
                .containsExactly(tuple(2, false));
    }

    /** |: 1 2 :| 3 4 D.C. al Fine in 2: back at the repeat, and from the end to the top. */
    @Test
    void joinsFollowTheOrderPlayed() {
        Part part = Lines.roadmap("A B,F:| C D,DCF");
        Ladder ladder = Ladder.of(
                Ladder.Line.of(TimedView.of(part)), List.of(), new Wish(Habit.SPOTS_FIRST, Grouping.OVERLAPPING), 20);
        assertThat(ladder.steps())
                .filteredOn(s -> s.kind() == Kind.JOIN_AS_PLAYED)
                .extracting(Step::from, Step::to)
                .containsExactly(tuple(1, 0), tuple(3, 0));
        // four beats and four at 48, twice, and a word
        assertThat(ladder.steps().get(1).seconds()).isEqualTo(2 * 8 * 60 / 48.0 + 8);
    }

    @Test
    void wholeSpotWholeWithoutASpotIsOneRun() {
        Part plain = Lines.notes("C major", "4/4", "C4 D4 E4 F4 | G4 F4 E4 D4");
        assertThat(Ladder.of(
                                Ladder.Line.of(TimedView.of(plain)),
                                List.of(),
                                new Wish(Habit.WHOLE_SPOT_WHOLE, Grouping.OVERLAPPING),
                                20)
                        .steps())
                .extracting(Step::kind)
                .containsExactly(Kind.LOOK, Kind.WHOLE);
    }

    @Property
    void aShortLadderKeepsOneJoinAndNamesNothingThatWasNotIsolated(
            @ForAll @DoubleRange(min = 0.5, max = 6) double minutes) {
        List<Step> steps = ladder(new Bpm(60), Habit.SPOTS_FIRST, minutes).steps();
        List<Kind> kept = steps.stream().map(Step::kind).toList();
        if (kept.contains(Kind.ISOLATE)) {
            assertThat(kept).contains(Kind.JOIN);
        }
        if (kept.contains(Kind.RECALL)) {
            assertThat(steps).as("measure 2 was isolated").anyMatch(s -> s.kind() == Kind.ISOLATE && s.from() == 1);
        }
    }

    private static List<Kind> kinds(Habit habit, double minutes) {
        return ladder(new Bpm(60), habit, minutes).steps().stream()
                .map(Step::kind)
                .toList();
    }

    @Test
    void eachHabitHasItsOrder() {
        assertThat(kinds(Habit.SPOTS_FIRST, 20))
                .containsExactly(
                        Kind.LOOK,
                        Kind.ISOLATE,
                        Kind.ISOLATE,
                        Kind.JOIN,
                        Kind.ISOLATE,
                        Kind.JOIN,
                        Kind.RECALL,
                        Kind.WHOLE_SLOW,
                        Kind.WHOLE);
        assertThat(kinds(Habit.WHOLE_SPOT_WHOLE, 20))
                .startsWith(Kind.LOOK, Kind.WHOLE_SLOW, Kind.ISOLATE)
                .endsWith(Kind.WHOLE);
        assertThat(kinds(Habit.STRAIGHT_THROUGH, 20)).startsWith(Kind.LOOK, Kind.WHOLE_SLOW);
    }

    @Test
    void aStepTakesItsBeatsAndAWord() {
        Step isolate = ladder(new Bpm(60), Habit.SPOTS_FIRST, 20).steps().get(1);
        // three times four beats at 36 are 20 s, and 8 s of talk
        assertThat(isolate.tempo()).isEqualTo(new Bpm(36));
        assertThat(isolate.seconds()).isEqualTo(28);
        assertThat(isolate.from()).isEqualTo(1);
    }

    @Test
    void theLeastValuableIsDroppedFirstAndSaid() {
        Ladder ladder = ladder(new Bpm(60), Habit.SPOTS_FIRST, 2);
        assertThat(ladder.dropped().getFirst().kind()).isEqualTo(Kind.RECALL);
        assertThat(ladder.steps()).extracting(Step::kind).endsWith(Kind.WHOLE);
        assertThat(ladder.seconds()).isLessThanOrEqualTo(120);
        assertThatThrownBy(() -> ladder(new Bpm(60), Habit.SPOTS_FIRST, 0))
                .hasMessage("minutes must be more than 0 and at most 120, was 0.0");
    }

    @Property
    void aLadderNeverTakesMoreThanTheMinutesAskedFor(
            @ForAll @DoubleRange(min = 0.1, max = 30) double minutes,
            @ForAll Habit habit,
            @ForAll @IntRange(min = 20, max = 200) int tempo) {
        Ladder ladder = ladder(new Bpm(tempo), habit, minutes);
        assertThat(ladder.seconds()).isLessThanOrEqualTo(minutes * 60);
        assertThat(ladder.steps().stream().mapToDouble(Step::seconds).sum()).isEqualTo(ladder.seconds());
    }

    @Test
    void aFullMeasureIsCutInGroupsThatShareTheirJoints() {
        Measure full = Lines.notes("C major", "4/4", "C4/2 D4/2 E4/2 F4/2 G4/2 F4/2 E4/2 D4/2")
                .measures()
                .getFirst();
        assertThat(Ladder.groups(full, Grouping.OVERLAPPING, 4))
                .containsExactly(new Group(0, 3), new Group(3, 6), new Group(6, 7));
        assertThat(Ladder.groups(full, Grouping.CONSECUTIVE, 4)).containsExactly(new Group(0, 3), new Group(4, 7));
        assertThat(Ladder.groups(LINE.measures().getFirst(), Grouping.OVERLAPPING, 4))
                .isEmpty();
    }

    @Test
    void groupsTakeTheBeatsTheyPlay() {
        Part part = Lines.notes("C major", "4/4", "C4/2 D4/2 E4/2 G#4/2 G4/2 F4/2 E4/2 D4/2 | C4*4");
        Step groups = Ladder.of(
                        Ladder.Line.of(TimedView.of(Lines.at(100, part))),
                        spots(part),
                        new Wish(Habit.SPOTS_FIRST, Grouping.CONSECUTIVE),
                        20)
                .steps()
                .stream()
                .filter(s -> s.kind() == Kind.GROUPS)
                .findFirst()
                .orElseThrow();
        // twice four beats at 60 and 8 s of talk
        assertThat(groups.seconds()).isEqualTo(16);
    }

    @Test
    void theSizeOfAGroupIsTheDirectors() {
        Measure full = Lines.notes("C major", "4/4", "C4/2 D4/2 E4/2 F4/2 G4/2 F4/2 E4/2 D4/2")
                .measures()
                .getFirst();
        assertThat(Ladder.groups(full, Grouping.CONSECUTIVE, 2)).hasSize(4);
        assertThat(Ladder.groups(full, Grouping.OVERLAPPING, 3))
                .containsExactly(new Group(0, 2), new Group(2, 4), new Group(4, 6), new Group(6, 7));
        assertThat(Ladder.groups(full, Grouping.CONSECUTIVE, 8)).isEmpty();
        assertThatThrownBy(() -> new Wish(Habit.SPOTS_FIRST, Grouping.CONSECUTIVE, 9))
                .hasMessage("groupSize must be in 2..8, was 9");
    }

    private static final FingeringChart VIOLIN = new StringChart(
            List.of(Pitch.named("G3"), Pitch.named("D4"), Pitch.named("A4"), Pitch.named("E5")),
            StringChart.Hand.BY_LETTER,
            List.of(1, 3, 5, 2, 4));

    @Test
    void fingersStandBeforeASlurFalls() {
        Part part = Lines.notes("D major", "4/4", "D4 E4 F#4 G4 | (G4 F#4) E4 D4 | D4*4");
        Ladder ladder = Ladder.of(
                Ladder.Line.of(TimedView.of(part)),
                Lines.reading(part, Range.parse("G3-E5"), VIOLIN).hotSpots(),
                new Wish(Habit.SPOTS_FIRST, Grouping.OVERLAPPING),
                20);
        List<Step> ofTheSlur = ladder.steps().stream()
                .filter(s -> s.from() == 1 && s.to() == 1)
                .toList();
        assertThat(ofTheSlur).extracting(Step::kind).containsSubsequence(Kind.SET_FINGERS, Kind.ISOLATE);
        assertThat(ofTheSlur.getFirst().seconds()).as("a word alone").isEqualTo(8);
        assertThat(ofTheSlur.getLast().listen()).contains(Listen.UNBROKEN_SLUR);
    }

    @Test
    void aShiftIsDrilledWithFewerAndFewerBows() {
        Part part = Lines.at(60, Lines.notes("D major", "4/4", "A5 B5 C#6 D6 | A4*4"));
        Ladder ladder = Ladder.of(
                Ladder.Line.of(TimedView.of(part)),
                Lines.reading(part, Range.parse("G3-E6"), VIOLIN).hotSpots(),
                new Wish(Habit.SPOTS_FIRST, Grouping.OVERLAPPING),
                20);
        Step bows = ladder.steps().stream()
                .filter(s -> s.kind() == Kind.BOWS)
                .findFirst()
                .orElseThrow();
        assertThat(bows.bows()).containsExactly(3, 2, 1);
        // six times four beats at 48, and a word
        assertThat(bows.seconds()).isEqualTo(6 * 4 * 60 / 48.0 + 8);
        Step edited = new Step(Kind.BOWS, 0, 0, new Bpm(60), 1, List.of(), List.of(4, 2), Optional.empty(), 0, 0);
        assertThat(Ladder.ofSteps(Ladder.Line.of(TimedView.of(part)), List.of(edited))
                        .seconds())
                .isEqualTo(6 * 4 + 8);
        assertThatThrownBy(() -> new Step(Kind.BOWS, 0, 0, new Bpm(60), 1, List.of(), 0, 0))
                .hasMessageContaining("bows to a note belong to a shift");
    }

    @Test
    void cleanGoesOneTempoOnUntilTheLinesOwn() {
        Ladder.Line line = Ladder.Line.of(TimedView.of(Lines.at(100, LINE)));
        Step slow = new Step(Kind.ISOLATE, 1, 1, new Bpm(60), 1, List.of(), 0, 0);
        assertThat(Ladder.tempos(line, slow).stream().map(Bpm::value)).containsExactly(60.0, 70.0, 80.0, 90.0, 100.0);
        Step whole = new Step(Kind.WHOLE, 0, 5, new Bpm(100), 1, List.of(), 0, 0);
        assertThat(Ladder.tempos(line, whole).stream().map(Bpm::value)).containsExactly(100.0);
        Step look = new Step(Kind.LOOK, 0, 5, new Bpm(100), 1, List.of(), 0, 0);
        assertThat(Ladder.tempos(line, look)).isEmpty();
    }

    @Test
    void aDirectorsOwnStepsAreTimedAndNothingIsDropped() {
        Step own = new Step(Kind.ISOLATE, 1, 2, new Bpm(60), 5, List.of(), 0, 0);
        Ladder ladder = Ladder.ofSteps(Ladder.Line.of(TimedView.of(LINE)), List.of(own));
        assertThat(ladder.seconds()).as("five times eight beats and a word").isEqualTo(48);
        assertThat(ladder.dropped()).isEmpty();
        Step beyond = new Step(Kind.ISOLATE, 1, 9, new Bpm(60), 5, List.of(), 0, 0);
        assertThatThrownBy(() -> Ladder.ofSteps(Ladder.Line.of(TimedView.of(LINE)), List.of(beyond)))
                .hasMessage("a step's measures must be in 0..5, were 1 to 9");
    }
}
