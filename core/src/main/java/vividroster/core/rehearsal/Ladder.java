package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import vividroster.core.music.Bpm;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.core.rehearsal.HotSpots.HotSpot;
import vividroster.core.rehearsal.HotSpots.Reason;

/**
 * The steps from slow fragments to the whole line at tempo, within the minutes there are. Source: the three habits of
 * rehearsing a line; seconds of a step are repetitions times beats by tempo, and a word between.
 *
 * @param steps in order
 * @param dropped what did not fit, the least valuable first
 * @param seconds of all steps together, never more than were asked for
 */
public record Ladder(List<Step> steps, List<Step> dropped, double seconds) {

    static final double SLOW = 0.6;
    static final double MIDDLE = 0.8;
    private static final int MOST_SPOTS = 6;
    /** Of a join as played; a spot's own are worth more. */
    private static final int TURN_VALUE = 21;
    /** Rewarding enough for a second, faster turn alone. */
    private static final int WORTH_TWO_TEMPOS = 5;

    /** Notes a measure has at least beyond one group to be cut. */
    private static final int BEYOND_A_GROUP = 2;
    /** A shift is drilled with fewer and fewer bows to a note. Source: teaching of shifts. */
    private static final List<Integer> BOWS = List.of(3, 2, 1);
    /** A step of a metronome when a step was clean: about a tenth of the tempo aimed at. Ours, to be tuned. */
    private static final double TEMPO_STEP = 0.1;

    public enum Habit {
        SPOTS_FIRST,
        WHOLE_SPOT_WHOLE,
        STRAIGHT_THROUGH
    }

    /** How a hard measure is cut. */
    public enum Grouping {
        /** Every group begins where the one before ends, so that no joint is left out. */
        OVERLAPPING,
        CONSECUTIVE
    }

    /**
     * How a director wants it.
     *
     * @param groupSize notes of a group, in 2..8; default 4
     */
    public record Wish(Habit habit, Grouping grouping, int groupSize) {
        public static final int USUAL_GROUP = 4;

        public Wish {
            if (groupSize < 2 || groupSize > 8) {
                throw new IllegalArgumentException("groupSize must be in 2..8, was " + groupSize);
            }
        }

        public Wish(Habit habit, Grouping grouping) {
            this(habit, grouping, USUAL_GROUP);
        }
    }

    /** What is done. */
    public enum Kind {
        /** Key, meter, roadmap and new things, without playing. */
        LOOK,
        /** A few notes of the measure at a time. */
        GROUPS,
        /** Stopped strings: both fingers stand before the slur falls; nothing is played yet. */
        SET_FINGERS,
        /** A shift with fewer and fewer bows to a note. */
        BOWS,
        /** The measure alone, slowly. */
        ISOLATE,
        /** The measure equals an earlier one: said, not started anew. */
        RECALL,
        /** With the measure before and the one after. */
        JOIN,
        /** Two measures that follow one another only as it is played: back at a repeat, into the coda, to the top. */
        JOIN_AS_PLAYED,
        /** The line slowly. */
        WHOLE_SLOW,
        /** The line at tempo. */
        WHOLE
    }

    /** Notes of a measure by index, rests counted; both ends included. */
    public record Group(int from, int to) {}

    /**
     * @param from and to, both included, by index in the part; of {@link Kind#JOIN_AS_PLAYED} the two measures alone,
     *     the later perhaps before the earlier on the page
     * @param groups of the one measure, for {@link Kind#GROUPS} alone
     * @param bows to every note in one run after another, each in 1..8, for {@link Kind#BOWS} alone
     * @param listen what to listen for, where there is something of its own
     * @param value decides what is dropped first
     */
    public record Step(
            Kind kind,
            int from,
            int to,
            Bpm tempo,
            int repetitions,
            List<Group> groups,
            List<Integer> bows,
            Optional<Listen> listen,
            double seconds,
            int value) {
        public Step {
            groups = List.copyOf(groups);
            bows = List.copyOf(bows);
            if (repetitions < 1 || repetitions > 20) {
                throw new IllegalArgumentException("repetitions must be in 1..20, was " + repetitions);
            }
            if (bows.size() > 6 || bows.stream().anyMatch(n -> n < 1 || n > 8)) {
                throw new IllegalArgumentException("bows to a note must be at most 6 numbers in 1..8, were " + bows);
            }
            if ((kind == Kind.BOWS) == bows.isEmpty()) {
                throw new IllegalArgumentException(
                        "bows to a note belong to a shift and to nothing else, were " + bows + " of " + kind);
            }
        }

        public Step(
                Kind kind,
                int from,
                int to,
                Bpm tempo,
                int repetitions,
                List<Group> groups,
                double seconds,
                int value) {
            this(kind, from, to, tempo, repetitions, groups, List.of(), Optional.empty(), seconds, value);
        }

        Step listening(Optional<Listen> other) {
            return new Step(kind, from, to, tempo, repetitions, groups, bows, other, seconds, value);
        }

        /** Whether nothing is played in it. */
        public boolean isSilent() {
            return kind == Kind.LOOK || kind == Kind.RECALL || kind == Kind.SET_FINGERS;
        }

        boolean joins() {
            return kind == Kind.JOIN || kind == Kind.JOIN_AS_PLAYED;
        }

        boolean isWhole() {
            return kind == Kind.WHOLE || kind == Kind.WHOLE_SLOW;
        }
    }

    /** What a ladder is made from. @param playedSeconds of the line as played at its tempos, repeats taken */
    public record Line(TimedView view, double playedSeconds) {

        public static Line of(TimedView view) {
            return new Line(view, view.timeline().seconds());
        }

        public Part part() {
            return view.part();
        }

        /** In force at the beginning of a measure. */
        Bpm tempo(int measure) {
            return view.bars().get(measure).tempo();
        }
    }

    /** @param minutes there are, more than none */
    public static Ladder of(Line line, List<HotSpot> spots, Wish wish, double minutes) {
        checked(minutes);
        Habit habit = wish.habit();
        int last = line.part().measures().size() - 1;
        List<Step> wanted = new ArrayList<>();
        wanted.add(StepTime.timed(line, Kind.LOOK, 0, last, line.tempo(0), 1, List.of(), 55));
        // Without a spot between them the two wholes are one.
        boolean oneRun = habit == Habit.WHOLE_SPOT_WHOLE && spots.isEmpty();
        if (habit == Habit.WHOLE_SPOT_WHOLE && !oneRun) {
            wanted.add(StepTime.timed(line, Kind.WHOLE_SLOW, 0, last, slower(line, 0, MIDDLE), 1, List.of(), 70));
        }
        if (habit == Habit.STRAIGHT_THROUGH) {
            wanted.add(StepTime.timed(line, Kind.WHOLE_SLOW, 0, last, slower(line, 0, SLOW), 1, List.of(), 65));
        }
        List<HotSpot> chosen = spots.stream().limit(MOST_SPOTS).toList();
        Set<Integer> isolated = chosen.stream()
                .filter(spot -> spot.recalls().isEmpty())
                .map(HotSpot::measure)
                .collect(Collectors.toSet());
        chosen.stream()
                .filter(spot -> spot.recalls().isEmpty()
                        || isolated.contains(spot.recalls().getAsInt()))
                .sorted(Comparator.comparingInt(HotSpot::measure))
                .forEach(spot -> wanted.addAll(steps(line, spot, wish)));
        if (!oneRun) {
            turns(line).forEach(wanted::add);
            wanted.add(StepTime.timed(line, Kind.WHOLE_SLOW, 0, last, slower(line, 0, MIDDLE), 1, List.of(), 60));
        }
        wanted.add(StepTime.timed(line, Kind.WHOLE, 0, last, line.tempo(0), 1, List.of(), 100));
        Map<Integer, Integer> recalls = new HashMap<>();
        chosen.forEach(spot -> spot.recalls().ifPresent(earlier -> recalls.put(spot.measure(), earlier)));
        return LadderFit.within(wanted, recalls, minutes * 60);
    }

    static void checked(double minutes) {
        if (!(minutes > 0) || minutes > 120) {
            throw new IllegalArgumentException("minutes must be more than 0 and at most 120, was " + minutes);
        }
    }

    /**
     * The tempos a step is taken through: clean goes one on, again goes one back. From its own to the line's, a tenth of
     * that at a time; of a silent step none.
     */
    public static List<Bpm> tempos(Line line, Step step) {
        if (step.isSilent()) {
            return List.of();
        }
        double aim = line.tempo(step.from()).value();
        double from = Math.min(step.tempo().value(), aim);
        List<Bpm> tempos = new ArrayList<>();
        for (double next = from; next < aim - aim * TEMPO_STEP / 2; next += aim * TEMPO_STEP) {
            tempos.add(new Bpm(Math.clamp(Math.round(next), 20, 400)));
        }
        tempos.add(line.tempo(step.from()));
        return List.copyOf(tempos);
    }

    /** Steps as a director put them, with the seconds they take; nothing is dropped. */
    public static Ladder ofSteps(Line line, List<Step> steps) {
        List<Step> timed = steps.stream()
                .map(s -> StepTime.timed(
                        line,
                        s.kind(),
                        s.from(),
                        s.to(),
                        s.tempo(),
                        s.repetitions(),
                        s.groups(),
                        s.bows(),
                        s.listen(),
                        s.value()))
                .toList();
        return new Ladder(timed, List.of(), LadderFit.sum(timed));
    }

    /** Where the way goes on elsewhere than at the next measure of the page, each once, in the order played. */
    private static List<Step> turns(Line line) {
        List<Integer> played = line.view().roadmap().map(Roadmap::indices).orElse(List.of());
        Set<List<Integer>> met = new LinkedHashSet<>();
        for (int i = 1; i < played.size(); i++) {
            if (played.get(i) != played.get(i - 1) + 1) {
                met.add(List.of(played.get(i - 1), played.get(i)));
            }
        }
        return met.stream()
                .map(turn -> StepTime.timed(
                        line,
                        Kind.JOIN_AS_PLAYED,
                        turn.getFirst(),
                        turn.getLast(),
                        slower(line, turn.getFirst(), MIDDLE),
                        2,
                        List.of(),
                        TURN_VALUE))
                .toList();
    }

    /** A whole number, as metronomes have them. */
    static Bpm slower(Line line, int measure, double by) {
        return new Bpm(Math.clamp(Math.round(line.tempo(measure).value() * by), 20, 400));
    }

    static List<Step> steps(Line line, HotSpot spot, Wish wish) {
        int m = spot.measure();
        if (spot.recalls().isPresent()) {
            return List.of(StepTime.timed(line, Kind.RECALL, m, m, line.tempo(m), 1, List.of(), 15));
        }
        Optional<Listen> listen = Listen.to(spot.reasons());
        List<Step> steps = new ArrayList<>();
        if (spot.reasons().contains(Reason.FALLING_SLUR)) {
            steps.add(StepTime.timed(
                    line, Kind.SET_FINGERS, m, m, slower(line, m, SLOW), 1, List.of(), 26 + spot.value()));
        }
        List<Group> groups = groups(line.part().measures().get(m), wish.grouping(), wish.groupSize());
        if (!groups.isEmpty()) {
            steps.add(StepTime.timed(line, Kind.GROUPS, m, m, slower(line, m, SLOW), 2, groups, 22 + spot.value()));
        }
        if (spot.reasons().contains(Reason.SHIFT)) {
            steps.add(StepTime.timed(
                    line,
                    Kind.BOWS,
                    m,
                    m,
                    slower(line, m, MIDDLE),
                    1,
                    List.of(),
                    BOWS,
                    Optional.empty(),
                    24 + spot.value()));
        }
        steps.add(StepTime.timed(line, Kind.ISOLATE, m, m, slower(line, m, SLOW), 3, List.of(), 30 + spot.value()));
        if (spot.value() >= WORTH_TWO_TEMPOS) {
            steps.add(
                    StepTime.timed(line, Kind.ISOLATE, m, m, slower(line, m, MIDDLE), 2, List.of(), 18 + spot.value()));
        }
        int from = Math.max(0, m - 1);
        int to = Math.min(line.part().measures().size() - 1, m + 1);
        steps.add(
                StepTime.timed(line, Kind.JOIN, from, to, slower(line, from, MIDDLE), 2, List.of(), 20 + spot.value()));
        return steps.stream().map(step -> step.listening(listen)).toList();
    }

    /** Groups of a few notes; none where the measure is short anyway. */
    static List<Group> groups(Measure measure, Grouping grouping, int size) {
        int notes = measure.notes().size();
        if (notes < size + BEYOND_A_GROUP) {
            return List.of();
        }
        List<Group> groups = new ArrayList<>();
        int step = grouping == Grouping.OVERLAPPING ? size - 1 : size;
        int from = 0;
        while (from < notes) {
            int to = Math.min(notes - 1, from + size - 1);
            groups.add(new Group(from, to));
            if (to == notes - 1) {
                break;
            }
            from += step;
        }
        return groups;
    }
}
