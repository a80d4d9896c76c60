package vividroster.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.infra.Blackhole;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;
import org.openjdk.jmh.runner.options.VerboseMode;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.instrument.Ranges;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.music.Spelling;
import vividroster.core.reading.Fitted.Compass;
import vividroster.core.reading.PlayPlan;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.Echoes;
import vividroster.core.rehearsal.Reading;
import vividroster.core.rehearsal.Reading.Figures;
import vividroster.core.rehearsal.Reading.Reader;
import vividroster.formats.abc.AbcReader;
import vividroster.formats.catalog.FingeringFile;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.catalog.RangeFile;
import vividroster.formats.musicxml.MusicXmlReader;
import vividroster.formats.musicxml.MusicXmlWriter;

/** How long a line of 32 measures takes to read for every instrument, and a book of 60 lines to come in. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class LinesBench {

    private static final int BOOK = 60;
    private static final Map<String, Double> GOALS = Map.of(
            "analyse32MeasuresForEveryInstrument",
            0.25 * InstrumentCatalogFile.shipped().inScoreOrder().size(),
            "read60LinesOfAbc",
            2000.0,
            "read60LinesOfMusicXml",
            2000.0);

    private InstrumentCatalog catalog;
    private Map<InstrumentCode, Ranges> ranges;
    private Map<InstrumentCode, FingeringChart> charts;
    private Score line;
    private List<String> abc;
    private List<byte[]> musicXml;

    /** Prints the average of five seconds, beside the goal. Runs in this same process, after two seconds of warming. */
    static void run() throws RunnerException {
        System.out.println("\nLines, average of one call (JMH, one thread, in the same process)");
        for (RunResult result : new Runner(new OptionsBuilder()
                        .include(LinesBench.class.getName())
                        .forks(0)
                        .warmupIterations(2)
                        .warmupTime(TimeValue.seconds(2))
                        .measurementIterations(5)
                        .measurementTime(TimeValue.seconds(1))
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run()) {
            String name = result.getPrimaryResult().getLabel();
            System.out.printf(
                    Locale.ROOT,
                    "  %-38s %9.2f ms   goal under %.2f ms%n",
                    name,
                    result.getPrimaryResult().getScore(),
                    GOALS.get(name));
        }
    }

    @Setup
    public void read() throws IOException {
        catalog = InstrumentCatalogFile.shipped();
        ranges = RangeFile.shipped();
        charts = FingeringFile.shipped();
        abc = new ArrayList<>();
        for (String volume : List.of("winds", "strings")) {
            Stream.of(Files.readString(Path.of("demo/lines/" + volume + ".abc")).split("(?m)^(?=X:)"))
                    .filter(tune -> tune.startsWith("X:") && abc.size() < BOOK)
                    .forEach(abc::add);
        }
        musicXml = abc.stream()
                .map(tune -> AbcReader.read(tune, catalog).score())
                .map(s -> MusicXmlWriter.writeConcert(s.title(), s.sounding()).getBytes(StandardCharsets.UTF_8))
                .toList();
        String measures = "B c d e|f e d c|^c d e =c|B/c/d/e/ f B|g f e d|(c d) e2|f e/d/ c B|".repeat(4);
        line = AbcReader.read(
                        "X:1\nT:Thirty-two\nM:4/4\nL:1/4\nQ:1/4=96\nK:Bb\n|:" + measures + "B4:|\nB c d e|f4|B4|]\n",
                        catalog)
                .score();
        if (line.sounding().measures().size() != 32) {
            throw new IllegalStateException(line.sounding().measures().size() + " measures instead of 32");
        }
    }

    @Benchmark
    public void analyse32MeasuresForEveryInstrument(Blackhole hole) {
        Part sounding = line.sounding();
        TimedView view = TimedView.of(sounding);
        hole.consume(view.timeline(2));
        hole.consume(PlayPlan.of(view, 1, 2));
        hole.consume(Echoes.within(view));
        for (Instrument instrument : catalog.inScoreOrder()) {
            if (!instrument.pitched()) {
                continue;
            }
            Reader reader = new Reader(
                    instrument.transposition(),
                    ranges.get(instrument.code()).home(),
                    new Compass(
                            ranges.get(instrument.code()).firstYear(),
                            ranges.get(instrument.code()).full()),
                    Figures.FIRST_YEAR,
                    charts.get(instrument.code()),
                    FourthFinger.EARLY,
                    Spelling.FLATS_AT_SIX,
                    Optional.of(Vocabulary.NOTHING));
            Part own = line.partOf(instrument.code());
            hole.consume(Reading.of(own == sounding ? view : TimedView.of(own), reader));
        }
    }

    @Benchmark
    public void read60LinesOfAbc(Blackhole hole) {
        abc.forEach(tune -> hole.consume(AbcReader.read(tune, catalog).score()));
    }

    @Benchmark
    public void read60LinesOfMusicXml(Blackhole hole) {
        musicXml.forEach(file -> hole.consume(MusicXmlReader.read(file, catalog, new MusicXmlReader.Options(false))
                .score()));
    }
}
