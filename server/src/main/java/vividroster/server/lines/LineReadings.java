package vividroster.server.lines;

import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import vividroster.core.hands.Bowing;
import vividroster.core.hands.Demand;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.StringPlace;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
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
import vividroster.server.lines.LineViews.EchoView;
import vividroster.server.lines.LineViews.FingerView;
import vividroster.server.lines.LineViews.HardestView;
import vividroster.server.lines.LineViews.MeasureView;
import vividroster.server.lines.LineViews.PlayedView;
import vividroster.server.lines.LineViews.SoundingView;
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
    AnalysisView analysis(Score score, InstrumentCode code, Context context) {
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
                Beside.of(score, part, conventions, readers),
                Beside.under(score, view, conventions),
                Echoes.worthSaying(view).stream()
                        .map(e -> new EchoView(
                                e.likeness(),
                                e.measure(),
                                conventions.numbering().of(part, e.measure()),
                                TrapWording.sentence(e, part, conventions.numbering())))
                        .toList(),
                readings.entrySet().stream()
                        .map(e -> SectionReadings.of(
                                e.getKey(),
                                e.getValue(),
                                readers.chart(e.getKey(), conventions),
                                conventions,
                                context.track().of(e.getKey().code())))
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

    /**
     * What sounds when, at concert pitch; the phrases that the section reads in another octave are in that one.
     *
     * @param chosen section whose part it is; null for everybody's
     */
    private static List<SoundingView> sounding(
            Timeline timeline, Instrument chosen, Reading reading, Conventions conventions) {
        boolean moved = reading != null && !reading.fitted().moves().isEmpty();
        int above = moved ? SectionReadings.writtenAbove(chosen, reading) : 0;
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

    /**
     * Every note with its fingering, or its hand, measure by measure; empty at concert pitch.
     *
     * @param syllables by style, as the programme's checks say them
     */
    List<List<FingerView>> fingers(
            Score score,
            InstrumentCode code,
            Context context,
            Map<String, String> syllables,
            Optional<StringPlace> place) {
        if (code == null) {
            return List.of();
        }
        Instrument instrument = readers.withCode(code);
        Reading reading = readers.read(
                score,
                instrument,
                context.stage(),
                context.conventions(),
                context.track().of(code),
                place);
        return HandViews.of(instrument, reading, context.conventions(), syllables);
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
    String musicXml(Score score, InstrumentCode code, Context context, Purpose purpose) {
        return musicXml(score, code, context, purpose, false);
    }

    /** @param bowed with the mark of every bow, for strings alone */
    String musicXml(Score score, InstrumentCode code, Context context, Purpose purpose, boolean bowed) {
        if (code == null) {
            return MusicXmlWriter.writeConcert(score.title(), score.sounding(), purpose);
        }
        Instrument instrument = readers.withCode(code);
        Part part = readers.fitted(
                        score,
                        instrument,
                        context.stage(),
                        context.conventions(),
                        context.track().of(code))
                .part();
        boolean marked = bowed && instrument.family() == Family.STRING;
        return MusicXmlWriter.write(
                score.title(), marked ? Bowing.of(TimedView.of(part)).on(part) : part, instrument, purpose);
    }
}
