package vividroster.core.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import vividroster.core.music.Beats;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Signs;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.TimedView.Bar;

/**
 * Where a line takes breath by its own shape: after a breath mark, a rest, a long note that ends a measure, and where a
 * strain ends. Neither a tie nor a slur is ever cut.
 */
public final class Phrases {

    /** A rest of a whole pulse is heard as an end; a shorter one is articulation. Ours, to be tuned. */
    private static final double REST_IN_PULSES = 1;
    /** Times the usual note of the line. Ours, to be tuned. */
    private static final int LONG = 2;
    /** A long note ends a phrase that has these at least: attacks, full measures, beats. Ours, to be tuned. */
    private static final int FEWEST_ATTACKS = 3;

    private static final int FEWEST_MEASURES = 2;
    private static final int FEWEST_BEATS = 6;

    private Phrases() {}

    /** Every note and rest of the page in its order, phrase by phrase. */
    public static List<List<At>> of(TimedView view) {
        List<At> all = new ArrayList<>();
        view.notes().forEach(all::addAll);
        int usual = usual(all);
        List<List<At>> phrases = new ArrayList<>();
        int from = 0;
        int attacks = 0;
        int ticks = 0;
        for (int i = 0; i < all.size(); i++) {
            At here = all.get(i);
            attacks += here.isAttack() ? 1 : 0;
            ticks += here.note().length().ticks();
            boolean last = i == all.size() - 1;
            if (last || ends(view, here, all.get(i + 1), new Sofar(attacks, ticks), usual)) {
                phrases.add(all.subList(from, i + 1));
                from = i + 1;
                attacks = 0;
                ticks = 0;
            }
        }
        return phrases;
    }

    /** What a phrase has had, this note included. */
    private record Sofar(int attacks, int ticks) {

        boolean isWhole(Bar bar) {
            return attacks >= FEWEST_ATTACKS
                    && ticks >= FEWEST_BEATS * Beats.PER_BEAT
                    && ticks >= FEWEST_MEASURES * bar.full().ticks();
        }
    }

    private static boolean ends(TimedView view, At here, At next, Sofar sofar, int usual) {
        if (next.tiedIn() || next.slurredIn() || sofar.attacks() == 0) {
            return false;
        }
        if (here.note().marks().contains(Note.Mark.BREATH) || strainEnds(view, here, next)) {
            return true;
        }
        if (here.isRest()) {
            return !next.isRest()
                    && here.note().length().value()
                            >= REST_IN_PULSES
                                    * view.bars()
                                            .get(here.measure())
                                            .meter()
                                            .pulse()
                                            .value();
        }
        return !next.isRest()
                && sofar.isWhole(view.bars().get(here.measure()))
                && soundingFor(view, here) >= (long) LONG * usual
                && endsMeasure(view, here);
    }

    /** In ticks, with what was tied on before it. */
    private static int soundingFor(TimedView view, At here) {
        int beats = here.note().length().ticks();
        if (!here.tiedIn()) {
            return beats;
        }
        List<At> row = view.notes().get(here.measure());
        At before = here.index() > 0 ? row.get(here.index() - 1) : view.lastBefore(here.measure());
        return before == null || before.measure() > here.measure() ? beats : beats + soundingFor(view, before);
    }

    /** Of its full measure, or of the short one that leaves room for a pick-up. */
    private static boolean endsMeasure(TimedView view, At here) {
        Bar bar = view.bars().get(here.measure());
        Beats end = here.beat().plus(here.note().length());
        Bar first = view.bars().getFirst();
        Beats pickUp = view.part().hasPickUp() ? first.length() : Beats.ZERO;
        return end.equals(bar.full()) || end.plus(pickUp).equals(bar.full());
    }

    private static boolean strainEnds(TimedView view, At here, At next) {
        if (here.measure() == next.measure()) {
            return false;
        }
        List<Measure> measures = view.part().measures();
        Signs ends = measures.get(here.measure()).signs();
        Signs begins = measures.get(next.measure()).signs();
        return ends.closesRepeat()
                || ends.fine()
                || ends.jump().isPresent()
                || ends.toCoda().isPresent()
                || begins.forwardRepeat()
                || begins.coda().isPresent();
    }

    /** Ticks of the note in the middle of all by length, ties taken together. */
    private static int usual(List<At> all) {
        int[] lengths = new int[all.size()];
        int attacks = 0;
        for (At at : all) {
            if (at.isAttack()) {
                lengths[attacks++] = at.held().ticks();
            }
        }
        Arrays.sort(lengths, 0, attacks);
        return attacks == 0 ? Beats.PER_BEAT : lengths[(attacks - 1) / 2];
    }
}
