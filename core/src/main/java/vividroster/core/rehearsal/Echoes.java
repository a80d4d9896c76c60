package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividroster.core.music.Note;
import vividroster.core.music.Pitch;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;

/** Measures that equal an earlier one, so that the class recalls instead of starting anew. */
public final class Echoes {

    private Echoes() {}

    /** How far one measure is like another. */
    public enum Likeness {
        SAME,
        SAME_BUT_SLURS,
        SAME_RHYTHM_OTHER_PLACE,
        SAME_RHYTHM
    }

    /** @param measure and earlier, by index in the part */
    public record Echo(int measure, int earlier, Likeness likeness) {}

    /** A shape has these attacks at least; fewer are like anything. Ours, to be tuned. */
    private static final int SHAPE = 3;
    /** More than a director would say. */
    private static final int WORTH_SAYING = 5;

    /**
     * The nearest likeness of every measure that has one, to the earliest measure. Silent measures, and those of one
     * note or two, have none.
     */
    public static List<Echo> within(TimedView view) {
        return within(view, List.of(Likeness.values()), SHAPE);
    }

    /** The five at most that are worth saying, the nearest likeness and the most notes first; in the order of the page. */
    public static List<Echo> worthSaying(TimedView view) {
        return within(view).stream()
                .sorted(Comparator.comparing(Echo::likeness)
                        .thenComparing(e -> -attacks(view.notes().get(e.measure()))))
                .limit(WORTH_SAYING)
                .sorted(Comparator.comparingInt(Echo::measure))
                .toList();
    }

    private static int attacks(List<At> measure) {
        return (int) measure.stream().filter(At::isAttack).count();
    }

    /** Measures with the very notes of an earlier one, whatever its slurs and marks. */
    public static List<Echo> recalled(TimedView view) {
        return within(view, List.of(Likeness.SAME_BUT_SLURS), 1);
    }

    private static List<Echo> within(TimedView view, List<Likeness> asked, int fewest) {
        List<Map<Print, Integer>> seen = new ArrayList<>();
        for (int i = 0; i < Likeness.values().length; i++) {
            seen.add(new HashMap<>());
        }
        List<Echo> echoes = new ArrayList<>();
        for (int m = 0; m < view.bars().size(); m++) {
            List<At> measure = view.notes().get(m);
            if (attacks(measure) < fewest) {
                continue;
            }
            Optional<Echo> echo = Optional.empty();
            for (Likeness likeness : asked) {
                Print print = print(measure, likeness);
                Integer earlier = seen.get(likeness.ordinal()).putIfAbsent(print, m);
                if (earlier != null && echo.isEmpty()) {
                    echo = Optional.of(new Echo(m, earlier, likeness));
                }
            }
            echo.ifPresent(echoes::add);
        }
        return List.copyOf(echoes);
    }

    /** What two measures must share to be so far alike, as numbers. */
    record Print(int[] numbers) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Print print && Arrays.equals(numbers, print.numbers);
        }

        @Override
        public int hashCode() {
            return Arrays.hashCode(numbers);
        }
    }

    /** Of its rhythm alone. */
    static Print rhythm(List<At> measure) {
        return print(measure, Likeness.SAME_RHYTHM);
    }

    private static final int REST = Integer.MIN_VALUE;

    private static Print print(List<At> measure, Likeness likeness) {
        int[] print = new int[5 * measure.size()];
        int at = 0;
        int first = REST;
        for (At one : measure) {
            Note note = one.note();
            print[at++] = note.length().ticks();
            print[at++] = (note.tied() ? 1 : 0) + (one.tiedIn() ? 2 : 0);
            if (note.isRest()) {
                print[at++] = REST;
                continue;
            }
            Pitch pitch = note.pitch().orElseThrow();
            first = first == REST ? pitch.step() : first;
            print[at++] = switch (likeness) {
                case SAME, SAME_BUT_SLURS -> 8 * pitch.step() + pitch.alter();
                case SAME_RHYTHM_OTHER_PLACE -> pitch.step() - first;
                case SAME_RHYTHM -> 0;
            };
            if (likeness == Likeness.SAME) {
                print[at++] = 100 * note.slurs().begin() + note.slurs().end();
                print[at++] =
                        note.marks().stream().mapToInt(m -> 1 << m.ordinal()).sum();
            }
        }
        return new Print(Arrays.copyOf(print, at));
    }
}
