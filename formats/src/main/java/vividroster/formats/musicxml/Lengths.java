package vividroster.formats.musicxml;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.TimeModification;
import vividroster.core.music.Beats;
import vividroster.core.music.Notated;
import vividroster.formats.score.Limits;

/**
 * How long a note is. Programs round what a group of three takes, so its printed value decides where it comes out near
 * the duration; a duration alone is taken to the nearest value that can be written.
 */
final class Lengths {

    /** In quarters; the shortest value written, a 128th, is twice as long. */
    static final double NEAR = 1 / 64.0;

    private static final Map<String, Integer> HALVINGS = Map.ofEntries(
            Map.entry("breve", -1),
            Map.entry("whole", 0),
            Map.entry("half", 1),
            Map.entry("quarter", 2),
            Map.entry("eighth", 3),
            Map.entry("16th", 4),
            Map.entry("32nd", 5),
            Map.entry("64th", 6),
            Map.entry("128th", 7));

    private Lengths() {}

    /** @param divisions of a quarter @throws IllegalArgumentException when it cannot be written */
    static Beats of(Note note, double divisions) {
        double beats = beats(note.getDuration(), divisions);
        Optional<Beats> printed = printed(note);
        double near = Math.max(NEAR, 1.5 / divisions);
        if (printed.isPresent() && Math.abs(printed.get().value() - beats) <= Math.min(near, beats / 4)) {
            return Limits.written(printed.get());
        }
        Beats exact = ticks(beats);
        return Notated.canWrite(exact) ? exact : Limits.written(nearest(exact, Math.min(NEAR, 1.5 / divisions)));
    }

    static double beats(BigDecimal duration, double divisions) {
        double beats = duration.doubleValue() / divisions;
        if (beats > Beats.of(64).value()) {
            throw new IllegalArgumentException("a note lasts at most 64 beats");
        }
        return beats;
    }

    static Beats ticks(double beats) {
        return new Beats(Math.toIntExact(Math.round(beats * Beats.PER_BEAT)));
    }

    private static Optional<Beats> printed(Note note) {
        if (note.getType() == null
                || !HALVINGS.containsKey(String.valueOf(note.getType().getValue()))) {
            return Optional.empty();
        }
        int halvings = HALVINGS.get(note.getType().getValue());
        long base = halvings < 0 ? 8L * Beats.PER_BEAT : (4L * Beats.PER_BEAT) >> halvings;
        int dots = note.getDot().size();
        if (dots > 2) {
            return Optional.empty();
        }
        long dotted = dots == 2 ? base * 7 / 4 : dots == 1 ? base * 3 / 2 : base;
        TimeModification group = note.getTimeModification();
        if (group == null || group.getActualNotes() == null || group.getNormalNotes() == null) {
            return Optional.of(new Beats((int) dotted));
        }
        long actual = group.getActualNotes().longValue();
        long normal = group.getNormalNotes().longValue();
        boolean whole = actual > 0 && actual < 100 && normal > 0 && normal < 100 && dotted * normal % actual == 0;
        return whole ? Optional.of(new Beats((int) (dotted * normal / actual))) : Optional.empty();
    }

    /** The nearest single value in plain notes, groups of three or five, where one is as near as programs round. */
    private static Beats nearest(Beats exact, double near) {
        Beats best = exact;
        double distance = near;
        for (int[] group : new int[][] {{1, 1}, {3, 2}, {5, 4}}) {
            for (int dots = 0; dots <= 1; dots++) {
                for (int halvings = 0; halvings <= 5; halvings++) {
                    Beats value = new Notated(halvings, dots, group[0], group[1]).length();
                    double off = Math.abs(value.value() - exact.value());
                    if (off < distance) {
                        distance = off;
                        best = value;
                    }
                }
            }
        }
        return best;
    }
}
