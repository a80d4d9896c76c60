package vividroster.core.hands;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;

/**
 * Which way the bow goes. Down on the first beat of a measure; a pick-up or an entry after a rest takes the bow that
 * brings the next first beat down; else the bows take turns, a slur being one. Where that does not come out, the bow is
 * lifted and taken again at a rest, or two single notes before the first beat go in one bow; where neither can be, the
 * first beat is taken up. What is printed wins. Source: the usual rules of bowing, as string teachers give them.
 *
 * @param strokes for every measure and every note of it; present where a bow begins
 * @param clashes where a printed mark and the way the bow comes, or the rule, do not agree; in the order of the page
 */
public record Bowing(List<List<Optional<Stroke>>> strokes, List<Clash> clashes) {

    /** Of the bow. */
    public enum Bow {
        DOWN,
        UP;

        public Bow other() {
            return this == DOWN ? UP : DOWN;
        }
    }

    /** How a stroke follows the one before. */
    public enum Follows {
        TURNING,
        /** In the same direction after a rest: lifted, taken again. */
        RETAKEN,
        /** In the same direction with the note before, stopped between. */
        SAME_BOW
    }

    /** @param printed whether a mark says it */
    public record Stroke(Bow bow, Follows follows, boolean printed) {}

    /** What does not agree. */
    public enum Disagreement {
        /** Two printed marks, or a printed mark and the way the bow comes, with neither rest nor pair between. */
        NO_TIME_TO_LIFT,
        /** A first beat is printed up, where the rule has it down. */
        FIRST_BEAT_PRINTED_UP,
        /** Nothing can be done: a first beat comes up. */
        FIRST_BEAT_COMES_UP,
        /** A mark under a slur, where the bow cannot turn. */
        UNDER_SLUR,
        /** Two marks at one note. */
        BOTH_PRINTED
    }

    /** @param measure by index in the part; note in the measure, rests counted */
    public record Clash(int measure, int note, Disagreement what) {}

    public Bowing {
        strokes = List.copyOf(strokes);
        clashes = List.copyOf(clashes);
    }

    /** One bow on its way to be decided. */
    private static final class Pull {
        private final At at;
        private final boolean single;
        private final boolean afterRest;
        private final Bow printed;
        private Bow bow;
        private Follows follows = Follows.TURNING;

        private Pull(At at, boolean single, boolean afterRest, Bow printed) {
            this.at = at;
            this.single = single;
            this.afterRest = afterRest;
            this.printed = printed;
        }

        private boolean onFirstBeat() {
            return at.beat().ticks() == 0;
        }

        /** Whether its direction is wanted, by print or by rule. */
        private boolean wanted() {
            return printed != null || onFirstBeat();
        }

        private Bow wants() {
            return printed != null ? printed : Bow.DOWN;
        }
    }

    public static Bowing of(TimedView view) {
        List<Clash> clashes = new ArrayList<>();
        List<Pull> pulls = pulls(view, clashes);
        int anchor = -1;
        for (int next = 0; next <= pulls.size(); next++) {
            if (next == pulls.size() || pulls.get(next).wanted()) {
                between(pulls, anchor, next, clashes);
                anchor = next;
            }
        }
        for (Pull pull : pulls) {
            if (pull.printed == Bow.UP && pull.onFirstBeat()) {
                clashes.add(new Clash(pull.at.measure(), pull.at.index(), Disagreement.FIRST_BEAT_PRINTED_UP));
            }
        }
        clashes.sort(Comparator.comparingInt(Clash::measure).thenComparingInt(Clash::note));
        return new Bowing(strokes(view, pulls), clashes);
    }

    /** The bows of the page; what is plucked has none. */
    private static List<Pull> pulls(TimedView view, List<Clash> clashes) {
        List<Pull> pulls = new ArrayList<>();
        boolean rest = true;
        List<At> all = view.notes().stream().flatMap(List::stream).toList();
        for (int i = 0; i < all.size(); i++) {
            At at = all.get(i);
            boolean plucked = at.note().marks().contains(Mark.PIZZICATO);
            if (at.isRest() || plucked) {
                rest = true;
                continue;
            }
            Bow printed = printed(at, clashes);
            if (at.tiedIn() || at.slurredIn() && !rest) {
                if (printed != null && !at.tiedIn()) {
                    clashes.add(new Clash(at.measure(), at.index(), Disagreement.UNDER_SLUR));
                }
                continue;
            }
            boolean single = i + 1 >= all.size() || !all.get(i + 1).slurredIn();
            pulls.add(new Pull(at, single, rest, printed));
            rest = false;
        }
        return pulls;
    }

    private static Bow printed(At at, List<Clash> clashes) {
        boolean down = at.note().marks().contains(Mark.DOWN_BOW);
        boolean up = at.note().marks().contains(Mark.UP_BOW);
        if (down && up) {
            clashes.add(new Clash(at.measure(), at.index(), Disagreement.BOTH_PRINTED));
            return null;
        }
        return down ? Bow.DOWN : up ? Bow.UP : null;
    }

    /**
     * Decides what lies between two bows whose direction is wanted, and the second of them.
     *
     * @param from -1 where nothing was before; to the number of bows where nothing comes after
     */
    private static void between(List<Pull> pulls, int from, int to, List<Clash> clashes) {
        boolean ends = to == pulls.size();
        int lastOne = ends ? to - 1 : to;
        // After the end a first beat would follow.
        Bow target = ends ? Bow.DOWN : pulls.get(to).wants();
        int rest = from + 1;
        while (rest <= lastOne && !pulls.get(rest).afterRest) {
            rest++;
        }
        boolean rests = rest <= lastOne;
        // Before the first rest the bows go on from the one before, after it they lead to the one wanted.
        for (int i = from + 1; i < Math.min(rest, to); i++) {
            pulls.get(i).bow = pulls.get(i - 1).bow.other();
        }
        for (int i = to - 1; rests && i >= rest; i--) {
            pulls.get(i).bow =
                    i == to - 1 ? target.other() : pulls.get(i + 1).bow.other();
        }
        if (!ends) {
            pulls.get(to).bow = target;
        }
        if (rests) {
            for (int i = Math.max(rest, 1); i <= lastOne; i++) {
                if (pulls.get(i).afterRest && pulls.get(i).bow == pulls.get(i - 1).bow) {
                    pulls.get(i).follows = Follows.RETAKEN;
                }
            }
        } else if (!ends && pulls.get(to - 1).bow == target && !paired(pulls, from, to)) {
            comesWrong(pulls.get(to - 1), pulls.get(to), clashes);
        }
    }

    private static void comesWrong(Pull before, Pull here, List<Clash> clashes) {
        if (here.printed == null) {
            here.bow = here.bow.other();
            clashes.add(new Clash(here.at.measure(), here.at.index(), Disagreement.FIRST_BEAT_COMES_UP));
        } else if (before.printed == Bow.UP && here.printed == Bow.UP && before.single && here.single) {
            here.follows = Follows.SAME_BOW;
        } else {
            clashes.add(new Clash(here.at.measure(), here.at.index(), Disagreement.NO_TIME_TO_LIFT));
        }
    }

    /** Takes the last two single notes of one measure in one bow, so that what follows turns. @return whether there are */
    private static boolean paired(List<Pull> pulls, int from, int to) {
        for (int second = to - 1; second > from; second--) {
            Pull one = pulls.get(second - 1);
            Pull two = pulls.get(second);
            if (one.single && two.single && one.at.measure() == two.at.measure()) {
                turn(pulls, second, to);
                return true;
            }
        }
        return false;
    }

    private static void turn(List<Pull> pulls, int second, int to) {
        pulls.get(second).follows = Follows.SAME_BOW;
        for (int i = second; i < to; i++) {
            pulls.get(i).bow = pulls.get(i).bow.other();
        }
    }

    private static List<List<Optional<Stroke>>> strokes(TimedView view, List<Pull> pulls) {
        List<List<Optional<Stroke>>> all = new ArrayList<>();
        for (List<At> row : view.notes()) {
            all.add(new ArrayList<>(Collections.nCopies(row.size(), Optional.empty())));
        }
        for (Pull pull : pulls) {
            all.get(pull.at.measure())
                    .set(pull.at.index(), Optional.of(new Stroke(pull.bow, pull.follows, pull.printed == pull.bow)));
        }
        return all.stream().map(List::copyOf).toList();
    }

    /** The part with the mark of every bow at its note; printed marks that clash stay as they are. */
    public Part on(Part part) {
        List<Measure> measures = new ArrayList<>();
        for (int m = 0; m < part.measures().size(); m++) {
            Measure measure = part.measures().get(m);
            List<Note> notes = new ArrayList<>(measure.notes());
            for (int n = 0; n < notes.size(); n++) {
                Note note = notes.get(n);
                boolean marked =
                        note.marks().contains(Mark.DOWN_BOW) || note.marks().contains(Mark.UP_BOW);
                Optional<Stroke> stroke = strokes.get(m).get(n);
                if (stroke.isPresent() && !marked) {
                    Set<Mark> marks = new HashSet<>(note.marks());
                    marks.add(stroke.get().bow() == Bow.DOWN ? Mark.DOWN_BOW : Mark.UP_BOW);
                    notes.set(n, note.withMarks(marks));
                }
            }
            measures.add(measure.withNotes(notes));
        }
        return new Part(part.key(), part.meter(), part.tempo(), measures, part.order());
    }
}
