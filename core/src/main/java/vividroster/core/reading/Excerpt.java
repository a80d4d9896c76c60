package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividroster.core.music.Part;
import vividroster.core.reading.Roadmap.Played;

/**
 * A stretch of a line, from one measure to another in the order they are really played: a jump or a repeat between them
 * is taken.
 *
 * @param from and {@code to}, both included, as measures are numbered for people; {@code to} may stand before
 *     {@code from} on the page where a jump leads back
 * @param repeats whether it goes on through every repeat, from the first time {@code from} is played to the last time
 *     {@code to} is; without them it is the shortest way from one to the other, the first of such
 */
public record Excerpt(int from, int to, boolean repeats) {

    public Excerpt {
        if (from < 0 || to < 0) {
            throw new IllegalArgumentException("from and to must be at least 0, were " + from + " and " + to);
        }
    }

    /** Why a line has no such stretch. */
    public sealed interface Fault {}

    /** @param first and {@code last} number of the line's measures */
    public record NoSuchMeasure(int measure, int first, int last) implements Fault {}

    /** {@code to} is never played after {@code from}. */
    public record NeverAfter() implements Fault {}

    /** The line's own signs lead nowhere. */
    public record NoWay() implements Fault {}

    /**
     * Where it lies in the played order.
     *
     * @param first and {@code last} place in the roadmap, from 0, both included
     */
    public record Span(int first, int last) {}

    /** Either the stretch or why there is none. */
    public record Found(Optional<Span> span, Optional<Fault> fault) {

        private static Found at(int first, int last) {
            return new Found(Optional.of(new Span(first, last)), Optional.empty());
        }

        private static Found not(Fault fault) {
            return new Found(Optional.empty(), Optional.of(fault));
        }
    }

    public Found in(TimedView view, Numbering numbering) {
        Part part = view.part();
        int first = numbering.of(part, 0);
        int last = numbering.of(part, part.measures().size() - 1);
        for (int measure : List.of(from, to)) {
            if (measure < first || measure > last) {
                return Found.not(new NoSuchMeasure(measure, first, last));
            }
        }
        if (view.roadmap().isEmpty()) {
            return Found.not(new NoWay());
        }
        List<Played> way = view.roadmap().orElseThrow().played();
        List<Integer> starts = places(part, way, numbering, from, true);
        List<Integer> ends = places(part, way, numbering, to, false);
        if (repeats) {
            return starts.isEmpty() || ends.isEmpty() || ends.getLast() < starts.getFirst()
                    ? Found.not(new NeverAfter())
                    : Found.at(starts.getFirst(), ends.getLast());
        }
        Span shortest = null;
        for (int end : ends) {
            for (int start : starts) {
                if (start <= end && (shortest == null || end - start < shortest.last() - shortest.first())) {
                    shortest = new Span(start, end);
                }
            }
        }
        return shortest == null ? Found.not(new NeverAfter()) : Found.at(shortest.first(), shortest.last());
    }

    /** Where a measure is entered, or left, in the played order; the halves of a split one are one measure. */
    private static List<Integer> places(Part part, List<Played> way, Numbering numbering, int number, boolean entered) {
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < way.size(); i++) {
            if (numbering.of(part, way.get(i).index()) != number) {
                continue;
            }
            int beside = entered ? i - 1 : i + 1;
            boolean halfBeside = beside >= 0
                    && beside < way.size()
                    && way.get(beside).index() == way.get(i).index() + (entered ? -1 : 1)
                    && numbering.of(part, way.get(beside).index()) == number;
            if (!halfBeside) {
                places.add(i);
            }
        }
        return places;
    }

    /** Numbers of the measures played, in order; the halves of a split one are one. */
    public static List<Integer> measures(TimedView view, Span span, Numbering numbering) {
        List<Played> way = view.roadmap().orElseThrow().played();
        List<Integer> numbers = new ArrayList<>();
        for (int i = span.first(); i <= span.last(); i++) {
            int index = way.get(i).index();
            int number = numbering.of(view.part(), index);
            boolean secondHalf = i > span.first()
                    && way.get(i - 1).index() == index - 1
                    && numbering.of(view.part(), index - 1) == number;
            if (!secondHalf) {
                numbers.add(number);
            }
        }
        return numbers;
    }

    /** Seconds of a stretch at the line's own tempos, fermatas counted as the view says. */
    public static double seconds(TimedView view, Span span) {
        Timeline timeline = view.timeline();
        double end = span.last() + 1 < timeline.begins().size()
                ? timeline.begins().get(span.last() + 1)
                : timeline.seconds();
        return end - timeline.begins().get(span.first());
    }
}
