package vividroster.server.lines;

import java.util.List;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.reading.Numbering;
import vividroster.core.rehearsal.Ladder.Group;
import vividroster.core.rehearsal.Ladder.Step;

/** The steps of a ladder in the words of the rehearsal room. */
final class LadderWording {

    private LadderWording() {}

    static String words(Step step, Part part, Numbering numbering) {
        int from = numbering.of(part, step.from());
        int to = numbering.of(part, step.to());
        String measures = from == to
                ? from == 0 ? "The pick-up" : "Measure " + from
                : from == 0 ? "Pick-up to measure " + to : "Measures " + from + " to " + to;
        return switch (step.kind()) {
            case LOOK -> "Look: key, meter, the way through, what is new";
            case GROUPS -> measures + " in groups: " + groups(step, part) + times(step.repetitions());
            case ISOLATE -> measures + " alone" + times(step.repetitions());
            case RECALL -> measures + " was isolated before: recall it";
            case JOIN -> measures + " joined" + times(step.repetitions());
            case WHOLE_SLOW -> "The whole line, slower" + more(step.repetitions());
            case WHOLE -> "The whole line at tempo" + more(step.repetitions());
        };
    }

    private static String times(int repetitions) {
        return switch (repetitions) {
            case 1 -> ", once";
            case 2 -> ", twice";
            default -> ", " + repetitions + " times";
        };
    }

    private static String more(int repetitions) {
        return repetitions == 1 ? "" : times(repetitions);
    }

    /** For example "C D E F, F G A B-flat". */
    private static String groups(Step step, Part part) {
        List<Note> notes = part.measures().get(step.from()).notes();
        return String.join(
                ", ", step.groups().stream().map(group -> names(group, notes)).toList());
    }

    private static String names(Group group, List<Note> notes) {
        return String.join(
                " ",
                notes.subList(group.from(), group.to() + 1).stream()
                        .map(n -> n.pitch().map(TrapWording::plain).orElse("rest"))
                        .toList());
    }
}
