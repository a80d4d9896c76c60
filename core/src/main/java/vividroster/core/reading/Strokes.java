package vividroster.core.reading;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Mode;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.TimedView.At;

/**
 * Everybody's line as unpitched percussion plays it: its rhythm on one place of the staff. A long note is one stroke,
 * and counted; once rolls have been met it is a roll, tied to its end.
 */
public final class Strokes {

    /** The middle line. */
    private static final Pitch PLACE = new Pitch('B', 0, 4);
    /** What a stroke keeps of what stands at the note. */
    private static final Set<Mark> KEPT = EnumSet.of(Mark.ACCENT, Mark.MARCATO, Mark.FERMATA, Mark.TREMOLO);

    private Strokes() {}

    /** @param rolls whether the section has met them */
    public static Part of(TimedView everybody, boolean rolls) {
        List<Measure> measures = new ArrayList<>();
        boolean rolling = false;
        for (Measure measure : everybody.part().measures()) {
            List<Note> notes = new ArrayList<>();
            for (At at : everybody.notes().get(measures.size())) {
                if (at.isAttack()) {
                    double pulse =
                            everybody.bars().get(at.measure()).meter().pulse().value();
                    rolling = rolls && at.held().value() > pulse;
                }
                notes.add(at.isRest() ? at.note() : stroke(at.note(), rolling));
            }
            measures.add(measure.withNotes(notes).withKey(Optional.empty()));
        }
        Part part = everybody.part();
        return new Part(new Key(0, Mode.MAJOR), part.meter(), part.tempo(), measures, part.order());
    }

    private static Note stroke(Note note, boolean roll) {
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        note.marks().stream().filter(KEPT::contains).forEach(marks::add);
        if (roll) {
            marks.add(Mark.TREMOLO);
        }
        return new Note(
                Optional.of(PLACE), note.length(), note.tied(), Note.Slurs.NONE, marks, List.of(), note.lyric());
    }
}
