package vividroster.core.testing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vividroster.core.reading.Excerpt.Span;
import vividroster.core.reading.Phrases;
import vividroster.core.reading.Roadmap.Played;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;

/**
 * The stages in which a test is rehearsed: the opening, the first half, the join of both halves, the whole. Source: how
 * directors rehearse a playing test. Halves are cut where a phrase ends, if one does near the middle.
 */
public final class TestStages {

    /** A phrase end counts as the middle within this share of the passage either way. Ours, to be tuned. */
    private static final double NEAR_MIDDLE = 0.25;
    /** Measures of the join on each side of the middle. Ours, to be tuned. */
    private static final int JOIN = 2;

    private static final int DAYS = 7;

    private TestStages() {}

    public enum Stage {
        OPENING,
        FIRST_HALF,
        JOIN,
        WHOLE
    }

    /** @param first and {@code last} measure, places in the roadmap, both included */
    public record Passage(Stage stage, int first, int last) {}

    /**
     * Stages that are something of their own: a passage of one measure is the whole alone. In order.
     *
     * @param span of the roadmap that is played; the view has a way through
     */
    public static List<Passage> of(TimedView view, Span span) {
        int measures = span.last() - span.first() + 1;
        List<Passage> stages = new ArrayList<>();
        if (measures > 1) {
            Set<Integer> ends = phraseEnds(view, span);
            int middle = middle(span, ends);
            int opening = ends.stream()
                    .filter(end -> end < middle)
                    .findFirst()
                    .orElse(span.first() + Math.max(0, (middle - span.first() + 1) / 2 - 1));
            if (opening < middle) {
                stages.add(new Passage(Stage.OPENING, span.first(), opening));
            }
            stages.add(new Passage(Stage.FIRST_HALF, span.first(), middle));
            int from = Math.max(span.first(), middle - JOIN + 1);
            int to = Math.min(span.last(), middle + JOIN);
            if (from > span.first() || to < span.last()) {
                stages.add(new Passage(Stage.JOIN, from, to));
            }
        }
        stages.add(new Passage(Stage.WHOLE, span.first(), span.last()));
        return stages;
    }

    /** The last measure of the first half: the phrase end nearest to the middle, else the middle. */
    private static int middle(Span span, Set<Integer> ends) {
        int measures = span.last() - span.first() + 1;
        int half = span.first() + measures / 2 - 1;
        return ends.stream()
                .filter(end -> Math.abs(end - half) <= measures * NEAR_MIDDLE)
                .min(Comparator.comparingInt(end -> Math.abs(end - half)))
                .orElse(half);
    }

    /** Places in the roadmap with whose measure a phrase ends, within the span, in order. */
    private static Set<Integer> phraseEnds(TimedView view, Span span) {
        Set<Integer> measures = new LinkedHashSet<>();
        for (List<At> phrase : Phrases.of(view)) {
            At last = phrase.getLast();
            if (last.index() == view.notes().get(last.measure()).size() - 1) {
                measures.add(last.measure());
            }
        }
        Set<Integer> ends = new LinkedHashSet<>();
        List<Played> way = view.roadmap().orElseThrow().played();
        for (int i = span.first(); i < span.last(); i++) {
            if (measures.contains(way.get(i).index())) {
                ends.add(i);
            }
        }
        return ends;
    }

    /**
     * Which stages each week rehearses: the last week the last stage; where there are more weeks than stages the first
     * weeks have none, where there are fewer the earlier ones share a week.
     *
     * @param stages at least one
     * @param weeks from the one it is set in to the one it is due in, at least one
     * @return by week from 0, those with a stage only, in order
     */
    public static <T> Map<Integer, List<T>> byWeek(List<T> stages, int weeks) {
        if (stages.isEmpty() || weeks < 1) {
            throw new IllegalArgumentException(
                    "stages and weeks must be at least 1, were " + stages.size() + " and " + weeks);
        }
        Map<Integer, List<T>> byWeek = new LinkedHashMap<>();
        int spare = Math.max(0, weeks - stages.size());
        int used = weeks - spare;
        for (int i = 0; i < stages.size(); i++) {
            // Counted from the end, so that the last week is never left with an early stage.
            int fromEnd = (stages.size() - 1 - i) * used / stages.size();
            byWeek.computeIfAbsent(spare + used - 1 - fromEnd, week -> new ArrayList<>())
                    .add(stages.get(i));
        }
        return byWeek;
    }

    /**
     * What one week rehearses of a test.
     *
     * @param mondays of the teaching weeks, in order
     * @param setOn and {@code dueOn} of the test's order
     * @param monday of the week asked about
     * @return none in a week without teaching, before it is set and after it is due
     */
    public static <T> List<T> inWeek(
            List<T> stages, List<LocalDate> mondays, LocalDate setOn, LocalDate dueOn, LocalDate monday) {
        List<LocalDate> weeks = mondays.stream()
                .filter(week -> !week.isAfter(dueOn) && week.plusDays(DAYS).isAfter(setOn))
                .toList();
        int at = weeks.indexOf(monday);
        return at < 0 || stages.isEmpty()
                ? List.of()
                : byWeek(stages, weeks.size()).getOrDefault(at, List.of());
    }
}
