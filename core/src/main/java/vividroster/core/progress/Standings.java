package vividroster.core.progress;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividroster.core.curriculum.Milestone;
import vividroster.core.progress.Standing.State;

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

    /**
     * @param attempts all attempts of one student on this milestone, on any instrument, in any class
     * @param instrument the instrument asked about; passes on another count only for instrument-free milestones
     * @param on later attempts are left out, so that any day of the year can be looked back at
     */
    public static Standing of(
            Milestone milestone, Collection<Attempt> attempts, String instrument, Terms terms, LocalDate on) {
        List<Attempt> standing = AttemptLedger.standing(attempts).stream()
                .filter(a -> !a.heardOn().isAfter(on))
                .filter(a -> milestone.instrumentFree() || a.instrument().equals(instrument))
                .toList();
        List<Attempt> tries = standing.stream().filter(a -> a.outcome().isTry()).toList();
        List<Attempt> counting = tries.stream()
                .filter(a -> terms.evidence().contains(a.evidence()))
                .toList();
        Optional<Attempt> passing = PassJudge.passingTry(milestone, counting);
        Optional<Attempt> latest = standing.reversed().stream()
                .filter(a -> a.outcome() != Outcome.ABSENT)
                .findFirst();
        Optional<Attempt> excuse = latest.filter(a -> a.outcome() == Outcome.EXCUSED);

        State state;
        if (passing.isPresent()) {
            state = passing.get().evidence() == Evidence.SUBSTITUTE && noPassOfItsOwn(milestone, counting)
                    ? State.PASSED_BY_SUBSTITUTE
                    : State.PASSED;
        } else if (excuse.isPresent()) {
            state = State.EXCUSED;
        } else if (!tries.isEmpty()) {
            state = State.TRIED;
        } else {
            state = terms.dueOn().isPresent() ? State.SET : State.NOT_SET;
        }
        boolean open = state == State.SET || state == State.TRIED;
        return new Standing(
                state,
                tries.size(),
                open && terms.dueOn().map(on::isAfter).orElse(false),
                state == State.EXCUSED && excuse.get().waived(),
                passing.map(Attempt::heardOn),
                tries.isEmpty() ? Optional.empty() : Optional.of(tries.getLast().heardOn()),
                PassJudge.goodTries(milestone, counting));
    }

    /** A substitute is never hidden, and never shown once the set piece itself was passed. */
    private static boolean noPassOfItsOwn(Milestone milestone, List<Attempt> counting) {
        List<Attempt> own = counting.stream()
                .filter(a -> a.evidence() != Evidence.SUBSTITUTE)
                .toList();
        return PassJudge.passingTry(milestone, own).isEmpty();
    }
}
