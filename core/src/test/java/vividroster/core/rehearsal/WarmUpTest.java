package vividroster.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.BrassChart;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.KeyChart;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.StringChart;
import vividroster.core.music.Beats;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Mode;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.music.Transposition;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.HotSpots.Reason;
import vividroster.core.rehearsal.WarmUp.Asked;
import vividroster.core.rehearsal.WarmUp.Kind;
import vividroster.core.rehearsal.WarmUp.NewNotes;
import vividroster.core.rehearsal.WarmUp.Order;
import vividroster.core.rehearsal.WarmUp.Week;
import vividroster.core.rehearsal.WarmUpMusic.Player;
import vividroster.core.rehearsal.WarmUpMusic.Wish;

class WarmUpTest {

    private static final Key B_FLAT = new Key(-2, Mode.MAJOR);
    private static final Week QUIET = new Week(List.of(), List.of(), Map.of(), false, List.of());

    private static Player player(
            String code, Family family, int steps, int semitones, String stage, FingeringChart chart) {
        Instrument instrument = new Instrument(
                new InstrumentCode(code),
                code,
                code,
                family,
                Clef.TREBLE,
                new Transposition(steps, semitones),
                1,
                true,
                List.of());
        return new Player(instrument, Range.parse(stage), chart);
    }

    private static final Player TRUMPET =
            player("trumpet", Family.BRASS, -1, -2, "C4-A4", BrassChart.valves(Pitch.named("C3"), false));
    private static final Player TROMBONE =
            player("trombone", Family.BRASS, 0, 0, "F2-D4", BrassChart.slide(Pitch.named("Bb1")));
    private static final Player FLUTE = player("flute", Family.WOODWIND, 0, 0, "D4-C6", FingeringChart.NONE);
    private static final Player VIOLIN = player(
            "violin",
            Family.STRING,
            0,
            0,
            "G3-B5",
            new StringChart(
                    List.of(Pitch.named("G3"), Pitch.named("D4"), Pitch.named("A4"), Pitch.named("E5")),
                    StringChart.Hand.BY_LETTER,
                    List.of(1, 3, 5, 2, 4)));
    private static final Player BASS = player(
            "double-bass",
            Family.STRING,
            -7,
            -12,
            "E2-D4",
            new StringChart(
                    List.of(Pitch.named("E2"), Pitch.named("A2"), Pitch.named("D3"), Pitch.named("G3")),
                    StringChart.Hand.BASS,
                    List.of(1, 0, 3, 2, 4)));

    private static List<Kind> kinds(Order order, double minutes) {
        return WarmUp.plan(QUIET, order, minutes).stream()
                .map(WarmUp.Part::kind)
                .toList();
    }

    @Test
    void theSchoolDecidesTheOrder() {
        assertThat(kinds(Order.SLURS_FIRST, 10))
                .containsExactly(
                        Kind.BREATHING,
                        Kind.SOUND_ALONE,
                        Kind.EASY_SLURS,
                        Kind.ARTICULATION,
                        Kind.SCALE,
                        Kind.LONG_TONES);
        assertThat(kinds(Order.LONG_TONES_FIRST, 10))
                .containsSubsequence(Kind.LONG_TONES, Kind.EASY_SLURS, Kind.SCALE, Kind.ARTICULATION);
    }

    @Test
    void inFewMinutesTheLeastWorthIsLeftOut() {
        assertThat(kinds(Order.SLURS_FIRST, 3)).doesNotContain(Kind.LONG_TONES).contains(Kind.EASY_SLURS);
        assertThat(kinds(Order.SLURS_FIRST, 1)).contains(Kind.EASY_SLURS);
        assertThatThrownBy(() -> WarmUp.plan(QUIET, Order.SLURS_FIRST, 0))
                .hasMessage("a warm-up has 1 to 30 minutes, was 0.0");
    }

    @Property
    void aWarmUpNeverTakesMoreThanTheMinutesAskedFor(
            @ForAll @DoubleRange(min = 1, max = 30) double minutes,
            @ForAll Order order,
            @ForAll @IntRange(min = 0, max = 9) int breaks) {
        Week week = new Week(List.of(B_FLAT), List.of(), Map.of(Reason.REGISTER_BREAK, breaks), false, List.of());
        List<WarmUp.Part> parts = WarmUp.plan(week, order, minutes);
        assertThat(parts).isNotEmpty();
        assertThat(parts.stream().mapToDouble(WarmUp.Part::minutes).sum()).isLessThanOrEqualTo(minutes);
        assertThat(parts).allSatisfy(p -> assertThat(p.minutes()).isGreaterThanOrEqualTo(0.5));
    }

    @Test
    void whatTheWeekAsksHasMoreTimeAndSaysWhy() {
        Week week = new Week(
                List.of(new Key(-3, Mode.MAJOR)),
                List.of(Pitch.named("Ab4")),
                Map.of(Reason.REGISTER_BREAK, 4, Reason.WIDE_LEAP, 6, Reason.TRAP, 0),
                false,
                List.of());
        List<WarmUp.Part> parts = WarmUp.plan(week, Order.SLURS_FIRST, 10);
        WarmUp.Part slurs = parts.get(2);
        assertThat(slurs.why()).containsExactly(new Asked(Reason.WIDE_LEAP, 6), new Asked(Reason.REGISTER_BREAK, 4));
        assertThat(slurs.minutes())
                .isGreaterThan(WarmUp.plan(QUIET, Order.SLURS_FIRST, 10).get(2).minutes());
        assertThat(parts.get(4).key()).isEqualTo(new Key(-3, Mode.MAJOR));
        assertThat(parts.get(5).why()).contains(new NewNotes(List.of(Pitch.named("Ab4"))));
    }

    private static Score written(Kind kind, double minutes, Player... players) {
        return WarmUpMusic.of(
                new Wish(kind, B_FLAT, minutes, List.of(Pitch.named("G4")), 7, List.of()),
                List.of(players),
                kind.name());
    }

    /** What a player reads. */
    private static Part read(Score score, Player player) {
        return score.partOf(player.instrument().code())
                .writtenFor(player.instrument().transposition());
    }

    private static List<String> names(Part part) {
        return part.pitches().stream().map(Pitch::toString).toList();
    }

    @ParameterizedTest
    @CsvSource({"BREATHING", "SOUND_ALONE", "EASY_SLURS", "ARTICULATION", "RHYTHM", "SCALE", "LONG_TONES"})
    void everySectionPlaysTheSameMeasuresWithinItsStage(Kind kind) {
        List<Player> players = List.of(FLUTE, TRUMPET, TROMBONE);
        Score score = written(kind, 2, players.toArray(Player[]::new));
        for (Player player : players) {
            Part part = read(score, player);
            assertThat(part.measures()).hasSameSizeAs(score.sounding().measures());
            assertThat(part.measures())
                    .allSatisfy(m -> assertThat(m.length().value()).isEqualTo(4));
            assertThat(part.pitches())
                    .allSatisfy(p ->
                            assertThat(player.stage().holds(p)).as(p.toString()).isTrue());
        }
    }

    private static Player met(Player player, String... written) {
        return new Player(
                player.instrument(),
                player.stage(),
                player.chart(),
                java.util.Arrays.stream(written).map(p -> Pitch.named(p).midi()).collect(Collectors.toSet()),
                player.syllables(),
                player.alone());
    }

    /** Written C and G of a trumpet through the valves; its lowest lengths are below a beginner's stage and repeat. */
    @Test
    void brassSlursTheSameTwoPartialsThroughTheLengths() {
        Player trumpet = player("trumpet", Family.BRASS, -1, -2, "F#3-A4", TRUMPET.chart());
        Part part = read(written(Kind.EASY_SLURS, 2, trumpet), trumpet);
        assertThat(names(part).subList(0, 9)).containsExactly("C4", "G4", "C4", "B3", "F#4", "B3", "Bb3", "F4", "Bb3");
        Part trombone = read(written(Kind.EASY_SLURS, 2, TRUMPET, TROMBONE), TROMBONE);
        assertThat(names(trombone).subList(0, 6)).containsExactly("Bb2", "F3", "Bb2", "A2", "E3", "A2");
        assertThat(trombone.measures().get(2).words()).isEqualTo("position 2");
        Part beginner = read(written(Kind.EASY_SLURS, 2, TRUMPET), TRUMPET);
        assertThat(names(beginner).subList(3, 6))
                .as("B 3 is below the stage, so the open one again")
                .containsExactly("C4", "G4", "C4");
    }

    @Test
    void onePartialMoreOnlyWhereItIsMet() {
        Player sure = met(TROMBONE, "Bb2", "C3", "F3", "Bb3");
        assertThat(names(read(written(Kind.EASY_SLURS, 1, sure), sure)).subList(0, 5))
                .containsExactly("Bb2", "F3", "Bb3", "F3", "Bb2");
        Player two = met(TROMBONE, "Bb2", "C3", "F3");
        assertThat(names(read(written(Kind.EASY_SLURS, 1, two), two)).subList(0, 3))
                .containsExactly("Bb2", "F3", "Bb2");
    }

    /** The partials of one tube are a fifth and a fourth by letter too, in every position. */
    @Test
    void aTubesPartialsAreSpelledInItsOwnKey() {
        Wish seven = new Wish(Kind.EASY_SLURS, B_FLAT, 8, List.of(), 7, List.of());
        Player sure = met(TROMBONE, "Bb2", "F3", "Bb3");
        List<String> names = names(WarmUpMusic.of(seven, List.of(sure), "").sounding());
        assertThat(IntStream.range(0, 7).mapToObj(i -> String.join(" ", names.subList(5 * i, 5 * i + 3))))
                .containsExactly(
                        "Bb2 F3 Bb3", "A2 E3 A3", "Ab2 Eb3 Ab3", "G2 D3 G3", "F#2 C#3 F#3", "F2 C3 F3", "F2 C3 F3");
    }

    @Test
    void theLengthsAreASetting() {
        Wish five = new Wish(Kind.EASY_SLURS, B_FLAT, 8, List.of(), 5, List.of());
        assertThat(WarmUpMusic.of(five, List.of(TROMBONE), "").sounding().measures())
                .hasSize(10);
        Wish seven = new Wish(Kind.EASY_SLURS, B_FLAT, 8, List.of(), 7, List.of());
        assertThat(WarmUpMusic.of(seven, List.of(TROMBONE), "").sounding().measures())
                .hasSize(14);
    }

    /** Written F4 and C5 on a double horn: below A4 on the F side, from it with the thumb. */
    @Test
    void aHornSlursOnTheSideItsNotesLie() {
        Player horn = player(
                "horn", Family.BRASS, -4, -7, "A3-G4", BrassChart.doubleHorn(Pitch.named("C2"), Pitch.named("F2")));
        Part part = read(written(Kind.EASY_SLURS, 1, horn), horn);
        assertThat(names(part).subList(0, 2)).containsExactly("C4", "E4");
        assertThat(part.measures().get(2).words()).doesNotStartWith("T");
    }

    private static final KeyChart BROKEN_AT_B = broken();

    private static KeyChart broken() {
        List<Fingering> low = List.of(new Keys(1, Set.of(), "low", "x"));
        List<Fingering> high = List.of(new Keys(2, Set.of(), "high", "y"));
        Map<Integer, List<Fingering>> chart = new java.util.HashMap<>();
        for (int midi = 50; midi < 90; midi++) {
            chart.put(midi, midi < Pitch.named("B4").midi() ? low : high);
        }
        return new KeyChart(chart);
    }

    @Test
    void woodwindsSlurWithinWhatTheyHaveAndCrossNoBreakTheyHaveNotCrossed() {
        Player clarinet = player("clarinet", Family.WOODWIND, -1, -2, "E3-C6", BROKEN_AT_B);
        Player low = met(clarinet, "G4", "A4", "E4", "F4", "D4");
        assertThat(names(read(written(Kind.EASY_SLURS, 1, low), low)).subList(0, 3))
                .containsExactly("F4", "G4", "A4");
        Player crossed = met(clarinet, "G4", "A4", "B4", "C5", "D5");
        assertThat(names(read(written(Kind.EASY_SLURS, 1, crossed), crossed)))
                .as("it has crossed, so the break is slurred over")
                .contains("A4", "B4");
        Player one = met(clarinet, "G4");
        assertThat(names(read(written(Kind.EASY_SLURS, 1, one), one))).containsOnly("G4");
    }

    @Test
    void onlyNotesTheSectionHasArePlayed() {
        Player beginner = met(FLUTE, "Bb4", "C5", "D5");
        for (Kind kind : List.of(Kind.EASY_SLURS, Kind.ARTICULATION, Kind.RHYTHM, Kind.SCALE, Kind.LONG_TONES)) {
            assertThat(names(read(written(kind, 2, beginner, TRUMPET), beginner)))
                    .as(kind.name())
                    .isSubsetOf("Bb4", "C5", "D5");
        }
        assertThat(names(read(written(Kind.SCALE, 2, beginner, TRUMPET), TRUMPET)))
                .as("everybody goes as far as the shortest")
                .containsExactly("C4", "D4", "E4", "E4", "D4", "C4");
    }

    @Test
    void aRhythmIsBuiltFromItsSmallestParts() {
        Part part = read(written(Kind.RHYTHM, 1, FLUTE), FLUTE);
        assertThat(part.measures().get(0).notes()).hasSize(16).noneMatch(n -> n.tied());
        assertThat(part.measures().get(1).notes().subList(0, 4))
                .extracting(n -> n.tied())
                .containsExactly(true, true, false, false);
        assertThat(part.measures().get(2).notes().subList(0, 2))
                .extracting(n -> n.length().value())
                .containsExactly(0.75, 0.25);
    }

    @Test
    void aRhythmIsDrilledInAWeekThatBringsOne() {
        assertThat(kinds(Order.SLURS_FIRST, 15)).doesNotContain(Kind.RHYTHM);
        Week week = new Week(
                List.of(),
                List.of(),
                Map.of(Reason.NEW_RHYTHM, 2),
                false,
                List.of(List.of(Beats.of(3, 4), Beats.of(1, 4))));
        assertThat(WarmUp.plan(week, Order.SLURS_FIRST, 15))
                .extracting(WarmUp.Part::kind)
                .contains(Kind.RHYTHM);
    }

    @Test
    void newValuesBringTheRhythmOfTheirPulse() {
        TimedView line = Lines.timed("C major", "4/4", "C4 D4/2 E4/2 F4*2 | G4 r/2 A4/2 G4*2");
        Vocabulary met = Vocabulary.of(Lines.timed("C major", "4/4", "C4 C4 C4*2"));
        assertThat(WarmUp.rhythms(line, met.newIn(line)))
                .as("the eighths; a rest within the pulse is no rhythm to drill")
                .containsExactly(List.of(Beats.of(1, 2), Beats.of(1, 2)));
    }

    @Test
    void theMouthpieceAloneHasANote() {
        Player trumpet = new Player(
                TRUMPET.instrument(),
                TRUMPET.stage(),
                TRUMPET.chart(),
                Set.of(),
                Map.of(),
                Optional.of(Pitch.named("F4")));
        Part part = read(written(Kind.SOUND_ALONE, 1, trumpet), trumpet);
        assertThat(names(part)).as("written a tone above").containsExactly("G4", "G4");
        assertThat(read(written(Kind.SOUND_ALONE, 1, TRUMPET), TRUMPET).pitches())
                .isEmpty();
    }

    @Test
    void stringsPlayFourFingersOnEachString() {
        Score score = written(Kind.EASY_SLURS, 1, VIOLIN, BASS);
        assertThat(names(read(score, VIOLIN)).subList(0, 4)).containsExactly("D4", "E4", "F#4", "G4");
        assertThat(names(read(score, BASS)).subList(0, 4)).containsExactly("D3", "E3", "F#3", "G3");
        assertThat(read(score, VIOLIN).measures().getFirst().words()).isEqualTo("D string");
    }

    @Test
    void scalesGoAnOctaveWhereEverybodyHasIt() {
        assertThat(names(read(written(Kind.SCALE, 2, FLUTE, TROMBONE), TROMBONE)))
                .startsWith("Bb2", "C3", "D3", "Eb3", "F3", "G3", "A3", "Bb3", "Bb3")
                .hasSize(16);
        assertThat(names(read(written(Kind.SCALE, 2, FLUTE, TRUMPET), FLUTE)))
                .as("a beginner's trumpet has no octave, so nobody plays one")
                .containsExactly("Bb4", "C5", "D5", "Eb5", "F5", "F5", "Eb5", "D5", "C5", "Bb4");
    }

    @Test
    void articulationSaysTheSyllablesOfTheChecks() {
        assertThat(read(written(Kind.ARTICULATION, 1, FLUTE), FLUTE)
                        .measures()
                        .get(0)
                        .words())
                .isEqualTo("soft");
        Player speaking = new Player(
                FLUTE.instrument(),
                FLUTE.stage(),
                FLUTE.chart(),
                Set.of(),
                Map.of("neutral", "too", "soft", "doo"),
                Optional.empty());
        Part part = read(written(Kind.ARTICULATION, 1, speaking), speaking);
        assertThat(part.measures().get(0).words()).isEqualTo("soft: doo");
        assertThat(part.measures().get(10).words()).as("no word of its own").isEqualTo("short: too");
        assertThat(part.measures().get(10).notes().getFirst().marks()).containsExactly(Mark.STACCATO);
    }

    @Test
    void longTonesHoldTheTonicAndWhatIsNew() {
        Part part = read(written(Kind.LONG_TONES, 1, TRUMPET), TRUMPET);
        assertThat(names(part)).containsExactly("C4", "C4", "A4", "A4");
        assertThatThrownBy(() -> written(Kind.SCALE, 1)).hasMessage("a warm-up needs somebody who plays it");
    }

    @Test
    void aTubeHasSevenLengths() {
        List<Integer> lowest = new ArrayList<>();
        BrassChart chart = (BrassChart) TRUMPET.chart();
        for (int lowered = 0; lowered < 7; lowered++) {
            lowest.add(chart.series(lowered).midis().getFirst());
        }
        assertThat(lowest).containsExactly(60, 59, 58, 57, 56, 55, 54);
        assertThatThrownBy(() -> chart.series(7)).hasMessage("a tube is lowered by 0 to 6 semitones, was 7");
    }
}
