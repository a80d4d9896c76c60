package vividroster.formats.musicxml;

import java.util.List;
import javax.xml.stream.XMLStreamException;
import vividroster.core.music.Beats;
import vividroster.core.music.Measure;
import vividroster.core.music.Notated;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.TempoMark;
import vividroster.core.reading.Accidentals;
import vividroster.core.reading.Accidentals.Known;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;
import vividroster.formats.score.Plucking;

/** The notes of a part, one measure after another: what is tied and slurred goes on over the bar line. */
final class NoteWriting {

    static final List<String> TYPES = List.of("whole", "half", "quarter", "eighth", "16th", "32nd", "64th", "128th");

    private final MusicXmlWriter.Writing out;
    private final Part part;
    private final TimedView view;
    private final List<List<Known>> known;
    private final boolean unpitched;
    private int slursOpen;
    private boolean gliding;
    private boolean plucked;
    private int tupletPlace;

    /** @param unpitched whether a pitch is a place on the staff alone */
    NoteWriting(MusicXmlWriter.Writing out, Part part, boolean unpitched) {
        this.unpitched = unpitched;
        this.out = out;
        this.part = part;
        this.view = TimedView.of(part);
        this.known = Accidentals.of(view);
    }

    /** @param tempos to stand where their notes are */
    void measure(int index, List<TempoMark> tempos) throws XMLStreamException {
        Measure measure = part.measures().get(index);
        if (measure.notes().size() == 1 && measure.notes().getFirst().isRest()) {
            for (TempoMark mark : tempos) {
                out.tempo(mark.tempo(), mark.at());
            }
            out.open("note");
            out.empty("rest", "measure", "yes");
            out.text("duration", measure.notes().getFirst().length().ticks());
            out.text("voice", 1);
            fermataOnly(measure.notes().getFirst());
            out.close();
            return;
        }
        for (int n = 0; n < measure.notes().size(); n++) {
            At at = view.notes().get(index).get(n);
            Beats end = at.place().plus(at.note().length());
            for (TempoMark mark : tempos) {
                if (mark.at().compareTo(at.place()) >= 0 && mark.at().compareTo(end) < 0) {
                    out.tempo(mark.tempo(), mark.at().minus(at.place()));
                }
            }
            plucking(measure.notes().get(n));
            note(measure, n, at.tiedIn(), known.get(index).get(n) == Known.PRINTED);
        }
    }

    /** The words where plucking begins and where the bow comes back. */
    private void plucking(Note note) throws XMLStreamException {
        boolean here = note.marks().contains(Mark.PIZZICATO);
        if (note.isRest() || here == plucked) {
            return;
        }
        plucked = here;
        out.words(plucked ? Plucking.PLUCKED : Plucking.BOWED);
        out.close();
    }

    private void fermataOnly(Note rest) throws XMLStreamException {
        if (rest.marks().contains(Mark.FERMATA)) {
            out.open("notations");
            out.empty("fermata");
            out.close();
        }
    }

    private void note(Measure measure, int n, boolean tiedIn, boolean accidental) throws XMLStreamException {
        Note note = measure.notes().get(n);
        for (Pitch grace : note.graces()) {
            out.open("note");
            out.empty("grace", "slash", "yes");
            pitch(grace);
            out.text("voice", 1);
            out.text("type", "eighth");
            out.close();
        }
        List<Notated> values = Notated.of(note.length());
        for (int i = 0; i < values.size(); i++) {
            boolean first = i == 0;
            boolean last = i == values.size() - 1;
            boolean ties = !note.isRest() && (!last || note.tied());
            boolean tied = !note.isRest() && (!first || tiedIn);
            one(measure, n, note, values.get(i), first, last, accidental && first, tied, ties);
        }
    }

    private void one(
            Measure measure,
            int n,
            Note note,
            Notated value,
            boolean first,
            boolean last,
            boolean accidental,
            boolean tied,
            boolean ties)
            throws XMLStreamException {
        out.open("note");
        if (note.isRest()) {
            out.empty("rest");
        } else {
            pitch(note.pitch().orElseThrow());
        }
        out.text("duration", value.length().ticks());
        if (tied) {
            out.empty("tie", "type", "stop");
        }
        if (ties) {
            out.empty("tie", "type", "start");
        }
        out.text("voice", 1);
        out.text("type", TYPES.get(value.halvings()));
        for (int d = 0; d < value.dots(); d++) {
            out.empty("dot");
        }
        if (accidental) {
            out.text("accidental", accidental(note.pitch().orElseThrow().alter()));
        }
        if (value.actual() > 1) {
            out.open("time-modification");
            out.text("actual-notes", value.actual());
            out.text("normal-notes", value.normal());
            out.close();
        }
        notations(measure, n, note, value, first, last, tied, ties);
        if (!note.lyric().isEmpty() && first) {
            out.open("lyric");
            out.text("syllabic", "single");
            out.text("text", note.lyric());
            out.close();
        }
        out.close();
    }

    private void pitch(Pitch pitch) throws XMLStreamException {
        if (unpitched) {
            out.open("unpitched");
            out.text("display-step", pitch.letter());
            out.text("display-octave", pitch.octave());
            out.close();
            return;
        }
        out.open("pitch");
        out.text("step", pitch.letter());
        if (pitch.alter() != 0) {
            out.text("alter", pitch.alter());
        }
        out.text("octave", pitch.octave());
        out.close();
    }

    private static String accidental(int alter) {
        return switch (alter) {
            case 2 -> "double-sharp";
            case 1 -> "sharp";
            case -1 -> "flat";
            case -2 -> "flat-flat";
            default -> "natural";
        };
    }

    private void notations(
            Measure measure, int n, Note note, Notated value, boolean first, boolean last, boolean tied, boolean ties)
            throws XMLStreamException {
        boolean tupletStarts = value.actual() > 1 && tupletPlace == 0;
        tupletPlace = value.actual() > 1 ? tupletPlace + 1 : 0;
        boolean tupletStops = value.actual() > 1
                && (tupletPlace == value.actual() || n == measure.notes().size() - 1);
        int begin = first ? note.slurs().begin() : 0;
        int end = last ? note.slurs().end() : 0;
        boolean marked = last && !note.marks().isEmpty();
        if (tupletStops) {
            tupletPlace = 0;
        }
        boolean glideEnds = gliding && first && !note.isRest();
        boolean glides = last && note.marks().contains(Mark.GLISSANDO);
        if (!tied && !ties && begin == 0 && end == 0 && !marked && !glideEnds && !tupletStarts && !tupletStops) {
            return;
        }
        out.open("notations");
        if (tied) {
            out.empty("tied", "type", "stop");
        }
        if (ties) {
            out.empty("tied", "type", "start");
        }
        for (int i = 0; i < end; i++) {
            out.empty("slur", "type", "stop", "number", String.valueOf(Math.max(1, slursOpen--)));
        }
        slursOpen = Math.max(0, slursOpen);
        for (int i = 0; i < begin; i++) {
            out.empty("slur", "type", "start", "number", String.valueOf(++slursOpen));
        }
        if (glideEnds) {
            out.empty("glissando", "type", "stop", "number", "1", "line-type", "solid");
        }
        if (glides) {
            out.empty("glissando", "type", "start", "number", "1", "line-type", "solid");
        }
        gliding = glides || gliding && !glideEnds;
        if (tupletStarts) {
            out.empty("tuplet", "type", "start");
        }
        if (tupletStops) {
            out.empty("tuplet", "type", "stop");
        }
        if (marked) {
            marks(note);
        }
        out.close();
    }

    private void marks(Note note) throws XMLStreamException {
        if (note.marks().contains(Mark.UP_BOW) || note.marks().contains(Mark.DOWN_BOW)) {
            out.open("technical");
            if (note.marks().contains(Mark.UP_BOW)) {
                out.empty("up-bow");
            }
            if (note.marks().contains(Mark.DOWN_BOW)) {
                out.empty("down-bow");
            }
            out.close();
        }
        List<String> articulations = note.marks().stream()
                .sorted()
                .map(NoteWriting::articulation)
                .filter(a -> !a.isEmpty())
                .toList();
        if (!articulations.isEmpty()) {
            out.open("articulations");
            for (String articulation : articulations) {
                out.empty(articulation);
            }
            out.close();
        }
        if (note.marks().contains(Mark.TREMOLO)) {
            out.open("ornaments");
            out.open("tremolo", "type", "single");
            out.xml.writeCharacters("3");
            out.close();
            out.close();
        }
        if (note.marks().contains(Mark.FERMATA)) {
            out.empty("fermata");
        }
    }

    private static String articulation(Mark mark) {
        return switch (mark) {
            case STACCATO -> "staccato";
            case TENUTO -> "tenuto";
            case ACCENT -> "accent";
            case MARCATO -> "strong-accent";
            case BREATH -> "breath-mark";
            case FERMATA, DOWN_BOW, UP_BOW, PIZZICATO, TREMOLO, GLISSANDO -> "";
        };
    }
}
