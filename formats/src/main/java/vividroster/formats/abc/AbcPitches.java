package vividroster.formats.abc;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Pitch;
import vividroster.formats.score.Limits;

/** Which pitch a letter means: the key, what an accidental carries to the bar line, what a tie carries over it. */
final class AbcPitches {

    static final Pattern NOTE = Pattern.compile("(\\^\\^|\\^|__|_|=)?([A-Ga-g])([,']*)");

    private Key key;
    private final Map<Integer, Integer> carried = new HashMap<>();
    private final Map<Integer, Integer> tiedAlters = new HashMap<>();

    AbcPitches(Key key) {
        this.key = key;
    }

    void change(Key other) {
        key = other;
    }

    void atBarLine() {
        carried.clear();
    }

    void tied(Pitch pitch) {
        tiedAlters.put(pitch.step(), pitch.alter());
    }

    /** @param measures so far @param opens whether it is the first note of its measure */
    Pitch of(Matcher m, List<Measure> measures, boolean opens) {
        char letter = m.group(2).charAt(0);
        int octave = Character.isUpperCase(letter) ? 4 : 5;
        for (char mark : m.group(3).toCharArray()) {
            octave += mark == '\'' ? 1 : -1;
        }
        if (octave < 0 || octave > 8) {
            throw new IllegalArgumentException("a note sounds from A 0 to C 8");
        }
        char upper = Character.toUpperCase(letter);
        int step = new Pitch(upper, 0, octave).step();
        if (m.group(1) != null) {
            int alter = switch (m.group(1)) {
                case "^" -> 1;
                case "^^" -> 2;
                case "_" -> -1;
                case "__" -> -2;
                default -> 0;
            };
            carried.put(step, alter);
            return Limits.sounding(new Pitch(upper, alter, octave));
        }
        // A tie carries an accidental to the tied note alone; otherwise it holds to the bar line.
        Integer tied = opens ? tiedAlters.get(step) : null;
        if (tied != null && !measures.isEmpty() && endsTied(measures.getLast(), step)) {
            return Limits.sounding(new Pitch(upper, tied, octave));
        }
        return Limits.sounding(new Pitch(upper, carried.getOrDefault(step, key.alterOf(upper)), octave));
    }

    private static boolean endsTied(Measure measure, int step) {
        List<Note> notes = measure.notes();
        return !notes.isEmpty()
                && notes.getLast().tied()
                && notes.getLast().pitch().orElseThrow().step() == step;
    }
}
