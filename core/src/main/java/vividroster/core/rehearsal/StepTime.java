package vividroster.core.rehearsal;

import java.util.List;
import java.util.Optional;
import vividroster.core.music.Bpm;
import vividroster.core.reading.TimedView.At;
import vividroster.core.rehearsal.Ladder.Group;
import vividroster.core.rehearsal.Ladder.Kind;
import vividroster.core.rehearsal.Ladder.Line;
import vividroster.core.rehearsal.Ladder.Step;

/** How long a step of a ladder takes: repetitions times what is played, as slow as it is, and a word between. */
final class StepTime {

    /** A word of the director between two steps. */
    private static final double TALK_SECONDS = 8;

    /** Key, meter, way and new things, named by the class. */
    private static final double LOOK_SECONDS = 25;

    private StepTime() {}

    static Step timed(
            Line line, Kind kind, int from, int to, Bpm tempo, int repetitions, List<Group> groups, int value) {
        return timed(line, kind, from, to, tempo, repetitions, groups, List.of(), Optional.empty(), value);
    }

    static Step timed(
            Line line,
            Kind kind,
            int from,
            int to,
            Bpm tempo,
            int repetitions,
            List<Group> groups,
            List<Integer> bows,
            Optional<Listen> listen,
            int value) {
        int last = line.part().measures().size() - 1;
        boolean anyOrder = kind == Kind.JOIN_AS_PLAYED;
        if (from < 0 || to < 0 || from > last || to > last || from > to && !anyOrder) {
            throw new IllegalArgumentException(
                    "a step's measures must be in 0.." + last + ", were " + from + " to " + to);
        }
        double asWritten = switch (kind) {
            case LOOK, RECALL, SET_FINGERS -> 0;
            case BOWS ->
                seconds(line, from) * bows.stream().mapToInt(Integer::intValue).sum();
            case WHOLE, WHOLE_SLOW -> line.playedSeconds();
            case GROUPS -> seconds(line.view().notes().get(from), groups);
            case JOIN_AS_PLAYED -> seconds(line, from) + seconds(line, to);
            case ISOLATE, JOIN ->
                line.view().notes().subList(from, to + 1).stream()
                        .flatMap(List::stream)
                        .mapToDouble(At::seconds)
                        .sum();
        };
        // All tempos of the stretch are slowed alike.
        double slowed = asWritten * line.tempo(from).value() / tempo.value();
        double talk = kind == Kind.LOOK ? LOOK_SECONDS : TALK_SECONDS;
        return new Step(kind, from, to, tempo, repetitions, groups, bows, listen, repetitions * slowed + talk, value);
    }

    private static double seconds(Line line, int measure) {
        return line.view().notes().get(measure).stream()
                .mapToDouble(At::seconds)
                .sum();
    }

    private static double seconds(List<At> measure, List<Group> groups) {
        double seconds = 0;
        for (Group group : groups) {
            if (group.from() < 0 || group.to() >= measure.size() || group.from() > group.to()) {
                throw new IllegalArgumentException("a group's notes must be in 0.." + (measure.size() - 1) + ", were "
                        + group.from() + " to " + group.to());
            }
            seconds += measure.subList(group.from(), group.to() + 1).stream()
                    .mapToDouble(At::seconds)
                    .sum();
        }
        return seconds;
    }
}
