package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.instrument.Ranges;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.reading.Demand;
import vividroster.core.reading.Echoes;
import vividroster.core.reading.Fitted;
import vividroster.core.reading.HotSpots;
import vividroster.core.reading.Ladder;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.Timeline;
import vividroster.core.reading.Traps;
import vividroster.formats.catalog.RangeFile;
import vividroster.formats.midi.MidiWriter;
import vividroster.formats.musicxml.MusicXmlWriter;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;

/** What a line says, as the API shows it. */
@Component
class LineReadings {

    private static final Bpm WITHOUT_MARK = new Bpm(100);

    private final InstrumentCatalog catalog;
    private final Map<String, Ranges> ranges;

    LineReadings(InstrumentCatalog catalog) {
        this.catalog = catalog;
        this.ranges = RangeFile.shipped();
    }

    enum Stage {
        BEGINNER,
        FIRST_YEAR,
        FULL
    }

    /**
     * @param index in the part
     * @param number as counted
     * @param beats as long as it is
     * @param full as long as its meter makes it
     * @param pulse beats from one tap of the foot to the next
     */
    record MeasureView(int index, int number, double beats, double full, double pulse, String signs) {}

    /** @param seconds from the beginning to this measure */
    record PlayedView(int index, int number, int pass, double seconds) {}

    /** @param midi as it sounds, 60 for middle C; onset and beats in quarters; measure by index */
    record SoundingView(int midi, double onset, double beats, double seconds, double lasts, int measure) {}

    record TrapView(String kind, int measure, int number, String sentence) {}

    record EchoView(Echoes.Likeness likeness, int measure, int number, String sentence) {}

    record DemandView(Demand.Kind kind, double value, int number, String words) {}

    record SectionReadingView(
            String instrument,
            String name,
            String writtenKey,
            int octaves,
            List<String> outside,
            List<TrapView> traps,
            List<DemandView> demand,
            List<HotSpotView> hotSpots) {}

    /** @param recalls number of an earlier measure it equals */
    record HotSpotView(
            int measure,
            int number,
            List<HotSpots.Reason> reasons,
            @Absent Integer recalls) {}

    /** @param what for example "Measure 5 alone, three times" */
    record StepView(Ladder.Kind kind, String what, int tempoBpm, int seconds) {}

    record LadderView(List<StepView> steps, List<StepView> dropped, int seconds) {}

    /** @param fault why there is no way through the measures; then nothing is played */
    record AnalysisView(
            String title,
            String concertKey,
            String meter,
            int tempoBpm,
            List<MeasureView> measures,
            @Absent String fault,
            List<PlayedView> order,
            double totalBeats,
            double seconds,
            List<SoundingView> sounding,
            List<EchoView> echoes,
            List<SectionReadingView> sections) {}

    AnalysisView analysis(Score score, Stage stage) {
        Part part = score.sounding();
        Roadmap roadmap = null;
        String fault = null;
        try {
            roadmap = Roadmap.of(part, Roadmap.Options.USUAL);
        } catch (Roadmap.RoadmapException e) {
            fault = "Measure " + e.measure() + ": " + e.getMessage() + ".";
        }
        Timeline timeline = roadmap == null ? Timeline.NONE : Timeline.of(part, roadmap, Timeline.Options.PLAYBACK);
        return new AnalysisView(
                score.title(),
                part.key().name(),
                part.meter().toString(),
                part.tempo().orElse(WITHOUT_MARK).value(),
                measures(part),
                fault,
                roadmap == null ? List.of() : order(part, roadmap, timeline),
                timeline.total().value(),
                Math.round(timeline.seconds() * 100) / 100.0,
                timeline.notes().stream()
                        .map(s -> new SoundingView(
                                s.pitch().midi(),
                                s.onset().value(),
                                s.length().value(),
                                s.seconds(),
                                s.lasts(),
                                s.measure()))
                        .toList(),
                Echoes.within(part).stream()
                        .map(e -> new EchoView(
                                e.likeness(),
                                e.measure(),
                                part.measures().get(e.measure()).number(),
                                TrapWording.sentence(e, part)))
                        .toList(),
                catalog.inScoreOrder().stream()
                        .filter(Instrument::pitched)
                        .map(i -> section(score, i, stage))
                        .toList());
    }

    private static List<PlayedView> order(Part part, Roadmap roadmap, Timeline timeline) {
        return IntStream.range(0, roadmap.played().size())
                .mapToObj(place -> {
                    Roadmap.Played played = roadmap.played().get(place);
                    return new PlayedView(
                            played.index(),
                            part.measures().get(played.index()).number(),
                            played.pass(),
                            timeline.begins().get(place));
                })
                .toList();
    }

    private static List<MeasureView> measures(Part part) {
        List<MeasureView> views = new ArrayList<>();
        Meter meter = part.meter();
        for (int i = 0; i < part.measures().size(); i++) {
            Measure measure = part.measures().get(i);
            meter = measure.meter().orElse(meter);
            views.add(new MeasureView(
                    i,
                    measure.number(),
                    measure.length().value(),
                    Beats.of(meter).value(),
                    meter.pulse().value(),
                    SignWording.words(measure.signs())));
        }
        return views;
    }

    private SectionReadingView section(Score score, Instrument instrument, Stage stage) {
        Fitted fitted = fitted(score, instrument, stage);
        Part written = fitted.part();
        return new SectionReadingView(
                instrument.code(),
                instrument.name(),
                written.key().name(),
                fitted.octaves(),
                fitted.outside().stream().map(p -> p.name()).toList(),
                Traps.of(written).stream()
                        .map(t -> new TrapView(
                                TrapWording.kind(t),
                                t.measure(),
                                written.measures().get(t.measure()).number(),
                                TrapWording.sentence(t, written)))
                        .toList(),
                Demand.of(written, range(instrument, stage), written.tempo().orElse(WITHOUT_MARK)).stream()
                        .map(p -> new DemandView(
                                p.kind(),
                                p.value(),
                                written.measures().get(p.measure()).number(),
                                TrapWording.words(p)))
                        .toList(),
                HotSpots.of(written, range(instrument, stage), written.tempo().orElse(WITHOUT_MARK)).stream()
                        .map(h -> new HotSpotView(
                                h.measure(),
                                written.measures().get(h.measure()).number(),
                                h.reasons().stream().sorted().toList(),
                                h.recalls().isEmpty()
                                        ? null
                                        : (Integer) written.measures()
                                                .get(h.recalls().getAsInt())
                                                .number()))
                        .toList());
    }

    /** The practice ladder of a section within the minutes there are. */
    LadderView ladder(Score score, String code, Stage stage, Ladder.Habit habit, double minutes) {
        if (!catalog.has(code)) {
            throw Problem.input("instrument", "\"" + code + "\" is not an instrument of the catalog.");
        }
        Instrument instrument = catalog.withCode(code);
        Part written = fitted(score, instrument, stage).part();
        Bpm tempo = written.tempo().orElse(WITHOUT_MARK);
        try {
            double beats = arithmetic(written).total().value();
            Ladder ladder = Ladder.of(
                    written, HotSpots.of(written, range(instrument, stage), tempo), beats, tempo, habit, minutes);
            return new LadderView(
                    ladder.steps().stream().map(s -> step(s, written)).toList(),
                    ladder.dropped().stream().map(s -> step(s, written)).toList(),
                    (int) Math.round(ladder.seconds()));
        } catch (Roadmap.RoadmapException e) {
            throw Problem.input("lineId", "Measure " + e.measure() + ": " + e.getMessage() + ".");
        } catch (IllegalArgumentException e) {
            throw Problem.input("minutes", "Give between a fraction of a minute and 120 minutes.");
        }
    }

    private static Timeline arithmetic(Part part) {
        return Timeline.of(part, Roadmap.of(part, Roadmap.Options.USUAL), Timeline.Options.ARITHMETIC);
    }

    private static StepView step(Ladder.Step step, Part part) {
        return new StepView(
                step.kind(), TrapWording.words(step, part), step.tempo().value(), (int) Math.round(step.seconds()));
    }

    /** As it sounds, for other programs. */
    byte[] midi(Score score) {
        Part part = score.sounding();
        try {
            return MidiWriter.write(
                    score.title(), arithmetic(part), part.tempo().orElse(WITHOUT_MARK), 0);
        } catch (Roadmap.RoadmapException e) {
            throw Problem.input("lineId", "Measure " + e.measure() + ": " + e.getMessage() + ".");
        }
    }

    private Fitted fitted(Score score, Instrument instrument, Stage stage) {
        return Fitted.of(score.partOf(instrument.code()), instrument.transposition(), range(instrument, stage));
    }

    private vividroster.core.instrument.Range range(Instrument instrument, Stage stage) {
        Ranges of = ranges.get(instrument.code());
        return switch (stage) {
            case BEGINNER -> of.beginner();
            case FIRST_YEAR -> of.firstYear();
            case FULL -> of.full();
        };
    }

    /** Notation for an instrument in its octave, or at concert pitch when none is named. */
    String musicXml(Score score, String code, Stage stage) {
        if (code == null) {
            return MusicXmlWriter.writeConcert(score.title(), score.sounding());
        }
        if (!catalog.has(code)) {
            throw Problem.input("instrument", "\"" + code + "\" is not an instrument of the catalog.");
        }
        Instrument instrument = catalog.withCode(code);
        return MusicXmlWriter.write(
                score.title(), fitted(score, instrument, stage).part(), instrument);
    }
}
