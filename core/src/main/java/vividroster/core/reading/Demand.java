package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividroster.core.instrument.Range;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;

/** What a line asks of a section, as a profile: never one score. Each value with the measure where it peaks. */
public final class Demand {

    private Demand() {}

    /** What is asked. */
    public enum Kind {
        /** Fastest notes, a second. */
        NOTES_PER_SECOND,
        /** Widest leap, in letter steps. */
        LEAP,
        /** Highest note, in semitones above the range of the stage; below 0 within. */
        ABOVE_RANGE,
        /** Lowest note, in semitones below the range of the stage; below 0 within. */
        BELOW_RANGE,
        /** Notes altered beside the key in one measure. */
        ALTERED,
        /** Longest stretch without a rest or breath, in seconds. */
        BREATH_SECONDS
    }

    /** @param measure index in the part where it peaks */
    public record Peak(Kind kind, double value, int measure) {}

    /** @param tempo at which it is to be played */
    public static List<Peak> of(Part written, Range stage, Bpm tempo) {
        List<Peak> peaks = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            Optional<Peak> peak =
                    kind == Kind.BREATH_SECONDS ? breath(written, tempo) : peak(kind, written, stage, tempo);
            peak.ifPresent(peaks::add);
        }
        return List.copyOf(peaks);
    }

    private static Optional<Peak> peak(Kind kind, Part part, Range stage, Bpm tempo) {
        Peak best = null;
        Optional<Pitch> before = Optional.empty();
        Key key = part.key();
        for (int m = 0; m < part.measures().size(); m++) {
            Measure measure = part.measures().get(m);
            key = measure.key().orElse(key);
            double value = switch (kind) {
                case NOTES_PER_SECOND -> fastest(measure, tempo);
                case LEAP -> widest(measure, before);
                case ABOVE_RANGE ->
                    farthest(measure, p -> p.midi() - stage.high().midi());
                case BELOW_RANGE -> farthest(measure, p -> stage.low().midi() - p.midi());
                case ALTERED -> altered(measure, key);
                case BREATH_SECONDS -> 0;
            };
            before = measure.notes().getLast().pitch();
            if (!Double.isNaN(value) && (best == null || value > best.value())) {
                best = new Peak(kind, value, m);
            }
        }
        return Optional.ofNullable(best);
    }

    private static double fastest(Measure measure, Bpm tempo) {
        return measure.notes().stream()
                .filter(n -> !n.isRest())
                .mapToDouble(n -> 1 / tempo.secondsFor(n.length().value()))
                .max()
                .orElse(Double.NaN);
    }

    private static double widest(Measure measure, Optional<Pitch> before) {
        double widest = Double.NaN;
        Optional<Pitch> from = before;
        for (Note note : measure.notes()) {
            if (from.isPresent() && note.pitch().isPresent()) {
                double steps = Math.abs(note.pitch().get().step() - from.get().step());
                widest = Double.isNaN(widest) ? steps : Math.max(widest, steps);
            }
            from = note.pitch();
        }
        return widest;
    }

    private static double farthest(Measure measure, java.util.function.ToIntFunction<Pitch> distance) {
        return measure.notes().stream()
                .flatMap(n -> n.pitch().stream())
                .mapToDouble(distance::applyAsInt)
                .max()
                .orElse(Double.NaN);
    }

    private static double altered(Measure measure, Key key) {
        return measure.notes().stream()
                .flatMap(n -> n.pitch().stream())
                .filter(p -> p.alter() != key.alterOf(p.letter()))
                .count();
    }

    private static Optional<Peak> breath(Part part, Bpm tempo) {
        double longest = 0;
        int where = 0;
        double now = 0;
        int since = 0;
        for (int m = 0; m < part.measures().size(); m++) {
            for (Note note : part.measures().get(m).notes()) {
                if (note.isRest()) {
                    now = 0;
                    continue;
                }
                since = now == 0 ? m : since;
                now += tempo.secondsFor(note.length().value());
                if (now > longest) {
                    longest = now;
                    where = since;
                }
                if (note.marks().contains(Mark.BREATH)) {
                    now = 0;
                }
            }
        }
        return longest == 0 ? Optional.empty() : Optional.of(new Peak(Kind.BREATH_SECONDS, longest, where));
    }
}
