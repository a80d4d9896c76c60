package vividroster.server.lines;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import vividroster.core.hands.Breaths.Breath;
import vividroster.core.hands.Demand;
import vividroster.core.hands.Fingers.Marked;
import vividroster.core.hands.Fingers.Taken;
import vividroster.core.hands.Sticking;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Fingering.Valves;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.Partial;
import vividroster.core.instrument.Partial.Tendency;
import vividroster.core.music.Bpm;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.reading.Counting;
import vividroster.core.reading.Entry;
import vividroster.core.reading.Numbering;
import vividroster.core.reading.PlayPlan;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Timeline;
import vividroster.core.rehearsal.Echoes;
import vividroster.core.rehearsal.Reading;
import vividroster.formats.midi.MidiWriter;
import vividroster.formats.musicxml.MusicXmlWriter;
import vividroster.formats.musicxml.MusicXmlWriter.Purpose;
import vividroster.server.lines.LineViews.AnalysisView;
import vividroster.server.lines.LineViews.ClickView;
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
import vividroster.server.lines.Tracks.ClassTrack;
import vividroster.server.platform.Problem;

/** Turns what the core reads in a line into what the API shows. */
@Component
class LineReadings {

    private final Readers readers;

    LineReadings(Readers readers) {
        this.readers = readers;
    }

    /** @param track what the sections of a class have met; unknown where no class is asked for */
    record Context(Stage stage, Conventions conventions, ClassTrack track) {

        /**
         * With another timing; null keeps what the programme chose.
         *
         * @param tempo of a line that prints none; fermata how much longer a note under one is, counted and played
         * @throws Problem when one of them is out of its bounds
         */
        Context timed(Double tempo, Double fermata, Boolean repeatsAfterJump) {
            TimedView.Options own = conventions.timing();
            try {
                TimedView.Options timing = new TimedView.Options(
                        repeatsAfterJump == null ? own.roadmap() : new Roadmap.Options(repeatsAfterJump),
                        tempo == null ? own.tempoWithoutMark() : new Bpm(tempo),
                        fermata == null ? own.fermata() : fermata);
                return new Context(
                        stage,
                        conventions.timed(timing, fermata == null ? conventions.fermataPlayed() : fermata),
                        track);
            } catch (IllegalArgumentException e) {
                String rule = e.getMessage();
                throw Problem.input(rule.startsWith("tempo") ? "tempo" : "fermata", rule + ".");
            }
        }
    }

    /** @param code of the instrument whose part is played; null for everybody's */
    AnalysisView analysis(Score score, String code, Context context) {
        Instrument chosen = code == null ? null : readers.withCode(code);
        Part part = chosen == null
                ? score.sounding()
                : readers.part(
                        score, chosen, context.conventions(), context.track().of(chosen.code()));
        Conventions conventions = context.conventions();
        TimedView view = TimedView.of(part, conventions.timing());
        String fault = view.fault()
                .map(f -> RoadmapWording.sentence(f, part, conventions.numbering()))
                .orElse(null);
        Timeline timeline = view.timeline(conventions.fermataPlayed());
        double counted = view.timeline().seconds();
        double countIn = Entry.countInSeconds(view, conventions.countInMeasures());
        Map<Instrument, Reading> readings = new LinkedHashMap<>();
        // Most read everybody's part: its time is told once for all of them.
        Map<Part, TimedView> views = new IdentityHashMap<>();
        for (Instrument instrument : readers.all()) {
            readings.put(
                    instrument,
                    readers.read(
                            views.computeIfAbsent(
                                    readers.part(
                                            score,
                                            instrument,
                                            conventions,
                                            context.track().of(instrument.code())),
                                    p -> TimedView.of(p, conventions.timing())),
                            score,
                            instrument,
                            context.stage(),
                            conventions,
                            context.track().of(instrument.code())));
        }
        return new AnalysisView(
                score.title(),
                score.sounding().key().name(),
                part.meter().toString(),
                view.tempo().value(),
                part.tempo().map(TempoWording::words).orElse(null),
                Entry.countIn(view, conventions.countInMeasures()).value(),
                measures(view, conventions),
                fault,
                order(view, timeline, conventions),
                timeline.total().value(),
                rounded(timeline.seconds()),
                rounded(timeline.seconds() + countIn),
                rounded(counted),
                rounded(counted + countIn),
                view.roadmap().map(way -> Numbering.played(part, way)).orElse(0),
                sounding(timeline, chosen, readings.get(chosen), conventions),
                Echoes.worthSaying(view).stream()
                        .map(e -> new EchoView(
                                e.likeness(),
                                e.measure(),
                                conventions.numbering().of(part, e.measure()),
                                TrapWording.sentence(e, part, conventions.numbering())))
                        .toList(),
                readings.entrySet().stream()
                        .map(e -> section(e.getKey(), e.getValue(), context))
                        .toList(),
                hardest(readings, context),
                List.of(),
                List.of());
    }

    private static double rounded(double seconds) {
        return Math.round(seconds * 100) / 100.0;
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

    private static List<PlayedView> order(TimedView view, Timeline timeline, Conventions conventions) {
        List<Roadmap.Played> played = view.roadmap().map(Roadmap::played).orElse(List.of());
        PlayPlan plan = PlayPlan.of(view, conventions.countInMeasures(), conventions.fermataPlayed());
        return IntStream.range(0, played.size())
                .mapToObj(place -> {
                    Roadmap.Played one = played.get(place);
                    PlayPlan.Place clicked = plan.places().get(place);
                    return new PlayedView(
                            one.index(),
                            conventions.numbering().of(view.part(), one.index()),
                            one.pass(),
                            timeline.begins().get(place),
                            clicked.countInSeconds(),
                            clicks(clicked.countIn()),
                            clicks(clicked.clicks()));
                })
                .toList();
    }

    private static List<ClickView> clicks(List<PlayPlan.Click> clicks) {
        return clicks.stream().map(c -> new ClickView(c.seconds(), c.strong())).toList();
    }

    private static List<MeasureView> measures(TimedView view, Conventions conventions) {
        Part part = view.part();
        return view.bars().stream()
                .map(bar -> {
                    Measure measure = part.measures().get(bar.index());
                    return new MeasureView(
                            bar.index(),
                            conventions.numbering().of(part, bar.index()),
                            bar.length().value(),
                            bar.full().value(),
                            bar.meter().pulse().value(),
                            SignWording.words(measure.signs()),
                            TempoWording.words(measure.tempos()),
                            Counting.spoken(view, bar.index()));
                })
                .toList();
    }

    private static int writtenAbove(Instrument instrument, Reading reading) {
        return 12 * reading.fitted().octaves() - instrument.transposition().semitones();
    }

    /**
     * What sounds when, at concert pitch; the phrases that the section reads in another octave are in that one.
     *
     * @param chosen section whose part it is; null for everybody's
     */
    private static List<SoundingView> sounding(
            Timeline timeline, Instrument chosen, Reading reading, Conventions conventions) {
        boolean moved = reading != null && !reading.fitted().moves().isEmpty();
        int above = moved ? writtenAbove(chosen, reading) : 0;
        Timeline heard = moved ? reading.view().timeline(conventions.fermataPlayed()) : timeline;
        return heard.notes().stream()
                .map(s -> new SoundingView(
                        s.pitch().midi() - above,
                        s.onset().value(),
                        s.length().value(),
                        s.seconds(),
                        s.lasts(),
                        s.measure()))
                .toList();
    }

    private SectionReadingView section(Instrument instrument, Reading reading, Context context) {
        Part written = reading.written();
        Conventions conventions = context.conventions();
        return new SectionReadingView(
                instrument.code(),
                instrument.name(),
                instrument.pitched(),
                instrument.pitched() ? written.key().name() : "no key",
                reading.fitted().octaves(),
                12 * reading.fitted().octaves(),
                writtenAbove(instrument, reading),
                OctaveWording.moved(reading.fitted(), conventions.numbering()),
                reading.fitted().outside().stream().map(p -> p.name()).toList(),
                breaths(instrument, reading, conventions),
                Entry.of(reading.view(), conventions.countInMeasures())
                        .map(entry -> entry(entry, reading, instrument.pitched(), conventions))
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

    /** Where one breathes though nothing says so, but for the end. */
    private static List<Integer> breaths(Instrument instrument, Reading reading, Conventions conventions) {
        if (instrument.family() != Family.WOODWIND && instrument.family() != Family.BRASS) {
            return List.of();
        }
        List<Breath> all = reading.breaths();
        return all.stream()
                .limit(Math.max(0, all.size() - 1))
                .filter(breath -> !breath.endsAsWritten())
                .map(breath -> conventions
                        .numbering()
                        .of(reading.written(), breath.notes().getLast().measure()))
                .distinct()
                .toList();
    }

    private static ComingInView entry(Entry entry, Reading reading, boolean pitched, Conventions conventions) {
        String first = pitched
                ? entry.first().name()
                : Sticking.of(reading.view(), conventions.builds().sticking())
                                        .get(entry.measure())
                                        .get(entry.note())
                                        .orElse(Sticking.Hand.RIGHT)
                                == Sticking.Hand.RIGHT
                        ? "right hand"
                        : "left hand";
        return new ComingInView(
                conventions.numbering().of(reading.written(), entry.measure()),
                first,
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
        Instrument instrument = readers.withCode(code);
        Reading reading = readers.read(
                score,
                instrument,
                context.stage(),
                context.conventions(),
                context.track().of(code));
        if (!instrument.pitched()) {
            return sticking(reading, context.conventions());
        }
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

    /** The hand of every stroke, measure by measure. */
    private static List<List<FingerView>> sticking(Reading reading, Conventions conventions) {
        List<List<Optional<Sticking.Hand>>> hands =
                Sticking.of(reading.view(), conventions.builds().sticking());
        List<List<FingerView>> views = new ArrayList<>();
        for (int m = 0; m < hands.size(); m++) {
            List<Note> notes = reading.written().measures().get(m).notes();
            List<FingerView> row = new ArrayList<>();
            for (int n = 0; n < notes.size(); n++) {
                row.add(new FingerView(
                        "",
                        notes.get(n).length().value(),
                        hands.get(m).get(n).map(Sticking.Hand::letter).orElse(""),
                        null,
                        null,
                        List.of(),
                        Marked.NOTHING,
                        List.of()));
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

    /** As it sounds, for other programs. */
    byte[] midi(Score score, Conventions conventions) {
        TimedView view = TimedView.of(score.sounding(), conventions.timing());
        view.fault().ifPresent(fault -> {
            throw Problem.input("lineId", RoadmapWording.sentence(fault, score.sounding(), conventions.numbering()));
        });
        return MidiWriter.write(score.title(), view.timeline(conventions.fermataPlayed()), 0);
    }

    /** Notation for an instrument in its octave, or at concert pitch when none is named. */
    String musicXml(Score score, String code, Context context, Purpose purpose) {
        if (code == null) {
            return MusicXmlWriter.writeConcert(score.title(), score.sounding(), purpose);
        }
        Instrument instrument = readers.withCode(code);
        return MusicXmlWriter.write(
                score.title(),
                readers.fitted(
                                score,
                                instrument,
                                context.stage(),
                                context.conventions(),
                                context.track().of(code))
                        .part(),
                instrument,
                purpose);
    }
}
