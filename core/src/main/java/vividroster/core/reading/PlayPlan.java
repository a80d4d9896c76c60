package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.music.Beats;
import vividroster.core.reading.Roadmap.Played;
import vividroster.core.reading.TimedView.Bar;

/**
 * Where the metronome clicks, measure by measure of the played order, and how each place is counted in.
 *
 * @param places in the played order
 */
public record PlayPlan(List<Place> places) {

    /** @param seconds from the beginning of its place, before it for a count-in; strong on the first beat of a measure */
    public record Click(double seconds, boolean strong) {}

    /**
     * @param countInSeconds from the first click of the count-in to the place
     * @param countIn clicks before the place, counted from the first of them
     * @param clicks inside it, counted from its beginning
     */
    public record Place(double countInSeconds, List<Click> countIn, List<Click> clicks) {
        public Place {
            countIn = List.copyOf(countIn);
            clicks = List.copyOf(clicks);
        }
    }

    public PlayPlan {
        places = List.copyOf(places);
    }

    /** Empty where there is no way through. @param measures of count-in, 1 or 2; fermata to play, in 1..8 */
    public static PlayPlan of(TimedView view, int measures, double fermata) {
        List<Place> byMeasure = new ArrayList<>();
        for (Bar bar : view.bars()) {
            Beats countIn = Entry.countIn(view, bar.index(), measures);
            double beat = bar.tempo().secondsFor(1);
            List<Click> before = new ArrayList<>();
            Beats pulse = bar.meter().pulse();
            for (int tick = 0; tick < countIn.ticks(); tick += pulse.ticks()) {
                before.add(new Click(
                        new Beats(tick).value() * beat, tick % bar.full().ticks() == 0));
            }
            byMeasure.add(new Place(countIn.value() * beat, before, clicks(view, bar, fermata)));
        }
        return new PlayPlan(view.roadmap()
                .map(way -> way.played().stream()
                        .map(Played::index)
                        .map(byMeasure::get)
                        .toList())
                .orElse(List.of()));
    }

    /** On every pulse of the full measure that lies in this one. */
    private static List<Click> clicks(TimedView view, Bar bar, double fermata) {
        List<Click> clicks = new ArrayList<>();
        int pulse = bar.meter().pulse().ticks();
        int from = bar.begins().ticks();
        int first = (from + pulse - 1) / pulse * pulse;
        for (int tick = first; tick < from + bar.length().ticks(); tick += pulse) {
            double seconds = view.secondsTo(bar.index(), new Beats(tick - from), fermata);
            clicks.add(new Click(seconds, tick == 0));
        }
        return clicks;
    }
}
