package vividroster.core.hands;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Reach;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.music.Note;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.Vocabulary;

/**
 * Which of its fingerings every note of a part takes: the way with the least trouble from rest to rest. Held notes keep
 * usual slide positions, fast ones take alternates where they save travel; a fourth finger that is asked for replaces
 * the open string where the bow would cross and come back. Source: what the catalog of instruments asks of the core.
 *
 * @param taken for every measure and every note of it; empty for rests and notes without a fingering
 */
public record Fingers(List<List<Optional<Taken>>> taken) {

    /** Shorter notes than this may take an alternate slide position. */
    private static final double FAST_SECONDS = 0.4;
    /** Of one note that are weighed against each other; those behind them are far up the neck. */
    private static final int MOST_WAYS = 6;

    /** When the fourth finger is asked for. */
    public enum FourthFinger {
        /** Early: required where it avoids a crossing. */
        EARLY,
        LATER
    }

    /** What is marked at a note. */
    public enum Marked {
        NOTHING,
        /** The fourth finger instead of the open string. */
        FOURTH_FINGER,
        /** Another slide position than the usual. */
        ALTERNATE,
        /** A clarinet's first finger rolls here; told by {@link Rolls}. */
        ROLL
    }

    /** @param alternates the other ways, the default among them where it was not taken */
    public record Taken(Fingering fingering, Marked marked, List<Fingering> alternates) {}

    public Fingers {
        taken = List.copyOf(taken);
    }

    /** Of one note; empty for a rest and where the chart has none. */
    public Optional<Fingering> at(At at) {
        return taken.get(at.measure()).get(at.index()).map(Taken::fingering);
    }

    /** Of a page by itself, whoever reads it. */
    public static Fingers of(TimedView written, FingeringChart chart, FourthFinger fourth) {
        return of(written, chart, fourth, Optional.empty());
    }

    /** @param met before this page; empty where that is not known */
    public static Fingers of(TimedView written, FingeringChart chart, FourthFinger school, Optional<Vocabulary> met) {
        FourthFingerAsked fourth = new FourthFingerAsked(school, chart, met);
        List<List<Optional<Taken>>> all = new ArrayList<>();
        List<Option> run = new ArrayList<>();
        List<List<Optional<Taken>>> slots = new ArrayList<>();
        for (List<At> measure : written.notes()) {
            List<Optional<Taken>> row = new ArrayList<>(measure.size());
            slots.add(row);
            for (At at : measure) {
                List<Fingering> ways =
                        at.isRest() ? List.of() : chart.of(at.note().pitch().orElseThrow());
                if (ways.isEmpty()) {
                    settle(run, fourth);
                    run.clear();
                    row.add(Optional.empty());
                    continue;
                }
                run.add(new Option(at.note(), ways, at.heldSeconds(), at.tiedIn(), row, row.size()));
                row.add(Optional.empty());
            }
        }
        settle(run, fourth);
        slots.forEach(row -> all.add(List.copyOf(row)));
        return new Fingers(all);
    }

    /** One note that waits for its fingering, with what is tied on to it; row and at say where it goes. */
    private record Option(
            Note note, List<Fingering> ways, double seconds, boolean tiedIn, List<Optional<Taken>> row, int at) {}

    /** The least trouble through a run, by going forward and reading back. */
    private static void settle(List<Option> run, FourthFingerAsked fourth) {
        if (run.isEmpty()) {
            return;
        }
        int[][] from = new int[run.size()][];
        double[] before = new double[0];
        for (int n = 0; n < run.size(); n++) {
            List<Fingering> ways = run.get(n).ways();
            int weighed = Math.min(ways.size(), MOST_WAYS);
            double[] costs = new double[weighed];
            from[n] = new int[weighed];
            for (int w = 0; w < weighed; w++) {
                double best = n == 0 ? 0 : Double.MAX_VALUE;
                for (int b = 0; b < before.length; b++) {
                    // What sounds on is not taken anew.
                    double cost = before[b]
                            + (run.get(n).tiedIn() && b != w
                                    ? 1000
                                    : move(run.get(n - 1).ways().get(b), ways.get(w)));
                    if (cost < best) {
                        best = cost;
                        from[n][w] = b;
                    }
                }
                costs[w] = best + own(run.get(n), w, fourth);
            }
            before = costs;
        }
        int way = 0;
        for (int w = 1; w < before.length; w++) {
            way = before[w] < before[way] ? w : way;
        }
        for (int n = run.size() - 1; n >= 0; n--) {
            Option option = run.get(n);
            option.row().set(option.at(), Optional.of(taken(option.ways(), way)));
            way = from[n][way];
        }
    }

    private static Taken taken(List<Fingering> ways, int way) {
        Fingering chosen = ways.get(way);
        Marked marked = way == 0
                ? Marked.NOTHING
                : chosen instanceof Slide
                        ? Marked.ALTERNATE
                        : chosen instanceof OnString on
                                        && on.finger() == 4
                                        && ways.getFirst() instanceof OnString open
                                        && open.isOpen()
                                ? Marked.FOURTH_FINGER
                                : Marked.NOTHING;
        List<Fingering> others = new ArrayList<>(ways);
        others.remove(way);
        return new Taken(chosen, marked, others);
    }

    /** Trouble of a way by itself. */
    private static double own(Option option, int way, FourthFingerAsked fourth) {
        Fingering fingering = option.ways().get(way);
        return switch (fingering) {
            case Slide slide -> way == 0 ? 0 : option.seconds() < FAST_SECONDS ? 1 : 1000;
            case Fingering.Valves valves -> 2.0 * Math.min(way, 2);
            case Keys keys -> way == 0 ? 0 : 1.5;
            case OnString on -> {
                double hand = on.isOpen() || on.position() == 1 ? 0 : on.position() == 0 ? 0.5 : 2.0 * on.position();
                boolean insteadOfOpen =
                        on.finger() == 4 && option.ways().getFirst() instanceof OnString first && first.isOpen();
                double four = !insteadOfOpen ? 0 : fourth.isAsked(option.note(), on) ? 1.2 : 10;
                yield hand + four + (on.reach() == Reach.STRETCHED ? 1 : 0);
            }
        };
    }

    private static double move(Fingering from, Fingering to) {
        if (from instanceof Keys before && to instanceof Keys after) {
            return 0.2 * before.movedTo(after) + (before.slidesTo(after) ? 3 : 0);
        }
        if (from instanceof OnString before && to instanceof OnString after) {
            int shift = before.isOpen() || after.isOpen() ? 0 : Math.abs(before.position() - after.position());
            return Math.abs(before.place() - after.place()) + (shift == 0 ? 0 : 2 + 0.5 * shift);
        }
        return Movement.travel(from, to)
                + 0.2 * (from instanceof Fingering.Valves ? Movement.fingersMoved(from, to) : 0);
    }
}
