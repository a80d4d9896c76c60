package vividroster.server.hearing;

import java.util.List;
import java.util.Optional;
import vividroster.core.progress.FaultHeard;

/**
 * What was noted beside a try.
 *
 * @param note free words; empty when there are none
 * @param faults what went wrong
 * @param tempoBpm at which it was heard, in the beat of the line; empty where nobody tapped
 * @param substitute what was played instead of the set piece; empty where it was the set piece, or nobody said
 */
public record Beside(String note, List<FaultHeard> faults, Optional<Integer> tempoBpm, String substitute) {

    public static final Beside NOTHING = new Beside("", List.of(), Optional.empty(), "");

    public static Beside noted(String note) {
        return new Beside(note, List.of(), Optional.empty(), "");
    }

    public static Beside heard(List<FaultHeard> faults) {
        return new Beside("", faults, Optional.empty(), "");
    }

    public Beside {
        faults = List.copyOf(faults);
    }
}
