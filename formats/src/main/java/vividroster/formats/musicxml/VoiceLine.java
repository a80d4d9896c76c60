package vividroster.formats.musicxml;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import vividroster.core.music.Beats;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;

/** The notes of one voice in one measure, each at its place. */
final class VoiceLine {

    /** @param place quarters after the measure's beginning, as the file counts */
    private record Placed(double place, Note note) {}

    private final List<Placed> placed = new ArrayList<>();
    private double reached;
    private boolean chords;

    /** Where its last note ends, as the file counts. */
    double reached() {
        return reached;
    }

    void add(double place, Note note, double until) {
        placed.add(new Placed(place, note));
        reached = until;
    }

    /** Of a chord the top note counts, with its own tie; slurs and marks of any of them hold. */
    void chord(Note other) {
        if (placed.isEmpty() || placed.getLast().note().isRest() || other.isRest()) {
            return;
        }
        chords = true;
        Placed last = placed.getLast();
        Note before = last.note();
        boolean higher = other.pitch().orElseThrow().midi()
                > before.pitch().orElseThrow().midi();
        Note top = higher ? other : before;
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        marks.addAll(before.marks());
        marks.addAll(other.marks());
        Note.Slurs slurs = new Note.Slurs(
                Math.max(before.slurs().begin(), other.slurs().begin()),
                Math.max(before.slurs().end(), other.slurs().end()));
        Note one = new Note(
                top.pitch(),
                before.length(),
                top.tied(),
                slurs,
                marks,
                before.graces(),
                before.lyric().isEmpty() ? other.lyric() : before.lyric());
        placed.set(placed.size() - 1, new Placed(last.place(), one));
    }

    boolean hasChords() {
        return chords;
    }

    boolean sounds() {
        return placed.stream().anyMatch(p -> !p.note().isRest());
    }

    /** Mean height of what sounds, in semitones. */
    double height() {
        return placed.stream()
                .flatMap(p -> p.note().pitch().stream())
                .mapToInt(p -> p.midi())
                .average()
                .orElse(0);
    }

    /** One after another, what is missing before, between and behind them as rests. @param end of the measure in quarters */
    List<Note> notes(double end) {
        List<Note> notes = new ArrayList<>();
        double at = 0;
        for (Placed one : placed) {
            rest(one.place() - at, notes);
            notes.add(one.note());
            at = Math.max(one.place(), at) + one.note().length().value();
        }
        rest(end - at, notes);
        return notes;
    }

    private static void rest(double beats, List<Note> notes) {
        if (beats > Lengths.NEAR) {
            Beats length = Lengths.ticks(beats);
            notes.add(Note.rest(vividroster.formats.score.Limits.written(length)));
        }
    }
}
