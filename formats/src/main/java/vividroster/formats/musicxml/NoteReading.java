package vividroster.formats.musicxml;

import jakarta.xml.bind.JAXBElement;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.audiveris.proxymusic.Articulations;
import org.audiveris.proxymusic.Fermata;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.Slur;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.StartStopContinue;
import org.audiveris.proxymusic.Technical;
import org.audiveris.proxymusic.Tied;
import org.audiveris.proxymusic.TiedType;
import vividroster.core.music.Beats;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Pitch;

/** One note element as a note of ours. */
final class NoteReading {

    private NoteReading() {}

    /** The pitch is step, alter and octave; the printed accidental is display only. Empty for a rest. */
    static Optional<Pitch> pitch(org.audiveris.proxymusic.Note note) {
        if (note.getPitch() != null) {
            var p = note.getPitch();
            if (p.getStep() == null) {
                throw new IllegalArgumentException("a note has no letter from A to G");
            }
            int alter = p.getAlter() == null ? 0 : (int) Math.round(p.getAlter().doubleValue());
            return Optional.of(new Pitch(p.getStep().value().charAt(0), Math.clamp(alter, -2, 2), p.getOctave()));
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

    static Note of(org.audiveris.proxymusic.Note note, Beats length, List<Pitch> graces) {
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
                        articulations.getAccentOrStrongAccentOrStaccato().forEach(a -> mark(a, marks));
                    case Technical technical ->
                        technical.getUpBowOrDownBowOrHarmonic().forEach(t -> mark(t, marks));
                    default -> {}
                }
            }
        }
        Optional<Pitch> pitch = pitch(note);
        String lyric = note.getLyric().stream()
                .flatMap(l -> l.getElisionAndSyllabicAndText().stream())
                .filter(org.audiveris.proxymusic.TextElementData.class::isInstance)
                .map(t -> ((org.audiveris.proxymusic.TextElementData) t).getValue())
                .findFirst()
                .orElse("");
        return new Note(pitch, length, tied && pitch.isPresent(), new Note.Slurs(begin, end), marks, graces, lyric);
    }

    private static void mark(JAXBElement<?> element, Set<Mark> marks) {
        switch (element.getName().getLocalPart()) {
            case "staccato" -> marks.add(Mark.STACCATO);
            case "tenuto" -> marks.add(Mark.TENUTO);
            case "accent" -> marks.add(Mark.ACCENT);
            case "strong-accent" -> marks.add(Mark.MARCATO);
            case "breath-mark" -> marks.add(Mark.BREATH);
            case "up-bow" -> marks.add(Mark.UP_BOW);
            case "down-bow" -> marks.add(Mark.DOWN_BOW);
            case "snap-pizzicato" -> marks.add(Mark.PIZZICATO);
            default -> {}
        }
    }
}
