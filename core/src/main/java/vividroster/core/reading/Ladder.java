package vividroster.core.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vividroster.core.music.Bpm;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.reading.HotSpots.HotSpot;

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

    private static final double SLOW = 0.6;
    private static final double MIDDLE = 0.8;
    private static final int MOST_SPOTS = 6;

    public enum Habit {
        SPOTS_FIRST,
        WHOLE_SPOT_WHOLE,
        STRAIGHT_THROUGH
    }

    /** What is done. */
    public enum Kind {
        /** The measure alone, slowly. */
        ISOLATE,
        /** The measure equals an earlier one: said, not started anew. */
        RECALL,
        /** With the measure before and the one after. */
        JOIN,
        /** The line slowly. */
        WHOLE_SLOW,
        /** The line at tempo. */
        WHOLE
    }

    /** @param from and to, both included, by index in the part; value decides what is dropped first */
    public record Step(Kind kind, int from, int to, Bpm tempo, int repetitions, double seconds, int value) {}

    /** @param minutes there are, more than none */
    public static Ladder of(Part part, List<HotSpot> spots, double totalBeats, Bpm tempo, Habit habit, double minutes) {
        if (minutes <= 0 || minutes > 120) {
            throw new IllegalArgumentException("minutes must be more than 0 and at most 120, was " + minutes);
        }
        List<Step> wanted = new ArrayList<>();
        Step slow = whole(Kind.WHOLE_SLOW, part, totalBeats, slower(tempo, MIDDLE), 60);
        Step last = whole(Kind.WHOLE, part, totalBeats, tempo, 100);
        if (habit == Habit.WHOLE_SPOT_WHOLE) {
            wanted.add(whole(Kind.WHOLE_SLOW, part, totalBeats, slower(tempo, MIDDLE), 70));
        }
        List<HotSpot> chosen = spots.stream().limit(MOST_SPOTS).toList();
        if (habit == Habit.STRAIGHT_THROUGH) {
            wanted.add(whole(Kind.WHOLE_SLOW, part, totalBeats, slower(tempo, SLOW), 65));
            chosen = chosen.stream()
                    .sorted(Comparator.comparingInt(HotSpot::measure))
                    .toList();
        }
        for (HotSpot spot : chosen) {
            wanted.addAll(steps(part, spot, tempo));
        }
        wanted.add(slow);
        wanted.add(last);
        return fitted(wanted, minutes * 60);
    }

    private static Bpm slower(Bpm tempo, double by) {
        return new Bpm((int) Math.clamp(Math.round(tempo.value() * by), 20, 400));
    }

    private static Step whole(Kind kind, Part part, double totalBeats, Bpm tempo, int value) {
        return new Step(
                kind, 0, part.measures().size() - 1, tempo, 1, tempo.secondsFor(totalBeats) + TALK_SECONDS, value);
    }

    private static List<Step> steps(Part part, HotSpot spot, Bpm tempo) {
        int m = spot.measure();
        if (spot.recalls().isPresent()) {
            return List.of(new Step(Kind.RECALL, m, m, tempo, 1, TALK_SECONDS, 15));
        }
        int from = Math.max(0, m - 1);
        int to = Math.min(part.measures().size() - 1, m + 1);
        return List.of(
                step(Kind.ISOLATE, part, m, m, slower(tempo, SLOW), 3, 30 + spot.value()),
                step(Kind.JOIN, part, from, to, slower(tempo, MIDDLE), 2, 20 + spot.value()));
    }

    private static Step step(Kind kind, Part part, int from, int to, Bpm tempo, int repetitions, int value) {
        double beats = part.measures().subList(from, to + 1).stream()
                .map(Measure::length)
                .mapToDouble(b -> b.value())
                .sum();
        return new Step(
                kind, from, to, tempo, repetitions, repetitions * tempo.secondsFor(beats) + TALK_SECONDS, value);
    }

    private static Ladder fitted(List<Step> wanted, double seconds) {
        List<Step> kept = new ArrayList<>(wanted);
        List<Step> dropped = new ArrayList<>();
        while (sum(kept) > seconds) {
            Step least = kept.stream().min(Comparator.comparingInt(Step::value)).orElseThrow();
            kept.remove(least);
            dropped.add(least);
        }
        return new Ladder(List.copyOf(kept), List.copyOf(dropped), sum(kept));
    }

    private static double sum(List<Step> steps) {
        return steps.stream().mapToDouble(Step::seconds).sum();
    }
}
