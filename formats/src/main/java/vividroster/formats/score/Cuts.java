package vividroster.formats.score;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Signs;
import vividroster.core.music.TempoMark;

/**
 * Where a key or meter changes inside a measure it is cut in two, which share its number, in every part alike; what
 * sounds over the cut is tied.
 */
public final class Cuts {

    /** @param at beats after the measure's first note, more than nothing */
    public record Cut(Beats at, Optional<Key> key, Optional<Meter> meter) {}

    private Cuts() {}

    /** @param cuts by part and index of the measure; parts without any may be missing */
    public static Map<String, List<Measure>> applied(
            Map<String, List<Measure>> parts, Map<String, Map<Integer, List<Cut>>> cuts) {
        if (cuts.values().stream().allMatch(Map::isEmpty)) {
            return parts;
        }
        Map<Integer, TreeSet<Beats>> places = new LinkedHashMap<>();
        cuts.values()
                .forEach(byMeasure -> byMeasure.forEach((m, all) -> all.forEach(
                        cut -> places.computeIfAbsent(m, i -> new TreeSet<>()).add(cut.at()))));
        Map<String, List<Measure>> whole = new LinkedHashMap<>();
        parts.forEach((id, measures) -> {
            List<Measure> pieces = new ArrayList<>();
            for (int m = 0; m < measures.size(); m++) {
                List<Cut> own = cuts.getOrDefault(id, Map.of()).getOrDefault(m, List.of());
                pieces.addAll(pieces(measures.get(m), places.getOrDefault(m, new TreeSet<>()), own));
            }
            if (pieces.size() > Part.MOST_MEASURES) {
                throw new LineFileException("A line has at most " + Part.MOST_MEASURES + " measures.");
            }
            whole.put(id, pieces);
        });
        return whole;
    }

    private static List<Measure> pieces(Measure measure, TreeSet<Beats> places, List<Cut> own) {
        List<Measure> pieces = new ArrayList<>();
        Measure rest = measure;
        Beats from = Beats.ZERO;
        for (Beats place : places) {
            Beats within = place.minus(from);
            if (within.isZero() || within.compareTo(rest.length()) >= 0) {
                continue;
            }
            Optional<Cut> cut = own.stream().filter(c -> c.at().equals(place)).findFirst();
            pieces.add(before(rest, within));
            rest = behind(rest, within, cut);
            from = place;
        }
        pieces.add(rest);
        return pieces;
    }

    private static Measure before(Measure measure, Beats place) {
        List<Note> notes = new ArrayList<>();
        Beats at = Beats.ZERO;
        for (Note note : measure.notes()) {
            Beats end = at.plus(note.length());
            if (at.compareTo(place) < 0) {
                boolean over = end.compareTo(place) > 0;
                notes.add(over ? first(note, place.minus(at)) : note);
            }
            at = end;
        }
        Signs s = measure.signs();
        return new Measure(
                measure.number(),
                notes,
                new Signs(
                        s.forwardRepeat(),
                        0,
                        s.endingBegins(),
                        false,
                        s.segno(),
                        s.coda(),
                        Optional.empty(),
                        false,
                        Optional.empty()),
                measure.key(),
                measure.meter(),
                measure.tempos().stream()
                        .filter(t -> t.at().compareTo(place) < 0)
                        .toList(),
                measure.words());
    }

    private static Note first(Note note, Beats length) {
        Limits.written(length);
        return note.withLength(length)
                .withTie(!note.isRest())
                .withSlurs(new Note.Slurs(note.slurs().begin(), 0));
    }

    private static Measure behind(Measure measure, Beats place, Optional<Cut> cut) {
        List<Note> notes = new ArrayList<>();
        Beats at = Beats.ZERO;
        for (Note note : measure.notes()) {
            Beats end = at.plus(note.length());
            if (at.compareTo(place) >= 0) {
                notes.add(note);
            } else if (end.compareTo(place) > 0) {
                notes.add(note.withLength(Limits.written(end.minus(place)))
                        .withSlurs(new Note.Slurs(0, note.slurs().end())));
            }
            at = end;
        }
        Signs s = measure.signs();
        return new Measure(
                measure.number(),
                notes,
                new Signs(
                        false,
                        s.repeatTimes(),
                        java.util.Set.of(),
                        s.endingStops(),
                        Optional.empty(),
                        Optional.empty(),
                        s.toCoda(),
                        s.fine(),
                        s.jump()),
                cut.flatMap(Cut::key),
                cut.flatMap(Cut::meter),
                measure.tempos().stream()
                        .filter(t -> t.at().compareTo(place) >= 0)
                        .map(t -> new TempoMark(t.at().minus(place), t.tempo()))
                        .toList(),
                "");
    }
}
