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
import vividroster.core.reading.TimedView.At;
import vividroster.core.rehearsal.HotSpots.HotSpot;

/**
 * The steps from slow fragments to the whole line at tempo, within the minutes there are. Source: the three habits of
 * rehearsing a line; seconds of a step are repetitions times beats by tempo, and a word between.
 *
 * @param steps in order
 * @param dropped what did not fit, the least valuable first
 * @param seconds of all steps together, never more than were asked for
 */
public record Ladder(List<Step> steps, List<Step> dropped, double seconds) {

    /** A word of the director between two steps. */
    private static final double TALK_SECONDS = 8;

    /** Key, meter, way and new things, named by the class. */
    private static final double LOOK_SECONDS = 25;

    private static final double SLOW = 0.6;
    private static final double MIDDLE = 0.8;
    private static final int MOST_SPOTS = 6;
    /** Of a join as played; a spot's own are worth more. */
    private static final int TURN_VALUE = 21;
    /** Rewarding enough for a second, faster turn alone. */
    private static final int WORTH_TWO_TEMPOS = 5;

    private static final int GROUP = 4;
    private static final int WORTH_GROUPING = 6;

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

    /** What is done. */
    public enum Kind {
        /** Key, meter, roadmap and new things, without playing. */
        LOOK,
        /** A few notes of the measure at a time. */
        GROUPS,
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
     * @param value decides what is dropped first
     */
    public record Step(
            Kind kind, int from, int to, Bpm tempo, int repetitions, List<Group> groups, double seconds, int value) {
        public Step {
            groups = List.copyOf(groups);
            if (repetitions < 1 || repetitions > 20) {
                throw new IllegalArgumentException("repetitions must be in 1..20, was " + repetitions);
            }
        }

        private boolean joins() {
            return kind == Kind.JOIN || kind == Kind.JOIN_AS_PLAYED;
        }

        private boolean isWhole() {
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
    public static Ladder of(Line line, List<HotSpot> spots, Habit habit, Grouping grouping, double minutes) {
        if (minutes <= 0 || minutes > 120) {
            throw new IllegalArgumentException("minutes must be more than 0 and at most 120, was " + minutes);
        }
        int last = line.part().measures().size() - 1;
        List<Step> wanted = new ArrayList<>();
        wanted.add(timed(line, Kind.LOOK, 0, last, line.tempo(0), 1, List.of(), 55));
        // Without a spot between them the two wholes are one.
        boolean oneRun = habit == Habit.WHOLE_SPOT_WHOLE && spots.isEmpty();
        if (habit == Habit.WHOLE_SPOT_WHOLE && !oneRun) {
            wanted.add(timed(line, Kind.WHOLE_SLOW, 0, last, slower(line, 0, MIDDLE), 1, List.of(), 70));
        }
        if (habit == Habit.STRAIGHT_THROUGH) {
            wanted.add(timed(line, Kind.WHOLE_SLOW, 0, last, slower(line, 0, SLOW), 1, List.of(), 65));
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
                .forEach(spot -> wanted.addAll(steps(line, spot, grouping)));
        if (!oneRun) {
            turns(line).forEach(wanted::add);
            wanted.add(timed(line, Kind.WHOLE_SLOW, 0, last, slower(line, 0, MIDDLE), 1, List.of(), 60));
        }
        wanted.add(timed(line, Kind.WHOLE, 0, last, line.tempo(0), 1, List.of(), 100));
        Map<Integer, Integer> recalls = new HashMap<>();
        chosen.forEach(spot -> spot.recalls().ifPresent(earlier -> recalls.put(spot.measure(), earlier)));
        return fitted(wanted, recalls, minutes * 60);
    }

    /** Steps as a director put them, with the seconds they take; nothing is dropped. */
    public static Ladder ofSteps(Line line, List<Step> steps) {
        List<Step> timed = steps.stream()
                .map(s -> timed(line, s.kind(), s.from(), s.to(), s.tempo(), s.repetitions(), s.groups(), s.value()))
                .toList();
        return new Ladder(timed, List.of(), sum(timed));
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
                .map(turn -> timed(
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
    private static Bpm slower(Line line, int measure, double by) {
        return new Bpm(Math.clamp(Math.round(line.tempo(measure).value() * by), 20, 400));
    }

    private static List<Step> steps(Line line, HotSpot spot, Grouping grouping) {
        int m = spot.measure();
        if (spot.recalls().isPresent()) {
            return List.of(timed(line, Kind.RECALL, m, m, line.tempo(m), 1, List.of(), 15));
        }
        List<Step> steps = new ArrayList<>();
        List<Group> groups = groups(line.part().measures().get(m), grouping);
        if (!groups.isEmpty()) {
            steps.add(timed(line, Kind.GROUPS, m, m, slower(line, m, SLOW), 2, groups, 22 + spot.value()));
        }
        steps.add(timed(line, Kind.ISOLATE, m, m, slower(line, m, SLOW), 3, List.of(), 30 + spot.value()));
        if (spot.value() >= WORTH_TWO_TEMPOS) {
            steps.add(timed(line, Kind.ISOLATE, m, m, slower(line, m, MIDDLE), 2, List.of(), 18 + spot.value()));
        }
        int from = Math.max(0, m - 1);
        int to = Math.min(line.part().measures().size() - 1, m + 1);
        steps.add(timed(line, Kind.JOIN, from, to, slower(line, from, MIDDLE), 2, List.of(), 20 + spot.value()));
        return steps;
    }

    /** Groups of a few notes; none where the measure is short anyway. */
    static List<Group> groups(Measure measure, Grouping grouping) {
        int notes = measure.notes().size();
        if (notes < WORTH_GROUPING) {
            return List.of();
        }
        List<Group> groups = new ArrayList<>();
        int step = grouping == Grouping.OVERLAPPING ? GROUP - 1 : GROUP;
        int from = 0;
        while (from < notes) {
            int to = Math.min(notes - 1, from + GROUP - 1);
            groups.add(new Group(from, to));
            if (to == notes - 1) {
                break;
            }
            from += step;
        }
        return groups;
    }

    private static Step timed(
            Line line, Kind kind, int from, int to, Bpm tempo, int repetitions, List<Group> groups, int value) {
        int last = line.part().measures().size() - 1;
        boolean anyOrder = kind == Kind.JOIN_AS_PLAYED;
        if (from < 0 || to < 0 || from > last || to > last || from > to && !anyOrder) {
            throw new IllegalArgumentException(
                    "a step's measures must be in 0.." + last + ", were " + from + " to " + to);
        }
        double asWritten = switch (kind) {
            case LOOK, RECALL -> 0;
            case WHOLE, WHOLE_SLOW -> line.playedSeconds();
            case GROUPS -> seconds(line.view().notes().get(from), groups);
            case JOIN_AS_PLAYED -> seconds(line, from) + seconds(line, to);
            case ISOLATE, JOIN ->
                line.view().notes().subList(from, to + 1).stream()
                        .flatMap(List::stream)
                        .mapToDouble(At::seconds)
                        .sum();
        };
        // All tempos of the stretch are slowed alike.
        double slowed = asWritten * line.tempo(from).value() / tempo.value();
        double talk = kind == Kind.LOOK ? LOOK_SECONDS : TALK_SECONDS;
        return new Step(kind, from, to, tempo, repetitions, groups, repetitions * slowed + talk, value);
    }

    private static double seconds(Line line, int measure) {
        return line.view().notes().get(measure).stream()
                .mapToDouble(At::seconds)
                .sum();
    }

    private static double seconds(List<At> measure, List<Group> groups) {
        double seconds = 0;
        for (Group group : groups) {
            if (group.from() < 0 || group.to() >= measure.size() || group.from() > group.to()) {
                throw new IllegalArgumentException("a group's notes must be in 0.." + (measure.size() - 1) + ", were "
                        + group.from() + " to " + group.to());
            }
            seconds += measure.subList(group.from(), group.to() + 1).stream()
                    .mapToDouble(At::seconds)
                    .sum();
        }
        return seconds;
    }

    /** @param recalls the measure isolated before, by the measure that only recalls it */
    private static Ladder fitted(List<Step> wanted, Map<Integer, Integer> recalls, double seconds) {
        List<Step> kept = new ArrayList<>(wanted);
        List<Step> dropped = new ArrayList<>();
        while (sum(kept) > seconds) {
            Step least = leastOf(kept);
            kept.remove(least);
            dropped.add(least);
            if (least.kind() == Kind.ISOLATE && isolations(kept, least.from()) == 0) {
                List<Step> idle = kept.stream()
                        .filter(s -> s.kind() == Kind.RECALL
                                && Integer.valueOf(least.from()).equals(recalls.get(s.from())))
                        .toList();
                kept.removeAll(idle);
                dropped.addAll(idle);
            }
        }
        return new Ladder(List.copyOf(kept), List.copyOf(dropped), sum(kept));
    }

    private static long isolations(List<Step> steps, int measure) {
        return steps.stream()
                .filter(s -> s.kind() == Kind.ISOLATE && s.from() == measure)
                .count();
    }

    /** The least valuable; but the last join stays while a fragment is left that it could join. */
    private static Step leastOf(List<Step> kept) {
        List<Step> joins = kept.stream().filter(Step::joins).toList();
        Optional<Step> least = kept.stream()
                .filter(s -> joins.size() != 1 || s != joins.getFirst())
                .filter(s -> joins.size() != 1 || !s.isWhole())
                .min(Comparator.comparingInt(Step::value));
        return least.orElseGet(
                () -> kept.stream().min(Comparator.comparingInt(Step::value)).orElseThrow());
    }

    private static double sum(List<Step> steps) {
        return steps.stream().mapToDouble(Step::seconds).sum();
    }
}
