package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividroster.core.music.Bpm;
import vividroster.core.rehearsal.Ladder.Kind;
import vividroster.core.rehearsal.Ladder.Line;
import vividroster.core.rehearsal.Ladder.Step;
import vividroster.core.rehearsal.Themes.Stretch;
import vividroster.core.rehearsal.Themes.Theme;

/** A ladder by one theme: every place it has, in order, and then the whole. */
public final class ThemedLadder {

    private ThemedLadder() {}

    /**
     * @param stretches where the theme stands; where there are none the line is looked at and played
     * @param minutes there are, more than none
     */
    public static Ladder of(Line line, Theme theme, List<Stretch> stretches, double minutes) {
        Ladder.checked(minutes);
        int last = line.part().measures().size() - 1;
        Optional<Listen> listen = Optional.of(theme.listen());
        List<Step> wanted = new ArrayList<>();
        wanted.add(StepTime.timed(line, Kind.LOOK, 0, last, line.tempo(0), 1, List.of(), 55));
        for (Stretch stretch : stretches) {
            int from = stretch.from();
            Bpm slow = Ladder.slower(line, from, Ladder.SLOW);
            if (!stretch.groups().isEmpty()) {
                wanted.add(StepTime.timed(line, Kind.GROUPS, from, from, slow, 2, stretch.groups(), 30)
                        .listening(listen));
            }
            wanted.add(StepTime.timed(line, Kind.ISOLATE, from, stretch.to(), slow, 2, List.of(), 35)
                    .listening(listen));
        }
        if (!stretches.isEmpty()) {
            Bpm slower = Ladder.slower(line, 0, Ladder.MIDDLE);
            wanted.add(StepTime.timed(line, Kind.WHOLE_SLOW, 0, last, slower, 1, List.of(), 60)
                    .listening(listen));
        }
        wanted.add(StepTime.timed(line, Kind.WHOLE, 0, last, line.tempo(0), 1, List.of(), 100));
        return LadderFit.within(wanted, Map.of(), minutes * 60);
    }
}
