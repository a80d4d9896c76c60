package vividroster.formats.score;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;

/** Words over a staff that hold from one note on: "pizz." until "arco". Every note between bears the mark. */
public final class Plucking {

    public static final String PLUCKED = "pizz.";
    public static final String BOWED = "arco";

    private boolean on;

    /** Whether a text says it, and then what; other texts change nothing. */
    public boolean said(String text) {
        Optional<Boolean> heard = plucks(text);
        heard.ifPresent(now -> on = now);
        return heard.isPresent();
    }

    private static Optional<Boolean> plucks(String text) {
        return switch (text.strip().toLowerCase(Locale.ROOT)) {
            case "pizz", "pizz.", "pizzicato", "plucked" -> Optional.of(true);
            case "arco", "arco.", "bowed", "with the bow" -> Optional.of(false);
            default -> Optional.empty();
        };
    }

    /** A note as it is played here. */
    public Note played(Note note) {
        if (!on || note.isRest()) {
            return note;
        }
        Set<Mark> marks = EnumSet.of(Mark.PIZZICATO);
        marks.addAll(note.marks());
        return note.withMarks(marks);
    }
}
