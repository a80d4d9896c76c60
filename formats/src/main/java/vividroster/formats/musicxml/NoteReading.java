package vividroster.formats.musicxml;

import jakarta.xml.bind.JAXBElement;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.audiveris.proxymusic.Arpeggiate;
import org.audiveris.proxymusic.Articulations;
import org.audiveris.proxymusic.Dynamics;
import org.audiveris.proxymusic.Fermata;
import org.audiveris.proxymusic.Glissando;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.Ornaments;
import org.audiveris.proxymusic.Slide;
import org.audiveris.proxymusic.Slur;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.StartStopContinue;
import org.audiveris.proxymusic.Technical;
import org.audiveris.proxymusic.Tied;
import org.audiveris.proxymusic.TiedType;
import org.audiveris.proxymusic.Tremolo;
import org.audiveris.proxymusic.TremoloType;
import org.audiveris.proxymusic.Tuplet;
import vividroster.core.music.Beats;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Pitch;

/** One note element as a note of ours. */
final class NoteReading {

    private NoteReading() {}

    /** The pitch is step, alter and octave; the printed accidental is display only. Empty for a rest. */
    static Optional<Pitch> pitch(org.audiveris.proxymusic.Note note, List<String> aside) {
        if (note.getPitch() != null) {
            var p = note.getPitch();
            double alter = p.getAlter() == null ? 0 : p.getAlter().doubleValue();
            if (alter != Math.rint(alter)) {
                aside.add("quarter tones");
            }
            return Optional.of(new Pitch(p.getStep().value().charAt(0), (int) Math.round(alter), p.getOctave()));
        }
        if (note.getUnpitched() != null) {
            var u = note.getUnpitched();
            return Optional.of(
                    u.getDisplayStep() == null
                            ? new Pitch('B', 0, 4)
                            : new Pitch(u.getDisplayStep().value().charAt(0), 0, u.getDisplayOctave()));
        }
        return Optional.empty();
    }

    /** @param aside grows by what of it is not kept */
    static Note of(org.audiveris.proxymusic.Note note, Beats length, List<Pitch> graces, List<String> aside) {
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        int begin = 0;
        int end = 0;
        boolean tied = note.getTie().stream().anyMatch(t -> t.getType() == StartStop.START);
        for (Notations notations : note.getNotations()) {
            for (Object one : notations.getTiedOrSlurOrTuplet()) {
                switch (one) {
                    case Tied tie -> tied |= tie.getType() == TiedType.START;
                    case Slur slur -> {
                        begin += slur.getType() == StartStopContinue.START ? 1 : 0;
                        end += slur.getType() == StartStopContinue.STOP ? 1 : 0;
                    }
                    case Fermata fermata -> marks.add(Mark.FERMATA);
                    case Articulations articulations ->
                        articulations.getAccentOrStrongAccentOrStaccato().forEach(a -> mark(a, marks, aside));
                    case Technical technical ->
                        technical.getUpBowOrDownBowOrHarmonic().forEach(t -> mark(t, marks, aside));
                    case Tuplet tuplet -> {}
                    case Ornaments ornaments ->
                        ornaments.getTrillMarkOrTurnOrDelayedTurn().forEach(o -> ornament(o, marks, aside));
                    case Dynamics dynamics -> aside.add("dynamics");
                    case Glissando glissando -> glides(glissando.getType(), marks);
                    case Slide slide -> glides(slide.getType(), marks);
                    case Arpeggiate arpeggio -> aside.add("arpeggios");
                    default -> aside.add("other signs at notes");
                }
            }
        }
        if (note.getLyric().size() > 1) {
            aside.add("further verses");
        }
        Optional<Pitch> pitch = pitch(note, aside);
        String lyric = note.getLyric().stream()
                .limit(1)
                .flatMap(l -> l.getElisionAndSyllabicAndText().stream())
                .filter(org.audiveris.proxymusic.TextElementData.class::isInstance)
                .map(t -> ((org.audiveris.proxymusic.TextElementData) t).getValue())
                .findFirst()
                .orElse("");
        return new Note(pitch, length, tied && pitch.isPresent(), new Note.Slurs(begin, end), marks, graces, lyric);
    }

    private static void glides(StartStop type, Set<Mark> marks) {
        if (type == StartStop.START) {
            marks.add(Mark.GLISSANDO);
        }
    }

    /** A tremolo on one note is kept; between two notes it is left out. */
    private static void ornament(JAXBElement<?> element, Set<Mark> marks, List<String> aside) {
        if (element.getValue() instanceof Tremolo tremolo) {
            if (tremolo.getType() == null || tremolo.getType() == TremoloType.SINGLE) {
                marks.add(Mark.TREMOLO);
            } else {
                aside.add("tremolos");
            }
        } else {
            aside.add("ornaments");
        }
    }

    private static void mark(JAXBElement<?> element, Set<Mark> marks, List<String> aside) {
        switch (element.getName().getLocalPart()) {
            case "staccato" -> marks.add(Mark.STACCATO);
            case "tenuto" -> marks.add(Mark.TENUTO);
            case "accent" -> marks.add(Mark.ACCENT);
            case "strong-accent" -> marks.add(Mark.MARCATO);
            case "breath-mark" -> marks.add(Mark.BREATH);
            case "up-bow" -> marks.add(Mark.UP_BOW);
            case "down-bow" -> marks.add(Mark.DOWN_BOW);
            case "snap-pizzicato" -> marks.add(Mark.PIZZICATO);
            case "fingering" -> aside.add("fingerings");
            case "string" -> aside.add("string numbers");
            default -> aside.add(element.getName().getLocalPart().replace('-', ' ') + " signs");
        }
    }
}
