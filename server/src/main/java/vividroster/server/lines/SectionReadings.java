package vividroster.server.lines;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import vividroster.core.hands.Breaths.Breath;
import vividroster.core.hands.Fingers.Taken;
import vividroster.core.hands.Sticking;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Fingering.Valves;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.Partial;
import vividroster.core.instrument.Partial.Tendency;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.reading.Entry;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.Reading;
import vividroster.server.lines.LineViews.ComingInView;
import vividroster.server.lines.LineViews.DemandView;
import vividroster.server.lines.LineViews.HotSpotView;
import vividroster.server.lines.LineViews.NewView;
import vividroster.server.lines.LineViews.SectionReadingView;
import vividroster.server.lines.LineViews.TendencyView;
import vividroster.server.lines.LineViews.TrapView;

/** A line as one section reads it, in the views of the API. */
final class SectionReadings {

    private SectionReadings() {}

    /** Semitones from the line at concert pitch to what is written in the home octave. */
    static int writtenAbove(Instrument instrument, Reading reading) {
        return 12 * reading.fitted().octaves() - instrument.transposition().semitones();
    }

    /** @param met what the section has met before; empty where that is not known */
    static SectionReadingView of(
            Instrument instrument,
            Reading reading,
            FingeringChart chart,
            Conventions conventions,
            Optional<Vocabulary> met) {
        Part written = reading.written();
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
                met.isPresent(),
                reading.news().stream()
                        .map(first -> new NewView(
                                NewWording.kind(first.thing()),
                                conventions.numbering().of(written, first.measure()),
                                NewWording.words(first, taken(reading, first.measure(), first.note())),
                                NewWording.sentence(first, reading, chart, met)))
                        .toList(),
                reading.traps().stream()
                        .map(t -> new TrapView(
                                TrapWording.kind(t),
                                t.measure(),
                                conventions.numbering().of(written, t.measure()),
                                TrapWording.sentence(t, written)))
                        .toList(),
                tendencies(reading, conventions),
                HandNotes.of(instrument, reading, chart, conventions),
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

    static Optional<Taken> taken(Reading reading, int measure, int note) {
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
}
