package vividroster.core.hands;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Reach;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Vocabulary;

/**
 * Whether a fourth finger may be asked for instead of an open string: where the school asks early, for bowed notes, on a
 * string whose third finger was met. Fingers are set one after the other, and a plucked string needs no crossing.
 */
final class FourthFingerAsked {

    private final FourthFinger school;
    private final FingeringChart chart;
    private final Optional<Vocabulary> met;
    private final Map<String, Boolean> thirds = new HashMap<>();

    /** @param met before this page; where that is not known, all fingers are */
    FourthFingerAsked(FourthFinger school, FingeringChart chart, Optional<Vocabulary> met) {
        this.school = school;
        this.chart = chart;
        this.met = met;
    }

    boolean isAsked(Note note, OnString fourth) {
        return school == FourthFinger.EARLY
                && !note.marks().contains(Mark.PIZZICATO)
                && thirds.computeIfAbsent(fourth.string(), this::isThirdMet);
    }

    private boolean isThirdMet(String string) {
        return met.isEmpty() || met.get().notes().stream().anyMatch(midi -> isThirdOn(string, midi));
    }

    /** The spelling that was read is not kept; a low third is as well a second under another name. */
    private boolean isThirdOn(String string, int midi) {
        return Stream.of(true, false)
                .flatMap(flats -> chart.of(Pitch.ofMidi(midi, flats)).stream().limit(1))
                .anyMatch(way -> way instanceof OnString on
                        && on.finger() == 3
                        && on.reach() != Reach.LOW
                        && on.string().equals(string));
    }
}
