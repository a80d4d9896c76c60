package vividroster.core.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Tempo;
import vividroster.core.music.TempoMark;
import vividroster.core.reading.Roadmap.Played;
import vividroster.core.reading.Slurring.Slur;

/**
 * A line with its time told once. Every rule that walks measures reads this: what is tied or slurred over a bar line,
 * where a note stands in its full measure, and which key, meter and tempo hold there.
 */
public final class TimedView {

    /**
     * How a programme reads.
     *
     * @param tempoWithoutMark where the line prints none; default 100
     * @param fermata how much longer a note under a fermata is counted, in 1..8; default 1
     */
    public record Options(Roadmap.Options roadmap, Bpm tempoWithoutMark, double fermata) {
        public static final Options USUAL = new Options(Roadmap.Options.USUAL, new Bpm(100), 1);

        public Options {
            if (!(fermata >= 1 && fermata <= 8)) {
                throw new IllegalArgumentException("fermata must be in 1..8, was " + fermata);
            }
        }
    }

    /**
     * A measure in time.
     *
     * @param begins where it begins in its full measure: after 0 for the end of one, as a pick-up or a second half is
     * @param length as long as its content reaches
     * @param full as long as its meter makes it
     * @param tempo in force at its beginning
     * @param before index of the measure heard before it when it is first come to; -1 at the beginning
     */
    public record Bar(int index, Key key, Meter meter, Beats begins, Beats length, Beats full, Bpm tempo, int before) {}

    /**
     * A note or rest as it is written.
     *
     * @param measure index in the part; note index in the measure
     * @param place beats after the measure's first note
     * @param beat the same counted in the full measure
     * @param tempo where it begins
     * @param seconds it lasts, tempo changes inside it and its fermata included
     * @param tiedIn whether it sounds on from the note before
     * @param slurredIn whether a slur leads to it from the note before
     * @param held its length with what is tied on to it
     * @param heldSeconds the same in seconds
     * @param lastMeasure index of the measure where it ends, ties followed
     */
    public record At(
            int measure,
            int index,
            Note note,
            Beats place,
            Beats beat,
            Bpm tempo,
            double seconds,
            boolean tiedIn,
            boolean slurredIn,
            Beats held,
            double heldSeconds,
            int lastMeasure) {

        public boolean isRest() {
            return note.isRest();
        }

        /** Whether a sound begins here: no rest, and not sounding on. */
        public boolean isAttack() {
            return !tiedIn && !note.isRest();
        }

        private At reading(Note other) {
            return new At(
                    measure,
                    index,
                    other,
                    place,
                    beat,
                    tempo,
                    seconds,
                    tiedIn,
                    slurredIn,
                    held,
                    heldSeconds,
                    lastMeasure);
        }
    }

    private final Part part;
    private final Options options;
    private final Optional<Roadmap> roadmap;
    private final Optional<RoadmapException> fault;
    private final List<Bar> bars;
    private final List<List<At>> notes;
    private final List<Slur> slurs;
    /** Told when it is first asked for; whoever tells it tells the same. */
    private final Map<Class<?>, Object> told = new ConcurrentHashMap<>();

    private TimedView(
            Part part,
            Options options,
            Optional<Roadmap> roadmap,
            Optional<RoadmapException> fault,
            List<Bar> bars,
            List<List<At>> notes,
            List<Slur> slurs) {
        this.part = part;
        this.options = options;
        this.roadmap = roadmap;
        this.fault = fault;
        this.bars = bars;
        this.notes = notes;
        this.slurs = slurs;
    }

    public static TimedView of(Part part, Options options) {
        Optional<Roadmap> roadmap = Optional.empty();
        Optional<RoadmapException> fault = Optional.empty();
        try {
            roadmap = Optional.of(Roadmap.of(part, options.roadmap()));
        } catch (RoadmapException e) {
            fault = Optional.of(e);
        }
        List<Bar> bars = bars(part, options, before(part, roadmap));
        List<Slur> slurs = Slurring.of(part);
        return new TimedView(part, options, roadmap, fault, bars, notes(part, options, bars, slurs), slurs);
    }

    public static TimedView of(Part part) {
        return of(part, Options.USUAL);
    }

    public Part part() {
        return part;
    }

    public Options options() {
        return options;
    }

    /** Empty where there is no way through; then {@link #fault()} says why. */
    public Optional<Roadmap> roadmap() {
        return roadmap;
    }

    public Optional<RoadmapException> fault() {
        return fault;
    }

    public List<Bar> bars() {
        return bars;
    }

    /** By measure, in the order of the page. */
    public List<List<At>> notes() {
        return notes;
    }

    /** What somebody tells from this view, told once and kept with it. @param who tells it, one thing for each */
    <T> T told(Class<?> who, Function<TimedView, T> teller) {
        @SuppressWarnings("unchecked")
        T kept = (T) told.computeIfAbsent(who, unused -> teller.apply(this));
        return kept;
    }

    /** Every whole slur with the notes and rests under it. */
    public List<List<At>> slurs() {
        if (slurs.isEmpty()) {
            return List.of();
        }
        List<At> all = notes.stream().flatMap(List::stream).toList();
        return slurs.stream().map(s -> all.subList(s.from(), s.to() + 1)).toList();
    }

    /** The tempo at the beginning: the printed one, or what holds without a mark. */
    public Bpm tempo() {
        return bars.getFirst().tempo();
    }

    /** The note heard before the first of a measure; null at the beginning. */
    public At lastBefore(int measure) {
        int before = bars.get(measure).before();
        return before < 0 || notes.get(before).isEmpty()
                ? null
                : notes.get(before).getLast();
    }

    /** The same time, the notes as an instrument reads them. @param written of the same rhythm */
    public TimedView reading(Part written) {
        List<List<At>> others = new ArrayList<>(notes.size());
        List<Bar> otherBars = new ArrayList<>(bars.size());
        Key key = written.key();
        for (int m = 0; m < notes.size(); m++) {
            Measure measure = written.measures().get(m);
            key = measure.key().orElse(key);
            Bar bar = bars.get(m);
            otherBars.add(
                    new Bar(m, key, bar.meter(), bar.begins(), bar.length(), bar.full(), bar.tempo(), bar.before()));
            List<At> row = new ArrayList<>(notes.get(m).size());
            for (At at : notes.get(m)) {
                row.add(at.reading(measure.notes().get(at.index())));
            }
            others.add(row);
        }
        return new TimedView(written, options, roadmap, fault, otherBars, others, slurs);
    }

    /** What sounds when, a fermata counted as the options say; nothing where there is no way through. */
    public Timeline timeline() {
        return timeline(options.fermata());
    }

    /** The same with another fermata. @param fermata in 1..8 */
    public Timeline timeline(double fermata) {
        return roadmap.map(way -> Timeline.of(this, way, fermata)).orElse(Timeline.NONE);
    }

    /** Seconds from a measure's beginning to a place in it. @param fermata how much longer a note under one is */
    double secondsTo(int measure, Beats place, double fermata) {
        double seconds = 0;
        Tempos tempos =
                new Tempos(part.measures().get(measure), bars.get(measure).tempo());
        for (At at : notes.get(measure)) {
            if (at.place().compareTo(place) >= 0) {
                break;
            }
            Beats end = at.place().plus(at.note().length());
            Beats until = end.compareTo(place) < 0 ? end : place;
            seconds += tempos.seconds(at.place(), until) * stretch(at.note(), fermata);
        }
        return seconds;
    }

    static double stretch(Note note, double fermata) {
        return note.marks().contains(Mark.FERMATA) ? fermata : 1;
    }

    /** What is heard before every measure when it is first come to: the one before it on paper, but for brackets and codas. */
    private static int[] before(Part part, Optional<Roadmap> roadmap) {
        int[] before = new int[part.measures().size()];
        Arrays.setAll(before, i -> i - 1);
        roadmap.ifPresent(way -> {
            Map<Integer, Integer> first = new HashMap<>();
            int last = -1;
            for (Played played : way.played()) {
                if (played.index() > last) {
                    first.putIfAbsent(played.index(), last);
                }
                last = played.index();
            }
            first.forEach((index, heard) -> before[index] = heard);
        });
        return before;
    }

    /** The tempos inside one measure. */
    private record Tempos(Measure measure, Bpm first) {

        double seconds(Beats from, Beats to) {
            if (measure.tempos().isEmpty()) {
                return first.secondsFor(to.minus(from));
            }
            double seconds = 0;
            Beats at = from;
            Bpm now = at(from);
            for (TempoMark mark : measure.tempos()) {
                if (mark.at().compareTo(at) > 0 && mark.at().compareTo(to) < 0) {
                    seconds += now.secondsFor(mark.at().minus(at));
                    at = mark.at();
                    now = mark.tempo().bpm();
                }
            }
            return seconds + now.secondsFor(to.minus(at));
        }

        Bpm at(Beats place) {
            Bpm now = first;
            for (TempoMark mark : measure.tempos()) {
                now = mark.at().compareTo(place) <= 0 ? mark.tempo().bpm() : now;
            }
            return now;
        }
    }

    private static List<Bar> bars(Part part, Options options, int[] before) {
        List<Bar> bars = new ArrayList<>();
        Key key = part.key();
        Meter meter = part.meter();
        Bpm tempo = part.tempo().map(Tempo::bpm).orElse(options.tempoWithoutMark());
        for (int m = 0; m < part.measures().size(); m++) {
            Measure measure = part.measures().get(m);
            key = measure.key().orElse(key);
            meter = measure.meter().orElse(meter);
            Beats full = Beats.of(meter);
            Beats length = measure.length();
            Tempos inside = new Tempos(measure, tempo);
            bars.add(new Bar(
                    m,
                    key,
                    meter,
                    begins(part, bars, m, length, full),
                    length,
                    full,
                    inside.at(Beats.ZERO),
                    before[m]));
            tempo = measure.tempos().isEmpty()
                    ? tempo
                    : measure.tempos().getLast().tempo().bpm();
        }
        return bars;
    }

    private static Beats begins(Part part, List<Bar> bars, int m, Beats length, Beats full) {
        int number = part.measures().get(m).number();
        if (m > 0 && part.measures().get(m - 1).number() == number) {
            Beats end = bars.get(m - 1).begins().plus(bars.get(m - 1).length());
            return end.compareTo(full) < 0 ? end : Beats.ZERO;
        }
        return m == 0 && number == 0 && length.compareTo(full) < 0 ? full.minus(length) : Beats.ZERO;
    }

    private static List<List<At>> notes(Part part, Options options, List<Bar> bars, List<Slur> slurs) {
        int count = part.measures().stream().mapToInt(m -> m.notes().size()).sum();
        boolean[] slurred = Slurring.leadsTo(slurs, count);
        int ordinal = 0;
        List<List<At>> all = new ArrayList<>();
        for (int m = 0; m < part.measures().size(); m++) {
            Measure measure = part.measures().get(m);
            Tempos tempos = new Tempos(measure, bars.get(m).tempo());
            List<At> row = new ArrayList<>(measure.notes().size());
            Beats place = Beats.ZERO;
            int heard = bars.get(m).before();
            Note before = heard < 0 || part.measures().get(heard).notes().isEmpty()
                    ? null
                    : part.measures().get(heard).notes().getLast();
            for (int n = 0; n < measure.notes().size(); n++) {
                Note note = measure.notes().get(n);
                Beats end = place.plus(note.length());
                double seconds = tempos.seconds(place, end) * stretch(note, options.fermata());
                row.add(new At(
                        m,
                        n,
                        note,
                        place,
                        bars.get(m).begins().plus(place),
                        tempos.at(place),
                        seconds,
                        note.isTiedFrom(before),
                        slurred[ordinal++],
                        note.length(),
                        seconds,
                        m));
                before = note;
                place = end;
            }
            all.add(row);
        }
        hold(all);
        return all;
    }

    /** Adds to every note what is tied on to it, from the end backwards. */
    private static void hold(List<List<At>> all) {
        At next = null;
        for (int m = all.size() - 1; m >= 0; m--) {
            List<At> row = all.get(m);
            for (int n = row.size() - 1; n >= 0; n--) {
                At at = row.get(n);
                if (next != null && next.note().isTiedFrom(at.note())) {
                    at = new At(
                            at.measure(),
                            at.index(),
                            at.note(),
                            at.place(),
                            at.beat(),
                            at.tempo(),
                            at.seconds(),
                            at.tiedIn(),
                            at.slurredIn(),
                            at.held().plus(next.held()),
                            at.heldSeconds() + next.heldSeconds(),
                            next.lastMeasure());
                    row.set(n, at);
                }
                next = at;
            }
        }
    }
}
