package vividroster.server.lines;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Fingering.Valves;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.Partial;
import vividroster.core.instrument.Partial.Tendency;
import vividroster.core.music.Beats;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.reading.Counting;
import vividroster.core.reading.Demand;
import vividroster.core.reading.Echoes;
import vividroster.core.reading.Entry;
import vividroster.core.reading.Fingers.Marked;
import vividroster.core.reading.Fingers.Taken;
import vividroster.core.reading.Reading;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.Timeline;
import vividroster.formats.midi.MidiWriter;
import vividroster.formats.musicxml.MusicXmlWriter;
import vividroster.server.lines.LineViews.AnalysisView;
import vividroster.server.lines.LineViews.ComingInView;
import vividroster.server.lines.LineViews.DemandView;
import vividroster.server.lines.LineViews.EchoView;
import vividroster.server.lines.LineViews.FingerView;
import vividroster.server.lines.LineViews.HardestView;
import vividroster.server.lines.LineViews.HotSpotView;
import vividroster.server.lines.LineViews.MeasureView;
import vividroster.server.lines.LineViews.NewView;
import vividroster.server.lines.LineViews.PlayedView;
import vividroster.server.lines.LineViews.SectionReadingView;
import vividroster.server.lines.LineViews.SoundingView;
import vividroster.server.lines.LineViews.TendencyView;
import vividroster.server.lines.LineViews.TrapView;
import vividroster.server.lines.Readers.Stage;
import vividroster.server.lines.Tracks.Track;
import vividroster.server.platform.Problem;

/** Turns what the core reads in a line into what the API shows. */
@Component
class LineReadings {

    private final Readers readers;

    LineReadings(Readers readers) {
        this.readers = readers;
    }

    /** @param track what the sections of a class have met; unknown where no class is asked for */
    record Context(Stage stage, Conventions conventions, Track track) {}

    /** @param code of the instrument whose part is played; null for everybody's */
    AnalysisView analysis(Score score, String code, Context context) {
        Part part = code == null
                ? score.sounding()
                : score.partOf(readers.withCode(code).code());
        Conventions conventions = context.conventions();
        Roadmap roadmap = null;
        String fault = null;
        try {
            roadmap = Roadmap.of(part, conventions.roadmap());
        } catch (Roadmap.RoadmapException e) {
            fault = "Measure " + e.measure() + ": " + e.getMessage() + ".";
        }
        Timeline timeline = roadmap == null ? Timeline.NONE : Timeline.of(part, roadmap, Timeline.Options.PLAYBACK);
        double countIn = part.tempo()
                .orElse(Readers.WITHOUT_MARK)
                .secondsFor(Entry.countIn(part, conventions.countInMeasures()).value());
        Map<Instrument, Reading> readings = new LinkedHashMap<>();
        for (Instrument instrument : readers.pitched()) {
            readings.put(
                    instrument,
                    readers.read(
                            score,
                            instrument,
                            context.stage(),
                            conventions,
                            context.track().of(instrument.code())));
        }
        return new AnalysisView(
                score.title(),
                part.key().name(),
                part.meter().toString(),
                part.tempo().orElse(Readers.WITHOUT_MARK).value(),
                Entry.countIn(part, conventions.countInMeasures()).value(),
                measures(part, conventions),
                fault,
                roadmap == null ? List.of() : order(part, roadmap, timeline, conventions),
                timeline.total().value(),
                Math.round(timeline.seconds() * 100) / 100.0,
                Math.round((timeline.seconds() + countIn) * 100) / 100.0,
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
                                conventions.numbering().of(part, e.measure()),
                                TrapWording.sentence(e, part, conventions.numbering())))
                        .toList(),
                readings.entrySet().stream()
                        .map(e -> section(e.getKey(), e.getValue(), context))
                        .toList(),
                hardest(readings, context));
    }

    /** Compared among the sections of the class; nothing without one. */
    private static List<HardestView> hardest(Map<Instrument, Reading> readings, Context context) {
        List<Map.Entry<Instrument, Reading>> here = readings.entrySet().stream()
                .filter(e -> context.track().instruments().contains(e.getKey().code()))
                .toList();
        return Demand.hardest(here, e -> e.getValue().demand()).stream()
                .map(h -> new HardestView(
                        h.kind(),
                        h.who().getKey().code(),
                        DemandWording.hardest(
                                h,
                                h.who().getKey().plural(),
                                context.conventions()
                                        .numbering()
                                        .of(
                                                h.who().getValue().written(),
                                                h.peak().measure()))))
                .toList();
    }

    private static List<PlayedView> order(Part part, Roadmap roadmap, Timeline timeline, Conventions conventions) {
        return IntStream.range(0, roadmap.played().size())
                .mapToObj(place -> {
                    Roadmap.Played played = roadmap.played().get(place);
                    return new PlayedView(
                            played.index(),
                            conventions.numbering().of(part, played.index()),
                            played.pass(),
                            timeline.begins().get(place));
                })
                .toList();
    }

    private static List<MeasureView> measures(Part part, Conventions conventions) {
        List<MeasureView> views = new ArrayList<>();
        Meter meter = part.meter();
        for (int i = 0; i < part.measures().size(); i++) {
            Measure measure = part.measures().get(i);
            meter = measure.meter().orElse(meter);
            views.add(new MeasureView(
                    i,
                    conventions.numbering().of(part, i),
                    measure.length().value(),
                    Beats.of(meter).value(),
                    meter.pulse().value(),
                    SignWording.words(measure.signs()),
                    Counting.spoken(measure, meter, i == 0 && part.hasPickUp())));
        }
        return views;
    }

    private SectionReadingView section(Instrument instrument, Reading reading, Context context) {
        Part written = reading.written();
        Conventions conventions = context.conventions();
        return new SectionReadingView(
                instrument.code(),
                instrument.name(),
                written.key().name(),
                reading.fitted().octaves(),
                12 * reading.fitted().octaves(),
                12 * reading.fitted().octaves() - instrument.transposition().semitones(),
                reading.fitted().outside().stream().map(p -> p.name()).toList(),
                Entry.of(written, conventions.countInMeasures())
                        .map(entry -> entry(entry, reading, conventions))
                        .orElse(null),
                context.track().of(instrument.code()).isPresent(),
                reading.news().stream()
                        .map(first -> new NewView(
                                NewWording.kind(first.thing()),
                                conventions.numbering().of(written, first.measure()),
                                NewWording.words(first, taken(reading, first.measure(), first.note()))))
                        .toList(),
                reading.traps().stream()
                        .map(t -> new TrapView(
                                TrapWording.kind(t),
                                t.measure(),
                                conventions.numbering().of(written, t.measure()),
                                TrapWording.sentence(t, written)))
                        .toList(),
                tendencies(reading, conventions),
                reading.demand().stream()
                        .map(p -> new DemandView(
                                p.kind(),
                                p.value(),
                                conventions.numbering().of(written, p.measure()),
                                DemandWording.words(p)))
                        .toList(),
                reading.hotSpots().stream()
                        .map(h -> new HotSpotView(
                                h.measure(),
                                conventions.numbering().of(written, h.measure()),
                                h.reasons().stream().sorted().toList(),
                                h.recalls().isEmpty()
                                        ? null
                                        : (Integer) conventions
                                                .numbering()
                                                .of(written, h.recalls().getAsInt())))
                        .toList());
    }

    private static Optional<Taken> taken(Reading reading, int measure, int note) {
        return reading.fingers().taken().get(measure).get(note);
    }

    private static ComingInView entry(Entry entry, Reading reading, Conventions conventions) {
        return new ComingInView(
                conventions.numbering().of(reading.written(), entry.measure()),
                entry.first().name(),
                taken(reading, entry.measure(), entry.note())
                        .map(t -> DemandWording.fingering(t.fingering()))
                        .orElse(null),
                entry.counted(),
                entry.entersOn());
    }

    /** Notes whose partial sounds low or high by itself, each with the measures that hold it. */
    private static List<TendencyView> tendencies(Reading reading, Conventions conventions) {
        record Note(String name, String fingering, Tendency tendency) {}
        Map<Note, TreeSet<Integer>> found = new LinkedHashMap<>();
        Part written = reading.written();
        for (int m = 0; m < written.measures().size(); m++) {
            for (int n = 0; n < written.measures().get(m).notes().size(); n++) {
                Optional<Taken> taken = taken(reading, m, n);
                Tendency tendency = taken.map(t -> tendency(t.fingering())).orElse(Tendency.TRUE);
                if (tendency != Tendency.TRUE) {
                    String name = written.measures()
                            .get(m)
                            .notes()
                            .get(n)
                            .pitch()
                            .orElseThrow()
                            .name();
                    found.computeIfAbsent(
                                    new Note(
                                            name,
                                            taken.orElseThrow().fingering().label(),
                                            tendency),
                                    k -> new TreeSet<>())
                            .add(conventions.numbering().of(written, m));
                }
            }
        }
        return found.entrySet().stream()
                .map(e -> new TendencyView(
                        e.getKey().name(), e.getKey().fingering(), e.getKey().tendency(), List.copyOf(e.getValue())))
                .toList();
    }

    private static Tendency tendency(Fingering fingering) {
        return switch (fingering) {
            case Valves valves -> Partial.tendency(valves.partial());
            case Slide slide -> Partial.tendency(slide.partial());
            case Keys keys -> Tendency.TRUE;
            case OnString on -> Tendency.TRUE;
        };
    }

    /** Every note with its fingering, measure by measure; empty at concert pitch. */
    List<List<FingerView>> fingers(Score score, String code, Context context) {
        if (code == null) {
            return List.of();
        }
        Reading reading =
                readers.read(score, readers.withCode(code), context.stage(), context.conventions(), Optional.empty());
        List<List<FingerView>> views = new ArrayList<>();
        for (int m = 0; m < reading.written().measures().size(); m++) {
            List<Note> notes = reading.written().measures().get(m).notes();
            List<FingerView> row = new ArrayList<>();
            for (int n = 0; n < notes.size(); n++) {
                row.add(finger(notes.get(n), taken(reading, m, n)));
            }
            views.add(row);
        }
        return views;
    }

    private static FingerView finger(Note note, Optional<Taken> taken) {
        Fingering fingering = taken.map(Taken::fingering).orElse(null);
        return new FingerView(
                note.pitch().map(TrapWording::plain).orElse(""),
                note.length().value(),
                fingering == null ? "" : fingering.label(),
                fingering instanceof OnString on ? on.string() : null,
                fingering instanceof Keys keys ? (Integer) keys.holes() : null,
                fingering instanceof Keys keys ? keys.keys().stream().sorted().toList() : List.of(),
                taken.map(Taken::marked).orElse(Marked.NOTHING),
                taken.map(t -> t.alternates().stream()
                                .map(DemandWording::fingering)
                                .toList())
                        .orElse(List.of()));
    }

    Timeline arithmetic(Part part, Conventions conventions) {
        return Timeline.of(part, Roadmap.of(part, conventions.roadmap()), Timeline.Options.ARITHMETIC);
    }

    /** As it sounds, for other programs. */
    byte[] midi(Score score, Conventions conventions) {
        Part part = score.sounding();
        try {
            return MidiWriter.write(
                    score.title(), arithmetic(part, conventions), part.tempo().orElse(Readers.WITHOUT_MARK), 0);
        } catch (Roadmap.RoadmapException e) {
            throw Problem.input("lineId", "Measure " + e.measure() + ": " + e.getMessage() + ".");
        }
    }

    /** Notation for an instrument in its octave, or at concert pitch when none is named. */
    String musicXml(Score score, String code, Context context) {
        if (code == null) {
            return MusicXmlWriter.writeConcert(score.title(), score.sounding());
        }
        Instrument instrument = readers.withCode(code);
        return MusicXmlWriter.write(
                score.title(),
                readers.fitted(score, instrument, context.stage(), context.conventions())
                        .part(),
                instrument);
    }
}
