package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import vividroster.core.music.Note;
import vividroster.core.reading.Accidentals;
import vividroster.core.reading.Accidentals.Known;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.Traps;
import vividroster.core.reading.Traps.MustBeCounted;
import vividroster.core.reading.Traps.StillAltered;
import vividroster.core.reading.Vocabulary.First;
import vividroster.core.reading.Vocabulary.NewNote;
import vividroster.core.reading.Vocabulary.NewSign;
import vividroster.core.reading.Vocabulary.NewValue;
import vividroster.core.reading.Vocabulary.Sign;
import vividroster.core.rehearsal.Ladder.Group;
import vividroster.core.rehearsal.Ladder.Grouping;

/** One thing of a line rehearsed wherever it stands, in order, and then the whole. Source: rehearsing by a theme. */
public final class Themes {

    private Themes() {}

    /** What is gone through. */
    public enum Theme {
        /** Every slur; the notes between two slurs are taken along. */
        SLURS(Listen.UNBROKEN_SLUR),
        /** Every accidental that goes on to hold, from where it is printed. */
        CARRIED_ACCIDENTALS(Listen.ACCIDENTAL),
        /** Every place of every note the section meets here first, with its neighbours. */
        NEW_NOTES(Listen.NEW_NOTE),
        /** What must be counted: long holds, rhythms that are new, what begins off the beat. */
        COUNTS(Listen.FULL_LENGTH);

        private final Listen listen;

        Theme(Listen listen) {
            this.listen = listen;
        }

        public Listen listen() {
            return listen;
        }
    }

    /**
     * Where it stands.
     *
     * @param from and to, both included, by index in the part
     * @param groups of its one measure; none where all of it is meant
     */
    public record Stretch(int from, int to, List<Group> groups) {
        public Stretch {
            groups = List.copyOf(groups);
        }
    }

    /** In the order of the page; none where a line has nothing of it. */
    public static List<Stretch> of(Theme theme, Reading reading, Grouping grouping) {
        TimedView view = reading.view();
        return switch (theme) {
            case SLURS -> slurs(view, grouping);
            case CARRIED_ACCIDENTALS -> carried(view, reading.traps());
            case NEW_NOTES -> newNotes(view, reading.news());
            case COUNTS -> counts(view, reading);
        };
    }

    private static List<Stretch> slurs(TimedView view, Grouping grouping) {
        Map<Integer, List<Group>> inside = new TreeMap<>();
        Map<Integer, Stretch> over = new TreeMap<>();
        for (List<At> slur : view.slurs()) {
            At first = slur.getFirst();
            At last = slur.getLast();
            if (first.measure() == last.measure()) {
                inside.computeIfAbsent(first.measure(), m -> new ArrayList<>())
                        .add(new Group(first.index(), last.index()));
            } else {
                over.merge(
                        first.measure(),
                        new Stretch(first.measure(), last.measure(), List.of()),
                        (a, b) -> new Stretch(a.from(), Math.max(a.to(), b.to()), List.of()));
            }
        }
        Map<Integer, Stretch> all = new TreeMap<>();
        inside.forEach((measure, groups) ->
                all.put(measure, stretch(view, measure, takenAlong(groups, notesIn(view, measure), grouping))));
        over.forEach((measure, stretch) -> all.put(measure, stretch));
        List<Stretch> stretches = new ArrayList<>();
        for (Stretch stretch : all.values()) {
            boolean held = !stretches.isEmpty() && stretches.getLast().to() >= stretch.to();
            if (!held) {
                stretches.add(stretch);
            }
        }
        return List.copyOf(stretches);
    }

    private static int notesIn(TimedView view, int measure) {
        return view.notes().get(measure).size();
    }

    /** Each slur goes on to the next; overlapping, with the next one's first note. */
    private static List<Group> takenAlong(List<Group> slurs, int notes, Grouping grouping) {
        List<Group> groups = new ArrayList<>();
        for (int i = 0; i < slurs.size(); i++) {
            boolean last = i == slurs.size() - 1;
            int to = last ? slurs.get(i).to() : slurs.get(i + 1).from() - (grouping == Grouping.OVERLAPPING ? 0 : 1);
            groups.add(new Group(
                    slurs.get(i).from(),
                    Math.min(notes - 1, Math.max(to, slurs.get(i).to()))));
        }
        return groups;
    }

    private static Stretch stretch(TimedView view, int measure, List<Group> groups) {
        boolean all = groups.size() == 1
                && groups.getFirst().from() == 0
                && groups.getFirst().to() == notesIn(view, measure) - 1;
        return new Stretch(measure, measure, all ? List.of() : groups);
    }

    private static List<Stretch> carried(TimedView view, List<Traps.Trap> traps) {
        Map<Integer, Group> byMeasure = new LinkedHashMap<>();
        for (Traps.Trap trap : traps) {
            if (trap instanceof StillAltered still) {
                int printed = printed(view, still);
                byMeasure.merge(
                        still.measure(),
                        new Group(printed, still.note()),
                        (a, b) -> new Group(Math.min(a.from(), b.from()), Math.max(a.to(), b.to())));
            }
        }
        return byMeasure.entrySet().stream()
                .map(e -> stretch(view, e.getKey(), List.of(e.getValue())))
                .toList();
    }

    /** The note that bears the accidental a later one keeps. */
    private static int printed(TimedView view, StillAltered still) {
        for (int n = still.note() - 1; n >= 0; n--) {
            Note note = view.notes().get(still.measure()).get(n).note();
            boolean same =
                    note.pitch().filter(p -> p.step() == still.pitch().step()).isPresent();
            if (same && Accidentals.of(view).get(still.measure()).get(n) == Known.PRINTED) {
                return n;
            }
        }
        return still.note();
    }

    private static List<Stretch> newNotes(TimedView view, List<First> news) {
        Set<Integer> midis = new HashSet<>();
        for (First first : news) {
            if (first.thing() instanceof NewNote note) {
                midis.add(note.midi());
            }
        }
        List<Stretch> stretches = new ArrayList<>();
        for (List<At> row : view.notes()) {
            List<Group> groups = new ArrayList<>();
            for (At at : row) {
                if (at.isAttack()
                        && midis.contains(at.note().pitch().orElseThrow().midi())) {
                    Group here = new Group(Math.max(0, at.index() - 1), Math.min(row.size() - 1, at.index() + 1));
                    boolean joins = !groups.isEmpty() && groups.getLast().to() >= here.from();
                    if (joins) {
                        groups.set(groups.size() - 1, new Group(groups.getLast().from(), here.to()));
                    } else {
                        groups.add(here);
                    }
                }
            }
            if (!groups.isEmpty()) {
                stretches.add(stretch(view, row.getFirst().measure(), groups));
            }
        }
        return List.copyOf(stretches);
    }

    private static List<Stretch> counts(TimedView view, Reading reading) {
        Map<Integer, Integer> spans = new TreeMap<>();
        for (Traps.Trap trap : reading.traps()) {
            if (trap instanceof MustBeCounted held) {
                spans.merge(held.measure(), held.last(), Math::max);
            }
        }
        Set<Integer> rhythms = new TreeSet<>();
        for (First first : reading.news()) {
            boolean counted = first.thing() instanceof NewValue
                    || first.thing() instanceof NewSign sign && sign.sign() == Sign.SYNCOPATION;
            if (counted) {
                rhythms.add(first.measure());
            }
        }
        for (List<At> row : view.notes()) {
            for (At at : row) {
                int pulse = view.bars().get(at.measure()).meter().pulse().ticks();
                int behind = at.beat().ticks() % pulse;
                if (at.isAttack() && behind != 0 && at.held().ticks() > pulse - behind) {
                    rhythms.add(at.measure());
                }
            }
        }
        rhythms.forEach(measure -> spans.merge(measure, measure, Math::max));
        List<Stretch> stretches = new ArrayList<>();
        spans.forEach((from, to) -> {
            if (stretches.isEmpty() || stretches.getLast().to() < to) {
                stretches.add(new Stretch(from, to, List.of()));
            }
        });
        return List.copyOf(stretches);
    }
}
