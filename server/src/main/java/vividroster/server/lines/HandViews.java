package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import vividroster.core.hands.Bowing;
import vividroster.core.hands.Fingers.Marked;
import vividroster.core.hands.Fingers.Taken;
import vividroster.core.hands.Rolls;
import vividroster.core.hands.Sticking;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.Note;
import vividroster.core.rehearsal.Reading;
import vividroster.server.lines.LineViews.FingerView;

/** What the hands do note by note, in the views of the API: fingerings, or the sticking of who reads no pitches. */
final class HandViews {

    private HandViews() {}

    /** Measure by measure. */
    static List<List<FingerView>> of(
            Instrument instrument, Reading reading, Conventions conventions, Map<String, String> syllables) {
        if (!instrument.pitched()) {
            return sticking(reading, conventions);
        }
        boolean strings = instrument.family() == Family.STRING;
        List<List<Optional<Bowing.Stroke>>> bows =
                strings ? Bowing.of(reading.view()).strokes() : List.of();
        List<List<String>> spoken = Syllables.of(reading, syllables);
        Set<List<Integer>> rolls = Rolls.of(reading.view(), reading.fingers()).stream()
                .map(roll -> List.of(roll.measure(), roll.note()))
                .collect(Collectors.toSet());
        List<List<FingerView>> views = new ArrayList<>();
        for (int m = 0; m < reading.written().measures().size(); m++) {
            List<Note> notes = reading.written().measures().get(m).notes();
            List<FingerView> row = new ArrayList<>();
            for (int n = 0; n < notes.size(); n++) {
                row.add(finger(
                        notes.get(n),
                        SectionReadings.taken(reading, m, n),
                        rolls.contains(List.of(m, n)),
                        spoken.get(m).get(n),
                        strings ? bows.get(m).get(n).map(Bowing.Stroke::bow).orElse(null) : null));
            }
            views.add(row);
        }
        return views;
    }

    /** The hand of every stroke, measure by measure. */
    private static List<List<FingerView>> sticking(Reading reading, Conventions conventions) {
        List<List<Optional<Sticking.Hand>>> hands =
                Sticking.of(reading.view(), conventions.builds().sticking());
        List<List<FingerView>> views = new ArrayList<>();
        for (int m = 0; m < hands.size(); m++) {
            List<Note> notes = reading.written().measures().get(m).notes();
            List<FingerView> row = new ArrayList<>();
            for (int n = 0; n < notes.size(); n++) {
                row.add(new FingerView(
                        "",
                        notes.get(n).length().value(),
                        hands.get(m).get(n).map(Sticking.Hand::letter).orElse(""),
                        null,
                        null,
                        List.of(),
                        Marked.NOTHING,
                        List.of(),
                        null,
                        null));
            }
            views.add(row);
        }
        return views;
    }

    private static FingerView finger(Note note, Optional<Taken> taken, boolean rolls, String syllable, Bowing.Bow bow) {
        Fingering fingering = taken.map(Taken::fingering).orElse(null);
        return new FingerView(
                note.pitch().map(TrapWording::plain).orElse(""),
                note.length().value(),
                fingering == null ? "" : fingering.label(),
                fingering instanceof OnString on ? on.string() : null,
                fingering instanceof Keys keys ? (Integer) keys.holes() : null,
                fingering instanceof Keys keys ? keys.keys().stream().sorted().toList() : List.of(),
                rolls ? Marked.ROLL : taken.map(Taken::marked).orElse(Marked.NOTHING),
                taken.map(t -> t.alternates().stream()
                                .map(DemandWording::fingering)
                                .toList())
                        .orElse(List.of()),
                syllable,
                bow);
    }
}
