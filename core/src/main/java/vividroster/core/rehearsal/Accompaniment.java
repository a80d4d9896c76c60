package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Signs;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;
import vividroster.core.rehearsal.Echoes.Print;

/**
 * What sounds under a line, strain by strain, so that who plays the tune knows what to listen for; and measures of the
 * tune that are alike but lie over something else.
 *
 * @param strains in the order of the page
 * @param toldApart in the order of the page
 */
public record Accompaniment(List<Below> strains, List<ToldApart> toldApart) {

    /** More notes than these are not named one by one. */
    private static final int MOST_NAMED = 8;

    public Accompaniment {
        strains = List.copyOf(strains);
        toldApart = List.copyOf(toldApart);
    }

    /** How it goes under the tune. */
    public enum Motion {
        /** Nothing: the tune is alone. */
        SILENT,
        /** Notes of two beats and longer. */
        HELD,
        /** About one to a beat. */
        WITH_THE_BEAT,
        /** Quicker than the beat. */
        MOVING
    }

    /**
     * @param from and to measures, both included, by index
     * @param notes it goes through, at concert pitch, each named once while it stays; the first eight
     */
    public record Below(int from, int to, Motion motion, List<Pitch> notes) {}

    /** @param measure and earlier are alike in the tune and not below it, by index */
    public record ToldApart(int measure, int earlier) {}

    /** @param under as long as the tune, measure by measure */
    public static Accompaniment of(TimedView tune, TimedView under) {
        List<Below> strains = new ArrayList<>();
        int from = 0;
        int last = tune.bars().size() - 1;
        for (int m = 0; m <= last; m++) {
            if (m == last || endsStrain(tune.part(), m)) {
                strains.add(below(under, from, m));
                from = m + 1;
            }
        }
        List<ToldApart> apart = Echoes.recalled(tune).stream()
                .filter(e -> !print(under, e.measure()).equals(print(under, e.earlier())))
                .map(e -> new ToldApart(e.measure(), e.earlier()))
                .toList();
        return new Accompaniment(strains, apart);
    }

    private static boolean endsStrain(Part part, int measure) {
        Signs here = part.measures().get(measure).signs();
        Signs next = part.measures().get(measure + 1).signs();
        return here.closesRepeat()
                || here.fine()
                || here.jump().isPresent()
                || next.forwardRepeat()
                || next.segno().isPresent()
                || next.coda().isPresent();
    }

    private static Below below(TimedView under, int from, int to) {
        List<At> attacks = under.notes().subList(from, to + 1).stream()
                .flatMap(List::stream)
                .filter(At::isAttack)
                .toList();
        List<Pitch> notes = new ArrayList<>();
        for (At at : attacks) {
            Pitch pitch = at.note().pitch().orElseThrow();
            boolean same = !notes.isEmpty() && notes.getLast().midi() == pitch.midi();
            if (!same && notes.size() < MOST_NAMED) {
                notes.add(pitch);
            }
        }
        return new Below(from, to, motion(under, attacks), List.copyOf(notes));
    }

    /** By the note in the middle of all by length, against the beat of its measure. */
    private static Motion motion(TimedView under, List<At> attacks) {
        if (attacks.isEmpty()) {
            return Motion.SILENT;
        }
        double[] beats = attacks.stream()
                .mapToDouble(at -> (double) at.held().ticks()
                        / under.bars().get(at.measure()).meter().pulse().ticks())
                .sorted()
                .toArray();
        double middle = beats[beats.length / 2];
        return middle >= 2 ? Motion.HELD : middle < 1 ? Motion.MOVING : Motion.WITH_THE_BEAT;
    }

    /** Pitches and lengths, ties followed. */
    private static Print print(TimedView view, int measure) {
        return new Print(view.notes().get(measure).stream()
                .flatMapToInt(at -> Arrays.stream(new int[] {
                    at.note().pitch().map(Pitch::midi).orElse(-1),
                    at.note().length().ticks(),
                    at.tiedIn() ? 1 : 0
                }))
                .toArray());
    }
}
