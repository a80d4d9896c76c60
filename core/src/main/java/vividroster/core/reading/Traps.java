package vividroster.core.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vividroster.core.music.Beats;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Accidentals.Known;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.TimedView.Bar;

/** The places where the page misleads the reader of a part. Source: what directors hear forty times a year. */
public final class Traps {

    /** A run is at least so many notes one way before a skip in it is hidden. */
    private static final int RUN = 4;

    private static final int THIRD = 2;
    private static final Beats LONG = Beats.of(1);

    private Traps() {}

    /** One place; measures by index in the part, notes by index in the measure. */
    public sealed interface Trap {
        int measure();
    }

    /** The note is altered although nothing is printed before it. */
    public record StillAltered(int measure, int note, Pitch pitch) implements Trap {}

    /** A run that looks like a scale skips here, from the note before. */
    public record HiddenSkip(int measure, int note, Pitch from, Pitch to) implements Trap {}

    /** A note held two full measures or longer must be counted. @param last measure it is held into */
    public record MustBeCounted(int measure, int note, Beats length, int last) implements Trap {}

    /** The line never uses the form of a letter that the key signature gives there. @param measure where it stands first */
    public record NeverAsSigned(int measure, char letter, Pitch instead) implements Trap {}

    /** In the order of the part as it is read. */
    public static List<Trap> of(TimedView view) {
        List<Trap> traps = new ArrayList<>();
        traps.addAll(stillAltered(view));
        traps.addAll(hiddenSkips(view));
        traps.addAll(mustBeCounted(view));
        traps.addAll(neverAsSigned(view));
        traps.sort(Comparator.comparingInt(Trap::measure));
        return List.copyOf(traps);
    }

    private static List<Trap> stillAltered(TimedView view) {
        List<Trap> traps = new ArrayList<>();
        List<List<Known>> known = Accidentals.of(view);
        for (List<At> row : view.notes()) {
            for (At at : row) {
                if (known.get(at.measure()).get(at.index()) == Known.CARRIED) {
                    traps.add(new StillAltered(at.measure(), at.index(), pitch(at)));
                }
            }
        }
        return traps;
    }

    /** Steps one way, one skip among them, steps on the same way: the eye takes it for a scale. */
    private static List<Trap> hiddenSkips(TimedView view) {
        List<At> run = new ArrayList<>();
        List<Trap> traps = new ArrayList<>();
        for (List<At> row : view.notes()) {
            for (At at : row) {
                if (at.tiedIn()) {
                    continue;
                }
                // After a rest and after a long note the eye begins anew.
                if (at.isRest() || (!run.isEmpty() && run.getLast().held().compareTo(LONG) > 0)) {
                    traps.addAll(skipsIn(run));
                    run.clear();
                }
                if (at.isRest()) {
                    continue;
                }
                if (run.size() > 1
                        && direction(run.get(run.size() - 2), run.getLast()) != direction(run.getLast(), at)) {
                    traps.addAll(skipsIn(run));
                    At last = run.getLast();
                    run.clear();
                    run.add(last);
                }
                run.add(at);
            }
        }
        traps.addAll(skipsIn(run));
        return traps;
    }

    private static List<Trap> skipsIn(List<At> run) {
        List<Trap> skips = new ArrayList<>();
        for (int i = 1; i < run.size(); i++) {
            int steps = Math.abs(step(run.get(i)) - step(run.get(i - 1)));
            if (steps == 0 || steps > THIRD) {
                return List.of();
            }
            // At a turn the eye begins anew: a skip is hidden where steps the same way stand on both its sides.
            boolean amongSteps = i > 1 && i < run.size() - 1;
            if (steps == THIRD && !amongSteps) {
                return List.of();
            }
            if (steps == THIRD) {
                At at = run.get(i);
                skips.add(new HiddenSkip(at.measure(), at.index(), pitch(run.get(i - 1)), pitch(at)));
            }
        }
        boolean looksLikeAScale = run.size() > RUN && skips.size() == 1;
        return looksLikeAScale ? skips : List.of();
    }

    private static Pitch pitch(At at) {
        return at.note().pitch().orElseThrow();
    }

    private static int step(At at) {
        return pitch(at).step();
    }

    private static int direction(At from, At to) {
        return Integer.signum(step(to) - step(from));
    }

    private static List<Trap> mustBeCounted(TimedView view) {
        List<Trap> traps = new ArrayList<>();
        for (Bar bar : view.bars()) {
            Beats two = bar.full().times(2, 1);
            for (At at : view.notes().get(bar.index())) {
                if (at.isAttack() && at.held().compareTo(two) >= 0) {
                    traps.add(new MustBeCounted(at.measure(), at.index(), at.held(), at.lastMeasure()));
                }
            }
        }
        return traps;
    }

    /** Each letter that comes more than once, altered alike every time and never as the key in force there signs it. */
    private static List<Trap> neverAsSigned(TimedView view) {
        At[] first = new At['G' - 'A' + 1];
        int[] attacks = new int[first.length];
        boolean[] other = new boolean[first.length];
        for (List<At> row : view.notes()) {
            for (At at : row) {
                if (at.isRest()) {
                    continue;
                }
                Pitch pitch = pitch(at);
                int letter = pitch.letter() - 'A';
                first[letter] = first[letter] == null ? at : first[letter];
                attacks[letter] += at.isAttack() ? 1 : 0;
                other[letter] |= pitch.alter() != pitch(first[letter]).alter()
                        || pitch.alter() == view.bars().get(at.measure()).key().alterOf(pitch.letter());
            }
        }
        List<Trap> traps = new ArrayList<>();
        for (int letter = 0; letter < first.length; letter++) {
            if (attacks[letter] > 1 && !other[letter]) {
                traps.add(new NeverAsSigned(first[letter].measure(), (char) ('A' + letter), pitch(first[letter])));
            }
        }
        return traps;
    }
}
