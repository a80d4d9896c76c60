package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Standings.Terms;
import vividroster.core.progress.Trail.Step;

/** A student's year as it was heard, in the order heard. */
public final class TimeLine {

    private TimeLine() {}

    /**
     * Something heard.
     *
     * @param outcome of the try, or an excuse; an absence is no moment
     * @param madeThePass whether it is the try that made the pass
     */
    public record Moment(LocalDate on, UUID milestoneId, Outcome outcome, Evidence evidence, boolean madeThePass) {}

    /**
     * What was heard on one instrument within days.
     *
     * @param milestones by id, for each trail
     * @param terms what was asked, by milestone; others were heard although nobody set them
     */
    public static List<Moment> of(
            Map<UUID, Trail> trails,
            Map<UUID, Milestone> milestones,
            Map<UUID, Terms> terms,
            InstrumentCode instrument,
            LocalDate from,
            LocalDate to) {
        List<Moment> moments = new ArrayList<>();
        trails.forEach((milestoneId, trail) -> {
            Milestone milestone = milestones.get(milestoneId);
            Optional<Step> passing = milestone == null
                    ? Optional.empty()
                    : PassJudge.passingTry(
                            milestone,
                            Standings.counting(
                                    milestone, trail, instrument, terms.getOrDefault(milestoneId, Terms.UNSET), to));
            boolean told = false;
            for (Step step : trail.steps()) {
                boolean makesIt = !told && passing.equals(Optional.of(step));
                told |= makesIt;
                if (step.outcome() != Outcome.ABSENT
                        && step.instrument().equals(instrument)
                        && !step.heardOn().isBefore(from)
                        && !step.heardOn().isAfter(to)) {
                    moments.add(new Moment(step.heardOn(), milestoneId, step.outcome(), step.evidence(), makesIt));
                }
            }
        });
        moments.sort(Comparator.comparing(Moment::on));
        return moments;
    }
}
