package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import vividroster.core.music.Note.Mark;
import vividroster.core.reading.TimedView.At;

/** How every note of a part is started, by the marks it bears. */
public final class Styles {

    private Styles() {}

    /** The styles a syllable is said by; the same words as a check keeps them by, in lower case. */
    public enum Style {
        ACCENTED,
        NEUTRAL,
        /** Dots: short, with air after it as before. */
        SHORT,
        /** Lines: as long as it can be. */
        SOFT,
        /** Inside a slur that must be tongued. */
        LEGATO,
        /** Inside a slur: the air goes on. */
        SLURRED,
        /** A rest, or what sounds on. */
        NONE
    }

    /** By measure and note. */
    public static List<List<Style>> of(TimedView view) {
        List<List<Style>> all = new ArrayList<>();
        for (List<At> row : view.notes()) {
            all.add(row.stream().map(Styles::of).toList());
        }
        return List.copyOf(all);
    }

    private static Style of(At at) {
        if (!at.isAttack()) {
            return Style.NONE;
        }
        Set<Mark> marks = at.note().marks();
        boolean touched = marks.contains(Mark.TENUTO) || marks.contains(Mark.STACCATO);
        if (at.slurredIn()) {
            return touched ? Style.LEGATO : Style.SLURRED;
        }
        if (marks.contains(Mark.ACCENT) || marks.contains(Mark.MARCATO)) {
            return Style.ACCENTED;
        }
        return marks.contains(Mark.STACCATO) ? Style.SHORT : marks.contains(Mark.TENUTO) ? Style.SOFT : Style.NEUTRAL;
    }
}
