package vividroster.core.progress;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import vividroster.core.music.InstrumentCode;

/**
 * What one student's attempts with one milestone come down to once corrections are applied: all that a standing is told
 * from, and nothing else, so that it can be kept beside the attempts and read in their place.
 *
 * @param steps in the order heard, on any instrument, in any class
 */
public record Trail(List<Step> steps) {

    /** Nothing was heard. */
    public static final Trail EMPTY = new Trail(List.of());

    /**
     * An attempt that stands.
     *
     * @param milestoneVersion of the milestone it was heard against, at least 1
     * @param outcome never {@link Outcome#UNDONE}
     * @param waived an excuse that no longer stands in the way of a belt
     */
    public record Step(
            InstrumentCode instrument,
            LocalDate heardOn,
            int milestoneVersion,
            Evidence evidence,
            Outcome outcome,
            boolean waived) {}

    /** Not copied, so that steps may be unpacked as they are looked at; the list must never change. */
    public Trail {
        steps = Collections.unmodifiableList(steps);
    }

    /** The last day up to a day on which the student played; empty where that never was. */
    public Optional<LocalDate> lastTriedOn(LocalDate on) {
        for (int i = steps.size() - 1; i >= 0; i--) {
            Step step = steps.get(i);
            if (step.outcome().isTry() && !step.heardOn().isAfter(on)) {
                return Optional.of(step.heardOn());
            }
        }
        return Optional.empty();
    }

    /** @param attempts all attempts of one student with one milestone, corrections included, in any order */
    public static Trail of(Collection<Attempt> attempts) {
        return new Trail(AttemptLedger.standing(attempts).stream()
                .map(attempt -> new Step(
                        attempt.instrument(),
                        attempt.heardOn(),
                        attempt.milestoneVersion(),
                        attempt.evidence(),
                        attempt.outcome(),
                        attempt.waived()))
                .toList());
    }
}
