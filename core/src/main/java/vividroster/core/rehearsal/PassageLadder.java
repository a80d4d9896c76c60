package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import vividroster.core.rehearsal.HotSpots.HotSpot;
import vividroster.core.rehearsal.Ladder.Kind;
import vividroster.core.rehearsal.Ladder.Line;
import vividroster.core.rehearsal.Ladder.Step;
import vividroster.core.rehearsal.Ladder.Wish;

/** A ladder for some measures of a line, as a stage of a playing test is rehearsed: its spots, then the passage. */
public final class PassageLadder {

    private PassageLadder() {}

    /**
     * @param from and {@code to}, both included, by index in the part
     * @param minutes there are, more than none
     * @throws IllegalArgumentException where the line has no such measures
     */
    public static Ladder of(Line line, List<HotSpot> spots, Wish wish, int from, int to, double minutes) {
        Ladder.checked(minutes);
        List<Step> wanted = new ArrayList<>();
        wanted.add(StepTime.timed(line, Kind.LOOK, from, to, line.tempo(from), 1, List.of(), 55));
        spots.stream()
                .filter(spot -> spot.measure() >= from
                        && spot.measure() <= to
                        && spot.recalls().isEmpty())
                .sorted(Comparator.comparingInt(HotSpot::measure))
                .flatMap(spot -> Ladder.steps(line, spot, wish).stream())
                .filter(step -> step.from() >= from && step.to() <= to)
                .forEach(wanted::add);
        wanted.add(StepTime.timed(
                line, Kind.ISOLATE, from, to, Ladder.slower(line, from, Ladder.MIDDLE), 1, List.of(), 60));
        wanted.add(StepTime.timed(line, Kind.ISOLATE, from, to, line.tempo(from), 2, List.of(), 100));
        return LadderFit.within(wanted, Map.of(), minutes * 60);
    }
}
