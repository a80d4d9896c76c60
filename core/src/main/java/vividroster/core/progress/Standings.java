package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Standing.State;
import vividroster.core.progress.Trail.Step;

/** Derives standings from attempts. Nothing else may say where a student stands. */
public final class Standings {

    private Standings() {}

    /**
     * What was asked of the student.
     *
     * @param evidence which evidence can make the pass
     * @param dueOn empty for a milestone nobody set
     */
    public record Terms(Set<Evidence> evidence, Optional<LocalDate> dueOn) {

        public Terms {
            evidence = Set.copyOf(evidence);
        }

        /** A milestone that was heard although nobody set it. */
        public static final Terms UNSET = new Terms(Evidence.countingByDefault(), Optional.empty());
    }

    /** As {@link #of(Milestone, Trail, String, Terms, LocalDate)}, from all attempts of one student with the milestone. */
    public static Standing of(
            Milestone milestone, Collection<Attempt> attempts, InstrumentCode instrument, Terms terms, LocalDate on) {
        return of(milestone, Trail.of(attempts), instrument, terms, on);
    }

    /**
     * @param trail what stands of all attempts of one student with this milestone
     * @param instrument the instrument asked about; passes on another count only for instrument-free milestones
     * @param on later attempts are left out, so that any day of the year can be looked back at
     */
    public static Standing of(Milestone milestone, Trail trail, InstrumentCode instrument, Terms terms, LocalDate on) {
        if (trail.steps().isEmpty()) {
            return untouched(terms, on);
        }
        int tries = 0;
        Step lastTry = null;
        Step latest = null;
        LocalDate waivedOn = null;
        // Steps are unpacked as they are looked at, so each is looked at once.
        List<Step> counting = new ArrayList<>();
        for (Step step : trail.steps()) {
            if (!concerns(step, milestone, instrument, on)) {
                continue;
            }
            if (counts(step, terms)) {
                counting.add(step);
            }
            if (step.outcome() != Outcome.ABSENT) {
                latest = step;
            }
            if (step.waived() && (waivedOn == null || step.heardOn().isBefore(waivedOn))) {
                waivedOn = step.heardOn();
            }
            if (step.outcome().isTry()) {
                tries++;
                lastTry = step;
            }
        }
        Optional<Step> passing = PassJudge.passingTry(milestone, counting);
        boolean excused = latest != null && latest.outcome() == Outcome.EXCUSED;
        State state;
        if (passing.isPresent()) {
            state = passing.get().evidence() == Evidence.SUBSTITUTE && noPassOfItsOwn(milestone, counting)
                    ? State.PASSED_BY_SUBSTITUTE
                    : State.PASSED;
        } else if (excused) {
            state = State.EXCUSED;
        } else if (tries > 0) {
            state = State.TRIED;
        } else {
            state = terms.dueOn().isPresent() ? State.SET : State.NOT_SET;
        }
        boolean open = state == State.SET || state == State.TRIED;
        return new Standing(
                state,
                tries,
                open && terms.dueOn().map(on::isAfter).orElse(false),
                waivedOn != null && !state.isPassed(),
                passing.map(Step::heardOn),
                Optional.ofNullable(lastTry).map(Step::heardOn),
                PassJudge.goodTries(milestone, counting),
                Optional.ofNullable(waivedOn));
    }

    private static Standing untouched(Terms terms, LocalDate on) {
        return terms.dueOn().isEmpty()
                ? Standing.NOTHING
                : new Standing(
                        State.SET, 0, on.isAfter(terms.dueOn().get()), false, Optional.empty(), Optional.empty(), 0);
    }

    /** Whether it is a try whose evidence makes the pass. */
    private static boolean counts(Step step, Terms terms) {
        return step.outcome().isTry() && terms.evidence().contains(step.evidence());
    }

    private static boolean concerns(Step step, Milestone milestone, InstrumentCode instrument, LocalDate on) {
        return !step.heardOn().isAfter(on)
                && (milestone.instrumentFree() || step.instrument().equals(instrument));
    }

    /** The tries up to a day whose evidence makes the pass, in the order heard. */
    static List<Step> counting(Milestone milestone, Trail trail, InstrumentCode instrument, Terms terms, LocalDate on) {
        List<Step> counting = new ArrayList<>();
        for (Step step : trail.steps()) {
            if (counts(step, terms) && concerns(step, milestone, instrument, on)) {
                counting.add(step);
            }
        }
        return counting;
    }

    /** A substitute is never hidden, and never shown once the set piece itself was passed. */
    private static boolean noPassOfItsOwn(Milestone milestone, List<Step> counting) {
        List<Step> own = counting.stream()
                .filter(a -> a.evidence() != Evidence.SUBSTITUTE)
                .toList();
        return PassJudge.passingTry(milestone, own).isEmpty();
    }
}
