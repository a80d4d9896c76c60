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
        List<Map<String, Integer>> seen = new ArrayList<>();
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
            for (Likeness likeness : Likeness.values()) {
                String print = print(measure, likeness);
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

    private static String print(Measure measure, Likeness likeness) {
        StringBuilder print = new StringBuilder();
        Integer first = null;
        for (Note note : measure.notes()) {
            print.append(note.length().ticks()).append(note.tied() ? "~" : "");
            if (note.isRest()) {
                print.append("r;");
                continue;
            }
            int step = note.pitch().orElseThrow().step();
            first = first == null ? step : first;
            switch (likeness) {
                case SAME ->
                    print.append(note.pitch().get()).append(note.slurs()).append(note.marks());
                case SAME_BUT_SLURS -> print.append(note.pitch().get());
                case SAME_RHYTHM_OTHER_PLACE -> print.append(step - first);
                case SAME_RHYTHM -> print.append('n');
            }
            print.append(';');
        }
        return print.toString();
    }
}
