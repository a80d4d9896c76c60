package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.core.hands.Bowing;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Reach;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.Ranges;
import vividroster.core.music.Beats;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.music.Spelling;
import vividroster.core.reading.Fitted;
import vividroster.core.reading.Fitted.Compass;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Traps;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.Reading;
import vividroster.core.rehearsal.Reading.Figures;
import vividroster.core.rehearsal.Reading.Reader;
import vividroster.formats.abc.AbcReader;
import vividroster.formats.catalog.FingeringFile;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.catalog.RangeFile;
import vividroster.testkit.TestCluster;

/** The tunes of the demo's method book. */
class DemoBookTest {

    private static final InstrumentCatalog CATALOG = InstrumentCatalogFile.shipped();
    private static final Map<InstrumentCode, Ranges> RANGES = RangeFile.shipped();

    record Tune(String volume, Score score) {
        @Override
        public String toString() {
            return volume + " " + score.title();
        }
    }

    static Stream<Tune> tunes() throws IOException {
        List<Tune> tunes = new ArrayList<>();
        for (String volume : List.of("winds", "strings")) {
            String book = Files.readString(TestCluster.projectRoot().resolve("demo/lines/" + volume + ".abc"));
            for (String tune : book.split("(?m)^(?=X:)")) {
                if (tune.startsWith("X:")) {
                    tunes.add(new Tune(volume, AbcReader.read(tune, CATALOG).score()));
                }
            }
        }
        return tunes.stream();
    }

    @ParameterizedTest
    @MethodSource("tunes")
    void everyTuneOfTheDemoIsWhole(Tune tune) {
        Part part = tune.score().sounding();
        assertThat(Roadmap.of(part, Roadmap.Options.USUAL).played()).isNotEmpty();
        Beats pickUp = part.hasPickUp() ? part.measures().getFirst().length() : Beats.ZERO;
        for (int i = 0; i < part.measures().size(); i++) {
            Measure measure = part.measures().get(i);
            Beats full = Beats.of(part.meterAt(i));
            boolean short_ = measure.length().equals(full.minus(pickUp));
            assertThat(measure.length().equals(full) || measure.number() == 0 || short_)
                    .as("measure " + measure.number() + " of " + tune + " has "
                            + measure.length().value() + " beats")
                    .isTrue();
        }
    }

    @ParameterizedTest
    @MethodSource("tunes")
    void everyTuneCanBePlayedByEveryInstrumentOfItsVolume(Tune tune) {
        for (Instrument instrument : CATALOG.inScoreOrder()) {
            boolean strings = instrument.family() == Family.STRING;
            if (!instrument.pitched() || strings != tune.volume().equals("strings")) {
                continue;
            }
            Fitted fitted = Fitted.of(
                    TimedView.of(tune.score().partOf(instrument.code())),
                    instrument.transposition(),
                    RANGES.get(instrument.code()).home(),
                    compass(instrument),
                    Spelling.FLATS_AT_SIX);
            assertThat(fitted.outside()).as(tune + " for " + instrument.name()).isEmpty();
        }
    }

    private static Compass compass(Instrument instrument) {
        Ranges ranges = RANGES.get(instrument.code());
        return new Compass(ranges.firstYear(), ranges.full());
    }

    /** A book is read in one octave: where a line begins elsewhere than the one before it, something says why. */
    @Test
    void everyLineBeginsInTheOctaveOfTheOneBeforeOrSaysWhy() throws IOException {
        for (Instrument instrument : CATALOG.inScoreOrder()) {
            Ranges ranges = RANGES.get(instrument.code());
            boolean strings = instrument.family() == Family.STRING;
            for (Range stage : List.of(ranges.beginner(), ranges.firstYear())) {
                int before = ranges.home().octaves();
                for (Tune tune : tunes().toList()) {
                    if (!instrument.pitched() || strings != tune.volume().equals("strings")) {
                        continue;
                    }
                    Fitted fitted = Fitted.of(
                            TimedView.of(tune.score().partOf(instrument.code())),
                            instrument.transposition(),
                            ranges.home(),
                            new Compass(stage, ranges.full()),
                            Spelling.FLATS_AT_SIX);
                    assertThat(fitted.register())
                            .as(tune + " lies where the book begins")
                            .isZero();
                    if (fitted.firstOctaves() != before) {
                        assertThat(fitted.moves())
                                .as(tune + " for " + instrument.name())
                                .isNotEmpty();
                    }
                    before = fitted.octaves();
                }
            }
        }
    }

    /** In the first weeks nobody is asked for what they do not hold, and no wind player leaves the home octave. */
    @Test
    void noBeginnerLeavesTheBeginnersRangeToLineTwelve() throws IOException {
        List<Tune> winds =
                tunes().filter(t -> t.volume().equals("winds")).limit(12).toList();
        List<Tune> strings =
                tunes().filter(t -> t.volume().equals("strings")).limit(12).toList();
        for (Instrument instrument : CATALOG.inScoreOrder()) {
            Ranges ranges = RANGES.get(instrument.code());
            for (Tune tune : instrument.family() == Family.STRING ? strings : winds) {
                if (instrument.pitched()) {
                    Fitted fitted = Fitted.of(
                            TimedView.of(tune.score().partOf(instrument.code())),
                            instrument.transposition(),
                            ranges.home(),
                            new Compass(ranges.beginner(), ranges.full()),
                            Spelling.FLATS_AT_SIX);
                    assertThat(fitted.outside())
                            .as(tune + " for " + instrument.name())
                            .isEmpty();
                    if (instrument.family() != Family.STRING) {
                        assertThat(fitted.moves())
                                .as(tune + " for " + instrument.name())
                                .isEmpty();
                    }
                }
            }
        }
    }

    @Test
    void theBookHasWhatABookNeeds() throws IOException {
        List<Tune> tunes = tunes().toList();
        assertThat(tunes).filteredOn(t -> t.volume().equals("winds")).hasSizeGreaterThanOrEqualTo(40);
        assertThat(tunes).filteredOn(t -> t.volume().equals("strings")).hasSizeGreaterThanOrEqualTo(30);
        Set<String> found = new HashSet<>();
        for (Tune tune : tunes) {
            Part part = tune.score().sounding();
            found.add("key " + part.key().name());
            found.add("meter " + part.meter());
            found.add(part.hasPickUp() ? "pick-up" : "");
            found.add(tune.score().own().isEmpty() ? "" : "part of its own");
            Traps.of(TimedView.of(part))
                    .forEach(trap -> found.add(trap.getClass().getSimpleName()));
            part.measures().forEach(measure -> {
                measure.signs().jump().ifPresent(jump -> found.add(jump.words()));
                found.add(measure.signs().endingBegins().isEmpty() ? "" : "endings");
                measure.notes().forEach(note -> note.marks().forEach(mark -> found.add(mark.name())));
            });
        }
        assertThat(found)
                .contains(
                        "pick-up",
                        "endings",
                        "D.C. al Fine",
                        "D.S. al Coda",
                        "FERMATA",
                        "part of its own",
                        "StillAltered",
                        "MustBeCounted",
                        "meter 6/8",
                        "meter 3/4",
                        "meter 2/4",
                        "key C minor",
                        "key A major");
    }

    /** Whoever fingers at all has a way for every note, no farther from rest to rest than his hand allows. */
    @ParameterizedTest
    @MethodSource("tunes")
    void everyNoteOfEveryTuneHasAFingering(Tune tune) {
        boolean strings = tune.volume().equals("strings");
        Map<InstrumentCode, FingeringChart> charts = FingeringFile.shipped();
        for (Instrument instrument : CATALOG.inScoreOrder()) {
            FingeringChart chart = charts.get(instrument.code());
            boolean here = (instrument.family() == Family.STRING) == strings;
            if (!here || chart == FingeringChart.NONE) {
                continue;
            }
            Reading reading = Reading.of(
                    TimedView.of(tune.score().partOf(instrument.code())),
                    new Reader(
                            instrument.transposition(),
                            RANGES.get(instrument.code()).home(),
                            compass(instrument),
                            Figures.FIRST_YEAR,
                            chart,
                            FourthFinger.EARLY,
                            Spelling.FLATS_AT_SIX,
                            Optional.of(Vocabulary.NOTHING)));
            for (int m = 0; m < reading.written().measures().size(); m++) {
                List<Note> notes = reading.written().measures().get(m).notes();
                for (int n = 0; n < notes.size(); n++) {
                    assertThat(reading.fingers().taken().get(m).get(n).isPresent())
                            .as(tune + ", " + instrument.name() + ", measure " + (m + 1) + ", "
                                    + notes.get(n).pitch())
                            .isEqualTo(!notes.get(n).isRest());
                }
            }
            assertThat(reading.news())
                    .as(tune + " has notes, so something is new to who knows nothing")
                    .isNotEmpty();
        }
    }

    private static List<Tune> of(String volume) throws IOException {
        return tunes().filter(t -> t.volume().equals(volume)).toList();
    }

    private static Reading read(Score score, String code, Vocabulary met) {
        Instrument instrument = CATALOG.withCode(new InstrumentCode(code));
        Ranges ranges = RANGES.get(instrument.code());
        return Reading.of(
                TimedView.of(score.partOf(new InstrumentCode(code))),
                new Reader(
                        instrument.transposition(),
                        ranges.home(),
                        new Compass(ranges.firstYear(), ranges.full()),
                        Figures.FIRST_YEAR,
                        FingeringFile.shipped().get(instrument.code()),
                        FourthFinger.EARLY,
                        Spelling.FLATS_AT_SIX,
                        Optional.of(met)));
    }

    /** Open strings are no finger. */
    @ParameterizedTest
    @ValueSource(strings = {"violin", "viola", "cello", "double-bass"})
    void stringsMeetOneNewFingerALine(String code) throws IOException {
        Vocabulary met = Vocabulary.NOTHING;
        for (Tune tune : of("strings")) {
            Reading reading = read(tune.score(), code, met);
            long fingers = reading.news().stream()
                    .filter(first -> first.thing() instanceof Vocabulary.NewNote)
                    .filter(first -> reading.fingers()
                            .taken()
                            .get(first.measure())
                            .get(first.note())
                            .map(t -> !(t.fingering() instanceof OnString on && on.isOpen()))
                            .orElse(true))
                    .count();
            assertThat(fingers).as(code + ", " + tune).isLessThanOrEqualTo(1);
            met = met.plus(Vocabulary.of(reading.view()));
        }
    }

    /** "Grey heron" is the line whose remark teaches the cello to draw its first finger back. */
    @Test
    void noExtensionBeforeItIsTaught() throws IOException {
        for (Tune tune : of("strings")) {
            if (tune.score().title().equals("Grey heron")) {
                return;
            }
            Reading reading = read(tune.score(), "cello", Vocabulary.NOTHING);
            assertThat(reading.fingers().taken().stream()
                            .flatMap(List::stream)
                            .flatMap(Optional::stream)
                            .map(t -> t.fingering()))
                    .as(tune.toString())
                    .noneMatch(f -> f instanceof OnString on && on.reach() == Reach.STRETCHED);
        }
        throw new AssertionError("the line that teaches it is gone");
    }

    /** The throat notes of lines 13 and 15 prepare it, line 16 crosses by step. */
    @Test
    void theClarinetCrossesOnlyAfterLinesThatPrepareIt() throws IOException {
        List<Tune> winds = of("winds");
        for (int i = 0; i < 15; i++) {
            assertThat(crosses(winds.get(i))).as(winds.get(i).toString()).isFalse();
        }
        assertThat(crosses(winds.get(15))).isTrue();
        for (int prepares : new int[] {12, 14}) {
            assertThat(read(winds.get(prepares).score(), "clarinet", Vocabulary.NOTHING)
                            .written()
                            .pitches())
                    .as("a throat note in line " + (prepares + 1))
                    .anyMatch(p -> p.midi() >= 67 && p.midi() <= 70);
        }
    }

    private static boolean crosses(Tune tune) {
        Reading reading = read(tune.score(), "clarinet", Vocabulary.NOTHING);
        return reading.fingers().taken().stream()
                .flatMap(List::stream)
                .flatMap(Optional::stream)
                .anyMatch(t ->
                        t.fingering() instanceof Keys keys && keys.register().equals("clarion"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"winds", "strings"})
    void dottedRhythmsComeBeforeCompoundTimeAndThatBeforeTriplets(String volume) throws IOException {
        int dotted = -1;
        int compound = -1;
        int triplets = -1;
        List<Tune> all = of(volume);
        for (int i = 0; i < all.size(); i++) {
            Part part = all.get(i).score().sounding();
            boolean six = part.meter().isCompound();
            List<Beats> lengths = part.measures().stream()
                    .flatMap(m -> m.notes().stream())
                    .map(Note::length)
                    .toList();
            dotted = dotted < 0 && !six && lengths.contains(Beats.of(3, 2)) ? i : dotted;
            compound = compound < 0 && six ? i : compound;
            triplets = triplets < 0 && lengths.contains(Beats.of(1, 3)) ? i : triplets;
        }
        assertThat(dotted).isNotNegative().isLessThan(compound);
        assertThat(triplets < 0 || compound < triplets).isTrue();
    }

    @Test
    void stringsBeginPluckedAndDownIsDown() throws IOException {
        List<Tune> strings = of("strings");
        for (int i = 0; i < 2; i++) {
            assertThat(strings.get(i).score().sounding().measures().stream()
                            .flatMap(m -> m.notes().stream())
                            .filter(n -> !n.isRest()))
                    .allMatch(n -> n.marks().contains(Note.Mark.PIZZICATO));
        }
        for (Tune tune : strings) {
            assertThat(Bowing.of(TimedView.of(tune.score().sounding())).clashes())
                    .as(tune.toString())
                    .noneMatch(c -> c.what() == Bowing.Disagreement.FIRST_BEAT_PRINTED_UP);
        }
    }

    @Test
    void everyBeltHasThreeGoalsAtLeast() throws IOException {
        Map<String, Set<String>> slots = new HashMap<>();
        for (String row : Files.readAllLines(TestCluster.projectRoot().resolve("demo/belt-slots.csv"))) {
            String[] cells = row.split(",");
            if (cells[0].startsWith("belt ")) {
                slots.computeIfAbsent(cells[0], b -> new HashSet<>()).add(cells[1]);
            }
        }
        assertThat(slots)
                .as("seven of the winds and of the strings, six of percussion")
                .hasSize(20)
                .allSatisfy((belt, of) -> assertThat(of).as(belt).hasSizeBetween(3, 8));
    }
}
