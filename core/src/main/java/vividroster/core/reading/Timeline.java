package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Roadmap.Played;

/**
 * What sounds when, in the order really played.
 *
 * @param notes in time
 * @param total beats of all measures played
 * @param seconds playing time at the tempo of each place, fermatas stretched, without count-in
 * @param begins seconds from the beginning to each measure of the played order
 */
public record Timeline(List<Sounding> notes, Beats total, double seconds, List<Double> begins) {

    /** Of a line without a way through its measures. */
    public static final Timeline NONE = new Timeline(List.of(), Beats.ZERO, 0, List.of());

    /**
     * @param fermataFactor how much longer a note under a fermata is, 1 for arithmetic and 2 to play it
     * @param tempoWithoutMark beats a minute where the line prints none
     */
    public record Options(double fermataFactor, Bpm tempoWithoutMark) {
        public static final Options ARITHMETIC = new Options(1, new Bpm(100));
        public static final Options PLAYBACK = new Options(2, new Bpm(100));

        public Options {
            if (fermataFactor < 1 || fermataFactor > 8) {
                throw new IllegalArgumentException("fermataFactor must be in 1..8, was " + fermataFactor);
            }
        }
    }

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

    public Timeline {
        notes = List.copyOf(notes);
        begins = List.copyOf(begins);
    }

    public static Timeline of(Part part, Roadmap roadmap, Options options) {
        List<Bpm> tempos = tempos(part, options);
        List<Sounding> notes = new ArrayList<>();
        List<Double> begins = new ArrayList<>();
        Beats onset = Beats.ZERO;
        double seconds = 0;
        boolean tiedOn = false;
        int before = -1;
        for (Played played : roadmap.played()) {
            Measure measure = part.measures().get(played.index());
            begins.add(seconds);
            // A tie may cross into a second ending, never back.
            tiedOn &= played.index() > before;
            for (int i = 0; i < measure.notes().size(); i++) {
                Note note = measure.notes().get(i);
                double stretch = note.marks().contains(Mark.FERMATA) ? options.fermataFactor() : 1;
                double lasts =
                        tempos.get(played.index()).secondsFor(note.length().value()) * stretch;
                if (!note.isRest()) {
                    Pitch pitch = note.pitch().orElseThrow();
                    boolean joins = tiedOn
                            && !notes.isEmpty()
                            && notes.getLast().pitch().midi() == pitch.midi();
                    if (joins) {
                        notes.set(notes.size() - 1, notes.getLast().longer(note.length(), lasts));
                    } else {
                        notes.add(new Sounding(pitch, onset, note.length(), seconds, lasts, played.index(), i));
                    }
                }
                tiedOn = note.tied();
                onset = onset.plus(note.length());
                seconds += lasts;
            }
            before = played.index();
        }
        return new Timeline(notes, onset, seconds, begins);
    }

    /** The tempo of every measure: a mark belongs to its place, so a jump back brings it back. */
    private static List<Bpm> tempos(Part part, Options options) {
        List<Bpm> tempos = new ArrayList<>();
        Bpm inForce = part.tempo().orElse(options.tempoWithoutMark());
        for (Measure measure : part.measures()) {
            inForce = measure.tempo().orElse(inForce);
            tempos.add(inForce);
        }
        return tempos;
    }
}
