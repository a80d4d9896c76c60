package vividroster.core.hands;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import vividroster.core.hands.Breaths.Breath;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Reach;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Fingering.Valves;
import vividroster.core.instrument.Range;
import vividroster.core.music.Key;
import vividroster.core.music.Pitch;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.TimedView.Bar;
import vividroster.core.reading.Traps.HiddenSkip;
import vividroster.core.reading.Traps.Trap;
import vividroster.core.reading.Vocabulary.First;
import vividroster.core.reading.Vocabulary.NewNote;

/** What a line asks of a section, as a profile: never one score. Each value with the measure where it peaks. */
public final class Demand {

    private static final int KINDS = Kind.values().length;

    private Demand() {}

    /** What is asked. */
    public enum Kind {
        /** Notes this section has not met before, in one measure. */
        NEW_NOTES,
        /** Fastest notes, a second. */
        NOTES_PER_SECOND,
        /** Widest leap, in letter steps. */
        LEAP,
        /** Skips inside runs that look like a scale, in one measure. */
        HIDDEN_SKIPS,
        /** Highest note, in semitones above the range of the stage; below 0 within. */
        ABOVE_RANGE,
        /** Lowest note, in semitones below the range of the stage; below 0 within. */
        BELOW_RANGE,
        /** Notes altered beside the key in one measure. */
        ALTERED,
        /** Longest stretch without a rest or breath, in seconds; for winds the breath. */
        BREATH_SECONDS,
        /** Longest slur, in seconds; for strings the bow. */
        SLUR_SECONDS,
        /** Crossings from register to register in one measure; woodwinds. */
        REGISTER_BREAKS,
        /** Valves or keys changed a second, over one measure. */
        FINGERS_A_SECOND,
        /** Slide positions travelled a second, over one measure. */
        SLIDE_A_SECOND,
        /** Strings crossed in one measure. */
        CROSSINGS,
        /** Shifts of the hand in one measure; strings. */
        SHIFTS,
        /** Notes taken with an opened hand in one measure; strings. */
        STRETCHES
    }

    /** @param measure index in the part where it peaks */
    public record Peak(Kind kind, double value, int measure) {}

    /** Who has most of a kind. @param who the one; next the value of whoever follows, 0 where nobody asks for it */
    public record Hardest<T>(Kind kind, T who, Peak peak, double next) {}

    /**
     * @param breaths of the line
     * @param news what the section meets here first; empty optional where its track is not known
     */
    public static List<Peak> of(
            TimedView written,
            Range stage,
            Fingers fingers,
            List<Trap> traps,
            List<Breath> breaths,
            Optional<List<First>> news) {
        double[] best = new double[KINDS];
        int[] where = new int[KINDS];
        Arrays.fill(best, Double.NaN);
        double[] values = new double[KINDS];
        int[] skips = new int[written.bars().size()];
        traps.forEach(trap -> skips[trap.measure()] += trap instanceof HiddenSkip ? 1 : 0);
        int[] met = new int[written.bars().size()];
        news.ifPresent(all -> all.forEach(first -> met[first.measure()] += first.thing() instanceof NewNote ? 1 : 0));
        for (Bar bar : written.bars()) {
            int m = bar.index();
            Arrays.fill(values, Double.NaN);
            values[Kind.HIDDEN_SKIPS.ordinal()] = skips[m];
            if (news.isPresent()) {
                values[Kind.NEW_NOTES.ordinal()] = met[m];
            }
            At before = written.lastBefore(m);
            List<At> row = written.notes().get(m);
            reading(row, before, bar.key(), stage, values);
            hand(row, fingers, before, values);
            for (int kind = 0; kind < KINDS; kind++) {
                if (!Double.isNaN(values[kind]) && (Double.isNaN(best[kind]) || values[kind] > best[kind])) {
                    best[kind] = values[kind];
                    where[kind] = m;
                }
            }
        }
        held(written, breaths, best, where);
        List<Peak> peaks = new ArrayList<>(KINDS);
        for (Kind kind : Kind.values()) {
            if (!Double.isNaN(best[kind.ordinal()])) {
                peaks.add(new Peak(kind, best[kind.ordinal()], where[kind.ordinal()]));
            }
        }
        return List.copyOf(peaks);
    }

    private static void most(double[] values, Kind kind, double value) {
        double now = values[kind.ordinal()];
        values[kind.ordinal()] = Double.isNaN(now) ? value : Math.max(now, value);
    }

    private static void more(double[] values, Kind kind, double value) {
        double now = values[kind.ordinal()];
        values[kind.ordinal()] = Double.isNaN(now) ? value : now + value;
    }

    /** What the eye and the air meet. @param before heard before the measure; null at the beginning */
    private static void reading(List<At> row, At before, Key key, Range stage, double[] values) {
        int altered = 0;
        At from = before;
        for (At at : row) {
            if (at.isAttack()) {
                Pitch pitch = at.note().pitch().orElseThrow();
                most(values, Kind.NOTES_PER_SECOND, 1 / at.heldSeconds());
                most(values, Kind.ABOVE_RANGE, pitch.midi() - stage.high().midi());
                most(values, Kind.BELOW_RANGE, stage.low().midi() - pitch.midi());
                if (from != null && !from.isRest()) {
                    int steps = pitch.step() - from.note().pitch().orElseThrow().step();
                    most(values, Kind.LEAP, Math.abs(steps));
                }
            }
            if (!at.isRest()) {
                Pitch pitch = at.note().pitch().orElseThrow();
                altered += pitch.alter() == key.alterOf(pitch.letter()) ? 0 : 1;
            }
            from = at;
        }
        values[Kind.ALTERED.ordinal()] = altered;
    }

    /** What the hand does. @param before heard before the measure; null at the beginning */
    private static void hand(List<At> row, Fingers fingers, At before, double[] values) {
        Fingering from = before == null ? null : fingers.at(before).orElse(null);
        double seconds = row.stream().mapToDouble(At::seconds).sum();
        for (At at : row) {
            Fingering to = fingers.at(at).orElse(null);
            if (to != null) {
                switch (to) {
                    case Valves valves ->
                        more(values, Kind.FINGERS_A_SECOND, Movement.fingersMoved(from, to) / seconds);
                    case Keys keys -> {
                        more(values, Kind.FINGERS_A_SECOND, Movement.fingersMoved(from, to) / seconds);
                        more(values, Kind.REGISTER_BREAKS, Movement.breaksRegister(from, to) ? 1 : 0);
                    }
                    case Slide slide -> more(values, Kind.SLIDE_A_SECOND, Movement.travel(from, to) / seconds);
                    case OnString on -> {
                        more(values, Kind.CROSSINGS, Movement.crossed(from, to));
                        more(values, Kind.SHIFTS, Movement.shifted(from, to) == 0 ? 0 : 1);
                        more(values, Kind.STRETCHES, on.reach() == Reach.STRETCHED ? 1 : 0);
                    }
                }
            }
            from = to;
        }
    }

    /** The longest breath and the longest slur, each told where it begins. */
    private static void held(TimedView view, List<Breath> breaths, double[] best, int[] where) {
        for (Breath breath : breaths) {
            keep(
                    Kind.BREATH_SECONDS,
                    breath.seconds(),
                    breath.notes().getFirst().measure(),
                    best,
                    where);
        }
        for (List<At> slur : view.slurs()) {
            double seconds = slur.stream().mapToDouble(At::seconds).sum();
            keep(Kind.SLUR_SECONDS, seconds, slur.getFirst().measure(), best, where);
        }
    }

    private static void keep(Kind kind, double value, int measure, double[] best, int[] where) {
        if (Double.isNaN(best[kind.ordinal()]) || value > best[kind.ordinal()]) {
            best[kind.ordinal()] = value;
            where[kind.ordinal()] = measure;
        }
    }

    /**
     * Who has the hard one, kind by kind: the reader with the most, where it is more than anybody else's and more than
     * nothing. A kind that only one reader has at all says nothing about the others and is told as well.
     */
    public static <T> List<Hardest<T>> hardest(List<T> readers, Function<T, List<Peak>> demand) {
        List<Hardest<T>> hardest = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            record Has<T>(T who, Peak peak) {}
            List<Has<T>> all = readers.stream()
                    .flatMap(r -> demand.apply(r).stream()
                            .filter(p -> p.kind() == kind && p.value() > 0)
                            .map(p -> new Has<>(r, p)))
                    .sorted(Comparator.comparingDouble((Has<T> h) -> -h.peak().value()))
                    .toList();
            double next = all.size() > 1 ? all.get(1).peak().value() : 0;
            if (readers.size() > 1 && !all.isEmpty() && all.getFirst().peak().value() > next) {
                hardest.add(
                        new Hardest<>(kind, all.getFirst().who(), all.getFirst().peak(), next));
            }
        }
        return List.copyOf(hardest);
    }
}
