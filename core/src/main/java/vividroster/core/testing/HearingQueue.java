package vividroster.core.testing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.core.progress.Standing;
import vividroster.core.progress.Trail;
import vividroster.core.progress.Trail.Step;

/**
 * Whom a hearing run calls with a milestone, in which order, and who is not called and why.
 *
 * @param order in {@linkplain FairOrder fair order}
 * @param leftOut everybody else, as they sit
 */
public record HearingQueue(List<UUID> order, Map<UUID, LeftOut> leftOut) {

    /** Why somebody is not called; a director may choose them by name all the same. */
    public enum LeftOut {
        /** Nobody set it for this student. */
        NOT_SET,
        PASSED,
        /** Waived, or excused today. */
        EXCUSED,
        /** Pain was reported on this instrument and not followed up: the student rests until somebody has asked. */
        RESTING,
        ABSENT,
        /** A retry needs a day between, unless the rule counts tries. */
        TRIED_TODAY
    }

    /**
     * Where programmes differ.
     *
     * @param readyFirst those near the pass before all others
     * @param againTheSameDay a student may be called twice on one day, also where tries are not counted
     */
    public record Policy(boolean readyFirst, boolean againTheSameDay) {

        public static final Policy DEFAULT = new Policy(false, false);
    }

    /**
     * Somebody who may be called.
     *
     * @param call what the trail of this student with the milestone says
     * @param lastHeardOn last day the student played for anyone, with whatever; empty when never
     * @param wasFirst whether the student opened the run before this one
     * @param absent on the list of the class today
     * @param inPain reported on this instrument and not followed up
     */
    public record Candidate(
            UUID studentId,
            Call call,
            Optional<LocalDate> lastHeardOn,
            boolean wasFirst,
            boolean absent,
            boolean inPain) {}

    /**
     * What one student's trail with one milestone says about calling.
     *
     * @param kept why the student need not be called at all; empty when open
     * @param triedToday and the rule does not count tries
     * @param absentToday noted with this milestone
     * @param owed was absent or excused when last called, on an earlier day
     * @param near one more good try makes the pass, or the last one was good
     */
    public record Call(Optional<LeftOut> kept, boolean triedToday, boolean absentToday, boolean owed, boolean near) {

        /** @param trail of the student with the milestone; steps after the day count for nothing */
        public static Call of(
                Milestone milestone, Standing standing, Trail trail, InstrumentCode instrument, LocalDate on) {
            Step latest = null;
            boolean triedToday = false;
            for (Step step : trail.steps()) {
                if (step.heardOn().isAfter(on)
                        || !(milestone.instrumentFree() || step.instrument().equals(instrument))) {
                    continue;
                }
                latest = step;
                // What a partner watched is practice; it takes nobody's turn.
                triedToday |= step.outcome().isTry()
                        && step.evidence() != Evidence.PARTNER_CHECK
                        && step.heardOn().equals(on);
            }
            boolean countsTries = milestone.passRule() instanceof PassRule.KOfLastN;
            boolean missed = latest != null
                    && (latest.outcome() == Outcome.ABSENT || latest.outcome() == Outcome.EXCUSED && !latest.waived());
            boolean today = latest != null && latest.heardOn().equals(on);
            boolean owed = missed && !today;
            return new Call(
                    kept(standing, owed),
                    triedToday && !countsTries,
                    missed && today && latest.outcome() == Outcome.ABSENT,
                    owed,
                    milestone.passRule() instanceof PassRule.KOfLastN rule
                            ? standing.goodTries() >= rule.k() - 1
                            : latest != null && latest.outcome() == Outcome.PASS);
        }

        /** An excuse of an earlier day that was not waived gets its place in the next run. */
        private static Optional<LeftOut> kept(Standing standing, boolean owed) {
            return switch (standing.state()) {
                case NOT_SET -> Optional.of(LeftOut.NOT_SET);
                case PASSED, PASSED_BY_SUBSTITUTE -> Optional.of(LeftOut.PASSED);
                case EXCUSED -> owed ? Optional.empty() : Optional.of(LeftOut.EXCUSED);
                case SET, TRIED, RECORDING_WAITING -> Optional.empty();
            };
        }
    }

    public HearingQueue {
        order = List.copyOf(order);
        leftOut = Collections.unmodifiableMap(new LinkedHashMap<>(leftOut));
    }

    /** @param inSeating as they sit, which settles ties after those to whom a turn is owed */
    public static HearingQueue of(List<Candidate> inSeating, Policy policy) {
        Map<UUID, LeftOut> leftOut = new LinkedHashMap<>();
        List<Candidate> called = new ArrayList<>();
        for (Candidate candidate : inSeating) {
            leftOut(candidate, policy)
                    .ifPresentOrElse(why -> leftOut.put(candidate.studentId(), why), () -> called.add(candidate));
        }
        called.sort(Comparator.comparing(c -> !c.call().owed()));
        List<UUID> order =
                policy.readyFirst() ? FairOrder.readyFirst(fair(called), ready(called)) : FairOrder.of(fair(called));
        return new HearingQueue(order, leftOut);
    }

    private static List<FairOrder.Candidate> fair(List<Candidate> called) {
        return called.stream()
                .map(c -> new FairOrder.Candidate(c.studentId(), c.lastHeardOn(), c.wasFirst()))
                .toList();
    }

    private static Set<UUID> ready(List<Candidate> called) {
        return called.stream()
                .filter(c -> c.call().near())
                .map(Candidate::studentId)
                .collect(Collectors.toSet());
    }

    private static Optional<LeftOut> leftOut(Candidate candidate, Policy policy) {
        return leftOut(candidate.call(), candidate.absent(), candidate.inPain(), policy);
    }

    /** Whether nothing but the standing keeps a player from being called; what was heard need not be looked at. */
    public static boolean isSettled(Standing standing) {
        return standing.isPassed() || standing.state() == Standing.State.NOT_SET;
    }

    /**
     * Why somebody is not called; empty when they are. Where several reasons hold, what lasts longest is said.
     *
     * @param absent on the list of the class today
     * @param inPain reported on this instrument and not followed up
     */
    public static Optional<LeftOut> leftOut(Call call, boolean absent, boolean inPain, Policy policy) {
        if (call.kept().isPresent()) {
            return call.kept();
        }
        if (inPain) {
            return Optional.of(LeftOut.RESTING);
        }
        if (absent || call.absentToday()) {
            return Optional.of(LeftOut.ABSENT);
        }
        return call.triedToday() && !policy.againTheSameDay() ? Optional.of(LeftOut.TRIED_TODAY) : Optional.empty();
    }
}
