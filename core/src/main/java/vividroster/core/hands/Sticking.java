package vividroster.core.hands;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividroster.core.music.Beats;
import vividroster.core.music.Signs;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.TimedView.Bar;

/**
 * Which hand takes which stroke. The right hand leads: it takes what falls on the even places of the pulse's smallest
 * parts, the left what lies between, so that a rhythm is taken alike wherever it stands; or the hands take turns from the
 * beginning of each strain. Source: the two schools of sticking.
 */
public final class Sticking {

    /** How strokes are shared. */
    public enum School {
        RIGHT_LEAD,
        ALTERNATE
    }

    /** Of a player. */
    public enum Hand {
        RIGHT("R"),
        LEFT("L");

        private final String letter;

        Hand(String letter) {
            this.letter = letter;
        }

        public String letter() {
            return letter;
        }
    }

    private Sticking() {}

    /** For every measure and every note of it; empty for rests and what sounds on. */
    public static List<List<Optional<Hand>>> of(TimedView view, School school) {
        List<List<Optional<Hand>>> all = new ArrayList<>();
        int strokes = 0;
        for (Bar bar : view.bars()) {
            strokes = strainBegins(view, bar.index()) ? 0 : strokes;
            List<At> row = view.notes().get(bar.index());
            List<Optional<Hand>> hands = new ArrayList<>(row.size());
            for (At at : row) {
                if (!at.isAttack()) {
                    hands.add(Optional.empty());
                    continue;
                }
                boolean right = school == School.ALTERNATE ? strokes % 2 == 0 : leads(bar, at, row);
                hands.add(Optional.of(right ? Hand.RIGHT : Hand.LEFT));
                strokes++;
            }
            all.add(hands);
        }
        return all;
    }

    private static boolean strainBegins(TimedView view, int index) {
        Signs here = view.part().measures().get(index).signs();
        boolean after =
                index > 0 && view.part().measures().get(index - 1).signs().closesRepeat();
        return index == 0 || here.forwardRepeat() || after;
    }

    /** Whether a stroke stands on an even place of its pulse; in compound time, of the measure. */
    private static boolean leads(Bar bar, At at, List<At> row) {
        Beats pulse = bar.meter().pulse();
        boolean compound = bar.meter().isCompound();
        // Where an eighth is the pulse nobody strikes all of them with one hand.
        int place = compound || pulse.ticks() < Beats.PER_BEAT
                ? at.beat().ticks()
                : at.beat().ticks() % pulse.ticks();
        int unit = smallest(pulse, at.beat().ticks() / pulse.ticks(), row, compound);
        return place / unit % 2 == 0;
    }

    /** Ticks of the smallest equal part of one pulse on which everything in it begins. */
    private static int smallest(Beats pulse, int which, List<At> row, boolean compound) {
        int[] parts = compound ? new int[] {3, 6, 12} : new int[] {1, 2, 3, 4, 6, 8, 12};
        for (int part : parts) {
            int unit = pulse.ticks() / part;
            boolean fits = row.stream()
                    .mapToInt(at -> at.beat().ticks())
                    .filter(ticks -> ticks / pulse.ticks() == which)
                    .allMatch(ticks -> ticks % pulse.ticks() % unit == 0);
            if (fits && pulse.ticks() % part == 0) {
                return unit;
            }
        }
        return 1;
    }
}
