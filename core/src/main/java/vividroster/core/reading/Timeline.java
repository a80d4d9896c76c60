package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.music.Beats;
import vividroster.core.music.Note;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Roadmap.Played;
import vividroster.core.reading.TimedView.At;

/**
 * What sounds when, in the order really played.
 *
 * @param notes in time
 * @param total beats of all measures played
 * @param seconds playing time at the tempo of each place, fermatas stretched, without count-in
 * @param begins seconds from the beginning to each measure of the played order
 * @param paces how fast the beats go, from the beginning on
 */
public record Timeline(List<Sounding> notes, Beats total, double seconds, List<Double> begins, List<Pace> paces) {

    /** Of a line without a way through its measures. */
    public static final Timeline NONE = new Timeline(List.of(), Beats.ZERO, 0, List.of(), List.of());

    /**
     * A note as it sounds, ties joined.
     *
     * @param onset beats from the first measure played
     * @param seconds from the beginning to its onset
     * @param lasts seconds it sounds
     * @param measure index in the part where it begins
     * @param note index in that measure
     */
    public record Sounding(
            Pitch pitch, Beats onset, Beats length, double seconds, double lasts, int measure, int note) {

        private Sounding longer(Beats more, double moreSeconds) {
            return new Sounding(pitch, onset, length.plus(more), seconds, lasts + moreSeconds, measure, note);
        }
    }

    /** @param from beats from the first measure played; secondsPerBeat from there on, fermatas stretched */
    public record Pace(Beats from, double secondsPerBeat) {}

    public Timeline {
        notes = List.copyOf(notes);
        begins = List.copyOf(begins);
        paces = List.copyOf(paces);
    }

    static Timeline of(TimedView view, Roadmap roadmap, double fermata) {
        List<Sounding> notes = new ArrayList<>();
        List<Double> begins = new ArrayList<>();
        List<Pace> paces = new ArrayList<>();
        Beats onset = Beats.ZERO;
        double seconds = 0;
        Note last = null;
        int before = -1;
        for (Played played : roadmap.played()) {
            begins.add(seconds);
            // A tie may cross into a second ending, never back.
            last = played.index() > before ? last : null;
            double counted = view.options().fermata();
            for (At at : view.notes().get(played.index())) {
                Note note = at.note();
                double lasts = at.seconds() / TimedView.stretch(note, counted) * TimedView.stretch(note, fermata);
                paces(view, at, onset, fermata, paces);
                if (note.isTiedFrom(last) && !notes.isEmpty()) {
                    notes.set(notes.size() - 1, notes.getLast().longer(note.length(), lasts));
                } else if (!note.isRest()) {
                    notes.add(new Sounding(
                            note.pitch().orElseThrow(),
                            onset,
                            note.length(),
                            seconds,
                            lasts,
                            at.measure(),
                            at.index()));
                }
                last = note;
                onset = onset.plus(note.length());
                seconds += lasts;
            }
            before = played.index();
        }
        return new Timeline(notes, onset, seconds, begins, paces);
    }

    /** The pace of a note, and of what a tempo mark inside it begins. */
    private static void paces(TimedView view, At at, Beats onset, double fermata, List<Pace> paces) {
        double stretch = TimedView.stretch(at.note(), fermata);
        pace(onset, at.tempo().secondsFor(1) * stretch, paces);
        Beats end = at.place().plus(at.note().length());
        view.part().measures().get(at.measure()).tempos().stream()
                .filter(mark -> mark.at().compareTo(at.place()) > 0 && mark.at().compareTo(end) < 0)
                .forEach(mark -> pace(
                        onset.plus(mark.at().minus(at.place())),
                        mark.tempo().bpm().secondsFor(1) * stretch,
                        paces));
    }

    private static void pace(Beats from, double secondsPerBeat, List<Pace> paces) {
        if (paces.isEmpty() || Math.abs(paces.getLast().secondsPerBeat() - secondsPerBeat) > 1e-12) {
            paces.add(new Pace(from, secondsPerBeat));
        }
    }
}
