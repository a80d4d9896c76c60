package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.reading.Numbering;
import vividroster.core.reading.Vocabulary.NewKey;
import vividroster.core.reading.Vocabulary.NewMeter;
import vividroster.core.rehearsal.Ladder.Group;
import vividroster.core.rehearsal.Ladder.Step;
import vividroster.core.rehearsal.Listen;
import vividroster.core.rehearsal.Reading;
import vividroster.core.rehearsal.Themes.Theme;
import vividroster.server.platform.Words;

/** The steps of a ladder in the words of the rehearsal room. */
final class LadderWording {

    private LadderWording() {}

    private static final int MOST_NAMED = 3;

    static String words(Step step, Reading reading, boolean pitched, Numbering numbering) {
        Part part = reading.written();
        int from = numbering.of(part, step.from());
        int to = numbering.of(part, step.to());
        String measures = from == to
                ? from == 0 ? "The pick-up" : "Measure " + from
                : from == 0 ? "Pick-up to measure " + to : "Measures " + from + " to " + to;
        return switch (step.kind()) {
            case LOOK -> look(reading, pitched, numbering);
            case GROUPS -> measures + " in groups: " + groups(step, part) + times(step.repetitions());
            case SET_FINGERS -> measures + ": set both fingers before the slur falls, then bow";
            case BOWS ->
                measures + " with "
                        + String.join(
                                ", then ",
                                step.bows().stream().map(String::valueOf).toList())
                        + " bows to every note";
            case ISOLATE -> measures + " alone" + times(step.repetitions());
            case RECALL -> measures + " was isolated before: recall it";
            case JOIN -> measures + " joined" + times(step.repetitions());
            case JOIN_AS_PLAYED ->
                "As played: " + measure(from) + (step.to() > step.from() ? " on to " : " back to ") + measure(to)
                        + times(step.repetitions());
            case WHOLE_SLOW -> "The whole line, slower" + more(step.repetitions());
            case WHOLE -> "The whole line at tempo" + more(step.repetitions());
        };
    }

    /** What to listen for, in one sentence. */
    static String listenFor(Listen listen) {
        return switch (listen) {
            case NEW_NOTE -> "Does the new note speak at once, in tune with its neighbours?";
            case ACCIDENTAL -> "Does it hold to the bar line, and is it over behind it?";
            case EASE_AT_THE_EDGE -> "Is it neither pressed nor lost?";
            case STEADY_PULSE -> "Does the pulse stay while the notes change?";
            case SIGN -> "Is the sign heard where it stands, not before?";
            case NO_NOTE_BETWEEN -> "No bump, and no other note between?";
            case LANDS_IN_TUNE -> "Is it in tune when it lands, with nothing corrected after?";
            case SLIDE_ON_TIME -> "Does the note have its full length before the slide goes?";
            case CLEAN_CROSSING -> "Only the strings that are meant?";
            case FOURTH_FINGER -> "Is the fourth finger as clear as the others?";
            case UNBROKEN_SLUR -> "Is the slur unbroken, and does nothing sound between?";
            case FULL_LENGTH -> "Held and silent as long as is written?";
        };
    }

    static String nothingOf(Theme theme) {
        return switch (theme) {
            case SLURS -> "This line has no slurs.";
            case CARRIED_ACCIDENTALS -> "No accidental goes on to hold here.";
            case NEW_NOTES -> "No note here is new to this section.";
            case COUNTS -> "Nothing here must be counted beyond the pulse.";
        };
    }

    /** What there is to look at: key, meter, the signs of the way, the first new things. */
    private static String look(Reading reading, boolean pitched, Numbering numbering) {
        Part part = reading.written();
        List<String> way = new ArrayList<>();
        for (int m = 0; m < part.measures().size(); m++) {
            String signs = SignWording.words(part.measures().get(m).signs());
            if (!signs.isEmpty()) {
                way.add(signs + " m. " + numbering.of(part, m));
            }
        }
        List<String> fresh = reading.news().stream()
                .filter(first -> !(first.thing() instanceof NewKey) && !(first.thing() instanceof NewMeter))
                .limit(MOST_NAMED)
                .map(first -> NewWording.words(first, Optional.empty()))
                .toList();
        return "Look: " + (pitched ? part.key().name() + ", " : "") + part.meter() + ", "
                + (way.isEmpty()
                        ? "straight through"
                        : String.join(", ", way.subList(0, Math.min(MOST_NAMED, way.size()))))
                + (fresh.isEmpty() ? "" : "; new: " + String.join(", ", fresh));
    }

    private static String measure(int number) {
        return number == 0 ? "the pick-up" : "measure " + number;
    }

    private static String times(int repetitions) {
        return ", " + Words.times(repetitions);
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
