package vividroster.core.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;

/** Measures that equal an earlier one, so that the class recalls instead of starting anew. */
public final class Echoes {

    private Echoes() {}

    /** How far one measure is like another. */
    public enum Likeness {
        SAME,
        SAME_BUT_SLURS,
        SAME_RHYTHM_OTHER_PLACE,
        SAME_RHYTHM
    }

    /** @param measure and earlier, by index in the part */
    public record Echo(int measure, int earlier, Likeness likeness) {}

    /** The nearest likeness of every measure that has one, to the earliest measure; silent measures have none. */
    public static List<Echo> within(Part part) {
        return within(part, List.of(Likeness.values()));
    }

    /** Measures with the very notes of an earlier one, whatever its slurs and marks. */
    public static List<Echo> recalled(Part part) {
        return within(part, List.of(Likeness.SAME_BUT_SLURS));
    }

    private static List<Echo> within(Part part, List<Likeness> asked) {
        List<Map<List<Object>, Integer>> seen = new ArrayList<>();
        for (int i = 0; i < Likeness.values().length; i++) {
            seen.add(new HashMap<>());
        }
        List<Echo> echoes = new ArrayList<>();
        for (int m = 0; m < part.measures().size(); m++) {
            Measure measure = part.measures().get(m);
            if (measure.isSilent()) {
                continue;
            }
            Optional<Echo> echo = Optional.empty();
            for (Likeness likeness : asked) {
                List<Object> print = print(measure, likeness);
                Integer earlier = seen.get(likeness.ordinal()).putIfAbsent(print, m);
                boolean worthSaying =
                        likeness != Likeness.SAME_RHYTHM || measure.notes().size() > 2;
                if (earlier != null && echo.isEmpty() && worthSaying) {
                    echo = Optional.of(new Echo(m, earlier, likeness));
                }
            }
            echo.ifPresent(echoes::add);
        }
        return List.copyOf(echoes);
    }

    /** What two measures must share to be so far alike. */
    private static List<Object> print(Measure measure, Likeness likeness) {
        List<Object> print = new ArrayList<>(4 * measure.notes().size());
        Integer first = null;
        for (Note note : measure.notes()) {
            print.add(note.length());
            print.add(note.tied());
            if (note.isRest()) {
                print.add("rest");
                continue;
            }
            int step = note.pitch().orElseThrow().step();
            first = first == null ? step : first;
            print.add(
                    switch (likeness) {
                        case SAME, SAME_BUT_SLURS -> note.pitch().orElseThrow();
                        case SAME_RHYTHM_OTHER_PLACE -> step - first;
                        case SAME_RHYTHM -> "note";
                    });
            if (likeness == Likeness.SAME) {
                print.add(note.slurs());
                print.add(note.marks());
            }
        }
        return print;
    }
}
